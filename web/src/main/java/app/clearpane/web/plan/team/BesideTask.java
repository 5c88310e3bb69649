package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.hours.SpendTime;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** What is kept beside a task: what was said, files, hours, who held it how long. */
@Component
class BesideTask {
    private final Tasks tasks;
    private final TaskFiles taskFiles;
    private final SpendTime spendTime;
    private final TheAgency agency;

    BesideTask(Tasks tasks, TaskFiles taskFiles, SpendTime spendTime, TheAgency agency) {
        this.tasks = tasks;
        this.taskFiles = taskFiles;
        this.spendTime = spendTime;
        this.agency = agency;
    }

    /** How long each side held a task. */
    record Held(double ours, double clients, Turn holder) {}

    private Held held(ItemId task, ProjectId project) {
        TurnLedger ledger = Objects.requireNonNull(tasks.ledgers(project).get(task));
        return new Held(
                ledger.daysHeldBy(Turn.OURS, agency.now(), agency.calendar()),
                ledger.daysHeldBy(Turn.CLIENTS, agency.now(), agency.calendar()),
                ledger.holder());
    }

    /** For a page. */
    Map<String, Object> read(ItemId task, ProjectId project, Person.OfTeam me) {
        return Map.of(
                "comments",
                tasks.comments(task),
                "held",
                held(task, project),
                "files",
                taskFiles.filesOf(task),
                "spent",
                spendTime.spentOn(task, me));
    }
}
