package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Reading, leaving a note and deciding in a browser that runs no scripts. */
class WithoutScriptsTest extends Journey {

    @Test
    void mirelaReadsLeavesNoteAndDecides() {
        Someone mirela = withoutScripts().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.sees("Where we are").follows("Visitor map").sees("version 2");
        mirela.page.locator("input[type=image]").click(new Locator.ClickOptions().setPosition(100, 100));
        mirela.ticks("idea")
                .writes("Your note", "A bench here, for the climb?")
                .presses("Leave the note")
                .sees("A bench here, for the climb?");
        assertThat(mirela.page
                        .locator(".note", new Page.LocatorOptions().setHasText("A bench here"))
                        .getByText("Mirela Stancu"))
                .isVisible();
    }

    @Test
    void jasperStandsAside() {
        Someone jasper = withoutScripts().comesBy(linkOf("jasper@penwether.example", "Visitor centre"));
        jasper.follows("Visitor map")
                .unfolds("Stand aside")
                .page
                .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stand aside"))
                .click();
        jasper.sees("the others decide without you");
    }

    @Test
    void teamSetsApertureWithoutScripts() {
        Someone ines = withoutScripts().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.goes("/t").follows("Ticket-hall signs").follows("Panes").picks("Files for this audience", "OPEN");
        ines.page
                .locator(
                        "td form.aperture",
                        new Page.LocatorOptions().setHas(ines.page.getByLabel("Files for this audience")))
                .first()
                .locator("noscript button")
                .click();
        ines.sees("Publish to Operations");
    }
}
