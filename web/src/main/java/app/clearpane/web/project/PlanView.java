package app.clearpane.web.project;

import app.clearpane.store.project.Milestone;
import app.clearpane.store.project.Phase;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.web.layout.TheAgency;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** The phases and milestones of a project over its days, drawn on a width of 1,000. */
@Component
class PlanView {
  private static final double WIDTH = 1_000;
  private final Projects projects;
  private final TheAgency agency;

  PlanView(Projects projects, TheAgency agency) {
    this.projects = projects;
    this.agency = agency;
  }

  /** A phase and where its bar stands. */
  record PhaseBar(Phase phase, double x, double width) {}

  /** A milestone and where it stands. */
  record MilestoneMark(Milestone milestone, double x, boolean late) {}

  /** The first day of a month and where it stands. */
  record MonthTick(String name, double x) {}

  /** The plan as drawn; {@code today} is outside 0 to 1,000 when it lies outside the project. */
  record Plan(List<PhaseBar> phases, List<MilestoneMark> milestones, List<MonthTick> months, double today, boolean archived) {}

  Plan of(Project project) {
    List<Phase> phases = projects.phases(project.id());
    List<Milestone> milestones = projects.milestones(project.id());
    LocalDate first = phases.stream().map(Phase::startsOn).min(LocalDate::compareTo).filter(d -> d.isBefore(project.startsOn())).orElse(project.startsOn());
    LocalDate last = phases.stream().map(Phase::endsOn).max(LocalDate::compareTo).filter(d -> d.isAfter(project.agreedOn())).orElse(project.agreedOn());
    for (Milestone milestone : milestones) {
      first = milestone.fallsOn().isBefore(first) ? milestone.fallsOn() : first;
      last = milestone.fallsOn().isAfter(last) ? milestone.fallsOn() : last;
    }
    Axis axis = new Axis(first, ChronoUnit.DAYS.between(first, last) + 1);
    LocalDate today = agency.today();
    return new Plan(phases.stream().map(p -> new PhaseBar(p, axis.x(p.startsOn()), axis.x(p.endsOn().plusDays(1)) - axis.x(p.startsOn()))).toList(),
        milestones.stream().map(m -> new MilestoneMark(m, axis.x(m.fallsOn()), !m.reached() && m.fallsOn().isBefore(today))).toList(), axis.months(), axis.x(today),
        project.archivedAt() != null);
  }

  private record Axis(LocalDate first, long days) {
    double x(LocalDate day) {
      return WIDTH * ChronoUnit.DAYS.between(first, day) / days;
    }

    List<MonthTick> months() {
      List<MonthTick> ticks = new ArrayList<>();
      long step = Math.max(1, days / 370);
      for (LocalDate month = first.withDayOfMonth(1).plusMonths(1); x(month) < WIDTH - 20; month = month.plusMonths(step)) {
        ticks.add(new MonthTick(month.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, java.util.Locale.UK).replace("Sept", "Sep")
            + (month.getMonthValue() == 1 ? " " + month.getYear() : ""), x(month)));
      }
      return ticks;
    }
  }
}
