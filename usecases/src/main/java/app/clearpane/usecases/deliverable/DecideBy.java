package app.clearpane.usecases.deliverable;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.plan.Due;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** By when a version is to be decided on. */
@Component
public class DecideBy {
    private final PlanBook plans;
    private final Projects projects;
    private final TheAgency agency;
    private final Lasting lasting;

    DecideBy(PlanBook plans, Projects projects, TheAgency agency, Lasting lasting) {
        this.plans = plans;
        this.projects = projects;
        this.agency = agency;
        this.lasting = lasting;
    }

    /** What of the plan a decision may be due before. */
    public List<ProjectPlan.Named> begins(Project project) {
        return plans.planOf(project).begins(Optional.empty());
    }

    /** When it is to be decided on: at the hour, or else when the day's work ends. */
    Instant dueAt(Deliverable deliverable, Due chosen, Instant now) {
        if (chosen.equals(Due.NONE)) {
            return agency.calendar().due(now, deliverable.reviewDays());
        }
        ProjectPlan plan = plans.planOf(projects.find(deliverable.project()).orElseThrow());
        Due reckoned = chosen.before().isEmpty()
                ? chosen
                : chosen.before()
                        .filter(rule -> plan.hasDays(rule.activity()))
                        .map(rule -> chosen.reckoned(plan.firstDay(rule.activity()), agency.calendar()))
                        .orElseThrow(() -> Refused.because(
                                "What it is to be decided on before is not in this plan any more. Nothing "
                                        + "was sent; choose something else."));
        Instant due = reckoned.decidedBy(agency.calendar()).orElseThrow();
        if (!due.isAfter(now)) {
            throw Refused.because("They would have to decide by " + lasting.due(due)
                    + ", which is past. Nothing was sent; choose a later time.");
        }
        return due;
    }
}
