package app.clearpane.usecases.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was typed becomes a value, or a sentence that says what is wrong with it. */
class InputTest {
    private final Input input = new Input();

    private List<String> wrong() {
        Refused refused = catchThrowableOfType(Refused.class, input::allGood);
        return refused == null ? List.of() : refused.sentences();
    }

    @ParameterizedTest(name = "“{0}”: {1}{2}")
    @CsvSource(
            nullValues = "-",
            value = {
                "2027-03-24, 2027-03-24, -",
                "' 2027-03-24 ', 2027-03-24, -",
                "1900-01-01, 1900-01-01, -",
                "9999-12-31, 9999-12-31, -",
                "2028-02-29, 2028-02-29, -",
                "1899-12-31, -, The day: “1899-12-31” lies outside the years 1900 to 9999.",
                "+10000-01-01, -, The day: “+10000-01-01” lies outside the years 1900 to 9999.",
                "-0001-01-01, -, The day: “-0001-01-01” lies outside the years 1900 to 9999.",
                "2027-02-29, -, 'The day: “2027-02-29” is not a date. Choose one, or type it as 2027-03-24.'",
                "24.3.2027, -, 'The day: “24.3.2027” is not a date. Choose one, or type it as 2027-03-24.'",
                "'', -, 'The day: “” is not a date. Choose one, or type it as 2027-03-24.'",
                "٢٠٢٧-٠٣-٢٤, -, 'The day: “٢٠٢٧-٠٣-٢٤” is not a date. Choose one, or type it as 2027-03-24.'"
            })
    void aDayIsOneThatThereIsInTheseYears(String typed, LocalDate day, String sentence) {
        assertThat(input.day("The day", typed).orElse(null)).isEqualTo(day);
        assertThat(wrong()).isEqualTo(sentence == null ? List.of() : List.of(sentence));
    }

    @ParameterizedTest(name = "“{0}”: {1}")
    @CsvSource(
            nullValues = "-",
            value = {
                "1, 1",
                "' 9 ', 9",
                "0, -",
                "10, -",
                "-1, -",
                "1.5, -",
                "99999999999999999999, -",
                "'', -",
                "one, -",
                "+3, 3"
            })
    void aNumberLiesBetweenItsLimits(String typed, Integer number) {
        assertThat(input.number("Rounds", typed, 1, 9).orElse(null)).isEqualTo(number);
        assertThat(wrong())
                .isEqualTo(
                        number == null
                                ? List.of("Rounds: “" + typed + "” should be a whole number from 1 to 9.")
                                : List.of());
    }

    @Test
    void textHasLinesAndTabsAndNothingElseThatCannotBeSeen() {
        assertThat(input.text("The note", "  one\r\ntwo\rthree\tfour\u0000\u0007\u001b[31m ", 100))
                .isEqualTo("one\ntwo\nthree\tfour[31m");
        assertThat(wrong()).isEmpty();
    }

    @Test
    void lengthIsCountedAsPeopleCount() {
        String faces = "🙂".repeat(300);
        assertThat(input.text("The note", faces, 300)).isEqualTo(faces);
        assertThat(wrong()).isEmpty();
        input.text("The note", faces + "!", 300);
        assertThat(wrong()).containsExactly("The note: 300 characters are allowed; this has 301.");
        input.text("The page", "x".repeat(20_001), 20_000);
        assertThat(wrong()).contains("The page: 20,000 characters are allowed; this has 20,001.");
    }

    /** A long thing is said again by its beginning, which ends with a whole character. */
    @Test
    void whatCannotBeReadIsSaidAgainInShort() {
        input.day("The day", "🙂".repeat(200));
        input.number("Rounds", "x".repeat(5_000), 1, 2);
        input.email("Address", "🙂".repeat(200));
        assertThat(wrong())
                .containsExactly(
                        "The day: “" + "🙂".repeat(40) + "…” is not a date. Choose one, or type it as 2027-03-24.",
                        "Rounds: “" + "x".repeat(40) + "…” should be a whole number from 1 to 2.",
                        "Address: “" + "🙂".repeat(40)
                                + "…” is not a mail address. It should look like name@example.org.");
    }

    @Test
    void allThatIsWrongIsSaidAtOnce() {
        input.name("The project’s name", " ");
        input.email("The address", "nobody");
        input.require(false, "Choose somebody.");
        input.require(true, "This is not said.");
        assertThat(wrong())
                .containsExactly(
                        "The project’s name: A name is needed.",
                        "The address: “nobody” is not a mail address. It should look like name@example.org.",
                        "Choose somebody.");
        assertThatCode(new Input()::allGood).doesNotThrowAnyException();
    }
}
