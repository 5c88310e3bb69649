package app.clearpane.usecases.supply.question;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.question.Answer;
import app.clearpane.core.supply.question.AnswerForm;
import app.clearpane.core.supply.question.Answers;
import app.clearpane.core.supply.question.AskIf;
import app.clearpane.core.supply.question.Question;
import app.clearpane.core.supply.question.Questionnaire;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.usecases.shell.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** How questions and answers are spoken of. Templates call it {@code questions}. */
@Component
public final class QuestionWords implements TemplateHelper {
    private static final int FEW_WORDS = 3;
    private final Words words;

    QuestionWords(Words words) {
        this.words = words;
    }

    @Override
    public String name() {
        return "questions";
    }

    /** What stands in a field for an answer, so that one can tell whether it was touched. */
    public static String field(List<String> said) {
        return String.join("\n", said);
    }

    /** Which field a question is answered in. */
    public static String fieldOf(Question question) {
        AnswerForm form = question.form();
        if (form instanceof AnswerForm.Typed typed) {
            return typed.inLines() ? "lines" : "line";
        }
        if (form instanceof AnswerForm.OneOf) {
            return "one";
        }
        if (form instanceof AnswerForm.SeveralOf) {
            return "several";
        }
        if (form instanceof AnswerForm.InOrder) {
            return "order";
        }
        if (form instanceof AnswerForm.Scale) {
            return "scale";
        }
        return form instanceof AnswerForm.OnDay ? "day" : form instanceof AnswerForm.Number ? "number" : "money";
    }

    /** The steps of a scale, lowest first. */
    public static List<Integer> steps(AnswerForm.Scale scale) {
        return IntStream.rangeClosed(scale.from(), scale.to()).boxed().toList();
    }

    /** The things to be put in order, as they stand: as they were put, else as they are asked. */
    public static List<String> order(Question question, List<String> said) {
        return said.isEmpty()
                ? question.form().options().stream()
                        .map(AnswerForm.Option::name)
                        .toList()
                : said;
    }

    /** What stands in one of two fields, the lower first. */
    public static String at(List<String> said, int index) {
        return index < said.size() ? said.get(index) : "";
    }

    /** What lies before somebody for a question: what they typed and could not be kept, else what they said. */
    public static List<String> shown(
            Answers answers, Question question, Optional<ContactId> by, Map<UUID, List<String>> typed) {
        List<String> theirs = typed.get(question.id());
        return theirs != null
                ? theirs
                : by.flatMap(one -> answers.to(question, one)).map(Answer::said).orElse(List.of());
    }

    /** What others answered, the latest last. */
    public static List<Answer> others(Answers answers, Question question, Optional<ContactId> but) {
        return answers.to(question).stream()
                .filter(one -> but.filter(one.by()::equals).isEmpty())
                .toList();
    }

    /** An answer as it is read. */
    public String said(Question question, List<String> said) {
        return question.form() instanceof AnswerForm.OnDay && !said.isEmpty()
                ? words.day(LocalDate.parse(said.get(0)))
                : inWords(question, said);
    }

    /** The same, for what is kept. */
    static String inWords(Question question, List<String> said) {
        AnswerForm form = question.form();
        if (form instanceof AnswerForm.MoneyRange money) {
            return String.join(" to ", said) + " " + money.currency();
        }
        if (form instanceof AnswerForm.Number number) {
            return (String.join("", said) + " " + number.unit()).strip();
        }
        if (form instanceof AnswerForm.InOrder) {
            return String.join(" › ", said);
        }
        if (form instanceof AnswerForm.Scale scale) {
            return String.join("", said) + " of " + scale.to();
        }
        return String.join(", ", said);
    }

    /** How far it is: “2 of 3 answered”. */
    public String progress(Answers answers) {
        Answers.Progress progress = answers.progress();
        return progress.of() == 0
                ? "nothing has to be answered"
                : progress.answered() + " of " + progress.of() + " answered";
    }

    /** What is left to do, in a sentence. */
    public String left(Answers answers) {
        int left = answers.left().size();
        int differ = answers.toChoose().size();
        if (left == 0 && differ == 0) {
            return answers.mayBeHandedIn() ? "All that has to be answered is." : "Nothing is answered yet.";
        }
        List<String> said = new ArrayList<>();
        if (left > 0) {
            said.add(words.count(left, "question has", "questions have") + " to be answered still");
        }
        if (differ > 0) {
            said.add("in " + words.count(differ, "question", "questions") + " you differ");
        }
        String joined = String.join(", and ", said) + ".";
        return joined.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + joined.substring(1);
    }

    /** What came and went when it was changed. */
    static String change(Questionnaire.Changed changed) {
        List<String> said = new ArrayList<>();
        if (changed.added() > 0) {
            said.add(changed.added() + (changed.added() == 1 ? " question is new" : " questions are new"));
        }
        if (changed.gone() > 0) {
            said.add(changed.gone() + (changed.gone() == 1 ? " is gone" : " are gone"));
        }
        return said.isEmpty() ? "words only" : String.join(", ", said);
    }

    /** On what condition a question is asked, in words. */
    public static Optional<String> askedIf(Questionnaire questionnaire, Question question) {
        return question.askedIf()
                .map((AskIf condition) -> "only if “"
                        + questionnaire
                                .question(condition.question())
                                .orElseThrow()
                                .words() + "” "
                        + condition.how().words() + " " + condition.value());
    }

    /** What is odd about the answers to a question, a few words each. */
    public static List<String> odd(Answers answers, Question question) {
        List<String> odd = new ArrayList<>();
        if (!answers.isAsked(question)) {
            return answers.to(question).isEmpty() ? List.of() : List.of("not asked any more: kept aside");
        }
        if (answers.differ(question)) {
            odd.add("they differ");
        }
        if (question.required() && answers.to(question).isEmpty()) {
            odd.add("not answered yet");
        }
        boolean few = question.form() instanceof AnswerForm.Typed typed
                && typed.inLines()
                && answers.counts(question)
                        .filter(one -> one.said().get(0).split("\\s+").length <= FEW_WORDS)
                        .isPresent();
        if (few) {
            odd.add("a few words only");
        }
        return odd;
    }

    /** What a question looks like as things stand. */
    public static String tone(Answers answers, Question question) {
        if (answers.differ(question)) {
            return "differ";
        }
        return !answers.to(question).isEmpty() ? "answered" : question.required() ? "" : "optional";
    }

    /** When somebody answered. */
    public String answered(Answer answer) {
        return answer.name() + ", " + words.when(answer.at());
    }

    /** Whether an answer is the one that counts. */
    public static boolean counts(Answers answers, Question question, Answer answer) {
        return answers.counts(question).filter(answer::equals).isPresent();
    }

    /** Everybody who answered something, by name, each once. */
    public static List<Answer> people(Answers answers) {
        Map<ContactId, Answer> people = new LinkedHashMap<>();
        answers.questionnaire().questions().stream()
                .flatMap(question -> answers.to(question).stream())
                .sorted(Comparator.comparing(Answer::name)
                        .thenComparing(one -> one.by().value()))
                .forEach(one -> people.putIfAbsent(one.by(), one));
        return List.copyOf(people.values());
    }

    /** Who answers together, in a sentence. */
    public String askedTogether(Request request) {
        return words.and(request.asked().stream().map(Request.Asked::name).toList())
                + " are asked together: one answer to each question is enough.";
    }
}
