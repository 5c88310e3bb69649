package app.clearpane.usecases.plan.task;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.plan.AttachFilesToTask;
import app.clearpane.usecases.plan.SayOfTask;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.util.EnumSet;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What somebody of the clients' side does with a task that was given to them. */
@Component
public class DoTask {
    private static final Set<Stage> THEIRS = EnumSet.of(Stage.TO_DO, Stage.UNDER_WAY, Stage.DONE);
    private final VisibleTasks visible;
    private final Tasks tasks;
    private final MoveTask moveTask;
    private final SayOfTask sayOfTask;
    private final AttachFilesToTask putBeside;

    DoTask(VisibleTasks visible, Tasks tasks, MoveTask moveTask, SayOfTask sayOfTask, AttachFilesToTask putBeside) {
        this.visible = visible;
        this.tasks = tasks;
        this.moveTask = moveTask;
        this.sayOfTask = sayOfTask;
        this.putBeside = putBeside;
    }

    /** Says how far they are with it. @return the stage it had. @throws Refused if it is not theirs */
    @Transactional
    public Stage move(Viewer viewer, ItemId id, Stage stage) {
        VisibleTasks.Row row = theirs(viewer, id);
        if (!THEIRS.contains(stage)) {
            throw Refused.because("This cannot be chosen here. Nothing was changed.");
        }
        if (row.stage() == Stage.DROPPED) {
            throw Refused.because(
                    "We took this off the list meanwhile, so there is nothing to do. Nothing was changed.");
        }
        Stage was = moveTask.move(id, stage, viewer.actor()).was();
        PlannedTask task = NotFound.unless(tasks.find(id));
        if (stage == Stage.DONE && was != Stage.DONE) {
            sayOfTask.tellManager(
                    task, "Done: " + task.name(), viewer.name() + " has done “" + task.name() + "”.", viewer);
        }
        return was;
    }

    private VisibleTasks.Row theirs(Viewer viewer, ItemId id) {
        VisibleTasks.Row row = NotFound.unless(visible.find(viewer, id));
        if (!row.yours()) {
            throw Refused.because("This was given to somebody else. Nothing was changed; you can leave a comment.");
        }
        return row;
    }

    /** Says something of a task they see. @throws Refused where they only look */
    @Transactional
    public void say(Viewer viewer, ItemId id, String said) {
        mayAdd(viewer, id);
        sayOfTask.byClient(id, said, viewer);
    }

    /**
     * Puts a file beside a task they see, and tells the manager. @throws IOException if it cannot be written @throws
     * Refused where they only look
     */
    public void bring(Viewer viewer, ItemId id, String fileName, InputStream content) throws IOException {
        mayAdd(viewer, id);
        putBeside.put(
                id,
                new AttachFilesToTask.Arriving(fileName, content, false, viewer.actor()),
                task -> sayOfTask.tellManager(
                        task,
                        "A file for “" + task.name() + "”",
                        viewer.name() + " has put “" + fileName + "” beside “" + task.name() + "”.",
                        viewer));
    }

    private void mayAdd(Viewer viewer, ItemId id) {
        VisibleTasks.Row row = NotFound.unless(visible.find(viewer, id));
        if (!viewer.mayAddTo(row.yours())) {
            throw Refused.because("You look on here. Nothing was saved; write to the one who sent you the link.");
        }
    }
}
