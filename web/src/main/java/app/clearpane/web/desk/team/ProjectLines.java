package app.clearpane.web.desk.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.project.ProjectState;
import app.clearpane.core.project.Timing;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnTally;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.plan.SlipBook;
import app.clearpane.usecases.project.StandingWords;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.frame.ActiveProjects;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** How projects stand, a line each. */
@Component
class ProjectLines {
    private final ProjectFrame frame;
    private final ActiveProjects workedOn;
    private final SlipBook slips;
    private final StandingWords standings;
    private final TheAgency agency;

    ProjectLines(
            ProjectFrame frame, ActiveProjects workedOn, SlipBook slips, StandingWords standings, TheAgency agency) {
        this.frame = frame;
        this.workedOn = workedOn;
        this.slips = slips;
        this.standings = standings;
        this.agency = agency;
    }

    /** A deliverable and whose turn it is. */
    public record Work(ItemId id, String name, boolean ours, boolean clients) {}

    /** A project with how it stands, and its days on the axis. */
    public record Line(
            ProjectId id,
            String name,
            String tone,
            String stands,
            OptionalInt percent,
            String sentence,
            LocalDate finish,
            LocalDate agreed,
            ProjectStrips.Strip strip,
            List<ProjectStrips.Tick> ticks,
            double todayX,
            List<Work> works) {}

    /** How a project stands. */
    record How(ProjectPlan plan, TurnTally turns, ProjectState standing, Timing timing) {
        boolean late() {
            return timing == Timing.LATE || timing == Timing.AT_RISK || timing == Timing.FINISHED_LATE;
        }
    }

    How how(ProjectPlan plan) {
        TurnTally turns = workedOn.in(plan.project());
        ProjectState standing = plan.standing(turns);
        return new How(plan, turns, standing, plan.timing(standing));
    }

    /** How a project stands, in two words. */
    private String stands(How how) {
        if (how.late()) {
            int days = how.plan().isPlanned() ? how.plan().daysAfterAgreed() : 0;
            return days > 0
                    ? days + (days == 1 ? " day late" : " days late")
                    : how.timing() == Timing.LATE ? "late" : "at risk";
        }
        return switch (how.standing()) {
            case WAITING_ON_THE_CLIENT, PAUSED, COMPLETE, NOT_STARTED, TO_BE_PLANNED ->
                standings.inWords(how.standing());
            case ARCHIVED, IN_REVIEW, UNDER_WAY -> standings.own(how.standing()).orElse("on course");
        };
    }

    Line line(How how, ProjectStrips strips, List<DeliverableState> works) {
        ProjectPlan plan = how.plan();
        ProjectState standing = how.standing();
        return new Line(
                plan.project().id(),
                plan.project().fullName(),
                how.late()
                        ? "late"
                        : standing == ProjectState.WAITING_ON_THE_CLIENT
                                ? "client"
                                : standing == ProjectState.COMPLETE ? "done" : "quiet",
                stands(how),
                plan.percent(),
                frame.sentence(plan.project(), plan, how.turns()),
                plan.isPlanned() ? plan.finish() : plan.agreedFinish(),
                plan.agreedFinish(),
                strips.draw(plan, slips.latest(plan)),
                strips.ticks(),
                strips.x(agency.today()),
                works.stream()
                        .map(state -> new Work(
                                state.deliverable().id(),
                                state.deliverable().name(),
                                state.turn() == Turn.OURS,
                                state.turn() == Turn.CLIENTS))
                        .toList());
    }
}
