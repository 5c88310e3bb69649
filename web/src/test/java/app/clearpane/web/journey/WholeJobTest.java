package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.util.List;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/**
 * The whole job once, from a new project to its release, by everybody who has a part in it, in the application as it is
 * packaged, wired and started by its one command.
 */
class WholeJobTest {
    private final PackagedHouse house = PackagedHouse.opens();

    @AfterEach
    void closes() {
        house.close();
    }

    @Test
    void fromNewProjectToRelease() throws IOException {
        Someone ines = house.atDesk();
        opensProject(ines);
        addsDeliverable(ines);
        setsUpPane(ines);
        sendsVersion(ines, 1);
        jasperMarksUpAndSendsBack();
        ottolineSendsBack();
        teoFixes();
        sendsVersion(ines, 2);
        jasperConfirmsAndSigns();
        ottolineSigns();
        releases(ines);
    }

    private void opensProject(Someone ines) {
        ines.goes("/")
                .looksItOver()
                .writes("Mail address", "ines@marram-finch.example")
                .writes("Password", "lantern moss tide seven")
                .presses("Sign in");
        ines.sees("Our turn").looksItOver().follows("New project");
        ines.sees("nothing is shown to anybody yet").looksItOver();
        ines.writes("Client", "Penwether Observatory Trust")
                .writes("Project", "Paths and gates")
                .writes("Starts on", house.today().toString())
                .writes("Agreed finish", house.today().plusDays(60).toString())
                .writes("Tax, in per cent", "20")
                .writes("Who is who at the client", "Jasper Quill-Adeyemi, jasper@penwether.example, trustee")
                .presses("Open the project");
        ines.sees("Penwether Observatory Trust: Paths and gates").looksItOver();
    }

    private void setsUpPane(Someone ines) {
        ines.follows("Panes").sees("At The trustees").looksItOver();
        seat(ines, "Ottoline Vance, ottoline@penwether.example", "SIGNATORY");
        seat(ines, "Jasper Quill-Adeyemi, jasper@penwether.example", "SIGNATORY");
        seat(ines, "Per Halloran, per@penwether.example", "READER");
        ines.presses("Make Ottoline Vance the lead voice").sees("lead voice");
        for (String kind : List.of("Status", "Dates", "Deliverables", "Files")) {
            ines.page.getByLabel(kind + " for this audience").first().selectOption("OPEN");
            assertThat(ines.page.getByLabel(kind + " for this audience").first())
                    .hasValue("OPEN");
            assertThat(ines.page.locator(".pending")).isVisible();
        }
        assertThat(ines.page.getByText("held to Filtered")).isVisible();
        ines.page.locator("#sight").selectOption("after-publishing");
        ines.seesThrough(".sash iframe", frame -> frame.getByText("Waiting for you, Ottoline"));
        ines.looksItOver().presses("Publish to The trustees");
        assertThat(ines.page.locator(".pending")).hasCount(0);
    }

    private void seat(Someone ines, String contact, String role) {
        String option = ines.page
                .locator("#contact option", new Page.LocatorOptions().setHasText(contact))
                .getAttribute("value");
        ines.page.locator("#contact").selectOption(option);
        ines.picks("as", role).presses("Give the seat");
        assertThat(ines.page
                        .locator(".board-room table.list")
                        .getByText(contact.split(", ")[1], new Locator.GetByTextOptions().setExact(true)))
                .isVisible();
    }

    private void addsDeliverable(Someone ines) throws IOException {
        ines.follows("Panes")
                .writes("Name of the audience", "The trustees")
                .presses("Set up the pane")
                .sees("At The trustees");
        ines.follows("Deliverables").sees("Nothing to deliver yet").looksItOver();
        ines.writes("What it is", "Path signs")
                .writes("A line for those who look at it", "Eight signs along the paths.")
                .presses("Add it");
        ines.sees("No version yet").looksItOver();
        ines.chooses("The first version", Browsers.demoFile("visitor-map-1.pdf", "path-signs-1.pdf"))
                .presses("Upload as a draft");
        assertThat(ines.page.locator(".sheet-row img")).hasCount(2);
        ines.looksItOver();
    }

    private void sendsVersion(Someone ines, int number) {
        ines.follows("Deliverables")
                .arrivesAt("/deliverables$")
                .follows("Path signs")
                .presses("Send version " + number + " to 3 people");
        ines.sees("round " + number).looksItOver();
    }

    private void jasperMarksUpAndSendsBack() {
        Someone jasper = house.onPhone().comesBy(house.linkInMail("jasper@penwether.example", "Sign off: Path signs"));
        jasper.sees("Path signs").looksItOver();
        jasper.goes("/c")
                .follows("Paths and gates")
                .sees("Waiting for you, Jasper")
                .sees("Where we are")
                .looksItOver();
        jasper.page.locator(".await a").first().tap();
        jasper.sees("version 1").presses("Leave notes").presses("Point").drags(0.3, 0.4, 0.3, 0.4);
        jasper.writes("Your note", "This gate is on the other side.")
                .presses("Leave the note")
                .sees("This gate is on the other side.");
        jasper.presses("Rectangle").drags(0.5, 0.5, 0.8, 0.7);
        jasper.ticks("question")
                .writes("Your note", "Is this sign lit?")
                .presses("Leave the note")
                .sees("Is this sign lit?")
                .looksItOver();
        jasper.page
                .locator("summary", new Page.LocatorOptions().setHasText("Send back"))
                .tap();
        jasper.looksItOver()
                .writes("In a sentence (if you like)", "One gate is wrong.")
                .presses("Send it back");
        jasper.sees("Thank you: it goes back with your notes.").looksItOver();
    }

