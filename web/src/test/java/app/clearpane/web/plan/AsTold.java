package app.clearpane.web.plan;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.core.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.SlipBook;
import java.util.HashMap;
import java.util.Map;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;

/** How the plans of the demo stood when its story had just been told, before any test changed one. */
@TestComponent
public class AsTold {
    private final Projects projects;
    private final PlanBook book;
    private final SlipBook slips;
    final Map<String, ProjectPlan> plans = new HashMap<>();
    final Map<String, SlipLedger> ledgers = new HashMap<>();

    AsTold(Projects projects, PlanBook book, SlipBook slips) {
        this.projects = projects;
        this.book = book;
        this.slips = slips;
    }

    @EventListener(ApplicationReadyEvent.class)
    @Order(1)
    void look() {
        for (Project project : projects.active()) {
            ProjectPlan plan = book.planOf(project);
            plans.put(project.name(), plan);
            slips.latest(plan).ifPresent(ledger -> ledgers.put(project.name(), ledger));
        }
    }
}
