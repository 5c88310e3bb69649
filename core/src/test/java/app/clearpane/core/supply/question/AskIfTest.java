package app.clearpane.core.supply.question;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** When a question is asked: the whole table of conditions and answers. */
class AskIfTest {
    private static AskIf condition(AskIf.Holds how, String value) {
        return new AskIf(new UUID(1, 1), how, value);
    }

    @ParameterizedTest
    @CsvSource({
        "IS, Yes, Yes, true",
        "IS, Yes, yes, true",
        "IS, Yes, No, false",
        "IS, Yes, No;Yes, true",
        "IS_NOT, Yes, Yes, false",
        "IS_NOT, Yes, YES, false",
        "IS_NOT, Yes, No, true",
        "IS_NOT, Yes, No;Yes, false",
        "AT_LEAST, 3, 2.9, false",
        "AT_LEAST, 3, 3, true",
        "AT_LEAST, 3, 3.0, true",
        "AT_LEAST, 9, 10, true",
        "AT_MOST, 3, 3.1, false",
        "AT_MOST, 3, 3, true",
        "AT_MOST, 10, 9, true",
        "AT_MOST, -1, -2, true",
    })
    void holdsOfAnAnswer(AskIf.Holds how, String value, String said, boolean holds) {
        assertThat(condition(how, value).holds(Arrays.asList(said.split(";")))).isEqualTo(holds);
    }

    @ParameterizedTest
    @EnumSource(AskIf.Holds.class)
    void nothingHoldsOfNoAnswer(AskIf.Holds how) {
        assertThat(condition(how, "3").holds(List.of())).isFalse();
    }

    @ParameterizedTest
    @EnumSource(AskIf.Holds.class)
    void eachIsReadAsItIsSaid(AskIf.Holds how) {
        QuestionLines read =
                QuestionLines.read("How many?\na number\n\nWhy?\nonly if How many? " + how.words() + " 3\n");
        assertThat(read.wrong()).isEmpty();
        AskIf kept = read.questionnaire().questions().get(1).askedIf().orElseThrow();
        assertThat(kept.how()).isEqualTo(how);
        assertThat(kept.value()).isEqualTo("3");
    }

    @Test
    void numbersAreNoWords() {
        assertThat(condition(AskIf.Holds.AT_LEAST, "3").holds(List.of("12")))
                .as("12 comes before 3 as a word")
                .isTrue();
    }
}
