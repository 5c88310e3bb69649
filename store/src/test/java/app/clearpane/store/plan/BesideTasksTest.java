package app.clearpane.store.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Priority;
import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.plan.Task;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Seats;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What stands beside tasks: time that was spent, names of steps, and calendars that ask with a key. */
class BesideTasksTest {
    private static final LocalDate MONDAY = LocalDate.of(2027, 3, 8);
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final TimeSpent time = new TimeSpent(house.db);
    private final TaskSteps steps = new TaskSteps(house.db);
    private final Feeds feeds = new Feeds(house.db);
    private final TeamMemberId teo = member("teo");
    private final TeamMemberId rukmini = member("rukmini");
    private final ItemId task = task();

    private TeamMemberId member(String name) {
        return new People(house.db)
                .addMember(new Name(name), new EmailAddress(name + "@marram.example"), TeamRole.MAKER, "", AHouse.NOW)
                .id();
    }

    private ItemId task() {
        ItemId id = new Items(house.db, AHouse::today)
                .add(house.project, ContentKind.TASKS, "Draw", Optional.empty(), AHouse.NOW);
        Task plain = new Task(
                id,
                Optional.empty(),
                "Draw",
                Side.OURS,
                new Task.Shape(3, Optional.empty(), List.of(), OptionalInt.empty()),
                Stage.TO_DO,
                Task.Actual.NONE);
        new Tasks(house.db)
                .add(new PlannedTask(
                        plain,
                        house.project,
                        0,
                        PlannedTask.Hands.NOBODY,
                        new PlannedTask.Details(
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Due.NONE,
                                Priority.USUAL,
                                List.of(),
                                "",
                                "",
                                PlannedTask.Also.NOWHERE),
                        1));
        return id;
    }

    private static Steps.Step step(String name, Stage stage) {
        return new Steps.Step(Optional.of(UUID.randomUUID()), name, stage);
    }

    @Test
    void aClockRunsUntilItIsStoppedOnce() {
        time.add(task, teo, null, MONDAY, AHouse.NOW);
        TimeSpent.Entry clock = time.running(teo).orElseThrow();
        assertThat(clock.running()).isTrue();
        assertThat(time.running(rukmini)).isEmpty();
        time.stop(clock.id(), 25);
        time.stop(clock.id(), 99);
        assertThat(time.running(teo)).isEmpty();
        assertThat(time.entriesOf(task)).singleElement().satisfies(entry -> assertThat(entry.minutes())
                .as("stopped once")
                .isEqualTo(25));
    }

    @Test
    void timeIsReadLatestFirstAndTakenAwayByWhoWroteItDown() {
        time.add(task, teo, 30, MONDAY, AHouse.NOW);
        time.add(task, rukmini, 60, MONDAY.plusDays(1), AHouse.NOW);
        time.add(task, teo, 45, MONDAY, AHouse.NOW.plusSeconds(1));
        assertThat(time.entriesOf(task)).extracting(TimeSpent.Entry::minutes).containsExactly(60, 45, 30);
        UUID rukminis = time.entriesOf(task).get(0).id();
        time.remove(rukminis, teo);
        assertThat(time.entriesOf(task)).as("another's").hasSize(3);
        time.remove(rukminis, rukmini);
        assertThat(time.entriesOf(task)).extracting(TimeSpent.Entry::minutes).containsExactly(45, 30);
    }

