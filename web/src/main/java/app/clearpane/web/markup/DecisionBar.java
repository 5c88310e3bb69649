package app.clearpane.web.markup;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.signoff.CountMarks;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.signoff.TakingBack;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.markup.SigningFor;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** The bar of a light table on which a version is decided. */
@Component
class DecisionBar {
    private final SigningFor signing;
    private final Deliverables terms;
    private final Clock clock;

    DecisionBar(SigningFor signing, Deliverables terms, Clock clock) {
        this.signing = signing;
        this.terms = terms;
        this.clock = clock;
    }

    /**
     * What stands in the decision bar.
     *
     * @param asked whether this viewer is asked to sign
     * @param mine what they said; empty if nothing yet
     * @param unsettled Change marks open or taken on: while there are any, nobody can sign
     * @param clashes how many nobody ruled on yet: while there are any, nobody can sign
     * @param fixed marks that their sign-off would confirm, by label
     * @param current whether this version is the newest they see
     * @param insteadOf the signatory for whom they decide, standing in; empty if they decide for themselves
     * @param whoSigns as a sentence without its end; empty unless their own pane decides
     * @param next who signs before them, in order; empty if nobody does
     * @param signingCosts what a round beyond those included costs, if it was not accepted yet
     * @param sendingBackCosts the same for the round that sending back begins
     * @param asking who else asks for a change that nobody can sign with; empty where only the viewer does
     * @param signer whose decision they would make
     * @param takeBackUntil until when they can take back what they said
     */
    public record Bar(
            Optional<Round> round,
            boolean asked,
            Optional<Round.Said> mine,
            int unsettled,
            int clashes,
            List<String> fixed,
            boolean current,
            boolean leadVoice,
            Optional<String> insteadOf,
            String whoSigns,
            Optional<String> next,
            Optional<String> signingCosts,
            Optional<String> sendingBackCosts,
            List<String> asking,
            ContactId signer,
            Optional<Instant> takeBackUntil) {
        /** Whether they are asked in a round that is open, now or once others have decided. */
        public boolean mayDecide() {
            return asked && current && round.filter(Round::open).isPresent();
        }

        /** Whether their decision is waited for now. */
        public boolean awaited() {
            return current
                    && round.filter(one -> one.askedNow().contains(signer)).isPresent();
        }

        /** Whether they may sign now. */
        public boolean maySign() {
            return mayDecide() && unsettled == 0 && clashes == 0 && next.isEmpty();
        }

        /** Whether they may close the round with what was said so far. */
        public boolean mayClose() {
            return leadVoice && mayDecide() && mine.isPresent();
        }
    }

    Bar lay(
            Viewer viewer,
            Version version,
            List<Version> versions,
            List<Mark> marks,
            Optional<Round> round,
            int clashes) {
        ContactId signer = round.map(r -> signing.signer(viewer, r)).orElse(viewer.contact());
        boolean asked = viewer.rest().isEmpty()
                && round.filter(r -> r.signatories().stream()
                                .anyMatch(s -> s.contact().equals(signer)))
                        .isPresent();
        boolean completes = asked
                && round.orElseThrow()
                        .panel()
                        .completedBy(signer, round.orElseThrow().decisions());
        Set<ContactId> both = new HashSet<>(List.of(viewer.contact(), signer));
        List<String> fixed = marks.stream()
                .filter(m -> m.told().confirmedBySigning(m.isOf(both), completes))
                .map(m -> m.label().toString())
                .toList();
        boolean current = versions.get(versions.size() - 1).id().equals(version.id());
        Optional<Deliverable> own = round.isEmpty()
                ? Optional.empty()
                : terms.find(version.deliverable())
                        .filter(deliverable -> deliverable.pane().equals(viewer.pane()));
        int number = round.map(Round::number).orElse(0);
        return new Bar(
                round,
                asked,
                round.flatMap(r -> r.saidBy(signer)),
                CountMarks.forClients(marks, viewer.pane(), round.stream().toList())
                        .blocking(),
                clashes,
                fixed,
                current,
                viewer.leadVoice(),
                round.filter(Round::open)
                        .flatMap(r -> signing.other(viewer, r))
                        .filter(s -> asked)
                        .map(Round.Signatory::name),
                own.isEmpty() ? "" : round.map(Round::whoSigns).orElse(""),
                round.flatMap(r -> r.panel()
                        .nextInOrder(r.decisions())
                        .filter(contact -> asked && !r.panel().isPlaceOf(signer, r.decisions()))
                        .flatMap(contact -> r.signatories().stream()
                                .filter(s -> s.contact().equals(contact))
                                .map(Round.Signatory::name)
                                .findFirst())),
                costs(own.filter(deliverable -> asked), number),
                costs(own.filter(deliverable -> asked), number + 1),
                marks.stream()
                        .filter(mark -> mark.blocksSigning() && !mark.isOf(both))
                        .map(mark -> mark.author().name())
                        .distinct()
                        .toList(),
                signer,
                !viewer.mayAct()
                        ? Optional.empty()
                        : round.flatMap(r -> r.mayTakeBackUntil(viewer.contact(), clock.instant())
                                .filter(until -> !isBuiltOn(version, r, viewer.contact()))));
    }

    /** Whether we have gone on from what somebody decided, so that it cannot be taken back. */
    private boolean isBuiltOn(Version version, Round round, ContactId contact) {
        return TakingBack.isBuiltOn(
                round.madeBy(contact).orElseThrow().at(),
                round.open(),
                terms.isReleased(version.id()),
                terms.versions(version.deliverable()).stream()
                        .map(Version::createdAt)
                        .toList());
    }

    private static Optional<String> costs(Optional<Deliverable> deliverable, int upTo) {
        return deliverable.flatMap(terms -> Optional.of(terms.toAccept(upTo))
                .filter(extra -> !extra.isEmpty())
                .map(terms.allowance()::inWords));
    }
}
