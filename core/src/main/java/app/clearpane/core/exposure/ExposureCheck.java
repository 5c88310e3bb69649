package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.people.SeatId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What each person would gain or lose if what is pending at a pane were published (V9): the published settings P are
 * compared with the pending ones Q, each as if it alone counted. What Q hides is hidden already, since viewers see what
 * passes both.
 *
 * <p>Law: what a person sees under P, with what they gain added and what they lose taken away, is what they see under
 * Q.
 *
 * <p>People of one pane see the same but for what is addressed to them by name, so the items are decided once for all
 * of them and again only where a name matters: time grows with the items, not with items times seats.
 *
 * @param forAnybody what changes for somebody to whom nothing is addressed, in the order of the items
 * @param bySeat what changes for each seat that was not ended; a seat whose holder has not come in yet is counted as if
 *     they had
 */
public record ExposureCheck(List<Change> forAnybody, Map<SeatId, List<Change>> bySeat) {
    private static final ContactId NOBODY_IN_PARTICULAR = new ContactId(new UUID(0, 0));

    /** What happens to one item for one person. */
    public enum Kind {
        GAINED,
        LOST,
        REASON_CHANGED
    }

    /**
     * One item that changes.
     *
     * @param before the decision under the published settings
     * @param after the decision under the pending settings
     */
    public record Change(Item item, Kind kind, Verdict before, Verdict after) {}

    public ExposureCheck {
        forAnybody = List.copyOf(forAnybody);
        bySeat = Map.copyOf(bySeat);
    }

    /**
     * Compares.
     *
     * @param items of the pane's project, each once
     * @param seats at this pane; ended ones are left out of the answer
     * @param now the instant of looking
     */
    public static ExposureCheck of(List<Item> items, Pane pane, List<Seat> seats, Instant now) {
        Pane before = pane.asPublished();
        Pane after = pane.afterPublishing(now);
        List<Change> forAnybody = changes(items, before, after, NOBODY_IN_PARTICULAR, now);
        Map<ContactId, List<Item>> byName = new HashMap<>();
        items.forEach(
                item -> item.concerned().forEach(contact -> byName.computeIfAbsent(contact, none -> new ArrayList<>())
                        .add(item)));
        Map<ItemId, Integer> places = new HashMap<>();
        for (int i = 0; i < forAnybody.size(); i++) {
            places.put(forAnybody.get(i).item().id(), i);
        }
        Map<SeatId, List<Change>> bySeat = new HashMap<>();
        for (Seat seat : seats) {
            if (seat.state() != SeatState.ENDED) {
                List<Item> named = byName.getOrDefault(seat.contact(), List.of());
                bySeat.put(
                        seat.id(),
                        named.isEmpty()
                                ? forAnybody
                                : with(forAnybody, places, named, changes(named, before, after, seat.contact(), now)));
            }
        }
        return new ExposureCheck(forAnybody, bySeat);
    }

    /** What changes for one seat. @throws IllegalArgumentException if the seat is not part of the check */
    public List<Change> of(SeatId seat) {
        List<Change> changes = bySeat.get(seat);
        if (changes == null) {
            throw new IllegalArgumentException("the seat " + seat + " was not part of this check");
        }
        return changes;
    }

    /** The items of one kind of change, as somebody without a name in particular meets them. */
    public List<Item> items(Kind kind) {
        return forAnybody.stream()
                .filter(change -> change.kind() == kind)
                .map(Change::item)
                .toList();
    }

    /** What changes for anybody, but for the named items, and what changes in these for one person. */
    private static List<Change> with(
            List<Change> forAnybody, Map<ItemId, Integer> places, List<Item> named, List<Change> own) {
        List<@Nullable Change> changes = new ArrayList<>(forAnybody);
        for (Item item : named) {
            Integer place = places.get(item.id());
            if (place != null) {
                changes.set(place, null);
            }
        }
        changes.removeIf(Objects::isNull);
        changes.addAll(own);
        return List.copyOf(changes);
    }

    private static List<Change> changes(List<Item> items, Pane before, Pane after, ContactId contact, Instant now) {
        Optional<Seat> seat = Optional.of(new Seat(
                new SeatId(contact.value()), before.id(), contact, SeatRole.READER, SeatState.ACCEPTED, false));
        Optional<Verdict> closedBefore = Visibility.atTheDoor(before, seat, now).map(Verdict::of);
        Optional<Verdict> closedAfter = Visibility.atTheDoor(after, seat, now).map(Verdict::of);
        List<Change> changes = new ArrayList<>();
        for (Item item : items) {
            Verdict was = closedBefore.isPresent()
                    ? closedBefore.get()
                    : Visibility.under(before.published(), before.ceilings(), item, contact);
            Verdict becomes = closedAfter.isPresent()
                    ? closedAfter.get()
                    : Visibility.under(after.pending(), after.ceilings(), item, contact);
            kind(was, becomes).ifPresent(kind -> changes.add(new Change(item, kind, was, becomes)));
        }
        return changes;
    }

    private static Optional<Kind> kind(Verdict was, Verdict becomes) {
        if (was.visible() != becomes.visible()) {
            return Optional.of(becomes.visible() ? Kind.GAINED : Kind.LOST);
        }
        return was.visible() && was.reason() != becomes.reason() ? Optional.of(Kind.REASON_CHANGED) : Optional.empty();
    }
}
