package app.clearpane.store.clearance;

import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.RELEASE;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.ProjectId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jspecify.annotations.Nullable;

/** What was released, and the bundles that prove it. */
public final class Releases {
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
   */
  public record Release(UUID id, ItemId deliverable, VersionId version, Instant at, String by, @Nullable Sha256 bundle, @Nullable Long bundleSize,
      @Nullable String failure) {}

  /** Notes a release. */
  public void add(Release release) {
    db.insertInto(RELEASE).set(RELEASE.ID, release.id()).set(RELEASE.DELIVERABLE_ID, release.deliverable()).set(RELEASE.VERSION_ID, release.version())
        .set(RELEASE.RELEASED_AT, release.at()).set(RELEASE.RELEASED_BY, release.by()).execute();
  }

  /** Notes that a release's bundle is there. */
  public void bundled(UUID release, Sha256 bundle, long size) {
    db.update(RELEASE).set(RELEASE.BUNDLE_SHA256, bundle).set(RELEASE.BUNDLE_SIZE, size).setNull(RELEASE.FAILURE).where(RELEASE.ID.eq(release)).execute();
  }

  /** Notes why a release's bundle could not be made. */
  public void failed(UUID release, String why) {
    db.update(RELEASE).set(RELEASE.FAILURE, why.substring(0, Math.min(1000, why.length()))).where(RELEASE.ID.eq(release)).execute();
  }

  /** A release. */
  public Optional<Release> find(UUID id) {
    return fetch(RELEASE.ID.eq(id)).stream().findFirst();
  }

  /** The releases of a deliverable, newest first. */
  public List<Release> of(ItemId deliverable) {
    return fetch(RELEASE.DELIVERABLE_ID.eq(deliverable));
  }

  /** The releases of a project, newest first. */
  public List<Release> ofProject(ProjectId project) {
    return fetch(ITEM.PROJECT_ID.eq(project));
  }

  /** The releases of all projects that are worked on, newest first. */
  public List<Release> ofActiveProjects() {
    return fetch(ITEM.PROJECT_ID.in(org.jooq.impl.DSL.select(PROJECT.ID).from(PROJECT).where(PROJECT.ARCHIVED_AT.isNull())));
  }

  private List<Release> fetch(Condition condition) {
    return db.select(RELEASE.ID, RELEASE.DELIVERABLE_ID, RELEASE.VERSION_ID, RELEASE.RELEASED_AT, RELEASE.RELEASED_BY, RELEASE.BUNDLE_SHA256,
        RELEASE.BUNDLE_SIZE, RELEASE.FAILURE).from(RELEASE).join(ITEM).on(ITEM.ID.eq(RELEASE.DELIVERABLE_ID)).where(condition)
        .orderBy(RELEASE.RELEASED_AT.desc(), RELEASE.ID).fetch(Records.mapping(Release::new));
  }
}
