package app.clearpane.web.clearance;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.web.deliverable.DeliverableState;
import app.clearpane.web.deliverable.States;
import app.clearpane.web.jobs.Jobs;
import app.clearpane.web.layout.Refused;
import app.clearpane.web.record.Tell;
import java.time.Clock;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Releases a deliverable's current version if it is cleared; the bundle is made afterwards. */
@Component
public class ReleaseVersion {
  private final States states;
  private final Deliverables deliverables;
  private final ClearanceOf clearance;
  private final Releases releases;
  private final Jobs jobs;
  private final Tell tell;
  private final Clock clock;

  ReleaseVersion(States states, Deliverables deliverables, ClearanceOf clearance, Releases releases, Jobs jobs, Tell tell, Clock clock) {
    this.states = states;
    this.deliverables = deliverables;
    this.clearance = clearance;
    this.releases = releases;
    this.jobs = jobs;
    this.tell = tell;
    this.clock = clock;
  }

  /** Releases it. @throws Refused if a condition is not met, or it was released already */
  @Transactional
  public void release(ItemId deliverable, String by) {
    deliverables.lock(deliverable);
    DeliverableState state = states.of(deliverable);
    if (state.release().isPresent()) {
      throw Refused.changedMeanwhile(state.current().orElseThrow().called() + " was released already. Nothing was released twice.");
    }
    if (!clearance.of(state).cleared()) {
      throw Refused.because("It is not cleared yet, so it was not released. The sheet says which condition is open and what to do.");
    }
    VersionRow version = state.current().orElseThrow();
    Releases.Release release = new Releases.Release(UUID.randomUUID(), deliverable, version.id(), clock.instant(), by, null, null, null);
    releases.add(release);
    tell.of(state.deliverable().project(), deliverable.value(), new Tell.Happening("version.released", by, state.deliverable().name(),
        Map.of("version", version.number(), "sha256", version.sha256(), "release", release.id().toString())));
    jobs.enqueue(MakeBundle.NAME, release.id());
  }
}
