package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.NOTE;
import static app.clearpane.store.schema.Tables.TEAM_MEMBER;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;

/**
 * Notes of the team on a project, a contact or an item, for oneself or for the team. Nothing on the clients' side reads
 * them.
 */
public final class Notes {
    private final DSLContext db;

    public Notes(DSLContext db) {
        this.db = db;
    }

    /**
     * A note.
     *
     * @param subject the project, contact or item it is on
     * @param forTeam whether the whole team reads it; else only who wrote it
     */
    public record Note(
            UUID id,
            UUID subject,
            ProjectId project,
            String body,
            TeamMemberId writtenBy,
            String writer,
            boolean forTeam,
            Instant at) {}

    /** Keeps a note. */
    public UUID add(ProjectId project, UUID subject, String body, TeamMemberId by, boolean forTeam, Instant now) {
        UUID id = UUID.randomUUID();
        db.insertInto(NOTE)
                .set(NOTE.ID, id)
                .set(NOTE.SUBJECT_ID, subject)
                .set(NOTE.PROJECT_ID, project)
                .set(NOTE.BODY, body)
                .set(NOTE.WRITTEN_BY, by)
                .set(NOTE.FOR_TEAM, forTeam)
                .set(NOTE.CREATED_AT, now)
                .execute();
        return id;
    }

    /** The notes on some subjects that this member may read, newest first. */
    public List<Note> about(Collection<UUID> subjects, TeamMemberId reader) {
        return fetch(NOTE.SUBJECT_ID.in(subjects), reader);
    }

    /** One note, if this member may read it. */
    public Optional<Note> find(UUID id, TeamMemberId reader) {
        return fetch(NOTE.ID.eq(id), reader).stream().findFirst();
    }

    private List<Note> fetch(Condition condition, TeamMemberId reader) {
        return db.select(
                        NOTE.ID,
                        NOTE.SUBJECT_ID,
                        NOTE.PROJECT_ID,
                        NOTE.BODY,
                        NOTE.WRITTEN_BY,
                        TEAM_MEMBER.NAME,
                        NOTE.FOR_TEAM,
                        NOTE.CREATED_AT)
                .from(NOTE)
                .join(TEAM_MEMBER)
                .on(TEAM_MEMBER.ID.eq(NOTE.WRITTEN_BY))
                .where(condition
                        .and(NOTE.DELETED_AT.isNull())
                        .and(NOTE.FOR_TEAM.isTrue().or(NOTE.WRITTEN_BY.eq(reader))))
                .orderBy(NOTE.CREATED_AT.desc(), NOTE.ID)
                .fetch(Records.mapping(Note::new));
    }

    /** Marks a note as deleted. */
    public void delete(UUID id, Instant now) {
        db.update(NOTE).set(NOTE.DELETED_AT, now).where(NOTE.ID.eq(id)).execute();
    }

    /** Brings a deleted note back, for who wrote it. */
    public void restore(UUID id, TeamMemberId by) {
        db.update(NOTE)
                .setNull(NOTE.DELETED_AT)
                .where(NOTE.ID.eq(id), NOTE.WRITTEN_BY.eq(by))
                .execute();
    }
}
