package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Due;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends a draft for review: it gets its number, a round opens, and everybody concerned gets a mail with a link. */
@Component
public class SendVersion {
    private final Deliverables deliverables;
    private final Readers readers;
    private final AuditLog audit;
    private final OpenRound openRound;
    private final WriteOfVersion write;

    SendVersion(Deliverables deliverables, Readers readers, AuditLog audit, OpenRound openRound, WriteOfVersion write) {
        this.write = write;
        this.openRound = openRound;
        this.deliverables = deliverables;
        this.readers = readers;
        this.audit = audit;
    }

    /**
     * Sends it, to be decided on within the working days that its reviews have. @throws Refused if something stands in
     * the way
     */
    @Transactional
    public Round send(VersionId id, Actor by) {
        return send(id, Due.NONE, by);
    }

    /**
     * Sends it. @param chosen by when it is to be decided on, where that is not as usual @throws Refused if something
     * stands in the way
     */
    @Transactional
    public Round send(VersionId id, Due chosen, Actor by) {
        Version draft = NotFound.unless(deliverables.version(id));
        Deliverable deliverable = NotFound.unless(deliverables.find(draft.deliverable()));
        deliverables.lock(deliverable.id());
        refuseUnlessNewest(draft);
        Readers.Audience audience = readers.audienceOf(deliverable, deliverables.rounds(deliverable.id()));
        if (!audience.obstacles().isEmpty()) {
            throw Refused.because(audience.obstacles());
        }
        List<Version> sent = deliverables.versions(deliverable.id()).stream()
                .filter(v -> !v.draft())
                .toList();
        int number = sent.size() + 1;
        Round round = openRound.open(draft, sent, audience.signatories(), chosen, by);
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new VersionActs.VersionSent(
                        by,
                        deliverable.name(),
                        number,
                        draft.sha256(),
                        round.number(),
                        round.dueAt(),
                        round.signatories().stream().map(Round.Signatory::name).toList(),
                        audience.others().stream().map(SeatRow::name).toList()));
        Stream.concat(audience.signatories().stream(), audience.others().stream())
                .forEach(seat -> write.write(seat, deliverable, number, draft, round, round.sentAt()));
        return round;
    }

    private void refuseUnlessNewest(Version draft) {
        List<Version> all = deliverables.versions(draft.deliverable());
        Version fresh =
                all.stream().filter(v -> v.id().equals(draft.id())).findFirst().orElseThrow();
        if (!fresh.draft()) {
            throw Refused.changedMeanwhile(fresh.called() + " was sent already" + ". Nothing was sent twice.");
        }
        boolean newerSent = all.stream()
                .anyMatch(v -> !v.draft() && Objects.requireNonNull(v.sentAt()).isAfter(fresh.createdAt()));
        if (newerSent) {
            throw Refused.because(
                    "A later version was sent already, so this draft would be a step back. Upload it again if it "
                            + "is wanted after all.");
        }
    }
}
