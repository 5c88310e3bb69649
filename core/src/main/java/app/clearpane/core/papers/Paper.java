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
import org.jspecify.annotations.Nullable;

/**
 * A proposal, a contract, an invoice or something else for named recipients only.
 *
 * @param number as it stands on it; may be empty
 * @param amount in the project's currency; null if it names none
 * @param due null if it has no day
 * @param size in bytes
 * @param sentAt null while it is a draft
 * @param paidOn null unless it was paid
 */
public record Paper(
        PaperId id,
        ProjectId project,
        PaperKind kind,
        String name,
        String number,
        @Nullable BigDecimal amount,
        LocalDate dated,
        @Nullable LocalDate due,
        Sha256 sha256,
        String fileName,
        String mediaType,
        long size,
        Actor madeBy,
        Instant createdAt,
        @Nullable Instant sentAt,
        @Nullable LocalDate paidOn,
        Optional<Withdrawal> withdrawal,
        List<Recipient> recipients,
        int revision,
        Further further) {

    /** Of a usual kind, with a file. */
    public Paper(
            PaperId id,
            ProjectId project,
            PaperKind kind,
            String name,
            String number,
            @Nullable BigDecimal amount,
            LocalDate dated,
            @Nullable LocalDate due,
            Sha256 sha256,
            String fileName,
            String mediaType,
            long size,
            Actor madeBy,
            Instant createdAt,
            @Nullable Instant sentAt,
            @Nullable LocalDate paidOn,
            Optional<Withdrawal> withdrawal,
            List<Recipient> recipients,
            int revision) {
        this(
                id,
                project,
                kind,
                name,
                number,
                amount,
                dated,
                due,
                sha256,
                fileName,
                mediaType,
                size,
                madeBy,
                createdAt,
                sentAt,
                paidOn,
                withdrawal,
                recipients,
                revision,
                Further.USUAL);
    }

    /**
     * What a further document is. @param called its kind, in the words of whoever added it; may be empty @param link
     * where it is kept, if not here; its file then holds this address
     */
    public record Further(String called, @Nullable String link) {
        public static final Further USUAL = new Further("", null);
    }

    /** When and why it was withdrawn. */
    public record Withdrawal(Instant at, String reason) {}

    /**
     * Somebody it is for. @param seenAt when they first opened it; null if they did not @param namedAt when they agreed
     * or signed; null if they did not @param drawn the signature as they drew it, as text; null if they drew
     * none @param declinedAt when they said no, and why; null if they did not
     */
    public record Recipient(
            ContactId contact,
            String name,
            @Nullable Instant seenAt,
            @Nullable Instant namedAt,
            @Nullable String typedName,
            @Nullable String drawn,
            @Nullable Instant declinedAt,
            @Nullable String declinedWhy) {
        /** Somebody who has not seen it yet. */
        public static Recipient of(ContactId contact, String name) {
            return new Recipient(contact, name, null, null, null, null, null, null);
        }

        /** Whether they said neither yes nor no. */
        public boolean isAwaited() {
            return namedAt == null && declinedAt == null;
        }

        /** The signature that was drawn beside the name; empty if none was. */
        public Optional<DrawnSignature> signature() {
            return DrawnSignature.read(drawn);
        }
    }

    public Paper {
        recipients = List.copyOf(recipients);
    }

    /** How it stands on a day. */
    public PaperState state(LocalDate today) {
        return PaperState.of(facts(), today);
    }

    private PaperState.Facts facts() {
        return new PaperState.Facts(
                kind,
                sentAt != null,
                withdrawal.isPresent(),
                paidOn != null,
                recipients.size(),
                (int) recipients.stream().filter(one -> one.seenAt() != null).count(),
                (int) recipients.stream().filter(one -> one.namedAt() != null).count(),
                (int) recipients.stream()
                        .filter(one -> one.declinedAt() != null)
                        .count(),
                Optional.ofNullable(due));
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
