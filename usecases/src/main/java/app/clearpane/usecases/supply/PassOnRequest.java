package app.clearpane.usecases.supply;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.seats.SeatGiven;
import app.clearpane.usecases.seats.WishSeat;
import app.clearpane.usecases.shell.Input;
import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Passes a request on to a colleague. Whoever has a seat is asked at once; anybody else once the manager gives them
 * one, which is one press. Whoever speaks for their side is told.
 */
@Component
public class PassOnRequest {
    private final GivenFor givenFor;
    private final Requests requests;
    private final Seats seats;
    private final WishSeat wishSeat;
    private final AuditLog audit;
    private final WriteOfRequest write;

    PassOnRequest(
            GivenFor givenFor,
            Requests requests,
            Seats seats,
            WishSeat wishSeat,
            AuditLog audit,
            WriteOfRequest write) {
        this.givenFor = givenFor;
        this.requests = requests;
        this.seats = seats;
        this.wishSeat = wishSeat;
        this.audit = audit;
        this.write = write;
    }

    /** Passes it on. @throws app.clearpane.usecases.shell.Refused if the colleague is no person, or named already */
    @Transactional
    public void passOn(Viewer viewer, RequestId id, String name, String email) {
        Request request = givenFor.locked(viewer, id);
        Input input = new Input();
        Optional<Name> called = input.name("The name", name);
        Optional<EmailAddress> address = input.email("The mail address", email);
        input.allGood();
        String to = address.orElseThrow().value();
        List<SeatRow> here = seats.ofPane(viewer.pane()).stream()
                .filter(seat -> seat.state() != SeatState.ENDED)
                .toList();
        Optional<SeatRow> seated =
                here.stream().filter(seat -> seat.email().equalsIgnoreCase(to)).findFirst();
        if (seated.isPresent()) {
            requests.ask(id, seated.get().contact());
            write.asks(
                    request,
                    seated.get().contact(),
                    request.sent().orElseThrow().due());
        } else {
            wishSeat.nameForRequest(
                    viewer, id, new WishSeat.Typed(called.orElseThrow().value(), to, "", SeatRole.READER.name()));
        }
        String colleague = seated.map(SeatRow::name).orElse(called.orElseThrow().value());
        audit.append(
                request.project(),
                id.value(),
                new RequestActs.RequestPassedOn(viewer.actor(), request.title(), colleague));
        here.stream()
                .filter(seat -> seat.leadVoice() && !seat.contact().equals(viewer.contact()))
                .forEach(lead -> write.passedOn(request, lead.contact(), viewer.name(), colleague));
    }

    /** Whoever got a seat for a request is asked it. */
    @EventListener
    void seated(SeatGiven given) {
        Optional.ofNullable(given.wish().request())
                .flatMap(requests::find)
                .filter(request -> request.sent().isPresent() && !request.isDone())
                .ifPresent(request -> {
                    requests.ask(request.id(), given.contact());
                    write.asks(
                            request,
                            given.contact(),
                            request.sent().orElseThrow().due());
                });
    }
}
