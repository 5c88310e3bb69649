package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Follows;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.papers.PaperMoved;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lets work wait for a paper: an activity of the client's stands for it in the plan, begins when it is sent, and is
 * done when it is agreed, signed or paid.
 */
@Component
public class PapersFollow {
    private static final int USUAL_DAYS = 5;
    private final Papers papers;
    private final RequestsFollow requestsFollow;
    private final ClientsActivities activities;
    private final KeepPlan keepPlan;
    private final AuditLog audit;
    private final TheAgency agency;

    PapersFollow(
            Papers papers,
            RequestsFollow requestsFollow,
            ClientsActivities activities,
            KeepPlan keepPlan,
            AuditLog audit,
            TheAgency agency) {
        this.papers = papers;
        this.requestsFollow = requestsFollow;
        this.activities = activities;
        this.keepPlan = keepPlan;
        this.audit = audit;
        this.agency = agency;
    }

    /**
     * Has a task wait for a paper.
     *
     * @throws Refused if the task has begun or is gone, or the paper asks for nothing, is settled or was withdrawn
     */
    @Transactional
    public ProjectId waits(PaperId id, ItemId task, Actor by) {
        papers.lock(id);
        Paper paper = NotFound.unless(papers.find(id));
        if (!mayHold(paper)) {
            throw Refused.changedMeanwhile(
                    "This paper is settled, was withdrawn or asks for nothing, so nothing can wait "
                            + "for it. Nothing was changed.");
        }
        PlannedTask waiting = requestsFollow.mayWait(paper.project()).stream()
                .filter(one -> one.id().equals(task))
                .findFirst()
                .orElseThrow(() -> Refused.changedMeanwhile(
                        "What is to wait has begun, or is not in the plan any more. Nothing was changed."));
        Follows what = new Follows.OfPaper(id);
        ItemId activity = activities
                .find(paper.project(), what)
                .filter(one -> one.task().stage().open())
                .map(PlannedTask::id)
                .orElseGet(
                        () -> activities.make(paper.project(), what, paper.name(), days(paper), Optional.empty(), by));
        activities.waits(task, activity, 0, by);
        keepPlan.changed(paper.project());
        follow(paper, by);
        audit.append(paper.project(), task.value(), new PlanActs.TaskWaitsForPaper(by, waiting.name(), paper.name()));
        return paper.project();
    }

    /**
     * What waits for the papers of a project.
     *
     * @param plan as it is forecast
     * @param mayWait our activities that have not begun and could wait, in their order
     * @param standing the activities that stand for papers
     */
    public record Held(ProjectPlan plan, List<PlannedTask> mayWait, Map<PaperId, PlannedTask> standing) {}

    /** What waits for the papers of a project. */
    public Held held(Project project) {
        RequestsFollow.Activities planned = requestsFollow.activities(project);
        return new Held(
                planned.plan(),
                planned.mayNeed(),
                planned.plan().tasks().stream()
                        .filter(task -> task.details().paper().isPresent())
                        .collect(Collectors.toMap(
                                task -> task.details().paper().orElseThrow(), task -> task, (one, other) -> other)));
    }

    /** Whether something can wait for a paper: it asks for something that is not done. */
    boolean mayHold(Paper paper) {
        return paper.kind().asks() && turn(paper) != Turn.NOBODYS;
    }

    private int days(Paper paper) {
        LocalDate next = agency.calendar().addWorkingDays(agency.today(), 1);
        return paper.due()
                .map(day -> Math.max(1, agency.calendar().workingDays(next, day.plusDays(1))))
                .orElse(USUAL_DAYS);
    }

    private Turn turn(Paper paper) {
        return switch (paper.state(agency.today())) {
            case DRAFT, DECLINED -> Turn.OURS;
            case OPEN, VIEWED, OVERDUE -> Turn.CLIENTS;
            case AGREED, SIGNED, PAID, WITHDRAWN -> Turn.NOBODYS;
        };
    }

    /** A paper was sent, answered, paid or withdrawn. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void moved(PaperMoved event) {
        papers.find(event.paper()).ifPresent(paper -> follow(paper, event.by()));
    }

    private void follow(Paper paper, Actor by) {
        Follows what = new Follows.OfPaper(paper.id());
        if (paper.withdrawal().isPresent()) {
            activities.find(paper.project(), what).ifPresent(task -> activities.drop(task, by));
        } else if (paper.sentAt().isPresent()) {
            activities.follow(paper.project(), what, turn(paper), paper.due(), by);
        }
    }
}
