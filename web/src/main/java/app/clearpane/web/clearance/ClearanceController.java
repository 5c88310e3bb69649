package app.clearpane.web.clearance;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.web.deliverable.DeliverableState;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.deliverable.States;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.NotThere;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.project.ProjectFrame;
import app.clearpane.web.security.Person;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The clearance sheet of a deliverable, and releasing. */
@TeamController
class ClearanceController {
  private final ProjectFrame frame;
  private final States states;
  private final ClearanceOf clearance;
  private final ReleaseVersion releaseVersion;
  private final Releases releases;
  private final SheetBytes bytes;

  ClearanceController(ProjectFrame frame, States states, ClearanceOf clearance, ReleaseVersion releaseVersion, Releases releases, SheetBytes bytes) {
    this.frame = frame;
    this.states = states;
    this.clearance = clearance;
    this.releaseVersion = releaseVersion;
    this.releases = releases;
    this.bytes = bytes;
  }

  @GetMapping("/t/deliverables/{deliverable}/clearance")
  String sheet(@PathVariable ItemId deliverable, Model model) {
    DeliverableState state = states.of(deliverable);
    frame.above(model, state.deliverable().project(), "Deliverables");
    model.addAttribute("state", state);
    model.addAttribute("clearance", clearance.of(state));
    model.addAttribute("released", releases.of(deliverable));
    return "clearance/sheet";
  }

  @PostMapping("/t/deliverables/{deliverable}/release")
  @ForManagers
  String release(@PathVariable ItemId deliverable, @AuthenticationPrincipal Person me) {
    releaseVersion.release(deliverable, me.fullName());
    return "redirect:/t/deliverables/" + deliverable + "/clearance";
  }

  @GetMapping("/t/releases/{release}/bundle")
  ResponseEntity<Resource> bundle(@PathVariable UUID release) {
    Releases.Release found = NotThere.unless(releases.find(release));
    DeliverableState state = states.of(found.deliverable());
    VersionRow version = state.versions().stream().filter(v -> v.id().equals(found.version())).findFirst().orElseThrow();
    return bytes.download(NotThere.unless(Optional.ofNullable(found.bundle())), MakeBundle.folder(state, version) + ".zip");
  }
}
