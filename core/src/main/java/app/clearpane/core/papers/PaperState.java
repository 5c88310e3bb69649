package app.clearpane.core.papers;

import java.time.LocalDate;
import java.util.Optional;

/** How a paper stands. */
public enum PaperState {
    /** Not sent: its recipients do not know of it. */
    DRAFT,
    OPEN,
    /** Somebody opened it. */
    VIEWED,
    AGREED,
    SIGNED,
    PAID,
    /** Those who would have settled it said no; it is for the team to withdraw it or send another. */
    DECLINED,
    /** Open or viewed, and past its day. */
    OVERDUE,
    WITHDRAWN;

    /**
     * What is known of a paper.
     *
     * @param recipients how many there are
     * @param seen how many of them opened it
     * @param named how many put their name to it
     * @param declined how many said no to it, and have not put their name to it since
     * @param due until when it should be dealt with; empty if that was not said
     */
    public record Facts(
            PaperKind kind,
            boolean sent,
            boolean withdrawn,
            boolean paid,
            int recipients,
            int seen,
            int named,
            int declined,
            Optional<LocalDate> due) {}

    /** How it stands on a day. A paper that is settled is never overdue; one that was withdrawn stays so. */
    public static PaperState of(Facts facts, LocalDate today) {
        if (facts.withdrawn()) {
            return WITHDRAWN;
        }
        if (!facts.sent()) {
            return DRAFT;
        }
        if (facts.kind() == PaperKind.INVOICE && facts.paid()) {
            return PAID;
        }
        if (facts.kind().takesNames()
                && facts.recipients() > 0
                && facts.named() >= (facts.kind().needsEverybody() ? facts.recipients() : 1)) {
            return facts.kind() == PaperKind.CONTRACT ? SIGNED : AGREED;
        }
        if (facts.declined() > 0 && (facts.kind() != PaperKind.PROPOSAL || facts.declined() >= facts.recipients())) {
            return DECLINED;
        }
        if (facts.kind() != PaperKind.OTHER
                && facts.due().filter(due -> due.isBefore(today)).isPresent()) {
            return OVERDUE;
        }
        return facts.seen() > 0 ? VIEWED : OPEN;
    }

    /** Whether its recipients are waited for: what is only to be read waits for nobody. */
    public static boolean isAwaited(Facts facts, LocalDate today) {
        return facts.kind().asks() && of(facts, today).waits();
    }

    /** Whether the team is to answer what was declined. */
    public static boolean isBack(Facts facts, LocalDate today) {
        return of(facts, today) == DECLINED;
    }

    /** Whether something is still expected of its recipients. */
    public boolean waits() {
        return this == OPEN || this == VIEWED || this == OVERDUE;
    }

    /** Whether we may still take it back: what was paid, or signed by everybody, stays. */
    public boolean mayBeWithdrawn() {
        return this != PAID && this != SIGNED && this != WITHDRAWN;
    }

    public boolean isDeclined() {
        return this == DECLINED;
    }

    public boolean isDraft() {
        return this == DRAFT;
    }
}
