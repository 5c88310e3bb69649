package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.record.event.PlanActs;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What people say of a task. */
@Component
public class SayOfTask {
    private static final int LONGEST = 4_000;
    private final Tasks tasks;
    private final WriteToTeam tellManager;
    private final AuditLog audit;
    private final Clock clock;

    SayOfTask(Tasks tasks, WriteToTeam tellManager, AuditLog audit, Clock clock) {
        this.tasks = tasks;
        this.tellManager = tellManager;
        this.audit = audit;
        this.clock = clock;
    }

    /** By one of the team. */
    @Transactional
    public void byTeam(ItemId id, String said, boolean teamOnly, Person.OfTeam by) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        tasks.say(id, words(said), teamOnly, by.actor(), clock.instant());
        if (!teamOnly) {
            audit.append(task.project(), id.value(), new PlanActs.TaskSaid(by.actor(), task.name(), words(said)));
        }
    }

    /** By somebody of the clients' side, who sees the task. The manager gets a mail. */
    @Transactional
    public void byClient(ItemId id, String said, Viewer viewer) {
        PlannedTask task = NotFound.unless(tasks.find(id));
        String text = words(said);
        tasks.say(id, text, false, viewer.actor(), clock.instant());
        audit.append(task.project(), id.value(), new PlanActs.TaskSaid(viewer.actor(), task.name(), text));
        tellManager(task, viewer.name() + " on “" + task.name() + "”", viewer.name() + " says: “" + text + "”", viewer);
    }

    /**
     * Tells the manager of a task's project: all that one person does with one task within a few minutes, in one mail.
     */
    public void tellManager(PlannedTask task, String subject, String sentence, Viewer by) {
        UUID about = UUID.nameUUIDFromBytes((task.id() + " " + by.seat()).getBytes(StandardCharsets.UTF_8));
        tellManager.soon(
                task.project(),
                about,
                tellManager.letter(
                        subject,
                        List.of(sentence),
                        new WriteToTeam.Leads("See " + task.name(), "/t/tasks/" + task.id())));
    }

    private static String words(String said) {
        Input input = new Input();
        String text = input.text("What you say", said, LONGEST);
        input.require(!text.isEmpty(), "Write something first.");
        input.allGood();
        return text;
    }
}
