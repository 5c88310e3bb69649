package app.clearpane.web.signoff.clientside;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.web.exposure.clientside.Through;
import app.clearpane.web.signoff.CloseRound;
import app.clearpane.web.signoff.DecideOnVersion;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** A client's decision. */
@Controller
class DecisionController {
  private final DecideOnVersion decideOnVersion;
  private final CloseRound closeRound;

  DecisionController(DecideOnVersion decideOnVersion, CloseRound closeRound) {
    this.decideOnVersion = decideOnVersion;
    this.closeRound = closeRound;
  }

  @PostMapping("/c/panes/{pane}/versions/{version}/decisions")
  String decide(Viewer viewer, @PathVariable VersionId version, DecideOnVersion.DecisionForm form) {
    decideOnVersion.by(viewer, version, form);
    return "redirect:" + Through.base(viewer) + "?decided=" + form.decision();
  }

  @PostMapping("/c/panes/{pane}/versions/{version}/close-round")
  String close(Viewer viewer, @PathVariable VersionId version) {
    closeRound.byLeadVoice(viewer, version);
    return "redirect:" + Through.base(viewer);
  }
}
