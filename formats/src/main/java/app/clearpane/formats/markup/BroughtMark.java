package app.clearpane.formats.markup;

import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A mark read from elsewhere.
 *
 * @param origin what it is known by where it came from, so that bringing it twice adds nothing; never empty
 * @param author as it is named there; may be empty
 * @param replacement the wording asked for instead; empty if none is given
 * @param thread what was said and done to it there
 */
public record BroughtMark(
        String origin,
        Place place,
        Intent intent,
        String note,
        String author,
        Optional<String> replacement,
        Thread thread) {
    /**
     * What was said and done to a mark where it came from.
     *
     * @param at when it was made; empty if that is not told
     * @param replies in their order
     * @param state how its review stands, in the words of ISO 32000 ("Accepted", "Rejected", "Cancelled", "Completed");
     *     empty if nobody set one
     */
    public record Thread(Optional<Instant> at, List<Reply> replies, Optional<State> state) {
        /** Nothing. */
        public static final Thread NOTHING = new Thread(Optional.empty(), List.of(), Optional.empty());

        public Thread {
            replies = List.copyOf(replies);
        }
    }

    /** An answer. @param author as it is named there; may be empty */
    public record Reply(String said, String author, Optional<Instant> at) {
        public Reply {
            said = whole(said);
            author = whole(author);
        }
    }

    /** How a review stands. @param by who set it, as it is named there; may be empty */
    public record State(String state, String by, Optional<Instant> at) {
        public State {
            by = whole(by);
        }
    }

    public BroughtMark {
        note = whole(note);
        author = whole(author);
        replacement = replacement.map(BroughtMark::whole);
    }

    /** A text in which half a character is told by a question mark, since nothing that is kept may hold one. */
    private static String whole(String text) {
        return new String(text.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
    }

    /** A mark that asks for no wording. */
    public BroughtMark(String origin, Place place, Intent intent, String note, String author) {
        this(origin, place, intent, note, author, Optional.empty());
    }

    /** A mark to which nothing was said. */
    public BroughtMark(
            String origin, Place place, Intent intent, String note, String author, Optional<String> replacement) {
        this(origin, place, intent, note, author, replacement, Thread.NOTHING);
    }

    /**
     * What was read.
     *
     * @param skipped what could not be read as a mark, each with the reason
     */
    public record Read(List<BroughtMark> marks, List<String> skipped) {
        public Read {
            marks = List.copyOf(marks);
            skipped = List.copyOf(skipped);
        }
    }
}
