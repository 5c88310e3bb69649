package app.clearpane.web.exposure;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.exposure.Items;
import app.clearpane.web.layout.Refused;
import java.time.Clock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Deletes a thing with all that lies in it, for everybody at once, and brings the same back. */
@Component
public class DeleteItem {
  private final Items items;
  private final Clock clock;

  DeleteItem(Items items, Clock clock) {
    this.items = items;
    this.clock = clock;
  }

  /** Takes it away. */
  @Transactional
  public void delete(ItemId item) {
    items.delete(item, clock.instant());
  }

  /** Brings it back. @throws Refused if what it lies in is deleted too, naming it */
  @Transactional
  public void restore(ItemId item) {
    items.restore(item).ifPresent(first -> {
      throw Refused.because("It lies in “" + first.name() + "”, which was deleted too. Nothing was changed; bring “" + first.name() + "” back first.");
    });
  }
}
