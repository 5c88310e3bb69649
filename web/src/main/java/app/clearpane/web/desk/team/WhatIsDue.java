package app.clearpane.web.desk.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.turns.TurnLedger;
import app.clearpane.store.plan.Tasks;
import app.clearpane.usecases.deliverable.DeliverableState;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What is to be done next, this week, and on any day. */
@Component
class WhatIsDue {
    private final Tasks tasks;
    private final NextMoves nextMoves;
    private final ThisWeek thisWeek;
    private final AllDates allDates;

    WhatIsDue(Tasks tasks, NextMoves nextMoves, ThisWeek thisWeek, AllDates allDates) {
        this.tasks = tasks;
        this.nextMoves = nextMoves;
        this.thisWeek = thisWeek;
        this.allDates = allDates;
    }

    List<NextMoves.Line> moves(
            List<DeliverableState> works, Map<ProjectId, ProjectPlan> plans, ReadAddressed.Addressed unsettled) {
        Map<ItemId, TurnLedger> ledgers =
                plans.values().stream().anyMatch(ProjectPlan::isPlanned) ? tasks.ledgers(plans.keySet()) : Map.of();
        return nextMoves.rank(works, plans, ledgers, unsettled);
    }

    List<ThisWeek.Due> thisWeek(List<DeliverableState> works, Map<ProjectId, ProjectPlan> plans) {
        return thisWeek.due(works, plans);
    }

    List<ThisWeek.Unsorted> unsorted(List<DeliverableState> works, Map<ProjectId, ProjectPlan> plans) {
        return thisWeek.unsorted(works, plans);
    }

    List<AllDates.Dated> dated(
            List<DeliverableState> works, Map<ProjectId, ProjectPlan> plans, ReadAddressed.Addressed unsettled) {
        return allDates.gather(works, plans, unsettled);
    }
}
