package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The light table in a browser: every tool, what changed, and several people on one sheet. */
class LightTableJourneyTest extends Journey {
    /** Waits until the versions are compared, which begins when both are drawn. */
    private static void compared(Someone who) {
        who.page.waitForCondition(
                () -> {
                    if (who.page.locator(".asked").count() == 0) {
                        who.page.reload();
                    }
                    return who.page.locator(".asked").count() > 0;
                },
                new Page.WaitForConditionOptions().setTimeout(90_000));
    }

    @Test
    void everyToolDrawsWithTheMouse() {
        Someone mirela = mirelaAtTheMap();
        Keyboard keys = mirela.page.keyboard();
        Map<String, String> tools = Map.of("e", "ellipse", "l", "path", "f", "path");
        tools.forEach((key, element) -> {
            String note = "Drawn with " + key + ".";
            keys.press(key);
            draws(mirela, 0.5, 0.3, 0.55, 0.34, 0.62, 0.3, 0.7, 0.42);
            keys.type(note);
            mirela.presses("Leave the note").sees(note);
            String mark = mirela.page
                    .locator(".note", new Page.LocatorOptions().setHasText(note))
                    .getAttribute("data-note");
            assertThat(mirela.page.locator("[data-mark='" + mark + "'] " + element))
                    .hasCount(1);
            withdraws(mirela, note);
        });
        mirela.looksItOver();
    }

    @Test
    void whatChangedIsOutlinedListedAndWalkedThrough() {
        Someone mirela = mirelaAtTheMap();
        Keyboard keys = mirela.page.keyboard();
        keys.press("d");
        mirela.arrivesAt("/changes").atTheComparison();
        compared(mirela);
        Locator parts = mirela.page.locator("[data-part]");
        assertThat(mirela.page.locator("[data-box]")).hasCount(parts.count());
        mirela.sees("What was asked for").looksItOver();
        keys.press(".");
        assertThat(mirela.page.locator("[data-box='1']")).hasClass(Pattern.compile("\\bon\\b"));
        keys.press(".");
        assertThat(mirela.page.locator("[data-box='2']")).hasClass(Pattern.compile("\\bon\\b"));
        keys.press("w");
        mirela.arrivesAt("as=wipe");
        wipesAcross(mirela);
        laysOneOverTheOther(mirela, keys);
        keys.press("s");
        mirela.arrivesAt("as=beside");
        assertThat(mirela.page.locator("figure .laid")).hasCount(2);
        mirela.looksItOver();
        keys.press("ArrowRight");
        mirela.arrivesAt("page=2");
    }

    private void wipesAcross(Someone mirela) {
        assertThat(mirela.page.locator("[data-wiped]")).hasCount(1);
        BoundingBox laid = mirela.page.locator(".laid").boundingBox();
        mirela.page.mouse().move(laid.x + laid.width / 4, laid.y + 60);
        mirela.page.waitForCondition(() ->
                Math.abs(Double.parseDouble(mirela.page.locator("[data-edge]").getAttribute("x1")) - 250) <= 10);
        mirela.looksItOver();
    }

    private void laysOneOverTheOther(Someone mirela, Keyboard keys) {
        keys.press("o");
        mirela.arrivesAt("as=overlay");
        assertThat(mirela.page.locator("[data-wiped]")).hasCount(0);
        mirela.page.locator("[data-slider]").fill("20");
        assertThat(mirela.page.locator("[data-later]")).hasAttribute("opacity", "0.2");
    }

    @Test
    void whatChangedFitsAPhone() {
        Someone jasper = onPhone().comesBy(linkOf("jasper@penwether.example", "Visitor centre"));
        jasper.follows("Visitor map");
        jasper.follows("What changed since 1").arrivesAt("/changes").atTheComparison();
        compared(jasper);
        jasper.sees("What was asked for").looksItOver();
    }

    @Test
    void marksOfOthersArriveWithoutMovingWhatOneIsDoing() {
        Someone mirela = mirelaAtTheMap();
        Someone jasper = atDesk().comesBy(linkOf("jasper@penwether.example", "Visitor centre"));
        jasper.follows("Visitor map").atTheTable();
        jasper.page.keyboard().press("p");
        draws(jasper, 0.8, 0.8);
        jasper.page.keyboard().type("Half a tho");
        mirela.page.keyboard().press("r");
        draws(mirela, 0.1, 0.72, 0.2, 0.8);
        mirela.page.keyboard().type("Is this the ferry?");
        mirela.presses("Leave the note").sees("Is this the ferry?");
        assertThat(jasper.page.locator(".note", new Page.LocatorOptions().setHasText("Is this the ferry?")))
                .isVisible();
        String mark = jasper.page
                .locator(".note", new Page.LocatorOptions().setHasText("Is this the ferry?"))
                .getAttribute("data-note");
        assertThat(jasper.page.locator("[data-mark='" + mark + "'] rect")).hasCount(1);
        jasper.page.keyboard().type("ught");
        assertThat(jasper.page.locator("#new-note-text")).hasValue("Half a thought");
        withdraws(mirela, "Is this the ferry?");
        assertThat(jasper.page.locator(".note.settled", new Page.LocatorOptions().setHasText("Is this the ferry?")))
                .isVisible();
        jasper.presses("Not now");
        jasper.looksItOver();
    }

