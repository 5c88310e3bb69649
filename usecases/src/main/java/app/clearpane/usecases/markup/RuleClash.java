package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Clash;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.record.event.DecisionActs;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.markup.Rulings;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Settles a clash: one of the two marks is followed, the other is set aside. The lead voice rules; where there is none,
 * a manager (M6).
 */
@Component
public class RuleClash {
    private static final int LONGEST_REASON = 1_000;
    private final Deliverables deliverables;
    private final Markups markups;
    private final Rulings rulings;
    private final Clashes clashes;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final NoteMarkChange change;

    RuleClash(
            Deliverables deliverables,
            Markups markups,
            Rulings rulings,
            Clashes clashes,
            ApplicationEventPublisher events,
            Clock clock,
            NoteMarkChange change) {
        this.change = change;
        this.events = events;
        this.deliverables = deliverables;
        this.markups = markups;
        this.rulings = rulings;
        this.clashes = clashes;
        this.clock = clock;
    }

    /**
     * A ruling as it comes from a page.
     *
     * @param first the mark of the clash that was placed earlier
     * @param holds the one that is followed
     */
    public record RulingForm(
            MarkupId first,
            MarkupId second,
            MarkupId holds,
            @Nullable String reason) {}

    /**
     * Rules. Whoever calls this has checked that the version may be seen by whoever rules. @return the page it was
     * about
     */
    @Transactional
    public int rule(Version version, RulingForm form, Speaker side) {
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        deliverables.lock(deliverable.id());
        refuseUnlessTheirs(deliverable, side);
        List<Mark> marks = markups.marksOf(deliverable.id());
        Clash clash = new Clash(form.first(), form.second());
        Clashes.Open open = clashes.openOn(version, deliverable.pane(), marks).stream()
                .filter(one -> one.first().id().equals(clash.first())
                        && one.second().id().equals(clash.second()))
                .findFirst()
                .orElseThrow(() ->
                        Refused.because("This clash is settled already, or one of its marks was taken back meanwhile. "
                                + "Nothing was changed; look again."));
        Mark holds = open.both().stream()
                .filter(mark -> mark.id().equals(form.holds()))
                .findFirst()
                .orElseThrow(() -> Refused.because("Choose which of the two marks is followed."));
        Mark loses = open.first().id().equals(holds.id()) ? open.second() : open.first();
        String reason = reason(form);
        Instant now = clock.instant();
        rulings.add(new Rulings.Ruling(clash, holds.id(), reason, side.actor(), now));
        markups.move(loses, MarkupProgress.SET_ASIDE, Optional.empty());
        events.publishEvent(new MarkMoved(loses.id(), side.actor()));
        String said = holds.label() + " is followed." + (reason.isEmpty() ? "" : " " + reason);
        markups.answer(loses.id(), Mark.Answer.done(MarkupProgress.Act.SET_ASIDE, said, false, side.actor(), now));
        change.note(
                deliverable,
                new DecisionActs.ClashRuled(
                        side.actor(),
                        deliverable.name(),
                        holds.label().toString(),
                        loses.label().toString(),
                        reason,
                        version.sha256()),
                false);
        events.publishEvent(new ClashSettled(deliverable, version, holds, loses, reason, side.actor()));
        return open.page();
    }

    private void refuseUnlessTheirs(Deliverable deliverable, Speaker side) {
        Optional<SeatRow> leadVoice = clashes.leadVoice(deliverable.pane());
        boolean theirs = side instanceof Speaker.Client client
                ? client.viewer().leadVoice() && client.viewer().pane().equals(deliverable.pane())
                : leadVoice.isEmpty()
                        && side instanceof Speaker.Team team
                        && team.member().role().mayPublish();
        if (!theirs) {
            throw Refused.because(leadVoice
                    .map(seat -> seat.name() + " speaks for the client, so this is theirs to settle.")
                    .orElse("A manager settles this, since nobody speaks for the client here."));
        }
    }

    private static String reason(RulingForm form) {
        Input input = new Input();
        String reason = input.text("The reason", form.reason() == null ? "" : form.reason(), LONGEST_REASON);
        input.allGood();
        return reason;
    }
}
