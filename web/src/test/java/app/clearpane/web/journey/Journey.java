package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import app.clearpane.web.DemoHouse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInfo;

/** One browser for all journeys of a class; everybody in it has cookies of their own. */
abstract class Journey extends DemoHouse {
    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");
    private static Playwright playwright;
    private static Browser browser;
    private final List<Someone> people = new ArrayList<>();

    @BeforeAll
    static void open() {
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(ARGUMENTS));
    }

    @AfterAll
    static void close() {
        browser.close();
        playwright.close();
    }

    @AfterEach
    void leave(TestInfo test) {
        for (int i = 0; i < people.size(); i++) {
            people.get(i)
                    .leavesPicture(test.getTestMethod().orElseThrow().getName() + "-"
                            + test.getDisplayName().replaceAll("[^A-Za-z0-9]+", "-") + (i + 1));
        }
        people.forEach(Someone::leave);
        people.clear();
    }

    /** Somebody at a desk. */
    Someone atDesk() {
        return with(new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    /** Somebody with a phone. */
    Someone onPhone() {
        return with(new Browser.NewContextOptions()
                .setViewportSize(390, 844)
                .setHasTouch(true)
                .setIsMobile(true));
    }

    /** Somebody whose browser runs no scripts. */
    Someone withoutScripts() {
        return with(new Browser.NewContextOptions().setViewportSize(1280, 800).setJavaScriptEnabled(false), false);
    }

    private Someone with(Browser.NewContextOptions options) {
        return with(options, true);
    }

    private Someone with(Browser.NewContextOptions options, boolean scripts) {
        Someone someone = new Someone(browser.newContext(options.setBaseURL(address())), scripts);
        people.add(someone);
        return someone;
    }

    /** The link in the newest mail to somebody whose subject begins so, once the post room has it. */
    String linkInMail(String address, String subject) {
        Someone postman = atDesk();
        Locator mail = postman.page
                .locator(".mails a", new Page.LocatorOptions().setHasText(subject))
                .first();
        postman.page.waitForCondition(() -> {
            postman.goes("/post-room?reader=" + address);
            return mail.count() > 0;
        });
        mail.click();
        postman.looksItOver();
        String link = Objects.requireNonNull(
                postman.page.frameLocator("iframe").locator("a.go").getAttribute("href"));
        people.remove(postman);
        postman.leave();
        return link;
    }

    /** A file of the demo under another name, to upload. */
    static Path demoFile(String name, String as) throws IOException {
        Path file = Files.createTempDirectory("clear-pane-upload").resolve(as);
        try (InputStream in = Objects.requireNonNull(Journey.class.getResourceAsStream("/demo-files/" + name), name)) {
            Files.copy(in, file);
        }
        return file;
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
