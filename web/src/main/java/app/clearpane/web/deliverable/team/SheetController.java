package app.clearpane.web.deliverable.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The sheets and files of a version, as the team sees them. */
@TeamController
@ForOutsideMakers
class SheetController {
    private final Deliverables deliverables;
    private final SheetBytes bytes;

    SheetController(Deliverables deliverables, SheetBytes bytes) {
        this.deliverables = deliverables;
        this.bytes = bytes;
    }

    @GetMapping("/t/versions/{version}/played")
    ResponseEntity<Resource> played(@PathVariable VersionId version) {
        return bytes.played(NotFound.unless(deliverables.version(version)));
    }

    @GetMapping("/t/versions/{version}/sheets/{page}/{size}")
    ResponseEntity<Resource> sheet(
            @PathVariable VersionId version, @PathVariable int page, @PathVariable SheetBytes.Size size) {
        return bytes.sheet(NotFound.unless(deliverables.version(version)).sha256(), page, size);
    }

    @GetMapping("/t/versions/{version}/sheets/{page}/tiles/{level}/{column}/{row}")
    ResponseEntity<Resource> tile(@PathVariable VersionId version, @PathVariable int page, SheetBytes.Square square)
            throws IOException {
        return bytes.tile(NotFound.unless(deliverables.version(version)).sha256(), page, square);
    }

    @GetMapping("/t/versions/{version}/file")
    ResponseEntity<Resource> file(@PathVariable VersionId version) {
        Version found = NotFound.unless(deliverables.version(version));
        return bytes.download(found.sha256(), found.fileName());
    }
}
