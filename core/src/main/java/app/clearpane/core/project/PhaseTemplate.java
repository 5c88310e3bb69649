package app.clearpane.core.project;

import app.clearpane.core.plan.Side;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.plan.WorkingCalendar;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What a kind of work usually has: phases with their shares of its working days, tasks, names for the steps of its tasks, and what is looked at before a release. */
public enum PhaseTemplate {
  SPACE("A place or an exhibition", "Opening", new Habits(Map.of(Stage.UNDER_WAY, List.of("drawing", "making"), Stage.IN_CHECK, List.of("looked over here", "on the spot")),
      List.of("Measures checked on the spot", "Words read by somebody who did not write them", "Read from two metres away", "The fabricator has what they need")), List.of(
      part("Discover", 2, ours("Walk the place", 1), theirs("Send plans and photographs", 2), ours("Write down what is wanted", 1)),
      part("Concept", 3, ours("Draw directions", 3), theirs("Choose a direction", 1)),
      part("Design", 4, ours("Design the parts", 3), theirs("Look at the design", 1), ours("Change what came back", 1)),
      part("Artwork", 4, ours("Draw the artwork", 3), theirs("Sign the artwork off", 1)),
      part("Fabrication", 5, theirs("Make the parts", 4), ours("Look over what was made", 1)),
      part("Opening", 1, ours("Fit and check", 1)))),
  PRINTED("Something printed", "Delivery", new Habits(Map.of(Stage.IN_CHECK, List.of("with the proofreader", "at the printers")),
      List.of("Words read by somebody who did not write them", "Bleed and folds as the printers ask", "Colours and pictures fit for print", "Names, prices and dates compared with the client’s")), List.of(
      part("Brief", 1, ours("Write the brief", 1), theirs("Send words and pictures", 1)),
      part("Concept", 2, ours("Draw directions", 2), theirs("Choose a direction", 1)),
      part("Design", 3, ours("Lay out the pages", 2), theirs("Look at the pages", 1), ours("Change what came back", 1)),
      part("Artwork", 2, ours("Make it ready for print", 1), theirs("Sign it off", 1)),
      part("Print", 3, ours("Print and bind", 3)))),
  SCREEN("A website or a film", "Launch", new Habits(Map.of(Stage.UNDER_WAY, List.of("drawing", "building"), Stage.IN_CHECK, List.of("tried out here")),
      List.of("Words read by somebody who did not write them", "Looked at on a phone", "Works with a keyboard alone", "Rights to pictures and music are there")), List.of(
      part("Brief", 1, ours("Write the brief", 1), theirs("Send words and pictures", 1)),
      part("Structure", 2, ours("Draw the structure", 2), theirs("Agree on the structure", 1)),
      part("Design", 3, ours("Design the screens", 2), theirs("Look at the design", 1), ours("Change what came back", 1)),
      part("Making", 5, ours("Make it", 4), theirs("Try it", 1)),
      part("Launch", 1, ours("Put it out", 1))));

  private final String title;
  private final String finish;
  private final Habits habits;
  private final List<Part> parts;

  PhaseTemplate(String title, String finish, Habits habits, List<Part> parts) {
    this.title = title;
    this.finish = finish;
    this.habits = habits;
    this.parts = parts;
  }

  private record Habits(Map<Stage, List<String>> steps, List<String> checklist) {}

  private record Part(String name, int share, List<Usual> usual) {}

  private record Usual(String name, Side side, int share) {}

  private static Part part(String name, int share, Usual... usual) {
    return new Part(name, share, List.of(usual));
  }

  private static Usual ours(String name, int share) {
    return new Usual(name, Side.OURS, share);
  }

  private static Usual theirs(String name, int share) {
    return new Usual(name, Side.CLIENTS, share);
  }

  /**
   * A task this kind of work usually has, to be done after the one before it.
   *
   * @param phase its phase
   * @param days working days, 1 or more
   */
  public record LaidTask(String phase, String name, Side side, int days) {}

  /**
   * A phase with its days.
   *
   * @param startsOn its first working day
   * @param endsOn its last working day
   */
  public record Laid(String name, LocalDate startsOn, LocalDate endsOn) {}

  /** What kind of work it is for. */
  public String title() {
    return title;
  }

  /** What its last day is called. */
  public String finish() {
    return finish;
  }

  /** What the steps of its tasks are called, by stage; a stage that is missing goes by its own name. */
  public Map<Stage, List<String>> steps() {
    return habits.steps();
  }

  /** What is looked at before anything of it is released. */
  public List<String> checklist() {
    return habits.checklist();
  }

  /** The names of its phases. */
  public List<String> phases() {
    return parts.stream().map(Part::name).toList();
  }

  /** A phase with its share of the working days, 1 or more. */
  public record Share(String name, int share) {}

  /** Its phases laid out, as {@link #layOut(List, LocalDate, LocalDate, WorkingCalendar)} does. */
  public List<Laid> layOut(LocalDate start, LocalDate finish, WorkingCalendar calendar) {
    return layOut(parts.stream().map(part -> new Share(part.name(), part.share())).toList(), start, finish, calendar);
  }

  /**
   * Lays phases out over the working days from a start to a finish, one after another, each with its share and at least a day. Where
   * there are fewer working days than phases, the last ones run past the finish.
   *
   * @param finish the last day; not before {@code start}
   */
  public static List<Laid> layOut(List<Share> phases, LocalDate start, LocalDate finish, WorkingCalendar calendar) {
    if (finish.isBefore(start)) {
      throw new IllegalArgumentException("the finish " + finish + " is before the start " + start);
    }
    int days = calendar.workingDays(start, finish.plusDays(1));
    int shares = phases.stream().mapToInt(Share::share).sum();
    List<Laid> laid = new ArrayList<>();
    LocalDate first = calendar.rollForward(start);
    int before = 0;
    int usedDays = 0;
    for (Share part : phases) {
      before += part.share();
      int until = Math.max(usedDays + 1, Math.round((float) days * before / shares));
      LocalDate last = calendar.addWorkingDays(first, until - usedDays - 1);
      laid.add(new Laid(part.name(), first, last));
      first = calendar.rollForward(last.plusDays(1));
      usedDays = until;
    }
    return laid;
  }

  /** The usual tasks one after another, each phase's working days shared out among its own, at least a day each. Where there are too few days they run past the finish. */
  public List<LaidTask> tasks(LocalDate start, LocalDate finish, WorkingCalendar calendar) {
    List<Laid> laid = layOut(start, finish, calendar);
    List<LaidTask> tasks = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      Part part = parts.get(i);
      int days = calendar.workingDays(laid.get(i).startsOn(), laid.get(i).endsOn().plusDays(1));
      int shares = part.usual().stream().mapToInt(Usual::share).sum();
      int before = 0;
      int used = 0;
      for (Usual usual : part.usual()) {
        before += usual.share();
        int until = Math.max(used + 1, Math.round((float) days * before / shares));
        tasks.add(new LaidTask(part.name(), usual.name(), usual.side(), until - used));
        used = until;
      }
    }
    return tasks;
  }
}
