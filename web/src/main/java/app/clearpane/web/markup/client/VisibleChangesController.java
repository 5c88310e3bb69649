package app.clearpane.web.markup.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.web.compare.FrameChanges;
import app.clearpane.web.exposure.client.Through;
import app.clearpane.web.markup.ClientChanges;
import app.clearpane.web.markup.LayChanges;
import java.io.IOException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** What changed between two sent versions, for clients. */
@Controller
class VisibleChangesController {

    private final ClientChanges changes;

    VisibleChangesController(ClientChanges changes) {
        this.changes = changes;
    }

    @PostMapping("/c/panes/{pane}/versions/{version}/frames")
    @ResponseBody
    FrameChanges.Found frames(
            Viewer viewer,
            @PathVariable VersionId version,
            @RequestParam MultipartFile before,
            @RequestParam MultipartFile after)
            throws IOException {
        return changes.frames(viewer, version, before, after);
    }

    @GetMapping({"/c/panes/{pane}/versions/{version}/changes", "/t/look/{seat}/{sight}/versions/{version}/changes"})
    String changes(Viewer viewer, @PathVariable VersionId version, LayChanges.Wish wish, Model model) {
        model.addAllAttributes(changes.changes(viewer, Through.base(viewer), version, wish));
        return "markup/client/changes";
    }
}
