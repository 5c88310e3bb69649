package app.clearpane.core.money;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.text.NumberFormat;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedAmountTest {
    @ParameterizedTest(name = "“{0}” is {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "1840|1840",
                "1840.00|1840.00",
                "1840,5|1840.5",
                "1,840.00|1840.00",
                "1.840,00|1840.00",
                "1 840,00 €|1840.00",
                "£1,840|1840",
                "GBP 1,840|1840",
                "1.840|1840",
                "0.125|0.125",
                ".5|0.5",
                "12.|12",
                "1’840.–|1840",
                "1'840.50 CHF|1840.50",
                "1,234,567.89|1234567.89",
                "12.345.678|12345678",
                "-30|-30",
                "− 30,20|-30.20",
                "0|0",
                "1840.1234|1840.1234",
                "1\u202f840,00|1840.00"
            })
    void readsWhatIsPrinted(String typed, BigDecimal amount) {
        assertThat(TypedAmount.of(typed)).contains(amount);
    }

    @ParameterizedTest(name = "“{0}” is none")
    @ValueSource(
            strings = {
                "",
                "about 20",
                "1.2.3",
                "1,84,000",
                "1.234,567.8",
                "12-3",
                "--3",
                "twenty",
                "1e3",
                ".",
                "1,840.000.00",
                "9999999999999999999999999999"
            })
    void refusesWhatIsNoAmount(String typed) {
        assertThat(TypedAmount.of(typed)).isEmpty();
    }

    @Test
    void whatOtherCountriesPrintComesBackAsItWas() {
        Random random = new Random(46);
        for (Locale locale : new Locale[] {
            Locale.UK,
            Locale.GERMANY,
            Locale.FRANCE,
            Locale.ITALY,
            new Locale("de", "CH"),
            new Locale("sv", "SE"),
            new Locale("es", "ES")
        }) {
            NumberFormat print = NumberFormat.getInstance(locale);
            print.setMinimumFractionDigits(2);
            for (int i = 0; i < 200; i++) {
                BigDecimal amount = new BigDecimal(Math.abs(random.nextLong()) % 100_000_000_000L).movePointLeft(2);
                assertThat(TypedAmount.of(print.format(amount)))
                        .as("%s as printed in %s", print.format(amount), locale)
                        .hasValueSatisfying(read -> assertThat(read).isEqualByComparingTo(amount));
            }
        }
    }
}
