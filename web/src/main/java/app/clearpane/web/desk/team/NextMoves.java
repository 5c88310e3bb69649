package app.clearpane.web.desk.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.plan.PlannedTask;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Side;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.supply.HeldRequest;
import app.clearpane.core.supply.Request;
import app.clearpane.core.turns.NextMove;
import app.clearpane.core.turns.Turn;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What is to be done next over all projects, with what waiting costs (T3). */
@Component
class NextMoves {
    private final TheAgency agency;
    private final Words words;
    private final Clock clock;

    NextMoves(TheAgency agency, Words words, Clock clock) {
        this.agency = agency;
        this.words = words;
        this.clock = clock;
    }

    /**
     * One of them.
     *
     * @param address its page
     * @param todo what is to be done with it
     * @param cost what waiting costs; empty where it costs nothing that could be computed
     * @param chip who has it, and for how long
     * @param tone the colour of the chip
     * @param whose who of the team it is for; empty if nobody has it yet
     * @param byName whether it is addressed to people by name, so that nobody from outside reads of it
     */
    record Line(
            NextMove move,
            String name,
            String address,
            String todo,
            String cost,
            boolean presses,
            String chip,
            String tone,
            Turn turn,
            Project project,
            Set<TeamMemberId> whose,
            boolean byName) {
        /** Whether it is our turn. */
        public boolean ours() {
            return turn == Turn.OURS;
        }
    }

    /**
     * All of them in order, of works, tasks, papers and requests. @param addressed papers that wait for the client or
     * were declined, and requests that one side holds
     */
    List<Line> rank(
            List<DeliverableState> works,
            Map<ProjectId, ProjectPlan> plans,
            Map<ItemId, TurnLedger> ledgers,
            ReadAddressed.Addressed addressed) {
        List<Line> lines = new ArrayList<>();
        works.stream()
                .filter(state -> state.turn() != Turn.NOBODYS
                        && plans.containsKey(state.deliverable().project()))
                .forEach(state -> lines.add(work(
                        state,
                        Objects.requireNonNull(plans.get(state.deliverable().project())))));
        works.stream()
                .filter(state -> state.turn() == Turn.NOBODYS
                        && state.asked().later() > 0
                        && plans.containsKey(state.deliverable().project()))
                .forEach(state -> lines.add(afterwards(
                        state,
                        Objects.requireNonNull(plans.get(state.deliverable().project())))));
        plans.values().forEach(plan -> plan.open().stream()
                .filter(task -> task.details().follows().isEmpty())
                .filter(task -> ProjectPlan.isClientsTurn(task)
                        || task.task().side() == Side.OURS && plan.outline().mayBegin(task.id(), plan.today()))
                .forEach(task -> lines.add(task(task, plan, Objects.requireNonNull(ledgers.get(task.id()))))));
        addressed.requests().stream()
                .filter(request -> plans.containsKey(request.project()))
                .forEach(request -> lines.add(request(request, Objects.requireNonNull(plans.get(request.project())))));
        addressed.papers().stream()
                .filter(paper -> plans.containsKey(paper.project()))
                .forEach(paper -> lines.add(paper(paper, Objects.requireNonNull(plans.get(paper.project())))));
        lines.sort(Comparator.comparing(Line::move, NextMove.ORDER));
        return lines;
    }

    private Line task(PlannedTask task, ProjectPlan plan, TurnLedger ledger) {
        boolean client = ProjectPlan.isClientsTurn(task);
        double held = ledger == null ? 0 : agency.calendar().workingDaysHeld(ledger.heldSince(), clock.instant());
        boolean head = plan.forecast()
                .head()
                .filter(first -> first.id().equals(task.id()))
                .isPresent();
        Optional<Instant> due = task.details().by().until(agency.get().zone());
        NextMove move =
                new NextMove(task.id(), head, OptionalInt.of(plan.spare().getOrDefault(task.id(), 0)), due, held);
        boolean overdue =
                task.details().due().filter(day -> day.isBefore(plan.today())).isPresent();
        String when = due.map(until -> (overdue ? "was due " : "due ") + words.due(until))
                .orElse("");
        String who =
                task.hands().name().isEmpty() ? "" : words.first(task.hands().name());
        return new Line(
                move,
                task.name(),
                "/t/tasks/" + task.id(),
                when,
                cost(move, plan, task.id()),
                move.everyDayCounts(),
                (client ? who.isEmpty() ? "client" : who : who.isEmpty() ? "us" : who) + " · " + words.held(held),
                overdue ? "late" : client ? "client" : "ours",
                client ? Turn.CLIENTS : Turn.OURS,
                plan.project(),
                Stream.concat(
                                task.hands().member().stream(),
                                task.details().also().helpers().stream().map(PlannedTask.Helper::id))
                        .collect(Collectors.toSet()),
                false);
    }

