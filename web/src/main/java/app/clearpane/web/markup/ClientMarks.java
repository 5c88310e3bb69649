package app.clearpane.web.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.usecases.markup.AnswerMark;
import app.clearpane.usecases.markup.EditMark;
import app.clearpane.usecases.markup.MarkForm;
import app.clearpane.usecases.markup.PlaceMark;
import app.clearpane.usecases.markup.RuleClash;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.said.Attach;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/** What those who look from outside do on a light table: place marks, answer and change them, settle clashes. */
@Component
public class ClientMarks {
    private final VisibleDeliverables deliverables;
    private final VisibleMarkups markups;
    private final PlaceMark placeMark;
    private final AnswerMark answerMark;
    private final EditMark editMark;
    private final RuleClash ruleClash;
    private final Attach attach;

    ClientMarks(
            VisibleDeliverables deliverables,
            VisibleMarkups markups,
            PlaceMark placeMark,
            AnswerMark answerMark,
            EditMark editMark,
            RuleClash ruleClash,
            Attach attach) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.placeMark = placeMark;
        this.answerMark = answerMark;
        this.editMark = editMark;
        this.ruleClash = ruleClash;
        this.attach = attach;
    }

    /**
     * Places a mark. @param once the identifier that the page made for it @param files that come with its note @throws
     * IOException if one cannot be written
     */
    public MarkupId place(
            Viewer viewer, VersionId version, Optional<UUID> once, MarkForm form, @Nullable List<MultipartFile> files)
            throws IOException {
        Version found = NotFound.unless(deliverables.version(viewer, version));
        Speaker side = new Speaker.Client(viewer);
        return placeMark
                .once(once, found, form, attach.kept(viewer.project(), side, files), side)
                .id();
    }

    /** Notes who placed a mark, where that was a guest. @param opening by which they came */
    public void placedBy(MarkupId mark, UUID opening) {
        placeMark.noteOpening(mark, opening);
    }

    /** Settles a clash. @return the page it was about */
    public int rule(Viewer viewer, VersionId version, RuleClash.RulingForm form) {
        return ruleClash.rule(NotFound.unless(deliverables.version(viewer, version)), form, new Speaker.Client(viewer));
    }

    /**
     * Answers a mark. @param files that come with the answer @return the page it stands on @throws IOException if one
     * cannot be written
     */
    public int answer(Viewer viewer, MarkupId mark, AnswerMark.AnswerForm form, @Nullable List<MultipartFile> files)
            throws IOException {
        Mark found = NotFound.unless(markups.find(viewer, mark));
        Speaker side = new Speaker.Client(viewer);
        answerMark.answer(found, form, attach.kept(viewer.project(), side, files), side);
        return found.place().page();
    }

    /** Changes what a mark says. @return the page it stands on */
    public int edit(Viewer viewer, MarkupId mark, EditMark.EditForm form) {
        Mark found = NotFound.unless(markups.find(viewer, mark));
        editMark.edit(found, form, new Speaker.Client(viewer));
        return found.place().page();
    }
}
