package app.clearpane.web.exposure.team;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.LinkSeats;
import app.clearpane.usecases.exposure.InviteToPane;
import app.clearpane.usecases.exposure.PublishPane;
import app.clearpane.usecases.exposure.TakePaneAway;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Publishing a pane, and taking it away. */
@TeamController
class PublishController {
    private final LinkSeats links;
    private final PublishPane publishPane;
    private final TakePaneAway takePaneAway;
    private final InviteToPane inviteToPane;

    PublishController(LinkSeats links, PublishPane publishPane, TakePaneAway takePaneAway, InviteToPane inviteToPane) {
        this.inviteToPane = inviteToPane;
        this.links = links;
        this.publishPane = publishPane;
        this.takePaneAway = takePaneAway;
    }

    @PostMapping("/t/panes/{pane}/discard")
    @ForManagers
    String discard(@PathVariable PaneId pane, @RequestParam int revision, @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(
                publishPane.discard(pane, revision, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/unpublish")
    @ForManagers
    String unpublish(
            @PathVariable PaneId pane,
            @RequestParam int revision,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(
                takePaneAway.unpublish(pane, revision, sure, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/panes/{pane}/remove")
    @ForManagers
    String remove(@PathVariable PaneId pane, @RequestParam int revision, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + takePaneAway.remove(pane, revision, me.actor()) + "/panes";
    }

    @PostMapping("/t/panes/{pane}/publish")
    @ForManagers
    String publish(
            @PathVariable PaneId pane,
            @RequestParam int revision,
            @RequestParam Optional<String> seen,
            @RequestParam(defaultValue = "false") boolean links,
            @AuthenticationPrincipal Person me) {
        ProjectId project = publishPane.publish(pane, revision, seen.map(Sha256::new), me.actor());
        if (links) {
            inviteToPane.sendLinksToNewcomers(pane, me.actor());
        }
        return PaneController.redirectTo(project, pane, ContentKind.DELIVERABLES);
    }
}
