package app.clearpane.store.clearance;

import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.RELEASE;
import static app.clearpane.store.schema.Tables.RELEASE_DELIVERY;
import static app.clearpane.store.schema.Tables.RELEASE_RECIPIENT;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.Stale;
import app.clearpane.store.project.WorkedOn;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jspecify.annotations.Nullable;

/** What was released, and the bundles that prove it. */
public final class Releases {
    private static final Field<List<Delivery>> DELIVERIES = multiset(select(
                            RELEASE_DELIVERY.DELIVERED_ON,
                            RELEASE_DELIVERY.WHAT,
                            RELEASE_DELIVERY.TIMES,
                            RELEASE_DELIVERY.SIZE_BYTES)
                    .from(RELEASE_DELIVERY)
                    .where(RELEASE_DELIVERY.RECIPIENT_ID.eq(RELEASE_RECIPIENT.ID))
                    .orderBy(RELEASE_DELIVERY.DELIVERED_ON, RELEASE_DELIVERY.WHAT))
            .convertFrom(all -> all.map(Records.mapping(Delivery::new)));
    private final DSLContext db;

    public Releases(DSLContext db) {
        this.db = db;
    }

    /**
     * One release.
     *
     * @param bundle the bundle's digest; null while it is being made
     * @param bundleSize in bytes; null while it is being made
     * @param failure why the bundle could not be made; null unless it failed
     * @param certificate the certificate's digest; null while it is being made
     * @param recall why, when and by whom it was recalled; empty unless it was
     * @param replaces the recalled release that it takes the place of; null for the first
     */
    public record Release(
            UUID id,
            ItemId deliverable,
            VersionId version,
            Instant at,
            Actor by,
            @Nullable Sha256 bundle,
            @Nullable Long bundleSize,
            @Nullable String failure,
            @Nullable Sha256 certificate,
            Optional<Recall> recall,
            @Nullable UUID replaces) {
        /** Whether it stands. */
        public boolean stands() {
            return recall.isEmpty();
        }
    }

    /** The recall of a release. */
    public record Recall(Instant at, Actor by, String reason) {}

    /** Whole deliveries to one recipient on one day. @param what the file, or the bundle @param bytes of one */
    public record Delivery(LocalDate on, String what, int times, long bytes) {}

    /**
     * Somebody who gets the files of a release. @param fetched how many times they did @param deliveries what was
     * handed out whole, by day
     */
    public record Recipient(
            UUID id,
            UUID release,
            String name,
            String email,
            Instant expiresAt,
            Instant createdAt,
            int fetched,
            @Nullable Instant fetchedAt,
            List<Delivery> deliveries) {}

    /** Notes a release. */
    public void add(Release release) {
        db.insertInto(RELEASE)
                .set(RELEASE.ID, release.id())
                .set(RELEASE.DELIVERABLE_ID, release.deliverable())
                .set(RELEASE.VERSION_ID, release.version())
                .set(RELEASE.RELEASED_AT, release.at())
                .set(RELEASE.RELEASED_BY, release.by())
                .set(RELEASE.REPLACES_ID, release.replaces())
                .execute();
    }

    /** Notes that a release's bundle is there. */
    public void bundled(UUID release, Sha256 certificate, Sha256 bundle, long size) {
        db.update(RELEASE)
                .set(RELEASE.CERTIFICATE_SHA256, certificate)
                .set(RELEASE.BUNDLE_SHA256, bundle)
                .set(RELEASE.BUNDLE_SIZE, size)
                .setNull(RELEASE.FAILURE)
                .where(RELEASE.ID.eq(release))
                .execute();
    }

    /** Notes why a release's bundle could not be made. */
    public void failed(UUID release, String why) {
        db.update(RELEASE)
                .set(RELEASE.FAILURE, why.substring(0, Math.min(1000, why.length())))
                .where(RELEASE.ID.eq(release))
                .execute();
    }

    /** A release. */
    public Optional<Release> find(UUID id) {
        return fetch(RELEASE.ID.eq(id)).stream().findFirst();
    }

    /** The releases of a deliverable, newest first. */
    public List<Release> ofDeliverable(ItemId deliverable) {
        return fetch(RELEASE.DELIVERABLE_ID.eq(deliverable));
    }

    /** The releases of a project, newest first. */
    public List<Release> ofProject(ProjectId project) {
        return fetch(ITEM.PROJECT_ID.eq(project));
    }

    /** The releases of all projects that are worked on, newest first. */
    public List<Release> ofActiveProjects() {
        return fetch(WorkedOn.is(ITEM.PROJECT_ID));
    }

    private List<Release> fetch(Condition condition) {
        return db.select(RELEASE.fields())
                .from(RELEASE)
                .join(ITEM)
                .on(ITEM.ID.eq(RELEASE.DELIVERABLE_ID))
                .where(condition)
                .orderBy(RELEASE.RELEASED_AT.desc(), RELEASE.ID)
                .fetch(row -> new Release(
                        row.get(RELEASE.ID),
                        row.get(RELEASE.DELIVERABLE_ID),
                        row.get(RELEASE.VERSION_ID),
                        row.get(RELEASE.RELEASED_AT),
                        row.get(RELEASE.RELEASED_BY),
                        row.get(RELEASE.BUNDLE_SHA256),
                        row.get(RELEASE.BUNDLE_SIZE),
                        row.get(RELEASE.FAILURE),
                        row.get(RELEASE.CERTIFICATE_SHA256),
                        row.get(RELEASE.RECALLED_AT) == null
                                ? Optional.empty()
                                : Optional.of(new Recall(
                                        row.get(RELEASE.RECALLED_AT),
                                        row.get(RELEASE.RECALLED_BY),
                                        row.get(RELEASE.RECALL_REASON))),
                        row.get(RELEASE.REPLACES_ID)));
    }

