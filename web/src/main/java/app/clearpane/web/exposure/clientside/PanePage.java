package app.clearpane.web.exposure.clientside;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.deliverable.clientside.VisibleDeliverables;
import app.clearpane.store.exposure.Section;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.exposure.clientside.Viewers;
import app.clearpane.store.exposure.clientside.Visits;
import app.clearpane.store.files.FileRow;
import app.clearpane.store.files.clientside.VisibleFiles;
import app.clearpane.store.papers.Paper;
import app.clearpane.store.papers.clientside.VisiblePapers;
import app.clearpane.store.plan.clientside.VisibleTasks;
import app.clearpane.store.project.Milestone;
import app.clearpane.store.project.Phase;
import app.clearpane.store.project.clientside.VisibleDates;
import app.clearpane.web.exposure.SectionWords;
import app.clearpane.web.plan.PlanForClients;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
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
  private static final Map<ContentKind, String> ANCHORS = Map.of(ContentKind.STATUS, "where", ContentKind.DELIVERABLES, "look", ContentKind.DATES, "dates", ContentKind.TASKS, "tasks", ContentKind.FILES, "files");
  private final Viewers viewers;
  private final VisibleDates dates;
  private final PlanForClients plans;
  private final VisibleTasks tasks;
  private final VisibleFiles files;
  private final VisibleDeliverables deliverables;
  private final Drawings drawings;
  private final Visits visits;
  private final VisiblePapers papers;
  private final Clock clock;

  PanePage(Viewers viewers, VisibleDates dates, PlanForClients plans, VisibleTasks tasks, VisibleFiles files, VisibleDeliverables deliverables, Drawings drawings, Visits visits, VisiblePapers papers, Clock clock) {
    this.visits = visits;
    this.papers = papers;
    this.clock = clock;
    this.viewers = viewers;
    this.dates = dates;
    this.plans = plans;
    this.tasks = tasks;
    this.files = files;
    this.deliverables = deliverables;
    this.drawings = drawings;
  }

  /** Where a deliverable is, in words for those who look at it. */
  enum Word {
    YOUR_TURN("your turn", "client"),
    WITH_OTHERS("you have decided", "client"),
    TO_LOOK_AT("to look at", "client"),
    WITH_US("with us", "ours"),
    SIGNED("signed off", "done"),
    RELEASED("released", "done");

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

  /** A deliverable on the page; without a version while the first is being made. */
  record Shown(VisibleDeliverables.Row deliverable, @Nullable VersionRow version, @Nullable Round round, Drawings.@Nullable Sheet thumbnail, Word word) {
    /** When something last happened to it that this viewer sees. */
    Instant changed() {
      return version == null || version.sentAt() == null ? Instant.EPOCH : version.sentAt();
    }
  }

  /**
   * A section of the page, with its words.
   *
   * @param line of its own; empty for the usual one
   * @param changed when something in it last changed, where that is known
   */
  record Part(ContentKind kind, String anchor, String title, String line, Optional<Instant> changed, int count) {}

  /** Something new since the last visit, and the address where it is. */
  record New(String name, String at) {}

  /**
   * Everything on the page.
   *
   * @param parts the sections in order; those with nothing in them are left out
   * @param news what is new since the last visit, computed over what this viewer sees
   */
  record Page(String base, Viewer viewer, Viewers.Heading heading, List<Shown> waiting, PlanForClients.HowFar done, List<Phase> phases, List<VisibleTasks.Row> tasks, List<Shown> deliverables, List<Milestone> milestones, Map<ItemId, LocalDate> forecast, @Nullable ItemId account,
      Map<String, List<FileRow>> files, List<Part> parts, Visits.Visit visit, List<New> news, List<Paper> papers) {
    /** The first of what is new. */
    public List<New> newsShown() {
      return news.stream().limit(NEWS_SHOWN).toList();
    }

    /** How much more is new. */
    public int newsBeyond() {
      return Math.max(0, news.size() - NEWS_SHOWN);
    }

    /** Whether they are here for the first time. */
    public boolean firstVisit() {
      return visit.number() == 1;
    }

    /** Whether something that stays as it is stands there for the first time. */
    public boolean isNew(ItemId item) {
      return visit.isNew(item, Instant.EPOCH);
    }

    /** Whether something on it is new to them. */
    public boolean isNew(ItemId item, Instant happened) {
      return visit.isNew(item, happened);
    }

    /** The day of a milestone, as it is forecast now. */
    public LocalDate dayOf(Milestone milestone) {
      return forecast.getOrDefault(milestone.id(), milestone.fallsOn());
    }

    /** The tasks that await the reader. */
    public List<VisibleTasks.Row> yourTasks() {
      return tasks.stream().filter(task -> task.yours() && task.stage().open()).toList();
    }

    /** The other tasks, and those the reader has done. */
    public List<VisibleTasks.Row> otherTasks() {
      return tasks.stream().filter(task -> !task.yours() || !task.stage().open()).toList();
    }

    /** Papers that something is still expected of the reader for. */
    public List<Paper> waitingPapers() {
      return papers.stream().filter(paper -> paper.kind() != PaperKind.OTHER && paper.recipient(viewer.contact()).filter(mine -> mine.namedAt() == null).isPresent()
          && paper.state(LocalDate.MIN).waits()).toList();
    }

    /** How many things await the reader. */
    public int waitingCount() {
      return waiting.size() + yourTasks().size() + waitingPapers().size();
    }

    /** The phase that is under way. */
    public Optional<Phase> current() {
      return phases.stream().filter(phase -> phase.stage() == Phase.Stage.UNDER_WAY).findFirst();
    }

    /** How many files there are in all folders. */
    public int fileCount() {
      return files.values().stream().mapToInt(List::size).sum();
    }

    /** The next milestone ahead. */
    public Optional<Milestone> last() {
      return milestones.stream().reduce((earlier, later) -> later);
    }
  }

  Page of(Viewer viewer) {
    List<Shown> shown = shown(viewer);
    List<FileRow> all = files.all(viewer);
    Map<String, List<FileRow>> byFolder = all.stream()
        .collect(Collectors.groupingBy(file -> Objects.requireNonNullElse(file.folderName(), ""), java.util.TreeMap::new, Collectors.toList()));
    Viewers.Heading heading = viewers.heading(viewer);
    PlanForClients.HowFar howFar = plans.howFar(viewer);
    VisibleDates.Dates visibleDates = dates.all(viewer);
    List<Milestone> milestones = visibleDates.milestones();
    List<VisibleTasks.Row> visibleTasks = tasks.all(viewer);
    Map<ContentKind, Integer> counts = Map.of(ContentKind.STATUS, howFar.phases().size(), ContentKind.DELIVERABLES, shown.size(), ContentKind.DATES, milestones.size(), ContentKind.TASKS, visibleTasks.size(), ContentKind.FILES, all.size());
    Map<ContentKind, Optional<Instant>> changed = Map.of(ContentKind.STATUS, Optional.empty(), ContentKind.DATES, Optional.empty(), ContentKind.TASKS, Optional.empty(),
        ContentKind.DELIVERABLES, shown.stream().map(Shown::changed).filter(at -> !at.equals(Instant.EPOCH)).max(Instant::compareTo), ContentKind.FILES, all.stream().map(FileRow::addedAt).max(Instant::compareTo));
    List<Part> parts = SectionWords.USUAL.keySet().stream().filter(kind -> counts.get(kind) > 0 && heading.section(kind).filter(Section::off).isEmpty())
        .sorted(Comparator.comparingInt(kind -> heading.section(kind).map(Section::position).orElse(SectionWords.place(kind))))
        .map(kind -> new Part(kind, ANCHORS.get(kind), heading.section(kind).map(Section::title).filter(title -> !title.isEmpty()).orElse(SectionWords.USUAL.get(kind)),
            heading.section(kind).map(Section::line).orElse(""), changed.get(kind), counts.get(kind))).toList();
    Visits.Visit visit = viewer.byLink() ? Visits.Visit.FIRST : visits.visit(viewer.seat(), clock.instant());
    return new Page(Through.base(viewer), viewer, heading, shown.stream().filter(s -> s.word() == Word.YOUR_TURN).toList(), howFar, howFar.phases(), visibleTasks, shown, milestones, plans.days(viewer, milestones), visibleDates.account().orElse(null), byFolder, parts, visit,
        news(Through.base(viewer), shown, milestones, visibleTasks, all, visit, parts.stream().map(Part::kind).collect(Collectors.toSet())), papers.all(viewer));
  }

  private static List<New> news(String base, List<Shown> shown, List<Milestone> milestones, List<VisibleTasks.Row> tasks, List<FileRow> files, Visits.Visit visit, Set<ContentKind> parts) {
    List<New> news = new ArrayList<>();
    shown.stream().filter(one -> parts.contains(ContentKind.DELIVERABLES) && visit.isNew(one.deliverable().id(), one.changed()))
        .forEach(one -> news.add(new New(one.version() == null ? one.deliverable().name() : one.deliverable().name() + ", " + one.version().called(),
            one.version() == null ? "#" + ANCHORS.get(ContentKind.DELIVERABLES) : base + "/versions/" + one.version().id())));
    milestones.stream().filter(one -> parts.contains(ContentKind.DATES) && visit.isNew(one.id(), Instant.EPOCH)).forEach(one -> news.add(new New(one.name(), "#" + ANCHORS.get(ContentKind.DATES))));
    tasks.stream().filter(one -> parts.contains(ContentKind.TASKS) && visit.isNew(one.id(), Instant.EPOCH)).forEach(one -> news.add(new New(one.name(), base + "/tasks/" + one.id())));
    files.stream().filter(one -> parts.contains(ContentKind.FILES) && visit.isNew(one.id(), one.addedAt())).forEach(one -> news.add(new New(one.name(), base + "/files/" + one.id())));
    return news;
  }

  /** The items that stand on a page. */
  static List<ItemId> items(Page page) {
    return Stream.of(page.tasks().stream().map(VisibleTasks.Row::id), page.deliverables().stream().map(one -> one.deliverable().id()), page.milestones().stream().map(Milestone::id),
        page.files().values().stream().flatMap(List::stream).map(FileRow::id)).flatMap(Function.identity()).toList();
  }

  /** What awaits somebody at a pane. */
  List<Shown> waiting(Viewer viewer) {
    return shown(viewer).stream().filter(s -> s.word() == Word.YOUR_TURN).toList();
  }

  /** The tasks that await somebody at a pane. */
  List<VisibleTasks.Row> tasksOf(Viewer viewer) {
    return tasks.all(viewer).stream().filter(task -> task.yours() && task.stage().open()).toList();
  }

  private List<Shown> shown(Viewer viewer) {
    Map<ItemId, VersionRow> newest = deliverables.versions(viewer).stream().collect(Collectors.toMap(VersionRow::deliverable, Function.identity(), (earlier, later) -> later));
    Map<?, Round> rounds = deliverables.rounds(viewer).stream().collect(Collectors.toMap(Round::version, Function.identity()));
    Map<?, Drawings.Sheet> thumbnails = drawings.firstSheets(newest.values().stream().map(VersionRow::sha256).toList());
    return deliverables.all(viewer).stream().map(row -> {
      VersionRow version = newest.get(row.id());
      Round round = version == null ? null : rounds.get(version.id());
      return new Shown(row, version, round, version == null ? null : thumbnails.get(version.sha256()), word(viewer, round, row.released()));
    }).toList();
  }

  private static Word word(Viewer viewer, @Nullable Round round, boolean released) {
    if (round == null || !round.open()) {
      Outcome outcome = round == null ? Outcome.BACK : round.soFar();
      return outcome.agreed() ? released ? Word.RELEASED : Word.SIGNED : Word.WITH_US;
    }
    boolean asked = round.signatories().stream().anyMatch(s -> s.contact().equals(viewer.contact()));
    return !asked ? Word.TO_LOOK_AT : round.saidBy(viewer.contact()).isPresent() ? Word.WITH_OTHERS : Word.YOUR_TURN;
  }
}
