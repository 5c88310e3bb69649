package app.clearpane.web.exposure.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.WriteCounter;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.shell.KeptReading;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** A contact's first page: all that waits for them over all their projects, and a tile for each pane. */
@Component
class HomePage {
    private static final int KEPT = 300;

    private final Viewers viewers;
    private final KeptReading<Key, Map<PaneId, HomeContents.AtPane>> kept;
    private final TheAgency agency;
    private final Clock clock;

    HomePage(Viewers viewers, HomeContents contents, WriteCounter writes, TheAgency agency, Clock clock) {
        this.viewers = viewers;
        this.kept = new KeptReading<>(writes, KEPT, key -> contents.read(key.all()));
        this.agency = agency;
        this.clock = clock;
    }

    private record Key(AllPanes all, LocalDate today) {}

    /**
     * Something that waits.
     *
     * @param what to do, as a heading
     * @param due until when; empty if no day was set
     * @param press what is written on its button
     */
    record Waits(String what, String project, Optional<Instant> due, boolean late, String address, String press) {}

    /**
     * A pane.
     *
     * @param waiting how many things await the reader there
     * @param several whether they see its project through others too
     * @param works how many deliverables there are to look at
     * @param released the names of what was released, where the project is over
     */
    record Tile(
            Viewers.Heading heading,
            int waiting,
            Optional<Viewer.Rest> rest,
            String base,
            boolean several,
            Optional<HomeContents.Next> next,
            int works,
            int files,
            List<String> released) {
        /** Whether the project is over, so that nothing will come any more. */
        public boolean over() {
            return rest.filter(Viewer.Rest::archived).isPresent();
        }
    }

    /** All of it. @param waiting what is due first before the others, what has no day last */
    record Home(List<Waits> waiting, List<Tile> tiles) {
        /** The projects that are worked on, and those that rest. */
        public List<Tile> current() {
            return tiles.stream().filter(tile -> !tile.over()).toList();
        }

        /** Those that are over. */
        public List<Tile> finished() {
            return tiles.stream().filter(Tile::over).toList();
        }
    }

    Home read(ContactId contact) {
        AllPanes all = viewers.everywhere(contact, clock.instant());
        Map<PaneId, HomeContents.AtPane> contents = kept.read(new Key(all, agency.today()));
        Map<PaneId, Viewer> viewerAt =
                all.viewers().stream().collect(Collectors.toMap(Viewer::pane, Function.identity()));
        Map<ProjectId, Long> panesOf =
                all.viewers().stream().collect(Collectors.groupingBy(Viewer::project, Collectors.counting()));
        Map<String, Waits> waiting = new LinkedHashMap<>();
        List<Tile> tiles = new ArrayList<>();
        for (Viewers.Heading heading : viewers.headings(all)) {
            Viewer viewer = Objects.requireNonNull(viewerAt.get(heading.id()));
            HomeContents.AtPane seen = Objects.requireNonNull(contents.get(heading.id()));
            Map<String, Waits> here = waits(viewer, heading, seen);
            here.forEach(waiting::putIfAbsent);
            boolean over = viewer.rest().filter(Viewer.Rest::archived).isPresent();
            tiles.add(new Tile(
                    heading,
                    here.size(),
                    viewer.rest(),
                    Through.base(viewer),
                    panesOf.getOrDefault(viewer.project(), 1L) > 1,
                    over ? Optional.empty() : seen.next(),
                    seen.works(),
                    seen.files(),
                    over ? seen.released() : List.of()));
        }
        return new Home(
                waiting.values().stream()
                        .sorted(Comparator.comparing(one -> one.due().orElse(Instant.MAX)))
                        .toList(),
                tiles);
    }

    /** What waits at one pane, by what it is, so that the same through another pane is the same. */
    private Map<String, Waits> waits(Viewer viewer, Viewers.Heading heading, HomeContents.AtPane seen) {
        String base = Through.base(viewer);
        String project = heading.project();
        Map<String, Waits> waits = new LinkedHashMap<>();
        seen.waiting().forEach(one -> work(waits, one, "Sign off: ", "Look at it", base, project));
        seen.toSettle().forEach(one -> work(waits, one, "Settle: ", "See both", base, project));
        for (Paper paper : seen.byName().waitingPapers(viewer)) {
            put(
                    waits,
                    paper.id().toString(),
                    new Waits(
                            paperWords(paper),
                            project,
                            paper.due().map(day -> until(day, null)),
                            false,
                            base + "/papers/" + paper.id(),
                            "Open it"));
        }
        for (Request request : seen.byName().waitingRequests(viewer)) {
            put(
                    waits,
                    request.id().toString(),
                    new Waits(
                            (request.asksQuestionsOnly() ? "Answer: " : "Send us: ") + request.title(),
                            project,
                            request.sent().map(Request.Sent::due),
                            false,
                            base + "/requests/" + request.id(),
                            request.asksQuestionsOnly() ? "Answer" : "Send it"));
        }
        for (VisibleTasks.Waiting task : seen.yours()) {
            put(
                    waits,
                    task.id().toString(),
                    new Waits(
                            task.name(),
                            project,
                            Optional.ofNullable(task.due()).map(day -> until(day, task.hour())),
                            false,
                            base + "/tasks/" + task.id(),
                            "Open it"));
        }
        return waits;
    }

    private static String paperWords(Paper paper) {
        return switch (paper.kind()) {
                    case CONTRACT -> "Sign: ";
                    case INVOICE -> "Pay: ";
                    default -> "Agree to: ";
                }
                + paper.name();
    }

    private void work(
            Map<String, Waits> waits, PaneWorks.Shown one, String verb, String press, String base, String project) {
        if (one.version() != null && one.round() != null) {
            put(
                    waits,
                    one.version().id().toString(),
                    new Waits(
                            verb + one.deliverable().name() + ", "
                                    + one.version().called(),
                            project,
                            Optional.of(one.round().dueAt()),
                            false,
                            base + "/versions/" + one.version().id(),
                            press));
        }
    }

    private void put(Map<String, Waits> waits, String id, Waits one) {
        boolean late = one.due().filter(due -> due.isBefore(clock.instant())).isPresent();
        waits.put(id, new Waits(one.what(), one.project(), one.due(), late, one.address(), one.press()));
    }

    private Instant until(LocalDate day, @org.jspecify.annotations.Nullable LocalTime hour) {
        return (hour == null ? day.plusDays(1).atStartOfDay() : day.atTime(hour))
                .atZone(agency.get().zone())
                .toInstant();
    }
}