    @Test
    void aTaskStaysAtItsStepWhileThatIsThere() {
        Steps.Step draft = step("Draft", Stage.UNDER_WAY);
        Steps.Step detail = step("Detail", Stage.UNDER_WAY);
        Steps.Step proof = step("Proof", Stage.IN_CHECK);
        steps.set(house.project, new Steps(List.of(draft, detail, proof)));
        assertThat(steps.steps(house.project).of(Stage.UNDER_WAY)).containsExactly(draft, detail);
        assertThat(steps.steps(house.project).of(Stage.IN_CHECK)).containsExactly(proof);
        steps.put(task, detail);
        assertThat(steps.ofProject(house.project).stepOf(task, Stage.UNDER_WAY)).isEqualTo(detail);
        assertThat(steps.ofProject(house.project).stepOf(task, Stage.IN_CHECK))
                .as("of another stage")
                .isEqualTo(proof);
        Steps.Step renamed = new Steps.Step(detail.id(), "Details", Stage.UNDER_WAY);
        steps.set(house.project, new Steps(List.of(renamed, draft, proof)));
        assertThat(steps.ofProject(house.project).stepOf(task, Stage.UNDER_WAY))
                .as("renamed, and moved ahead")
                .isEqualTo(renamed);
        steps.set(house.project, new Steps(List.of(draft, proof)));
        assertThat(steps.ofProject(house.project).stepOf(task, Stage.UNDER_WAY))
                .as("it is no more")
                .isEqualTo(draft);
        assertThat(steps.ofProject(house.project).said()).isEmpty();
        steps.set(house.project, Steps.PLAIN);
        assertThat(steps.steps(house.project)).isEqualTo(Steps.PLAIN);
    }

    private Feeds.Feed feed(String key, Optional<TeamMemberId> member, Optional<SeatId> seat) {
        Feeds.Feed feed = new Feeds.Feed(
                UUID.randomUUID(), member.orElse(null), null, seat.orElse(null), false, "Calendar", AHouse.NOW, null);
        feeds.add(feed, Sha256.ofText(key));
        return feed;
    }

    @Test
    void aCalendarIsKnownByItsKeyUntilItIsTakenBack() {
        Feeds.Feed own = feed("own", Optional.of(teo), Optional.empty());
        assertThat(feeds.fetched(Sha256.ofText("another"), AHouse.NOW)).isEmpty();
        assertThat(feeds.fetched(Sha256.ofText("own"), AHouse.NOW.plusSeconds(60)))
                .hasValue(own);
        assertThat(feeds.feedsOf(teo)).singleElement().satisfies(feed -> assertThat(feed.fetchedAt())
                .isEqualTo(AHouse.NOW.plusSeconds(60)));
        assertThat(feeds.revoke(own.id(), rukmini, AHouse.NOW)).as("another's").isFalse();
        assertThat(feeds.fetched(Sha256.ofText("own"), AHouse.NOW)).isPresent();
        assertThat(feeds.revoke(own.id(), teo, AHouse.NOW)).isTrue();
        assertThat(feeds.revoke(own.id(), teo, AHouse.NOW)).as("once").isFalse();
        assertThat(feeds.fetched(Sha256.ofText("own"), AHouse.NOW)).isEmpty();
        assertThat(feeds.feedsOf(teo)).isEmpty();
    }

    @Test
    void whoeverLeavesTakesTheirCalendarsWithThem() {
        SeatId jasper = new Seats(house.db)
                .give(house.pane("The board"), house.contact("jasper").id(), SeatRole.READER, AHouse.NOW);
        feed("teo 1", Optional.of(teo), Optional.empty());
        feed("teo 2", Optional.of(teo), Optional.empty());
        feed("rukmini", Optional.of(rukmini), Optional.empty());
        feed("jasper", Optional.empty(), Optional.of(jasper));
        feeds.revoke(teo, AHouse.NOW);
        assertThat(feeds.feedsOf(teo)).isEmpty();
        assertThat(feeds.feedsOf(rukmini)).hasSize(1);
        assertThat(feeds.feedsOf(jasper)).hasSize(1);
        feeds.revoke(jasper, AHouse.NOW);
        assertThat(feeds.fetched(Sha256.ofText("jasper"), AHouse.NOW)).isEmpty();
        assertThat(feeds.fetched(Sha256.ofText("rukmini"), AHouse.NOW)).isPresent();
    }
}
