package app.clearpane.core.reminders;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Signatories;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What was agreed in writing on those who say nothing (R4): after so many working days past due, with at least one
 * reminder delivered, it counts as a yes. Never for the lead voice.
 *
 * @param workingDays past the day it was due, 1 or more
 */
public record Silence(int workingDays) {
    /** The most working days of silence. */
    public static final int MOST_DAYS = 60;

    /** @throws IllegalArgumentException if it is out of these bounds */
    public Silence {
        if (workingDays < 1 || workingDays > MOST_DAYS) {
            throw new IllegalArgumentException(
                    "silence counts after 1 to %d working days, got %d".formatted(MOST_DAYS, workingDays));
        }
    }

    /**
     * A round, as far as silence goes.
     *
     * @param decisions the latest of each, with the instant it was made
     * @param reminded to whom at least one reminder was delivered
     */
    public record Asked(
            Signatories panel,
            Instant due,
            Map<ContactId, Decision> decisions,
            Map<ContactId, Instant> decidedAt,
            Set<ContactId> reminded) {}

    /** Those whose silence is a yes by now, in their order; in order it is one at a time. */
    public List<ContactId> agreed(Asked asked, Instant now, WorkingCalendar calendar) {
        return asked.panel().inOrder().stream()
                .filter(one -> !asked.decisions().containsKey(one)
                        && asked.panel().leadVoice().filter(one::equals).isEmpty()
                        && asked.reminded().contains(one))
                .filter(one -> !(asked.panel().rule() instanceof Rule.InOrder)
                        || asked.panel()
                                .nextInOrder(asked.decisions())
                                .filter(one::equals)
                                .isPresent())
                .filter(one -> !countsFrom(asked, one, calendar).isAfter(now))
                .toList();
    }

    /** In order the clock starts when somebody's place is reached: with the last decision of all before them. */
    private Instant countsFrom(Asked asked, ContactId one, WorkingCalendar calendar) {
        List<ContactId> before =
                asked.panel().inOrder().subList(0, asked.panel().inOrder().indexOf(one));
        Instant reached = asked.panel().rule() instanceof Rule.InOrder
                ? before.stream()
                        .map(earlier -> asked.decidedAt().getOrDefault(earlier, asked.due()))
                        .max(Comparator.naturalOrder())
                        .orElse(asked.due())
                : asked.due();
        Instant from = reached.isAfter(asked.due()) ? reached : asked.due();
        LocalDate day = from.minusNanos(1).atZone(calendar.zone()).toLocalDate();
        return calendar.addWorkingDays(day.plusDays(1), workingDays - 1)
                .plusDays(1)
                .atStartOfDay(calendar.zone())
                .toInstant();
    }
}
