package app.clearpane.core.plan;

import static app.clearpane.core.plan.Plans.START;
import static app.clearpane.core.plan.Plans.id;
import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.ClientId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.project.Timing;
import app.clearpane.core.turns.TurnTally;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Worked examples from Monday 1 March 2027; the finish agreed on is Friday 19 March. */
class ProjectPlanTest {
    private static final UUID DESIGN = new UUID(7, 1);
    private static final LocalDate AGREED = LocalDate.of(2027, 3, 19);

    private static Project project() {
        return new Project(
                new ProjectId(new UUID(8, 1)),
                new ClientId(new UUID(8, 2)),
                "Penwether Observatory Trust",
                new TeamMemberId(new UUID(8, 3)),
                "Visitor centre",
                "night",
                "GBP",
                BigDecimal.TEN,
                null,
                START,
                AGREED,
                null,
                null,
                "",
                null,
                "",
                0,
                1);
    }

    private static PlannedTask planned(Task task, @Nullable UUID phase, @Nullable ItemId milestone) {
        PlannedTask.Details none = PlannedTask.Details.NONE;
        return new PlannedTask(
                task,
                new ProjectId(new UUID(8, 1)),
                1,
                PlannedTask.Hands.NOBODY,
                new PlannedTask.Details(
                        Optional.ofNullable(phase),
                        Optional.ofNullable(milestone),
                        none.follows(),
                        none.by(),
                        none.priority(),
                        none.labels(),
                        none.notes(),
                        none.repeats(),
                        none.also()),
                1);
    }

    private static Task partOf(Task task, String parent) {
        return new Task(
                task.id(),
                Optional.of(id(parent)),
                task.name(),
                task.side(),
                task.shape(),
                task.stage(),
                task.actual());
    }

    private static ProjectPlan plan(LocalDate today, List<Milestone> milestones, PlannedTask... tasks) {
        return ProjectPlan.of(
                project(),
                today,
                WorkingCalendar.weekdays(ZoneOffset.UTC),
                List.of(tasks),
                milestones,
                List.of(new Phase(DESIGN, "Design", START, AGREED, Phase.Stage.DONE, 1)),
                Optional.empty());
    }

    private static Milestone opening(LocalDate on) {
        return new Milestone(id("Opening"), "Opening", on, false, 1);
    }

    @Test
    void tasksAfterOneAnotherFillTheirWorkingDays() {
        ProjectPlan plan = plan(
                START,
                List.of(),
                planned(Plans.ours("Draw", 3), DESIGN, null),
                planned(Plans.clients("Look", 4, "Draw"), null, null));
        assertThat(plan.firstDay(id("Look"))).isEqualTo(LocalDate.of(2027, 3, 4));
        assertThat(plan.finish()).isEqualTo(LocalDate.of(2027, 3, 9));
        assertThat(plan.daysAfterAgreed()).isEqualTo(-8);
        assertThat(plan.critical()).containsExactlyInAnyOrder(id("Draw"), id("Look"));
        assertThat(plan.room(id("Draw")).spare()).isEqualTo(OptionalInt.of(8));
    }

    @Test
    void aMilestoneThatWaitsForNothingKeepsItsOwnDayEvenASunday() {
        LocalDate sunday = LocalDate.of(2027, 3, 14);
        ProjectPlan plan = plan(START, List.of(opening(sunday)), planned(Plans.ours("Draw", 3), null, null));
        assertThat(plan.lastDay(id("Opening"))).isEqualTo(sunday);
    }

    @Test
    void aMilestoneThatWaitsForSomethingFollowsIt() {
        ProjectPlan plan = plan(
                START, List.of(opening(LocalDate.of(2027, 3, 2))), planned(Plans.ours("Draw", 8), null, id("Opening")));
        assertThat(plan.lastDay(id("Opening"))).isEqualTo(LocalDate.of(2027, 3, 10));
        ProjectPlan dropped = plan(
                START,
                List.of(opening(LocalDate.of(2027, 3, 14))),
                planned(Plans.with(Plans.ours("Draw", 8), Stage.DROPPED, Task.Actual.NONE), null, id("Opening")));
        assertThat(dropped.lastDay(id("Opening"))).isEqualTo(LocalDate.of(2027, 3, 14));
        assertThat(dropped.hasDays(id("Draw")))
                .as("what was dropped has no days")
                .isFalse();
    }

