package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.STEP;
import static app.clearpane.store.schema.Tables.TASK_STEP;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.Steps;
import app.clearpane.core.project.ProjectId;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;

/** What teams call the steps of their tasks, and at which each task was last said to be. */
public final class TaskSteps {
    private final DSLContext db;

    public TaskSteps(DSLContext db) {
        this.db = db;
    }

    /**
     * The steps of a project.
     *
     * @param said the identifier of the step each task was last said to be at
     */
    public record OfProject(Steps steps, Map<ItemId, UUID> said) {
        /** The step of a task that is at a stage. */
        public Steps.Step stepOf(ItemId task, Stage stage) {
            return steps.at(stage, Optional.ofNullable(said.get(task)));
        }
    }

    /** The steps of a project. */
    public Steps steps(ProjectId project) {
        return ofProject(project).steps();
    }

    /** The steps of a project with where its tasks are. */
    public OfProject ofProject(ProjectId project) {
        Map<UUID, Steps.Step> own = new LinkedHashMap<>();
        Map<ItemId, UUID> said = new HashMap<>();
        db.select(STEP.ID, STEP.NAME, STEP.STAGE, TASK_STEP.ITEM_ID)
                .from(STEP)
                .leftJoin(TASK_STEP)
                .on(TASK_STEP.STEP_ID.eq(STEP.ID))
                .where(STEP.PROJECT_ID.eq(project))
                .orderBy(STEP.STAGE, STEP.POSITION)
                .forEach(row -> {
                    own.putIfAbsent(
                            row.value1(), new Steps.Step(Optional.of(row.value1()), row.value2(), row.value3()));
                    if (row.value4() != null) {
                        said.put(row.value4(), row.value1());
                    }
                });
        return new OfProject(new Steps(List.copyOf(own.values())), said);
    }

    /** Gives a project these steps. Tasks at one that is no more go to the first of their stage. */
    public void set(ProjectId project, Steps steps) {
        List<UUID> kept =
                steps.own().stream().map(step -> step.id().orElseThrow()).toList();
        db.deleteFrom(STEP)
                .where(STEP.PROJECT_ID.eq(project), STEP.ID.notIn(kept))
                .execute();
        int position = 0;
        for (Steps.Step step : steps.own()) {
            UUID id = step.id().orElseThrow();
            if (db.update(STEP)
                            .set(STEP.NAME, step.name())
                            .set(STEP.POSITION, position)
                            .where(STEP.ID.eq(id))
                            .execute()
                    == 0) {
                db.insertInto(STEP)
                        .set(STEP.ID, id)
                        .set(STEP.PROJECT_ID, project)
                        .set(STEP.STAGE, step.stage())
                        .set(STEP.NAME, step.name())
                        .set(STEP.POSITION, position)
                        .execute();
            }
            position++;
        }
    }

    /** Says at which step a task is. */
    public void put(ItemId task, Steps.Step step) {
        db.deleteFrom(TASK_STEP).where(TASK_STEP.ITEM_ID.eq(task)).execute();
        step.id().ifPresent(id -> db.insertInto(TASK_STEP)
                .set(TASK_STEP.ITEM_ID, task)
                .set(TASK_STEP.STEP_ID, id)
                .execute());
    }
}
