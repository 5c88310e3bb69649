package app.clearpane.web.files.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.usecases.files.ShowInPlace;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.files.InPlacePage;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Where addresses lead, for those who see them: in place, or as it looked last. */
@Controller
class VisibleLiveController {
    private final VisibleFiles files;
    private final ShowInPlace showInPlace;
    private final InPlacePage page;
    private final SheetBytes bytes;

    VisibleLiveController(VisibleFiles files, ShowInPlace showInPlace, InPlacePage page, SheetBytes bytes) {
        this.files = files;
        this.showInPlace = showInPlace;
        this.page = page;
        this.bytes = bytes;
    }

    @GetMapping({"/c/panes/{pane}/files/{file}/in-place", "/t/look/{seat}/{sight}/files/{file}/in-place"})
    String inPlace(Viewer viewer, @PathVariable ItemId file, Model model, HttpServletResponse response) {
        ProjectFile found = NotFound.unless(files.find(viewer, file));
        return page.show(NotFound.unless(showInPlace.address(found)), found.name(), model, response);
    }

    @GetMapping({"/c/panes/{pane}/files/{file}/last-look", "/t/look/{seat}/{sight}/files/{file}/last-look"})
    ResponseEntity<Resource> lastLook(Viewer viewer, @PathVariable ItemId file) {
        return bytes.picture(showInPlace.picture(NotFound.unless(files.find(viewer, file))));
    }
}
