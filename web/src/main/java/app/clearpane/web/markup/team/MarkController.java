package app.clearpane.web.markup.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.markup.AnswerMark;
import app.clearpane.usecases.markup.EditMark;
import app.clearpane.usecases.markup.MarkForm;
import app.clearpane.usecases.markup.PlaceMark;
import app.clearpane.usecases.markup.RuleClash;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.said.Attach;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Marks of the team: placed, answered, changed, ruled on. */
@TeamController
@ForOutsideMakers
class MarkController {
    private final Deliverables deliverables;
    private final Markups markups;
    private final PlaceMark placeMark;
    private final AnswerMark answerMark;
    private final EditMark editMark;
    private final RuleClash ruleClash;
    private final Attach attach;

    MarkController(
            Deliverables deliverables,
            Markups markups,
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

    @PostMapping("/t/versions/{version}/marks")
    String place(
            @PathVariable VersionId version,
            MarkForm form,
            @RequestParam(required = false) @Nullable UUID once,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @AuthenticationPrincipal Person.OfTeam me)
            throws IOException {
        Version found = NotFound.unless(deliverables.version(version));
        placeMark.once(
                Optional.ofNullable(once),
                found,
                form,
                attach.kept(projectOf(found.deliverable()), new Speaker.Team(me), files),
                new Speaker.Team(me));
        return "redirect:/t/versions/" + version + "/light-table?page=" + form.page();
    }

    @PostMapping("/t/versions/{version}/rulings")
    @ForManagers
    String rule(@PathVariable VersionId version, RuleClash.RulingForm form, @AuthenticationPrincipal Person.OfTeam me) {
        int page = ruleClash.rule(NotFound.unless(deliverables.version(version)), form, new Speaker.Team(me));
        return "redirect:/t/versions/" + version + "/light-table?page=" + page;
    }

    @PostMapping("/t/marks/{mark}/answers")
    String answer(
            @PathVariable MarkupId mark,
            AnswerMark.AnswerForm form,
            @RequestParam VersionId on,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @AuthenticationPrincipal Person.OfTeam me)
            throws IOException {
        Mark found = NotFound.unless(markups.find(mark));
        answerMark.answer(
                found,
                form,
                attach.kept(
                        projectOf(NotFound.unless(deliverables.version(found.version()))
                                .deliverable()),
                        new Speaker.Team(me),
                        files),
                new Speaker.Team(me));
        return "redirect:/t/versions/" + on + "/light-table?page="
                + found.place().page() + "#mark-" + mark;
    }

    @PostMapping("/t/marks/{mark}/edit")
    String edit(
            @PathVariable MarkupId mark,
            EditMark.EditForm form,
            @RequestParam VersionId on,
            @AuthenticationPrincipal Person.OfTeam me) {
        Mark found = NotFound.unless(markups.find(mark));
        editMark.edit(found, form, new Speaker.Team(me));
        return "redirect:/t/versions/" + on + "/light-table?page="
                + found.place().page() + "#mark-" + mark;
    }

    private ProjectId projectOf(ItemId deliverable) {
        return NotFound.unless(deliverables.find(deliverable)).project();
    }
}
