package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.SIGN_IN_LINK;

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
        db.insertInto(SIGN_IN_LINK)
                .set(SIGN_IN_LINK.ID, UUID.randomUUID())
                .set(SIGN_IN_LINK.KEY_HASH, keyHash)
                .set(SIGN_IN_LINK.CONTACT_ID, grant.contact())
                .set(SIGN_IN_LINK.MEMBER_ID, grant.member())
                .set(SIGN_IN_LINK.LEADS_TO, grant.leadsTo())
                .set(SIGN_IN_LINK.CREATED_AT, now)
                .set(SIGN_IN_LINK.EXPIRES_AT, grant.expiresAt())
                .set(SIGN_IN_LINK.LASTING, grant.lasting())
                .execute();
    }

    /** Whether there is a link that opens again and again, as only a demo has them. */
    public boolean anyOfADemo() {
        return db.fetchExists(SIGN_IN_LINK, SIGN_IN_LINK.LASTING.isTrue());
    }

    /** The link with this key. */
    public Optional<WayIn> find(Sha256 keyHash) {
        return db.select(
                        SIGN_IN_LINK.ID,
                        SIGN_IN_LINK.CONTACT_ID,
                        SIGN_IN_LINK.MEMBER_ID,
                        SIGN_IN_LINK.LEADS_TO,
                        SIGN_IN_LINK.EXPIRES_AT,
                        SIGN_IN_LINK.USED_AT,
                        SIGN_IN_LINK.REVOKED_AT,
                        SIGN_IN_LINK.LASTING)
                .from(SIGN_IN_LINK)
                .where(SIGN_IN_LINK.KEY_HASH.eq(keyHash))
                .fetchOptional(Records.mapping(WayIn::new));
    }

    /** Uses a link up. @return false if somebody was faster, and it does not last */
    public boolean use(WayIn signInLink, Instant now) {
        return db.update(SIGN_IN_LINK)
                        .set(SIGN_IN_LINK.USED_AT, now)
                        .where(
                                SIGN_IN_LINK.ID.eq(signInLink.id()),
                                SIGN_IN_LINK.REVOKED_AT.isNull(),
                                SIGN_IN_LINK.LASTING.isTrue().or(SIGN_IN_LINK.USED_AT.isNull()))
                        .execute()
                == 1;
    }

    /** Revokes every link of a contact. @return how many were still good */
    public int revokeAll(ContactId contact, Instant now) {
        return db.update(SIGN_IN_LINK)
                .set(SIGN_IN_LINK.REVOKED_AT, now)
                .where(
                        SIGN_IN_LINK.CONTACT_ID.eq(contact),
                        SIGN_IN_LINK.REVOKED_AT.isNull(),
                        SIGN_IN_LINK.EXPIRES_AT.gt(now))
                .execute();
    }

    /** Revokes every link of one of the team. */
    public void revokeAll(TeamMemberId member, Instant now) {
        db.update(SIGN_IN_LINK)
                .set(SIGN_IN_LINK.REVOKED_AT, now)
                .where(SIGN_IN_LINK.MEMBER_ID.eq(member), SIGN_IN_LINK.REVOKED_AT.isNull())
                .execute();
    }
}
