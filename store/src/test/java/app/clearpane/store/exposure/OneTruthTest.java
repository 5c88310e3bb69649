package app.clearpane.store.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.files.Folder;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Concern;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.files.Vault;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.Concerns;
import app.clearpane.store.project.Projects;
import app.clearpane.store.project.client.VisibleConcerns;
import app.clearpane.store.project.client.VisibleDates;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The rows that SQL gives a viewer are those the core decides they see, whatever the project looks like (V10). */
class OneTruthTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Items items = new Items(house.db, AHouse::today);
    private final Panes panes = new Panes(house.db);
    private final Seats seats = new Seats(house.db);
    private static final List<String> FOLDER_NAMES = List.of("For the client", "Artwork", "Alternatives");
    private final Viewers viewers = new Viewers(house.db, AHouse::today);

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void rowsAreDecisions(long seed) {
        Random random = new Random(seed);
        List<Contact> contacts = List.of(house.contact("ottoline"), house.contact("jasper"), house.contact("mirela"));
        List<PaneId> all = List.of(house.pane("The board"), house.pane("Fabricators"));
        new People(house.db).setClientsDoTasks(random.nextBoolean());
        List<ItemId> everything = project(random, all, contacts);
        all.forEach(pane -> settings(random, pane, everything));
        settingsOfTheAgency(random);
        for (PaneId pane : all) {
            for (Contact contact : contacts) {
                seat(random, pane, contact);
            }
        }
        everyRowIsADecision(contacts);
        contacts.forEach(this::unionOfSeats);
        contacts.forEach(this::allPanesAtOnce);
        someReadByThemselves(random, everything);
        goneAndBackTheSame(random, contacts);
    }

    private void settingsOfTheAgency(Random random) {
        for (ContentKind kind : ContentKind.values()) {
            if (random.nextBoolean()) {
                new AgencyApertures(house.db)
                        .setCeiling(kind, Aperture.values()[random.nextInt(4)], Actor.kept("Bastian"), AHouse.NOW);
                new AgencyApertures(house.db)
                        .setStartingPoint(
                                kind, Aperture.values()[random.nextInt(4)], Actor.kept("Bastian"), AHouse.NOW);
                new AgencyApertures(house.db).setCeilingFolders(kind, names(random, kind));
                new AgencyApertures(house.db).setStartingFolders(kind, names(random, kind));
            }
        }
    }

    private void everyRowIsADecision(List<Contact> contacts) {
        int compared = 0;
        for (Pane pane : panes.withSettings(house.project)) {
            for (Contact contact : contacts) {
                Optional<Seat> seat = seats.seatOf(pane.id(), contact.id()).map(SeatRow::seat);
                compared += compare(pane, seat, contact, viewers.viewerAt(pane.id(), contact.id(), AHouse.NOW), pane);
                if (seat.isPresent()
                        && seat.get().state() == SeatState.ACCEPTED
                        && pane.publishedAt().isPresent()) {
                    compared += compare(
                            pane,
                            seat,
                            contact,
                            viewers.lookingThrough(seat.get().id(), Viewer.Sight.AFTER_PUBLISHING, AHouse.NOW),
                            pane.afterPublishing(AHouse.NOW));
                }
            }
        }
        assertThat(compared).isGreaterThan(200);
    }

    /**
     * Whatever is deleted is gone with all that lies in it, at any depth, and back the same; what was deleted before it
     * stays deleted.
     */
    private void goneAndBackTheSame(Random random, List<Contact> contacts) {
        for (int i = 0; i < 12; i++) {
            List<Item> there = items.ofProject(house.project).stream()
                    .filter(item -> item.state() == Item.State.THERE)
                    .toList();
            Item one = there.get(random.nextInt(there.size()));
            Set<ItemId> inIt = there.stream()
                    .filter(item -> lies(item, one.id()))
                    .map(Item::id)
                    .collect(Collectors.toSet());
            Map<ContactId, Set<ItemId>> before = seenBy(contacts);
            Optional<ItemId> deletedBefore = random.nextBoolean()
                    ? inIt.stream().filter(id -> !id.equals(one.id())).findAny()
                    : Optional.empty();
            deletedBefore.ifPresent(id -> items.delete(id, AHouse.NOW));
            items.delete(one.id(), AHouse.NOW);
            assertThat(items.ofProject(house.project).stream()
                            .filter(item -> inIt.contains(item.id()))
                            .map(Item::state))
                    .containsOnly(Item.State.DELETED);
            seenBy(contacts).values().forEach(seen -> assertThat(seen).doesNotContainAnyElementsOf(inIt));
            deletedBefore.ifPresent(id -> assertThat(items.restore(id).map(Items.Row::id))
                    .as("brought back into something deleted")
                    .contains(one.id()));
            assertThat(items.restore(one.id())).isEmpty();
            deletedBefore.ifPresent(id -> {
                assertThat(items.find(id).orElseThrow().deleted())
                        .as("deleted before")
                        .isTrue();
                assertThat(items.restore(id)).isEmpty();
            });
            assertThat(seenBy(contacts)).isEqualTo(before);
        }
    }

    private static boolean lies(Item item, ItemId in) {
        return item.id().equals(in)
                || item.ancestors().stream().anyMatch(above -> above.id().equals(in));
    }

    private Map<ContactId, Set<ItemId>> seenBy(List<Contact> contacts) {
        return contacts.stream()
                .collect(Collectors.toMap(Contact::id, contact -> panes.withSettings(house.project).stream()
                        .flatMap(pane -> viewers.viewerAt(pane.id(), contact.id(), AHouse.NOW).stream())
                        .flatMap(viewer ->
                                Arrays.stream(ContentKind.values()).flatMap(kind -> rows(viewer, kind).stream()))
                        .collect(Collectors.toSet())));
    }

    /** Some items read across projects are decided on as when their whole project is read. */
    private void someReadByThemselves(Random random, List<ItemId> everything) {
        List<ItemId> some =
                everything.stream().filter(item -> random.nextInt(4) == 0).toList();
        List<Item> whole = items.ofProject(house.project).stream()
                .filter(item -> some.contains(item.id()))
                .toList();
        Map<ProjectId, List<Item>> found = items.some(some);
        List<Item> read = found.getOrDefault(house.project, List.of());
        assertThat(read).containsAll(whole);
        List<Pane> asWhole = panes.withSettings(house.project);
        List<Pane> asRead = panes.withSettings(found).panes().getOrDefault(house.project, List.of());
        for (int i = 0; i < asRead.size(); i++) {
            Seat anybody = new Seat(
                    new SeatId(UUID.randomUUID()),
                    asWhole.get(i).id(),
                    new ContactId(UUID.randomUUID()),
                    SeatRole.READER,
                    SeatState.ACCEPTED,
                    false);
            for (Item item : whole) {
                assertThat(Visibility.decide(item, asRead.get(i), Optional.of(anybody), AHouse.NOW))
                        .as(item.name())
                        .isEqualTo(Visibility.decide(item, asWhole.get(i), Optional.of(anybody), AHouse.NOW));
            }
        }
        assertThat(items.some(List.<ItemId>of())).isEmpty();
    }

    /**
     * Wherever somebody comes in, what they see there and at the other panes it leads on to is what any of their seats
     * shows them (V3).
     */
    private void unionOfSeats(Contact contact) {
        List<Pane> all = panes.withSettings(house.project);
        List<Viewer> ways = all.stream()
                .flatMap(pane -> viewers.viewerAt(pane.id(), contact.id(), AHouse.NOW).stream())
                .toList();
        for (ContentKind kind : Arrays.stream(ContentKind.values())
                .filter(ContentKind::pickable)
                .toList()) {
            Set<ItemId> decided = leaves().stream()
                    .filter(item -> item.kind() == kind)
                    .filter(item -> all.stream().anyMatch(pane -> Visibility.decide(
                                    item,
                                    pane,
                                    seats.seatOf(pane.id(), contact.id()).map(SeatRow::seat),
                                    AHouse.NOW)
                            .visible()))
                    .map(Item::id)
                    .collect(Collectors.toSet());
            assertThat(ways.isEmpty() && !decided.isEmpty())
                    .as("seen without a way in")
                    .isFalse();
            for (Viewer in : ways) {
                Stream<Viewer> others = viewers.others(in, AHouse.NOW).stream()
                        .flatMap(other -> viewers.viewerAt(other.id(), contact.id(), AHouse.NOW).stream());
                assertThat(Stream.concat(Stream.of(in), others)
                                .flatMap(viewer -> rows(viewer, kind).stream())
                                .collect(Collectors.toSet()))
                        .as(kind + " for " + contact.name() + " from " + in.pane())
                        .isEqualTo(decided);
            }
        }
    }

    /** What is read of all panes at once is what is read of each by itself. */
    private void allPanesAtOnce(Contact contact) {
        AllPanes all = viewers.everywhere(contact.id(), AHouse.NOW);
        Map<PaneId, Integer> files = new VisibleFiles(house.db).count(all);
        Map<PaneId, List<VisibleDeliverables.Row>> works =
                new VisibleDeliverables(house.db).everywhere(all).rows();
        Map<PaneId, List<VisibleTasks.Waiting>> tasks = new VisibleTasks(house.db).everywhere(all);
        Map<PaneId, List<Milestone>> dates = new VisibleDates(house.db).everywhere(all);
        for (Viewer one : all.viewers()) {
            PaneId pane = one.pane();
            assertThat(viewers.viewerAt(pane, contact.id(), AHouse.NOW)).contains(one);
            assertThat(files.getOrDefault(pane, 0))
                    .isEqualTo(rows(one, ContentKind.FILES).size());
            assertThat(works.getOrDefault(pane, List.of())).isEqualTo(new VisibleDeliverables(house.db).all(one));
            assertThat(tasks.getOrDefault(pane, List.of()).stream().map(VisibleTasks.Waiting::id))
                    .containsExactlyElementsOf(new VisibleTasks(house.db)
                            .all(one).stream()
                                    .filter(task -> task.yours() && task.stage().open())
                                    .map(VisibleTasks.Row::id)
                                    .toList());
            assertThat(dates.getOrDefault(pane, List.of()))
                    .isEqualTo(new VisibleDates(house.db)
                            .milestones(one).stream()
                                    .filter(milestone -> !milestone.reached())
                                    .toList());
        }
    }

    private List<Item> leaves() {
        Set<ItemId> folders = new ProjectFiles(house.db)
                .folders(house.project).stream().map(Folder::id).collect(Collectors.toSet());
        return items.ofProject(house.project).stream()
                .filter(item -> !folders.contains(item.id()))
                .toList();
    }

    private int compare(Pane pane, Optional<Seat> seat, Contact contact, Optional<Viewer> viewer, Pane asSeen) {
        List<Item> all = leaves();
        for (ContentKind kind : Arrays.stream(ContentKind.values())
                .filter(ContentKind::pickable)
                .toList()) {
            Set<ItemId> decided = all.stream()
                    .filter(item -> item.kind() == kind)
                    .filter(item ->
                            Visibility.decide(item, asSeen, seat, AHouse.NOW).visible())
                    .map(Item::id)
                    .collect(Collectors.toSet());
            assertThat(viewer.map(v -> rows(v, kind)).orElse(Set.of()))
                    .as(kind + " for " + contact.name() + " at " + pane.name())
                    .isEqualTo(decided);
        }
        return all.size();
    }

    private Set<ItemId> rows(Viewer viewer, ContentKind kind) {
        return switch (kind) {
            case DATES ->
                Stream.concat(
                                new VisibleDates(house.db)
                                        .milestones(viewer).stream().map(Milestone::id),
                                new VisibleDates(house.db).account(viewer).stream())
                        .collect(Collectors.toSet());
            case TASKS ->
                new VisibleTasks(house.db)
                        .all(viewer).stream().map(VisibleTasks.Row::id).collect(Collectors.toSet());
            case FILES ->
                new VisibleFiles(house.db)
                        .all(viewer).stream().map(ProjectFile::id).collect(Collectors.toSet());
            case DELIVERABLES ->
                new VisibleDeliverables(house.db)
                        .all(viewer).stream().map(VisibleDeliverables.Row::id).collect(Collectors.toSet());
            case CONCERNS ->
                new VisibleConcerns(house.db)
                        .all(viewer).stream().map(VisibleConcerns.Row::id).collect(Collectors.toSet());
            case STATUS -> Set.of();
        };
    }

    private List<ItemId> project(Random random, List<PaneId> all, List<Contact> contacts) {
        List<ItemId> made = new ArrayList<>();
        List<ItemId> folders = new ArrayList<>();
        List<ItemId> tasks = new ArrayList<>();
        made.add(account());
        for (int i = 0; i < 40; i++) {
            Optional<ItemId> parent = folders.isEmpty() || random.nextInt(3) == 0
                    ? Optional.empty()
                    : Optional.of(folders.get(random.nextInt(folders.size())));
            ItemId item =
                    switch (random.nextInt(7)) {
                        case 6 -> concern();
                        case 4, 5 -> task(random, tasks, contacts);
                        case 0 -> folder(parent, folders);
                        case 1 -> file(parent);
                        case 2 -> milestone();
                        default -> deliverable(random, all.get(random.nextInt(2)), contacts);
                    };
            made.add(item);
        }
        move(random, folders);
        move(random, tasks);
        made.stream().filter(item -> random.nextInt(10) == 0).forEach(item -> items.delete(item, AHouse.NOW));
        made.stream().filter(item -> random.nextInt(20) == 0).forEach(items::restore);
        return made;
    }

    /** Folders and tasks with all that lies in them are moved about. */
    private void move(Random random, List<ItemId> some) {
        for (ItemId item : some) {
            Optional<ItemId> parent =
                    random.nextInt(4) == 0 ? Optional.empty() : Optional.of(some.get(random.nextInt(some.size())));
            boolean intoItself = parent.isPresent()
                    && items.ofProject(house.project).stream()
                            .anyMatch(other -> other.id().equals(parent.get()) && lies(other, item));
            if (intoItself) {
                assertThatIllegalArgumentException().isThrownBy(() -> items.move(item, parent));
            } else {
                items.move(item, parent);
            }
        }
    }

    private ItemId folder(Optional<ItemId> parent, List<ItemId> folders) {
        ItemId item = items.add(
                house.project,
                ContentKind.FILES,
                FOLDER_NAMES.get(folders.size() % FOLDER_NAMES.size()),
                parent,
                AHouse.NOW);
        new ProjectFiles(house.db).addFolder(item, "");
        folders.add(item);
        return item;
    }

    private static Set<String> names(Random random, ContentKind kind) {
        Set<String> names = (kind.filters().isEmpty()
                        ? FOLDER_NAMES
                        : kind.filters().stream().map(Filter.Trait::text).toList())
                .stream().filter(name -> random.nextInt(3) == 0).collect(Collectors.toSet());
        if (kind.hasDays() && random.nextBoolean()) {
            names.add(new Filter.DueWithin(random.nextInt(4)).text());
        }
        return names;
    }

    private ItemId file(Optional<ItemId> parent) {
        ItemId item = items.add(house.project, ContentKind.FILES, "file", parent, AHouse.NOW);
        new ProjectFiles(house.db)
                .addFile(item, new Vault.Stored(Sha256.ofText("x"), 1), "text/plain", Actor.kept("Teo"));
        return item;
    }

    private ItemId task(Random random, List<ItemId> tasks, List<Contact> contacts) {
        Optional<ItemId> parent = tasks.isEmpty() || random.nextInt(3) == 0
                ? Optional.empty()
                : Optional.of(tasks.get(random.nextInt(tasks.size())));
        ItemId item = items.add(house.project, ContentKind.TASKS, "task", parent, AHouse.NOW);
        PlannedTask.Hands hands = random.nextInt(4) == 0
                ? new PlannedTask.Hands(
                        Optional.of(contacts.get(random.nextInt(3)).id()), Optional.empty(), "")
                : PlannedTask.Hands.NOBODY;
        PlannedTask.Details none = PlannedTask.Details.NONE;
        Due due =
                random.nextInt(3) == 0 ? Due.NONE : Due.on(AHouse.today().day().plusDays(random.nextInt(9) - 3));
        PlannedTask.Details details = new PlannedTask.Details(
                none.phase(),
                none.milestone(),
                none.follows(),
                due,
                none.priority(),
                none.labels(),
                none.notes(),
                none.repeats(),
                none.also());
        new Tasks(house.db)
                .add(new PlannedTask(
                        new Task(
                                item,
                                parent,
                                "task",
                                Side.OURS,
                                new Task.Shape(random.nextInt(2), Optional.empty(), List.of(), OptionalInt.empty()),
                                Stage.values()[random.nextInt(5)],
                                Task.Actual.NONE),
                        house.project,
                        0,
                        hands,
                        details,
                        1));
        tasks.add(item);
        return item;
    }

    private ItemId account() {
        ItemId item = items.add(house.project, ContentKind.DATES, "Where the days went", Optional.empty(), AHouse.NOW);
        new Agreements(house.db).addAccount(house.project, item);
        return item;
    }

    private ItemId concern() {
        ItemId item = items.add(house.project, ContentKind.CONCERNS, "concern", Optional.empty(), AHouse.NOW);
        new Concerns(house.db).add(new Concern(item, house.project, "concern", false, 2, 2, "", "", null, "", null, 1));
        return item;
    }

    private ItemId milestone() {
        ItemId item = items.add(house.project, ContentKind.DATES, "milestone", Optional.empty(), AHouse.NOW);
        new Projects(house.db).addMilestone(item, LocalDate.of(2027, 5, 24));
        return item;
    }

    private ItemId deliverable(Random random, PaneId pane, List<Contact> contacts) {
        ItemId item = house.deliverable("deliverable", pane);
        if (random.nextBoolean()) {
            Deliverables deliverables = new Deliverables(house.db);
            Version version = new Version(
                    new VersionId(UUID.randomUUID()),
                    item,
                    null,
                    Sha256.ofText("y"),
                    "y.pdf",
                    "application/pdf",
                    1,
                    "",
                    Actor.kept("Teo"),
                    AHouse.NOW,
                    null);
            deliverables.addVersion(version);
            deliverables.numberAndSend(version, 1, AHouse.NOW);
            Contact asked = contacts.get(random.nextInt(3));
            deliverables.open(new Round(
                    new RoundId(UUID.randomUUID()),
                    version.id(),
                    1,
                    AHouse.NOW,
                    AHouse.NOW,
                    new Rule.All(),
                    List.of(new Round.Signatory(asked.id(), asked.name(), false))));
        }
        return item;
    }

    private void settings(Random random, PaneId pane, List<ItemId> everything) {
        if (random.nextInt(3) > 0) {
            for (ContentKind kind : ContentKind.values()) {
                panes.setAperture(pane, kind, Aperture.values()[random.nextInt(4)]);
                panes.setFilters(pane, kind, names(random, kind));
            }
        }
        mark(random, pane, everything);
        if (random.nextInt(5) > 0) {
            panes.publish(panes.find(pane).orElseThrow(), AHouse.NOW);
            for (ContentKind kind : ContentKind.values()) {
                if (random.nextBoolean()) {
                    panes.setAperture(pane, kind, Aperture.values()[random.nextInt(4)]);
                    panes.setFilters(pane, kind, names(random, kind));
                }
            }
            mark(random, pane, everything);
            if (random.nextInt(4) == 0) {
                panes.follow(pane);
            }
        }
        if (random.nextInt(6) == 0) {
            Panes.Row row = panes.find(pane).orElseThrow();
            panes.change(row.open(
                    AHouse.NOW.plusSeconds(random.nextInt(3) - 2),
                    AHouse.NOW.plusSeconds(random.nextBoolean() ? 60 : 0)));
        }
    }

    private void mark(Random random, PaneId pane, List<ItemId> everything) {
        for (ItemId item : everything) {
            switch (random.nextInt(7)) {
                case 0, 1 -> panes.setShowing(pane, item, new Setting(Showing.SHOWN, Actor.kept("Teo"), AHouse.NOW));
                case 2 -> panes.setShowing(pane, item, new Setting(Showing.HELD_BACK, Actor.kept("Teo"), AHouse.NOW));
                case 3 -> panes.unset(pane, item, Actor.kept("Teo"), AHouse.NOW);
                case 4 -> {
                    if (random.nextInt(5) == 0) {
                        panes.holdBackEverywhere(item, Actor.kept("Teo"), AHouse.NOW);
                    }
                }
                default -> {
                    // Stays as it was.
                }
            }
        }
    }

    private void seat(Random random, PaneId pane, Contact contact) {
        if (random.nextInt(6) == 0) {
            return;
        }
        SeatId seat = seats.give(pane, contact.id(), SeatRole.values()[random.nextInt(3)], AHouse.NOW);
        if (random.nextInt(6) > 0) {
            seats.invited(seat, AHouse.NOW);
            seats.accept(contact.id(), AHouse.NOW);
        }
        if (random.nextInt(8) == 0) {
            seats.end(seats.find(seat).orElseThrow(), AHouse.NOW);
        }
    }
}
