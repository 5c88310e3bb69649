package app.clearpane.web;

import java.nio.charset.StandardCharsets;
import org.jsoup.Jsoup;

/** What stands on a page as a visitor got it. */
final class Texts {
    private Texts() {}

    /** Its words. @param page its bytes, each a character */
    static String of(String page) {
        return Jsoup.parse(new String(page.getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8))
                .text();
    }
}
