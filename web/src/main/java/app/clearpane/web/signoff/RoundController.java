package app.clearpane.web.signoff;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.security.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Closing a round by hand. */
@TeamController
class RoundController {
  private final CloseRound closeRound;
  private final Deliverables deliverables;

  RoundController(CloseRound closeRound, Deliverables deliverables) {
    this.closeRound = closeRound;
    this.deliverables = deliverables;
  }

  @PostMapping("/t/versions/{version}/close-round")
  @ForManagers
  String close(@PathVariable VersionId version, @RequestParam String reason, @AuthenticationPrincipal Person me) {
    closeRound.byTeam(version, reason, me.fullName());
    return "redirect:/t/deliverables/" + deliverables.version(version).orElseThrow().deliverable();
  }
}
