package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * A project is planned line by line, dates are agreed on, the client does their task on a phone, and the page says
 * where the days went.
 */
class PlanJourneyTest extends Journey {
    private static final String NAMES = "Names for the posts";

    @Test
    void fromFirstLineToWhereTheDaysWent() {
        Someone ines = atDesk();
        opens(ines);
        givesSeat(ines);
        plans(ines);
        agrees(ines);
        stretchesWithTheKeyboard(ines);
        ottolineDoesHers();
        ines.goes(ines.page.url().replaceAll("\\?.*", "") + "?as=lines").sees(NAMES);
        assertThat(stageOf(ines, NAMES)).hasValue("DONE");
        explains(ines);
    }

    private void opens(Someone ines) {
        ines.goes("/")
                .writes("Mail address", "ines@marram-finch.example")
                .writes("Password", "lantern moss tide seven")
                .presses("Sign in")
                .sees("Our turn")
                .follows("New project");
        ines.writes("Client", "Penwether Observatory Trust")
                .writes("Project", "Flood marks")
                .writes("Starts on", today().toString())
                .writes("Agreed finish", today().plusDays(40).toString())
                .writes("Tax, in per cent", "20");
        ines.page.getByLabel("Something printed").check();
        ines.page.getByLabel("with their usual tasks").uncheck();
        ines.presses("Open the project").sees("Penwether Observatory Trust: Flood marks");
    }

    private void givesSeat(Someone ines) {
        ines.follows("Panes")
                .writes("Name of the audience", "The parish")
                .presses("Set up the pane")
                .sees("At The parish");
        String option = ines.page
                .locator("#contact option", new Page.LocatorOptions().setHasText("Ottoline Vance"))
                .getAttribute("value");
        ines.page.locator("#contact").selectOption(option);
        ines.picks("as", "SIGNATORY").presses("Give the seat");
        assertThat(ines.page.locator(".board-room table.list").getByText("ottoline@penwether.example"))
                .isVisible();
        ines.presses("Publish to The parish");
        assertThat(ines.page.locator(".pending")).hasCount(0);
    }

    private void adds(Someone ines, String phase, String line) {
        ines.page.waitForFunction(
                "() => !document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling, .htmx-added')");
        Locator field = ines.page.getByLabel("Add a task to " + phase, new Page.GetByLabelOptions().setExact(true));
        field.fill(line);
        assertThat(field).hasValue(line);
        field.press("Enter");
    }

    private Locator line(Someone ines, String name) {
        return ines.page.locator(
                ".task-line",
                new Page.LocatorOptions()
                        .setHas(ines.page.getByRole(
                                AriaRole.LINK,
                                new Page.GetByRoleOptions().setName(name).setExact(true))));
    }

    private Locator stageOf(Someone ines, String name) {
        return ines.page.getByLabel("Stage of " + name, new Page.GetByLabelOptions().setExact(true));
    }

    private void plans(Someone ines) {
        ines.follows("Plan").sees("No task yet").looksItOver();
        adds(ines, "Brief", "Measure the marks @teo 3d");
        assertThat(line(ines, "Measure the marks").locator(".task-who")).hasText("Teo Brandt");
        adds(ines, "Brief", "Draw the posts 4d");
        assertThat(line(ines, "Draw the posts")).isVisible();
        partOfTheOneAbove(ines);
        adds(ines, "Brief", NAMES + " @ottoline 2d");
        assertThat(line(ines, NAMES)).hasClass(Pattern.compile("turn-client"));
        adds(ines, "Concept", "Nobody knows @nobody");
        ines.sees("Nobody at this project is called “@nobody”");
        assertThat(ines.page.getByLabel("Add a task to Concept")).hasValue("Nobody knows @nobody");
        ines.looksItOver();
    }

    private void partOfTheOneAbove(Someone ines) {
        Locator field = ines.page.getByLabel("Add a task to Brief", new Page.GetByLabelOptions().setExact(true));
        field.fill("Ask the old boatman 1d");
        field.press("Tab");
        assertThat(ines.page.locator(".part-hint").first()).hasText("a part of “Draw the posts”");
        field.press("Enter");
        assertThat(line(ines, "Ask the old boatman")).hasClass(Pattern.compile("depth-1"));
    }

    private void agrees(Someone ines) {
        ines.follows("Phases and dates").sees("Nothing was agreed on yet").looksItOver();
        String finish = ines.page
                .getByLabel("Agree on the plan as it is today, with the finish on")
                .inputValue();
        ines.presses("Agree on these dates").sees("since then, day by day").looksItOver();
        assertThat(LocalDate.parse(finish)).isAfterOrEqualTo(today());
    }

    private void stretchesWithTheKeyboard(Someone ines) {
        ines.page
                .getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("time").setExact(true))
                .click();
        Locator bar = ines.page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Measure the marks,")));
        bar.focus();
        for (int i = 0; i < 80; i++) {
            bar.press("Shift+ArrowRight");
        }
        ines.sees("The finish moves to").looksItOver();
        ines.page.keyboard().press("Escape");
        assertThat(ines.page.locator("[data-consequence]")).isHidden();
        bar.press("ArrowRight");
        bar.press("ArrowLeft");
        for (int i = 0; i < 80; i++) {
            bar.press("Shift+ArrowRight");
        }
        ines.sees("The finish moves to");
        ines.page.waitForFunction(
                "() => { const said = document.querySelector('[data-consequence]').textContent; const same = "
                        + "window.saidBefore === said; window.saidBefore = said; return same; }",
                null,
                new Page.WaitForFunctionOptions().setPollingInterval(500));
        bar.press("Enter");
        assertThat(ines.page.locator("[data-consequence]")).isHidden();
        assertThat(ines.page.getByText(Pattern.compile("plan \\d\\d"))).isVisible();
        draggedAndLeft(ines);
    }

    private void draggedAndLeft(Someone ines) {
        var box = ines.page
                .getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Ask the old boatman,")))
                .boundingBox();
        ines.page.mouse().move(box.x + 1, box.y + box.height / 2);
        ines.page.mouse().down();
        ines.page.mouse().move(box.x + 120, box.y + box.height / 2);
        ines.sees("Ask the old boatman: ");
        ines.page.mouse().up();
        ines.presses("Leave it as it is");
        assertThat(ines.page.locator(".ghost")).hasCount(0);
    }

    private void ottolineDoesHers() {
        Someone ottoline = onPhone().comesBy(linkInMail("ottoline@penwether.example", "For you: " + NAMES));
        ottoline.sees(NAMES)
                .looksItOver()
                .presses("It is done")
                .sees("Undo: it is not done")
                .looksItOver()
                .presses("Undo: it is not done")
                .sees("In progress")
                .seesNot("Undo: it is not done");
        ottoline.writes("What you want to say", "Seven names, from the parish book.")
                .presses("Say it")
                .sees("Seven names, from the parish book.")
                .looksItOver();
        ottoline.page.locator("header a").first().tap();
        ottoline.sees("Waiting for you, Ottoline").looksItOver();
        ottoline.presses(NAMES + " is done")
                .sees("Thank you: “" + NAMES + "” is done.")
                .looksItOver();
    }

    private void explains(Someone ines) {
        ines.page.locator(".slip-sum").click();
        ines.sees("by changes of the plan, and days of rest").looksItOver();
        assertThat(ines.page.locator(".slip-part.plan-change b")).not().hasText("0");
        assertThat(ines.page.locator(".slip-part.client b")).hasText("0");
    }
}
