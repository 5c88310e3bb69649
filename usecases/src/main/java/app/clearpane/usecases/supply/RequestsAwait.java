package app.clearpane.usecases.supply;

import app.clearpane.core.supply.Request;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.reminders.AwaitsSomebody;
import java.time.Clock;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Requests that are to be supplied. */
@Component
class RequestsAwait implements AwaitsSomebody {
    private final Requests requests;
    private final Seats seats;
    private final Clock clock;

    RequestsAwait(Requests requests, Seats seats, Clock clock) {
        this.requests = requests;
        this.seats = seats;
        this.clock = clock;
    }

    @Override
    public List<Thing> now() {
        return requests.underWay().stream()
                .filter(request -> request.turn() == Turn.CLIENTS)
                .flatMap(this::things)
                .toList();
    }

    private Stream<Thing> things(Request request) {
        Request.Sent sent = request.sent().orElseThrow();
        return request.asked().stream()
                .flatMap(one -> seats
                        .paneThatOpens(request.project(), one.contact(), clock.instant())
                        .map(pane -> new Thing(
                                request.id().value(),
                                request.project(),
                                one.contact(),
                                "Send “" + request.title() + "”",
                                sent.due(),
                                sent.heldSince(),
                                "/c/panes/" + pane + "/requests/" + request.id()))
                        .stream());
    }

    @Override
    public boolean reaches(Thing thing) {
        return seats.paneThatOpens(thing.project(), thing.contact(), clock.instant())
                .isPresent();
    }
}
