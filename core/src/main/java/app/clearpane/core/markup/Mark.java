package app.clearpane.core.markup;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One mark with its thread.
 *
 * @param versionNumber the number of the version it stands on; null on a draft
 * @param number its number among the marks that clients see; null if it is for the team only
 * @param teamNumber its place among the marks for the team; null if clients see it
 * @param replacement the wording asked for instead of what is marked; null if none is given
 * @param fixedIn the version it is said to be fixed in; null unless it is fixed
 * @param fixedInNumber that version's number; null while it is a draft
 * @param answers the thread, oldest first
 * @param earlier what it said before, oldest first; read with the thread only
 * @param beside what came with it and what was made of it
 */
public record Mark(
        MarkupId id,
        VersionId version,
        @Nullable Integer versionNumber,
        PaneId pane,
        @Nullable Integer number,
        @Nullable Integer teamNumber,
        Place place,
        Intent intent,
        MarkupProgress progress,
        String note,
        @Nullable String replacement,
        Author author,
        @Nullable VersionId fixedIn,
        @Nullable Integer fixedInNumber,
        int revision,
        Instant createdAt,
        List<Answer> answers,
        List<Earlier> earlier,
        Beside beside) {

    /** A mark that was never changed. */
    public Mark(
            MarkupId id,
            VersionId version,
            @Nullable Integer versionNumber,
            PaneId pane,
            @Nullable Integer number,
            @Nullable Integer teamNumber,
            Place place,
            Intent intent,
            MarkupProgress progress,
            String note,
            @Nullable String replacement,
            Author author,
            @Nullable VersionId fixedIn,
            @Nullable Integer fixedInNumber,
            int revision,
            Instant createdAt,
            List<Answer> answers) {
        this(
                id,
                version,
                versionNumber,
                pane,
                number,
                teamNumber,
                place,
                intent,
                progress,
                note,
                replacement,
                author,
                fixedIn,
                fixedInNumber,
                revision,
                createdAt,
                answers,
                List.of(),
                Beside.NOTHING);
    }

    /** What it said before its author changed it, until then. */
    public record Earlier(
            String note, Intent intent, @Nullable String replacement, Instant until) {}

    /** Who wrote something: a contact or one of the team. */
    public record Author(
            String name,
            @Nullable ContactId contact,
            @Nullable TeamMemberId member) {}

    /**
     * Something that was said or done in a thread.
     *
     * @param act what was done to the mark; null if something was only said
     */
    public record Answer(@Nullable String act, String said, boolean teamOnly, Author author, Instant at, With with) {
        /** With nothing that came with it. */
        public Answer(@Nullable String act, String said, boolean teamOnly, Author author, Instant at) {
            this(act, said, teamOnly, author, at, With.NOTHING);
        }
    }

    /** What comes with something that is said: files, and whom and what it calls by name. */
    public record With(List<Attachment> attachments, List<Reference> references) {
        public static final With NOTHING = new With(List.of(), List.of());
    }

    /** A file that came with a note or an answer. @param size in bytes */
    public record Attachment(UUID id, Sha256 sha256, String name, String mediaType, long size) {
        private static final Set<String> PICTURES = Set.of("image/png", "image/jpeg", "image/gif", "image/webp");

        /** Whether every browser shows it as a picture. */
        public boolean picture() {
            return PICTURES.contains(mediaType);
        }
    }

    /**
     * Somebody or something that is called by name; one of the three is given.
     *
     * @param written as it stands in the text, with its sign
     */
    public record Reference(
            String written,
            @Nullable ItemId item,
            @Nullable TeamMemberId member,
            @Nullable ContactId contact) {}

    /**
     * What belongs to a mark beside its place and its words.
     *
     * @param with what came with its note; read with the thread only
     * @param doer who of the team sees to it; null if nobody in particular
     * @param task the task that was made of it; null if there is none
     * @param joinedTo the mark that asks for the same and goes ahead of it; null if it stands alone or goes ahead
     */
    public record Beside(
            With with,
            @Nullable TeamMemberId doer,
            @Nullable ItemId task,
            @Nullable MarkupId joinedTo) {
        public static final Beside NOTHING = new Beside(With.NOTHING, null, null, null);
    }

    /** The same mark at another place. */
    public Mark at(Place other) {
        return new Mark(
                id,
                version,
                versionNumber,
                pane,
                number,
                teamNumber,
                other,
                intent,
                progress,
                note,
                replacement,
                author,
                fixedIn,
                fixedInNumber,
                revision,
                createdAt,
                answers,
                earlier,
                beside);
    }

    /** What it is called. */
    public MarkupLabel label() {
        return label(versionNumber, number, teamNumber);
    }

    /** The label of a mark with these numbers. @param versionNumber null while its version was not sent */
    public static MarkupLabel label(
            @Nullable Integer versionNumber, @Nullable Integer number, @Nullable Integer teamNumber) {
        if (number != null && versionNumber != null) {
            return new MarkupLabel.Numbered(versionNumber, number);
        }
        int letter = teamNumber == null ? 1 : teamNumber;
        return versionNumber == null
                ? new MarkupLabel.OnDraft(letter)
                : new MarkupLabel.Lettered(versionNumber, letter);
    }

    /** How far clients are told it is. */
    public MarkupProgress told() {
        return progress.toldToClients(fixedInNumber != null);
    }

    /** Whose people wrote it: a guest is of neither side. */
    public MarkupProgress.Party party() {
        return author.member() != null
                ? MarkupProgress.Party.TEAM
                : author.contact() != null ? MarkupProgress.Party.CLIENT : MarkupProgress.Party.GUEST;
    }

    /** The mark that goes ahead of it where it was joined to another, else itself. */
    public MarkupId ahead() {
        return Objects.requireNonNullElse(beside.joinedTo(), id);
    }

    /** Whether nobody can sign while it is as clients are told that it is (R2). */
    public boolean blocksSigning() {
        return told().blocksSigning(intent, party(), teamOnly());
    }

    /** Whether one of these contacts wrote it. */
    public boolean isOf(Set<ContactId> some) {
        return author.contact() != null && some.contains(author.contact());
    }

    /** Whether clients never see it. */
    public boolean teamOnly() {
        return number == null;
    }
}
