package app.clearpane.web.markup.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.markup.AnswerMark;
import app.clearpane.usecases.markup.EditMark;
import app.clearpane.usecases.markup.MarkForm;
import app.clearpane.usecases.markup.RuleClash;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.exposure.client.Through;
import app.clearpane.web.markup.ClientLive;
import app.clearpane.web.markup.ClientMarks;
import app.clearpane.web.markup.ClientTable;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The light table for clients. */
@Controller
class ClientTableController {
    private final ClientTable tables;
    private final ClientMarks marks;
    private final ClientLive lives;

    ClientTableController(ClientTable tables, ClientMarks marks, ClientLive lives) {
        this.lives = lives;
        this.marks = marks;
        this.tables = tables;
    }

    @GetMapping({"/c/panes/{pane}/versions/{version}", "/t/look/{seat}/{sight}/versions/{version}"})
    String look(
            Viewer viewer,
            @PathVariable VersionId version,
            @RequestParam(defaultValue = "1") int page,
            @RequestParam(name = "at.x", required = false) @Nullable Integer atX,
            @RequestParam(name = "at.y", required = false) @Nullable Integer atY,
            @RequestParam(required = false) @Nullable MarkupId note,
            Model model) {
        model.addAllAttributes(tables.page(viewer, Through.base(viewer), version, page, atX, atY, note));
        return "markup/client/light-table";
    }

    @GetMapping({"/c/panes/{pane}/versions/{version}/live", "/t/look/{seat}/{sight}/versions/{version}/live"})
    SseEmitter live(Viewer viewer, @PathVariable VersionId version) {
        return lives.live(viewer, version);
    }

    @PostMapping("/c/panes/{pane}/versions/{version}/marks")
    String place(
            Viewer viewer,
            @PathVariable VersionId version,
            MarkForm form,
            @RequestParam(required = false) @Nullable UUID once,
            @RequestParam(required = false) @Nullable List<MultipartFile> files,
            @AuthenticationPrincipal Person me)
            throws IOException {
        MarkupId placed = marks.place(viewer, version, Optional.ofNullable(once), form, files);
        if (me instanceof Person.ByLink guest && guest.opening() != null) {
            marks.placedBy(placed, guest.opening());
        }
        return "redirect:" + Through.base(viewer) + "/versions/" + version + "?page=" + form.page();
    }

    @PostMapping("/c/panes/{pane}/versions/{version}/rulings")
    String rule(Viewer viewer, @PathVariable VersionId version, RuleClash.RulingForm form) {
        return "redirect:" + Through.base(viewer) + "/versions/" + version + "?page="
                + marks.rule(viewer, version, form);
    }

    @PostMapping("/c/panes/{pane}/marks/{mark}/answers")
    String answer(
            Viewer viewer,
            @PathVariable MarkupId mark,
            AnswerMark.AnswerForm form,
            @RequestParam VersionId on,
            @RequestParam(required = false) @Nullable List<MultipartFile> files)
            throws IOException {
        int page = marks.answer(viewer, mark, form, files);
        return "redirect:" + Through.base(viewer) + "/versions/" + on + "?page=" + page + "#mark-" + mark;
    }

    @PostMapping("/c/panes/{pane}/marks/{mark}/edit")
    String edit(Viewer viewer, @PathVariable MarkupId mark, EditMark.EditForm form, @RequestParam VersionId on) {
        int page = marks.edit(viewer, mark, form);
        return "redirect:" + Through.base(viewer) + "/versions/" + on + "?page=" + page + "#mark-" + mark;
    }
}
