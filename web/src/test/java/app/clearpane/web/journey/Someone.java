package app.clearpane.web.journey;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.ElementHandle;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.FrameLocator;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitUntilState;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.regex.Pattern;

/**
 * Somebody at a browser: what they see, press and type. What goes wrong in the browser meanwhile is kept and fails the
 * journey.
 */
final class Someone {
    private static final List<String> WCAG = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22a", "wcag22aa");
    private static final String STICKS_OUT = """
      () => { const edge = document.documentElement.clientWidth;
        return document.documentElement.scrollWidth <= edge ? [] : [...document.querySelectorAll(
        "body *")].filter(e => e.getBoundingClientRect().right > edge + 0.5).map(e => e.outerHTML.slice(0, 120)); }""";
    private static final String AXE = axe();
    /** Only what is broken is asked for: all that is well would be most of the answer, and of the time. */
    private static final String BROKEN = """
      ({ tags, mail }) => axe.run({ exclude: [[mail]] }, { runOnly: { type: "tag", values: tags },
      resultTypes: ["violations"] })
        .then(found => found.violations.map(rule => rule.id + ": " + rule.help + rule.nodes.map(
          node => "\\n    " + node.html).join("")))""";
    /** Each kind of element once: its tag, its classes, and which attributes it has. */
    private static final String KINDS_OF_ELEMENTS = """
      () => [...new Set([...document.querySelectorAll("*")].map(e =>
        ["class", "type", "role"].map(name => e.getAttribute(name))
          .concat(e.tagName, e.getAttributeNames().sort()).join(" ")))]""";

    private static final Pattern IDENTIFIER = Pattern.compile("[0-9a-f]{8}-[0-9a-f-]{27}|(?<=/p/)[\\w-]{10,}");
    private static final Map<String, Set<Object>> LOOKED_OVER = new ConcurrentHashMap<>();
    /** The mail of the post room runs no scripts, so nothing can look inside it. */
    private static final String MAIL = ".reading iframe";
    /** How many ms anything may take to show on a slow machine. */
    private static final double PATIENCE = 90_000;

