package app.clearpane.store.plan;

import static app.clearpane.store.schema.Tables.FEED;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jspecify.annotations.Nullable;

/** Calendar addresses that carry their own key. */
public final class Feeds {
    private final DSLContext db;

    public Feeds(DSLContext db) {
        this.db = db;
    }

    /**
     * One address.
     *
     * @param member whose own it is, or who made that of a project
     * @param project null unless it is a project's
     * @param seat null unless it is a seat's; then there is no member
     * @param everything whether it holds everything over all projects, not only what is in the member's hands
     * @param fetchedAt when a calendar last asked for it
     */
    public record Feed(
            UUID id,
            @Nullable TeamMemberId member,
            @Nullable ProjectId project,
            @Nullable SeatId seat,
            boolean everything,
            String name,
            Instant createdAt,
            @Nullable Instant fetchedAt) {}

    /** Keeps one. */
    public void add(Feed feed, Sha256 keyHash) {
        db.insertInto(FEED)
                .set(FEED.ID, feed.id())
                .set(FEED.KEY_HASH, keyHash)
                .set(FEED.MEMBER_ID, feed.member())
                .set(FEED.PROJECT_ID, feed.project())
                .set(FEED.SEAT_ID, feed.seat())
                .set(FEED.EVERYTHING, feed.everything())
                .set(FEED.NAME, feed.name())
                .set(FEED.CREATED_AT, feed.createdAt())
                .execute();
    }

    /** The one with a key, unless it was taken back; notes that it was asked for. */
    public Optional<Feed> fetched(Sha256 keyHash, Instant now) {
        Optional<Feed> feed = where(FEED.KEY_HASH.eq(keyHash)).stream().findFirst();
        feed.ifPresent(one -> db.update(FEED)
                .set(FEED.FETCHED_AT, now)
                .where(FEED.ID.eq(one.id()))
                .execute());
        return feed;
    }

    /** Those one of the team made. */
    public List<Feed> feedsOf(TeamMemberId member) {
        return where(FEED.MEMBER_ID.eq(member));
    }

    /** Those of a seat. */
    public List<Feed> feedsOf(SeatId seat) {
        return where(FEED.SEAT_ID.eq(seat));
    }

    private List<Feed> where(Condition condition) {
        return db.select(
                        FEED.ID,
                        FEED.MEMBER_ID,
                        FEED.PROJECT_ID,
                        FEED.SEAT_ID,
                        FEED.EVERYTHING,
                        FEED.NAME,
                        FEED.CREATED_AT,
                        FEED.FETCHED_AT)
                .from(FEED)
                .where(condition, FEED.REVOKED_AT.isNull())
                .orderBy(FEED.CREATED_AT, FEED.ID)
                .fetch(Records.mapping(Feed::new));
    }

    /** Takes one back, if it is of this member. @return whether there was one */
    public boolean revoke(UUID id, TeamMemberId member, Instant now) {
        return db.update(FEED)
                        .set(FEED.REVOKED_AT, now)
                        .where(FEED.ID.eq(id), FEED.MEMBER_ID.eq(member), FEED.REVOKED_AT.isNull())
                        .execute()
                == 1;
    }

    /** Takes all of a seat back. */
    public void revoke(SeatId seat, Instant now) {
        db.update(FEED)
                .set(FEED.REVOKED_AT, now)
                .where(FEED.SEAT_ID.eq(seat), FEED.REVOKED_AT.isNull())
                .execute();
    }

    /** Takes all of one of the team back. */
    public void revoke(TeamMemberId member, Instant now) {
        db.update(FEED)
                .set(FEED.REVOKED_AT, now)
                .where(FEED.MEMBER_ID.eq(member), FEED.REVOKED_AT.isNull())
                .execute();
    }
}
