package app.clearpane.usecases.plan;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.plan.Slip;
import app.clearpane.core.plan.SlipLedger;
import app.clearpane.core.project.Milestone;
import app.clearpane.core.project.Phase;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What clients are told of a plan beyond the single tasks they see: how much is done, where Status is open, and the
 * days of milestones they see.
 */
@Component
public class PlanForClients {
    private final PlanBook book;
    private final SlipBook slips;

    PlanForClients(PlanBook book, SlipBook slips) {
        this.book = book;
        this.slips = slips;
    }

    /**
     * How far things are (V7).
     *
     * @param phases in order
     * @param all percent of the whole project; null where there is nothing to do
     * @param byPhase percent of each phase that has tasks
     */
    public record HowFar(List<Phase> phases, @Nullable Integer all, Map<UUID, Integer> byPhase) {
        /** Nothing is told. */
        static final HowFar UNTOLD = new HowFar(List.of(), null, Map.of());
    }

    /** How far things are; untold unless Status is open. */
    public HowFar howFar(Viewer viewer) {
        if (!viewer.open(ContentKind.STATUS)) {
            return HowFar.UNTOLD;
        }
        ProjectPlan plan = book.planOf(viewer.project(), viewer.planRevision());
        Map<UUID, Integer> byPhase = new HashMap<>();
        plan.phases()
                .forEach(phase -> plan.percentOf(phase.id()).ifPresent(percent -> byPhase.put(phase.id(), percent)));
        return new HowFar(
                plan.phasesAsTheyStand(),
                plan.percent().isPresent() ? plan.percent().getAsInt() : null,
                byPhase);
    }

    /**
     * The account of the days for somebody who sees it: what everything waited for is named only where they see that
     * task.
     *
     * @param side "client", "team" or "plan"
     */
    public record DayLost(LocalDate on, int days, String side, String because) {}

    /**
     * All of it. @param reserve working days the plan as agreed left before the agreed finish @param late working days
     * after that finish as forecast
     */
    public record Account(
            LocalDate agreedOn,
            LocalDate agreedFinish,
            Slip sum,
            int reserve,
            int late,
            List<DayLost> days,
            LocalDate finish) {}

    /** The account since the latest agreement. @param seen the tasks the viewer sees, by their names */
    public Optional<Account> account(Viewer viewer, Map<ItemId, String> seen) {
        ProjectPlan plan = book.planOf(viewer.project(), viewer.planRevision());
        return slips.latest(plan).map(ledger -> {
            List<DayLost> days = new ArrayList<>();
            for (SlipLedger.Day day : ledger.days()) {
                String because = day.because()
                        .map(task -> seen.getOrDefault(task.id(), ""))
                        .orElse("");
                add(days, new DayLost(day.on(), day.slip().client(), "client", because));
                add(days, new DayLost(day.on(), day.slip().team(), "team", because));
                add(days, new DayLost(day.on(), day.slip().planChange(), "plan", ""));
            }
            ProjectPlan.Agreed agreed = plan.agreed().orElseThrow();
            return new Account(
                    agreed.setOn(),
                    agreed.finish(),
                    ledger.sum(),
                    ledger.reserve(),
                    ledger.late(),
                    days,
                    plan.finish());
        });
    }

    private static void add(List<DayLost> days, DayLost lost) {
        if (lost.days() != 0) {
            days.add(lost);
        }
    }

    /** The days of milestones seen through all panes of one contact; of plans that are not remembered, all at once. */
    public Map<ItemId, LocalDate> days(AllPanes all, Map<PaneId, List<Milestone>> seen) {
        book.readAhead(all.viewers().stream()
                .filter(viewer -> seen.containsKey(viewer.pane()))
                .collect(Collectors.toMap(Viewer::project, Viewer::planRevision, (one, same) -> one)));
        Map<ItemId, LocalDate> days = new HashMap<>();
        all.viewers().forEach(viewer -> days.putAll(days(viewer, seen.getOrDefault(viewer.pane(), List.of()))));
        return days;
    }

    /** The days on which these milestones, which the viewer sees, are forecast to fall. */
    public Map<ItemId, LocalDate> days(Viewer viewer, List<Milestone> seen) {
        Map<ItemId, LocalDate> days = new HashMap<>();
        if (!seen.isEmpty()) {
            ProjectPlan plan = book.planOf(viewer.project(), viewer.planRevision());
            seen.stream()
                    .filter(one -> plan.hasDays(one.id()))
                    .forEach(one -> days.put(one.id(), one.reached() ? one.fallsOn() : plan.lastDay(one.id())));
        }
        return days;
    }
}
