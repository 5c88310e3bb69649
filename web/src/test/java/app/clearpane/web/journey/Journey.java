package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.clearpane.web.DemoHouse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.TestInfo;

/** One browser for all journeys; everybody in it has cookies of their own. */
abstract class Journey extends DemoHouse {
    private static final Browsers browsers = opened();

    private static Browsers opened() {
        Browsers opened = new Browsers(address());
        Runtime.getRuntime().addShutdownHook(new Thread(opened::close));
        return opened;
    }

    @AfterEach
    void leave(TestInfo test) {
        browsers.leave(test.getTestMethod().orElseThrow().getName() + "-"
                + test.getDisplayName().replaceAll("[^A-Za-z0-9]+", "-"));
    }

    /** Somebody at a desk. */
    Someone atDesk() {
        return browsers.atDesk();
    }

    /** Somebody with a phone. */
    Someone onPhone() {
        return browsers.onPhone();
    }

    /** Somebody whose browser runs no scripts. */
    Someone withoutScripts() {
        return browsers.withoutScripts();
    }

    /** The link in the newest mail to somebody whose subject begins so, once the post room has it. */
    String linkInMail(String address, String subject) {
        return browsers.linkInMail(address, subject);
    }

    /** A file of the demo under another name, to upload. */
    static Path demoFile(String name, String as) throws IOException {
        return Browsers.demoFile(name, as);
    }

    /** Mirela, at the map that is with the board. */
    Someone mirelaAtTheMap() {
        Someone mirela = atDesk().comesBy(linkOf("mirela@penwether.example", "Visitor centre"));
        mirela.follows("Visitor map").atTheTable();
        return mirela;
    }

    /** Draws over these spots of the sheet, in fractions of it. */
    static void draws(Someone who, double... spots) {
        BoundingBox sheet = who.page.locator("[data-sheet]").boundingBox();
        Mouse mouse = who.page.mouse();
        for (int i = 0; i < spots.length; i += 2) {
            mouse.move(sheet.x + spots[i] * sheet.width, sheet.y + spots[i + 1] * sheet.height);
            if (i == 0) {
                mouse.down();
            }
        }
        mouse.up();
    }

    /** Withdraws a note of their own. */
    static void withdraws(Someone who, String note) {
        Locator own = who.page.locator(".note", new Page.LocatorOptions().setHasText(note));
        own.locator("summary", new Locator.LocatorOptions().setHasText("Answer"))
                .click();
        own.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Withdraw").setExact(true))
                .click();
        assertThat(who.page.locator(".note.settled", new Page.LocatorOptions().setHasText(note)))
                .isVisible();
    }
}
