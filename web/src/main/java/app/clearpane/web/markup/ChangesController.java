package app.clearpane.web.markup;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.web.deliverable.DeliverableState;
import app.clearpane.web.deliverable.States;
import app.clearpane.web.layout.NotThere;
import app.clearpane.web.layout.TeamController;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What changed between two versions, for the team. */
@TeamController
class ChangesController {
  private final States states;
  private final Deliverables deliverables;
  private final LayChanges layChanges;

  ChangesController(States states, Deliverables deliverables, LayChanges layChanges) {
    this.states = states;
    this.deliverables = deliverables;
    this.layChanges = layChanges;
  }

  @GetMapping("/t/versions/{version}/changes")
  String changes(@PathVariable VersionId version, LayChanges.Wish wish, Model model) {
    VersionRow found = NotThere.unless(deliverables.version(version));
    DeliverableState state = states.of(found.deliverable());
    model.addAttribute("sashOf", state.deliverable().project());
    model.addAttribute("changes", layChanges.of("/t", true, state.deliverable().name(), found, state.versions(), state.marks(), wish));
    return "markup/changes";
  }
}
