package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Section;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.SeatId;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.AgencyApertures;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.exposure.PaneBoard;
import app.clearpane.usecases.exposure.SetSections;
import app.clearpane.usecases.shell.TemplateHelper;
import app.clearpane.web.shell.forms.FormStates;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * How the settings of panes, ceilings, seats and links stand, for forms that change them. Templates call it
 * {@code stands}.
 */
@Component
public class ExposureForms implements FormStates, TemplateHelper {
    private final AgencyApertures apertures;
    private final People people;
    private final Panes panes;
    private final Seats seats;
    private final LinkSeats links;
    private final Items items;

    ExposureForms(AgencyApertures apertures, People people, Panes panes, Seats seats, LinkSeats links, Items items) {
        this.apertures = apertures;
        this.people = people;
        this.panes = panes;
        this.seats = seats;
        this.links = links;
        this.items = items;
    }

    @Override
    public String name() {
        return "stands";
    }

    /** Filters in one order. */
    public String filters(Collection<Filter> filters) {
        return filters.stream().map(Filter::text).sorted().collect(Collectors.joining(", "));
    }

    /** Sections with their words. */
    public String sections(Collection<Section> sections) {
        return sections.stream()
                .map(one -> one.kind() + (one.off() ? " (left out)" : "") + " " + one.title() + " " + one.line())
                .map(String::strip)
                .collect(Collectors.joining("; "));
    }

    /** A seat as it can be changed. */
    public String seat(SeatRow seat) {
        return seat.role()
                + (seat.leadVoice() ? ", lead voice" : "")
                + (seat.state() == app.clearpane.core.exposure.SeatState.ENDED ? ", ended" : "");
    }

    /** Who speaks for everybody at a pane. */
    public String leadVoice(Collection<SeatRow> all) {
        return all.stream()
                .filter(SeatRow::leadVoice)
                .map(SeatRow::name)
                .findFirst()
                .orElse("nobody");
    }

    /** Whether something is held back everywhere. */
    public String heldBack(boolean everywhere) {
        return everywhere ? "held back everywhere" : "not held back everywhere";
    }

    /** A link as it can be changed. */
    public String link(LinkSeats.Link link) {
        return (link.revokedAt() == null ? "good" : "taken back") + ", key " + links.keyStamp(link.id());
    }

    @Override
    public List<FormState> states() {
        return List.of(
                FormState.of("/t/ceilings", "aperture", asked -> kind(asked)
                        .map(kind -> apertures.both().ceilings().of(kind).name())),
                FormState.of("/t/starting-point", "aperture", asked -> kind(asked)
                        .map(kind -> apertures.startingPoint().of(kind).name())),
                FormState.of("/t/ceilings/folders", "folders", asked -> kind(asked)
                        .map(kind -> filters(apertures.both().ceilings().filters(kind)))),
                FormState.of("/t/starting-point/folders", "folders", asked -> kind(asked)
                        .map(kind -> filters(apertures.startingPoint().filters(kind)))),
                FormState.of(
                        "/t/ceilings/tasks-for-clients",
                        "may",
                        asked -> Optional.of(String.valueOf(people.clientsDoTasks()))),
                FormState.of("/t/house-rules", "rules", asked -> Optional.of(people.houseRules())),
                FormState.of(
                        "/t/panes/{pane}/apertures",
                        "aperture",
                        asked -> ofPane(
                                asked,
                                (pane, kind) -> pane.pending().aperture(kind).name())),
                FormState.of(
                        "/t/panes/{pane}/filters",
                        "folders",
                        asked -> ofPane(
                                asked, (pane, kind) -> filters(pane.pending().filters(kind)))),
                FormState.of("/t/panes/{pane}/arrivals", "shown", asked -> arrivals(asked)
                        .map(String::valueOf)),
                FormState.of("/t/panes/{pane}/starting-point", "follows", asked -> row(asked)
                        .map(row -> String.valueOf(row.willFollow()))),
                FormState.of("/t/panes/{pane}/showings", "showing", this::showing),
                FormState.of("/t/panes/{pane}/showings/many", "", this::manyNow),
                FormState.of("/t/panes/{pane}/sections", "", asked -> row(asked)
                        .map(row -> sections(SetSections.inOrder(panes.sections(row.id()))))),
                FormState.of("/t/items/{item}/hold-back", "", this::heldBackNow),
                FormState.of("/t/items/{item}/let-go", "", this::heldBackNow),
                FormState.of("/t/seats/{seat}/lead-voice", "", asked -> seatRow(asked)
                        .map(seat -> leadVoice(seats.ofPane(seat.pane())))),
                FormState.of("/t/seats/{seat}/end", "", asked -> seatRow(asked).map(this::seat)),
                FormState.of("/t/links/{link}/renew", "", this::linkNow),
                FormState.of("/t/links/{link}/revoke", "", this::linkNow));
    }

