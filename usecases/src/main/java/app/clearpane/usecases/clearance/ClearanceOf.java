package app.clearpane.usecases.clearance;

import app.clearpane.core.clearance.Clearance;
import app.clearpane.core.clearance.Condition;
import app.clearpane.core.deliverable.ExtraRound;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.markup.Clashes;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** May this be released? Reads the facts and lets the core weigh them; the stored bytes are hashed anew each time. */
@Component
public class ClearanceOf {
    private final Vault vault;
    private final Clashes clashes;
    private final Checklists checklists;

    ClearanceOf(Vault vault, Clashes clashes, Checklists checklists) {
        this.clashes = clashes;
        this.vault = vault;
        this.checklists = checklists;
    }

    /**
     * How a deliverable stands before its release.
     *
     * @param lines of its checklist, with their ticks for the current version
     * @param waivers for the current version
     * @param notAgreed rounds beyond those included that cost extra and were not accepted
     */
    public record Sheet(
            DeliverableState state,
            Clearance clearance,
            List<Checklists.Line> lines,
            List<Checklists.Waiver> waivers,
            List<Integer> notAgreed) {
        /** Rounds beyond those included that were accepted. */
        public List<ExtraRound> extra() {
            return state.deliverable().extra();
        }

        /** The reason a condition was waived for; empty unless it was. */
        public Optional<Checklists.Waiver> waiver(Condition condition) {
            return waivers.stream()
                    .filter(waiver -> waiver.condition() == condition)
                    .findFirst();
        }

        /** How many lines are not ticked. */
        public int linesOpen() {
            return (int) lines.stream().filter(line -> !line.ticked()).count();
        }

        /** Whether it may be released now. */
        public boolean mayBeReleased() {
            return clearance.cleared() && state.release().isEmpty();
        }
    }

    public Sheet check(DeliverableState state) {
        return check(List.of(state)).get(0);
    }

    /** Those of several, in as many statements as for one. */
    public List<Sheet> check(List<DeliverableState> states) {
        List<ItemId> deliverables =
                states.stream().map(state -> state.deliverable().id()).toList();
        List<VersionId> versions = states.stream()
                .flatMap(state -> state.current().stream())
                .map(Version::id)
                .toList();
        List<Checklists.Line> lines = checklists.linesOf(deliverables, versions);
        List<Checklists.Waiver> waivers = checklists.waivers(versions);
        Set<Clash> ruled = clashes.ruledOn(deliverables);
        return states.stream()
                .map(state -> sheet(
                        state,
                        ruled,
                        lines.stream()
                                .filter(line -> line.deliverable()
                                        .equals(state.deliverable().id()))
                                .toList(),
                        waivers.stream()
                                .filter(waiver -> state.current()
                                        .filter(version -> version.id().equals(waiver.version()))
                                        .isPresent())
                                .toList()))
                .toList();
    }

    private Sheet sheet(
            DeliverableState state, Set<Clash> ruled, List<Checklists.Line> lines, List<Checklists.Waiver> waivers) {
        List<Integer> notAgreed =
                state.deliverable().toAccept(state.round().map(Round::number).orElse(0));
        Clearance clearance = Clearance.of(new Clearance.Facts(
                state.round().filter(r -> !r.open()).map(Round::soFar),
                state.asked().inTheWay(),
                state.current()
                        .map(version -> clashes.openOn(
                                        version, state.deliverable().pane(), state.marks(), () -> ruled)
                                .size())
                        .orElse(0),
                notAgreed.size(),
                (int) lines.stream().filter(line -> !line.ticked()).count(),
                state.current().filter(this::intact).isPresent(),
                waivers.stream().map(Checklists.Waiver::condition).collect(Collectors.toSet())));
        return new Sheet(state, clearance, lines, waivers, notAgreed);
    }

    private boolean intact(Version version) {
        try {
            return vault.isIntact(version.sha256());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
