package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** Before anything is published: who gains what, what is worth a second look, and going back. */
class ExposureCheckJourneyTest extends Journey {

    @Test
    void saysPersonByPersonWhatWouldBeShownAndGoesBack() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.goes("/t").follows("Star-hall panels").follows("Panes").sees("What passes");
        ines.page
                .locator(".board thead a", new Page.LocatorOptions().setHasText("Fabricators"))
                .click();
        ines.sees("for Fabricators");
        ines.page
                .locator("tr", new Page.LocatorOptions().setHasText("Files"))
                .locator("a.cell-link")
                .nth(1)
                .click();
        looksWhatWouldBeShown(ines);
        ines.looksItOver();
        Someone dov = onPhone().comesBy(linkOf("dov@garrow.example"));
        dov.seesNot("Costs and margins");
        ines.presses("Discard the changes");
        assertThat(ines.page.locator(".pending")).hasCount(0);
        ines.page
                .locator("tr", new Page.LocatorOptions().setHasText("Files"))
                .locator("a.cell-link")
                .nth(1)
                .click();
        ines.presses("Hold back everywhere: For the team").sees("Held back by Ines");
        ines.follows("Record").sees("dropped what was pending at the pane").looksItOver();
        dov.goes("/c").seesNot("Costs and margins");
    }

    private void looksWhatWouldBeShown(Someone ines) {
        ines.presses("Let go everywhere: For the team")
                .presses("Show For the team")
                .sees("Publishing shows")
                .sees("says “Costs” in its name")
                .unfolds("Person by person");
        assertThat(ines.page
                        .locator(".person", new Page.LocatorOptions().setHasText("Dov Castellan"))
                        .getByText("Costs and margins.csv"))
                .isVisible();
    }
}
