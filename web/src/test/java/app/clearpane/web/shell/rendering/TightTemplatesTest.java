package app.clearpane.web.shell.rendering;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TightTemplatesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            ignoreLeadingAndTrailingWhitespace = false,
            value = {
                "<p>¶  One,¶  two  three¶</p>|<p> One, two  three </p>",
                "<a¶  href='/'¶  title=\"A¶    b\"¶  >c</a¶><b>d</b>|<a href='/' title=\"A b\">c</a><b>d</b>",
                "<input¶  placeholder=\"Search  /\"¶/>|<input placeholder=\"Search  /\" />",
                "<i th:if=\"${a > b}\">1 < 2 and it's so</i>|<i th:if=\"${a > b}\">1 < 2 and it's so</i>",
                "<!--/* it's¶   kept */-->¶¶  <b>x</b>|<!--/* it's¶   kept */--> <b>x</b>"
            })
    void linesEndInABlankAndTagsStandInOne(String written, String read) {
        assertThat(TightTemplates.tight(written.replace('¶', '\n'))).isEqualTo(read.replace('¶', '\n'));
    }

    @Test
    void whatIsTightStaysAsItIs() {
        String tight = TightTemplates.tight("<p>\n  <b\n  >x</b\n  >\n</p>");
        assertThat(TightTemplates.tight(tight)).isEqualTo(tight);
    }
}
