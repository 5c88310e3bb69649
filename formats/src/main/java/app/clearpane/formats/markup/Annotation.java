package app.clearpane.formats.markup;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A mark as it is written out.
 *
 * @param id an IRI, e.g. {@code urn:uuid:…}
 * @param label "2·3"
 * @param size of the page it is on
 * @param replies the thread
 * @param replacement the wording asked for instead; empty if none is given
 * @param moved what brought it to its progress, by whoever did; empty while nobody did anything
 */
public record Annotation(
        String id,
        String label,
        Place place,
        PageSize size,
        Intent intent,
        MarkupProgress progress,
        String note,
        String author,
        Instant at,
        List<Reply> replies,
        Optional<String> replacement,
        Optional<Reply> moved) {
    public Annotation {
        replies = List.copyOf(replies);
    }

    /** A mark to which nobody did anything. */
    public Annotation(
            String id,
            String label,
            Place place,
            PageSize size,
            Intent intent,
            MarkupProgress progress,
            String note,
            String author,
            Instant at,
            List<Reply> replies,
            Optional<String> replacement) {
        this(id, label, place, size, intent, progress, note, author, at, replies, replacement, Optional.empty());
    }

    /** An answer in a thread. */
    public record Reply(String said, String author, Instant at) {}
}
