package app.clearpane.web.exposure.client;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Section;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.supply.Request;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.exposure.client.Visits;
import app.clearpane.store.plan.client.VisibleTasks;
import app.clearpane.store.project.client.VisibleConcerns;
import app.clearpane.usecases.exposure.SectionWords;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A client's pane, from what its viewer sees and nothing else. */
@Component
class PanePage {
    private static final int NEWS_SHOWN = 8;
    private static final int KEPT = 500;
    private static final Map<ContentKind, String> ANCHORS = Map.of(
            ContentKind.STATUS,
            "where",
            ContentKind.DELIVERABLES,
            "look",
            ContentKind.DATES,
            "dates",
            ContentKind.TASKS,
            "tasks",
            ContentKind.FILES,
            "files",
            ContentKind.CONCERNS,
            "concerns");
    private final KeptPane contents;
    private final KeptViewers kept;
    private final Visits visits;
    private final Clock clock;
    private final Cache<SeatId, Known> known =
            Caffeine.newBuilder().maximumSize(KEPT).build();
    /** By contents as they were read, not as they read: as long as they are kept, so is what is made of them. */
    private final Cache<PaneContents.Contents, Made> made =
            Caffeine.newBuilder().weakKeys().build();

    PanePage(KeptPane contents, KeptViewers kept, Visits visits, Clock clock) {
        this.contents = contents;
        this.kept = kept;
        this.visits = visits;
        this.clock = clock;
    }

    /** Another pane onto the same project. @param waiting how much awaits the reader there */
    record Other(String name, String base, int waiting) {}

    /** Something new since the last visit, and the address where it is. */
    record New(String name, String at) {}

    /**
     * Everything on the page.
     *
     * @param parts the sections in order; those with nothing in them are left out
     * @param marks what is said beside what is new or changed
     * @param news what is new since the last visit, computed over what this viewer sees
     */
    record Page(
            String base,
            Viewer viewer,
            PaneContents.Contents contents,
            List<PaneSections.Part> parts,
            Map<ItemId, String> marks,
            boolean firstVisit,
            List<New> news,
            List<Other> others) {
        /** What stands above the page. */
        public Viewers.Heading heading() {
            return contents.heading();
        }

        /** What awaits the reader's decision. */
        public List<PaneWorks.Shown> waiting() {
            return contents.waiting();
        }

        /** The tasks that await the reader. */
        public List<VisibleTasks.Row> yourTasks() {
            return contents.yourTasks();
        }

        /** All tasks. */
        public List<VisibleTasks.Row> tasks() {
            return contents.tasks();
        }

        /** The papers addressed to the reader. */
        public List<Paper> papers() {
            return contents.byName().papers();
        }

        /** The first of what is new. */
        public List<New> newsShown() {
            return news.stream().limit(NEWS_SHOWN).toList();
        }

        /** How much more is new. */
        public int newsBeyond() {
            return Math.max(0, news.size() - NEWS_SHOWN);
        }

        /** Papers that something is still expected of the reader for. */
        public List<Paper> waitingPapers() {
            return contents.byName().waitingPapers(viewer);
        }

        /** What the reader was asked to supply. */
        public List<Request> requests() {
            return contents.byName().requests();
        }

        /** What the reader is still to supply. */
        public List<Request> waitingRequests() {
            return contents.byName().waitingRequests(viewer);
        }

        /** What awaits the reader's ruling and nothing else of theirs. */
        public List<PaneWorks.Shown> toSettle() {
            return contents.toSettle();
        }

        /** How many things await the reader. */
        public int waitingCount() {
            return contents.waitingCount(viewer);
        }

        /**
         * The last milestone, for the cover: where the dates are a part of the page at all, and while it is worked
         * towards or was reached.
         */
        public Optional<Milestone> last() {
            return parts.stream().noneMatch(part -> part.kind() == ContentKind.DATES)
                    ? Optional.empty()
                    : contents.dates().milestones().stream()
                            .reduce((earlier, later) -> later)
                            .filter(last -> last.reached() || viewer.rest().isEmpty());
        }

        /** The day of a milestone, as it is forecast now. */
        public LocalDate dayOf(Milestone milestone) {
            return contents.days().getOrDefault(milestone.id(), milestone.fallsOn());
        }
    }

    /**
     * What is made of contents without knowing when they were last looked at. @param things what stands in one of the
     * parts
     */
    private record Made(List<PaneSections.Part> parts, List<Thing> things, List<ItemId> items) {
        static Made show(PaneContents.Contents all, String base) {
            List<PaneSections.Part> parts = PanePage.parts(all);
            Set<ContentKind> shown = parts.stream().map(PaneSections.Part::kind).collect(Collectors.toSet());
            List<Thing> things = PanePage.things(base, all);
            return new Made(
                    parts,
                    things.stream()
                            .filter(thing -> shown.contains(thing.kind()))
                            .toList(),
                    things.stream().map(Thing::id).toList());
        }
    }

    Page show(Viewer viewer) {
        PaneContents.Contents all = contents.read(viewer);
        String base = Through.base(viewer);
        Made page = made(all, base);
        Visits.Visit visit = viewer.byLink() ? Visits.Visit.FIRST : visit(viewer.seat());
        Map<ItemId, String> marks = new HashMap<>();
        List<New> news = new ArrayList<>();
        for (Thing thing : page.things()) {
            if (visit.isNew(thing.id(), thing.changed())) {
                marks.put(
                        thing.id(),
                        thing.kind() != ContentKind.DELIVERABLES && visit.knows(thing.id()) ? "changed" : "new");
                news.add(new New(thing.name(), thing.at()));
            }
        }
        return new Page(
                base,
                viewer,
                all,
                page.parts(),
                Map.copyOf(marks),
                visit.number() == 1,
                List.copyOf(news),
                others(viewer, all));
    }

