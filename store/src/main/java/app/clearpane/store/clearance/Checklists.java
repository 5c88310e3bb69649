package app.clearpane.store.clearance;

import static app.clearpane.store.schema.Tables.CHECKLIST_LINE;
import static app.clearpane.store.schema.Tables.CHECKLIST_TICK;
import static app.clearpane.store.schema.Tables.WAIVER;

import app.clearpane.core.clearance.Condition;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jspecify.annotations.Nullable;

/** What is looked at before a release, and what an owner waived. Both count for one version. */
public final class Checklists {
    private final DSLContext db;

    public Checklists(DSLContext db) {
        this.db = db;
    }

    /** A line of a checklist, with its tick for one version. @param by null while it is not ticked */
    public record Line(
            UUID id,
            ItemId deliverable,
            String words,
            @Nullable Actor by,
            @Nullable Instant at) {
        /** Whether it is ticked. */
        public boolean ticked() {
            return by != null;
        }
    }

    /** A reason to release in spite of one condition. */
    public record Waiver(VersionId version, Condition condition, String reason, Actor by, Instant at) {}

    /** The lines of some deliverables, with their ticks for these versions. */
    public List<Line> linesOf(Collection<ItemId> deliverables, Collection<VersionId> versions) {
        return db.select(
                        CHECKLIST_LINE.ID,
                        CHECKLIST_LINE.DELIVERABLE_ID,
                        CHECKLIST_LINE.WORDS,
                        CHECKLIST_TICK.TICKED_BY,
                        CHECKLIST_TICK.TICKED_AT)
                .from(CHECKLIST_LINE)
                .leftJoin(CHECKLIST_TICK)
                .on(CHECKLIST_TICK.LINE_ID.eq(CHECKLIST_LINE.ID), CHECKLIST_TICK.VERSION_ID.in(versions))
                .where(CHECKLIST_LINE.DELIVERABLE_ID.in(deliverables))
                .orderBy(CHECKLIST_LINE.DELIVERABLE_ID, CHECKLIST_LINE.POSITION, CHECKLIST_LINE.ID)
                .fetch(Records.mapping(Line::new));
    }

    /** Sets the lines of a deliverable. Lines whose words stay keep their ticks. */
    public void set(ItemId deliverable, List<String> words) {
        List<Line> before = linesOf(List.of(deliverable), List.of());
        before.stream().filter(line -> !words.contains(line.words())).forEach(line -> {
            db.deleteFrom(CHECKLIST_TICK)
                    .where(CHECKLIST_TICK.LINE_ID.eq(line.id()))
                    .execute();
            db.deleteFrom(CHECKLIST_LINE).where(CHECKLIST_LINE.ID.eq(line.id())).execute();
        });
        for (int i = 0; i < words.size(); i++) {
            String line = words.get(i);
            if (db.update(CHECKLIST_LINE)
                            .set(CHECKLIST_LINE.POSITION, i)
                            .where(CHECKLIST_LINE.DELIVERABLE_ID.eq(deliverable), CHECKLIST_LINE.WORDS.eq(line))
                            .execute()
                    == 0) {
                db.insertInto(CHECKLIST_LINE)
                        .set(CHECKLIST_LINE.ID, UUID.randomUUID())
                        .set(CHECKLIST_LINE.DELIVERABLE_ID, deliverable)
                        .set(CHECKLIST_LINE.WORDS, line)
                        .set(CHECKLIST_LINE.POSITION, i)
                        .execute();
            }
        }
    }

    /** Ticks a line for a version. @return false if it was ticked */
    public boolean tick(UUID line, VersionId version, Actor by, Instant at) {
        return db.insertInto(CHECKLIST_TICK)
                        .set(CHECKLIST_TICK.LINE_ID, line)
                        .set(CHECKLIST_TICK.VERSION_ID, version)
                        .set(CHECKLIST_TICK.TICKED_BY, by)
                        .set(CHECKLIST_TICK.TICKED_AT, at)
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }

    /** Takes a tick away. @return false if there was none */
    public boolean untick(UUID line, VersionId version) {
        return db.deleteFrom(CHECKLIST_TICK)
                        .where(CHECKLIST_TICK.LINE_ID.eq(line), CHECKLIST_TICK.VERSION_ID.eq(version))
                        .execute()
                == 1;
    }

    /** What was waived for some versions. */
    public List<Waiver> waivers(Collection<VersionId> versions) {
        return db.select(WAIVER.VERSION_ID, WAIVER.CONDITION, WAIVER.REASON, WAIVER.WAIVED_BY, WAIVER.WAIVED_AT)
                .from(WAIVER)
                .where(WAIVER.VERSION_ID.in(versions))
                .orderBy(WAIVER.VERSION_ID, WAIVER.CONDITION)
                .fetch(row -> new Waiver(
                        row.value1(), Condition.valueOf(row.value2()), row.value3(), row.value4(), row.value5()));
    }

    /** Keeps a waiver. @return false if the condition was waived already */
    public boolean waive(Waiver waiver) {
        return db.insertInto(WAIVER)
                        .set(WAIVER.VERSION_ID, waiver.version())
                        .set(WAIVER.CONDITION, waiver.condition().name())
                        .set(WAIVER.REASON, waiver.reason())
                        .set(WAIVER.WAIVED_BY, waiver.by())
                        .set(WAIVER.WAIVED_AT, waiver.at())
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }
}
