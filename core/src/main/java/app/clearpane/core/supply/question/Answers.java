package app.clearpane.core.supply.question;

import app.clearpane.core.agency.ContactId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What was answered so far, and what is left (rule Q5). A question is asked when its condition holds of the answer that
 * counts: the one that was chosen, else the latest. An answer whose question is not asked any more is kept aside: it
 * feeds no condition and counts nowhere.
 */
public final class Answers {
    private final Questionnaire questionnaire;
    private final Map<UUID, List<Answer>> given = new HashMap<>();
    private final Map<UUID, Answer.Choice> choices = new HashMap<>();
    private final List<Question> asked = new ArrayList<>();
    private final List<Answer> all;

    /**
     * What was answered.
     *
     * @param all each person's last answer to each question, those to questions that are gone too
     * @param chosen at most one for a question
     */
    public Answers(Questionnaire questionnaire, List<Answer> all, List<Answer.Choice> chosen) {
        this.questionnaire = questionnaire;
        this.all = List.copyOf(all);
        for (Answer answer : all) {
            questionnaire
                    .question(answer.question())
                    .filter(one -> one.form().takes(answer.said()))
                    .ifPresent(one -> given.computeIfAbsent(one.id(), none -> new ArrayList<>())
                            .add(answer));
        }
        given.values().forEach(one -> one.sort(Comparator.comparing(Answer::at)));
        chosen.forEach(choice -> choices.put(choice.question(), choice));
        questionnaire.questions().stream().filter(this::holds).forEach(asked::add);
    }

    /** Those asked before it are known by then, since a condition names earlier questions only. */
    private boolean holds(Question question) {
        return question.askedIf()
                .map(condition -> asked.stream()
                        .filter(one -> one.id().equals(condition.question()))
                        .findFirst()
                        .flatMap(this::counts)
                        .filter(answer -> condition.holds(answer.said()))
                        .isPresent())
                .orElse(true);
    }

    public Questionnaire questionnaire() {
        return questionnaire;
    }

    /** The questions that are asked as things stand, in order. */
    public List<Question> asked() {
        return List.copyOf(asked);
    }

    public boolean isAsked(Question question) {
        return asked.contains(question);
    }

    /** What each answered to a question last, the latest last. */
    public List<Answer> to(Question question) {
        return List.copyOf(given.getOrDefault(question.id(), List.of()));
    }

    /** What somebody answered to it. */
    public Optional<Answer> to(Question question, ContactId by) {
        return to(question).stream().filter(one -> one.by().equals(by)).findFirst();
    }

    /** The answer that counts: the one that was chosen, else the latest. */
    public Optional<Answer> counts(Question question) {
        List<Answer> answers = to(question);
        return choice(question)
                .flatMap(choice -> answers.stream()
                        .filter(one -> one.by().equals(choice.of()))
                        .findFirst())
                .or(() -> answers.isEmpty() ? Optional.empty() : Optional.of(answers.get(answers.size() - 1)));
    }

    /** The choice between its answers, as long as nobody answered since. */
    private Optional<Answer.Choice> choice(Question question) {
        return Optional.ofNullable(choices.get(question.id())).filter(choice -> to(question).stream()
                .noneMatch(one -> one.at().isAfter(choice.at())));
    }

    /** Whether people answered differently, and nobody chose between them. */
    public boolean differ(Question question) {
        return choice(question).isEmpty()
                && to(question).stream().map(Answer::said).distinct().count() > 1;
    }

    /** The asked questions between whose answers somebody is to choose. */
    public List<Question> toChoose() {
        return asked.stream().filter(this::differ).toList();
    }

    /** The required questions that are asked and not answered. */
    public List<Question> left() {
        return asked.stream().filter(one -> one.required() && to(one).isEmpty()).toList();
    }

    /** How far it is. @param answered of the required questions that are asked @param of how many those are */
    public record Progress(int answered, int of) {}

    public Progress progress() {
        int required = (int) asked.stream().filter(Question::required).count();
        return new Progress(required - left().size(), required);
    }

    /** What was answered to questions that are not asked any more, or in a form that is not theirs any more. */
    public List<Answer> aside() {
        return all.stream()
                .filter(answer ->
                        asked.stream().noneMatch(one -> one.id().equals(answer.question()) && to(one).contains(answer)))
                .toList();
    }

    /** Whether it may be handed in: something was answered, nothing required is left, and nothing is to be chosen. */
    public boolean mayBeHandedIn() {
        return left().isEmpty()
                && toChoose().isEmpty()
                && asked.stream().anyMatch(one -> counts(one).isPresent());
    }
}
