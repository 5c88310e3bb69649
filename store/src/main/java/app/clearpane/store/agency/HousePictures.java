package app.clearpane.store.agency;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.HOUSE_PICTURE;

import app.clearpane.core.files.HostNames;
import java.time.Instant;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Records;

/** Faces, logos and covers, and the agency's colour. */
public final class HousePictures {
    private final DSLContext db;

    public HousePictures(DSLContext db) {
        this.db = db;
    }

    /** What a picture is of. */
    public enum Role {
        /** Of one of the team, or of a contact. */
        FACE,
        /** Of the agency or of a client. */
        LOGO,
        /** Of a project. */
        COVER,
        /** Of what would be just right for a part of a request. */
        GOOD_EXAMPLE,
        /** Of what would not do for it. */
        BAD_EXAMPLE,
        /** Of what an address on the web led to. */
        LAST_LOOK
    }

    /** The picture of something. */
    public Optional<HousePicture> find(UUID subject, Role role) {
        return db.select(HOUSE_PICTURE.SHA256, HOUSE_PICTURE.MEDIA_TYPE)
                .from(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.SUBJECT_ID.eq(subject), HOUSE_PICTURE.ROLE.eq(role.name()))
                .fetchOptional(Records.mapping(HousePicture::new));
    }

    /** Whatever has a picture of a sort. */
    public Set<UUID> with(Role role) {
        return db.select(HOUSE_PICTURE.SUBJECT_ID)
                .from(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.ROLE.eq(role.name()))
                .fetchSet(HOUSE_PICTURE.SUBJECT_ID);
    }

    /** Which of some things have a picture of a sort. */
    public Set<UUID> with(Role role, Collection<UUID> some) {
        return db.select(HOUSE_PICTURE.SUBJECT_ID)
                .from(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.ROLE.eq(role.name()), HOUSE_PICTURE.SUBJECT_ID.in(some))
                .fetchSet(HOUSE_PICTURE.SUBJECT_ID);
    }

    /** Gives something another picture. */
    public void put(UUID subject, Role role, HousePicture picture) {
        drop(subject, role);
        db.insertInto(HOUSE_PICTURE)
                .set(HOUSE_PICTURE.SUBJECT_ID, subject)
                .set(HOUSE_PICTURE.ROLE, role.name())
                .set(HOUSE_PICTURE.SHA256, picture.sha256())
                .set(HOUSE_PICTURE.MEDIA_TYPE, picture.mediaType())
                .execute();
    }

    /** Takes a picture away. */
    public void drop(UUID subject, Role role) {
        db.deleteFrom(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.SUBJECT_ID.eq(subject), HOUSE_PICTURE.ROLE.eq(role.name()))
                .execute();
    }

    /** Keeps when a picture was taken. */
    public void taken(UUID subject, Role role, Instant at) {
        db.update(HOUSE_PICTURE)
                .set(HOUSE_PICTURE.TAKEN_AT, at)
                .where(HOUSE_PICTURE.SUBJECT_ID.eq(subject), HOUSE_PICTURE.ROLE.eq(role.name()))
                .execute();
    }

    /** When a picture was taken, if that was kept. */
    public Optional<Instant> takenAt(UUID subject, Role role) {
        return db.select(HOUSE_PICTURE.TAKEN_AT)
                .from(HOUSE_PICTURE)
                .where(
                        HOUSE_PICTURE.SUBJECT_ID.eq(subject),
                        HOUSE_PICTURE.ROLE.eq(role.name()),
                        HOUSE_PICTURE.TAKEN_AT.isNotNull())
                .fetchOptional(HOUSE_PICTURE.TAKEN_AT);
    }

    /** The hosts whose documents are shown in place. */
    public HostNames shownHosts() {
        return HostNames.read(db.select(AGENCY.SHOWN_HOSTS)
                .from(AGENCY)
                .orderBy(AGENCY.CREATED_AT, AGENCY.ID)
                .limit(1)
                .fetchOptional(AGENCY.SHOWN_HOSTS)
                .orElse(""));
    }

    /** Sets them. */
    public void setShownHosts(HostNames hosts) {
        db.update(AGENCY).set(AGENCY.SHOWN_HOSTS, hosts.typed()).execute();
    }

    /** The agency's colour as it was given; empty for the house's own. */
    public String accent() {
        return db.select(AGENCY.ACCENT)
                .from(AGENCY)
                .orderBy(AGENCY.CREATED_AT, AGENCY.ID)
                .limit(1)
                .fetchOptional(AGENCY.ACCENT)
                .orElse("");
    }

    /** Sets it. */
    public void setAccent(String accent) {
        db.update(AGENCY).set(AGENCY.ACCENT, accent).execute();
    }
}
