package app.clearpane.web.deliverable.clientside;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.deliverable.clientside.VisibleDeliverables;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.clientside.Looks;
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
                NotThere.unless(deliverables.version(viewer, version)).sha256(), page, size);
    }

    @GetMapping({
        "/c/panes/{pane}/versions/{version}/sheets/{page}/tiles/{level}/{column}/{row}",
        "/t/look/{seat}/{sight}/versions/{version}/sheets/{page}/tiles/{level}/{column}/{row}"
    })
    ResponseEntity<Resource> tile(
            Viewer viewer, @PathVariable VersionId version, @PathVariable int page, SheetBytes.Square square)
            throws IOException {
        return bytes.tile(NotThere.unless(deliverables.version(viewer, version)).sha256(), page, square);
    }

    @GetMapping({"/c/panes/{pane}/versions/{version}/played", "/t/look/{seat}/{sight}/versions/{version}/played"})
    ResponseEntity<Resource> played(Viewer viewer, @PathVariable VersionId version) {
        return bytes.played(NotThere.unless(deliverables.version(viewer, version)));
    }

    @GetMapping({"/c/panes/{pane}/versions/{version}/file", "/t/look/{seat}/{sight}/versions/{version}/file"})
    ResponseEntity<Resource> file(Viewer viewer, @PathVariable VersionId version) {
        VersionRow found = NotThere.unless(deliverables.version(viewer, version));
        return bytes.download(found.sha256(), found.fileName(), () -> looks.downloaded(viewer, found.deliverable()));
    }
}
