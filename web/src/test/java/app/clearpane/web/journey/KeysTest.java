package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import org.junit.jupiter.api.Test;

/** The keys of the team's screens and of the light table, without a mouse. */
class KeysTest extends Journey {

    @Test
    void searchHelpAndWhatAwaits() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        Keyboard keys = ines.page.keyboard();
        keys.press("?");
        assertThat(ines.page.locator("#keys")).isVisible();
        ines.looksItOver();
        keys.press("Escape");
        assertThat(ines.page.locator("#keys")).isHidden();
        keys.press("/");
        assertThat(ines.page.locator("#find")).isFocused();
        keys.type("survey");
        assertThat(ines.page.locator("#find")).hasValue("survey");
        keys.press("Enter");
        ines.arrivesAt("/t/search");
        ines.sees("Survey of the grounds.pdf").looksItOver();
        keys.press("n");
        ines.page.waitForURL(url -> url.matches(".*/t/(deliverables|tasks|projects|versions)/.*"));
        String first = ines.page.url();
        keys.press("n");
        ines.page.waitForURL(
                url -> !url.equals(first) && url.matches(".*/t/(deliverables|tasks|projects|versions)/.*"));
        keys.press("b");
        ines.page.waitForURL(first);
    }

    @Test
    void sashOpensAndCloses() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.follows("Visitor map").follows("Panes");
        ines.seesThrough(".sash iframe", frame -> frame.locator("main"));
        ines.page.keyboard().press("v");
        assertThat(ines.page.locator(".sash")).isHidden();
        ines.page.keyboard().press("v");
        assertThat(ines.page.locator(".sash")).isVisible();
    }

    @Test
    void sashStaysOpenFromPageToPageAndFollowsTheThingInHand() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.follows("Visitor map").sees("What they see");
        ines.page.keyboard().press("v");
        ines.seesThrough(
                "#sash iframe",
                frame -> frame.getByRole(AriaRole.HEADING, new FrameLocator.GetByRoleOptions().setName("Visitor map")));
        ines.follows("Files");
        ines.seesThrough("#sash iframe", frame -> frame.getByText("Waiting for you, Ottoline"));
        ines.page.getByLabel("Look through as").selectOption(new SelectOption().setLabel("Dov Castellan"));
        ines.seesThrough("#sash iframe", frame -> frame.getByText("Waiting for you, Dov"));
        ines.looksItOver().presses("Close what they see");
        assertThat(ines.page.locator("#sash")).isHidden();
        ines.follows("Record").sees("looked through a seat at");
    }

    @Test
    void littleWindowIsTurnedWithAKeyAndTellsWhoSeesTheThing() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.follows("Visitor map").follows("Files");
        Locator window = ines.page
                .locator("tr", new Page.LocatorOptions().setHasText("Survey of the grounds.pdf"))
                .locator("[data-window]");
        window.focus();
        ines.page.keyboard().press("h");
        assertThat(window.locator(".held")).isVisible();
        assertThat(window).isFocused();
        Someone ottoline = onPhone().comesBy(linkOf("ottoline@penwether.example", "Visitor centre"));
        ottoline.seesNot("Survey of the grounds.pdf");
        ines.page.keyboard().press("h");
        assertThat(window.locator(".shown")).isVisible();
        ottoline.page.reload();
        ottoline.follows("Survey of the grounds.pdf").sees("Survey of the grounds.pdf");
        ines.page.keyboard().press("Enter");
        ines.sees("Shown with “Finished artwork”, in which it stands, by Teo");
        Locator row = ines.page.locator("tr", new Page.LocatorOptions().setHasText("Ottoline Vance"));
        await().untilAsserted(() -> {
            ines.page.reload();
            assertThat(row.getByText("never")).hasCount(0);
        });
        row.locator("summary").click();
        ines.sees("Somebody chose to show it").sees("Hold it back at The board").looksItOver();
        whoSeesNothingStandsThereToo(ines);
    }

    private void whoSeesNothingStandsThereToo(Someone ines) {
        assertThat(ines.page
                        .locator("tr", new Page.LocatorOptions().setHasText("Annick Roe"))
                        .getByText("The seat’s link was not opened yet"))
                .isVisible();
        ines.unfolds("Note on Survey")
                .writes("Note on Survey of the grounds.pdf", "Ask the surveyor whether it may be shown.")
                .presses("Keep the note")
                .sees("Ask the surveyor")
                .looksItOver();
    }

    @Test
    void arrowIsPlacedWithTheArrowKeys() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Visitor map").atTheTable();
        Keyboard keys = mirela.page.keyboard();
        keys.press("a");
        keys.press("Enter");
        for (int i = 0; i < 8; i++) {
            keys.press("Shift+ArrowRight");
            keys.press("ArrowDown");
        }
        keys.press("Enter");
        keys.type("This path is muddy in March.");
        mirela.presses("Leave the note").sees("This path is muddy in March.").looksItOver();
        assertThat(mirela.page.locator(".shape path").count()).isGreaterThanOrEqualTo(2);
    }

    @Test
    void versionsSheetsNotesAndSize() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Visitor map").atTheTable();
        Keyboard keys = mirela.page.keyboard();
        keys.press("1");
        mirela.sees("There is a newer version.").atTheTable();
        keys.press("ArrowRight");
        mirela.arrivesAt("page=2").atTheTable();
        keys.press("ArrowLeft");
        mirela.arrivesAt("page=1").atTheTable();
        keys.press(".");
        assertThat(mirela.page.locator(".note.on")).hasCount(1);
        String first = mirela.page.locator(".note.on").getAttribute("id");
        keys.press(".");
        assertThat(mirela.page.locator(".note.on")).not().hasId(first);
        keys.press(",");
        assertThat(mirela.page.locator(".note.on")).hasId(first);
        double before = mirela.page.locator("[data-sheet]").boundingBox().width;
        keys.press("+");
        assertThat(mirela.page.locator("[data-sheet]").boundingBox().width).isGreaterThan(before * 1.3);
        keys.press("0");
        assertThat(mirela.page.locator("[data-sheet]").boundingBox().width).isEqualTo(before);
    }

    @Test
    void notesNeverOverlapAndKeepTheirOrder() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Visitor map").atTheTable();
        Object overlaps = mirela.page.evaluate("""
        () => { const boxes = [...document.querySelectorAll("[data-note]")].map(n => n.getBoundingClientRect());
          return boxes.flatMap((a, i) => boxes.slice(i + 1).filter(b => a.left < b.right && b.left < a.right
          && a.top < b.bottom && b.top < a.bottom)).length; }""");
        assertThat(overlaps).isEqualTo(0);
        assertThat(mirela.page.locator("[data-note]").count()).isGreaterThan(3);
    }
}
