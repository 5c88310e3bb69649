package app.clearpane.usecases.seats;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.PeopleActs;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatWish;
import app.clearpane.store.exposure.SeatWishes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes in whom a lead voice wishes to have at their pane, and gives them the seat or says why not. */
@Component
public class WishSeat {
    private static final int MOST_OPEN = 20;
    private final SeatWishes wishes;
    private final Seats seats;
    private final Panes panes;
    private final WriteToTeam toTeam;
    private final AuditLog audit;
    private final Clock clock;

    WishSeat(SeatWishes wishes, Seats seats, Panes panes, WriteToTeam toTeam, AuditLog audit, Clock clock) {
        this.wishes = wishes;
        this.seats = seats;
        this.panes = panes;
        this.toTeam = toTeam;
        this.audit = audit;
        this.clock = clock;
    }

    /** Somebody as typed. @param role what they shall do: one of {@link SeatRole} */
    public record Typed(String name, String email, String occupation, String role) {}

    /** Keeps the wish, and tells the manager. @throws Refused if they have a seat there, or are named already */
    @Transactional
    public void name(Viewer viewer, Typed typed, Actor by) {
        if (!viewer.leadVoice() || !viewer.mayAct()) {
            throw new NotFound();
        }
        keep(viewer, typed, Optional.empty(), by);
    }

    /**
     * Keeps the wish of somebody who is asked for something and passes it on: with the seat, their colleague is asked
     * too. @throws Refused if the colleague has a seat there, or is named already
     */
    @Transactional
    public void nameForRequest(Viewer viewer, RequestId request, Typed typed) {
        keep(viewer, typed, Optional.of(request), viewer.actor());
    }

    private void keep(Viewer viewer, Typed typed, Optional<RequestId> request, Actor by) {
        Input input = new Input();
        Optional<Name> name = input.name("The name", typed.name());
        Optional<EmailAddress> email = input.email("The mail address", typed.email());
        String occupation =
                input.text("What they do", typed.occupation(), Name.LONGEST).strip();
        Optional<SeatRole> role = input.one("What they shall do", typed.role(), SeatRole::valueOf);
        input.allGood();
        String address = email.orElseThrow().value();
        Panes.Row pane = NotFound.unless(panes.find(viewer.pane()));
        if (seats.ofPane(pane.id()).stream()
                .anyMatch(
                        seat -> seat.state() != SeatState.ENDED && seat.email().equalsIgnoreCase(address))) {
            throw Refused.because(address + " sees this page already. Nothing was changed.");
        }
        List<SeatWish> open = wishes.open(pane.project());
        if (open.stream()
                .anyMatch(wish -> wish.pane().equals(pane.id()) && wish.email().equalsIgnoreCase(address))) {
            throw Refused.because("You named " + address + " already; we have not answered yet. Nothing was changed.");
        }
        if (open.size() >= MOST_OPEN) {
            throw Refused.because("There are " + MOST_OPEN
                    + " people named that we have not answered yet. Wait for our answer, or write to us.");
        }
        SeatWish wish = new SeatWish(
                UUID.randomUUID(),
                pane.id(),
                viewer.contact(),
                viewer.name(),
                name.orElseThrow().value(),
                address,
                occupation,
                role.orElseThrow(),
                clock.instant(),
                null,
                null,
                "",
                request.orElse(null));
        wishes.add(wish);
        audit.append(
                pane.project(),
                pane.id().value(),
                new PeopleActs.SeatWished(
                        Act.SEAT_WISHED, by, pane.name(), wish.name(), wish.email(), role.orElseThrow()));
        toTeam.tell(
                pane.project(),
                viewer.name() + " names somebody: " + wish.name(),
                List.of(
                        viewer.name() + " would like " + wish.name() + " (" + address
                                + (occupation.isEmpty() ? "" : ", " + occupation) + ") to have a seat at “"
                                + pane.name() + "”, as "
                                + inWords(role.orElseThrow()) + ".",
                        "Nothing is shown to them until you give it."),
                new WriteToTeam.Leads("Give the seat, or answer", "/t/projects/" + pane.project() + "/people#wishes"));
    }

    private static String inWords(SeatRole role) {
        return role.name().toLowerCase(Locale.ROOT);
    }
}
