package app.clearpane.web.project;

import app.clearpane.core.record.event.PlanActs;
import app.clearpane.core.people.Actor;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.web.exposure.NewItem;
import app.clearpane.store.project.Milestone;
import app.clearpane.store.project.Phase;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.web.layout.Input;
import app.clearpane.web.layout.NotThere;
import app.clearpane.web.plan.KeepPlan;
import app.clearpane.web.record.Tell;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Changes the phases and milestones of a project, and puts it away. */
@Component
public class ChangePlan {
  private final Projects projects;
  private final NewItem newItem;
  private final KeepPlan keepPlan;
  private final Tell tell;
  private final Clock clock;

  ChangePlan(Projects projects, NewItem newItem, KeepPlan keepPlan, Tell tell, Clock clock) {
    this.projects = projects;
    this.newItem = newItem;
    this.keepPlan = keepPlan;
    this.tell = tell;
    this.clock = clock;
  }

  @Transactional
  void phase(ProjectId project, UUID id, PhaseForm form, Actor by) {
    Phase phase = NotThere.unless(projects.phase(project, id));
    Input input = new Input();
    Optional<LocalDate> starts = input.day("The first day", form.startsOn());
    Optional<LocalDate> ends = input.day("The last day", form.endsOn());
    input.require(starts.isEmpty() || ends.isEmpty() || !ends.get().isBefore(starts.get()), "The last day of " + phase.name() + " is before its first.");
    Optional<Phase.Stage> stage = input.one("How far it is", form.stage(), Phase.Stage::valueOf);
    input.allGood();
    move(project, new Phase(id, phase.name(), starts.orElseThrow(), ends.orElseThrow(), stage.orElseThrow(), form.revision()), by);
  }

  /** Changes a phase. */
  @Transactional
  public void move(ProjectId project, Phase wanted, Actor by) {
    projects.changePhase(project, wanted);
    keepPlan.changed(project);
    tell.of(project, wanted.id(), new PlanActs.PhaseChanged(by, wanted.name(), wanted.startsOn(), wanted.endsOn(), wanted.stage().toString()));
  }

  @Transactional
  void addMilestone(ProjectId project, String name, String fallsOn, Actor by) {
    NotThere.unless(projects.find(project));
    Input input = new Input();
    Optional<Name> named = input.name("The milestone", name);
    Optional<LocalDate> day = input.day("Its day", fallsOn);
    input.allGood();
    addMilestone(project, named.orElseThrow(), day.orElseThrow(), by);
  }

  /** Adds a milestone. */
  @Transactional
  public ItemId addMilestone(ProjectId project, Name name, LocalDate fallsOn, Actor by) {
    ItemId item = newItem.add(project, ContentKind.DATES, name.value(), Optional.empty(), by);
    projects.addMilestone(item, fallsOn);
    keepPlan.changed(project);
    tell.of(project, item.value(), new PlanActs.MilestoneAdded(by, name.value(), fallsOn));
    return item;
  }

  /** Changes a milestone. */
  @Transactional
  public void milestone(ProjectId project, ItemId id, MilestoneForm form, Actor by) {
    Milestone milestone = NotThere.unless(projects.milestones(project).stream().filter(m -> m.id().equals(id)).findFirst());
    Input input = new Input();
    Optional<LocalDate> day = input.day("The day of " + milestone.name(), form.fallsOn());
    input.allGood();
    projects.changeMilestone(new Milestone(id, milestone.name(), day.orElseThrow(), form.reached(), form.revision()), clock.instant());
    keepPlan.changed(project);
    tell.of(project, id.value(), new PlanActs.MilestoneChanged(by, milestone.name(), day.orElseThrow(), form.reached()));
  }

  /** Puts a project away. */
  @Transactional
  public void archive(ProjectId id, Actor by) {
    Project project = NotThere.unless(projects.find(id));
    projects.archive(project, clock.instant());
    tell.of(id, id.value(), new PlanActs.ProjectArchived(by, project.fullName()));
  }

  /** Takes a project up again that was put away. */
  @Transactional
  public void restore(ProjectId id, Actor by) {
    Project project = NotThere.unless(projects.find(id));
    projects.restore(project);
    tell.of(id, id.value(), new PlanActs.ProjectRestored(by, project.fullName()));
  }
}
