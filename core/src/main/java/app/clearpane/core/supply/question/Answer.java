package app.clearpane.core.supply.question;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * What somebody answered to a question last.
 *
 * @param name what they are called
 * @param said in the form that the question asks for, never empty
 */
public record Answer(UUID question, ContactId by, String name, List<String> said, Instant at) {
    public Answer {
        said = List.copyOf(said);
    }

    /** That of several answers one person's counts. @param at when that was chosen */
    public record Choice(UUID question, ContactId of, Instant at) {}
}
