package app.clearpane.usecases.clearance;

import app.clearpane.core.clearance.Clearance;
import app.clearpane.core.clearance.Condition;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.VersionActs;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Works on the conditions of a release: ticks the checklist, changes its lines, and waives what an owner may waive. */
@Component
public class Conditions {
    private static final int MOST_LINES = 100;
    private static final int LONGEST_LINE = 200;
    private static final int LONGEST_REASON = 1_000;
    private final States states;
    private final Deliverables deliverables;
    private final ClearanceOf clearance;
    private final Checklists checklists;
    private final AuditLog audit;
    private final Clock clock;

    Conditions(
            States states,
            Deliverables deliverables,
            ClearanceOf clearance,
            Checklists checklists,
            AuditLog audit,
            Clock clock) {
        this.states = states;
        this.deliverables = deliverables;
        this.clearance = clearance;
        this.checklists = checklists;
        this.audit = audit;
        this.clock = clock;
    }

    /** Ticks a line for the current version, or takes its tick away. */
    @Transactional
    public void tick(ItemId deliverable, UUID line, boolean ticked, Actor by) {
        DeliverableState state = states.inBrief(deliverable);
        VersionId version = state.current()
                .orElseThrow(() -> Refused.because(
                        "Nothing was sent yet, so there is nothing to look over. Send a version first."))
                .id();
        Checklists.Line found = NotFound.unless(checklists.linesOf(List.of(deliverable), List.of(version)).stream()
                .filter(one -> one.id().equals(line))
                .findFirst());
        if (ticked ? checklists.tick(line, version, by, clock.instant()) : checklists.untick(line, version)) {
            audit.append(
                    state.deliverable().project(),
                    deliverable.value(),
                    new VersionActs.ChecklistTurned(
                            ticked ? Act.CHECKLIST_TICKED : Act.CHECKLIST_UNTICKED,
                            by,
                            state.deliverable().name(),
                            found.words(),
                            Objects.requireNonNull(state.current().orElseThrow().number())));
        }
    }

    /** Changes the lines of a checklist. */
    @Transactional
    public void lines(ItemId deliverable, String typed, Actor by) {
        List<String> lines = lines(typed);
        DeliverableState state = states.inBrief(deliverable);
        deliverables.lock(deliverable);
        checklists.set(deliverable, lines);
        audit.append(
                state.deliverable().project(),
                deliverable.value(),
                new VersionActs.ChecklistChanged(by, state.deliverable().name(), lines));
    }

    /**
     * The lines that were typed: each once, without empty ones. @throws Refused if there are too many or one is too
     * long
     */
    static List<String> lines(String typed) {
        Input input = new Input();
        Set<String> lines = new LinkedHashSet<>();
        typed.lines()
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .limit(MOST_LINES + 1L)
                .forEach(line -> lines.add(input.text("A line of the checklist", line, LONGEST_LINE)));
        input.require(
                lines.size() <= MOST_LINES,
                "A checklist may have " + MOST_LINES + " lines. Nothing was changed; put some together.");
        input.allGood();
        return List.copyOf(lines);
    }

    /** Waives one condition for the current version. */
    @Transactional
    public void waive(ItemId deliverable, Condition condition, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST_REASON);
        input.require(!why.isEmpty(), "Give the reason; it stands in the Record and on the certificate.");
        input.require(
                condition.mayBeWaived(),
                "What nobody signed, or is not the file that was signed, is never released. This cannot be waived.");
        input.allGood();
        deliverables.lock(deliverable);
        DeliverableState state = states.statesOf(deliverable);
        if (clearance.check(state).clearance().findings().stream()
                .noneMatch(finding ->
                        finding.condition() == condition && finding.standing() == Clearance.Standing.NOT_MET)) {
            throw Refused.changedMeanwhile("This condition is met or waived already. Nothing was changed.");
        }
        VersionId version = state.current()
                .orElseThrow(() -> Refused.because("Nothing was sent yet, so there is nothing to waive."))
                .id();
        checklists.waive(new Checklists.Waiver(version, condition, why, by, clock.instant()));
        audit.append(
                state.deliverable().project(),
                deliverable.value(),
                new VersionActs.ConditionWaived(
                        by,
                        state.deliverable().name(),
                        condition.name(),
                        why,
                        Objects.requireNonNull(state.current().orElseThrow().number())));
    }
}
