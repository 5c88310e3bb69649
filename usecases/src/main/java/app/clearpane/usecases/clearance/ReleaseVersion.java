package app.clearpane.usecases.clearance;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.jobs.Jobs;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Releases a deliverable's current version if it is cleared, and recalls what was released; the bundle is made
 * afterwards.
 */
@Component
public class ReleaseVersion {
    private static final int LONGEST_REASON = 1_000;
    private final States states;
    private final Deliverables deliverables;
    private final ClearanceOf clearance;
    private final Releases releases;
    private final Jobs jobs;
    private final AuditLog audit;
    private final Clock clock;

    ReleaseVersion(
            States states,
            Deliverables deliverables,
            ClearanceOf clearance,
            Releases releases,
            Jobs jobs,
            AuditLog audit,
            Clock clock) {
        this.states = states;
        this.deliverables = deliverables;
        this.clearance = clearance;
        this.releases = releases;
        this.jobs = jobs;
        this.audit = audit;
        this.clock = clock;
    }

    /** Releases it. @throws Refused if a condition is not met, or it was released already */
    @Transactional
    public void release(ItemId deliverable, Actor by) {
        deliverables.lock(deliverable);
        DeliverableState state = states.statesOf(deliverable);
        if (state.release().isPresent()) {
            throw Refused.changedMeanwhile(
                    state.current().orElseThrow().called() + " was released already. Nothing was released twice.");
        }
        ClearanceOf.Sheet sheet = clearance.check(state);
        if (!sheet.clearance().cleared()) {
            throw Refused.because(
                    "It is not cleared yet, so it was not released. The sheet says which condition is open and "
                            + "what to do.");
        }
        Version version = state.current().orElseThrow();
        UUID replaces = releases.ofDeliverable(deliverable).stream()
                .filter(earlier -> !earlier.stands())
                .map(Releases.Release::id)
                .findFirst()
                .orElse(null);
        Releases.Release release = new Releases.Release(
                UUID.randomUUID(),
                deliverable,
                version.id(),
                clock.instant(),
                by,
                null,
                null,
                null,
                null,
                Optional.empty(),
                replaces);
        releases.add(release);
        audit.append(
                state.deliverable().project(),
                deliverable.value(),
                new VersionActs.VersionReleased(
                        by,
                        state.deliverable().name(),
                        Objects.requireNonNull(version.number()),
                        version.sha256(),
                        release.id().toString(),
                        sheet.waivers().stream()
                                .map(waiver -> waiver.condition().name())
                                .toList(),
                        Optional.ofNullable(replaces).map(UUID::toString)));
        jobs.enqueue(MakeBundle.NAME, release.id());
    }

    /**
     * The lines of a checklist as they were typed: each once, without empty ones. @throws Refused if there are too many
     * or one is too long
     */
    public static java.util.List<String> lines(String typed) {
        return Conditions.lines(typed);
    }

    /** Recalls a release: its recipients' links end, and it may be released again. @return the deliverable it is of */
    @Transactional
    public ItemId recall(UUID id, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST_REASON);
        input.require(!why.isEmpty(), "Say why it is recalled; it stands in the Record and on the next certificate.");
        input.allGood();
        Releases.Release release = NotFound.unless(releases.find(id));
        deliverables.lock(release.deliverable());
        if (!release.stands()) {
            throw Refused.changedMeanwhile("This release was recalled already. Nothing was changed.");
        }
        releases.recall(id, new Releases.Recall(clock.instant(), by, why));
        DeliverableState state = states.inBrief(release.deliverable());
        audit.append(
                state.deliverable().project(),
                release.deliverable().value(),
                new VersionActs.ReleaseRecalled(by, state.deliverable().name(), id.toString(), why));
        return release.deliverable();
    }
}
