package app.clearpane.web.exposure.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.supply.Request;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.usecases.shell.NotFound;
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
import java.util.Optional;
import org.springframework.stereotype.Component;

/** A contact's first page: all that waits for them over all their projects, and a tile for each pane. */
@Component
class HomePage {
    private final Viewers viewers;
    private final KeptPane contents;
    private final TheAgency agency;
    private final Clock clock;

    HomePage(Viewers viewers, KeptPane contents, TheAgency agency, Clock clock) {
        this.viewers = viewers;
        this.contents = contents;
        this.agency = agency;
        this.clock = clock;
    }

    /**
     * Something that waits.
     *
     * @param what to do, as a heading
     * @param due until when; empty if no day was set
     * @param press what is written on its button
     */
    record Waits(String what, String project, Optional<Instant> due, boolean late, String address, String press) {}

    /** What comes next in a project. @param day as it is forecast */
    record Next(String name, LocalDate day) {}

    /**
     * A pane.
     *
     * @param waiting how many things await the reader there
     * @param several whether they see its project through others too
     * @param works how many deliverables there are to look at
     */
    record Tile(
            Viewers.Heading heading,
            int waiting,
            Optional<Viewer.Rest> rest,
            String base,
            boolean several,
            Optional<Next> next,
            int works,
            int files) {}

    /** All of it. @param waiting what is due first before the others, what has no day last */
    record Home(List<Waits> waiting, List<Tile> tiles) {}

    Home read(ContactId contact) {
        Instant now = clock.instant();
        Map<String, Waits> waiting = new LinkedHashMap<>();
        List<Tile> tiles = new ArrayList<>();
        for (Viewers.Heading heading : viewers.panesOf(contact, now)) {
            Viewer viewer = NotFound.unless(viewers.viewerAt(heading.id(), contact, now));
            PaneContents.Contents seen = contents.read(viewer);
            waits(viewer, seen).forEach(waiting::putIfAbsent);
            tiles.add(new Tile(
                    heading,
                    seen.waitingCount(viewer),
                    viewer.rest(),
                    Through.base(viewer),
                    !viewers.others(viewer, now).isEmpty(),
                    next(seen),
                    seen.works().size(),
                    seen.files().size()));
        }
        return new Home(
                waiting.values().stream()
                        .sorted(Comparator.comparing(one -> one.due().orElse(Instant.MAX)))
                        .toList(),
                tiles);
    }

    private static Optional<Next> next(PaneContents.Contents seen) {
        return seen.dates().milestones().stream()
                .filter(milestone -> !milestone.reached())
                .findFirst()
                .map((Milestone one) -> new Next(one.name(), seen.days().getOrDefault(one.id(), one.fallsOn())));
    }

    /** What waits at one pane, by what it is, so that the same through another pane is the same. */
    private Map<String, Waits> waits(Viewer viewer, PaneContents.Contents seen) {
        String base = Through.base(viewer);
        String project = seen.heading().project();
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
        for (VisibleTasks.Row task : seen.yourTasks()) {
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
