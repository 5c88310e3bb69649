package app.clearpane.web.plan;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.project.Milestone;
import app.clearpane.store.project.Phase;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What clients are told of a plan beyond the single tasks they see: how much is done, where Status is open, and the days of milestones they see. */
@Component
public class PlanForClients {
  private final PlanBook book;

  PlanForClients(PlanBook book) {
    this.book = book;
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
    public static final HowFar UNTOLD = new HowFar(List.of(), null, Map.of());
  }

  /** How far things are; untold unless Status is open. */
  public HowFar howFar(Viewer viewer) {
    if (!viewer.open(ContentKind.STATUS)) {
      return HowFar.UNTOLD;
    }
    ThePlan plan = book.of(viewer.project(), viewer.planRevision());
    Map<UUID, Integer> byPhase = new HashMap<>();
    plan.phases().forEach(phase -> plan.percentOf(phase.id()).ifPresent(percent -> byPhase.put(phase.id(), percent)));
    return new HowFar(plan.phases(), plan.percent().isPresent() ? plan.percent().getAsInt() : null, byPhase);
  }

  /** The days on which these milestones, which the viewer sees, are forecast to fall. */
  public Map<ItemId, LocalDate> days(Viewer viewer, List<Milestone> seen) {
    Map<ItemId, LocalDate> days = new HashMap<>();
    if (!seen.isEmpty()) {
      ThePlan plan = book.of(viewer.project(), viewer.planRevision());
      seen.stream().filter(one -> plan.hasDays(one.id())).forEach(one -> days.put(one.id(), one.reached() ? one.fallsOn() : plan.lastDay(one.id())));
    }
    return days;
  }
}
