package app.clearpane.web.markup;

import app.clearpane.core.record.event.MarkActs;
import java.util.Optional;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.record.Act;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.web.compare.Writings;
import app.clearpane.web.layout.Refused;
import app.clearpane.web.record.Tell;
import app.clearpane.web.said.Attached;
import app.clearpane.web.said.CallByName;
import app.clearpane.web.said.Side;
import app.clearpane.web.said.TellCalled;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Places a mark on a version. */
@Component
public class PlaceMark {
  private final Deliverables deliverables;
  private final Drawings drawings;
  private final Markups markups;
  private final Writings writings;
  private final Tell tell;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final CallByName callByName;
  private final TellCalled tellCalled;

  PlaceMark(Deliverables deliverables, Drawings drawings, Markups markups, Writings writings, CallByName callByName, TellCalled tellCalled, Tell tell, ApplicationEventPublisher events, Clock clock) {
    this.callByName = callByName;
    this.tellCalled = tellCalled;
    this.events = events;
    this.writings = writings;
    this.deliverables = deliverables;
    this.drawings = drawings;
    this.markups = markups;
    this.tell = tell;
    this.clock = clock;
  }

  /** Places it. Whoever calls this has checked that the version may be seen by whoever asks. @throws Refused if it cannot stand there */
  @Transactional
  public MarkupRow on(VersionRow version, MarkForm form, List<MarkupRow.Attachment> files, Side side) {
    Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
    PaneId pane = side instanceof Side.Client client ? client.viewer().pane() : deliverable.pane();
    boolean forTeam = side instanceof Side.Team && (form.forTeam() || version.draft());
    refuseIfNotPossible(version, form, side);
    CallByName.Where where = new CallByName.Where(deliverable, version, forTeam);
    String said = form.said();
    List<MarkupRow.Reference> called = callByName.in(said, where, side);
    MarkupRow mark = new MarkupRow(new MarkupId(UUID.randomUUID()), version.id(), version.number(), pane,
        forTeam ? null : markups.nextNumber(version.id(), pane), forTeam ? markups.nextTeamNumber(version.id(), pane) : null,
        form.place(version.kind(), writings.plain(version)), form.intended(), MarkupProgress.OPEN, said, form.replacement(), side.author(), null, null, 1, clock.instant(), List.of(), List.of(),
        new MarkupRow.Beside(new MarkupRow.With(files, called), null, null, null));
    markups.add(mark);
    tellCalled.of(mark, said, called, where, side.actor());
    tell.of(deliverable.project(), deliverable.id().value(), new MarkActs.MarkPlaced(forTeam ? Act.MARK_PLACED_FOR_TEAM : Act.MARK_PLACED, side.actor(),
        deliverable.name(), mark.id(), mark.label().toString(), version.sha256(), MarkWords.where(mark.place()), mark.intent(), mark.note(), Optional.ofNullable(mark.replacement()), Attached.told(files)));
    events.publishEvent(new MarksMoved(deliverable.id(), forTeam));
    return mark;
  }

  private void refuseIfNotPossible(VersionRow version, MarkForm form, Side side) {
    if (side instanceof Side.Client client && !client.viewer().role().mayMarkUp()) {
      throw Refused.because("Your seat is for reading. Ask the studio if you would like to leave notes.");
    }
    if (form.page() < 1 || form.page() > drawings.find(version.sha256()).orElseThrow().pages()) {
      throw Refused.because("This version has no sheet " + form.page() + ". Nothing was saved.");
    }
  }
}
