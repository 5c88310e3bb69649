package app.clearpane.web.plan;

import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.plan.PlannedTask;
import app.clearpane.store.plan.Tasks;
import app.clearpane.store.project.Projects;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what a plan is after something about it changed: the stages of what gathers others, and the plan as this day will end. */
@Component
public class KeepPlan {
  private final Projects projects;
  private final Tasks tasks;
  private final Agreements agreements;
  private final PlanBook book;

  KeepPlan(Projects projects, Tasks tasks, Agreements agreements, PlanBook book) {
    this.projects = projects;
    this.tasks = tasks;
    this.agreements = agreements;
    this.book = book;
  }

  /** Called in the transaction of the change, after it. */
  @Transactional(propagation = Propagation.MANDATORY)
  public ThePlan changed(ProjectId project) {
    projects.planChanged(project);
    ThePlan plan = book.fresh(project);
    for (PlannedTask task : plan.tasks()) {
      Stage stage = plan.outline().stage(task.id());
      if (!plan.outline().isLeaf(task.id()) && task.task().stage() != stage) {
        tasks.gathered(task.id(), stage);
      }
    }
    agreements.endOfDay(project, plan.today(), PlanBook.text(plan).write());
    return plan;
  }
}
