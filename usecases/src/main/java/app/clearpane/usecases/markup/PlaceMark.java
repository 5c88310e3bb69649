package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.event.MarkActs;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.compare.Writings;
import app.clearpane.usecases.said.Attached;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.said.TellCalled;
import app.clearpane.usecases.shell.Refused;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Places a mark on a version. */
@Component
public class PlaceMark {
    private final Deliverables deliverables;
    private final Markups markups;
    private final Writings writings;
    private final Clock clock;
    private final TellCalled tellCalled;
    private final NoteMarkChange change;
    private final TellOfLateMark tellOfLateMark;

    PlaceMark(
            Deliverables deliverables,
            Markups markups,
            Writings writings,
            TellCalled tellCalled,
            Clock clock,
            NoteMarkChange change,
            TellOfLateMark tellOfLateMark) {
        this.tellOfLateMark = tellOfLateMark;
        this.change = change;
        this.tellCalled = tellCalled;
        this.writings = writings;
        this.deliverables = deliverables;
        this.markups = markups;
        this.clock = clock;
    }

    /**
     * Places it once, however often it is sent.
     *
     * @param once the identifier that the page made for it; empty if it made none
     */
    @Transactional
    public Mark once(Optional<UUID> once, Version version, MarkForm form, List<Mark.Attachment> files, Speaker side) {
        Optional<Mark> before = once.flatMap(id -> markups.find(new MarkupId(id)));
        if (before.isPresent()) {
            return before.filter(mark -> mark.version().equals(version.id())
                            && mark.author().equals(side.actor().asAuthor()))
                    .orElseThrow(() -> Refused.because(
                            "This note could not be told from another one. Copy your words, open the page "
                                    + "anew and leave the note again."));
        }
        return place(new MarkupId(once.orElseGet(UUID::randomUUID)), version, form, files, side);
    }

    /**
     * Places it. Whoever calls this has checked that the version may be seen by whoever asks. @throws Refused if it
     * cannot stand there
     */
    @Transactional
    public Mark place(Version version, MarkForm form, List<Mark.Attachment> files, Speaker side) {
        return place(new MarkupId(UUID.randomUUID()), version, form, files, side);
    }

    /** Notes by which opening of a link a guest came who placed a mark, so that they are told what becomes of it. */
    @Transactional
    public void noteOpening(MarkupId mark, UUID opening) {
        markups.placedBy(mark, opening);
    }

    private Mark place(MarkupId id, Version version, MarkForm form, List<Mark.Attachment> files, Speaker side) {
        Deliverable deliverable = deliverables.find(version.deliverable()).orElseThrow();
        PaneId pane = side instanceof Speaker.Client client ? client.viewer().pane() : deliverable.pane();
        boolean forTeam = side instanceof Speaker.Team && (form.forTeam() || version.draft());
        refuseIfNotPossible(version, form, side);
        CallByName.Where where = new CallByName.Where(deliverable, version, forTeam);
        String said = form.said();
        List<Mark.Reference> called = tellCalled.called(said, where, side);
        Mark mark = Mark.placed(
                id,
                version.id(),
                pane,
                markups.nextLabel(version, pane, forTeam),
                form.place(version.kind(), writings.plain(version)),
                new Mark.Wish(form.intended(), said, Optional.ofNullable(form.replacement())),
                side.actor(),
                clock.instant(),
                Mark.Beside.with(new Mark.With(files, called)));
        markups.add(mark);
        tellCalled.tell(mark, said, called, where, side.actor());
        change.note(
                deliverable,
                new MarkActs.MarkPlaced(
                        forTeam ? Act.MARK_PLACED_FOR_TEAM : Act.MARK_PLACED,
                        side.actor(),
                        deliverable.name(),
                        mark.id(),
                        mark.label().toString(),
                        version.sha256(),
                        MarkWords.where(mark.place()),
                        mark.intent(),
                        mark.note(),
                        mark.replacement(),
                        Attached.told(files)),
                forTeam);
        if (side instanceof Speaker.Client) {
            tellOfLateMark.tell(deliverable, version, mark);
        }
        return mark;
    }

    private void refuseIfNotPossible(Version version, MarkForm form, Speaker side) {
        if (side instanceof Speaker.Client client && !client.viewer().role().mayMarkUp()) {
            throw Refused.because("Your seat is for reading. Ask us if you would like to leave notes.");
        }
        if (form.page() < 1 || form.page() > writings.sheets(version)) {
            throw Refused.because("This version has no sheet " + form.page() + ". Nothing was saved.");
        }
    }
}
