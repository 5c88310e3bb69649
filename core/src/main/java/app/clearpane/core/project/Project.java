package app.clearpane.core.project;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.TeamMemberId;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * One engagement for one client.
 *
 * @param clientName for headings; empty where it is the house's own work
 * @param manager who of the team is told what comes in
 * @param cover the name of a shipped cover
 * @param currency ISO 4217
 * @param taxPercent 0 to 100
 * @param paymentDays days until an invoice is due; null for the house's usual ones
 * @param agreedOn the finish both sides agreed on
 * @param archivedAt when it was put away; null while it is worked on
 * @param ended how it ended; null while it is worked on
 * @param endedBecause what was said of that; the team's alone
 * @param pausedAt since when it rests; null while it does not
 * @param pausedBecause why it rests
 * @param planRevision another one whenever anything about its plan changed
 */
public record Project(
        ProjectId id,
        ClientId client,
        String clientName,
        TeamMemberId manager,
        String name,
        String cover,
        String currency,
        BigDecimal taxPercent,
        @Nullable Integer paymentDays,
        LocalDate startsOn,
        LocalDate agreedOn,
        @Nullable Instant archivedAt,
        @Nullable Ending ended,
        String endedBecause,
        @Nullable Instant pausedAt,
        String pausedBecause,
        int planRevision,
        int revision) {

    /** Whether it is the house's own work, for no client. */
    public boolean isOwn() {
        return clientName.isEmpty();
    }

    /** The project's name with its client's before it. */
    public String fullName() {
        return isOwn() ? name : clientName + ": " + name;
    }
}
