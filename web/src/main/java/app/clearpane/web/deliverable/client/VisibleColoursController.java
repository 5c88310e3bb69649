package app.clearpane.web.deliverable.client;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.client.VisibleDeliverables;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.Colours;
import app.clearpane.web.exposure.client.Looks;
import app.clearpane.web.exposure.client.Through;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The colours of a sheet, for those who see it. */
@Controller
class VisibleColoursController {
    private final VisibleDeliverables deliverables;
    private final Colours colours;
    private final Looks looks;

    VisibleColoursController(VisibleDeliverables deliverables, Colours colours, Looks looks) {
        this.deliverables = deliverables;
        this.colours = colours;
        this.looks = looks;
    }

    @GetMapping({
        "/c/panes/{pane}/versions/{version}/colours/{page}",
        "/t/look/{seat}/{sight}/versions/{version}/colours/{page}"
    })
    String colours(Viewer viewer, @PathVariable VersionId version, @PathVariable int page, Model model) {
        model.addAttribute("of", colours(viewer, version, page));
        model.addAttribute("viewer", viewer);
        return "deliverable/client/colours";
    }

    @GetMapping({
        "/c/panes/{pane}/versions/{version}/colours/{page}/{ending}",
        "/t/look/{seat}/{sight}/versions/{version}/colours/{page}/{ending}"
    })
    ResponseEntity<byte[]> file(
            Viewer viewer, @PathVariable VersionId version, @PathVariable int page, @PathVariable String ending) {
        return colours.file(colours(viewer, version, page), ending);
    }

    private Colours.OfSheet colours(Viewer viewer, VersionId version, int page) {
        Version found = NotFound.unless(deliverables.version(viewer, version));
        VisibleDeliverables.Row deliverable = NotFound.unless(deliverables.find(viewer, found.deliverable()));
        looks.opened(viewer, deliverable.id());
        return colours.read(Through.base(viewer), deliverable.name(), found, page);
    }
}
