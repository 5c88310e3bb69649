package app.clearpane.core.supply.question;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is typed is read as questions, and written as it would be typed. */
class QuestionLinesTest {
    private static final String EVENINGS = """
            # The evenings
            What we would like to know before we draw.

            Who comes at night? *
            - Families
            - Schools
            - Members of the trust
            several
            help: Think of a usual week.

            How many on a full night?
            a number of people, 0 to 400
            only if Who comes at night? is Families

            # The walk

            How dark may it be? *
            from 1 to 5, dim to pitch dark

            What do they say on the way home?
            long, at most 80 words
            example: I never knew how dark it gets.

            Which blue?
            - Night, picture: night.png
            - Slate, picture: slate.png

            When is the first evening?
            a day

            What may the torches cost?
            a money range in GBP

            What comes first?
            - Stars
            - Moon
            in order

            Photographs of the path
            file: 2 photographs, 200 dpi at A4
            """;

    private static QuestionLines read(String text) {
        return QuestionLines.read(text);
    }

    private static String kinds(Questionnaire of) {
        return of.questions().stream()
                .map(one -> one.form().getClass().getSimpleName() + (one.required() ? "*" : ""))
                .collect(Collectors.joining(" "));
    }

    @Test
    void eachBlockIsAQuestion() {
        QuestionLines read = read(EVENINGS);
        assertThat(read.wrong()).isEmpty();
        assertThat(kinds(read.questionnaire()))
                .isEqualTo("SeveralOf* Number Scale* Typed OneOf OnDay MoneyRange InOrder");
        assertThat(read.questionnaire().sections())
                .extracting(Questionnaire.Section::title)
                .containsExactly("The evenings", "The walk");
        assertThat(read.questionnaire().sections().get(0).words())
                .isEqualTo("What we would like to know before we draw.");
        assertThat(read.files()).containsExactly("Photographs of the path, 2 photographs, 200 dpi at A4");
        assertThat(read.questionnaire()
                        .questions()
                        .get(1)
                        .askedIf()
                        .orElseThrow()
                        .question())
                .isEqualTo(read.questionnaire().questions().get(0).id());
    }

    @Test
    void whatIsWrittenReadsTheSame() {
        QuestionLines once = read(EVENINGS);
        String typed = QuestionLines.write(once.questionnaire(), once.files());
        QuestionLines again = read(typed);
        assertThat(again.wrong()).isEmpty();
        assertThat(QuestionLines.write(again.questionnaire(), again.files())).isEqualTo(typed);
        assertThat(kinds(again.questionnaire())).isEqualTo(kinds(once.questionnaire()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Who?/only if Who? is me                         | Line 2: “Who? is me” begins with no question above",
                "Who?/- a/- b//Why?/only if Who? is c            | Line 6: “c” cannot be chosen there; what can is a, b",
                "Who?/- a                                        | Line 1: There should be two things or more",
                "Who?/- a/- a                                    | Line 1: Two of what can be chosen are the same",
                "Who?/sideways                                   | Line 2: “sideways” is no way to answer",
                "Who?//who?                                      | Line 3: this was asked above already",
                "How far?/from 5 to 1                            | Line 2: A scale has 2 to 11 steps",
                "Who?//Why?/only if Who? is at least 3           | Line 4: “is at least” needs a question for a number",
                "Who?//Why?/only if Who?                         | Line 4: “Who?” begins with no question above",
                "Who?//Why?/only if Who? was me                  | Line 4: say what it should be",
                "*                                               | Line 1: the question has no words",
            })
    void whatCannotBeReadIsSaidWithItsLine(String typed, String said) {
        assertThat(read(typed.replace("/", "\n")).wrong())
                .singleElement()
                .asString()
                .startsWith(said);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\n\n", "#", "# Only a title", "\u0000", "- \n-", "only if", "file:"})
    void nothingIsTooOddToBeRead(String typed) {
        assertThat(read(typed).questionnaire().questions()).hasSizeLessThanOrEqualTo(1);
    }

    @Test
    void thereIsAnEndToIt() {
        String many = "x".repeat(10).concat("\n\n").repeat(1);
        String text = java.util.stream.IntStream.range(0, 130)
                .mapToObj(i -> "Question " + i + many)
                .collect(Collectors.joining());
        assertThat(read(text).questionnaire().questions()).hasSize(QuestionLines.MOST);
        assertThat(read(text).wrong()).hasSize(10);
        assertThat(read("😀".repeat(500)).wrong()).containsExactly("Line 1: it is longer than 400 letters.");
    }

    @Test
    void whatAsksTheSameIsTheSameWhenItIsChanged() {
        Questionnaire before = read(EVENINGS).questionnaire();
        Questionnaire.Changed changed = before.changedTo(read(EVENINGS.replace("Which blue?", "Which of these blues?")
                        .replace("Think of a usual week.", "In a usual week."))
                .questionnaire());
        assertThat(List.of(changed.added(), changed.gone())).containsExactly(1, 1);
        Questionnaire now = changed.now();
        assertThat(now.questions().get(0).id())
                .isEqualTo(before.questions().get(0).id());
        assertThat(now.questions().get(0).help()).isEqualTo("In a usual week.");
        assertThat(now.questions().get(1).askedIf())
                .isEqualTo(before.questions().get(1).askedIf());
        assertThat(before.changedTo(read(EVENINGS).questionnaire()).ofQuestions())
                .isFalse();
    }
}
