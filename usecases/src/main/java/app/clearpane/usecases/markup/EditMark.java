package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.core.signoff.CountMarks;
import app.clearpane.store.Stale;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.said.TellCalled;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes what a mark says, by whoever left it and as long as its round is open. What it said before is kept and can be
 * had back.
 */
@Component
public class EditMark {
    private final Deliverables deliverables;
    private final Markups markups;
    private final Clock clock;
    private final CallByName callByName;
    private final TellCalled tellCalled;
    private final NoteMarkChange change;

    EditMark(
            Deliverables deliverables,
            Markups markups,
            CallByName callByName,
            TellCalled tellCalled,
            Clock clock,
            NoteMarkChange change) {
        this.change = change;
        this.deliverables = deliverables;
        this.markups = markups;
        this.callByName = callByName;
        this.tellCalled = tellCalled;
        this.clock = clock;
    }

    /** A change as it comes from a page. @param revision of the mark, as it was seen */
    public record EditForm(
            @Nullable String note,
            @Nullable String intent,
            @Nullable String instead,
            int revision) {}

    /** Changes it. Whoever calls this has checked that the mark may be seen by whoever asks. */
    @Transactional
    public void edit(Mark seen, EditForm form, Speaker side) {
        Input input = new Input();
        String note = input.text("The note", Objects.requireNonNullElse(form.note(), ""), MarkForm.LONGEST_NOTE);
        String instead =
                input.text("The wording", Objects.requireNonNullElse(form.instead(), ""), MarkForm.LONGEST_NOTE);
        input.require(!note.isEmpty() || !instead.isEmpty(), "Write a note to the mark first.");
        input.allGood();
        Intent intent = Arrays.stream(Intent.values())
                .filter(known -> known.name().equals(form.intent()))
                .findFirst()
                .orElseThrow(() ->
                        Refused.because("Say what the mark is: a change, a question, an idea, or something to keep."));
        Version version = deliverables.version(seen.version()).orElseThrow();
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        deliverables.lock(deliverable.id());
        Mark mark = markups.find(seen.id()).orElseThrow();
        if (mark.revision() != form.revision()) {
            throw new Stale("Mark " + mark.label());
        }
        refuseUnlessTheirs(mark, version, side);
        Mark.Wish words = new Mark.Wish(intent, note, instead.isEmpty() ? Optional.empty() : Optional.of(instead));
        if (words.equals(new Mark.Wish(mark.intent(), mark.note(), mark.replacement()))) {
            return;
        }
        CallByName.Where where = new CallByName.Where(deliverable, version, mark.teamOnly());
        List<Mark.Reference> called = callByName.in(note, where, side);
        markups.edit(mark, words, called, clock.instant());
        tellCalled.tell(
                mark,
                note,
                called.stream()
                        .filter(one -> !mark.beside().with().references().contains(one))
                        .toList(),
                where,
                side.actor());
        change.note(
                deliverable,
                new MarkActs.MarkEdited(
                        side.actor(),
                        deliverable.name(),
                        mark.id(),
                        mark.label().toString(),
                        note,
                        intent,
                        mark.note(),
                        mark.teamOnly()),
                mark.teamOnly());
    }

    private void refuseUnlessTheirs(Mark mark, Version version, Speaker side) {
        if (!side.actorOn(mark).author()
                || side instanceof Speaker.Client client
                        && (client.viewer().byLink() || !client.viewer().role().mayMarkUp())) {
            throw Refused.because("Only whoever left a note can change it. Answer it instead. Nothing was changed.");
        }
        if (!mark.progress().unsettled()) {
            throw Refused.because("This note is “" + MarkWords.progress(mark.progress())
                    + "” already, so it stays as it is. Answer it instead.");
        }
        if (deliverables
                .round(version.id())
                .filter(round -> CountMarks.isKeptAsItIs(mark, round))
                .isPresent()) {
            throw Refused.because(
                    "The round is closed: what was asked for in it stays as it was. Answer the note, or leave "
                            + "another one.");
        }
    }
}