    private final BrowserContext context;
    private final boolean scripts;
    private final List<String> faults = new ArrayList<>();
    final Page page;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    }

    Someone(BrowserContext context, boolean scripts) {
        this.context = context;
        this.scripts = scripts;
        this.page = context.newPage();
        page.setDefaultTimeout(PATIENCE);
        page.onPageError(error -> faults.add("script: " + error));
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && !message.text().contains("status of 4")) {
                faults.add("console: " + message.text());
            }
        });
        page.onResponse(response -> {
            if (response.status() >= 500) {
                faults.add(response.status() + " from " + response.url());
            }
        });
    }

    private static String axe() {
        try (InputStream in = Objects.requireNonNull(AxeBuilder.class.getResourceAsStream("/axe.min.js"))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Keeps what they saw last beside the test's report. */
    void leavesPicture(String name) {
        page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target", "journeys", name + ".png")));
    }

    void leave() {
        context.close();
    }

    /** Follows a link from a mail; where scripts do not run, presses the button that waits there. */
    Someone comesBy(String link) {
        page.navigate(link);
        if (!scripts) {
            presses("Open my page");
        }
        page.waitForURL(
                Pattern.compile("/[ct](/.*)?$"),
                new Page.WaitForURLOptions().setWaitUntil(WaitUntilState.DOMCONTENTLOADED));
        return this;
    }

    Someone goes(String path) {
        page.navigate(path);
        return this;
    }

    /** Presses a button, or what unfolds something. */
    Someone presses(String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first()
                .click();
        return arrives();
    }

    /** Opens something that is folded. */
    Someone unfolds(String summary) {
        page.locator("summary", new Page.LocatorOptions().setHasText(summary))
                .first()
                .click();
        return this;
    }

    Someone follows(String link) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(link))
                .first()
                .click();
        return arrives();
    }

    Someone writes(String label, String words) {
        labelled(label).fill(words);
        return this;
    }

    private Locator labelled(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .locator("visible=true")
                .first();
    }

    Someone picks(String label, String option) {
        labelled(label).selectOption(option);
        return this;
    }

    Someone ticks(String label) {
        labelled(label).check();
        return this;
    }

    Someone chooses(String label, Path file) {
        labelled(label).setInputFiles(file);
        return this;
    }

    /**
     * Waits until what was asked for is there, so that nothing is looked for on the page one is leaving, and what was
     * sent is kept.
     */
    private Someone arrives() {
        assertThat(page.locator(".htmx-request, .htmx-swapping")).hasCount(0);
        return this;
    }

    /** Waits until the address is one of these. */
    Someone arrivesAt(String pattern) {
        page.waitForURL(Pattern.compile(pattern));
        return this;
    }

    /** Waits until the light table is laid out. */
    Someone atTheTable() {
        assertThat(page.locator("[data-tools]:not([hidden])").first()).isAttached();
        return this;
    }

    /** Waits until two versions laid on each other answer to keys. */
    Someone atTheComparison() {
        assertThat(page.locator("[data-compare][aria-keyshortcuts]")).isAttached();
        return this;
    }

    Someone sees(String words) {
        assertThat(page.getByText(words).locator("visible=true").first()).isVisible();
        return this;
    }

    Someone seesNot(String words) {
        assertThat(page.getByText(words)).hasCount(0);
        return this;
    }

    /** Sees something in what clients see; its frame may just be exchanged for the next one. */
    Someone seesThrough(String iframe, Function<FrameLocator, Locator> what) {
        for (int tried = 1; ; tried++) {
            try {
                assertThat(what.apply(page.frameLocator(iframe))).isVisible();
                return this;
            } catch (PlaywrightException exchanged) {
                if (tried == 5 || !String.valueOf(exchanged.getMessage()).contains("detached")) {
                    throw exchanged;
                }
            }
        }
    }

    /** Drags over the sheet on the light table, from and to in parts of its width and height. */
    Someone drags(double fromX, double fromY, double toX, double toY) {
        var sheet = page.locator("[data-sheet]").boundingBox();
        page.mouse().move(sheet.x + fromX * sheet.width, sheet.y + fromY * sheet.height);
        page.mouse().down();
        page.mouse().move(sheet.x + toX * sheet.width, sheet.y + toY * sheet.height);
        page.mouse().up();
        return this;
    }

    /**
     * Brings what looks over into a frame, if it is still there: the sash is exchanged whenever what it shows has
     * changed.
     */
    private static void bringAxe(Frame frame) {
        try {
            if ((boolean) frame.evaluate("() => !window.axe")) {
                frame.evaluate(AXE);
            }
        } catch (PlaywrightException gone) {
            if (!frame.isDetached()) {
                throw gone;
            }
        }
    }

    /** Looks the page over: it can be used by everybody, nothing failed, and nothing sticks out sideways. */
    Someone looksItOver() {
        try {
            return looksOver();
        } catch (PlaywrightException drawnAnew) {
            if (!String.valueOf(drawnAnew.getMessage()).contains("detached")) {
                throw drawnAnew;
            }
            // a frame in the page was drawn anew meanwhile
            page.waitForLoadState();
            return looksOver();
        }
    }

    private Someone looksOver() {
        ElementHandle mail = page.querySelector(MAIL);
        List<Frame> frames = page.frames().stream()
                .filter(frame -> mail == null || !frame.equals(mail.contentFrame()))
                .toList();
        frames.forEach(Someone::bringAxe);
        // at its end, where a bar that stands at the foot covers nothing half
        Object before = page.evaluate(
                "() => { const y = window.scrollY; window.scrollTo(0, document.documentElement.scrollHeight); "
                        + "return y; }");
        if (showsSomethingNew(frames)) {
            assertThat((List<?>) page.evaluate(BROKEN, Map.of("tags", WCAG, "mail", MAIL)))
                    .as(page.url())
                    .isEmpty();
        }
        page.evaluate("y => window.scrollTo(0, y)", before);
        assertThat(faults).as(page.url()).isEmpty();
        assertThat((List<?>) page.evaluate(STICKS_OUT))
                .as("sticks out sideways: " + page.url())
                .isEmpty();
        return this;
    }

    /**
     * Whether there is a kind of element here, in this state, that was not looked over yet on a page of this kind in a
     * window of this size. Looking each over once is most of what a walk takes.
     */
    private boolean showsSomethingNew(List<Frame> frames) {
        String kind =
                IDENTIFIER.matcher(URI.create(page.url()).getPath()).replaceAll("*") + " " + page.viewportSize().width;
        Set<Object> known = LOOKED_OVER.computeIfAbsent(kind, none -> ConcurrentHashMap.newKeySet());
        boolean something = false;
        for (Frame frame : frames) {
            something |= known.addAll((List<?>) frame.evaluate(KINDS_OF_ELEMENTS));
        }
        return something;
    }
}
