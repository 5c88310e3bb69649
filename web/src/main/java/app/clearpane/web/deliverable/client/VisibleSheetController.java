package app.clearpane.web.deliverable.client;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.client.Looks;
import java.io.IOException;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The sheets of sent versions, for those who see them. */
@Controller
class VisibleSheetController {
    private final VisibleDeliverables deliverables;
    private final SheetBytes bytes;
    private final Looks looks;

    VisibleSheetController(VisibleDeliverables deliverables, SheetBytes bytes, Looks looks) {
        this.deliverables = deliverables;
        this.bytes = bytes;
        this.looks = looks;
    }

    @GetMapping({
        "/c/panes/{pane}/versions/{version}/sheets/{page}/{size}",
        "/t/look/{seat}/{sight}/versions/{version}/sheets/{page}/{size}"
    })
    ResponseEntity<Resource> sheet(
            Viewer viewer,
            @PathVariable VersionId version,
            @PathVariable int page,
            @PathVariable SheetBytes.Size size) {
        return bytes.sheet(
                NotFound.unless(deliverables.version(viewer, version)).sha256(), page, size);
    }

    @GetMapping({
        "/c/panes/{pane}/versions/{version}/sheets/{page}/tiles/{level}/{column}/{row}",
        "/t/look/{seat}/{sight}/versions/{version}/sheets/{page}/tiles/{level}/{column}/{row}"
    })
    ResponseEntity<Resource> tile(
            Viewer viewer, @PathVariable VersionId version, @PathVariable int page, SheetBytes.Square square)
            throws IOException {
        return bytes.tile(NotFound.unless(deliverables.version(viewer, version)).sha256(), page, square);
    }

    @GetMapping({"/c/panes/{pane}/versions/{version}/played", "/t/look/{seat}/{sight}/versions/{version}/played"})
    ResponseEntity<Resource> played(Viewer viewer, @PathVariable VersionId version) {
        return bytes.played(NotFound.unless(deliverables.version(viewer, version)));
    }

    @GetMapping({"/c/panes/{pane}/versions/{version}/file", "/t/look/{seat}/{sight}/versions/{version}/file"})
    ResponseEntity<Resource> file(Viewer viewer, @PathVariable VersionId version) {
        Version found = NotFound.unless(deliverables.version(viewer, version));
        return bytes.download(found.sha256(), found.fileName(), () -> looks.downloaded(viewer, found.deliverable()));
    }
}
