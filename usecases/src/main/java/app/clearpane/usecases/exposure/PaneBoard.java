package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.Ceilings;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ExposureCheck;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.SecondLook;
import app.clearpane.core.exposure.Section;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.AgencyApertures;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.project.Projects;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The exposure board: kinds down, audiences across, the items of one cell with their reasons, and what is pending. */
@Component
public class PaneBoard {
    private final Panes panes;
    private final Seats seats;
    private final Items items;
    private final AgencyApertures ceilings;
    private final People people;
    private final Projects projects;
    private final Clock clock;

    PaneBoard(
            Panes panes,
            Seats seats,
            Items items,
            AgencyApertures ceilings,
            People people,
            Projects projects,
            Clock clock) {
        this.people = people;
        this.projects = projects;
        this.ceilings = ceilings;
        this.panes = panes;
        this.seats = seats;
        this.items = items;
        this.clock = clock;
    }

    /**
     * What one pane lets through of one kind.
     *
     * @param aperture as pending
     * @param published as published
     * @param shown how many items pass now
     * @param of how many there are
     */
    public record Cell(
            PaneId pane, ContentKind kind, Aperture aperture, Aperture published, int shown, int of, boolean selected) {
        /** Whether publishing changes it. */
        public boolean waits() {
            return aperture != published;
        }
    }

    /** One kind of content over all panes. */
    public record KindRow(ContentKind kind, List<Cell> cells, Aperture ceiling) {}

    /** An item of the selected cell, with the decision on it. */
    public record ItemLine(
            Item item, boolean folder, Showing showing, Verdict verdict, boolean heldBackEverywhere, boolean mixed) {
        /** How its little window looks: shown, held back, mixed inside or neither. */
        public String window() {
            return mixed
                    ? "mixed"
                    : verdict.visible()
                            ? "shown"
                            : heldBackEverywhere
                                            || showing == Showing.HELD_BACK
                                            || verdict.reason() == app.clearpane.core.exposure.Reason.HELD_BACK_ABOVE
                                    ? "held"
                                    : "out";
        }
    }

    /** A pane with its people. */
    public record Audience(Panes.Row pane, List<SeatRow> seats, Pending pending, boolean follows) {}

    /**
     * What publishing would change.
     *
     * @param check person by person
     * @param secondLooks what is worth a second look before it is shown
     * @param settings whether anything is set otherwise than it was published, seen or not
     * @param first whether the pane was never published
     * @param seen stands for all of it: whoever publishes says what they saw
     */
    public record Pending(
            ExposureCheck check, List<SecondLook> secondLooks, boolean settings, boolean first, Sha256 seen) {
        /** The names of what appears. */
        public List<String> gained() {
            return names(ExposureCheck.Kind.GAINED);
        }

        /** The names of what is hidden already. */
        public List<String> lost() {
            return names(ExposureCheck.Kind.LOST);
        }

        private List<String> names(ExposureCheck.Kind kind) {
            return check.items(kind).stream().map(Item::name).toList();
        }

        /** Whether publishing changes anything. */
        public boolean any() {
            return first || settings;
        }
    }

    /**
     * What is set for a kind beside its aperture.
     *
     * @param folders the names of those that pass where it is Filtered, as pending
     * @param filters the same as filters
     * @param known the names of the folders at the top of the project
     * @param arrivals who made new items arrive Shown, and when; empty while they arrive unset
     */
    public record CellSettings(
            String folders, Set<Filter> filters, List<String> known, Optional<Panes.Arrivals> arrivals) {}

    /** The board of a project. */
    public record Board(
            List<Audience> audiences,
            List<KindRow> kinds,
            Optional<Audience> selected,
            ContentKind kind,
            List<ItemLine> lines,
            Optional<CellSettings> cell,
            List<Section> sections,
            Organisations organisations) {}

    /** Lays the board out with one cell selected. */
    public Board read(ProjectId project, Optional<PaneId> wanted, ContentKind kind) {
        Panes.All read = panes.all(project);
        Organisations organisations = Organisations.of(people, projects, project);
        List<Panes.Row> rows = read.rows();
        List<Pane> settings = read.panes();
        List<Item> all = items.ofProject(project);
        List<SeatRow> allSeats = read.seated();
        List<Audience> audiences = rows.stream()
                .map(row -> {
                    List<SeatRow> own = allSeats.stream()
                            .filter(seat -> seat.pane().equals(row.id()))
                            .toList();
                    return new Audience(
                            row,
                            own,
                            pending(
                                    row,
                                    pane(settings, row.id()),
                                    settings,
                                    new Around(own, all, organisations.without(own))),
                            row.willFollow());
                })
                .toList();
        Optional<Audience> selected = audiences.stream()
                .filter(a -> wanted.isEmpty() || a.pane().id().equals(wanted.get()))
                .findFirst();
        Ceilings most = rows.isEmpty() ? ceilings.both().ceilings() : read.ceilings();
        List<KindRow> kinds = new ArrayList<>();
        for (ContentKind each : ContentKind.values()) {
            kinds.add(new KindRow(
                    each,
                    rows.stream()
                            .map(row -> cell(
                                    pane(settings, row.id()),
                                    each,
                                    all.stream().filter(item -> !item.folder()).toList(),
                                    each == kind
                                            && selected.filter(
                                                            s -> s.pane().id().equals(row.id()))
                                                    .isPresent()))
                            .toList(),
                    most.of(each)));
        }
        return new Board(
                audiences,
                kinds,
                selected,
                kind,
                selected.map(s -> lines(pane(settings, s.pane().id()), kind, all))
                        .orElse(List.of()),
                selected.map(s -> cellSettings(pane(settings, s.pane().id()), kind, all, read.arrivals())),
                selected.map(s -> SetSections.inOrder(
                                read.sections().getOrDefault(s.pane().id(), List.of())))
                        .orElse(List.of()),
                organisations);
    }

