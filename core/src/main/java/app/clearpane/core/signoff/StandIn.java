package app.clearpane.core.signoff;

import app.clearpane.core.agency.ContactId;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;

/**
 * Somebody who decides in place of a signatory who is away.
 *
 * @param away who is away
 * @param by who stands in
 * @param from the first day
 * @param until the last day, not before the first
 */
public record StandIn(ContactId away, ContactId by, LocalDate from, LocalDate until) {
    public StandIn {
        if (until.isBefore(from)) {
            throw new IllegalArgumentException(
                    "the last day away is not before the first, got %s to %s".formatted(from, until));
        }
        if (away.equals(by)) {
            throw new IllegalArgumentException("nobody stands in for themselves");
        }
    }

    /** Whether it holds on a day. */
    public boolean on(LocalDate day) {
        return !day.isBefore(from) && !day.isAfter(until);
    }

    private boolean meets(StandIn other) {
        return !from.isAfter(other.until) && !other.from.isAfter(until);
    }

    /**
     * Whether it can be added to others: nobody stands in for somebody who stands in, or is away themselves, on the
     * same days; and one person stands in for each.
     */
    public boolean fits(Collection<StandIn> others) {
        return others.stream()
                .filter(this::meets)
                .noneMatch(other -> other.away.equals(away) || other.away.equals(by) || other.by.equals(away));
    }

    /** Who decides for a signatory on a day: whoever stands in for them, or they themselves. */
    public static ContactId deciding(ContactId signatory, LocalDate day, Collection<StandIn> all) {
        return all.stream()
                .filter(one -> one.away.equals(signatory) && one.on(day))
                .findFirst()
                .map(StandIn::by)
                .orElse(signatory);
    }

    /** Those for whom somebody decides on a day. @return none on days on which they are away themselves */
    public static List<ContactId> of(ContactId by, LocalDate day, Collection<StandIn> all) {
        List<StandIn> now = all.stream().filter(one -> one.on(day)).toList();
        boolean awayThemselves = now.stream().anyMatch(one -> one.away.equals(by));
        return awayThemselves
                ? List.of()
                : now.stream()
                        .filter(one -> one.by.equals(by))
                        .map(StandIn::away)
                        .distinct()
                        .toList();
    }
}
