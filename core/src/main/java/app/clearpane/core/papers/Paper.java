package app.clearpane.core.papers;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.DrawnSignature;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * A proposal, a contract, an invoice or something else for named recipients only.
 *
 * @param number as it stands on it; may be empty
 * @param amount in the project's currency
 * @param due until when it should be dealt with, if that is said
 * @param size in bytes
 */
public record Paper(
        PaperId id,
        ProjectId project,
        PaperKind kind,
        String name,
        String number,
        Optional<BigDecimal> amount,
        LocalDate dated,
        Optional<LocalDate> due,
        Sha256 sha256,
        String fileName,
        String mediaType,
        long size,
        Actor madeBy,
        Instant createdAt,
        Standing standing,
        List<Recipient> recipients,
        int revision,
        Further further) {

    /** What was done with it. */
    public sealed interface Standing {}

    /** It was not sent: its recipients do not know of it. */
    public record Draft() implements Standing {}

    /** It was sent. @param paidOn the day on which it was paid */
    public record Sent(Instant at, Optional<LocalDate> paidOn) implements Standing {}

    /** It was taken back. @param before how it stood until then */
    public record Withdrawn(Standing before, Instant at, String reason) implements Standing {}

    /**
     * What a further document is.
     *
     * @param called its kind, in the words of whoever added it; may be empty
     * @param link where it is kept, if not here; its file then holds this address
     */
    public record Further(String called, Optional<String> link) {
        public static final Further USUAL = new Further("", Optional.empty());
    }

    /** What a recipient answered. */
    public sealed interface Answer {}

    /** Neither yes nor no. */
    public record NoAnswer() implements Answer {}

    /** They put their name to it. @param drawn the signature they drew beside it */
    public record Named(Instant at, String typedName, Optional<DrawnSignature> drawn) implements Answer {}

    /** They said no, and why. */
    public record Declined(Instant at, String why) implements Answer {}

    /** Somebody it is for. @param seenAt when they first opened it */
    public record Recipient(ContactId contact, String name, Optional<Instant> seenAt, Answer answer) {
        /** Somebody who has not seen it yet. */
        public static Recipient of(ContactId contact, String name) {
            return new Recipient(contact, name, Optional.empty(), new NoAnswer());
        }

        /** Whether they said neither yes nor no. */
        public boolean isAwaited() {
            return answer instanceof NoAnswer;
        }

        /** The name they put to it, if they did. */
        public Optional<Named> named() {
            return answer instanceof Named named ? Optional.of(named) : Optional.empty();
        }

        /** That they said no, if they did. */
        public Optional<Declined> declined() {
            return answer instanceof Declined declined ? Optional.of(declined) : Optional.empty();
        }
    }

    public Paper {
        recipients = List.copyOf(recipients);
    }

    /** When it was sent; empty while it is a draft. */
    public Optional<Instant> sentAt() {
        return sent().map(Sent::at);
    }

    /** The day on which it was paid; empty unless it was. */
    public Optional<LocalDate> paidOn() {
        return sent().flatMap(Sent::paidOn);
    }

    /** When and why it was withdrawn; empty unless it was. */
    public Optional<Withdrawn> withdrawal() {
        return standing instanceof Withdrawn withdrawn ? Optional.of(withdrawn) : Optional.empty();
    }

    private Optional<Sent> sent() {
        Standing last = standing instanceof Withdrawn withdrawn ? withdrawn.before() : standing;
        return last instanceof Sent sent ? Optional.of(sent) : Optional.empty();
    }

    /** How it stands on a day. */
    public PaperState state(LocalDate today) {
        return PaperState.of(facts(), today);
    }

    private PaperState.Facts facts() {
        return new PaperState.Facts(
                kind,
                sentAt().isPresent(),
                withdrawal().isPresent(),
                paidOn().isPresent(),
                recipients.size(),
                count(one -> one.seenAt().isPresent()),
                count(one -> one.named().isPresent()),
                count(one -> one.declined().isPresent()),
                due);
    }

    private int count(Predicate<Recipient> some) {
        return (int) recipients.stream().filter(some).count();
    }

    /** Whether its recipients are waited for: what is only to be read waits for nobody. */
    public boolean waits(LocalDate today) {
        return PaperState.isAwaited(facts(), today);
    }

    /** Whether the team is to answer what was declined. */
    public boolean isBack() {
        return PaperState.isBack(facts(), LocalDate.MIN);
    }

    /** Whether one of its recipients is waited for. */
    public boolean waitsFor(ContactId contact, LocalDate today) {
        return waits(today) && recipient(contact).filter(Recipient::isAwaited).isPresent();
    }

    /** What somebody did with it; empty if it is not for them. */
    public Optional<Recipient> recipient(ContactId contact) {
        return recipients.stream().filter(one -> one.contact().equals(contact)).findFirst();
    }
}
