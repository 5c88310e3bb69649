package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Moves marks on, and with a mark those that go along with it because they ask for the same. */
@Component
public class MoveMark {
    private final Deliverables deliverables;
    private final Markups markups;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    MoveMark(Deliverables deliverables, Markups markups, ApplicationEventPublisher events, Clock clock) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Moves a mark. What the team does to one of several joined marks is done to all of them as far as it can be; a
     * client speaks for their own alone.
     *
     * @throws Refused if the act is not theirs, or not possible now
     */
    void move(Mark mark, MarkupProgress.Act act, Speaker side) {
        if (side instanceof Speaker.Client client && client.viewer().byLink()) {
            throw Refused.because(
                    "Whoever comes by a link marks and answers. Confirming and reopening is for the people who "
                            + "have a seat; write what you think of it instead.");
        }
        boolean agreed = lastRound(mark)
                .filter(round -> !round.open() && round.soFar().agreed())
                .isPresent();
        if (agreed && act == MarkupProgress.Act.REOPEN && side instanceof Speaker.Client) {
            throw Refused.because(
                    "This version is agreed, so nothing on it is opened again. Leave a new note: it is kept for "
                            + "the next version, and we are told of it.");
        }
        MarkupProgress next = mark.progress()
                .after(act, side.actorOn(mark), agreed)
                .orElseThrow(
                        () -> Refused.because("Mark " + mark.label() + " is “" + MarkWords.progress(mark.progress())
                                + "”, so this cannot be done to it now. Nothing was changed."));
        Optional<VersionId> fixedIn = next == MarkupProgress.FIXED ? Optional.of(fixedIn(mark)) : Optional.empty();
        move(mark, next, fixedIn, side);
        if (!(side instanceof Speaker.Client)) {
            for (Mark other : alongWith(mark)) {
                if (other.progress()
                        .after(act, side.actorOn(other))
                        .filter(next::equals)
                        .isPresent()) {
                    move(other, next, fixedIn, side);
                    markups.answer(
                            other.id(),
                            Mark.Answer.done(
                                    act,
                                    "Together with " + mark.label() + ".",
                                    other.teamOnly(),
                                    side.actor(),
                                    clock.instant()));
                }
            }
        }
    }

    /** The round of the version that was sent last. */
    private Optional<Round> lastRound(Mark mark) {
        List<Round> rounds = deliverables.rounds(
                deliverables.version(mark.version()).orElseThrow().deliverable());
        return rounds.isEmpty() ? Optional.empty() : Optional.of(rounds.get(rounds.size() - 1));
    }

    private void move(Mark mark, MarkupProgress next, Optional<VersionId> fixedIn, Speaker side) {
        markups.move(mark, next, next == MarkupProgress.CONFIRMED ? mark.fix().map(Mark.Fix::version) : fixedIn);
        events.publishEvent(new MarkMoved(mark.id(), side.actor()));
    }

    /** The other marks that ask for the same. */
    private List<Mark> alongWith(Mark mark) {
        return markups.group(mark).stream()
                .filter(other -> !other.id().equals(mark.id()))
                .toList();
    }

    /** The newest version: what was made since the mark was placed. */
    private VersionId fixedIn(Mark mark) {
        Version marked = deliverables.version(mark.version()).orElseThrow();
        return deliverables.versions(marked.deliverable()).stream()
                .reduce((earlier, later) -> later)
                .filter(newest -> !newest.id().equals(marked.id()))
                .map(Version::id)
                .orElseThrow(() -> Refused.because("There is no newer version yet that mark " + mark.label()
                        + " could be fixed in. Upload it first, then say which marks it settles."));
    }
}
