package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;
import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Rules V1, V2, V3, V4, V6, V8 and V9 for status, dates, files and deliverables: decides whether a person sees an item
 * through a pane.
 *
 * <p>Held back is the resting state: what nothing lets through is out. An item passes through a published pane only
 * when both the published and the pending settings let it pass, so hiding works at once and showing waits for
 * publishing.
 */
public final class Visibility {
    private Visibility() {}

    /**
     * Decides for one item, one pane and the seat a person has there.
     *
     * @param seat the person's seat at this pane; empty if they never had one
     * @param now the instant of looking
     * @throws IllegalArgumentException if the seat is at another pane
     */
    public static Verdict decide(Item item, Pane pane, Optional<Seat> seat, Instant now) {
        if (seat.isPresent() && !seat.get().pane().equals(pane.id())) {
            throw new IllegalArgumentException("the seat " + seat.get().id() + " is not at the pane " + pane.id());
        }
        return atTheDoor(pane, seat, now)
                .map(Verdict::of)
                .orElseGet(() -> through(item, pane, seat.orElseThrow().contact()));
    }

    /**
     * Decides for a part of an item: a version, a sheet, a mark, an attachment (V4). A part is seen only where its
     * whole is.
     *
     * @param whole the decision on what it belongs to
     * @param state whether the part exists for clients
     */
    public static Verdict part(Verdict whole, Item.State state) {
        return switch (state) {
            case DELETED -> Verdict.of(Reason.DELETED);
            case NOT_SENT -> Verdict.of(Reason.NOT_SENT);
            case TEAM_ONLY -> Verdict.of(Reason.TEAM_ONLY);
            case THERE -> whole;
        };
    }

    /** Why nothing at all is seen; empty if the door is open. */
    static Optional<Reason> atTheDoor(Pane pane, Optional<Seat> seat, Instant now) {
        if (seat.isEmpty()) {
            return Optional.of(Reason.NO_SEAT);
        }
        if (seat.get().state() != SeatState.ACCEPTED) {
            return Optional.of(seat.get().state() == SeatState.ENDED ? Reason.SEAT_ENDED : Reason.SEAT_NOT_ACCEPTED);
        }
        if (pane.publishedAt().isEmpty()) {
            return Optional.of(Reason.PANE_NOT_PUBLISHED);
        }
        if (pane.from().filter(from -> now.isBefore(from)).isPresent()) {
            return Optional.of(Reason.PANE_NOT_OPEN_YET);
        }
        return pane.until().filter(until -> !now.isBefore(until)).map(until -> Reason.PANE_EXPIRED);
    }

    private static Verdict through(Item item, Pane pane, ContactId contact) {
        Verdict pending = under(pane.pending(), pane.ceilings(), item, contact);
        if (!pending.visible()) {
            return pending;
        }
        return under(pane.published(), pane.ceilings(), item, contact).visible() ? pending : pending.waiting();
    }

    /** What one state of settings lets somebody see, the door behind them. */
    static Verdict under(PaneSettings settings, Ceilings ceilings, Item item, ContactId contact) {
        if (item.state() != Item.State.THERE) {
            return part(Verdict.of(Reason.NOT_PICKED), item.state());
        }
        Optional<Verdict> heldBack = said(settings::heldBack, item, Reason.HELD_BACK, Reason.HELD_BACK_ABOVE);
        if (heldBack.isPresent()) {
            return heldBack.get();
        }
        if (item.addressedTo().contains(contact)) {
            return Verdict.of(Reason.BY_NAME);
        }
        if (ceilings.of(item.kind()) == Aperture.CLOSED) {
            return Verdict.of(Reason.CEILING_CLOSED);
        }
        Aperture set = settings.aperture(item.kind());
        if (set == Aperture.CLOSED) {
            return Verdict.of(Reason.APERTURE_CLOSED);
        }
        return said(settings::shown, item, Reason.SHOWN, Reason.SHOWN_ABOVE)
                .orElseGet(() -> unsaid(settings, ceilings, item, contact));
    }

    /** An item of which nobody said anything: the pane's aperture decides, then the ceiling. */
    private static Verdict unsaid(PaneSettings settings, Ceilings ceilings, Item item, ContactId contact) {
        Aperture set = settings.aperture(item.kind());
        Aperture most = ceilings.of(item.kind());
        if (set == Aperture.PICKED || set == Aperture.FILTERED && !item.kind().filterable()) {
            return Verdict.of(Reason.NOT_PICKED);
        }
        Optional<Filter> own =
                set == Aperture.FILTERED ? passing(settings.filters(item.kind()), item, contact) : Optional.empty();
        if (set == Aperture.FILTERED && own.isEmpty()) {
            return Verdict.of(Reason.NO_FILTER_PASSES);
        }
        if (most == Aperture.PICKED || most == Aperture.FILTERED && !item.kind().filterable()) {
            return Verdict.of(Reason.CEILING_PICKED);
        }
        Optional<Filter> above =
                most == Aperture.FILTERED ? passing(ceilings.filters(item.kind()), item, contact) : Optional.empty();
        if (most == Aperture.FILTERED && above.isEmpty()) {
            return Verdict.of(Reason.CEILING_FILTERED);
        }
        if (set == Aperture.OPEN && most == Aperture.OPEN) {
            return Verdict.of(Reason.APERTURE_OPEN);
        }
        if (!item.ancestors().isEmpty()
                && item.parent()
                        .filter(parent ->
                                !under(settings, ceilings, parent, contact).visible())
                        .isPresent()) {
            return Verdict.of(Reason.PARENT_NOT_SHOWN);
        }
        return Verdict.passing((set == Aperture.FILTERED ? own : above).orElseThrow());
    }

    private static Optional<Filter> passing(Set<Filter> filters, Item item, ContactId contact) {
        return filters.stream().filter(filter -> filter.passes(item, contact)).min(Comparator.comparing(Filter::text));
    }

    /** The nearest setting of a sort: on the item itself, else on what it stands in. */
    private static Optional<Verdict> said(
            Function<ItemId, Optional<Setting>> setting, Item item, Reason onIt, Reason above) {
        Optional<Setting> own = setting.apply(item.id());
        if (own.isPresent()) {
            return Optional.of(Verdict.of(onIt, item.name(), own.get()));
        }
        for (Item.Ancestor ancestor : item.ancestors()) {
            Optional<Setting> inherited = setting.apply(ancestor.id());
            if (inherited.isPresent()) {
                return Optional.of(Verdict.of(above, ancestor.name(), inherited.get()));
            }
        }
        return Optional.empty();
    }
}
