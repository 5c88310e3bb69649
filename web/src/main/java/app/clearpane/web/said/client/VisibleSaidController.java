package app.clearpane.web.said.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.markup.client.VisibleMarkups;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.said.NamesForViewer;
import java.util.List;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** What comes with the notes that a viewer sees, and the names they can call. */
@Controller
class VisibleSaidController {
    private final VisibleMarkups markups;
    private final NamesForViewer names;
    private final SheetBytes bytes;

    VisibleSaidController(VisibleMarkups markups, NamesForViewer names, SheetBytes bytes) {
        this.markups = markups;
        this.names = names;
        this.bytes = bytes;
    }

    @GetMapping({"/c/panes/{pane}/attachments/{attachment}", "/t/look/{seat}/{sight}/attachments/{attachment}"})
    ResponseEntity<Resource> attachment(
            Viewer viewer, @PathVariable UUID attachment, @RequestParam(defaultValue = "false") boolean look) {
        return bytes.attached(NotFound.unless(markups.attachment(viewer, attachment)), look);
    }

    @GetMapping("/c/panes/{pane}/versions/{version}/names")
    @ResponseBody
    List<String> names(Viewer viewer, @PathVariable VersionId version, @RequestParam(defaultValue = "") String q) {
        return names.offered(viewer, version, q);
    }
}
