package app.clearpane.web.markup;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.ReadingOrder;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.markup.MarkupRow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The light table as a page shows it, for either side.
 *
 * @param base where its links begin
 * @param sheet the page in hand; empty until it is drawn
 * @param notes the marks on that page, in reading order
 * @param marksOnPage for each page how many marks stand on it
 */
public record LightTable(String base, String deliverable, VersionRow version, List<VersionRow> versions, int page, int pages, Optional<Drawings.Sheet> sheet,
    Optional<String> failure, List<Note> notes, List<PageTab> marksOnPage, boolean mayMarkUp, boolean ofTeam) {

  /** The most tabs for pages; with more pages only those near the one in hand have one. */
  private static final int TABS_EACH_WAY = 12;

  /** A page one can go to. */
  public record PageTab(int page, int marks) {}

  /**
   * One mark with its note.
   *
   * @param carried whether it was placed on an earlier version
   * @param progress what this side is told
   * @param buttons what may be done to it by whoever looks
   */
  public record Note(MarkupRow mark, boolean carried, String progress, List<Button> buttons, boolean own) {
    private static final Set<MarkupProgress.Act> NEED_WORDS = EnumSet.of(MarkupProgress.Act.SET_ASIDE);
    private static final Set<MarkupProgress.Act> TAKE_BACK = EnumSet.of(MarkupProgress.Act.WITHDRAW);

    /** The next steps that need no words: they stand under the note. */
    public List<Button> steps() {
      return unsettled() ? buttons.stream().filter(button -> !NEED_WORDS.contains(button.act()) && !TAKE_BACK.contains(button.act())).toList() : List.of();
    }

    /** Everything else that may be done: it stands beside the answer. */
    public List<Button> more() {
      return buttons.stream().filter(button -> !steps().contains(button)).toList();
    }

    /** "change", "question", "idea" or "keep". */
    public String intent() {
      return MarkWords.intent(mark.intent());
    }

    /** The heading of an answer that did something. */
    public String done(MarkupRow.Answer answer) {
      return MarkWords.done(MarkupProgress.Act.valueOf(Objects.requireNonNull(answer.act())));
    }

    /** What the mark looks like on the sheet, in thousandths of its width. */
    public Drawn drawn(Drawings.Sheet sheet) {
      return Drawn.of(mark.place(), sheet.size().ratio());
    }

    /** Whether it still asks for something. */
    public boolean unsettled() {
      return mark.progress().carriesOver();
    }
  }

  /** Something that may be done to a mark. */
  public record Button(MarkupProgress.Act act, String label) {}

  /** A shape in a drawing that is 1,000 wide; of a rectangle the second pair is its size, of an arrow its tip. */
  public record Drawn(String shape, double x1, double y1, double x2, double y2, double anchorX, double anchorY, String head) {
    private static final double WIDTH = 1_000;
    private static final double HEAD = 14;

    static Drawn of(Place place, double ratio) {
      double height = WIDTH * ratio;
      double cx = place.centreX() * WIDTH;
      double cy = place.centreY() * height;
      if (place instanceof Place.Rectangle r) {
        return new Drawn("rectangle", r.x() * WIDTH, r.y() * height, r.width() * WIDTH, r.height() * height, cx, cy, "");
      }
      if (place instanceof Place.Arrow a) {
        double x1 = a.fromX() * WIDTH;
        double y1 = a.fromY() * height;
        double x2 = a.toX() * WIDTH;
        double y2 = a.toY() * height;
        return new Drawn("arrow", x1, y1, x2, y2, x1, y1, head(x1, y1, x2, y2));
      }
      return new Drawn("point", cx, cy, 0, 0, cx, cy, "");
    }

    private static String head(double x1, double y1, double x2, double y2) {
      double along = Math.atan2(y2 - y1, x2 - x1);
      return "M%.1f %.1fL%.1f %.1fL%.1f %.1f".formatted(x2 - HEAD * Math.cos(along - 0.45), y2 - HEAD * Math.sin(along - 0.45), x2, y2,
          x2 - HEAD * Math.cos(along + 0.45), y2 - HEAD * Math.sin(along + 0.45));
    }
  }

  /**
   * Lays a version out.
   *
   * @param all the marks on this and earlier versions that this side sees
   */
  static LightTable of(String base, String deliverable, VersionRow version, List<VersionRow> versions, int page, Drawings.Drawing drawing,
      Optional<Drawings.Sheet> sheet, List<MarkupRow> all, Side side) {
    boolean ofTeam = side instanceof Side.Team;
    List<Note> notes = all.stream().filter(mark -> stands(mark, version, versions)).map(mark -> note(mark, version, versions, side))
        .sorted(Comparator.comparing((Note note) -> note.mark().place(), ReadingOrder.BY_BANDS).thenComparing(note -> note.mark().createdAt())).toList();
    List<PageTab> tabs = IntStream.rangeClosed(1, drawing.pages())
        .filter(p -> drawing.pages() <= 2 * TABS_EACH_WAY || p == 1 || p == drawing.pages() || Math.abs(p - page) <= TABS_EACH_WAY)
        .mapToObj(p -> new PageTab(p, (int) notes.stream().filter(note -> note.mark().place().page() == p).count())).toList();
    boolean mayMarkUp = ofTeam || side instanceof Side.Client client && client.viewer().role().mayMarkUp() && !client.viewer().looking();
    return new LightTable(base, deliverable, version, versions, page, drawing.pages(), sheet, Optional.ofNullable(drawing.failure()),
        notes.stream().filter(note -> note.mark().place().page() == page || note.mark().place().page() > drawing.pages() && page == drawing.pages()).toList(),
        tabs, mayMarkUp, ofTeam);
  }

  /** Whether a mark stands on this version: placed on it, carried over from an earlier one (M5), or fixed in it and confirmed, so that it can be reopened there. */
  private static boolean stands(MarkupRow mark, VersionRow version, List<VersionRow> versions) {
    List<VersionId> order = versions.stream().map(VersionRow::id).toList();
    boolean earlier = order.indexOf(mark.version()) >= 0 && order.indexOf(mark.version()) < order.indexOf(version.id());
    boolean confirmedHere = mark.progress() == MarkupProgress.CONFIRMED && mark.fixedInNumber() != null && mark.fixedInNumber().equals(version.number());
    return mark.version().equals(version.id()) || earlier && (mark.progress().carriesOver() || confirmedHere);
  }

  private static Note note(MarkupRow mark, VersionRow version, List<VersionRow> versions, Side side) {
    boolean ofTeam = side instanceof Side.Team;
    boolean newer = !versions.get(versions.size() - 1).id().equals(mark.version());
    MarkupProgress told = ofTeam ? mark.progress() : mark.told();
    String progress = MarkWords.progress(told) + (told != MarkupProgress.FIXED ? "" : mark.fixedInNumber() == null ? " in the draft" : " in " + mark.fixedInNumber());
    List<Button> buttons = side instanceof Side.Client client && (!client.viewer().role().mayMarkUp() || client.viewer().looking()) ? List.of()
        : Arrays.stream(MarkupProgress.Act.values()).filter(act -> told.after(act, side.actorOn(mark)).isPresent()).filter(act -> mark.intent().asks() || !act.works())
            .filter(act -> act != MarkupProgress.Act.FIX || newer).map(act -> new Button(act, MarkWords.button(act))).toList();
    return new Note(mark, !mark.version().equals(version.id()), progress, buttons, side.actorOn(mark).author());
  }

  /** How many Change marks on this page and others are open or taken on. */
  public static int unsettledChanges(List<MarkupRow> marks) {
    return (int) marks.stream().filter(m -> m.intent() == Intent.CHANGE && !m.teamOnly() && m.told().unsettled()).count();
  }

  /** The version before this one that may be looked at; empty for the first. */
  public Optional<VersionRow> earlier() {
    int at = versions.stream().map(VersionRow::id).toList().indexOf(version.id());
    return at > 0 ? Optional.of(versions.get(at - 1)) : Optional.empty();
  }

  /** The pages before and after. */
  public List<Integer> neighbours() {
    return new ArrayList<>(Stream.of(page - 1, page + 1).filter(p -> p >= 1 && p <= pages).toList());
  }
}
