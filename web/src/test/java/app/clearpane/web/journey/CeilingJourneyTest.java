package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * An owner lowers a ceiling: it works at once everywhere, the board says why, and raising it restores what was there.
 */
class CeilingJourneyTest extends Journey {

    @Test
    void loweringHidesAtOnceAndRaisingRestores() {
        Someone grete = atDesk().comesBy(linkOf("grete@hobandbarley.example", "Flour bags"));
        grete.sees("Dates");
        Someone bastian = atDesk().comesBy(linkOfTeam("bastian@marram-finch.example"));
        bastian.goes("/t/ceilings").sees("The most that any pane").looksItOver();
        Locator dates = bastian.page.getByLabel("Ceiling for Dates");
        dates.selectOption("CLOSED");
        bastian.sees("The mill (Flour bags) would no longer see");
        assertThat(dates).hasValue("OPEN");
        grete.page.reload();
        assertThat(grete.page.locator("#dates")).isVisible();
        bastian.looksItOver().presses("Set the ceiling");
        Locator row = bastian.page.locator("tr", new Page.LocatorOptions().setHasText("Dates"));
        assertThat(row.getByText("set to more")).isVisible();
        grete.page.reload();
        assertThat(grete.page.locator("#dates")).hasCount(0);
        theBoardSaysWhy(bastian);
        bastian.goes("/t/ceilings").page.getByLabel("Ceiling for Dates").selectOption("OPEN");
        bastian.sees("would see at once").presses("Set the ceiling");
        assertThat(row.getByText("set to more")).hasCount(0);
        grete.page.reload();
        assertThat(grete.page.locator("#dates")).isVisible();
    }

    private void theBoardSaysWhy(Someone bastian) {
        bastian.goes("/t")
                .follows("Rye, 1 kg")
                .follows("Panes")
                .sees("held to Closed")
                .looksItOver();
        bastian.page
                .locator("tr", new Page.LocatorOptions().setHasText("Dates"))
                .locator("a.cell-link")
                .first()
                .click();
        bastian.sees("The agency’s ceiling is closed for this kind");
    }

    @Test
    void aNewPaneFollowsTheStartingPointUntilItIsGivenItsOwn() {
        Someone bastian = atDesk().comesBy(linkOfTeam("bastian@marram-finch.example"));
        sets(bastian.goes("/t/ceilings"), "Starting point for Dates", "OPEN");
        assertThat(bastian.page.getByLabel("Starting point for Dates")).hasValue("OPEN");
        bastian.goes("/t").follows("Signs for the ticket hall").follows("Panes").unfolds("Another pane");
        bastian.page.locator("#new-pane").fill("The harbour");
        Locator harbour = bastian.presses("Set up the pane")
                .page
                .locator(".board thead th", new Page.LocatorOptions().setHasText("The harbour"));
        assertThat(harbour.getByText("follows the starting point")).isVisible();
        Locator dates = bastian.page
                .locator("tr", new Page.LocatorOptions().setHasText("Dates"))
                .locator("select")
                .nth(1);
        assertThat(dates).hasValue("OPEN");
        bastian.presses("Give The harbour its own");
        assertThat(harbour.getByText("follows the starting point")).hasCount(0);
        assertThat(dates).hasValue("OPEN");
        sets(bastian.goes("/t/ceilings"), "Starting point for Dates", "CLOSED");
        assertThat(bastian.page.getByLabel("Starting point for Dates")).hasValue("CLOSED");
        bastian.goes("/t").follows("Signs for the ticket hall").follows("Panes");
        assertThat(dates).hasValue("OPEN");
        bastian.presses("Let The harbour follow the starting point");
        assertThat(dates).hasValue("CLOSED");
        setsItBack(bastian);
    }

    private void setsItBack(Someone bastian) {
        bastian.looksItOver();
        sets(bastian.goes("/t/ceilings"), "Starting point for Dates", "OPEN");
        assertThat(bastian.page.getByLabel("Starting point for Dates")).hasValue("OPEN");
    }

