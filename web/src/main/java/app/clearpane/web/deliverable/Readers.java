package app.clearpane.web.deliverable;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.Reason;
import app.clearpane.core.exposure.Seat;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Verdict;
import app.clearpane.core.exposure.Visibility;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Who would get a version if it were sent now, and what stands in the way. */
@Component
public class Readers {
  private final Panes panes;
  private final Seats seats;
  private final Clock clock;

  Readers(Panes panes, Seats seats, Clock clock) {
    this.panes = panes;
    this.seats = seats;
    this.clock = clock;
  }

  /**
   * Those who would get it.
   *
   * @param signatories asked to sign, the lead voice first
   * @param others who see it and are told
   * @param obstacles sentences; empty if it may be sent
   */
  public record Audience(String pane, List<SeatRow> signatories, List<SeatRow> others, List<String> obstacles) {
    /** How many get a mail. */
    public int size() {
      return signatories.size() + others.size();
    }
  }

  /** The audience of a deliverable's deciding pane. @param rounds all it went through, whose signatories see it by name */
  public Audience of(Deliverable deliverable, List<Round> rounds) {
    Panes.All all = panes.all(deliverable.project());
    Panes.Row row = all.rows().stream().filter(one -> one.id().equals(deliverable.pane())).findFirst().orElseThrow();
    Pane pane = all.panes().stream().filter(one -> one.id().equals(row.id())).findFirst().orElseThrow();
    List<SeatRow> seated = seats.of(row.id());
    List<SeatRow> signatories = seated.stream().filter(seat -> seat.role().maySign()).toList();
    Set<ContactId> byName = Stream.concat(signatories.stream().map(SeatRow::contact), rounds.stream().flatMap(round -> round.signatories().stream()).map(Round.Signatory::contact)).collect(Collectors.toSet());
    Item addressed = new Item(deliverable.id(), ContentKind.DELIVERABLES, deliverable.name(), List.of(), Item.State.THERE, byName);
    List<SeatRow> others = seated.stream().filter(seat -> !seat.role().maySign() && verdict(addressed, pane, seat).visible()).toList();
    return new Audience(row.name(), signatories, others, obstacles(row, pane, addressed, signatories));
  }

  private List<String> obstacles(Panes.Row row, Pane pane, Item item, List<SeatRow> signatories) {
    if (row.publishedAt() == null) {
      return List.of("The pane “" + row.name() + "” is not published yet, so nobody could see it. Publish the pane first.");
    }
    if (signatories.isEmpty()) {
      return List.of("Nobody at “" + row.name() + "” is asked to sign. Give somebody the seat of a signatory first.");
    }
    Verdict verdict = verdict(item, pane, signatories.get(0));
    Optional<String> held = verdict.source().filter(source -> Set.of(Reason.HELD_BACK, Reason.HELD_BACK_ABOVE).contains(verdict.reason()));
    return held.map(source -> "“" + source + "” is held back by " + verdict.setting().orElseThrow().by() + ", so it cannot be sent. Show it on the Panes page first.")
        .map(List::of).orElse(verdict.reason() == Reason.PANE_EXPIRED ? List.of("The pane “" + row.name() + "” is closed. Give it a later last day first.") : List.of());
  }

  /** As if the seat were taken: the mail itself lets its reader in. */
  private Verdict verdict(Item item, Pane pane, SeatRow seat) {
    Seat accepted = new Seat(seat.id(), seat.pane(), seat.contact(), seat.role(), SeatState.ACCEPTED, seat.leadVoice());
    return Visibility.decide(item, pane, Optional.of(accepted), clock.instant());
  }
}