    @Test
    void wordsAreMarkedWithMouseAndWithKeysAndComparedByWords() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Panel texts").atTheTable();
        mirela.page
                .locator(".writing p", new Page.LocatorOptions().setHasText("more than two"))
                .locator("span")
                .first()
                .dblclick(new Locator.DblclickOptions().setPosition(30, 8));
        mirela.presses("Note these words");
        mirela.page.keyboard().type("Is that its name?");
        mirela.page.locator("#new-note-instead").fill("Our hill");
        mirela.presses("Leave the note").sees("Is that its name?");
        Locator note = mirela.page.locator(".note", new Page.LocatorOptions().setHasText("Is that its name?"));
        assertThat(note.locator(".quoted")).hasText("“Penwether”");
        assertThat(note.locator("ins")).hasText("Our hill");
        assertThat(mirela.page.locator("mark[data-mark='" + note.getAttribute("data-note") + "']"))
                .hasText("Penwether");
        withdraws(mirela, "Is that its name?");
        List.of("t", "ArrowRight", "ArrowRight", "Shift+ArrowRight", "Enter").forEach(mirela.page.keyboard()::press);
        assertThat(mirela.page.locator("[data-quoted]")).hasText("“the star”");
        mirela.looksItOver();
        mirela.presses("Not now");
        inesComparesByWords();
    }

    private void inesComparesByWords() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.page
                .locator("a", new Page.LocatorOptions().setHasText("Panel texts"))
                .first()
                .click();
        ines.arrivesAt("/deliverables/");
        ines.page.locator("a[href*='light-table']").first().click();
        ines.atTheTable();
        ines.page.keyboard().press("d");
        ines.arrivesAt("/changes").atTheComparison();
        ines.sees("What was asked for").sees("moved here");
        assertThat(ines.page.locator(".changed-row ins", new Page.LocatorOptions().setHasText("get used to")))
                .isVisible();
        ines.page.keyboard().press(".");
        assertThat(ines.page.locator("[data-box='1']")).hasClass(Pattern.compile("\\bon\\b"));
        ines.looksItOver();
    }

    @Test
    void aMomentOfAFilmIsMarkedAndItsShapeShowsWhenItsTimeHasCome() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Opening trailer");
        Locator film = mirela.page.locator("[data-media]");
        mirela.page.waitForCondition(() -> mirela.page.locator(".tick").count() == 2);
        Locator shape = mirela.page.locator("[data-marks] [data-mark]");
        assertThat(shape).hasClass(Pattern.compile("\\baway\\b"));
        mirela.page.locator(".tick").last().click();
        assertThat(shape).not().hasClass(Pattern.compile("\\baway\\b"));
        mirela.page.waitForCondition(
                () -> Math.abs(((Number) film.evaluate("film => film.currentTime")).doubleValue() - 16.4) < 0.1);
        mirela.page.keyboard().press("Shift+ArrowLeft");
        mirela.page.waitForCondition(() -> ((Number) film.evaluate("film => film.currentTime")).doubleValue() < 15.6);
        mirela.page.keyboard().press("t");
        mirela.page.keyboard().type("Whose voice is this?");
        mirela.presses("Leave the note").sees("Whose voice is this?");
        assertThat(mirela.page
                        .locator(".note", new Page.LocatorOptions().setHasText("Whose voice is this?"))
                        .locator(".quoted"))
                .hasText("at 0:15.40");
        mirela.looksItOver();
        withdraws(mirela, "Whose voice is this?");
    }

    @Test
    void twoPicturesOfAFilmAreComparedWhereItStands() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.page
                .locator("a[href*='/t/deliverables/']", new Page.LocatorOptions().setHasText("Opening trailer"))
                .first()
                .click();
        ines.page.waitForURL(Pattern.compile("/t/deliverables/"));
        ines.page.navigate(
                address() + ines.page.locator("a[href*='light-table']").last().getAttribute("href"));
        ines.page.locator("[data-changes]").click();
        ines.atTheComparison();
        ines.page.waitForFunction("() => [...document.querySelectorAll('[data-one]')].length === 2 && "
                + "[...document.querySelectorAll('[data-one]')].every(one => one.readyState >= 2)");
        Locator line = ines.page.locator("[data-seek]");
        line.evaluate("one => { one.value = '8'; one.dispatchEvent(new Event('input', { bubbles: true })); }");
        ines.presses("What differs here");
        assertThat(ines.page.locator("[data-told]"))
                .containsText(Pattern.compile("places? differs? here, \\d+\\.\\d % of the picture"));
        assertThat(ines.page.locator("[data-places]").first().locator("rect").first())
                .isVisible();
        ines.looksItOver();
        line.evaluate("one => { one.value = '9'; one.dispatchEvent(new Event('input', { bubbles: true })); }");
        assertThat(ines.page.locator("[data-told]")).hasText("");
        assertThat(ines.page.locator("[data-places] rect")).hasCount(0);
    }
}
