package app.clearpane.web.journey;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** One browser; everybody in it has cookies of their own. */
final class Browsers implements AutoCloseable {
    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");
    private final Playwright playwright;
    private final Browser browser;
    private final String address;
    private final List<Someone> people = new ArrayList<>();

    /** @param address where pages without a host are */
    Browsers(String address) {
        this.address = address;
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(ARGUMENTS));
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }

    /** Everybody leaves; what each saw last is kept as a picture. */
    void leave(String name) {
        for (int i = 0; i < people.size(); i++) {
            people.get(i).leavesPicture(name + (i + 1));
        }
        people.forEach(Someone::leave);
        people.clear();
    }

    /** Somebody at a desk. */
    Someone atDesk() {
        return with(new Browser.NewContextOptions().setViewportSize(1280, 800), true);
    }

    /** Somebody with a phone. */
    Someone onPhone() {
        return with(
                new Browser.NewContextOptions()
                        .setViewportSize(390, 844)
                        .setHasTouch(true)
                        .setIsMobile(true),
                true);
    }

    /** Somebody whose browser runs no scripts. */
    Someone withoutScripts() {
        return with(new Browser.NewContextOptions().setViewportSize(1280, 800).setJavaScriptEnabled(false), false);
    }

    private Someone with(Browser.NewContextOptions options, boolean scripts) {
        Someone someone = new Someone(browser.newContext(options.setBaseURL(address)), scripts);
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
        try (InputStream in = Objects.requireNonNull(Browsers.class.getResourceAsStream("/demo-files/" + name), name)) {
            Files.copy(in, file);
        }
        return file;
    }
}
