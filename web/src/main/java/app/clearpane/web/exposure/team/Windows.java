package app.clearpane.web.exposure.team;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Reason;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.usecases.exposure.ReasonWords;
import app.clearpane.usecases.shell.KeptReading;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The little window on every row: to which audiences an item is shown, and why not to the others. */
@Component
public class Windows {
    /** So many sets of rows are kept at a time. */
    private static final int KEPT = 40;

    private final Panes panes;
    private final Items items;
    private final ReasonWords reasons;
    private final Clock clock;
    private final KeptReading<Asked, Map<ItemId, Window>> kept;

    Windows(Panes panes, Items items, ReasonWords reasons, WriteCounter writes, Clock clock) {
        this.kept = new KeptReading<>(writes, KEPT, this::read);
        this.panes = panes;
        this.items = items;
        this.reasons = reasons;
        this.clock = clock;
    }

    /**
     * A window.
     *
     * @param look "shown", "held", "mixed" where it is a folder of which some is shown and some is not, or "out"
     * @param audiences the names of those who see it
     * @param named who else sees it by name
     * @param reason a sentence for every audience
     */
    public record Window(String look, List<String> audiences, List<String> named, String reason) {
        /** The window of a paper, which is no item: it never goes by what a pane lets through. */
        public static final Window BY_NAME_ONLY = new Window(
                "shown", List.of(), List.of(), "Papers are seen by those they are addressed to, and by nobody else.");

        /** Who sees it, in a few words. */
        public String words() {
            return look.equals("mixed")
                    ? "some of it is shown"
                    : isSeen()
                            ? "shown to " + String.join(", ", whom())
                            : look.equals("held") ? "held back" : "not shown";
        }

        /** Who sees it: audiences, and people by name. */
        public List<String> whom() {
            return Stream.concat(audiences.stream(), named.stream().map(name -> new Name(name).first() + " by name"))
                    .toList();
        }

        /** Whether anybody sees it. */
        public boolean isSeen() {
            return !audiences.isEmpty() || !named.isEmpty();
        }
    }

    /** The panes of a project, all its items and their windows. */
    public record All(List<Panes.Row> panes, List<Item> items, Map<ItemId, Window> windows) {
        /** The items of a kind that are there. */
        public List<Item> there(ContentKind kind) {
            return items.stream()
                    .filter(item -> item.kind() == kind && item.state() != Item.State.DELETED)
                    .toList();
        }
    }

    /** The panes and windows of a project. */
    public All all(ProjectId project) {
        Panes.All all = panes.all(project);
        List<Item> everything = items.ofProject(project);
        return new All(all.rows(), everything, windowsOf(all.panes(), everything, all.seated()));
    }

    /** The windows of all items of a project. */
    public Map<ItemId, Window> windowsOf(ProjectId project) {
        return all(project).windows();
    }

    /** The window of one item. */
    public Window windowsOf(ProjectId project, ItemId item) {
        return Objects.requireNonNull(windowsOf(project).get(item));
    }

    /** The windows of some items of any projects, as long as they are there. */
    public Map<ItemId, Window> across(Collection<ItemId> some) {
        return some.isEmpty()
                ? Map.of()
                : kept.read(new Asked(Set.copyOf(some), clock.instant().truncatedTo(ChronoUnit.MINUTES)));
    }

    /** @param minute what a pane lets through may change with the time */
    private record Asked(Set<ItemId> items, Instant minute) {}

    private Map<ItemId, Window> read(Asked asked) {
        Map<ProjectId, List<Item>> found = items.some(asked.items());
        Panes.OfSome some = panes.withSettings(found);
        Map<ItemId, Window> windows = new HashMap<>();
        found.forEach((project, there) ->
                windows.putAll(windowsOf(some.panes().getOrDefault(project, List.of()), there, some.seated())));
        return windows;
    }

    private Map<ItemId, Window> windowsOf(List<Pane> all, List<Item> everything, List<SeatRow> seated) {
        Map<PaneId, List<SeatRow>> byPane = seated.stream().collect(Collectors.groupingBy(SeatRow::pane));
        Map<ItemId, Window> windows = new HashMap<>();
        everything.forEach(item -> windows.put(item.id(), window(item, all, byPane)));
        Map<ItemId, Set<Boolean>> inside = new HashMap<>();
        everything.stream()
                .filter(item -> !item.folder() && item.state() == Item.State.THERE)
                .forEach(item -> item.ancestors().forEach(above -> inside.computeIfAbsent(
                                above.id(), none -> new HashSet<>())
                        .add(Objects.requireNonNull(windows.get(item.id())).isSeen())));
        inside.forEach((folder, seen) -> {
            if (seen.size() > 1) {
                windows.computeIfPresent(
                        folder,
                        (id, window) -> new Window(
                                "mixed",
                                window.audiences(),
                                window.named(),
                                "Some of what lies in it is shown, some is not. " + window.reason()));
            }
        });
        return windows;
    }

    private Window window(Item item, List<Pane> all, Map<PaneId, List<SeatRow>> seated) {
        List<String> audiences = new ArrayList<>();
        List<String> named = new ArrayList<>();
        List<String> sentences = new ArrayList<>();
        boolean held = false;
        for (Pane pane : all) {
            Seat anybody = new Seat(
                    new SeatId(pane.id().value()),
                    pane.id(),
                    new ContactId(new UUID(0, 0)),
                    SeatRole.READER,
                    SeatState.ACCEPTED,
                    false);
            Verdict verdict = Visibility.decide(item, pane, Optional.of(anybody), clock.instant());
            if (verdict.visible()) {
                audiences.add(pane.name());
            }
            held |= verdict.reason() == Reason.HELD_BACK || verdict.reason() == Reason.HELD_BACK_ABOVE;
            sentences.add(pane.name() + ": " + reasons.inWords(verdict) + ".");
            if (!verdict.visible()) {
                byName(item, pane, seated.getOrDefault(pane.id(), List.of())).forEach(seat -> {
                    named.add(seat.name());
                    sentences.add(seat.name() + ": "
                            + reasons.inWords(Visibility.decide(item, pane, Optional.of(seat.seat()), clock.instant()))
                            + ".");
                });
            }
        }
        boolean seen = !audiences.isEmpty() || !named.isEmpty();
        return new Window(
                seen ? "shown" : held ? "held" : "out",
                audiences,
                named.stream().distinct().toList(),
                sentences.isEmpty() ? "There is no pane yet." : String.join(" ", sentences));
    }

    /** The people at a pane who see something through it because it, or what it stands in, was sent to them by name. */
    private List<SeatRow> byName(Item item, Pane pane, List<SeatRow> seated) {
        return seated.stream()
                .filter(seat -> item.concerned().contains(seat.contact())
                        && Visibility.decide(item, pane, Optional.of(seat.seat()), clock.instant())
                                .visible())
                .toList();
    }
}
