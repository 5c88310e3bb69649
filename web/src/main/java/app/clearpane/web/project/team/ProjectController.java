package app.clearpane.web.project.team;

import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.project.ChangePlan;
import app.clearpane.usecases.project.CloseProject;
import app.clearpane.usecases.project.DetailsForm;
import app.clearpane.usecases.project.MilestoneForm;
import app.clearpane.usecases.project.PhaseForm;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A project's phases and milestones, what it is called, and its end. */
@TeamController
class ProjectController {
    private final ChangePlan changePlan;
    private final CloseProject closeProject;

    ProjectController(ChangePlan changePlan, CloseProject closeProject) {
        this.changePlan = changePlan;
        this.closeProject = closeProject;
    }

    @ForOutsideMakers
    @GetMapping("/t/projects/{project}")
    String front(@PathVariable ProjectId project) {
        return "redirect:/t/projects/" + project + "/deliverables";
    }

    @PostMapping("/t/projects/{project}/phases/{phase}")
    @ForManagers
    String changePhase(
            @PathVariable ProjectId project,
            @PathVariable java.util.UUID phase,
            PhaseForm form,
            @AuthenticationPrincipal Person me) {
        changePlan.phase(project, phase, form, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/phases")
    @ForManagers
    String addPhase(
            @PathVariable ProjectId project,
            @RequestParam String name,
            @RequestParam String startsOn,
            @RequestParam String endsOn,
            @AuthenticationPrincipal Person me) {
        changePlan.addPhase(project, name, startsOn, endsOn, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/phases/{phase}/earlier")
    @ForManagers
    String putEarlier(
            @PathVariable ProjectId project, @PathVariable java.util.UUID phase, @AuthenticationPrincipal Person me) {
        changePlan.putEarlier(project, phase, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/phases/{phase}/delete")
    @ForManagers
    String deletePhase(
            @PathVariable ProjectId project,
            @PathVariable java.util.UUID phase,
            @RequestParam int revision,
            @AuthenticationPrincipal Person me) {
        changePlan.deletePhase(project, phase, revision, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/milestones/{milestone}/delete")
    @ForManagers
    String deleteMilestone(
            @PathVariable ProjectId project,
            @PathVariable app.clearpane.core.exposure.ItemId milestone,
            @AuthenticationPrincipal Person me) {
        changePlan.deleteMilestone(project, milestone, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/details")
    @ForManagers
    String details(@PathVariable ProjectId project, DetailsForm form, @AuthenticationPrincipal Person me) {
        changePlan.details(project, form, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/milestones")
    @ForManagers
    String addMilestone(
            @PathVariable ProjectId project,
            @RequestParam String name,
            @RequestParam String fallsOn,
            @AuthenticationPrincipal Person me) {
        changePlan.addMilestone(project, name, fallsOn, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/milestones/{milestone}")
    @ForManagers
    String changeMilestone(
            @PathVariable ProjectId project,
            @PathVariable app.clearpane.core.exposure.ItemId milestone,
            MilestoneForm form,
            @AuthenticationPrincipal Person me) {
        changePlan.milestone(project, milestone, form, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/restore")
    @ForManagers
    String restore(@PathVariable ProjectId project, @AuthenticationPrincipal Person me) {
        closeProject.reopen(project, me.actor());
        return "redirect:/t/projects/" + project + "/deliverables";
    }

    @PostMapping("/t/projects/{project}/archive")
    @ForManagers
    String archive(
            @PathVariable ProjectId project,
            @RequestParam(defaultValue = "") String ended,
            @RequestParam(defaultValue = "") String because,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        closeProject.close(project, ended, because, sure, me.actor());
        return "redirect:/t";
    }
}
