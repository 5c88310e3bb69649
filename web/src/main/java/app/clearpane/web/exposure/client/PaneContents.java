package app.clearpane.web.exposure.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.exposure.client.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.client.VisibleConcerns;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.store.project.client.VisibleWords;
import app.clearpane.usecases.markup.SigningFor;
import app.clearpane.usecases.plan.PlanForClients;
import app.clearpane.usecases.shell.KeptReading;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What a viewer sees through a pane, of every kind. It is kept as long as nothing is written to the house: the viewer
 * is made anew with each request, and what was read before the latest write is read again.
 */
@Component
class PaneContents {
    private static final int KEPT = 500;
    private final Viewers viewers;
    private final VisibleWords words;
    private final VisibleDates dates;
    private final PlanForClients plans;
    private final VisibleTasks tasks;
    private final VisibleConcerns concerns;
    private final VisibleFiles files;
    private final VisibleDeliverables deliverables;
    private final Drawings drawings;
    private final VisiblePapers papers;
    private final SigningFor signing;
    private final TheAgency agency;
    private final KeptReading<Key, Contents> kept;

    PaneContents(
            Viewers viewers,
            VisibleWords words,
            VisibleDates dates,
            PlanForClients plans,
            VisibleTasks tasks,
            VisibleConcerns concerns,
            VisibleFiles files,
            VisibleDeliverables deliverables,
            Drawings drawings,
            VisiblePapers papers,
            SigningFor signing,
            TheAgency agency,
            WriteCounter writes) {
        this.viewers = viewers;
        this.words = words;
        this.dates = dates;
        this.plans = plans;
        this.tasks = tasks;
        this.concerns = concerns;
        this.files = files;
        this.deliverables = deliverables;
        this.drawings = drawings;
        this.papers = papers;
        this.signing = signing;
        this.agency = agency;
        this.kept = new KeptReading<>(writes, KEPT, key -> readAnew(key.viewer()));
    }

    private record Key(Viewer viewer, LocalDate today) {}

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

    /**
     * All of it.
     *
     * @param about what the project says of itself
     * @param days the day of each milestone, as it is forecast
     * @param others the other panes through which the same person sees the project
     */
    record Contents(
            Viewers.Heading heading,
            VisibleWords.About about,
            List<Shown> deliverables,
            PlanForClients.HowFar howFar,
            VisibleDates.Dates dates,
            Map<ItemId, LocalDate> days,
            List<VisibleTasks.Row> tasks,
            List<VisibleConcerns.Row> concerns,
            List<ProjectFile> files,
            List<Paper> papers,
            List<Viewers.Other> others) {
        /** What awaits the viewer's decision. */
        public List<Shown> waiting() {
            return deliverables.stream()
                    .filter(one -> one.word() == Word.YOUR_TURN)
                    .toList();
        }

        /** What awaits the viewer's ruling and nothing else of theirs. */
        public List<Shown> toSettle() {
            return deliverables.stream()
                    .filter(one -> one.clashes() > 0 && one.word() != Word.YOUR_TURN)
                    .toList();
        }

        /** The tasks that do not await the viewer, and those they have done. */
        public List<VisibleTasks.Row> otherTasks() {
            return tasks.stream()
                    .filter(task -> !task.yours() || !task.stage().open())
                    .toList();
        }

        /** What can be looked at: what is being made still has nothing to look at. */
        public List<Shown> works() {
            return deliverables.stream().filter(one -> one.version() != null).toList();
        }

        /** Papers that something is still expected of the viewer for. */
        public List<Paper> waitingPapers(Viewer viewer) {
            return viewer.rest().isPresent()
                    ? List.of()
                    : papers.stream()
                            .filter(paper -> paper.waitsFor(viewer.contact(), LocalDate.MIN))
                            .toList();
        }

        /** How many things await the viewer, of every sort. */
        public int waitingCount(Viewer viewer) {
            return waiting().size()
                    + toSettle().size()
                    + yourTasks().size()
                    + waitingPapers(viewer).size();
        }

        /** The tasks that await the viewer. */
        public List<VisibleTasks.Row> yourTasks() {
            return tasks.stream()
                    .filter(task -> task.yours() && task.stage().open())
                    .toList();
        }
    }

    /** What a viewer sees. */
    Contents read(Viewer viewer) {
        return kept.read(new Key(viewer, agency.today()));
    }

    private Contents readAnew(Viewer viewer) {
        VisibleDates.Dates seen = dates.all(viewer);
        return new Contents(
                viewers.heading(viewer),
                words.aboutFor(viewer),
                shown(viewer),
                plans.howFar(viewer),
                seen,
                plans.days(viewer, seen.milestones()),
                tasks.all(viewer),
                concerns.all(viewer),
                files.all(viewer),
                papers.all(viewer),
                viewers.others(viewer, agency.now()));
    }

    private List<Shown> shown(Viewer viewer) {
        Map<ItemId, Version> newest = deliverables.versions(viewer).stream()
                .collect(Collectors.toMap(Version::deliverable, Function.identity(), (earlier, later) -> later));
        Map<?, Round> rounds =
                deliverables.rounds(viewer).stream().collect(Collectors.toMap(Round::version, Function.identity()));
        Map<?, Drawings.Sheet> thumbnails = drawings.firstSheets(
                newest.values().stream().map(Version::sha256).toList());
        return deliverables.all(viewer).stream()
                .map(row -> {
                    Version version = newest.get(row.id());
                    Round round = version == null ? null : rounds.get(version.id());
                    return new Shown(
                            row,
                            version,
                            round,
                            version == null ? null : thumbnails.get(version.sha256()),
                            word(viewer, round, row.released()),
                            round != null
                                            && row.own()
                                            && viewer.leadVoice()
                                            && viewer.rest().isEmpty()
                                    ? round.clashesWith(true)
                                    : 0);
                })
                .toList();
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
