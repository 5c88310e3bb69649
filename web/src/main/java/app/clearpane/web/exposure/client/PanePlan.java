package app.clearpane.web.exposure.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.project.client.VisibleDates;
import app.clearpane.usecases.plan.PlanForClients;
import java.time.LocalDate;
import java.util.Map;
import org.springframework.stereotype.Component;

/** The dates on a client’s page, and how far the project is. */
@Component
class PanePlan {
    private final VisibleDates dates;
    private final PlanForClients plans;

    PanePlan(VisibleDates dates, PlanForClients plans) {
        this.dates = dates;
        this.plans = plans;
    }

    /** What is seen of it. @param days the day of each milestone, as it is forecast */
    record Seen(PlanForClients.HowFar howFar, VisibleDates.Dates dates, Map<ItemId, LocalDate> days) {}

    Seen read(Viewer viewer) {
        VisibleDates.Dates seen = dates.all(viewer);
        return new Seen(plans.howFar(viewer), seen, plans.days(viewer, seen.milestones()));
    }
}
