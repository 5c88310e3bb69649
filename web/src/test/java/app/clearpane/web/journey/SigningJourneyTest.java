package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Objects;
import org.junit.jupiter.api.Test;

/** Asking whether bytes were signed, and changing who signs, in a browser. */
class SigningJourneyTest extends Journey {
    private static FilePayload file(String name) throws Exception {
        try (InputStream in =
                Objects.requireNonNull(SigningJourneyTest.class.getResourceAsStream("/demo-files/" + name))) {
            return new FilePayload(name, "application/pdf", in.readAllBytes());
        }
    }

    /** The same to look at, and a byte longer. */
    private static FilePayload savedAnew(FilePayload file) {
        return new FilePayload(file.name, file.mimeType, Arrays.copyOf(file.buffer, file.buffer.length + 1));
    }

    @Test
    void anybodyCanAskWhetherAFileWasSigned() throws Exception {
        Someone printer = onPhone();
        printer.page.navigate(address() + "/p/check");
        printer.page.locator("#check-file").setInputFiles(file("flour-rye-2.pdf"));
        printer.presses("Check it").sees("Yes: exactly these bytes were signed");
        printer.sees("It was released on").looksItOver();
        printer.page.locator("#check-file").setInputFiles(savedAnew(file("flour-rye-2.pdf")));
        printer.presses("Check it").sees("No: these bytes were not signed here.");
        assertThat(printer.page.locator("body")).not().containsText("Rye");
        printer.looksItOver();
    }

    @Test
    void theOrderOfSignersIsChangedByPressingAndWhatItMeansIsSaidFirst() {
        Someone ines = atDesk().comesBy(linkOfTeam("ines@marram-finch.example"));
        ines.page
                .locator(
                        "a[href*='/t/deliverables/']",
                        new com.microsoft.playwright.Page.LocatorOptions().setHasText("Visitor map"))
                .first()
                .click();
        ines.arrivesAt("/t/deliverables/");
        ines.page.locator(".signing summary").click();
        ines.page.locator("[name=rule][value=IN_ORDER]").check();
        assertThat(ines.page.locator(".signers li").first()).containsText("Ottoline");
        ines.page.locator("[data-earlier]:visible").last().click();
        assertThat(ines.page.locator(".signers li").first()).containsText("Jasper");
        ines.looksItOver();
        ines.presses("See what it means")
                .sees("A round is open. This is what the change would do to it:")
                .sees("What was decided so far comes to");
        ines.looksItOver();
        ines.page
                .locator("a", new com.microsoft.playwright.Page.LocatorOptions().setHasText("Leave it as it is"))
                .click();
        ines.sees("Who signs");
        assertThat(ines.page.locator(".signing strong").first()).hasText("Ottoline Vance and Jasper Quill-Adeyemi.");
    }
}