    /** What was said of the things of one kind at a pane. */
    public String many(Collection<PaneBoard.ItemLine> lines) {
        return many(lines.stream().collect(Collectors.toMap(line -> line.item().id(), PaneBoard.ItemLine::showing)));
    }

    private static String many(Map<ItemId, Showing> showings) {
        String all = showings.entrySet().stream()
                .filter(one -> one.getValue() != Showing.UNSET)
                .map(one -> one.getKey() + " " + one.getValue())
                .sorted()
                .collect(Collectors.joining("\n"));
        return all.lines().count() + " shown or held back one by one, as "
                + Sha256.ofText(all).brief();
    }

    private Optional<String> manyNow(Asked asked) {
        return kind(asked).flatMap(kind -> pane(asked).flatMap(pane -> row(asked)
                .map(row -> many(items.forAnybody(row.project()).stream()
                        .filter(item -> item.kind() == kind && item.state() != Item.State.DELETED)
                        .collect(Collectors.toMap(Item::id, item -> Optional.ofNullable(
                                        pane.pending().settings().get(item.id()))
                                .map(Setting::showing)
                                .orElse(Showing.UNSET)))))));
    }

    private static Optional<ContentKind> kind(Asked asked) {
        return java.util.Arrays.stream(ContentKind.values())
                .filter(kind -> kind.name().equals(asked.field("kind")))
                .findFirst();
    }

    private static <T> Optional<T> id(String text, java.util.function.Function<String, T> read) {
        try {
            return Optional.of(read.apply(text));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    private Optional<Panes.Row> row(Asked asked) {
        return id(asked.path("pane"), PaneId::of).flatMap(panes::find);
    }

    private Optional<Pane> pane(Asked asked) {
        return row(asked).flatMap(row -> panes.withSettings(row.project()).stream()
                .filter(pane -> pane.id().equals(row.id()))
                .findFirst());
    }

    private Optional<String> ofPane(Asked asked, BiFunction<Pane, ContentKind, String> value) {
        return kind(asked).flatMap(kind -> pane(asked).map(pane -> value.apply(pane, kind)));
    }

    private Optional<Boolean> arrivals(Asked asked) {
        return kind(asked).flatMap(kind -> row(asked).map(row -> panes.all(row.project()).arrivals().stream()
                .anyMatch(one -> one.pane().equals(row.id()) && one.kind() == kind)));
    }

    private Optional<String> showing(Asked asked) {
        return id(asked.field("item"), ItemId::of).flatMap(item -> pane(asked)
                .map(pane -> Optional.ofNullable(pane.pending().settings().get(item))
                        .map(Setting::showing)
                        .orElse(Showing.UNSET)
                        .name()));
    }

    private Optional<String> heldBackNow(Asked asked) {
        return id(asked.path("item"), ItemId::of).map(item -> heldBack(panes.isHeldBackEverywhere(item)));
    }

    private Optional<SeatRow> seatRow(Asked asked) {
        return id(asked.path("seat"), SeatId::of).flatMap(seats::find);
    }

    private Optional<String> linkNow(Asked asked) {
        return id(asked.path("link"), SeatId::of).flatMap(links::find).map(this::link);
    }
}
