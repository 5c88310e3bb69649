package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.WAY_IN;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jspecify.annotations.Nullable;

/** Links that stand for one person's mailbox. Only the digest of a link's key is kept. */
public final class SignInLinks {
    private final DSLContext db;

    public SignInLinks(DSLContext db) {
        this.db = db;
    }

    /**
     * One link.
     *
     * @param contact whom it lets in, unless it is for one of the team
     * @param member whom of the team it lets in
     * @param leadsTo the page it opens
     * @param lasting whether it may be used more than once
     */
    public record WayIn(
            UUID id,
            @Nullable ContactId contact,
            @Nullable TeamMemberId member,
            String leadsTo,
            Instant expiresAt,
            @Nullable Instant usedAt,
            @Nullable Instant revokedAt,
            boolean lasting) {

        /** Whether it still opens anything. */
        public boolean opensAt(Instant now) {
            return revokedAt == null && now.isBefore(expiresAt) && (lasting || usedAt == null);
        }
    }

    /** Whom a new link is for and where it leads. */
    public record Grant(
            @Nullable ContactId contact,
            @Nullable TeamMemberId member,
            String leadsTo,
            Instant expiresAt,
            boolean lasting) {}

    /** Keeps a new link by the digest of its key. */
    public void add(Sha256 keyHash, Grant grant, Instant now) {
        db.insertInto(WAY_IN)
                .set(WAY_IN.ID, UUID.randomUUID())
                .set(WAY_IN.KEY_HASH, keyHash)
                .set(WAY_IN.CONTACT_ID, grant.contact())
                .set(WAY_IN.MEMBER_ID, grant.member())
                .set(WAY_IN.LEADS_TO, grant.leadsTo())
                .set(WAY_IN.CREATED_AT, now)
                .set(WAY_IN.EXPIRES_AT, grant.expiresAt())
                .set(WAY_IN.LASTING, grant.lasting())
                .execute();
    }

    /** Whether there is a link that opens again and again, as only a demo has them. */
    public boolean anyOfADemo() {
        return db.fetchExists(WAY_IN, WAY_IN.LASTING.isTrue());
    }

    /** The link with this key. */
    public Optional<WayIn> find(Sha256 keyHash) {
        return db.select(
                        WAY_IN.ID,
                        WAY_IN.CONTACT_ID,
                        WAY_IN.MEMBER_ID,
                        WAY_IN.LEADS_TO,
                        WAY_IN.EXPIRES_AT,
                        WAY_IN.USED_AT,
                        WAY_IN.REVOKED_AT,
                        WAY_IN.LASTING)
                .from(WAY_IN)
                .where(WAY_IN.KEY_HASH.eq(keyHash))
                .fetchOptional(Records.mapping(WayIn::new));
    }

    /** Uses a link up. @return false if somebody was faster, and it does not last */
    public boolean use(WayIn wayIn, Instant now) {
        return db.update(WAY_IN)
                        .set(WAY_IN.USED_AT, now)
                        .where(
                                WAY_IN.ID.eq(wayIn.id()),
                                WAY_IN.REVOKED_AT.isNull(),
                                WAY_IN.LASTING.isTrue().or(WAY_IN.USED_AT.isNull()))
                        .execute()
                == 1;
    }

    /** Revokes every link of a contact. @return how many were still good */
    public int revokeAll(ContactId contact, Instant now) {
        return db.update(WAY_IN)
                .set(WAY_IN.REVOKED_AT, now)
                .where(WAY_IN.CONTACT_ID.eq(contact), WAY_IN.REVOKED_AT.isNull(), WAY_IN.EXPIRES_AT.gt(now))
                .execute();
    }

    /** Revokes every link of one of the team. */
    public void revokeAll(TeamMemberId member, Instant now) {
        db.update(WAY_IN)
                .set(WAY_IN.REVOKED_AT, now)
                .where(WAY_IN.MEMBER_ID.eq(member), WAY_IN.REVOKED_AT.isNull())
                .execute();
    }
}