    @Test
    void aPhaseThatWasSaidToBeDoneIsUnderWayWhileSomethingInItIsOpen() {
        Task part = partOf(Plans.ours("Sketch", 1), "Draw");
        ProjectPlan plan =
                plan(START, List.of(), planned(Plans.ours("Draw", 3), DESIGN, null), planned(part, null, null));
        assertThat(plan.phaseOf(plan.task(part.id()).orElseThrow()))
                .as("a part is in the phase of the whole")
                .contains(DESIGN);
        assertThat(plan.openIn(DESIGN)).as("only leaves count").isEqualTo(1);
        assertThat(plan.phasesAsTheyStand()).extracting(Phase::stage).containsExactly(Phase.Stage.UNDER_WAY);
        assertThat(plan.path(part)).isEqualTo("Draw · Sketch");
    }

    @Test
    void whatBeginsIsNamedByItsPathAndLeavesOutTheOneAsked() {
        ProjectPlan plan = plan(
                START,
                List.of(opening(AGREED)),
                planned(Plans.ours("Draw", 3), null, null),
                planned(Plans.ours("Print", 3, "Draw"), null, null));
        assertThat(plan.begins(Optional.of(id("Print"))))
                .extracting(ProjectPlan.Named::path)
                .containsExactly("Opening", "Draw");
        assertThat(plan.nameOf(id("Opening"))).isEqualTo("Opening");
        assertThat(plan.nameOf(id("Nothing"))).isEmpty();
    }

    @Test
    void aTaskIsTheClientsTurnOnceTheyKnowOfIt() {
        Task theirs = Plans.clients("Send the words", 2);
        assertThat(ProjectPlan.isClientsTurn(planned(theirs, null, null))).isFalse();
        assertThat(ProjectPlan.isClientsTurn(planned(Plans.begun(theirs, START), null, null)))
                .isTrue();
        assertThat(ProjectPlan.isClientsTurn(planned(Plans.begun(Plans.ours("Draw", 2), START), null, null)))
                .isFalse();
    }

    @Test
    void howItStandsIsReadFromItsTasksAndElseFromItsDeliverables() {
        TurnTally one = new TurnTally(1, 0, 0, 0, 0, 0, TurnTally.ByName.NONE);
        TurnTally atClient = new TurnTally(0, 1, 0, 0, 0, 0, TurnTally.ByName.NONE);
        ProjectPlan empty = plan(START, List.of());
        assertThat(empty.standing(TurnTally.NONE)).isEqualTo(ProjectState.TO_BE_PLANNED);
        assertThat(empty.standing(one)).isEqualTo(ProjectState.NOT_STARTED);
        assertThat(empty.standing(atClient)).isEqualTo(ProjectState.WAITING_ON_THE_CLIENT);
        ProjectPlan waits =
                plan(START, List.of(), planned(Plans.begun(Plans.clients("Send the words", 2), START), null, null));
        assertThat(waits.standing(TurnTally.NONE)).isEqualTo(ProjectState.WAITING_ON_THE_CLIENT);
        ProjectPlan done =
                plan(START, List.of(), planned(Plans.done(Plans.ours("Draw", 1), START, START), DESIGN, null));
        assertThat(done.standing(TurnTally.NONE)).isEqualTo(ProjectState.COMPLETE);
        assertThat(done.percentOf(DESIGN)).isEqualTo(OptionalInt.of(100));
        assertThat(done.timing(ProjectState.COMPLETE))
                .isEqualTo(Timing.of(new Timing.Facts(true, -14, false, Integer.MAX_VALUE)));
    }

    @Test
    void heldAgainstAnAgreementItSaysWhatLiesBehind() {
        PlannedTask draw = planned(Plans.ours("Draw", 3), null, null);
        ProjectPlan then = plan(START, List.of(), draw);
        ProjectPlan.Agreed agreed =
                new ProjectPlan.Agreed(LocalDate.of(2027, 3, 3), START, "Ines", true, then.forecast());
        LocalDate later = LocalDate.of(2027, 3, 5);
        ProjectPlan now = plan(later, List.of(), draw).against(agreed);
        assertThat(now.agreedFinish()).isEqualTo(LocalDate.of(2027, 3, 3));
        assertThat(now.behind(id("Draw"))).isEqualTo(4);
        assertThat(now.daysAfterAgreed()).isEqualTo(4);
        assertThat(now.with(planned(Plans.ours("Draw", 1), null, null)).daysAfterAgreed())
                .as("as it would be if it took a day")
                .isEqualTo(2);
    }
}
