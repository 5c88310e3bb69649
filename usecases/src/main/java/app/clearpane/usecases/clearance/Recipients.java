package app.clearpane.usecases.clearance;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.store.agency.People;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Hands a release to people outside: each gets a link of their own for exactly these files, which ends and counts. */
@Component
public class Recipients {
    private static final Duration GOOD_FOR = Duration.ofDays(30);
    private final Releases releases;
    private final Deliverables deliverables;
    private final People people;
    private final LinkKeys keys;
    private final WriteMail mail;
    private final TheAgency agency;
    private final Words words;
    private final Lasting lasting;
    private final HouseSettings house;
    private final AuditLog audit;

    Recipients(
            Releases releases,
            Deliverables deliverables,
            People people,
            LinkKeys keys,
            WriteMail mail,
            TheAgency agency,
            Words words,
            Lasting lasting,
            HouseSettings house,
            AuditLog audit) {
        this.releases = releases;
        this.deliverables = deliverables;
        this.people = people;
        this.keys = keys;
        this.mail = mail;
        this.agency = agency;
        this.words = words;
        this.lasting = lasting;
        this.house = house;
        this.audit = audit;
    }

    /**
     * Mails somebody their link. @param typedName may be blank where their address is known here @return the
     * deliverable it is of
     */
    @Transactional
    public ItemId add(UUID id, String typedName, String typedEmail, Actor by) {
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
        mail.toOutside(
                recipient.name(),
                recipient.email(),
                new Letter(
                        "Released: " + deliverable.name() + ", " + version.called(),
                        List.of(
                                agency.get().name() + " has released " + deliverable.name() + ", " + version.called()
                                        + ", for you: " + version.fileName() + ", " + words.size(version.size()) + ".",
                                "The link is yours. It works until " + lasting.dayOf(recipient.expiresAt())
                                        + ", and we see how often it was used."),
                        "Get the file",
                        key.address().replace(house.address() + "/p/", house.address() + "/p/releases/"),
                        agency.get().name()));
        return release.deliverable();
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
