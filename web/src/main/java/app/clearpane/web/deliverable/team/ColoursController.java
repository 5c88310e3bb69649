package app.clearpane.web.deliverable.team;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.Colours;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
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
        model.addAttribute("of", colours(version, page));
        return "deliverable/colours";
    }

    @GetMapping("/t/versions/{version}/colours/{page}/{ending}")
    ResponseEntity<byte[]> file(@PathVariable VersionId version, @PathVariable int page, @PathVariable String ending) {
        return colours.file(colours(version, page), ending);
    }

    private Colours.OfSheet colours(VersionId version, int page) {
        Version found = NotFound.unless(deliverables.version(version));
        Deliverable deliverable = NotFound.unless(deliverables.find(found.deliverable()));
        return colours.read("/t", deliverable.name(), found, page);
    }
}