    private CellSettings cellSettings(Pane pane, ContentKind kind, List<Item> all, List<Panes.Arrivals> arrivals) {
        return new CellSettings(
                folders(pane.pending().filters(kind)),
                pane.pending().filters(kind),
                all.stream()
                        .filter(item -> item.folder() && item.ancestors().isEmpty() && item.state() == Item.State.THERE)
                        .map(Item::name)
                        .toList(),
                arrivals.stream()
                        .filter(one -> one.pane().equals(pane.id()) && one.kind() == kind)
                        .findFirst());
    }

    /** The names of the folders that pass, set apart by commas. */
    public static String folders(Set<Filter> filters) {
        return filters.stream().map(filter -> filter.text()).sorted().collect(Collectors.joining(", "));
    }

    private static Pane pane(List<Pane> settings, PaneId id) {
        return settings.stream()
                .filter(pane -> pane.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private Cell cell(Pane pane, ContentKind kind, List<Item> all, boolean selected) {
        List<Item> ofKind = all.stream()
                .filter(item -> item.kind() == kind && item.state() == Item.State.THERE)
                .toList();
        int shown = (int)
                ofKind.stream().filter(item -> decide(item, pane).visible()).count();
        return new Cell(
                pane.id(),
                kind,
                pane.pending().aperture(kind),
                pane.published().aperture(kind),
                shown,
                ofKind.size(),
                selected);
    }

    private List<ItemLine> lines(Pane pane, ContentKind kind, List<Item> all) {
        return all.stream()
                .filter(item -> item.kind() == kind && item.state() == Item.State.THERE)
                .map(item -> Map.entry(path(item), item))
                .sorted(Map.Entry.comparingByKey())
                .map(Map.Entry::getValue)
                .map(item -> new ItemLine(
                        item,
                        item.folder(),
                        Optional.ofNullable(pane.pending().settings().get(item.id()))
                                .map(Setting::showing)
                                .orElse(Showing.UNSET),
                        decide(item, pane),
                        pane.pending().forAllPanes().containsKey(item.id()),
                        item.folder() && mixed(item, pane, all)))
                .toList();
    }

    /** Whether some of what lies in a folder is shown and some is not. */
    private boolean mixed(Item folder, Pane pane, List<Item> all) {
        return all.stream()
                        .filter(item -> !item.folder()
                                && item.state() == Item.State.THERE
                                && item.ancestors().stream()
                                        .anyMatch(above -> above.id().equals(folder.id())))
                        .map(item -> decide(item, pane).visible())
                        .distinct()
                        .count()
                > 1;
    }

    /** Folders stand before what lies in them. */
    private static String path(Item item) {
        StringBuilder path = new StringBuilder();
        item.ancestors().forEach(above -> path.insert(0, above.name() + "\0" + above.id() + "\0"));
        return path + item.name() + "\0" + item.id();
    }

    /** What publishing a pane would change. */
    Pending pending(Panes.Row row) {
        List<Pane> all = panes.withSettings(row.project());
        return pending(row, pane(all, row.id()), all, around(row));
    }

    private Around around(Panes.Row row) {
        List<SeatRow> own = seats.ofPane(row.id());
        return new Around(
                own,
                items.ofProject(row.project()),
                Organisations.of(people, projects, row.project()).without(own));
    }

    /** What stands around a pane: its people, the project's items, and the organisations nobody of which sits there. */
    private record Around(List<SeatRow> seats, List<Item> items, List<String> others) {}

    private Pending pending(Panes.Row row, Pane pane, List<Pane> all, Around around) {
        ExposureCheck check = ExposureCheck.of(
                around.items(), pane, around.seats().stream().map(SeatRow::seat).toList(), clock.instant());
        boolean settings =
                row.follows() != row.willFollow() || !pane.published().equals(pane.pending());
        return new Pending(
                check,
                SecondLook.at(check, pane, all, around.others()),
                settings,
                row.publishedAt() == null,
                seen(row, pane, check));
    }

    private static Sha256 seen(Panes.Row row, Pane pane, ExposureCheck check) {
        StringBuilder all = new StringBuilder().append(row.willFollow());
        Arrays.stream(ContentKind.values())
                .forEach(kind -> all.append(' ').append(pane.pending().aperture(kind)));
        check.bySeat().entrySet().stream()
                .sorted(Comparator.comparing(entry -> entry.getKey().toString()))
                .forEach(entry -> {
                    all.append('\n').append(entry.getKey());
                    entry.getValue().stream()
                            .map(change -> " " + change.item().id() + change.kind())
                            .sorted()
                            .forEach(all::append);
                });
        check.forAnybody().stream()
                .map(change -> "\n" + change.item().id() + change.kind())
                .sorted()
                .forEach(all::append);
        return Sha256.ofText(all.toString());
    }

    /** As somebody sees it to whom nothing is addressed by name. */
    private Verdict decide(Item item, Pane pane) {
        Seat anybody = new Seat(
                new SeatId(pane.id().value()),
                pane.id(),
                new ContactId(new UUID(0, 0)),
                SeatRole.READER,
                SeatState.ACCEPTED,
                false);
        return Visibility.decide(item, pane, Optional.of(anybody), clock.instant());
    }
}
