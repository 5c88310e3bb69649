package app.clearpane.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every kind of page, found by its links: it can be used by everybody, runs without a fault and fits its window. */
class EveryPageTest extends Journey {
    private static final Pattern IDENTIFIER = Pattern.compile("[0-9a-f]{8}-[0-9a-f-]{27}");
    private static final Pattern NOT_A_PAGE =
            Pattern.compile("\\.(csv|vcf|pdf|jsonl|jsonld|xlsx|png|svg)(\\?|$)|/colours/.*/|/content$|/attachments/|"
                    + "/file$|/certificate$|/played$|/bundle$|/sheets/|/look/|/post-room|/sign-out|/p/");

    private static final String LINKS =
            "() => [...document.querySelectorAll(\"a[href^='/']\")].map(link => link.getAttribute('href'))";

    @ParameterizedTest
    @CsvSource({
        "ottoline@penwether.example, 1280",
        "jasper@penwether.example, 390",
        "per@penwether.example, 390",
        "ludo@saltgrass.example, 1280",
        "cora@ellerby.example, 390",
        "grete@hobandbarley.example, 1280"
    })
    void clients(String contact, int width) {
        Someone client = width > 1000 ? atDesk() : onPhone();
        assertThat(walk(client.comesBy(linkOf(contact)))).isPositive();
    }

    @Test
    void team() {
        assertThat(walk(atDesk().comesBy(linkOfTeam("ines@marram-finch.example"))))
                .isGreaterThanOrEqualTo(12);
    }

    @Test
    void strangers() {
        Someone stranger = atDesk();
        for (String path : new String[] {
            "/sign-in", "/come-in", "/p/no-such-key", "/c/panes/no-such-pane", "/t/projects/nothing", "/nowhere"
        }) {
            stranger.goes(path).looksItOver();
        }
    }

    /** Looks over one page of each kind that can be reached from here, by its links. @return how many there were */
    private static int walk(Someone someone) {
        Map<String, String> kinds = new LinkedHashMap<>();
        int pages = 0;
        Deque<String> ahead = new ArrayDeque<>();
        ahead.add(someone.page.url());
        while (!ahead.isEmpty()) {
            String next = ahead.remove();
            someone.goes(next).looksItOver();
            pages++;
            List<?> links = (List<?>) someone.page.evaluate(LINKS);
            for (Object link : links) {
                String path = link.toString().replaceAll("#.*", "");
                String kind = IDENTIFIER.matcher(path.replaceAll("=[^&]*", "=")).replaceAll("*");
                if (!NOT_A_PAGE.matcher(path).find() && kinds.putIfAbsent(kind, path) == null) {
                    ahead.add(path);
                }
            }
        }
        return pages;
    }
}
