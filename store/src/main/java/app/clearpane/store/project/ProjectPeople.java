package app.clearpane.store.project;

import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.PROJECT_PERSON;
import static app.clearpane.store.schema.Tables.TEAM_MEMBER;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.project.ProjectId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.impl.DSL;

/** Who of the team works on which project. */
public final class ProjectPeople {
    private final DSLContext db;

    public ProjectPeople(DSLContext db) {
        this.db = db;
    }

    /** Somebody on a project. @param does what they do there; may be empty @param shown whether clients read of them */
    public record OfUs(TeamMemberId member, String name, String does, boolean shown) {}

    /** Those of a project, by name. */
    public List<OfUs> peopleOf(ProjectId project) {
        return db.select(PROJECT_PERSON.MEMBER_ID, TEAM_MEMBER.NAME, PROJECT_PERSON.DOES, PROJECT_PERSON.SHOWN)
                .from(PROJECT_PERSON)
                .join(TEAM_MEMBER)
                .on(TEAM_MEMBER.ID.eq(PROJECT_PERSON.MEMBER_ID))
                .where(PROJECT_PERSON.PROJECT_ID.eq(project), TEAM_MEMBER.ENDED_AT.isNull())
                .orderBy(TEAM_MEMBER.NAME, TEAM_MEMBER.ID)
                .fetch(Records.mapping(OfUs::new));
    }

    /** One of them. */
    public Optional<OfUs> find(ProjectId project, TeamMemberId member) {
        return peopleOf(project).stream()
                .filter(one -> one.member().equals(member))
                .findFirst();
    }

    /** Names somebody, or says otherwise what they do. */
    public void put(ProjectId project, TeamMemberId member, String does, boolean shown) {
        remove(project, member);
        db.insertInto(PROJECT_PERSON)
                .set(PROJECT_PERSON.PROJECT_ID, project)
                .set(PROJECT_PERSON.MEMBER_ID, member)
                .set(PROJECT_PERSON.DOES, does)
                .set(PROJECT_PERSON.SHOWN, shown)
                .execute();
    }

    /**
     * What it depends on who sees a project, and for whom words start there. @param named those named for it @param
     * saysToClient whether they start for the client
     */
    public record Sight(
            ProjectId project, boolean closed, boolean saysToClient, TeamMemberId manager, Set<TeamMemberId> named) {
        /** Whether somebody sees it. */
        public boolean seenBy(TeamMemberId member, TeamRole role) {
            return role.sees(closed, named.contains(member), member.equals(manager));
        }
    }

    /** All projects with that. */
    public List<Sight> sights() {
        Field<Set<TeamMemberId>> named = DSL.multiset(DSL.select(PROJECT_PERSON.MEMBER_ID)
                        .from(PROJECT_PERSON)
                        .where(PROJECT_PERSON.PROJECT_ID.eq(PROJECT.ID)))
                .convertFrom(rows -> rows.intoSet(PROJECT_PERSON.MEMBER_ID));
        return db.select(PROJECT.ID, PROJECT.CLOSED, PROJECT.SAYS_TO_CLIENT, PROJECT.MANAGER_ID, named)
                .from(PROJECT)
                .fetch(Records.mapping(Sight::new));
    }

    /** Whether what is said in a project starts for the client. */
    public boolean saysToClient(ProjectId project) {
        return db.select(PROJECT.SAYS_TO_CLIENT)
                .from(PROJECT)
                .where(PROJECT.ID.eq(project))
                .fetchOptional(PROJECT.SAYS_TO_CLIENT)
                .orElse(false);
    }

    /** Lets it start for the client, or for the team. */
    public void sayToClient(ProjectId project, boolean toClient) {
        db.update(PROJECT)
                .set(PROJECT.SAYS_TO_CLIENT, toClient)
                .where(PROJECT.ID.eq(project))
                .execute();
    }

    /** Whether a project is closed to the rest of the team. */
    public boolean isClosed(ProjectId project) {
        return db.select(PROJECT.CLOSED)
                .from(PROJECT)
                .where(PROJECT.ID.eq(project))
                .fetchOptional(PROJECT.CLOSED)
                .orElse(false);
    }

    /** Closes it to them, or opens it. */
    public void close(ProjectId project, boolean closed) {
        db.update(PROJECT)
                .set(PROJECT.CLOSED, closed)
                .where(PROJECT.ID.eq(project))
                .execute();
    }

    /** How somebody of the team is reached by clients who read of them. @param reached when; both may be empty */
    public record Profile(String phone, String reached) {}

    /** Somebody's. */
    public Profile profile(TeamMemberId member) {
        return db.select(TEAM_MEMBER.PHONE, TEAM_MEMBER.REACHED)
                .from(TEAM_MEMBER)
                .where(TEAM_MEMBER.ID.eq(member))
                .fetchSingle(Records.mapping(Profile::new));
    }

    /** Sets somebody's. */
    public void setProfile(TeamMemberId member, Profile profile) {
        db.update(TEAM_MEMBER)
                .set(TEAM_MEMBER.PHONE, profile.phone())
                .set(TEAM_MEMBER.REACHED, profile.reached())
                .where(TEAM_MEMBER.ID.eq(member))
                .execute();
    }

    /** Whether clients read how many hours went into a project. */
    public boolean hoursShown(ProjectId project) {
        return db.select(PROJECT.HOURS_SHOWN)
                .from(PROJECT)
                .where(PROJECT.ID.eq(project))
                .fetchOptional(PROJECT.HOURS_SHOWN)
                .orElse(false);
    }

    /** Shows them, or no more. */
    public void showHours(ProjectId project, boolean shown) {
        db.update(PROJECT)
                .set(PROJECT.HOURS_SHOWN, shown)
                .where(PROJECT.ID.eq(project))
                .execute();
    }

    /** Names somebody no longer. */
    public void remove(ProjectId project, TeamMemberId member) {
        db.deleteFrom(PROJECT_PERSON)
                .where(PROJECT_PERSON.PROJECT_ID.eq(project), PROJECT_PERSON.MEMBER_ID.eq(member))
                .execute();
    }
}
