package app.clearpane.web.clearance.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.clearance.Releases;
import app.clearpane.usecases.clearance.HandRelease;
import app.clearpane.usecases.clearance.PackRelease;
import app.clearpane.usecases.clearance.ReleaseVersion;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.NeedsPassword;
import app.clearpane.web.shell.frame.TeamController;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Releasing, recalling, and handing over what was released. */
@TeamController
class ReleaseController {
    private final States states;
    private final ReleaseVersion releaseVersion;
    private final Releases releases;
    private final SheetBytes bytes;
    private final HandRelease handRelease;

    ReleaseController(
            States states,
            ReleaseVersion releaseVersion,
            Releases releases,
            SheetBytes bytes,
            HandRelease handRelease) {
        this.handRelease = handRelease;
        this.states = states;
        this.releaseVersion = releaseVersion;
        this.releases = releases;
        this.bytes = bytes;
    }

    /** Releases several; what cannot be released is left out and said. */
    @NeedsPassword
    @PostMapping("/t/projects/{project}/releases")
    @ForManagers
    String releaseMany(
            @PathVariable ProjectId project,
            @RequestParam(required = false) List<ItemId> deliverable,
            @AuthenticationPrincipal Person me,
            org.springframework.web.servlet.mvc.support.RedirectAttributes redirect) {
        List<String> left = new ArrayList<>();
        for (ItemId one : deliverable == null ? List.<ItemId>of() : deliverable) {
            String name = states.inBrief(one).deliverable().name();
            try {
                releaseVersion.release(one, me.actor());
            } catch (Refused refused) {
                left.add(name + ": " + String.join(" ", refused.sentences()));
            }
        }
        redirect.addFlashAttribute("left", left);
        return "redirect:/t/projects/" + project + "/clearance";
    }

    @NeedsPassword
    @PostMapping("/t/deliverables/{deliverable}/release")
    @ForManagers
    String release(@PathVariable ItemId deliverable, @AuthenticationPrincipal Person me) {
        releaseVersion.release(deliverable, me.actor());
        return ClearanceController.back(deliverable);
    }

    @PostMapping("/t/releases/{release}/recall")
    @ForManagers
    String recall(
            @PathVariable UUID release,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal Person me) {
        return ClearanceController.back(releaseVersion.recall(release, reason, me.actor()));
    }

    @NeedsPassword
    @PostMapping("/t/releases/{release}/recipients")
    @ForManagers
    String hand(
            @PathVariable UUID release,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String email,
            @AuthenticationPrincipal Person me) {
        return ClearanceController.back(handRelease.hand(release, name, email, me.actor()));
    }

    @GetMapping("/t/releases/{release}/bundle")
    ResponseEntity<Resource> bundle(@PathVariable UUID release) {
        Releases.Release found = NotFound.unless(releases.find(release));
        DeliverableState state = states.statesOf(found.deliverable());
        Version version = state.versions().stream()
                .filter(v -> v.id().equals(found.version()))
                .findFirst()
                .orElseThrow();
        return bytes.download(
                NotFound.unless(Optional.ofNullable(found.bundle())), PackRelease.folder(state, version) + ".zip");
    }
}
