package app.clearpane.usecases.signoff;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.StandIn;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.StandIns;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.reminders.AwaitsSomebody;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Versions that somebody is asked to sign; where a signatory is away, they wait for whoever stands in. */
@Component
class SignOffsAwait implements AwaitsSomebody {
    private final Deliverables deliverables;
    private final StandIns standIns;
    private final Seats seats;
    private final TheAgency agency;
    private final Clock clock;

    SignOffsAwait(Deliverables deliverables, StandIns standIns, Seats seats, TheAgency agency, Clock clock) {
        this.deliverables = deliverables;
        this.standIns = standIns;
        this.seats = seats;
        this.agency = agency;
        this.clock = clock;
    }

    @Override
    public List<Thing> now() {
        Map<ItemId, Deliverable> byId = deliverables.ofActiveProjects().stream()
                .collect(Collectors.toMap(Deliverable::id, Function.identity()));
        Map<?, Version> versions = deliverables.versionsOfActiveProjects().stream()
                .collect(Collectors.toMap(Version::id, Function.identity()));
        Map<Object, List<StandIn>> away = new HashMap<>();
        return deliverables.roundsOfActiveProjects().stream()
                .filter(Round::open)
                .flatMap(round -> Optional.ofNullable(versions.get(round.version()))
                        .filter(version -> byId.containsKey(version.deliverable()))
                        .stream()
                        .flatMap(version -> things(
                                round,
                                version,
                                Objects.requireNonNull(byId.get(version.deliverable())),
                                away.computeIfAbsent(
                                        Objects.requireNonNull(byId.get(version.deliverable()))
                                                .project(),
                                        project ->
                                                standIns
                                                        .ofProject(byId.get(version.deliverable())
                                                                .project())
                                                        .stream()
                                                        .map(StandIns.Row::standIn)
                                                        .toList()))))
                .toList();
    }

    private Stream<Thing> things(Round round, Version version, Deliverable deliverable, List<StandIn> away) {
        return round.askedNow().stream()
                .map(contact -> new Thing(
                        deliverable.id().value(),
                        deliverable.project(),
                        StandIn.deciding(contact, agency.today(), away),
                        "Sign off " + deliverable.name() + ", " + version.called(),
                        round.dueAt(),
                        since(round),
                        "/c/panes/" + deliverable.pane() + "/versions/" + version.id()));
    }

    /** In order, it is theirs since the one before them decided. */
    private static Instant since(Round round) {
        return round.rule() instanceof Rule.InOrder
                ? round.said().stream().map(Round.Said::at).reduce(round.sentAt(), (earlier, later) -> later)
                : round.sentAt();
    }

    @Override
    public boolean reaches(Thing thing) {
        return deliverables
                        .find(new ItemId(thing.about()))
                        .flatMap(deliverable -> seats.seatOf(deliverable.pane(), thing.contact()))
                        .filter((SeatRow seat) -> seat.state() != SeatState.ENDED)
                        .isPresent()
                && seats.paneThatOpens(thing.project(), thing.contact(), clock.instant())
                        .isPresent();
    }
}