    private Line request(HeldRequest request, ProjectPlan plan) {
        boolean client = request.turn() == Turn.CLIENTS;
        double held = request.sent()
                .map(sent -> agency.calendar().workingDaysHeld(sent.heldSince(), clock.instant()))
                .orElse(0.0);
        Optional<Instant> due = request.sent().map(Request.Sent::due);
        boolean late = request.isLate(clock.instant());
        String todo = request.sent().isEmpty()
                ? "a draft waits to be sent"
                : client
                        ? "to be supplied · " + (late ? "was due " : "due ") + words.when(due.orElseThrow())
                        : "something came; look at it";
        return new Line(
                new NextMove(
                        new ItemId(request.id().value()),
                        false,
                        OptionalInt.empty(),
                        client ? due : Optional.empty(),
                        held),
                request.title(),
                "/t/projects/" + request.project() + "/requests#r" + request.id(),
                todo,
                "",
                false,
                (late ? "late" : client ? "client" : "us") + " · " + words.held(held),
                late ? "late" : client ? "client" : "ours",
                request.turn(),
                plan.project(),
                Set.of(plan.project().manager()),
                true);
    }

    private Line paper(Paper paper, ProjectPlan plan) {
        if (paper.isBack()) {
            return declined(paper, plan);
        }
        double held = paper.sentAt()
                .map(sent -> agency.calendar().workingDaysHeld(sent, clock.instant()))
                .orElse(0.0);
        Optional<Instant> due = paper.due()
                .map(day -> day.plusDays(1).atStartOfDay(agency.get().zone()).toInstant());
        boolean overdue = paper.state(plan.today()) == PaperState.OVERDUE;
        String todo = (paper.kind().takesNames() ? "to be agreed" : "to be paid")
                + paper.due()
                        .map(day -> (overdue ? " · was due " : " · due ") + words.day(day))
                        .orElse("");
        return new Line(
                new NextMove(new ItemId(paper.id().value()), false, OptionalInt.empty(), due, held),
                paper.name(),
                "/t/projects/" + paper.project() + "/papers",
                todo,
                "",
                false,
                (overdue ? "late" : "client") + " · " + words.held(held),
                overdue ? "late" : "client",
                Turn.CLIENTS,
                plan.project(),
                Set.of(plan.project().manager()),
                true);
    }

    /** A paper that its recipients said no to: it is withdrawn, or another is sent. */
    private Line declined(Paper paper, ProjectPlan plan) {
        Paper.Recipient last = paper.recipients().stream()
                .filter(one -> one.declined().isPresent())
                .max(Comparator.comparing(one -> one.declined().orElseThrow().at()))
                .orElseThrow();
        double held =
                agency.calendar().workingDaysHeld(last.declined().orElseThrow().at(), clock.instant());
        return new Line(
                new NextMove(new ItemId(paper.id().value()), false, OptionalInt.empty(), Optional.empty(), held),
                paper.name(),
                "/t/projects/" + paper.project() + "/papers",
                words.first(last.name()) + " declined it: answer, or withdraw it",
                "",
                false,
                "declined · " + words.held(held),
                "late",
                Turn.OURS,
                plan.project(),
                Set.of(plan.project().manager()),
                true);
    }

    private String cost(NextMove move, ProjectPlan plan, ItemId of) {
        if (move.everyDayCounts()) {
            return "each working day moves "
                    + plan.milestones().stream()
                            .reduce((earlier, later) -> later)
                            .map(Milestone::name)
                            .map(name -> "“" + name + "”")
                            .orElse("the finish")
                    + " by one day";
        }
        return move.spareDays().isPresent() ? plan.room(of).inWords() : "";
    }

