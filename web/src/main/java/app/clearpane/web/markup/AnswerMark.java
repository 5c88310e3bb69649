package app.clearpane.web.markup;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.store.Stale;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.web.layout.Input;
import app.clearpane.web.layout.Refused;
import app.clearpane.web.record.Tell;
import java.time.Clock;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says something in a mark's thread, or moves the mark on. */
@Component
public class AnswerMark {
  private final Deliverables deliverables;
  private final Markups markups;
  private final Tell tell;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  AnswerMark(Deliverables deliverables, Markups markups, Tell tell, ApplicationEventPublisher events, Clock clock) {
    this.events = events;
    this.deliverables = deliverables;
    this.markups = markups;
    this.tell = tell;
    this.clock = clock;
  }

  /**
   * An answer as it comes from a page.
   *
   * @param act what is done to the mark; empty or missing if something is only said
   * @param audience "team" keeps what is said from clients
   * @param revision of the mark, as it was seen
   */
  public record AnswerForm(@Nullable String act, @Nullable String said, @Nullable String audience, int revision) {}

  /** Does both. Whoever calls this has checked that the mark may be seen by whoever asks. */
  @Transactional
  public void to(MarkupRow mark, AnswerForm form, Side side) {
    if (side instanceof Side.Client client && !client.viewer().role().mayMarkUp()) {
      throw Refused.because("Your seat is for reading. Ask the studio if you would like to answer.");
    }
    Optional<MarkupProgress.Act> act = Arrays.stream(MarkupProgress.Act.values()).filter(known -> known.name().equals(form.act())).findFirst();
    String said = said(form, act);
    VersionRow version = deliverables.version(mark.version()).orElseThrow();
    Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
    deliverables.lock(deliverable.id());
    act.ifPresent(wanted -> move(mark, wanted, form, side, version));
    boolean forTeam = side instanceof Side.Team && ("team".equals(form.audience()) || mark.teamOnly());
    MarkupRow.Answer answer = new MarkupRow.Answer(act.map(Enum::name).orElse(null), said, forTeam && act.isEmpty(), side.author(), clock.instant());
    markups.answer(mark.id(), answer);
    tell.of(deliverable.project(), deliverable.id().value(), new Tell.Happening("mark." + (act.isEmpty() ? "answered" : act.get().name().toLowerCase(java.util.Locale.ROOT).replace('_', '-')),
        answer.author().name(), deliverable.name(), Map.of("mark", mark.id(), "label", mark.label().toString(), "said", said, "forTeam", answer.teamOnly())));
    events.publishEvent(new MarksMoved(deliverable.id(), answer.teamOnly() || mark.teamOnly()));
  }

  private static String said(AnswerForm form, Optional<MarkupProgress.Act> act) {
    Input input = new Input();
    String said = input.text("The answer", form.said() == null ? "" : form.said(), MarkForm.LONGEST_NOTE);
    input.require(act.isPresent() || !said.isEmpty(), "Write an answer first.");
    input.require(act.filter(MarkupProgress.Act.SET_ASIDE::equals).isEmpty() || !said.isEmpty(), "Say why it is set aside, so that its author can follow.");
    input.allGood();
    return said;
  }

  private void move(MarkupRow seen, MarkupProgress.Act act, AnswerForm form, Side side, VersionRow version) {
    MarkupRow mark = markups.find(seen.id()).orElseThrow();
    if (mark.revision() != form.revision()) {
      throw new Stale("Mark " + mark.label());
    }
    MarkupProgress next = mark.progress().after(act, side.actorOn(mark))
        .orElseThrow(() -> Refused.because("Mark " + mark.label() + " is “" + MarkWords.progress(mark.progress()) + "”, so this cannot be done to it now. Nothing was changed."));
    markups.move(mark, next, next == MarkupProgress.FIXED ? fixedIn(version) : next == MarkupProgress.CONFIRMED ? mark.fixedIn() : null);
  }

  /** The newest version: what was made since the mark was placed. */
  private VersionId fixedIn(VersionRow marked) {
    return deliverables.versions(marked.deliverable()).stream().reduce((earlier, later) -> later).filter(newest -> !newest.id().equals(marked.id())).map(VersionRow::id)
        .orElseThrow(() -> Refused.because("There is no newer version yet that it could be fixed in. Upload it first, then say which marks it settles."));
  }
}
