package app.clearpane.core.agency;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ParticularsTest {
    @Test
    void whoNeverSaidIsCalledAsEver() {
        assertThat(Particulars.NONE.none()).isTrue();
        assertThat(Particulars.NONE.nameOr("The Trust")).isEqualTo("The Trust");
    }

    @Test
    void oneThingSaidIsEnough() {
        Particulars said = new Particulars("", "", "", "GB 1", 1);
        assertThat(said.none()).isFalse();
        assertThat(said.nameOr("The Trust")).isEqualTo("The Trust");
        assertThat(new Particulars("The Trustees", "", "", "", 1).nameOr("The Trust"))
                .isEqualTo("The Trustees");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "The Observatory;Beacon Hill;Penwether|The Observatory, Beacon Hill, Penwether",
                "  One line  |One line",
                "Hill ; ;  Penwether|Hill, Penwether",
                "''|''"
            })
    void anAddressIsWrittenInALine(String lines, String line) {
        assertThat(new Particulars("", lines.replace(";", "\r\n"), "", "", 1).addressInALine())
                .isEqualTo(line);
    }
}
