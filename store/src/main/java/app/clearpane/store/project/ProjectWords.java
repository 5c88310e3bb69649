package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.PROJECT_SAID;
import static app.clearpane.store.schema.Tables.PROJECT_WORDS;

import app.clearpane.core.people.Actor;
import app.clearpane.core.project.AboutPart;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** What projects say of themselves: what they are for, part by part, and how they stand, day by day. */
public final class ProjectWords {
    private final DSLContext db;

    public ProjectWords(DSLContext db) {
        this.db = db;
    }

    /**
     * A part. @param shown whether clients who see the status read it @param revision 0 for one that nobody wrote yet
     */
    public record Part(AboutPart part, String words, boolean shown, int revision) {
        static Part none(AboutPart part) {
            return new Part(part, "", true, 0);
        }
    }

    /** What somebody said of how it stands. */
    public record Said(UUID id, String said, Actor by, Instant at, boolean shown) {}

    /** All parts of a project, in their order; those that nobody wrote are empty. */
    public List<Part> partsOf(ProjectId project) {
        Map<AboutPart, Part> written = new EnumMap<>(AboutPart.class);
        db.select(PROJECT_WORDS.PART, PROJECT_WORDS.WORDS, PROJECT_WORDS.SHOWN, PROJECT_WORDS.REVISION)
                .from(PROJECT_WORDS)
                .where(PROJECT_WORDS.PROJECT_ID.eq(project))
                .fetch(Records.mapping(Part::new))
                .forEach(part -> written.put(part.part(), part));
        return java.util.Arrays.stream(AboutPart.values())
                .map(part -> written.getOrDefault(part, Part.none(part)))
                .toList();
    }

    /** Writes a part. @throws Stale if it was written since it was read */
    public void write(ProjectId project, Part wanted) {
        if (wanted.revision() == 0) {
            Stale.unlessOne(
                    db.insertInto(PROJECT_WORDS)
                            .set(PROJECT_WORDS.PROJECT_ID, project)
                            .set(PROJECT_WORDS.PART, wanted.part())
                            .set(PROJECT_WORDS.WORDS, wanted.words())
                            .set(PROJECT_WORDS.SHOWN, wanted.shown())
                            .set(PROJECT_WORDS.REVISION, 1)
                            .onConflictDoNothing()
                            .execute(),
                    "What the project says");
            return;
        }
        Stale.unlessOne(
                db.update(PROJECT_WORDS)
                        .set(PROJECT_WORDS.WORDS, wanted.words())
                        .set(PROJECT_WORDS.SHOWN, wanted.shown())
                        .set(PROJECT_WORDS.REVISION, PROJECT_WORDS.REVISION.plus(1))
                        .where(
                                PROJECT_WORDS.PROJECT_ID.eq(project),
                                PROJECT_WORDS.PART.eq(wanted.part()),
                                PROJECT_WORDS.REVISION.eq(wanted.revision()))
                        .execute(),
                "What the project says");
    }

    /** What was said of how it stands, latest first. */
    public List<Said> said(ProjectId project) {
        return db.select(
                        PROJECT_SAID.ID,
                        PROJECT_SAID.SAID,
                        PROJECT_SAID.SAID_BY,
                        PROJECT_SAID.SAID_AT,
                        PROJECT_SAID.SHOWN)
                .from(PROJECT_SAID)
                .where(PROJECT_SAID.PROJECT_ID.eq(project))
                .orderBy(PROJECT_SAID.SAID_AT.desc(), PROJECT_SAID.ID)
                .fetch(Records.mapping(Said::new));
    }

    /** Keeps what was said. */
    public void say(ProjectId project, Said said) {
        db.insertInto(PROJECT_SAID)
                .set(PROJECT_SAID.ID, said.id())
                .set(PROJECT_SAID.PROJECT_ID, project)
                .set(PROJECT_SAID.SAID, said.said())
                .set(PROJECT_SAID.SAID_BY, said.by())
                .set(PROJECT_SAID.SAID_AT, said.at())
                .set(PROJECT_SAID.SHOWN, said.shown())
                .execute();
    }

    /** The project in which something was said. */
    public Optional<ProjectId> projectOf(UUID said) {
        return db.select(PROJECT_SAID.PROJECT_ID)
                .from(PROJECT_SAID)
                .where(PROJECT_SAID.ID.eq(said))
                .fetchOptional(PROJECT_SAID.PROJECT_ID);
    }

    /** Shows what was said, or shows it no more. */
    public void show(UUID said, boolean shown) {
        db.update(PROJECT_SAID)
                .set(PROJECT_SAID.SHOWN, shown)
                .where(PROJECT_SAID.ID.eq(said))
                .execute();
    }
}
