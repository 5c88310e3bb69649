package app.clearpane.formats.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MarkdownTest {
    @Test
    void understandsEmphasisAndLists() {
        assertThat(Markdown.html("Send **three**:\n\n- dome\n- hall"))
                .isEqualTo("<p>Send <strong>three</strong>:</p>\n<ul>\n<li>dome</li>\n<li>hall</li>\n</ul>\n");
        assertThat(Markdown.html("one\ntwo")).contains("one<br>two");
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<img src=x onerror=alert(1)>",
                "[x](javascript:alert(1))",
                "![x](javascript:alert(1))",
                "<a href='javascript:alert(1)'>x</a>",
                "[x](JaVaScRiPt:alert(1))",
                "[x](data:text/html;base64,AAAA)"
            })
    void leavesNothingThatRuns(String text) {
        assertThat(Markdown.html(text))
                .doesNotContainIgnoringCase("<script")
                .doesNotContain("<img src=x")
                .doesNotContainIgnoringCase("\"javascript:")
                .doesNotContain("<a href='")
                .doesNotContain("\"data:text");
    }
}
