package app.clearpane.store.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Priority;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Task;
import app.clearpane.core.project.Phase;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnEvent;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.Stale;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.project.Projects;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Tasks are read back as they were kept, are not lost to two people at once, and change hands when somebody leaves. */
class TasksTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 8);
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Tasks tasks = new Tasks(house.db);
    private final Items items = new Items(house.db, AHouse::today);
    private final People people = new People(house.db);

    private TeamMember member(String name) {
        return people.addMember(
                new Name(name),
                new EmailAddress(name.toLowerCase(Locale.ROOT) + "@marram.example"),
                TeamRole.MAKER,
                "",
                AHouse.NOW);
    }

    private ItemId item(String name, Optional<ItemId> parent) {
        return items.add(house.project, ContentKind.TASKS, name, parent, AHouse.NOW);
    }

    private static Task task(ItemId id, String name, Stage stage, List<Task.After> after) {
        return new Task(
                id,
                Optional.empty(),
                name,
                Side.OURS,
                new Task.Shape(3, Optional.of(MONDAY), after, OptionalInt.of(90)),
                stage,
                new Task.Actual(Optional.of(MONDAY), Optional.empty(), Optional.of(new Task.Remaining(2, MONDAY))));
    }

    private ItemId kept(String name, Stage stage, PlannedTask.Hands hands, List<PlannedTask.Helper> helpers) {
        ItemId id = item(name, Optional.empty());
        PlannedTask.Details details = new PlannedTask.Details(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Due.NONE,
                Priority.USUAL,
                List.of(),
                "",
                "",
                new PlannedTask.Also(List.of(), helpers));
        tasks.add(new PlannedTask(
                task(id, name, stage, List.of()), house.project, tasks.nextPosition(house.project), hands, details, 1));
        return id;
    }

    private static PlannedTask.Hands of(TeamMember member) {
        return new PlannedTask.Hands(Optional.empty(), Optional.of(member.id()), member.name());
    }

    private static PlannedTask.Helper helper(TeamMember member) {
        return new PlannedTask.Helper(member.id(), member.name());
    }

    @Test
    void isReadBackAsItWasKept() {
        TeamMember teo = member("Teo");
        Contact jasper = house.contact("jasper");
        UUID concept = UUID.randomUUID();
        UUID design = UUID.randomUUID();
        Projects projects = new Projects(house.db);
        projects.addPhase(
                house.project, new Phase(concept, "Concept", MONDAY, MONDAY.plusDays(10), Phase.Stage.UNDER_WAY, 1), 0);
        projects.addPhase(
                house.project, new Phase(design, "Design", MONDAY, MONDAY.plusDays(20), Phase.Stage.UNDER_WAY, 1), 1);
        ItemId first = kept("Photographs", Stage.DONE, PlannedTask.Hands.NOBODY, List.of());
        ItemId id = item("Opening hours", Optional.of(first));
        PlannedTask planned = plannedWithAllThereIs(teo, jasper, concept, design, first, id);
        tasks.add(planned);
        assertThat(tasks.find(id)).contains(planned);
        assertThat(tasks.ofProject(house.project)).contains(planned).hasSize(2);
        assertThat(tasks.withDueBefore()).containsExactly(house.project);
        assertThat(tasks.ofProjects(List.of(house.project)).get(house.project))
                .containsExactlyElementsOf(tasks.ofProject(house.project));
        assertThat(tasks.find(new ItemId(UUID.randomUUID()))).isEmpty();
    }

    private PlannedTask plannedWithAllThereIs(
            TeamMember teo, Contact jasper, UUID concept, UUID design, ItemId first, ItemId id) {
        Task asked = new Task(
                id,
                Optional.of(first),
                "Opening hours",
                Side.CLIENTS,
                new Task.Shape(0, Optional.empty(), List.of(new Task.After(first, 4)), OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
        PlannedTask planned = new PlannedTask(
                asked,
                house.project,
                7,
                new PlannedTask.Hands(Optional.of(jasper.id()), Optional.empty(), jasper.name()),
                new PlannedTask.Details(
                        Optional.of(concept),
                        Optional.empty(),
                        Optional.empty(),
                        new Due(
                                Optional.of(MONDAY.plusDays(3)),
                                Optional.of(LocalTime.of(15, 30)),
                                Optional.of(new Due.Before(first, 4))),
                        Priority.HIGH,
                        List.of("print", "words, long"),
                        "*as said*",
                        "FREQ=WEEKLY",
                        new PlannedTask.Also(List.of(design), List.of(helper(teo)))),
                1);
        return planned;
    }

    @Test
    void whoComesSecondIsToldAndLosesNothingOfTheFirst() {
        ItemId id = kept("Draw the map", Stage.TO_DO, PlannedTask.Hands.NOBODY, List.of());
        PlannedTask read = tasks.find(id).orElseThrow();
        tasks.change(read.with(task(id, "Draw the map", Stage.UNDER_WAY, List.of())), AHouse.NOW);
        assertThatThrownBy(() -> tasks.change(read.with(task(id, "Draw the map", Stage.DONE, List.of())), AHouse.NOW))
                .isInstanceOf(Stale.class);
        assertThat(tasks.find(id).orElseThrow().task().stage()).isEqualTo(Stage.UNDER_WAY);
        assertThat(tasks.find(id).orElseThrow().revision()).isEqualTo(2);
    }

    @Test
    void whatSomebodyHasInHandGoesToWhoeverTakesOver() {
        TeamMember teo = member("Teo");
        TeamMember wanda = member("Wanda");
        TeamMember rukmini = member("Rukmini");
        ItemId own = kept("Own", Stage.UNDER_WAY, of(teo), List.of(helper(wanda), helper(rukmini)));
        ItemId helped = kept("Helped", Stage.TO_DO, of(rukmini), List.of(helper(teo)));
        ItemId past = kept("Past", Stage.DONE, of(teo), List.of(helper(teo)));
        ItemId others = kept("Others", Stage.TO_DO, of(rukmini), List.of(helper(wanda)));
        assertThat(tasks.handOver(teo.id(), wanda.id())).isEqualTo(1);
        assertThat(tasks.find(own).orElseThrow()).satisfies(task -> {
            assertThat(task.hands().member()).contains(wanda.id());
            assertThat(task.details().also().helpers())
                    .as("nobody helps themselves")
                    .containsExactly(helper(rukmini));
        });
        assertThat(tasks.find(helped).orElseThrow().details().also().helpers())
                .as("who left helps no more")
                .isEmpty();
        assertThat(tasks.find(past).orElseThrow())
                .as("what is done stays theirs")
                .satisfies(task -> assertThat(task.hands().member()).contains(teo.id()));
        assertThat(tasks.find(others).orElseThrow().revision())
                .as("not touched")
                .isEqualTo(1);
        assertThat(tasks.find(own).orElseThrow().isOnDeskOf(new TeamMemberId(UUID.randomUUID())))
                .isFalse();
    }

    @Test
    void turnsAreKeptInTheirOrderAndWhatWasDeletedIsNotRead() {
        ItemId id = kept("Names", Stage.TO_DO, PlannedTask.Hands.NOBODY, List.of());
        tasks.turned(id, TurnEvent.TASK_GIVEN_TO_CLIENT, Actor.kept("Ines"), AHouse.NOW.plusSeconds(60));
        tasks.turned(id, TurnEvent.TASK_DONE, Actor.kept("Jasper"), AHouse.NOW.plusSeconds(120));
        assertThat(tasks.ledgers(house.project).get(id).holder()).isEqualTo(Turn.NOBODYS);
        assertThat(tasks.ledgers(List.of(house.project)).get(id).stretches(AHouse.NOW.plusSeconds(180)))
                .extracting(stretch -> stretch.holder())
                .containsExactly(Turn.OURS, Turn.CLIENTS, Turn.NOBODYS);
        items.delete(id, AHouse.NOW);
        assertThat(tasks.find(id)).isEmpty();
        items.restore(id);
        assertThat(tasks.find(id)).isPresent();
        tasks.gathered(id, Stage.DONE);
        assertThat(tasks.find(id).orElseThrow().task().stage()).isEqualTo(Stage.DONE);
    }

    @Test
    void commentsAreReadInTheirOrder() {
        ItemId id = kept("Names", Stage.TO_DO, PlannedTask.Hands.NOBODY, List.of());
        Contact jasper = house.contact("jasper");
        tasks.say(id, "Which names?", false, new Actor.OfClient(jasper.id(), jasper.name()), AHouse.NOW);
        tasks.say(
                id,
                "He means the donors.",
                true,
                new Actor.OfTeam(member("Teo").id(), "Teo"),
                AHouse.NOW.plusSeconds(1));
        assertThat(tasks.comments(id))
                .extracting(Tasks.Comment::said)
                .containsExactly("Which names?", "He means the donors.");
        assertThat(tasks.comments(id)).extracting(Tasks.Comment::teamOnly).containsExactly(false, true);
    }

    @Test
    void roomIsMadeBetweenTwo() {
        ItemId first = kept("First", Stage.TO_DO, PlannedTask.Hands.NOBODY, List.of());
        ItemId last = kept("Last", Stage.TO_DO, PlannedTask.Hands.NOBODY, List.of());
        int before = tasks.find(last).orElseThrow().position();
        tasks.makeRoom(house.project, before);
        assertThat(tasks.find(first).orElseThrow().position()).isLessThan(before);
        assertThat(tasks.find(last).orElseThrow().position()).isEqualTo(before + 1);
        assertThat(tasks.nextPosition(house.project)).isEqualTo(before + 2);
    }
}