    @Test
    void whatLiesInAFolderThatPassesIsSeenAtOnceAndAnythingElseIsNot() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.goes("/t")
                .follows("Star-hall panels")
                .follows("Panes")
                .page
                .locator(".board thead a", new Page.LocatorOptions().setHasText("Fabricators"))
                .click();
        ines.arrivesAt("pane=")
                .page
                .locator("tr", new Page.LocatorOptions().setHasText("Files"))
                .locator("a.cell-link")
                .nth(1)
                .click();
        ines.sees("It lies in the folder “Finished artwork”, which passes")
                .sees("No filter lets it pass")
                .looksItOver();
        assertThat(ines.page.getByLabel("Folders that pass")).hasValue("Finished artwork");
        putsATemplateThere(ines);
        ines.sees("Drilling template.txt").follows("Record").sees("let arrive shown");
        Someone dov = onPhone().comesBy(linkOf("dov@garrow.example"));
        dov.sees("Drilling template.txt").seesNot("Opening hours.txt");
    }

    private void putsATemplateThere(Someone ines) {
        ines.follows("Files").sees("All files").follows("Finished artwork").sees("This folder");
        ines.page
                .locator("input[type=file]:not([webkitdirectory])")
                .setInputFiles(new FilePayload(
                        "Drilling template.txt", "text/plain", "Holes at 40 mm".getBytes(StandardCharsets.UTF_8)));
        assertThat(ines.page.locator("td a", new Page.LocatorOptions().setHasText("Drilling template.txt")))
                .isVisible();
    }

    /** Chooses, and confirms it where it is asked about. */
    private static void sets(Someone who, String label, String value) {
        who.page.getByLabel(label).selectOption(value);
        assertThat(who.page.locator(".htmx-request, .htmx-swapping")).hasCount(0);
        Locator set = who.page.locator("#notice button");
        if (set.count() > 0) {
            set.click();
        }
        who.sees(label.startsWith("Ceiling") ? "Ceilings" : "Starting point");
    }

    @Test
    void arrowKeysPassByWhatLiesBetweenAndTheFocusStays() {
        Someone bastian = atDesk().comesBy(linkOfTeam("bastian@marram-finch.example"));
        Locator concerns = bastian.goes("/t/ceilings").page.getByLabel("Starting point for Concerns");
        String before = concerns.inputValue();
        List<String> sent = new ArrayList<>();
        bastian.page.onRequest(
                request -> sent.addAll(request.method().equals("POST") ? List.of(request.url()) : List.of()));
        concerns.focus();
        concerns.press(before.equals("CLOSED") ? "ArrowDown" : "ArrowUp");
        assertThat(concerns).not().hasValue(before);
        assertThat(bastian.page.locator("form.waits-for-enter")).hasCount(1);
        org.assertj.core.api.Assertions.assertThat(sent)
                .as("nothing is sent by passing by")
                .isEmpty();
        concerns.press("Enter");
        assertThat(concerns).isFocused();
        assertThat(bastian.page.locator("form.waits-for-enter")).hasCount(0);
        org.assertj.core.api.Assertions.assertThat(sent).hasSize(1);
        sets(bastian, "Starting point for Concerns", before);
    }

    @Test
    void whatIsChosenFasterThanTheHouseAnswersIsAllKept() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.goes("/t").follows("Signs for the ticket hall").follows("Panes");
        List<String> kinds = List.of("Status", "Dates", "Tasks", "Files");
        List<String> before = kinds.stream()
                .map(kind -> ines.page
                        .getByLabel(kind + " for this audience")
                        .first()
                        .inputValue())
                .toList();
        List<String> wanted = before.stream()
                .map(one -> one.equals("OPEN") ? "CLOSED" : "OPEN")
                .toList();
        chooses(ines, kinds, wanted);
        kinds.forEach(kind -> assertThat(ines.page
                        .locator("tr", new Page.LocatorOptions().setHasText(kind))
                        .locator("[name=before]")
                        .first())
                .hasValue(wanted.get(kinds.indexOf(kind))));
        chooses(ines, kinds, before);
        kinds.forEach(kind -> assertThat(ines.page
                        .locator("tr", new Page.LocatorOptions().setHasText(kind))
                        .locator("[name=before]")
                        .first())
                .hasValue(before.get(kinds.indexOf(kind))));
    }

    /** All in one moment, as by a hand that does not wait. */
    private static void chooses(Someone who, List<String> kinds, List<String> values) {
        who.page.evaluate(
                "([kinds, values]) => kinds.forEach((kind, i) => { const one = "
                        + "document.querySelector(`select[aria-label=\"${kind} for this audience\"]`); one.value = "
                        + "values[i]; one.dispatchEvent(new Event('change', { bubbles: true })); })",
                List.of(kinds, values));
    }
}
