package app.clearpane.web.exposure.team;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Why;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.ItemViews;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.shell.NotFound;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** One item and every person of its project: who sees it, why or why not, what would change it, and who saw it when. */
@Component
class ItemSheet {
    private final Panes panes;
    private final Seats seats;
    private final Items items;
    private final LinkSeats links;
    private final ItemViews itemViews;
    private final People people;
    private final Clock clock;

    ItemSheet(Panes panes, Seats seats, Items items, LinkSeats links, ItemViews itemViews, People people, Clock clock) {
        this.panes = panes;
        this.seats = seats;
        this.items = items;
        this.links = links;
        this.itemViews = itemViews;
        this.people = people;
        this.clock = clock;
    }

    /**
     * One person at one pane.
     *
     * @param seat theirs; empty if they have none
     * @param saw what they saw of it; empty if they never did
     */
    record Line(String person, Optional<SeatRow> seat, Why why, Optional<ItemViews.Viewing> saw) {}

    /** A pane with its people; of the one whose people have no seat at all, the others. */
    record Audience(Panes.Row pane, List<Line> lines) {}

    /** The sheet. */
    record Sheet(Item item, List<Audience> audiences, List<Line> without, boolean heldBackEverywhere) {
        /** Who sees it by a seat of theirs, each once. */
        public List<SeatRow> seeing() {
            Map<ContactId, SeatRow> seeing = new LinkedHashMap<>();
            audiences.stream()
                    .flatMap(audience -> audience.lines().stream())
                    .filter(line -> line.why().verdict().visible())
                    .flatMap(line -> line.seat().stream())
                    .forEach(seat -> seeing.putIfAbsent(seat.contact(), seat));
            return List.copyOf(seeing.values());
        }
    }

    Sheet read(Project project, ItemId id) {
        Item item = item(project.id(), id);
        Panes.All all = panes.all(project.id());
        Map<SeatId, ItemViews.Viewing> saw =
                itemViews.ofItem(id).stream().collect(Collectors.toMap(ItemViews.Viewing::seat, Function.identity()));
        List<SeatRow> seated = seats.ofProject(project.id());
        List<Audience> audiences = new ArrayList<>();
        for (int i = 0; i < all.rows().size(); i++) {
            Pane pane = all.panes().get(i);
            audiences.add(new Audience(
                    all.rows().get(i),
                    seated.stream()
                            .filter(seat -> seat.pane().equals(pane.id())
                                    && (seat.state() != SeatState.ENDED || saw.containsKey(seat.id())))
                            .map(seat -> new Line(
                                    seat.name(),
                                    Optional.of(seat),
                                    Why.of(item, pane, Optional.of(seat.seat()), seat.seat(), clock.instant()),
                                    Optional.ofNullable(saw.get(seat.id()))))
                            .toList()));
        }
        List<LinkSeats.Link> byLink = links.ofProject(project.id());
        for (int i = 0; i < audiences.size(); i++) {
            Audience audience = audiences.get(i);
            Pane pane = all.panes().get(i);
            List<Line> guests = byLink.stream()
                    .filter(link -> link.pane().equals(pane.id())
                            && (link.opensAt(clock.instant()) || saw.containsKey(link.id())))
                    .map(link -> guest(link, item, pane, Optional.ofNullable(saw.get(link.id()))))
                    .toList();
            audiences.set(
                    i,
                    new Audience(
                            audience.pane(),
                            Stream.concat(audience.lines().stream(), guests.stream())
                                    .toList()));
        }
        List<Line> without = all.panes().isEmpty()
                ? List.of()
                : people.contactsOf(project.client()).stream()
                        .filter(contact -> seated.stream()
                                .noneMatch(
                                        seat -> seat.contact().equals(contact.id()) && seat.state() != SeatState.ENDED))
                        .map(contact -> without(contact, item, all.panes().get(0)))
                        .toList();
        return new Sheet(
                item,
                audiences,
                without,
                !all.panes().isEmpty()
                        && all.panes().get(0).pending().forAllPanes().containsKey(id));
    }

    private Line guest(LinkSeats.Link link, Item item, Pane pane, Optional<ItemViews.Viewing> saw) {
        Seat seat = new Seat(
                link.id(),
                pane.id(),
                new ContactId(link.id().value()),
                SeatRole.READER,
                link.opensAt(clock.instant()) ? SeatState.ACCEPTED : SeatState.ENDED,
                false);
        return new Line(
                "Whoever has the link “" + link.name() + "”",
                Optional.empty(),
                Why.of(item, pane, Optional.of(seat), seat, clock.instant()),
                saw);
    }

    private Line without(Contact contact, Item item, Pane pane) {
        Seat given = new Seat(
                new SeatId(new UUID(0, 0)),
                pane.id(),
                new ContactId(contact.id().value()),
                SeatRole.READER,
                SeatState.ACCEPTED,
                false);
        return new Line(
                contact.name(),
                Optional.empty(),
                Why.of(item, pane, Optional.empty(), given, clock.instant()),
                Optional.empty());
    }

    private Item item(ProjectId project, ItemId id) {
        return NotFound.unless(items.ofProject(project).stream()
                .filter(one -> one.id().equals(id))
                .findFirst());
    }
}
