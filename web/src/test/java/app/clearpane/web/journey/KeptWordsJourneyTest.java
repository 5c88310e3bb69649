package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/**
 * Nothing that somebody typed is lost: by Escape, by going elsewhere, by closing the page, or for want of a network.
 */
class KeptWordsJourneyTest extends Journey {
    private static final String NOTE = "The ferry is missing from the legend.";

    private static Locator notes(Someone who) {
        return who.page.locator("[data-note]", new Page.LocatorOptions().setHasText(NOTE));
    }

    private static void begins(Someone who, String words) {
        who.page.keyboard().press("p");
        draws(who, 0.6, 0.62);
        who.page.keyboard().type(words);
    }

    @Test
    void aNoteThatWasBegunIsOfferedAgainWhereverOneWent() {
        Someone mirela = mirelaAtTheMap();
        begins(mirela, "Half a tho");
        mirela.page.keyboard().press("Escape");
        mirela.sees("A note you began is kept: “Half a tho”");
        mirela.page.reload();
        mirela.atTheTable().presses("Go on with it");
        assertThat(mirela.page.locator("#new-note-text")).hasValue("Half a tho");
        mirela.page.locator("#new-note-text").press("End");
        mirela.page.keyboard().type("ught");
        String table = mirela.page.url();
        mirela.goes("/c");
        mirela.goes(table)
                .atTheTable()
                .sees("A note you began is kept: “Half a thought”")
                .looksItOver();
        mirela.presses("Throw it away");
        mirela.page.reload();
        mirela.atTheTable();
        assertThat(mirela.page.locator(".kept-note")).hasCount(0);
    }

    @Test
    void anAnswerThatWasBegunStandsInItsFormAgain() {
        Someone mirela = mirelaAtTheMap();
        Locator note = mirela.page.locator("[data-note]").first();
        note.locator("summary", new Locator.LocatorOptions().setHasText("Answer"))
                .click();
        note.locator("textarea[name=said]").fill("An answer that was not sent.");
        mirela.page.reload();
        mirela.atTheTable();
        Locator again = mirela.page.locator("[data-note]").first();
        again.locator("summary", new Locator.LocatorOptions().setHasText("Answer"))
                .click();
        assertThat(again.locator("textarea[name=said]")).hasValue("An answer that was not sent.");
        again.locator(".kept-words button").click();
        assertThat(again.locator("textarea[name=said]")).hasValue("");
    }

    @Test
    void whatWasSentFromAPlainFormIsNotOfferedAgain() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.follows("Visitor map").follows("About");
        ines.page.locator("#said").fill("Said once and for all.");
        ines.presses("Say it").sees("Said once and for all.");
        assertThat(ines.page.locator("#said")).hasValue("");
        ines.page.reload();
        assertThat(ines.page.locator("#said")).hasValue("");
        ines.page
                .locator(".stands-row", new Page.LocatorOptions().setHasText("Said once and for all."))
                .locator("button")
                .click();
        ines.sees("for the team");
    }

    @Test
    void withoutANetworkANoteWaitsAndIsSentOnce() {
        Someone mirela = mirelaAtTheMap();
        begins(mirela, NOTE);
        mirela.page.context().setOffline(true);
        mirela.presses("Leave the note").sees("A note waits for a network and will be sent without your doing");
        assertThat(notes(mirela)).hasCount(0);
        mirela.presses("Try now").sees("A note waits for a network");
        mirela.page.context().setOffline(false);
        assertThat(notes(mirela)).hasCount(1);
        mirela.page.reload();
        mirela.atTheTable();
        assertThat(notes(mirela)).hasCount(1);
        assertThat(mirela.page.locator(".waiting-notes")).hasCount(0);
        withdraws(mirela, NOTE);
    }
}
