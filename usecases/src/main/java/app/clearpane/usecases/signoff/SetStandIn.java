package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.core.signoff.StandIn;
import app.clearpane.store.deliverable.StandIns;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.markup.SigningFor;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says who decides in place of a signatory who is away. */
@Component
public class SetStandIn {
    private final StandIns standIns;
    private final Panes panes;
    private final Seats seats;
    private final SigningFor signing;
    private final AuditLog audit;
    private final Clock clock;

    SetStandIn(StandIns standIns, Panes panes, Seats seats, SigningFor signing, AuditLog audit, Clock clock) {
        this.standIns = standIns;
        this.panes = panes;
        this.seats = seats;
        this.signing = signing;
        this.audit = audit;
        this.clock = clock;
    }

    /** Days away, as they come from a page. */
    public record AwayForm(
            @Nullable String away,
            @Nullable String by,
            @Nullable String from,
            @Nullable String until) {}

    /** Everybody with a seat at one of a project's panes, by contact. */
    public Map<String, String> seated(ProjectId project) {
        Map<String, String> names = new LinkedHashMap<>();
        panes.ofProject(project).forEach(pane -> seats.ofPane(pane.id()).stream()
                .filter(seat -> seat.state() != SeatState.ENDED)
                .forEach((SeatRow seat) -> names.put(seat.contact().toString(), seat.name())));
        return names;
    }

    /** Those of a project that were not ended. */
    public List<StandIns.Row> ofProject(ProjectId project) {
        return standIns.ofProject(project);
    }

    /** Adds them. @throws Refused if that cannot be */
    @Transactional
    public void add(ProjectId project, AwayForm form, Actor by) {
        Map<String, String> names = seated(project);
        String away = Objects.requireNonNullElse(form.away(), "");
        String standsIn = Objects.requireNonNullElse(form.by(), "");
        Input input = new Input();
        Optional<LocalDate> from = input.day("The first day away", Objects.requireNonNullElse(form.from(), ""));
        Optional<LocalDate> until = input.day("The last day away", Objects.requireNonNullElse(form.until(), ""));
        input.require(
                names.containsKey(away) && names.containsKey(standsIn),
                "Choose who is away and who stands in; both need a seat at a pane of this project.");
        input.require(!away.equals(standsIn) || away.isEmpty(), "Nobody stands in for themselves.");
        input.require(
                from.isEmpty() || until.isEmpty() || !until.get().isBefore(from.get()),
                "The last day away is before the first.");
        input.allGood();
        StandIn wanted =
                new StandIn(ContactId.of(away), ContactId.of(standsIn), from.orElseThrow(), until.orElseThrow());
        List<StandIn> others =
                standIns.ofProject(project).stream().map(StandIns.Row::standIn).toList();
        if (!wanted.fits(others)) {
            throw Refused.because("On some of these days " + names.get(standsIn)
                    + " is away too, or somebody stands in for " + names.get(away) + " already, or " + names.get(away)
                    + " stands in for somebody. A stand-in has no stand-in. Nothing was changed.");
        }
        standIns.add(UUID.randomUUID(), project, wanted, by);
        signing.changed(project);
        audit.append(
                project,
                wanted.away().value(),
                new DecisionActs.StandInNamed(
                        by,
                        Objects.requireNonNull(names.get(away)),
                        Objects.requireNonNull(names.get(standsIn)),
                        wanted.from().toString(),
                        wanted.until().toString()));
    }

    /** Ends one. @return its project */
    @Transactional
    public ProjectId end(UUID id, Actor by) {
        StandIns.Row row = NotFound.unless(standIns.find(id));
        standIns.end(id, clock.instant());
        signing.changed(row.project());
        audit.append(
                row.project(), row.standIn().away().value(), new DecisionActs.StandInEnded(by, row.away(), row.by()));
        return row.project();
    }
}
