package app.clearpane.core.supply.question;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rule Q5, whole: what is asked, what counts, what is left, and where people differ. */
class AnswersTest {
    private static final Instant NOON = Instant.parse("2027-03-24T12:00:00Z");
    private static final List<String> PEOPLE = List.of("Ottoline", "Jasper", "Mirela");

    private final Questionnaire questionnaire = QuestionLines.read("""
                    Open at night? *
                    - Yes
                    - No

                    How late? *
                    a number of hours, 0 to 12
                    only if Open at night? is Yes

                    Who locks up? *
                    only if How late? is at least 3

                    Anything else?
                    long
                    """).questionnaire();

    private static ContactId contact(String name) {
        return new ContactId(new UUID(7, PEOPLE.indexOf(name)));
    }

    private Question question(String words) {
        return questionnaire.questions().stream()
                .filter(one -> one.words().startsWith(words))
                .findFirst()
                .orElseThrow();
    }

    private Answer answer(String line, int minute) {
        String[] parts = line.strip().split(": ");
        return new Answer(
                question(parts[1]).id(),
                contact(parts[0]),
                parts[0],
                List.of(parts[2]),
                NOON.plusSeconds(60L * minute));
    }

    /** @param lines “Ottoline: Open: Yes”, one a minute, between | */
    private Answers answers(String lines, Answer.Choice... chosen) {
        List<Answer> all = new ArrayList<>();
        for (String line : lines.split("\\|")) {
            if (!line.isBlank()) {
                all.add(answer(line, all.size()));
            }
        }
        return new Answers(questionnaire, all, Arrays.asList(chosen));
    }

    private static String words(List<Question> of) {
        return of.stream().map(one -> one.words().split(" ")[0]).collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            nullValues = "-",
            value = {
                "''                                                     ; Open Anything     ; 0 ; 1 ; Open ; false",
                "Ottoline: Open: No                                     ; Open Anything     ; 1 ; 1 ; ''   ; true",
                "Ottoline: Open: Yes                                    ; Open How Anything ; 1 ; 2 ; How  ; false",
                "Ottoline: Open: Yes|Jasper: How: 2                     ; Open How Anything ; 2 ; 2 ; ''   ; true",
                "Ottoline: Open: Yes|Jasper: How: 3                     ; Open How Who Anything ; 2 ; 3 ; Who ; false",
                "Ottoline: Open: Yes|Jasper: How: 3|Jasper: Who: Per    ; Open How Who Anything ; 3 ; 3 ; '' ; true",
                "Ottoline: Open: Yes|Jasper: How: 3|Mirela: Open: No    ; Open Anything     ; 1 ; 1 ; ''   ; false",
                "Jasper: How: 9                                         ; Open Anything     ; 0 ; 1 ; Open ; false",
                "Mirela: Anything: A lamp                               ; Open Anything     ; 0 ; 1 ; Open ; false",
                "Ottoline: Open: Perhaps                                ; Open Anything     ; 0 ; 1 ; Open ; false",
            })
    void whatIsAskedAndLeft(String given, String asked, int answered, int of, String left, boolean mayBeHandedIn) {
        Answers answers = answers(given);
        assertThat(words(answers.asked())).isEqualTo(asked);
        assertThat(answers.progress()).isEqualTo(new Answers.Progress(answered, of));
        assertThat(words(answers.left())).isEqualTo(left);
        assertThat(answers.mayBeHandedIn()).isEqualTo(mayBeHandedIn);
    }

    @Test
    void whereTheyDifferSomebodyChooses() {
        String two = "Ottoline: Open: Yes|Ottoline: How: 2|Jasper: Open: No";
        Question open = question("Open");
        assertThat(answers(two).toChoose()).containsExactly(open);
        assertThat(answers(two).counts(open).orElseThrow().name())
                .as("the latest")
                .isEqualTo("Jasper");
        assertThat(answers(two).aside()).extracting(Answer::said).containsExactly(List.of("2"));
        Answers chosen = answers(two, new Answer.Choice(open.id(), contact("Ottoline"), NOON.plusSeconds(600)));
        assertThat(chosen.toChoose()).isEmpty();
        assertThat(chosen.counts(open).orElseThrow().name()).isEqualTo("Ottoline");
        assertThat(words(chosen.asked())).as("what follows from it is asked").isEqualTo("Open How Anything");
        assertThat(chosen.aside()).isEmpty();
        assertThat(chosen.mayBeHandedIn()).isTrue();
        Answers later = answers(two, new Answer.Choice(open.id(), contact("Ottoline"), NOON.plusSeconds(60)));
        assertThat(later.toChoose()).as("Jasper answered after it was chosen").containsExactly(open);
    }

