package app.clearpane.usecases.exposure;

import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.files.Seal;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes links for whoever has them, gives them other keys, and takes them back at once. */
@Component
public class MakeLink {
    private static final int SHORTEST_PASSCODE = 6;
    private static final int LONGEST_PASSCODE = 60;
    private final LinkSeats links;
    private final Panes panes;
    private final LinkKeys keys;
    private final PasswordEncoder passcodes;
    private final Seal seal;
    private final TheAgency agency;
    private final AuditLog audit;

    MakeLink(
            LinkSeats links,
            Panes panes,
            LinkKeys keys,
            PasswordEncoder passcodes,
            Seal seal,
            TheAgency agency,
            AuditLog audit) {
        this.links = links;
        this.panes = panes;
        this.keys = keys;
        this.passcodes = passcodes;
        this.seal = seal;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * A link as typed; a box that is not ticked does not come, an empty passcode asks for none, an empty last day lets
     * it open as long as the pane is open.
     */
    public record Form(String name, @Nullable Boolean mayMark, String passcode, String lastDay) {
        boolean marks() {
            return Boolean.TRUE.equals(mayMark);
        }
    }

    /** A link with its address. */
    public record Made(SeatId link, String address) {}

    /** Makes one. */
    @Transactional
    public Made make(PaneId paneId, Form form, Actor by) {
        Panes.Row pane = NotFound.unless(panes.find(paneId));
        Input input = new Input();
        Optional<Name> named = input.name("The link", form.name());
        Optional<LocalDate> lastDay =
                form.lastDay().isBlank() ? Optional.empty() : input.day("The last day", form.lastDay());
        input.require(lastDay.isEmpty() || !lastDay.get().isBefore(agency.today()), "The last day is past already.");
        input.require(
                form.passcode().isEmpty()
                        || form.passcode().length() >= SHORTEST_PASSCODE
                                && form.passcode().length() <= LONGEST_PASSCODE,
                "A passcode has " + SHORTEST_PASSCODE + " to " + LONGEST_PASSCODE + " characters.");
        input.allGood();
        LinkKeys.Loose key = keys.loose();
        Instant now = agency.now();
        SeatId link = links.add(
                new LinkSeats.Link(
                        new SeatId(UUID.randomUUID()),
                        paneId,
                        named.orElseThrow().value(),
                        form.marks(),
                        !form.passcode().isEmpty(),
                        lastDay.map(day -> day.plusDays(1)
                                        .atStartOfDay(agency.get().zone())
                                        .toInstant())
                                .orElse(null),
                        null,
                        by,
                        now,
                        0,
                        null),
                key.hash(),
                form.passcode().isEmpty() ? null : passcodes.encode(form.passcode()));
        links.sealAddress(link, seal.close(key.address(), LinkSeats.purpose(link)));
        audit.append(
                pane.project(),
                paneId.value(),
                new PeopleActs.LinkMade(
                        by,
                        pane.name(),
                        named.orElseThrow().value(),
                        form.marks(),
                        form.passcode().isEmpty() ? "none" : "asked for",
                        form.lastDay()));
        return new Made(link, key.address());
    }

    /** Gives it another key; whoever has the one before is out. */
    @Transactional
    public Made renew(SeatId id, Actor by) {
        LinkSeats.Link link = NotFound.unless(links.find(id));
        LinkKeys.Loose key = keys.loose();
        links.renew(id, key.hash());
        links.sealAddress(id, seal.close(key.address(), LinkSeats.purpose(id)));
        happened(Act.LINK_RENEWED, link, by);
        return new Made(id, key.address());
    }

    /**
     * The address again, for a manager; that it was looked at is recorded. @throws Refused if it was made before
     * addresses were kept
     */
    @Transactional
    public Made show(SeatId id, Actor by) {
        LinkSeats.Link link = NotFound.unless(links.find(id));
        String address = links.sealedAddress(id)
                .flatMap(kept -> seal.open(kept, LinkSeats.purpose(id)))
                .orElseThrow(() -> Refused.because(
                        "The address of this link was not kept. Give it another key to have one; whoever "
                                + "has the one before is out then. Nothing was changed."));
        happened(Act.LINK_SHOWN, link, by);
        return new Made(id, address);
    }

    /** Takes it back: whoever came by it is out with the next byte. */
    @Transactional
    public ProjectId revoke(SeatId id, Actor by) {
        LinkSeats.Link link = NotFound.unless(links.find(id));
        links.revoke(id, agency.now());
        return happened(Act.LINK_REVOKED, link, by);
    }

    private ProjectId happened(Act act, LinkSeats.Link link, Actor by) {
        Panes.Row pane = panes.find(link.pane()).orElseThrow();
        audit.append(pane.project(), pane.id().value(), new PeopleActs.LinkTurned(act, by, pane.name(), link.name()));
        return pane.project();
    }
}
