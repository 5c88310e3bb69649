package app.clearpane.usecases.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.signoff.Attempt;
import app.clearpane.core.signoff.CountMarks;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.markup.Clashes;
import app.clearpane.usecases.markup.SigningFor;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.SignedName;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Weighs a decision before it is taken: whether it may stand (R2), and whether it costs a round beyond those included
 * (R1). Writes nothing.
 */
@Component
public class WeighDecision {
    private static final int LONGEST_SENTENCE = 2_000;
    private final VisibleDeliverables visible;
    private final Deliverables deliverables;
    private final Markups markups;
    private final Clashes clashes;
    private final SigningFor signing;

    WeighDecision(
            VisibleDeliverables visible,
            Deliverables deliverables,
            Markups markups,
            Clashes clashes,
            SigningFor signing) {
        this.visible = visible;
        this.deliverables = deliverables;
        this.markups = markups;
        this.clashes = clashes;
        this.signing = signing;
    }

    /**
     * A decision that may stand.
     *
     * @param signer the signatory whose decision it is, whoever makes it
     * @param sentence their words, tidied
     * @param marks those on the deciding pane that clients see
     * @param accepts rounds that are accepted with it
     */
    record Ready(
            Deliverable deliverable,
            Version version,
            Round round,
            ContactId signer,
            DecisionForm form,
            String sentence,
            List<Mark> marks,
            RoundState.Answer.Taken taken,
            List<Integer> accepts) {
        /** The signatory's name. */
        String signerName() {
            return round.signatories().stream()
                    .filter(one -> one.contact().equals(signer))
                    .map(Round.Signatory::name)
                    .findFirst()
                    .orElseThrow();
        }
    }

    /**
     * Weighs it; the deliverable stays locked until the caller's transaction ends, which goes on if this
     * refuses. @throws Refused with what stands in the way
     */
    public Ready weigh(Viewer viewer, VersionId id, DecisionForm form) {
        Version version = NotFound.unless(visible.version(viewer, id));
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        deliverables.lock(deliverable.id());
        Round round = NotFound.unless(deliverables.round(id));
        String sentence = checked(form);
        List<Mark> marks = seen(deliverable);
        ContactId signer = signing.signer(viewer, round);
        RoundState.Answer answer = state(viewer.contact(), signer, version, round, deliverable, marks)
                .answer(new Attempt(signer, form.decision(), form.sha256(), sentence));
        if (answer instanceof RoundState.Answer.Refused refused) {
            throw Refusals.of(refused.why(), deliverable.name(), round);
        }
        if (form.decision().signs()) {
            SignedName.check(form.typedName(), viewer.name(), form.isSure());
        }
        List<Integer> extra = toAccept(deliverable, round, form.decision());
        if (!extra.isEmpty() && !form.accepts()) {
            throw Refused.because(deliverable.allowance().inWords(extra)
                    + " Tick that you accept it, or ask us first. What you typed is still here.");
        }
        return new Ready(
                deliverable, version, round, signer, form, sentence, marks, (RoundState.Answer.Taken) answer, extra);
    }

    /**
     * The marks that whoever decides sees: those on a version that was recalled are gone for them, and hold up nothing.
     */
    private List<Mark> seen(Deliverable deliverable) {
        Set<VersionId> recalled = deliverables.rounds(deliverable.id()).stream()
                .filter(round -> round.soFar() == Outcome.RECALLED)
                .map(Round::version)
                .collect(Collectors.toSet());
        return markups.marksOf(deliverable.id()).stream()
                .filter(m -> m.pane().equals(deliverable.pane()) && !m.teamOnly())
                .filter(m -> !recalled.contains(m.version()))
                .toList();
    }

    /**
     * Weighs the yes of somebody who says nothing, on a deliverable that is locked; empty where it cannot stand, or
     * would cost what nobody accepted.
     */
    Optional<Ready> silence(Deliverable deliverable, Version version, Round round, ContactId signer) {
        List<Mark> marks = seen(deliverable);
        DecisionForm form = new DecisionForm(Decision.SIGN_OFF, version.sha256(), "", "", false);
        boolean costs = !toAccept(deliverable, round, form.decision()).isEmpty();
        return !costs
                        && state(signer, signer, version, round, deliverable, marks)
                                        .answer(new Attempt(signer, form.decision(), form.sha256(), ""))
                                instanceof RoundState.Answer.Taken taken
                ? Optional.of(new Ready(deliverable, version, round, signer, form, "", marks, taken, List.of()))
                : Optional.empty();
    }

    private static String checked(DecisionForm form) {
        Input input = new Input();
        String sentence = input.text("Your words", form.sentence(), LONGEST_SENTENCE);
        input.require(
                form.decision().signs() || form.typedName().length() <= Name.LONGEST,
                "Your name may have " + Name.LONGEST + " characters.");
        input.allGood();
        return sentence;
    }

    private RoundState state(
            ContactId decider,
            ContactId signer,
            Version version,
            Round round,
            Deliverable deliverable,
            List<Mark> marks) {
        List<Mark> changes =
                marks.stream().filter(m -> m.intent() == Intent.CHANGE).toList();
        Version current = deliverables.versions(version.deliverable()).stream()
                .filter(v -> !v.draft())
                .reduce((earlier, later) ->
                        Objects.requireNonNull(later.number()) > Objects.requireNonNull(earlier.number())
                                ? later
                                : earlier)
                .orElseThrow();
        return new RoundState(
                current.id().equals(version.id()) ? version.sha256() : Sha256.ofText("replaced:" + current.sha256()),
                !round.open(),
                round.panel(),
                round.decisions(),
                CountMarks.forClients(marks, deliverable.pane(), List.of(round)).blocking(),
                (int) changes.stream()
                        .filter(m -> (m.isOf(decider) || m.isOf(signer)) && m.progress() != MarkupProgress.WITHDRAWN)
                        .count(),
                clashes.openOn(version, deliverable.pane(), marks).size());
    }

    /**
     * Rounds beyond those included that nobody accepted yet: the one under way, and the one that sending back would
     * begin.
     */
    public static List<Integer> toAccept(Deliverable deliverable, Round round, Decision decision) {
        return deliverable.toAccept(round.number() + (decision == Decision.SEND_BACK ? 1 : 0));
    }
}
