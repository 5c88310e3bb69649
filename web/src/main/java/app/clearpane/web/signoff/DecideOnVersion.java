package app.clearpane.web.signoff;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.signoff.Attempt;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.RoundState;
import app.clearpane.store.agency.People;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Round;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.deliverable.clientside.VisibleDeliverables;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.web.House;
import app.clearpane.web.layout.Input;
import app.clearpane.web.layout.NotThere;
import app.clearpane.web.layout.Refused;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.markup.Clashes;
import app.clearpane.web.post.Letter;
import app.clearpane.web.post.WriteMail;
import app.clearpane.web.plan.ReviewsFollow;
import app.clearpane.web.record.Tell;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes a signatory's decision on a version, confirms what it confirms, and closes the round when that is due (R2, R3). */
@Component
public class DecideOnVersion {
  private static final int LONGEST_SENTENCE = 2_000;
  private final VisibleDeliverables visible;
  private final Deliverables deliverables;
  private final Markups markups;
  private final Clashes clashes;
  private final Projects projects;
  private final People people;
  private final WriteMail mail;
  private final ReviewsFollow reviewsFollow;
  private final Tell tell;
  private final TheAgency agency;
  private final House house;
  private final Clock clock;

  DecideOnVersion(VisibleDeliverables visible, Deliverables deliverables, Markups markups, Clashes clashes, Projects projects, People people, WriteMail mail, ReviewsFollow reviewsFollow, Tell tell,
      TheAgency agency, House house, Clock clock) {
    this.visible = visible;
    this.deliverables = deliverables;
    this.markups = markups;
    this.clashes = clashes;
    this.projects = projects;
    this.people = people;
    this.mail = mail;
    this.reviewsFollow = reviewsFollow;
    this.tell = tell;
    this.agency = agency;
    this.house = house;
    this.clock = clock;
  }

  /**
   * A decision as it comes from a page.
   *
   * @param sha256 the digest of the version the page showed
   * @param typedName the signer's name as they typed it; needed to sign
   */
  public record DecisionForm(Decision decision, Sha256 sha256, String sentence, String typedName) {}

  /** Takes it. @throws Refused with what stands in the way; nothing is changed then */
  @Transactional
  public Outcome by(Viewer viewer, VersionId id, DecisionForm form) {
    VersionRow version = NotThere.unless(visible.version(viewer, id));
    Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
    deliverables.lock(deliverable.id());
    Round round = NotThere.unless(deliverables.round(id));
    String sentence = checked(form, viewer);
    List<MarkupRow> marks = markups.of(deliverable.id()).stream().filter(m -> m.pane().equals(deliverable.pane()) && !m.teamOnly()).toList();
    RoundState.Answer answer = state(viewer, version, round, marks).answer(new Attempt(viewer.contact(), form.decision(), form.sha256(), sentence));
    if (answer instanceof RoundState.Answer.Refused refused) {
      throw Refusals.of(refused.why(), deliverable.name(), round);
    }
    RoundState.Answer.Taken taken = (RoundState.Answer.Taken) answer;
    keep(viewer, version, deliverable, round, new Round.Said(viewer.contact(), viewer.name(), form.decision(), sentence, form.typedName(), version.sha256(), clock.instant()), taken);
    if (form.decision().signs()) {
      confirm(viewer, marks, taken.outcome());
    }
    tellManager(viewer, deliverable, version, form.decision(), sentence, taken);
    return taken.outcome();
  }

  private static String checked(DecisionForm form, Viewer viewer) {
    Input input = new Input();
    String sentence = input.text("Your words", form.sentence(), LONGEST_SENTENCE);
    input.require(!form.decision().signs() || !form.typedName().isBlank(), "Type your name, " + viewer.name() + ", to sign.");
    input.require(form.typedName().length() <= 120, "Your name may have 120 characters.");
    input.allGood();
    return sentence;
  }

  private RoundState state(Viewer viewer, VersionRow version, Round round, List<MarkupRow> marks) {
    List<MarkupRow> changes = marks.stream().filter(m -> m.intent() == Intent.CHANGE).toList();
    VersionRow current = deliverables.versions(version.deliverable()).stream().filter(v -> !v.draft()).reduce((earlier, later) -> later.number() > earlier.number() ? later : earlier).orElseThrow();
    return new RoundState(current.id().equals(version.id()) ? version.sha256() : Sha256.ofText("replaced:" + current.sha256()), !round.open(), round.panel(), round.decisions(),
        (int) changes.stream().filter(m -> m.told().unsettled()).count(),
        (int) changes.stream().filter(m -> viewer.contact().equals(m.author().contact()) && m.progress() != MarkupProgress.WITHDRAWN).count(),
        clashes.of(version, viewer.pane(), marks).size());
  }

  private void keep(Viewer viewer, VersionRow version, Deliverable deliverable, Round round, Round.Said said, RoundState.Answer.Taken taken) {
    deliverables.say(round.id(), said);
    Map<String, Object> payload = new HashMap<>(Map.of("version", version.number(), "sha256", version.sha256(), "decision", said.decision(), "sentence", said.sentence(),
        "typedName", said.typedName(), "round", round.number(), "outcome", taken.outcome()));
    tell.of(viewer.project(), deliverable.id().value(), new Tell.Happening("signoff.made", viewer.name(), deliverable.name(), payload));
    if (taken.closes()) {
      deliverables.close(round.id(), taken.outcome(), "the last decision", null, said.at());
      reviewsFollow.closed(viewer.project(), deliverable.id(), round.number(), taken.outcome().agreed(), viewer.name());
      tell.of(viewer.project(), deliverable.id().value(), new Tell.Happening("round.closed", viewer.name(), deliverable.name(),
          Map.of("round", round.number(), "version", version.number(), "outcome", taken.outcome())));
    }
  }

  /** Signing confirms the signer's own fixed marks; the sign-off that completes the rule confirms the rest (R2). */
  private void confirm(Viewer viewer, List<MarkupRow> marks, Outcome outcome) {
    Instant now = clock.instant();
    marks.stream().filter(m -> m.told() == MarkupProgress.FIXED).filter(m -> outcome.agreed() || viewer.contact().equals(m.author().contact())).forEach(mark -> {
      markups.move(mark, MarkupProgress.CONFIRMED, mark.fixedIn());
      markups.answer(mark.id(), new MarkupRow.Answer(MarkupProgress.Act.CONFIRM.name(), "", false, new MarkupRow.Author(viewer.name(), viewer.contact(), null), now));
    });
  }

  private void tellManager(Viewer viewer, Deliverable deliverable, VersionRow version, Decision decision, String sentence, RoundState.Answer.Taken taken) {
    Project project = projects.find(viewer.project()).orElseThrow();
    String what = deliverable.name() + ", version " + version.number();
    String stands = switch (taken.outcome()) {
      case SIGNED, SIGNED_WITH_NOTES -> "It is signed off, and the round is closed.";
      case BACK -> taken.closes() ? "It has come back: the round is closed." : "It will go back; others may still say what they want. You can close the round when you have heard enough.";
      case NOBODY_LEFT -> "Nobody is left to sign. Name somebody else, or send another version.";
      case PENDING -> "The others have still to decide.";
    };
    String said = viewer.name() + " " + DecisionWords.said(decision) + " " + what + (sentence.isEmpty() ? "." : ": “" + sentence + "”");
    people.member(project.manager()).ifPresent(manager -> mail.to(manager, new Letter(DecisionWords.subject(decision) + ": " + what, List.of(said, stands),
        "See " + deliverable.name(), house.address() + "/t/deliverables/" + deliverable.id(), agency.get().name())));
  }
}