    @Test
    void whoSaysTheSameDoesNotDiffer() {
        Answers answers = answers("Ottoline: Open: No|Jasper: Open: No");
        assertThat(answers.toChoose()).isEmpty();
        assertThat(answers.to(question("Open"))).hasSize(2);
        assertThat(answers.to(question("Open"), contact("Mirela"))).isEmpty();
    }

    @RepeatedTest(60)
    void whateverIsAnsweredAddsUp(RepetitionInfo which) {
        Random random = new Random(which.getCurrentRepetition());
        List<String> said = List.of("Open: Yes", "Open: No", "How: 1", "How: 5", "Who: Per", "Anything: More");
        List<String> lines = new ArrayList<>();
        for (int i = random.nextInt(9); i > 0; i--) {
            String person = PEOPLE.get(random.nextInt(3));
            String what = said.get(random.nextInt(said.size()));
            lines.removeIf(line -> line.startsWith(person + ": " + what.split(":")[0]));
            lines.add(person + ": " + what);
        }
        Answers answers = answers(String.join("|", lines));
        Answers.Progress progress = answers.progress();
        assertThat(progress.answered() + answers.left().size()).isEqualTo(progress.of());
        long counted = answers.asked().stream()
                .mapToLong(one -> answers.to(one).size())
                .sum();
        assertThat(counted + answers.aside().size())
                .as("each answer counts or is aside")
                .isEqualTo(lines.size());
        assertThat(answers.asked()).allMatch(one -> one.askedIf()
                .map(when -> answers.counts(
                                questionnaire.question(when.question()).orElseThrow())
                        .filter(answer -> when.holds(answer.said()))
                        .isPresent())
                .orElse(true));
        assertThat(answers.asked()).containsAll(answers.toChoose()).containsAll(answers.left());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "short              | two  words                 | two words | -",
                "long, at most 2 words | one two three           | -         | At most 2 words, please; these are 3.",
                "a number of people, 0 to 400 | 1,200             | -         | It should be 0 to 400 people.",
                "a number           | 2.50                        | 2.5       | -",
                "a number, at least 3 | 2                         | -         | It should be at least 3.",
                "a number           | many                        | -         | Type a number, like 40 or 2.5.",
                "a day              | 2027-02-29                  | -         | Choose a day, or type it as 2027-03-24.",
                "a day              | 2028-02-29                  | 2028-02-29 | -",
                "from 1 to 5        | 6                           | -         | Choose a step from 1 to 5.",
                "from 1 to 5        | 05                          | 5         | -",
                "a money range in EUR | 3,500;2000                | -         | Type two amounts, the lower one first",
                "a money range in EUR | 2000;3,500                | 2000;3500 | -",
                "a money range in EUR | 2000                      | -         | Type two amounts, the lower one first",
            })
    void whatIsTypedIsReadAsTheQuestionAsks(String form, String typed, String said, String wrong) {
        AnswerForm asks = QuestionLines.read("What?\n" + form)
                .questionnaire()
                .questions()
                .get(0)
                .form();
        if (wrong != null) {
            assertThatIllegalArgumentException()
                    .isThrownBy(() -> asks.read(List.of(typed.split(";"))))
                    .withMessageStartingWith(wrong);
        } else {
            List<String> read = asks.read(List.of(typed.split(";")));
            assertThat(String.join(";", read)).isEqualTo(said);
            assertThat(asks.takes(read)).as("what was read is an answer").isTrue();
        }
        assertThat(asks.read(List.of(""))).as("nothing is no answer").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "several, c;a, a;c, ''",
        "several, a;x, '', Choose of what stands there.",
        "in order, c;a;b, c;a;b, ''",
        "in order, c;a, '', 'Put all 3 of them in order, each once.'",
        "in order, c;a;a, '', 'Put all 3 of them in order, each once.'",
        "short, a;b, '', Choose one of them.",
        "short, b, b, ''",
    })
    void whatIsChosenIsOfWhatStandsThere(String form, String typed, String said, String wrong) {
        AnswerForm asks = QuestionLines.read("What?\n- a\n- b\n- c\n" + form)
                .questionnaire()
                .questions()
                .get(0)
                .form();
        if (wrong.isEmpty()) {
            assertThat(asks.read(List.of(typed.split(";")))).containsExactly(said.split(";"));
        } else {
            assertThatIllegalArgumentException()
                    .isThrownBy(() -> asks.read(List.of(typed.split(";"))))
                    .withMessage(wrong);
        }
    }

    @Test
    void aConditionNamesAnEarlierQuestionOnly() {
        Question second = questionnaire.questions().get(1);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Questionnaire(List.of(new Questionnaire.Section(
                        "", "", List.of(second, questionnaire.questions().get(0))))))
                .withMessageContaining("names no question above it");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Questionnaire(List.of(new Questionnaire.Section(
                        "",
                        "",
                        List.of(
                                questionnaire.questions().get(0),
                                questionnaire.questions().get(0))))));
    }
}
