package app.clearpane.usecases.plan;

import app.clearpane.core.calendar.Today;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.jobs.DayTurns;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what a plan is after something about it changed: the stages of what gathers others, the days that follow from
 * others, and the plan as this day will end.
 */
@Component
public class KeepPlan implements DayTurns {
    private final Projects projects;
    private final Tasks tasks;
    private final Agreements agreements;
    private final PlanBook book;
    private final WatchArrivals arrivals;
    private final AuditLog audit;
    private final TheAgency agency;

    KeepPlan(
            Projects projects,
            Tasks tasks,
            Agreements agreements,
            PlanBook book,
            WatchArrivals arrivals,
            AuditLog audit,
            TheAgency agency) {
        this.audit = audit;
        this.agency = agency;
        this.projects = projects;
        this.tasks = tasks;
        this.agreements = agreements;
        this.book = book;
        this.arrivals = arrivals;
    }

    /** Called in the transaction of the change, after it. */
    @Transactional(propagation = Propagation.MANDATORY)
    public ProjectPlan changed(ProjectId project) {
        projects.planChanged(project);
        ProjectPlan plan = book.fresh(project);
        for (PlannedTask task : plan.tasks()) {
            Stage stage = plan.outline().stage(task.id());
            if (!plan.outline().isLeaf(task.id()) && task.task().stage() != stage) {
                tasks.gathered(task.id(), stage);
            }
        }
        ProjectPlan kept = reckoned(plan);
        agreements.endOfDay(project, kept.today(), PlanBook.text(kept).write());
        return kept;
    }

    /** Moves the days of what is due before something else begins; each is in the Record with its reason. */
    private ProjectPlan reckoned(ProjectPlan plan) {
        List<PlannedTask> moved = plan.open().stream()
                .filter(task -> task.details()
                                .by()
                                .before()
                                .filter(rule -> plan.hasDays(rule.activity()))
                                .isPresent()
                        && !reckoned(task, plan).day().equals(task.details().due()))
                .toList();
        for (PlannedTask task : moved) {
            LocalDate day = reckoned(task, plan).day().orElseThrow();
            tasks.dueMoved(task.id(), day, agency.now());
            String before =
                    plan.nameOf(task.details().by().before().orElseThrow().activity());
            audit.append(
                    task.project(),
                    task.id().value(),
                    new PlanActs.TaskDueMoved(
                            new Actor.House(agency.get().name()),
                            task.name(),
                            task.details().due(),
                            day,
                            before));
        }
        return moved.isEmpty() ? plan : book.fresh(plan.project().id());
    }

    private static Due reckoned(PlannedTask task, ProjectPlan plan) {
        return task.details()
                .by()
                .reckoned(
                        plan.firstDay(task.details().by().before().orElseThrow().activity()),
                        plan.timeline().calendar());
    }

    /**
     * What begins another day than it was forecast to is followed on every day that turns, without anybody having
     * changed the plan.
     */
    @Override
    public void turned(Today from, Today to) {
        tasks.withDueBefore().forEach(project -> {
            arrivals.watch(project, new Actor.House(agency.get().name()));
            changed(project);
        });
    }
}
