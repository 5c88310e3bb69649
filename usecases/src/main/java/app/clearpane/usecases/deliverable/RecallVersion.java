package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.usecases.plan.ReviewsFollow;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Recalls a version that was sent by mistake, as long as its round is open: nobody outside sees it any more, and they
 * are told why.
 */
@Component
public class RecallVersion {
    private static final int LONGEST_REASON = 400;
    private final Deliverables deliverables;
    private final Readers readers;
    private final ReviewsFollow reviewsFollow;
    private final AuditLog audit;
    private final TheAgency agency;
    private final WriteToContact toContact;

    RecallVersion(
            Deliverables deliverables,
            Readers readers,
            ReviewsFollow reviewsFollow,
            AuditLog audit,
            TheAgency agency,
            WriteToContact toContact) {
        this.toContact = toContact;
        this.deliverables = deliverables;
        this.readers = readers;
        this.reviewsFollow = reviewsFollow;
        this.audit = audit;
        this.agency = agency;
    }

    /** Recalls it. @return what it is a version of @throws Refused without a reason, and once its round is closed */
    @Transactional
    public Deliverable recall(VersionId id, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST_REASON);
        input.require(!why.isEmpty(), "Say why it is recalled: they are told, and it stands in the Record.");
        input.allGood();
        Version version = NotFound.unless(deliverables.version(id));
        Deliverable deliverable = NotFound.unless(deliverables.find(version.deliverable()));
        deliverables.lock(deliverable.id());
        Round round = NotFound.unless(deliverables.round(id));
        if (!round.open()) {
            throw Refused.changedMeanwhile("The round of " + version.called()
                    + " is closed already, so it cannot be recalled. Nothing was changed; send another "
                    + "version instead.");
        }
        Readers.Audience told = readers.audienceOf(deliverable, deliverables.rounds(deliverable.id()));
        deliverables.close(round.id(), Outcome.RECALLED, by, why, agency.now());
        reviewsFollow.recalled(deliverable.project(), deliverable.id(), by);
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new VersionActs.VersionRecalled(
                        by, deliverable.name(), Objects.requireNonNull(version.number()), version.sha256(), why));
        Stream.concat(told.signatories().stream(), told.others().stream())
                .forEach(seat -> write(seat, deliverable, version, why));
        return deliverable;
    }

    private void write(SeatRow seat, Deliverable deliverable, Version version, String why) {
        String what = deliverable.name() + ", " + version.called();
        toContact.write(
                seat.contact(),
                new WriteToContact.Note(
                        "Recalled: " + what,
                        List.of(
                                what + " was sent to you by mistake and cannot be looked at any more: “" + why + "”.",
                                "There is nothing for you to do. Another version follows."),
                        "Open the project",
                        "/c/panes/" + deliverable.pane()));
    }
}
