package app.clearpane.formats.plan;

import java.util.List;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.DefaultUrlSanitizer;
import org.commonmark.renderer.html.HtmlRenderer;

/** Markdown as HTML in which nothing of the writer's own HTML and no address that runs a script is left. */
public final class Markdown {
    private static final Parser PARSER = Parser.builder().build();
    private static final HtmlRenderer RENDERER = HtmlRenderer.builder()
            .escapeHtml(true)
            .sanitizeUrls(true)
            .urlSanitizer(new DefaultUrlSanitizer(List.of("http", "https", "mailto")))
            .softbreak("<br>")
            .build();

    private Markdown() {}

    /** The text as HTML. @param text CommonMark */
    public static String html(String text) {
        return RENDERER.render(PARSER.parse(text));
    }
}
