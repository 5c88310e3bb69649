package app.clearpane.web.brand.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.project.client.VisibleWords;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The pictures that stand on a viewer's page. */
@Controller
class VisiblePictureController {
    private final Viewers viewers;
    private final VisibleWords words;
    private final SheetBytes bytes;

    VisiblePictureController(Viewers viewers, VisibleWords words, SheetBytes bytes) {
        this.viewers = viewers;
        this.words = words;
        this.bytes = bytes;
    }

    @GetMapping({"/c/panes/{pane}/pictures/{of}", "/t/look/{seat}/{sight}/pictures/{of}"})
    ResponseEntity<Resource> picture(Viewer viewer, @PathVariable String of) {
        return bytes.picture(NotFound.unless(viewers.picture(viewer, of)));
    }

    /** One of us who works on it, where the viewer reads of them. */
    @GetMapping({"/c/panes/{pane}/of-us/{member}", "/t/look/{seat}/{sight}/of-us/{member}"})
    ResponseEntity<Resource> face(Viewer viewer, @PathVariable UUID member) {
        return bytes.picture(NotFound.unless(words.face(viewer, member)));
    }
}
