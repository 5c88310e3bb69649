package app.clearpane.store.reminders;

import static app.clearpane.store.schema.Tables.SILENCE_TERMS;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.reminders.Silence;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** What was agreed in writing, project by project, on those who say nothing. */
public final class SilenceTerms {
    private final DSLContext db;

    public SilenceTerms(DSLContext db) {
        this.db = db;
    }

    /** The terms of a project. @param agreedWhere where it stands in writing */
    public record Terms(Silence silence, String agreedWhere, Actor by, Instant at) {}

    /** Those of a project; empty where silence is no answer. */
    public Optional<Terms> termsOf(ProjectId project) {
        return db.select(SILENCE_TERMS.fields())
                .from(SILENCE_TERMS)
                .where(SILENCE_TERMS.PROJECT_ID.eq(project))
                .fetchOptional(SilenceTerms::terms);
    }

    /** Those of all projects that have any. */
    public Map<ProjectId, Terms> all() {
        Map<ProjectId, Terms> all = new HashMap<>();
        db.select(SILENCE_TERMS.fields())
                .from(SILENCE_TERMS)
                .forEach(row -> all.put(row.get(SILENCE_TERMS.PROJECT_ID), terms(row)));
        return all;
    }

    private static Terms terms(Record row) {
        return new Terms(
                new Silence(row.get(SILENCE_TERMS.WORKING_DAYS)),
                row.get(SILENCE_TERMS.AGREED_WHERE),
                row.get(SILENCE_TERMS.SET_BY),
                row.get(SILENCE_TERMS.SET_AT));
    }

    /** Sets them, or takes them away. */
    public void set(ProjectId project, Optional<Terms> terms) {
        db.deleteFrom(SILENCE_TERMS).where(SILENCE_TERMS.PROJECT_ID.eq(project)).execute();
        terms.ifPresent(set -> db.insertInto(SILENCE_TERMS)
                .set(SILENCE_TERMS.PROJECT_ID, project)
                .set(SILENCE_TERMS.WORKING_DAYS, set.silence().workingDays())
                .set(SILENCE_TERMS.AGREED_WHERE, set.agreedWhere())
                .set(SILENCE_TERMS.SET_BY, set.by())
                .set(SILENCE_TERMS.SET_AT, set.at())
                .execute());
    }
}
