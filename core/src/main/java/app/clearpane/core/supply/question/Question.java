package app.clearpane.core.supply.question;

import java.util.Optional;
import java.util.UUID;

/**
 * One question.
 *
 * @param words what is asked
 * @param help what helps to answer it; may be empty
 * @param example what an answer may look like; may be empty
 * @param askedIf on what condition it is asked; always, if that is missing
 */
public record Question(
        UUID id,
        String words,
        AnswerForm form,
        boolean required,
        String help,
        String example,
        Optional<AskIf> askedIf) {
    /** Whether two questions ask the same of whoever answers: in the same words, whatever stands around them. */
    boolean asksTheSameAs(Question other) {
        return plain(words).equals(plain(other.words)) && form.getClass() == other.form.getClass();
    }

    /** Words without what does not matter to their sense. */
    static String plain(String words) {
        return words.strip().replaceAll("\\s+", " ").toLowerCase(java.util.Locale.ROOT);
    }

    Question with(UUID otherId, Optional<AskIf> otherwiseAskedIf) {
        return new Question(otherId, words, form, required, help, example, otherwiseAskedIf);
    }
}
