package app.clearpane.formats.supply;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TypedTableTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "name;since\nAda;1999",
                "name\tsince\nAda\t1999\n",
                "name,since\nAda,1999\nBea,2001",
                "name,said\nAda,\"yes, gladly\"\nBea,\"no, thanks\"",
                "a;b;c\n\n;;\n1;2;3"
            })
    void rowsOfValuesAreATable(String text) {
        assertThat(TypedTable.is(text)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "One line, with a comma",
                "Open daily, from dusk\nClosed on Mondays, in May\nAnd on holidays, too",
                "one;two\nthree;four;five",
                "name,since\nAda,1999",
                "Plain words\nand more of them\nand no marks"
            })
    void runningTextIsNone(String text) {
        assertThat(TypedTable.is(text)).isFalse();
    }
}
