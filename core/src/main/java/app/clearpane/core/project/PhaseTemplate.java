package app.clearpane.core.project;

import app.clearpane.core.plan.WorkingCalendar;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** The phases a kind of work usually has, with their shares of its working days. */
public enum PhaseTemplate {
  SPACE("A place or an exhibition", "Opening", List.of(new Part("Discover", 2), new Part("Concept", 3), new Part("Design", 4), new Part("Artwork", 4),
      new Part("Fabrication", 5), new Part("Opening", 1))),
  PRINTED("Something printed", "Delivery", List.of(new Part("Brief", 1), new Part("Concept", 2), new Part("Design", 3), new Part("Artwork", 2), new Part("Print", 3))),
  SCREEN("A website or a film", "Launch", List.of(new Part("Brief", 1), new Part("Structure", 2), new Part("Design", 3), new Part("Making", 5), new Part("Launch", 1)));

  private final String title;
  private final String finish;
  private final List<Part> parts;

  PhaseTemplate(String title, String finish, List<Part> parts) {
    this.title = title;
    this.finish = finish;
    this.parts = parts;
  }

  private record Part(String name, int share) {}

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

  /** The names of its phases. */
  public List<String> phases() {
    return parts.stream().map(Part::name).toList();
  }

  /**
   * Lays the phases out over the working days from a start to a finish, one after another, each with its share and at least a day. Where
   * there are fewer working days than phases, the last ones run past the finish.
   *
   * @param finish the last day; not before {@code start}
   */
  public List<Laid> layOut(LocalDate start, LocalDate finish, WorkingCalendar calendar) {
    if (finish.isBefore(start)) {
      throw new IllegalArgumentException("the finish " + finish + " is before the start " + start);
    }
    int days = calendar.workingDays(start, finish.plusDays(1));
    int shares = parts.stream().mapToInt(Part::share).sum();
    List<Laid> laid = new ArrayList<>();
    LocalDate first = calendar.rollForward(start);
    int before = 0;
    int usedDays = 0;
    for (Part part : parts) {
      before += part.share();
      int until = Math.max(usedDays + 1, Math.round((float) days * before / shares));
      LocalDate last = calendar.addWorkingDays(first, until - usedDays - 1);
      laid.add(new Laid(part.name(), first, last));
      first = calendar.rollForward(last.plusDays(1));
      usedDays = until;
    }
    return laid;
  }
}
