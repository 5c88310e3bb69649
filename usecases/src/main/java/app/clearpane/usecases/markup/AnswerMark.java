package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.store.Stale;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.said.Attached;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.said.TellCalled;
import app.clearpane.usecases.said.TellGuest;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says something in a mark's thread, or moves the mark on. */
@Component
public class AnswerMark {
    /** What is put right is told with the version it is put right in. */
    private static final Set<MarkupProgress.Act> TOLD_AT_ONCE =
            EnumSet.of(MarkupProgress.Act.SET_ASIDE, MarkupProgress.Act.REOPEN);

    private final Deliverables deliverables;
    private final Markups markups;
    private final Clock clock;
    private final MoveMark moveMark;
    private final TellCalled tellCalled;
    private final TellGuest tellGuest;
    private final NoteMarkChange change;

    AnswerMark(
            Deliverables deliverables,
            Markups markups,
            MoveMark moveMark,
            TellCalled tellCalled,
            TellGuest tellGuest,
            Clock clock,
            NoteMarkChange change) {
        this.change = change;
        this.moveMark = moveMark;
        this.tellCalled = tellCalled;
        this.tellGuest = tellGuest;
        this.deliverables = deliverables;
        this.markups = markups;
        this.clock = clock;
    }

    /**
     * An answer as it comes from a page.
     *
     * @param act what is done to the mark; empty or missing if something is only said
     * @param audience "team" keeps what is said from clients
     * @param revision of the mark, as it was seen
     */
    public record AnswerForm(
            @Nullable String act,
            @Nullable String said,
            @Nullable String audience,
            int revision) {}

    /** Does both. Whoever calls this has checked that the mark may be seen by whoever asks. */
    @Transactional
    public void answer(Mark mark, AnswerForm form, List<Mark.Attachment> files, Speaker side) {
        if (side instanceof Speaker.Client client && !client.viewer().role().mayMarkUp()) {
            throw Refused.because("Your seat is for reading. Ask us if you would like to answer.");
        }
        Optional<MarkupProgress.Act> act = Arrays.stream(MarkupProgress.Act.values())
                .filter(known -> known.name().equals(form.act()))
                .findFirst();
        String said = said(form, act, files);
        Version version = deliverables.version(mark.version()).orElseThrow();
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        deliverables.lock(deliverable.id());
        act.ifPresent(wanted -> move(mark, wanted, form, side));
        boolean forTeam =
                side instanceof Speaker.Team && ("team".equals(form.audience()) || mark.teamOnly()) && act.isEmpty();
        CallByName.Where where = new CallByName.Where(deliverable, version, forTeam || mark.teamOnly());
        List<Mark.Reference> called = tellCalled.called(said, where, side);
        Mark.Answer answer =
                new Mark.Answer(act, said, forTeam, side.actor(), clock.instant(), new Mark.With(files, called));
        markups.answer(mark.id(), answer);
        tellCalled.tell(mark, said, called, where, side.actor());
        if (side instanceof Speaker.Team
                && (act.isEmpty() || act.get() == MarkupProgress.Act.FIX || TOLD_AT_ONCE.contains(act.get()))) {
            tellGuest.writeTo(mark, said, act.map(MarkWords::done), where, side.actor());
        }
        if (act.isEmpty() || TOLD_AT_ONCE.contains(act.get())) {
            tellCalled.writerOf(mark, said, act.map(MarkWords::done), called, where, side.actor());
        }
        change.note(
                deliverable,
                new MarkActs.MarkAnswered(
                        act.map(AnswerMark::told).orElse(Act.MARK_ANSWERED),
                        side.actor(),
                        deliverable.name(),
                        mark.id(),
                        mark.label().toString(),
                        said,
                        where.forTeam(),
                        Attached.told(files)),
                answer.teamOnly() || mark.teamOnly());
    }

    private static Act told(MarkupProgress.Act act) {
        return switch (act) {
            case TAKE_ON -> Act.MARK_TAKE_ON;
            case FIX -> Act.MARK_FIX;
            case SET_ASIDE -> Act.MARK_SET_ASIDE;
            case CONFIRM -> Act.MARK_CONFIRM;
            case REOPEN -> Act.MARK_REOPEN;
            case WITHDRAW -> Act.MARK_WITHDRAW;
        };
    }

    private static String said(AnswerForm form, Optional<MarkupProgress.Act> act, List<Mark.Attachment> files) {
        Input input = new Input();
        String said = input.text("The answer", form.said() == null ? "" : form.said(), MarkForm.LONGEST_NOTE);
        input.require(act.isPresent() || !said.isEmpty() || !files.isEmpty(), "Write an answer first.");
        input.require(
                act.filter(MarkupProgress.Act.SET_ASIDE::equals).isEmpty() || !said.isEmpty(),
                "Say why it is set aside, so that its author can follow.");
        input.allGood();
        return said;
    }

    private void move(Mark seen, MarkupProgress.Act act, AnswerForm form, Speaker side) {
        Mark mark = markups.find(seen.id()).orElseThrow();
        if (mark.revision() != form.revision()) {
            throw new Stale("Mark " + mark.label());
        }
        moveMark.move(mark, act, side);
        if (act == MarkupProgress.Act.TAKE_ON
                && side instanceof Speaker.Team team
                && mark.beside().doer().isEmpty()) {
            markups.give(markups.find(mark.id()).orElseThrow(), team.member().memberId());
        }
    }
}
