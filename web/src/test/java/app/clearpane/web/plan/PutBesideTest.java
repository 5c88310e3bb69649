package app.clearpane.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.plan.AttachFilesToTask;
import app.clearpane.web.Acting;
import app.clearpane.web.DemoHouse;
import java.io.ByteArrayInputStream;
import java.util.List;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A file beside a task, what the Record tells of it and the mail about it are there together or not at all. */
class PutBesideTest extends DemoHouse {
    @Autowired
    private AttachFilesToTask putBeside;

    @Autowired
    private Tasks tasks;

    @Autowired
    private TaskFiles files;

    @Autowired
    private DSLContext db;

    @Test
    void whereOneFailsNothingIsKept() {
        ProjectId project = projects.active().stream()
                .filter(one -> one.name().equals("Visitor centre"))
                .findFirst()
                .orElseThrow()
                .id();
        ItemId task = tasks.ofProject(project).get(0).id();
        List<TaskFiles.TaskFile> before = files.filesOf(task);
        int told = db.fetchCount(db.selectFrom("record_entry"));
        assertThatThrownBy(() -> putBeside.put(
                        task,
                        new AttachFilesToTask.Arriving(
                                "list.txt", new ByteArrayInputStream(new byte[] {65}), false, Acting.team("Teo")),
                        about -> {
                            throw new IllegalStateException("the mail could not be put in its queue");
                        }))
                .hasMessageContaining("queue");
        assertThat(files.filesOf(task)).isEqualTo(before);
        assertThat(db.fetchCount(db.selectFrom("record_entry"))).isEqualTo(told);
    }
}
