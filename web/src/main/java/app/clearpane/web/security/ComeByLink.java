package app.clearpane.web.security;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.security.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lets in whoever has a link with its own key: to look, or to mark up once they said who they are. */
@Component
class ComeByLink {
    private final LinkSeats links;
    private final Panes panes;
    private final Records records;
    private final ComeIn comeIn;
    private final PasswordEncoder passcodes;
    private final Limits limits;
    private final Clock clock;

    ComeByLink(
            LinkSeats links,
            Panes panes,
            Records records,
            ComeIn comeIn,
            PasswordEncoder passcodes,
            Limits limits,
            Clock clock) {
        this.links = links;
        this.panes = panes;
        this.records = records;
        this.comeIn = comeIn;
        this.passcodes = passcodes;
        this.limits = limits;
        this.clock = clock;
    }

    /** What they typed. */
    record Given(
            @Nullable String name,
            @Nullable String email,
            @Nullable String passcode) {
        static final Given NOTHING = new Given("", "", "");

        private String nameOrEmpty() {
            return Objects.requireNonNullElse(name, "").strip();
        }

        private String emailOrEmpty() {
            return Objects.requireNonNullElse(email, "").strip();
        }
    }

    /** The link with this key, if it opens anything. */
    Optional<LinkSeats.Link> findLink(String key) {
        return links.findByKey(Sha256.ofText(key)).filter(link -> link.opensAt(clock.instant()));
    }

    /** Lets them in. @return why not; empty if they are in */
    @Transactional
    String comeIn(
            String key, LinkSeats.Link link, Given given, HttpServletRequest request, HttpServletResponse response) {
        Optional<String> passcode = links.passcodeHash(link.id());
        if (passcode.isPresent()) {
            if (!limits.passcode(link.id().toString(), request.getRemoteAddr())) {
                return "The passcode was tried too often. Wait a minute, then try again.";
            }
            if (!passcodes.matches(Objects.requireNonNullElse(given.passcode(), ""), passcode.get())) {
                return "That is not the passcode. Ask whoever gave you the link.";
            }
        }
        String name = "";
        String address = "";
        if (link.mayMark()
                && !given.nameOrEmpty().isEmpty() | !given.emailOrEmpty().isEmpty()) {
            try {
                name = new Name(given.nameOrEmpty()).value();
                address = new EmailAddress(given.emailOrEmpty()).value();
            } catch (IllegalArgumentException incomplete) {
                return "To leave notes, give both your name and your mail address; or leave both empty, to look only.";
            }
        }
        UUID opening = links.opened(
                link.id(),
                new LinkSeats.Opening(
                        clock.instant(), name.isEmpty() ? null : name, address.isEmpty() ? null : address));
        Panes.Row pane = panes.find(link.pane()).orElseThrow();
        Person.ByLink guest = new Person.ByLink(
                link.id().value(), link.pane().value(), Sha256.ofText(key).hex(), name, link.name(), opening);
        records.append(
                pane.project().value(),
                pane.id().value(),
                RecordEntry.What.done(new PeopleActs.LinkOpened(guest.actor(), pane.name(), link.name(), address)),
                clock.instant());
        comeIn.signIn(SignedIn.as(guest), request, response);
        return "";
    }
}
