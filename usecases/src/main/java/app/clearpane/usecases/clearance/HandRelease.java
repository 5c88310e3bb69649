package app.clearpane.usecases.clearance;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Hands a release to somebody outside: a link of their own. */
@Component
public class HandRelease {
    private static final Duration GOOD_FOR = Duration.ofDays(30);
    private final Releases releases;
    private final Deliverables deliverables;
    private final People people;
    private final LinkKeys keys;
    private final WriteOfRelease write;
    private final AuditLog audit;
    private final TheAgency agency;

    HandRelease(
            Releases releases,
            Deliverables deliverables,
            People people,
            LinkKeys keys,
            WriteOfRelease write,
            AuditLog audit,
            TheAgency agency) {
        this.releases = releases;
        this.deliverables = deliverables;
        this.people = people;
        this.keys = keys;
        this.write = write;
        this.audit = audit;
        this.agency = agency;
    }

    /**
     * Mails somebody their link. @param typedName may be blank where their address is known here @return the
     * deliverable it is of
     */
    @Transactional
    public ItemId hand(UUID id, String typedName, String typedEmail, Actor by) {
        Input input = new Input();
        Optional<EmailAddress> email = input.email("Their mail address", typedEmail);
        Optional<Name> known = typedName.isBlank()
                ? email.flatMap(people::contactAt).map(contact -> new Name(contact.name()))
                : Optional.empty();
        Optional<Name> name = known.isPresent() ? known : input.name("Their name", typedName);
        input.allGood();
        Releases.Release release = NotFound.unless(releases.find(id));
        if (!release.stands()) {
            throw Refused.changedMeanwhile("This release was recalled, so it is handed to nobody. Nothing was sent.");
        }
        Deliverable deliverable = deliverables.find(release.deliverable()).orElseThrow();
        Version version = deliverables.version(release.version()).orElseThrow();
        Instant now = agency.now();
        LinkKeys.Loose key = keys.loose();
        Releases.Recipient recipient = new Releases.Recipient(
                UUID.randomUUID(),
                id,
                name.orElseThrow().value(),
                email.orElseThrow().value(),
                now.plus(GOOD_FOR),
                now,
                0,
                null,
                List.of());
        releases.add(recipient, key.hash());
        audit.append(
                deliverable.project(),
                deliverable.id().value(),
                new VersionActs.ReleaseHanded(
                        by, deliverable.name(), id.toString(), recipient.name(), recipient.email()));
        write.write(recipient, deliverable, version, key.address());
        return release.deliverable();
    }
}