    private void ottolineSendsBack() {
        Someone ottoline =
                house.atDesk().comesBy(house.linkInMail("ottoline@penwether.example", "Sign off: Path signs"));
        ottoline.sees("1·1").seesNot("for the team only").presses("Arrow").drags(0.2, 0.8, 0.4, 0.9);
        ottoline.writes("Your note", "The arrow should point this way.")
                .presses("Leave the note")
                .sees("1·3")
                .looksItOver();
        ottoline.unfolds("Send back with").presses("Send it back").sees("Thank you: it goes back");
    }

    private void teoFixes() throws IOException {
        Someone teo = house.atDesk().comesBy(house.linkOfTeam("teo@marram-finch.example"));
        teo.sees("Our turn")
                .follows("Path signs")
                .sees("came back")
                .follows("version 1")
                .sees("This gate is on the other side.")
                .looksItOver();
        teo.presses("Take on mark 1·1").sees("taken on");
        teo.presses("Point")
                .drags(0.6, 0.2, 0.6, 0.2)
                .ticks("for the team only")
                .writes("Your note", "Ask the fabricator about this post.")
                .presses("Leave the note")
                .sees("Ask the fabricator about this post.")
                .looksItOver();
        teo.follows("Versions and sending")
                .chooses("A newer version", Browsers.demoFile("visitor-map-2.pdf", "path-signs-2.pdf"))
                .writes("What changed, in a line", "The gate moved.")
                .presses("Upload as a draft")
                .sees("Send version 2");
        teo.follows("version 1").sees("1·1");
        for (String mark : List.of("1·1", "1·3")) {
            teo.presses("Fixed mark " + mark);
            assertThat(teo.page
                            .locator(".note", new Page.LocatorOptions().setHasText(mark))
                            .getByText("fixed in the draft"))
                    .isVisible();
        }
        teo.looksItOver();
    }

    private void jasperConfirmsAndSigns() {
        Someone jasper = house.onPhone()
                .comesBy(house.linkInMail("jasper@penwether.example", "Sign off: Path signs, version 2"));
        jasper.sees("fixed in 2")
                .seesNot("Ask the fabricator")
                .presses("Confirm mark 1·1")
                .sees("confirmed")
                .looksItOver();
        jasper.unfolds("Sign off")
                .looksItOver()
                .writes("Type your name to sign", "Jasper Quill-Adeyemi")
                .presses("Sign it off");
        jasper.sees("your sign-off is recorded");
    }

    private void ottolineSigns() {
        Someone ottoline = house.atDesk()
                .comesBy(house.linkInMail("ottoline@penwether.example", "Sign off: Path signs, version 2"));
        ottoline.sees("fixed in 2")
                .presses("Reopen mark 1·3")
                .sees("1 change is asked for")
                .unfolds("Sign off")
                .sees("nobody can sign it");
        ottoline.page.keyboard().press("Escape");
        ottoline.page
                .locator(".note", new Page.LocatorOptions().setHasText("1·3"))
                .locator("summary")
                .click();
        ottoline.presses("Withdraw")
                .sees("Leave notes where something should change")
                .unfolds("Sign off")
                .looksItOver()
                .writes("Type your name to sign", "Ottoline Vance")
                .presses("Sign it off");
        ottoline.sees("your sign-off is recorded").looksItOver();
    }

    private void releases(Someone ines) throws IOException {
        ines.follows("Deliverables")
                .follows("Path signs")
                .follows("See the clearance sheet")
                .sees("2 of 2 signed")
                .looksItOver();
        Locator unticked = ines.page.locator(".tick-box[aria-pressed=false]");
        for (int left = unticked.count(); left > 0; left--) {
            unticked.first().click();
            assertThat(unticked).hasCount(left - 1);
        }
        ines.looksItOver().presses("Release version 2");
        ines.page.waitForCondition(() -> {
            ines.page.reload();
            return ines.page.getByText("Keep the bundle").count() > 0;
        });
        Download bundle = ines.page.waitForDownload(() -> ines.follows("Keep the bundle"));
        try (ZipFile zip = new ZipFile(bundle.path().toFile())) {
            assertThat(zip.stream().map(entry -> entry.getName().replaceFirst("^[^/]+/", "")))
                    .contains("bagit.txt", "manifest-sha256.txt")
                    .anyMatch(name -> name.endsWith("path-signs-2.pdf"))
                    .anyMatch(name -> name.endsWith("certificate.pdf"))
                    .anyMatch(name -> name.endsWith(".jsonld"))
                    .anyMatch(name -> name.endsWith(".jsonl"));
        }
        ines.follows("Record").sees("released").sees("signed off").looksItOver();
    }
}
