package app.clearpane.web.deliverable.clientside;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.deliverable.clientside.VisibleDeliverables;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.web.deliverable.Colours;
import app.clearpane.web.exposure.clientside.Looks;
import app.clearpane.web.exposure.clientside.Through;
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
        model.addAttribute("of", of(viewer, version, page));
        model.addAttribute("viewer", viewer);
        return "deliverable/clientside/colours";
    }

    @GetMapping({
        "/c/panes/{pane}/versions/{version}/colours/{page}/{ending}",
        "/t/look/{seat}/{sight}/versions/{version}/colours/{page}/{ending}"
    })
    ResponseEntity<byte[]> file(
            Viewer viewer, @PathVariable VersionId version, @PathVariable int page, @PathVariable String ending) {
        return colours.file(of(viewer, version, page), ending);
    }

    private Colours.OfSheet of(Viewer viewer, VersionId version, int page) {
        VersionRow found = NotThere.unless(deliverables.version(viewer, version));
        VisibleDeliverables.Row deliverable = NotThere.unless(deliverables.find(viewer, found.deliverable()));
        looks.opened(viewer, deliverable.id());
        return colours.of(Through.base(viewer), deliverable.name(), found, page);
    }
}