    /** The releases whose certificate these bytes are. */
    public List<Release> certifiedBy(Sha256 certificate) {
        return fetch(RELEASE.CERTIFICATE_SHA256.eq(certificate));
    }

    /** The releases of versions with these bytes, newest first. */
    public List<Release> ofBytes(Sha256 content) {
        return fetch(RELEASE.VERSION_ID.in(select(VERSION.ID).from(VERSION).where(VERSION.SHA256.eq(content))));
    }

    /** Recalls a release; its recipients' links end. @throws Stale if it was recalled meanwhile */
    public void recall(UUID release, Recall recall) {
        Stale.unlessOne(
                db.update(RELEASE)
                        .set(RELEASE.RECALLED_AT, recall.at())
                        .set(RELEASE.RECALLED_BY, recall.by())
                        .set(RELEASE.RECALL_REASON, recall.reason())
                        .where(RELEASE.ID.eq(release), RELEASE.RECALLED_AT.isNull())
                        .execute(),
                "The release");
        db.update(RELEASE_RECIPIENT)
                .set(RELEASE_RECIPIENT.EXPIRES_AT, recall.at())
                .where(RELEASE_RECIPIENT.RELEASE_ID.eq(release), RELEASE_RECIPIENT.EXPIRES_AT.gt(recall.at()))
                .execute();
    }

    /** Adds a recipient. @param key the digest of their link's key */
    public void add(Recipient recipient, Sha256 key) {
        db.insertInto(RELEASE_RECIPIENT)
                .set(RELEASE_RECIPIENT.ID, recipient.id())
                .set(RELEASE_RECIPIENT.RELEASE_ID, recipient.release())
                .set(RELEASE_RECIPIENT.NAME, recipient.name())
                .set(RELEASE_RECIPIENT.EMAIL, recipient.email())
                .set(RELEASE_RECIPIENT.KEY_HASH, key)
                .set(RELEASE_RECIPIENT.EXPIRES_AT, recipient.expiresAt())
                .set(RELEASE_RECIPIENT.CREATED_AT, recipient.createdAt())
                .set(RELEASE_RECIPIENT.FETCHED, 0)
                .execute();
    }

    /** The recipients of a deliverable's releases, in the order they were added. */
    public List<Recipient> recipients(ItemId deliverable) {
        return recipientsWhere(RELEASE_RECIPIENT.RELEASE_ID.in(
                select(RELEASE.ID).from(RELEASE).where(RELEASE.DELIVERABLE_ID.eq(deliverable))));
    }

    /** Whoever has the link with this key. */
    public Optional<Recipient> recipient(Sha256 key) {
        return recipientsWhere(RELEASE_RECIPIENT.KEY_HASH.eq(key)).stream().findFirst();
    }

    private List<Recipient> recipientsWhere(Condition condition) {
        return db.select(
                        RELEASE_RECIPIENT.ID,
                        RELEASE_RECIPIENT.RELEASE_ID,
                        RELEASE_RECIPIENT.NAME,
                        RELEASE_RECIPIENT.EMAIL,
                        RELEASE_RECIPIENT.EXPIRES_AT,
                        RELEASE_RECIPIENT.CREATED_AT,
                        RELEASE_RECIPIENT.FETCHED,
                        RELEASE_RECIPIENT.FETCHED_AT,
                        DELIVERIES)
                .from(RELEASE_RECIPIENT)
                .where(condition)
                .orderBy(RELEASE_RECIPIENT.CREATED_AT, RELEASE_RECIPIENT.ID)
                .fetch(Records.mapping(Recipient::new));
    }

    /** Counts that all of something was handed out. @return whether it is the first time on that day */
    public boolean delivered(UUID recipient, LocalDate on, String what, long bytes, Instant now) {
        fetched(recipient, now);
        boolean again = db.update(RELEASE_DELIVERY)
                        .set(RELEASE_DELIVERY.TIMES, RELEASE_DELIVERY.TIMES.plus(1))
                        .where(
                                RELEASE_DELIVERY.RECIPIENT_ID.eq(recipient),
                                RELEASE_DELIVERY.DELIVERED_ON.eq(on),
                                RELEASE_DELIVERY.WHAT.eq(what))
                        .execute()
                == 1;
        return !again
                && db.insertInto(RELEASE_DELIVERY)
                                .set(RELEASE_DELIVERY.RECIPIENT_ID, recipient)
                                .set(RELEASE_DELIVERY.DELIVERED_ON, on)
                                .set(RELEASE_DELIVERY.WHAT, what)
                                .set(RELEASE_DELIVERY.TIMES, 1)
                                .set(RELEASE_DELIVERY.SIZE_BYTES, bytes)
                                .onConflictDoNothing()
                                .execute()
                        == 1;
    }

    private void fetched(UUID recipient, Instant now) {
        db.update(RELEASE_RECIPIENT)
                .set(RELEASE_RECIPIENT.FETCHED, RELEASE_RECIPIENT.FETCHED.plus(1))
                .set(RELEASE_RECIPIENT.FETCHED_AT, now)
                .where(RELEASE_RECIPIENT.ID.eq(recipient))
                .execute();
    }
}
