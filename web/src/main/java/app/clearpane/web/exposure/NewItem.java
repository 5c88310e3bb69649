package app.clearpane.web.exposure;

import app.clearpane.core.people.Actor;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.Reason;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.Panes;
import app.clearpane.web.record.Tell;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makes items, and shows them at once where items of their kind arrive Shown or a filter lets them pass (V5). */
@Component
public class NewItem {
  private final Items items;
  private final Panes panes;
  private final Tell tell;
  private final Clock clock;

  NewItem(Items items, Panes panes, Tell tell, Clock clock) {
    this.items = items;
    this.panes = panes;
    this.tell = tell;
    this.clock = clock;
  }

  /** Makes one, below another or at the top. */
  @Transactional
  public ItemId add(ProjectId project, ContentKind kind, String name, Optional<ItemId> parent, Actor by) {
    Instant now = clock.instant();
    ItemId id = items.add(project, kind, name, parent, now);
    List<Panes.Arrivals> arrivals = panes.all(project).arrivals().stream().filter(one -> one.kind() == kind).toList();
    arrivals.forEach(one -> panes.arriveShown(one.pane(), id, one.by(), now));
    for (Pane pane : panes.withSettings(project)) {
      Optional<Panes.Arrivals> shown = arrivals.stream().filter(one -> one.pane().equals(pane.id())).findFirst();
      Optional<String> filter = kind.filterable() && shown.isEmpty() ? passes(id, project, pane, now) : Optional.empty();
      if (shown.isPresent() || filter.isPresent()) {
        tell.of(project, id.value(), new Tell.Happening(Act.ITEM_ARRIVED_SHOWN, by, name,
            Map.of("pane", pane.name(), "kind", kind, "because", filter.map(one -> "it passes the filter " + one).orElse("items of its kind arrive shown"))));
      }
    }
    return id;
  }

  private Optional<String> passes(ItemId id, ProjectId project, Pane pane, Instant now) {
    Item item = items.ofProject(project).stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
    Seat anybody = new Seat(new SeatId(pane.id().value()), pane.id(), new ContactId(new UUID(0, 0)), SeatRole.READER, SeatState.ACCEPTED, false);
    Verdict verdict = Visibility.decide(item, pane, Optional.of(anybody), now);
    return verdict.visible() && verdict.reason() == Reason.PASSES_FILTER ? verdict.source() : Optional.empty();
  }
}
