package app.clearpane.web.exposure.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.usecases.markup.SigningFor;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The deliverables on a client’s page. */
@Component
class PaneWorks {
    private final VisibleDeliverables deliverables;
    private final Drawings drawings;
    private final SigningFor signing;

    PaneWorks(VisibleDeliverables deliverables, Drawings drawings, SigningFor signing) {
        this.deliverables = deliverables;
        this.drawings = drawings;
        this.signing = signing;
    }

    /** Where a deliverable is, in words for those who look at it. */
    enum Word {
        YOUR_TURN("your turn", "client"),
        AFTER_OTHERS("others sign first", "client"),
        WITH_OTHERS("you have decided", "client"),
        TO_LOOK_AT("to look at", "client"),
        WITH_US("with us", "ours"),
        SIGNED("signed off", "done"),
        RELEASED("released", "done"),
        RESTS("at rest", "quiet");

        private final String text;
        private final String tone;

        Word(String text, String tone) {
            this.text = text;
            this.tone = tone;
        }

        public String text() {
            return text;
        }

        public String tone() {
            return tone;
        }
    }

    /**
     * A deliverable on the page; without a version while the first is being made. @param clashes how many of its
     * clashes await the viewer's ruling
     */
    record Shown(
            VisibleDeliverables.Row deliverable,
            @Nullable Version version,
            @Nullable Round round,
            Drawings.@Nullable Sheet thumbnail,
            Word word,
            int clashes) {
        /** When something last happened to it that this viewer sees. */
        public Instant changed() {
            return version == null || version.sentAt() == null ? Instant.EPOCH : version.sentAt();
        }
    }

    /** Those that await the viewer's decision. */
    static List<Shown> toDecide(List<Shown> all) {
        return all.stream().filter(one -> one.word() == Word.YOUR_TURN).toList();
    }

    /** Those that await the viewer's ruling and nothing else of theirs. */
    static List<Shown> toSettle(List<Shown> all) {
        return all.stream()
                .filter(one -> one.clashes() > 0 && one.word() != Word.YOUR_TURN)
                .toList();
    }

    List<Shown> read(Viewer viewer) {
        Map<ItemId, Version> newest = deliverables.versions(viewer).stream()
                .collect(Collectors.toMap(Version::deliverable, Function.identity(), (earlier, later) -> later));
        Map<?, Round> rounds =
                deliverables.rounds(viewer).stream().collect(Collectors.toMap(Round::version, Function.identity()));
        Map<?, Drawings.Sheet> thumbnails = drawings.firstSheets(
                newest.values().stream().map(Version::sha256).toList());
        return deliverables.all(viewer).stream()
                .map(row -> {
                    Version version = newest.get(row.id());
                    return shown(
                            viewer,
                            row,
                            version,
                            version == null ? null : rounds.get(version.id()),
                            version == null ? null : thumbnails.get(version.sha256()));
                })
                .toList();
    }

    /** Those at all panes of one contact, by pane, without their pictures. */
    Map<PaneId, List<Shown>> everywhere(AllPanes all) {
        VisibleDeliverables.Everywhere found = deliverables.everywhere(all);
        signing.readAhead(all.projects());
        Map<PaneId, List<Shown>> shown = new HashMap<>();
        for (Viewer viewer : all.viewers()) {
            shown.put(
                    viewer.pane(),
                    found.rows().getOrDefault(viewer.pane(), List.of()).stream()
                            .map(row -> {
                                Version version = found.newest().get(row.id());
                                return shown(
                                        viewer,
                                        row,
                                        version,
                                        version == null ? null : found.rounds().get(version.id()),
                                        null);
                            })
                            .toList());
        }
        return shown;
    }

    private Shown shown(
            Viewer viewer,
            VisibleDeliverables.Row row,
            @Nullable Version version,
            @Nullable Round round,
            Drawings.@Nullable Sheet thumbnail) {
        boolean rules = row.own() && viewer.leadVoice() && viewer.rest().isEmpty();
        return new Shown(
                row,
                version,
                round,
                thumbnail,
                word(viewer, round, row.released()),
                round != null && rules ? round.clashesWith(true) : 0);
    }

    private Word word(Viewer viewer, @Nullable Round round, boolean released) {
        if (round == null || !round.open()) {
            Outcome outcome = round == null ? Outcome.BACK : round.soFar();
            return outcome.agreed() ? released ? Word.RELEASED : Word.SIGNED : Word.WITH_US;
        }
        if (viewer.rest().isPresent()) {
            return Word.RESTS;
        }
        ContactId signer = signing.signer(viewer, round);
        if (round.askedNow().contains(signer)) {
            return Word.YOUR_TURN;
        }
        return !round.panel().inOrder().contains(signer)
                ? Word.TO_LOOK_AT
                : round.saidBy(signer).isPresent() ? Word.WITH_OTHERS : Word.AFTER_OTHERS;
    }
}