    private Line work(DeliverableState state, ProjectPlan plan) {
        ItemId id = state.deliverable().id();
        Optional<PlannedTask> review = plan.open().stream()
                .filter(task -> task.details().deliverable().filter(id::equals).isPresent())
                .findFirst();
        OptionalInt spare = review.map(task -> OptionalInt.of(plan.spare().getOrDefault(task.id(), 0)))
                .orElse(OptionalInt.empty());
        boolean head = review.filter(task -> plan.forecast()
                        .head()
                        .filter(first -> first.id().equals(task.id()))
                        .isPresent())
                .isPresent();
        Optional<Instant> due = state.round().filter(round -> round.open()).map(round -> round.dueAt());
        NextMove move = new NextMove(id, head, spare, due, state.daysHeld());
        boolean client = state.turn() == Turn.CLIENTS;
        String name = client
                ? state.deliverable().name() + ", "
                        + state.current().orElseThrow().called()
                : state.deliverable().name();
        String chip = client
                ? (state.overdue() ? "late" : "client")
                : switch (state.phase()) {
                    case CAME_BACK -> "came back";
                    case SIGNED -> "signed off";
                    default -> "us";
                };
        String tone = client
                ? state.overdue() ? "late" : "client"
                : switch (state.phase()) {
                    case CAME_BACK -> "late";
                    case SIGNED -> "sign";
                    default -> "ours";
                };
        return new Line(
                move,
                name,
                "/t/deliverables/" + id,
                todo(state),
                spare.isPresent() ? cost(move, plan, review.orElseThrow().id()) : "",
                move.everyDayCounts(),
                chip + " · " + words.held(state.daysHeld()),
                tone,
                state.turn(),
                plan.project(),
                Set.of(plan.project().manager()),
                false);
    }

    /** What was asked for once it was agreed, where nothing else of it is to be done. */
    private Line afterwards(DeliverableState state, ProjectPlan plan) {
        ItemId id = state.deliverable().id();
        return new Line(
                new NextMove(id, false, OptionalInt.empty(), Optional.empty(), 0),
                state.deliverable().name(),
                "/t/deliverables/" + id,
                later(state),
                "",
                false,
                "afterwards",
                "ours",
                Turn.OURS,
                plan.project(),
                Set.of(plan.project().manager()),
                false);
    }

    private String later(DeliverableState state) {
        return words.count(state.asked().later(), "thing was", "things were") + " asked for after it was signed";
    }

    private String todo(DeliverableState state) {
        Optional<Round> clashing = state.round()
                .filter(round ->
                        round.clashesWith(true) + round.clashesWith(false) > 0 && state.turn() != Turn.NOBODYS);
        if (clashing.isPresent()) {
            boolean client = clashing.get().clashesWith(true) > 0;
            String who = client
                    ? clashing.get().signatories().stream()
                            .filter(Round.Signatory::leadVoice)
                            .findFirst()
                            .map(seat -> words.first(seat.name()))
                            .orElse("the lead voice")
                    : "a manager";
            return words.count(clashing.get().clashesWith(client), "clash", "clashes") + " for " + who + " to settle";
        }
        return switch (state.phase()) {
            case CAME_BACK -> words.count(state.asked().toMake(), "change", "changes") + " to make";
            case SIGNED ->
                "signed off; see whether it may be released" + (state.asked().later() > 0 ? "; " + later(state) : "");
            case RECALLED ->
                state.draft().isPresent()
                        ? "a draft waits to be sent"
                        : state.current().orElseThrow().called() + " was recalled; make another";
            case NOBODY_LEFT -> "nobody is left to sign; name somebody";
            case WILL_GO_BACK ->
                "will go back; others may still decide · due "
                        + words.when(state.round().orElseThrow().dueAt());
            case WITH_CLIENT ->
                state.signed() + " of " + state.signatories() + " signed · due "
                        + words.when(state.round().orElseThrow().dueAt());
            default -> state.draft().isPresent() ? "a draft waits to be sent" : "to be made";
        };
    }
}
