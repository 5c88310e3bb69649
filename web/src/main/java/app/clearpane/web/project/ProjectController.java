package app.clearpane.web.project;

import app.clearpane.core.project.Covers;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.store.project.Projects;
import java.util.List;
import java.util.stream.Stream;
import app.clearpane.web.layout.ForOutsideMakers;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.layout.TeamSight;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.security.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Opening a project; its phases and milestones. */
@TeamController
class ProjectController {
  private final OpenProject openProject;
  private final ChangePlan changePlan;
  private final Projects projects;
  private final People people;
  private final CloseProject closeProject;
  private final HouseTemplates templates;
  private final HouseHabits habits;
  private final TeamSight sight;
  private final TheAgency agency;

  ProjectController(OpenProject openProject, ChangePlan changePlan, Projects projects, People people, CloseProject closeProject, HouseTemplates templates, HouseHabits habits, TeamSight sight, TheAgency agency) {
    this.openProject = openProject;
    this.changePlan = changePlan;
    this.projects = projects;
    this.people = people;
    this.closeProject = closeProject;
    this.templates = templates;
    this.habits = habits;
    this.sight = sight;
    this.agency = agency;
  }

  @GetMapping("/t/projects/new")
  @ForManagers
  String blank(Model model) {
    List<HouseTemplates.Kept> kept = templates.all();
    model.addAttribute("form", ProjectForm.empty(agency.today(), habits.reckoning(), kept.isEmpty() ? ProjectForm.LIKE : kept.get(0).id().toString()));
    model.addAttribute("covers", Covers.ALL);
    model.addAttribute("templates", kept);
    model.addAttribute("earlier", Stream.concat(projects.active().stream(), projects.archived().stream()).filter(project -> !sight.hides(project.id())).toList());
    model.addAttribute("clients", people.clients());
    return "project/new";
  }

  @PostMapping("/t/projects")
  @ForManagers
  String open(ProjectForm form, @AuthenticationPrincipal Person.OfTeam me) {
    return "redirect:/t/projects/" + openProject.open(form.wanted(sight::hides, id -> templates.find(id).map(HouseTemplates.Kept::template), agency.calendar()), me) + "/deliverables";
  }

  @ForOutsideMakers
  @GetMapping("/t/projects/{project}")
  String front(@PathVariable ProjectId project) {
    return "redirect:/t/projects/" + project + "/deliverables";
  }

  @PostMapping("/t/projects/{project}/phases/{phase}")
  @ForManagers
  String changePhase(@PathVariable ProjectId project, @PathVariable java.util.UUID phase, PhaseForm form, @AuthenticationPrincipal Person me) {
    changePlan.phase(project, phase, form, me.actor());
    return "redirect:/t/projects/" + project + "/plan?as=dates";
  }

  @PostMapping("/t/projects/{project}/phases")
  @ForManagers
  String addPhase(@PathVariable ProjectId project, @RequestParam String name, @RequestParam String startsOn, @RequestParam String endsOn, @AuthenticationPrincipal Person me) {
    changePlan.addPhase(project, name, startsOn, endsOn, me.actor());
    return "redirect:/t/projects/" + project + "/plan?as=dates";
  }

  @PostMapping("/t/projects/{project}/phases/{phase}/earlier")
  @ForManagers
  String putEarlier(@PathVariable ProjectId project, @PathVariable java.util.UUID phase, @AuthenticationPrincipal Person me) {
    changePlan.putEarlier(project, phase, me.actor());
    return "redirect:/t/projects/" + project + "/plan?as=dates";
  }

  @PostMapping("/t/projects/{project}/phases/{phase}/delete")
  @ForManagers
  String deletePhase(@PathVariable ProjectId project, @PathVariable java.util.UUID phase, @RequestParam int revision, @AuthenticationPrincipal Person me) {
    changePlan.deletePhase(project, phase, revision, me.actor());
    return "redirect:/t/projects/" + project + "/plan?as=dates";
  }

  @PostMapping("/t/projects/{project}/milestones/{milestone}/delete")
  @ForManagers
  String deleteMilestone(@PathVariable ProjectId project, @PathVariable app.clearpane.core.exposure.ItemId milestone, @AuthenticationPrincipal Person me) {
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
  String addMilestone(@PathVariable ProjectId project, @RequestParam String name, @RequestParam String fallsOn, @AuthenticationPrincipal Person me) {
    changePlan.addMilestone(project, name, fallsOn, me.actor());
    return "redirect:/t/projects/" + project + "/plan?as=dates";
  }

  @PostMapping("/t/projects/{project}/milestones/{milestone}")
  @ForManagers
  String changeMilestone(@PathVariable ProjectId project, @PathVariable app.clearpane.core.exposure.ItemId milestone, MilestoneForm form, @AuthenticationPrincipal Person me) {
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
  String archive(@PathVariable ProjectId project, @RequestParam(defaultValue = "") String ended, @RequestParam(defaultValue = "") String because, @RequestParam(defaultValue = "false") boolean sure, @AuthenticationPrincipal Person me) {
    closeProject.close(project, ended, because, sure, me.actor());
    return "redirect:/t";
  }
}
