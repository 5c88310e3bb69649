package app.clearpane.usecases.clearance;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.TheAgency;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Hands a release to people outside: each gets a link of their own for exactly these files, which ends and counts. */
@Component
public class Recipients {
    private final Releases releases;
    private final Deliverables deliverables;
    private final TheAgency agency;
    private final AuditLog audit;

    Recipients(Releases releases, Deliverables deliverables, TheAgency agency, AuditLog audit) {
        this.releases = releases;
        this.deliverables = deliverables;
        this.agency = agency;
        this.audit = audit;
    }

    /** What a link leads to. @param release its files are given out only while it stands */
    public record Given(
            Releases.Recipient recipient,
            Releases.Release release,
            Deliverable deliverable,
            Version version,
            boolean open) {}

    /** What the link with this key leads to; empty if there is no such link. */
    public Optional<Given> findByKey(String key) {
        return releases.recipient(Sha256.ofText(key)).map(recipient -> {
            Releases.Release release = releases.find(recipient.release()).orElseThrow();
            return new Given(
                    recipient,
                    release,
                    deliverables.find(release.deliverable()).orElseThrow(),
                    deliverables.version(release.version()).orElseThrow(),
                    release.stands() && agency.now().isBefore(recipient.expiresAt()));
        });
    }

    /**
     * Counts that all of something was handed out to somebody, and writes it down once a day. @param bytes how many
     * that were
     */
    @Transactional
    public void delivered(Given given, String what, long bytes) {
        if (!releases.delivered(given.recipient().id(), agency.today(), what, bytes, agency.now())) {
            return;
        }
        audit.append(
                given.deliverable().project(),
                given.deliverable().id().value(),
                new VersionActs.ReleaseFetched(
                        new Actor.Guest(
                                new SeatId(given.recipient().id()),
                                given.deliverable().name(),
                                given.recipient().name()),
                        given.deliverable().name(),
                        given.release().id().toString(),
                        what,
                        bytes));
    }
}
