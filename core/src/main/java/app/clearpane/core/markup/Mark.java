package app.clearpane.core.markup;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * One mark with its thread.
 *
 * @param label what it is called: by a number where clients see it, by a letter where it is for the team only
 * @param replacement the wording asked for instead of what is marked
 * @param author who wrote it; a guest is known by a name only
 * @param fix where it is said to be fixed; empty unless it is
 * @param answers the thread, oldest first
 * @param earlier what it said before, oldest first; read with the thread only
 * @param beside what came with it and what was made of it
 */
public record Mark(
        MarkupId id,
        VersionId version,
        PaneId pane,
        MarkupLabel label,
        Place place,
        Intent intent,
        MarkupProgress progress,
        String note,
        Optional<String> replacement,
        Actor author,
        Optional<Fix> fix,
        int revision,
        Instant createdAt,
        List<Answer> answers,
        List<Earlier> earlier,
        Beside beside) {

    /** A mark that is open, as it was placed. */
    public static Mark placed(
            MarkupId id,
            VersionId version,
            PaneId pane,
            MarkupLabel label,
            Place place,
            Wish wish,
            Actor author,
            Instant now,
            Beside beside) {
        return new Mark(
                id,
                version,
                pane,
                label,
                place,
                wish.intent(),
                MarkupProgress.OPEN,
                wish.note(),
                wish.replacement(),
                author.asAuthor(),
                Optional.empty(),
                1,
                now,
                List.of(),
                List.of(),
                beside);
    }

    /** What somebody wants, in their words. @param replacement the wording asked for instead of what is marked */
    public record Wish(Intent intent, String note, Optional<String> replacement) {}

    /** The version in which it is said to be fixed. @param number that version's; empty while it is a draft */
    public record Fix(VersionId version, Optional<Integer> number) {}

    /** What it said before its author changed it, until then. */
    public record Earlier(String note, Intent intent, Optional<String> replacement, Instant until) {}

    /**
     * Something that was said or done in a thread.
     *
     * @param act what was done to the mark; empty if something was only said
     */
    public record Answer(
            Optional<MarkupProgress.Act> act, String said, boolean teamOnly, Actor author, Instant at, With with) {
        /** Something that was only said, with nothing that came with it. */
        public static Answer said(String said, boolean teamOnly, Actor author, Instant at) {
            return new Answer(Optional.empty(), said, teamOnly, author, at, With.NOTHING);
        }

        /** Something that was done. */
        public static Answer done(MarkupProgress.Act act, String said, boolean teamOnly, Actor author, Instant at) {
            return new Answer(Optional.of(act), said, teamOnly, author, at, With.NOTHING);
        }

        /** Whether there is something to read beside the mark's own progress. */
        public boolean tells() {
            return act.isEmpty()
                    || act.get() == MarkupProgress.Act.REOPEN
                    || !said.isEmpty()
                    || !with.attachments().isEmpty();
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

    /** Somebody or something that is called by name. @param written as it stands in the text, with its sign */
    public record Reference(String written, Called called) {}

    /** What can be called by name. */
    public sealed interface Called {
        /** A thing of the project. */
        record Thing(ItemId id) implements Called {}

        /** One of the team. */
        record Member(TeamMemberId id) implements Called {}

        /** Somebody of the client's. */
        record Contact(ContactId id) implements Called {}

        /** A member of the team or a contact, as whom somebody acts; empty for anybody else. */
        static Optional<Called> person(Actor actor) {
            return actor.member().<Called>map(Member::new).or(() -> actor.contact()
                    .map(Contact::new));
        }
    }

    /**
     * What belongs to a mark beside its place and its words.
     *
     * @param with what came with its note; read with the thread only
     * @param doer who of the team sees to it; empty if nobody in particular
     * @param task the task that was made of it
     * @param joinedTo the mark that asks for the same and goes ahead of it; empty if it stands alone or goes ahead
     */
    public record Beside(With with, Optional<TeamMemberId> doer, Optional<ItemId> task, Optional<MarkupId> joinedTo) {
        public static final Beside NOTHING = with(With.NOTHING);

        /** What came with it, before anybody made something of it. */
        public static Beside with(With with) {
            return new Beside(with, Optional.empty(), Optional.empty(), Optional.empty());
        }
    }

    /** The same mark at another place. */
    public Mark at(Place other) {
        return new Mark(
                id,
                version,
                pane,
                label,
                other,
                intent,
                progress,
                note,
                replacement,
                author,
                fix,
                revision,
                createdAt,
                answers,
                earlier,
                beside);
    }

    /** The number of the version in which it is fixed; empty unless it is, and while that is a draft. */
    public Optional<Integer> fixedInNumber() {
        return fix.flatMap(Fix::number);
    }

    /** How far clients are told it is. */
    public MarkupProgress told() {
        return progress.toldToClients(fixedInNumber().isPresent());
    }

    /** Whose people wrote it: a guest is of neither side. */
    public MarkupProgress.Party party() {
        return author.member().isPresent()
                ? MarkupProgress.Party.TEAM
                : author.contact().isPresent() ? MarkupProgress.Party.CLIENT : MarkupProgress.Party.GUEST;
    }

    /** The mark that goes ahead of it where it was joined to another, else itself. */
    public MarkupId ahead() {
        return beside.joinedTo().orElse(id);
    }

    /** Whether nobody can sign while it is as clients are told that it is (R2). */
    public boolean blocksSigning() {
        return told().blocksSigning(intent, party(), teamOnly());
    }

    /** Whether one of these contacts wrote it. */
    public boolean isOf(Set<ContactId> some) {
        return author.contact().filter(some::contains).isPresent();
    }

    /** Whether this contact wrote it. */
    public boolean isOf(ContactId contact) {
        return isOf(Set.of(contact));
    }

    /** Whether it is confirmed, by this contact at this moment, and nothing was said of it since. */
    public boolean isConfirmedBy(ContactId contact, Instant at) {
        if (progress != MarkupProgress.CONFIRMED || answers.isEmpty()) {
            return false;
        }
        Answer last = answers.get(answers.size() - 1);
        return last.at().equals(at) && last.author().contact().equals(Optional.of(contact));
    }

    /** Whether clients never see it. */
    public boolean teamOnly() {
        return !(label instanceof MarkupLabel.Numbered);
    }
}
