package app.clearpane.usecases.plan.task;

import app.clearpane.core.plan.Network;
import app.clearpane.core.plan.Outline;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Task;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.exposure.WatchArrivals;
import app.clearpane.usecases.plan.KeepPlan;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Saves a task that was changed, with all that follows. */
@Component
class SaveTask {
    private final Tasks tasks;
    private final WatchArrivals arrivals;
    private final KeepPlan keepPlan;
    private final MayGive mayGive;
    private final TaskGiven given;
    private final TheAgency agency;
    private final AuditLog audit;

    SaveTask(
            Tasks tasks,
            WatchArrivals arrivals,
            KeepPlan keepPlan,
            MayGive mayGive,
            TaskGiven given,
            TheAgency agency,
            AuditLog audit) {
        this.tasks = tasks;
        this.arrivals = arrivals;
        this.keepPlan = keepPlan;
        this.mayGive = mayGive;
        this.given = given;
        this.agency = agency;
        this.audit = audit;
    }

    /** Saves a task that was changed, with all that follows. */
    void save(PlannedTask before, PlannedTask wanted, Person.OfTeam by) {
        if (!before.hands().contact().equals(wanted.hands().contact())) {
            mayGive.refuseUnlessItMay(wanted, by);
        }
        noCircle(wanted);
        arrivals.watch(before.project(), by.actor());
        tasks.change(wanted, agency.now());
        ProjectPlan plan = keepPlan.changed(before.project());
        audit.append(
                before.project(),
                before.id().value(),
                new PlanActs.TaskChanged(by.actor(), wanted.name(), TaskDifferences.between(before, wanted)));
        given.given(plan, before.id(), Optional.of(before), by.actor());
    }

    private void noCircle(PlannedTask wanted) {
        List<Task> all = new ArrayList<>(tasks.ofProject(wanted.project()).stream()
                .map(PlannedTask::task)
                .filter(task -> !task.id().equals(wanted.id()))
                .toList());
        all.add(wanted.task());
        wanted.task().shape().after().stream()
                .filter(link -> all.stream().noneMatch(task -> task.id().equals(link.predecessor())))
                .findAny()
                .ifPresent(gone -> {
                    throw Refused.changedMeanwhile(
                            "Something this task waits for was deleted meanwhile. Nothing was saved; choose again.");
                });
        List<Task> activities;
        try {
            activities = new Outline(all).activities();
        } catch (IllegalArgumentException gone) {
            throw Refused.changedMeanwhile("What this task is a part of was deleted meanwhile. Nothing was saved.");
        }
        Network.circle(activities).ifPresent(circle -> {
            throw Refused.because("These would wait for each other: "
                    + String.join(" → ", circle.stream().map(Task::name).toList())
                    + ". Nothing was saved; take one of the links away.");
        });
    }
}