    private Made made(PaneContents.Contents all, String base) {
        return made.get(all, contents -> Made.show(contents, base));
    }

    private Visits.Visit visit(SeatId seat) {
        long asOf = visits.count();
        Known found = known.getIfPresent(seat);
        if (found == null || found.asOf() != asOf) {
            found = new Known(asOf, visits.known(seat));
            known.put(seat, found);
        }
        return found.visits().startedAt(clock.instant());
    }

    /** @param asOf how often visits had been written down before this was read */
    private record Known(long asOf, Visits.Known visits) {}

    private static List<PaneSections.Part> parts(PaneContents.Contents all) {
        Map<ContentKind, Integer> there = Map.of(
                ContentKind.STATUS,
                all.howFar().phases().size() + all.about().size(),
                ContentKind.DELIVERABLES,
                all.deliverables().size(),
                ContentKind.DATES,
                all.dates().milestones().size(),
                ContentKind.TASKS,
                all.otherTasks().size(),
                ContentKind.FILES,
                all.files().size(),
                ContentKind.CONCERNS,
                all.concerns().size());
        Map<ContentKind, Optional<Instant>> changed = Map.of(
                ContentKind.STATUS,
                Optional.empty(),
                ContentKind.DATES,
                latest(all.dates().changed().values().stream()),
                ContentKind.TASKS,
                latest(all.tasks().stream().map(VisibleTasks.Row::changed)),
                ContentKind.DELIVERABLES,
                latest(all.deliverables().stream()
                        .map(PaneWorks.Shown::changed)
                        .filter(at -> !at.equals(Instant.EPOCH))),
                ContentKind.FILES,
                latest(all.files().stream().map(ProjectFile::addedAt)),
                ContentKind.CONCERNS,
                latest(all.concerns().stream().map(VisibleConcerns.Row::changed)));
        Function<ContentKind, Optional<Section>> own = all.heading()::section;
        return SectionWords.USUAL.keySet().stream()
                .filter(kind -> Objects.requireNonNull(there.get(kind)) > 0
                        && own.apply(kind).filter(Section::off).isEmpty())
                .sorted(Comparator.comparingInt(
                        kind -> own.apply(kind).map(Section::position).orElse(SectionWords.place(kind))))
                .map(kind -> new PaneSections.Part(
                        kind,
                        Objects.requireNonNull(ANCHORS.get(kind)),
                        own.apply(kind)
                                .map(Section::title)
                                .filter(title -> !title.isEmpty())
                                .orElse(Objects.requireNonNull(SectionWords.USUAL.get(kind))),
                        own.apply(kind).map(Section::line).orElse(""),
                        Objects.requireNonNull(changed.get(kind)),
                        kind == ContentKind.DELIVERABLES
                                ? all.works().size()
                                : Objects.requireNonNull(there.get(kind))))
                .toList();
    }

    private static Optional<Instant> latest(Stream<@Nullable Instant> instants) {
        return instants.filter(Objects::nonNull).max(Comparator.naturalOrder());
    }

    /**
     * Something on the page. @param changed when something last happened to it; the epoch if never @param at its
     * address
     */
    private record Thing(ItemId id, ContentKind kind, String name, Instant changed, String at) {}

    private static List<Thing> things(String base, PaneContents.Contents all) {
        List<Thing> things = new ArrayList<>();
        all.deliverables()
                .forEach(one -> things.add(new Thing(
                        one.deliverable().id(),
                        ContentKind.DELIVERABLES,
                        one.version() == null
                                ? one.deliverable().name()
                                : one.deliverable().name() + ", "
                                        + one.version().called(),
                        one.changed(),
                        one.version() == null
                                ? "#" + ANCHORS.get(ContentKind.DELIVERABLES)
                                : base + "/versions/" + one.version().id())));
        all.dates()
                .milestones()
                .forEach(one -> things.add(new Thing(
                        one.id(),
                        ContentKind.DATES,
                        one.name(),
                        all.dates().changed().getOrDefault(one.id(), Instant.EPOCH),
                        "#" + ANCHORS.get(ContentKind.DATES))));
        all.tasks()
                .forEach(one -> things.add(new Thing(
                        one.id(),
                        ContentKind.TASKS,
                        one.name(),
                        Objects.requireNonNullElse(one.changed(), Instant.EPOCH),
                        base + "/tasks/" + one.id())));
        all.files()
                .forEach(one -> things.add(new Thing(
                        one.id(), ContentKind.FILES, one.name(), one.addedAt(), base + "/files/" + one.id())));
        all.concerns()
                .forEach(one -> things.add(new Thing(
                        one.id(),
                        ContentKind.CONCERNS,
                        one.name(),
                        Objects.requireNonNullElse(one.changed(), Instant.EPOCH),
                        "#" + ANCHORS.get(ContentKind.CONCERNS))));
        return things;
    }

    private List<Other> others(Viewer viewer, PaneContents.Contents all) {
        return all.others().stream()
                .flatMap(other -> kept
                        .viewerAt(other.id(), viewer.contact())
                        .map(there -> new Other(other.name(), Through.base(there), waitingCount(there)))
                        .stream())
                .toList();
    }

    /** The items that stand on a page. */
    List<ItemId> items(Page page) {
        return made(page.contents(), page.base()).items();
    }

    /** How many things await somebody at a pane. */
    int waitingCount(Viewer viewer) {
        return contents.read(viewer).waitingCount(viewer);
    }
}
