package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** A link for whoever has it, and a page with words of its own. */
class LinkSeatJourneyTest extends Journey {

    private Someone atTheFabricators() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.follows("Star-hall panels")
                .follows("Panes")
                .page
                .locator(".board thead a", new Page.LocatorOptions().setHasText("Fabricators"))
                .click();
        return ines.sees("for Fabricators");
    }

    @Test
    void aStrangerLooksAndMarksUpUntilTheLinkIsTakenBack() {
        Someone ines = atTheFabricators().unfolds("Make a link");
        makesALink(ines);
        assertThat(ines.page.getByAltText("QR code of the address")).isVisible();
        String address = ines.page.getByLabel("Address of the link").inputValue();
        ines.page.reload();
        assertThat(ines.page.getByLabel("Address of the link")).hasCount(0);

        Someone stranger = onPhone();
        stranger.goes(address).sees("Come in").looksItOver();
        saysWhoTheyAre(stranger);
        stranger.seesNot("Opening hours.txt");

        ines.page.reload();
        ines.sees("Opened 1 time")
                .sees("Ana Ruiz, ana@drillshop.example")
                .presses("Take it back")
                .sees("taken back")
                .looksItOver();
        stranger.page.reload();
        stranger.sees("There is nothing here");
        Someone late = onPhone();
        late.goes(address).sees("no longer opens anything");
        ines.follows("Record").sees("came by a link to").sees("took back a link to");
    }

    private void makesALink(Someone ines) {
        ines.page.locator("#link-name").fill("Drill shop");
        ines.page.locator("#link-passcode").fill("brass 40");
        ines.ticks("may mark up, after giving a name and a mail address")
                .presses("Make the link")
                .sees("This is the address.")
                .looksItOver();
    }

    private void saysWhoTheyAre(Someone stranger) {
        stranger.writes("Passcode", "wrong").presses("Open the page").sees("That is not the passcode");
        stranger.writes("Passcode", "brass 40")
                .writes("Your name", "Ana Ruiz")
                .presses("Open the page")
                .sees("give both your name and your mail address");
        stranger.writes("Passcode", "brass 40")
                .writes("Your mail address", "ana@drillshop.example")
                .presses("Open the page")
                .sees("Waiting for you, Ana")
                .sees("How this page works")
                .looksItOver();
    }

    @Test
    void aLinkToLookOnlyOpensByItselfAndLeavesNoNotes() {
        Someone ines = atTheFabricators().unfolds("Make a link");
        ines.page.locator("#link-name").fill("Notice board");
        ines.presses("Make the link").sees("This is the address.");
        Someone passerBy =
                onPhone().comesBy(ines.page.getByLabel("Address of the link").inputValue());
        passerBy.sees("Waiting for you, Guest")
                .sees("Survey of the grounds.pdf")
                .looksItOver();
        ines.presses("Give it another key").sees("This is the address.").sees("Opened 1 time");
        passerBy.page.reload();
        passerBy.sees("There is nothing here");
    }

    @Test
    void sectionsHaveTheirOwnWordsAndOrder() {
        Someone ines = atTheFabricators().unfolds("Sections of their page");
        ines.page.getByLabel("Place of Files").fill("1");
        ines.page.getByLabel("Place of Status").fill("2");
        ines.page.getByLabel("Heading of Files").fill("Drawings to build from");
        ines.page.getByLabel("Line of Files").fill("The newest of each, nothing else.");
        ines.page.getByLabel("Leave out Dates").check();
        ines.presses("Save the sections").looksItOver();
        Someone dov = atDesk().comesBy(linkOf("dov@garrow.example"));
        Locator headings = dov.page.locator("section.part:not(.guide) h2");
        assertThat(headings.nth(1)).hasText("Drawings to build from");
        dov.sees("The newest of each, nothing else.").looksItOver();
        assertThat(dov.page.locator("#dates")).hasCount(0);
        ines.unfolds("Sections of their page")
                .page
                .getByLabel("Leave out Dates")
                .uncheck();
        ines.presses("Save the sections");
        dov.page.reload();
        assertThat(dov.page.locator("#dates")).isVisible();
    }
}
