package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.PROJECT;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.selectOne;

import app.clearpane.core.project.ProjectId;
import org.jooq.Condition;
import org.jooq.Field;

/** Which projects are worked on: those that were not archived. */
public final class WorkedOn {
    private WorkedOn() {}

    /**
     * The condition that the project a row names is worked on. It is asked of each row the statement has already found,
     * so that a statement over few rows never starts from all items of all projects.
     */
    public static Condition is(Field<ProjectId> project) {
        return exists(selectOne().from(PROJECT).where(PROJECT.ID.eq(project), PROJECT.ARCHIVED_AT.isNull()));
    }
}
