package app.clearpane.web.deliverable;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverable;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.web.layout.ForOutsideMakers;
import app.clearpane.web.layout.TeamController;
import org.springframework.http.ResponseEntity;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The colours of a sheet, for the team. */
@TeamController
@ForOutsideMakers
class ColoursController {
    private final Deliverables deliverables;
    private final Colours colours;

    ColoursController(Deliverables deliverables, Colours colours) {
        this.deliverables = deliverables;
        this.colours = colours;
    }

    @GetMapping("/t/versions/{version}/colours/{page}")
    String colours(@PathVariable VersionId version, @PathVariable int page, Model model) {
        model.addAttribute("of", of(version, page));
        return "deliverable/colours";
    }

    @GetMapping("/t/versions/{version}/colours/{page}/{ending}")
    ResponseEntity<byte[]> file(@PathVariable VersionId version, @PathVariable int page, @PathVariable String ending) {
        return colours.file(of(version, page), ending);
    }

    private Colours.OfSheet of(VersionId version, int page) {
        VersionRow found = NotThere.unless(deliverables.version(version));
        Deliverable deliverable = NotThere.unless(deliverables.find(found.deliverable()));
        return colours.of("/t", deliverable.name(), found, page);
    }
}
