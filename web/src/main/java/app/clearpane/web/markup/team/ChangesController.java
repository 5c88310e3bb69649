package app.clearpane.web.markup.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.compare.FrameChanges;
import app.clearpane.web.markup.LayChanges;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** What changed between two versions, for the team. */
@TeamController
@ForOutsideMakers
class ChangesController {
    private final States states;
    private final Deliverables deliverables;
    private final LayChanges layChanges;
    private final FrameChanges frames;

    ChangesController(States states, Deliverables deliverables, LayChanges layChanges, FrameChanges frames) {
        this.frames = frames;
        this.states = states;
        this.deliverables = deliverables;
        this.layChanges = layChanges;
    }

    /** What differs between two pictures of films that are looked at side by side. */
    @PostMapping("/t/versions/{version}/frames")
    @ResponseBody
    FrameChanges.Found frames(
            @PathVariable VersionId version, @RequestParam MultipartFile before, @RequestParam MultipartFile after)
            throws IOException {
        NotFound.unless(deliverables.version(version));
        return frames.compare(before, after);
    }

    @GetMapping("/t/versions/{version}/changes")
    String changes(@PathVariable VersionId version, LayChanges.Wish wish, Model model) {
        Version found = NotFound.unless(deliverables.version(version));
        DeliverableState state = states.statesOf(found.deliverable());
        model.addAttribute("sashOf", state.deliverable().project());
        model.addAttribute(
                "changes",
                layChanges.lay("/t", true, state.deliverable().name(), found, state.versions(), state.marks(), wish));
        return "markup/changes";
    }
}
