package app.clearpane.usecases.signoff;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.TakingBack;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes a decision back: for ten minutes, and as long as nothing was built on it. It stays in the Record, as does its
 * taking back.
 */
@Component
public class TakeBackDecision {
    private final VisibleDeliverables visible;
    private final Deliverables deliverables;
    private final TheAgency agency;
    private final WriteToTeam toTeam;
    private final UndoDecision undo;

    TakeBackDecision(
            VisibleDeliverables visible,
            Deliverables deliverables,
            TheAgency agency,
            WriteToTeam toTeam,
            UndoDecision undo) {
        this.undo = undo;
        this.toTeam = toTeam;
        this.visible = visible;
        this.deliverables = deliverables;
        this.agency = agency;
    }

    /** Takes back the latest that a viewer said. @throws Refused if it is too late, or something was built on it */
    @Transactional
    public void takeBack(Viewer viewer, VersionId id) {
        Version version = NotFound.unless(visible.version(viewer, id));
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        deliverables.lock(deliverable.id());
        Round round = NotFound.unless(deliverables.round(id));
        Round.Said said = NotFound.unless(round.madeBy(viewer.contact()));
        if (round.mayTakeBackUntil(viewer.contact(), agency.now()).isEmpty()) {
            throw Refused.because(
                    "A decision can be taken back for ten minutes, as long as nobody went on from it. Write to us "
                            + "if it was a mistake. Nothing was changed.");
        }
        if (TakingBack.isBuiltOn(
                said.at(),
                round.open(),
                deliverables.isReleased(id),
                deliverables.versions(deliverable.id()).stream()
                        .map(Version::createdAt)
                        .toList())) {
            throw Refused.changedMeanwhile(
                    "We have gone on from your decision already, so it cannot be taken back. Write to us if it was "
                            + "a mistake. Nothing was changed.");
        }
        undo.undo(viewer, deliverable, version, round, said);
        boolean dropped = toTeam.takeBack(DecideOnVersion.about(round.id(), viewer.contact(), said.at()));
        if (!dropped || said.batch() != null) {
            tellManager(viewer, deliverable, version, said);
        }
    }

    /** Where they were told of it already, or are about to be with others. */
    private void tellManager(Viewer viewer, Deliverable deliverable, Version version, Round.Said said) {
        String what = deliverable.name() + ", version " + version.number();
        Instant told = said.batch() == null ? Instant.EPOCH : said.at().plus(TakingBack.WITHIN);
        toTeam.onceCertain(
                viewer.project(),
                toTeam.letter(
                        "Taken back: " + what,
                        List.of(viewer.name() + " took back what was decided on " + what
                                + " a few minutes ago. The round is open, and it is their turn again."),
                        new WriteToTeam.Leads("See " + deliverable.name(), "/t/deliverables/" + deliverable.id())),
                UUID.randomUUID(),
                told);
    }
}
