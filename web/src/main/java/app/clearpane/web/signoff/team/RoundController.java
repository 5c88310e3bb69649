package app.clearpane.web.signoff.team;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.signoff.AgreeSilence;
import app.clearpane.usecases.signoff.ChangeSigning;
import app.clearpane.usecases.signoff.CloseRound;
import app.clearpane.usecases.signoff.SetStandIn;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who signs, and closing a round by hand. */
@TeamController
class RoundController {
    private final CloseRound closeRound;
    private final ChangeSigning changeSigning;
    private final SetStandIn setStandIn;
    private final Deliverables deliverables;
    private final ProjectFrame frame;
    private final AgreeSilence agreeSilence;

    RoundController(
            CloseRound closeRound,
            ChangeSigning changeSigning,
            SetStandIn setStandIn,
            Deliverables deliverables,
            ProjectFrame frame,
            AgreeSilence agreeSilence) {
        this.agreeSilence = agreeSilence;
        this.closeRound = closeRound;
        this.changeSigning = changeSigning;
        this.setStandIn = setStandIn;
        this.deliverables = deliverables;
        this.frame = frame;
    }

    @PostMapping("/t/versions/{version}/close-round")
    @ForManagers
    String close(@PathVariable VersionId version, @RequestParam String reason, @AuthenticationPrincipal Person me) {
        closeRound.byTeam(version, reason, me.actor());
        return "redirect:/t/deliverables/"
                + deliverables.version(version).orElseThrow().deliverable();
    }

    /** While a round is open, what it means is shown before it is done. */
    @PostMapping("/t/deliverables/{deliverable}/signing")
    @ForManagers
    String change(
            @PathVariable ItemId deliverable,
            ChangeSigning.SigningForm form,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me,
            Model model) {
        ChangeSigning.Meaning meaning = changeSigning.meaning(deliverable, form);
        if (meaning.open().isPresent() && !sure) {
            frame.above(model, meaning.wanted().project(), "Deliverables");
            model.addAttribute("meaning", meaning);
            model.addAttribute("form", form);
            return "signoff/change";
        }
        changeSigning.make(deliverable, form, me.actor());
        return "redirect:/t/deliverables/" + deliverable;
    }

    @PostMapping("/t/projects/{project}/signing")
    @ForManagers
    String usual(
            @PathVariable ProjectId project,
            ChangeSigning.SigningForm form,
            @RequestParam(defaultValue = "") String checklist,
            @AuthenticationPrincipal Person me) {
        changeSigning.usual(
                project, form, app.clearpane.usecases.clearance.ReleaseVersion.lines(checklist), me.actor());
        return "redirect:/t/projects/" + project + "/deliverables";
    }

    @GetMapping("/t/projects/{project}/stand-ins")
    String standIns(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "Deliverables");
        model.addAttribute("seated", setStandIn.seated(project));
        model.addAttribute("standIns", setStandIn.ofProject(project));
        model.addAttribute("silence", agreeSilence.termsOf(project));
        return "signoff/stand-ins";
    }

    @PostMapping("/t/projects/{project}/stand-ins")
    @ForManagers
    String away(@PathVariable ProjectId project, SetStandIn.AwayForm form, @AuthenticationPrincipal Person me) {
        setStandIn.add(project, form, me.actor());
        return "redirect:/t/projects/" + project + "/stand-ins";
    }

    @PostMapping("/t/stand-ins/{standIn}/end")
    @ForManagers
    String backAgain(@PathVariable java.util.UUID standIn, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + setStandIn.end(standIn, me.actor()) + "/stand-ins";
    }

    /** Empty days are an answer too, so they are said with a field of their own: a form without it says nothing. */
    @PostMapping("/t/projects/{project}/silence")
    @ForManagers
    String silence(
            @PathVariable ProjectId project,
            @RequestParam String days,
            @RequestParam String agreed,
            @AuthenticationPrincipal Person me) {
        agreeSilence.agree(project, days, agreed, me.actor());
        return "redirect:/t/projects/" + project + "/stand-ins";
    }
}
