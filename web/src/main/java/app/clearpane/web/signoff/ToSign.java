package app.clearpane.web.signoff;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.AskedFor;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.signoff.CountMarks;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.usecases.markup.Clashes;
import app.clearpane.usecases.markup.SigningFor;
import app.clearpane.usecases.signoff.DecisionWords;
import app.clearpane.usecases.signoff.WeighDecision;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** All that awaits somebody's signature at a pane, on one sheet. */
@Component
public class ToSign {
    private final VisibleDeliverables visible;
    private final Deliverables deliverables;
    private final VisibleMarkups markups;
    private final Clashes clashes;
    private final Viewers viewers;
    private final Drawings drawings;
    private final SigningFor signing;

    ToSign(
            VisibleDeliverables visible,
            Deliverables deliverables,
            VisibleMarkups markups,
            Clashes clashes,
            Viewers viewers,
            Drawings drawings,
            SigningFor signing) {
        this.signing = signing;
        this.visible = visible;
        this.deliverables = deliverables;
        this.markups = markups;
        this.clashes = clashes;
        this.viewers = viewers;
        this.drawings = drawings;
    }

    /**
     * Something that awaits them.
     *
     * @param openMarks marks that ask for something and are open or taken on
     * @param why it cannot be signed now; empty if it can
     * @param extra what signing it costs; empty if nothing
     * @param back what sending it back costs; empty if nothing
     * @param anyway why it goes back even if it is signed; empty if it does not
     */
    public record Waiting(
            String name,
            Version version,
            Round round,
            Optional<Drawings.Sheet> thumbnail,
            int openMarks,
            Optional<String> why,
            Optional<String> extra,
            Optional<String> back,
            Optional<String> anyway) {}

    /** The sheet's model. */
    public Map<String, Object> page(Viewer viewer, String base) {
        List<Waiting> waiting = waiting(viewer);
        boolean extra = waiting.stream()
                .anyMatch(one -> one.extra().isPresent() && one.why().isEmpty());
        return new HashMap<>(Map.of(
                "waiting",
                waiting,
                "viewer",
                viewer,
                "base",
                base,
                "heading",
                viewers.heading(viewer),
                "can",
                waiting.stream().filter(one -> one.why().isEmpty()).count(),
                "costs",
                extra,
                "backCosts",
                waiting.stream().flatMap(one -> one.back().stream()).distinct().toList()));
    }

    private List<Waiting> waiting(Viewer viewer) {
        List<Version> versions = visible.versions(viewer);
        Map<Object, Version> newest = new HashMap<>();
        versions.forEach(version -> newest.merge(
                version.deliverable(),
                version,
                (a, b) -> Objects.requireNonNull(a.number()) > Objects.requireNonNull(b.number()) ? a : b));
        Map<?, Drawings.Sheet> thumbnails = drawings.firstSheets(
                newest.values().stream().map(Version::sha256).toList());
        List<Waiting> result = new ArrayList<>();
        for (Round round : visible.rounds(viewer)) {
            Optional<Version> version = newest.values().stream()
                    .filter(one -> one.id().equals(round.version()))
                    .findFirst();
            if (viewer.rest().isEmpty()
                    && version.isPresent()
                    && round.askedNow().contains(signing.signer(viewer, round))) {
                result.add(waiting(
                        viewer,
                        version.get(),
                        round,
                        Optional.ofNullable(thumbnails.get(version.get().sha256()))));
            }
        }
        result.sort(Comparator.comparing((Waiting one) -> one.round().dueAt()).thenComparing(Waiting::name));
        return result;
    }

    private Waiting waiting(Viewer viewer, Version version, Round round, Optional<Drawings.Sheet> thumbnail) {
        List<Mark> marks = markups.marksOf(viewer, version.deliverable());
        AskedFor asked = CountMarks.forClients(marks, viewer.pane(), List.of(round));
        int changes = asked.blocking();
        ContactId signer = signing.signer(viewer, round);
        Optional<String> why = (changes > 0
                        ? Optional.of(
                                (changes == 1 ? "A change is" : changes + " changes are") + " still asked for on it.")
                        : Optional.<String>empty())
                .or(() -> clashes.openOn(version, viewer.pane(), marks).isEmpty()
                        ? Optional.empty()
                        : Optional.of("Two people want different things on it; that is settled first."));
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        return new Waiting(
                name(viewer, version.id()),
                version,
                round,
                thumbnail,
                asked.open(),
                why,
                costs(deliverable, round, Decision.SIGN_OFF),
                costs(deliverable, round, Decision.SEND_BACK),
                DecisionWords.goesBackAnyway(round, signer)
                        ? Optional.of(DecisionWords.foretold(round, signer))
                        : Optional.empty());
    }

    private static Optional<String> costs(Deliverable deliverable, Round round, Decision decision) {
        List<Integer> rounds = WeighDecision.toAccept(deliverable, round, decision);
        return rounds.isEmpty()
                ? Optional.empty()
                : Optional.of(deliverable.allowance().inWords(rounds));
    }

    /** What a version is of, as the viewer knows it; "something" if they do not see it. */
    public String name(Viewer viewer, VersionId version) {
        return visible.version(viewer, version)
                .flatMap(found ->
                        visible.find(viewer, found.deliverable()).map(row -> row.name() + ", " + found.called()))
                .orElse("Something that is not there any more");
    }
}
