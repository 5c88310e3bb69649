package app.clearpane.store.deliverable;

import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.STAND_IN;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.StandIn;
import app.clearpane.store.Stale;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** Who stands in for whom, in each project. */
public final class StandIns {
    private final DSLContext db;

    public StandIns(DSLContext db) {
        this.db = db;
    }

    /** One of them, with both names. */
    public record Row(UUID id, ProjectId project, StandIn standIn, String away, String by) {}

    /** Those of a project that were not ended, by their first day. */
    public List<Row> ofProject(ProjectId project) {
        return fetch(STAND_IN.PROJECT_ID.eq(project));
    }

    /** Those of some projects, by project; of each that has none, nothing. */
    public Map<ProjectId, List<StandIn>> ofProjects(Collection<? extends ProjectId> projects) {
        return fetch(STAND_IN.PROJECT_ID.in(projects)).stream()
                .collect(Collectors.groupingBy(Row::project, Collectors.mapping(Row::standIn, Collectors.toList())));
    }

    /** One of them, if it was not ended. */
    public Optional<Row> find(UUID id) {
        return fetch(STAND_IN.ID.eq(id)).stream().findFirst();
    }

    private List<Row> fetch(Condition condition) {
        var by = CONTACT.as("by_contact");
        return db.select(
                        STAND_IN.ID,
                        STAND_IN.PROJECT_ID,
                        STAND_IN.CONTACT_ID,
                        STAND_IN.STAND_IN_CONTACT,
                        STAND_IN.FROM_ON,
                        STAND_IN.UNTIL_ON,
                        CONTACT.NAME,
                        by.NAME)
                .from(STAND_IN)
                .join(CONTACT)
                .on(CONTACT.ID.eq(STAND_IN.CONTACT_ID))
                .join(by)
                .on(by.ID.eq(STAND_IN.STAND_IN_CONTACT))
                .where(condition.and(STAND_IN.ENDED_AT.isNull()))
                .orderBy(STAND_IN.FROM_ON, STAND_IN.ID)
                .fetch(row -> new Row(
                        row.value1(),
                        row.value2(),
                        new StandIn(row.value3(), row.value4(), row.value5(), row.value6()),
                        row.value7(),
                        row.value8()));
    }

    /** Keeps one. */
    public void add(UUID id, ProjectId project, StandIn standIn, Actor setBy) {
        db.insertInto(STAND_IN)
                .set(STAND_IN.ID, id)
                .set(STAND_IN.PROJECT_ID, project)
                .set(STAND_IN.CONTACT_ID, standIn.away())
                .set(STAND_IN.STAND_IN_CONTACT, standIn.by())
                .set(STAND_IN.FROM_ON, standIn.from())
                .set(STAND_IN.UNTIL_ON, standIn.until())
                .set(STAND_IN.SET_BY, setBy)
                .execute();
    }

    /** Ends one. @throws Stale if it was ended meanwhile */
    public void end(UUID id, Instant now) {
        Stale.unlessOne(
                db.update(STAND_IN)
                        .set(STAND_IN.ENDED_AT, now)
                        .where(STAND_IN.ID.eq(id), STAND_IN.ENDED_AT.isNull())
                        .execute(),
                "Standing in");
    }
}
