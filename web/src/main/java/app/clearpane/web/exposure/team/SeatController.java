package app.clearpane.web.exposure.team;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.InviteToPane;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who has a seat at a pane, and in which role. */
@TeamController
class SeatController {
    private final GiveSeat giveSeat;
    private final InviteToPane inviteToPane;
    private final EndSeat endSeat;

    SeatController(GiveSeat giveSeat, InviteToPane inviteToPane, EndSeat endSeat) {
        this.endSeat = endSeat;
        this.inviteToPane = inviteToPane;
        this.giveSeat = giveSeat;
    }

    @PostMapping("/t/panes/{pane}/seats")
    @ForManagers
    String giveSeat(
            @PathVariable PaneId pane,
            @RequestParam ContactId contact,
            @RequestParam SeatRole role,
            @RequestParam ProjectId project,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        giveSeat.askAndGive(pane, contact, role, sure, me.actor());
        return PaneController.redirectTo(project, pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/role")
    @ForManagers
    String changeRole(
            @PathVariable SeatId seat,
            @RequestParam SeatRole role,
            @RequestParam int revision,
            @RequestParam PaneId pane,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(
                giveSeat.change(seat, role, revision, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/lead-voice")
    @ForManagers
    String nameLeadVoice(@PathVariable SeatId seat, @RequestParam PaneId pane, @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(giveSeat.nameLeadVoice(seat, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/end")
    @ForManagers
    String end(
            @PathVariable SeatId seat,
            @RequestParam PaneId pane,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(endSeat.end(seat, sure, me.actor()), pane, ContentKind.DELIVERABLES);
    }

    @PostMapping("/t/seats/{seat}/link")
    @ForManagers
    String sendLink(@PathVariable SeatId seat, @RequestParam PaneId pane, @AuthenticationPrincipal Person me) {
        return PaneController.redirectTo(inviteToPane.sendLink(seat, me.actor()), pane, ContentKind.DELIVERABLES);
    }
}
