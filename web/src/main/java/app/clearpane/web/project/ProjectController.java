package app.clearpane.web.project;

import app.clearpane.core.project.PhaseTemplate;
import app.clearpane.core.project.Covers;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.Projects;
import java.util.stream.Stream;
import app.clearpane.web.layout.ForManagers;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.layout.AskFirst;
import app.clearpane.web.layout.TheAgency;
import app.clearpane.web.exposure.WhatEnds;
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
  private final WhatEnds whatEnds;
  private final TheAgency agency;

  ProjectController(OpenProject openProject, ChangePlan changePlan, Projects projects, People people, WhatEnds whatEnds, TheAgency agency) {
    this.openProject = openProject;
    this.changePlan = changePlan;
    this.projects = projects;
    this.people = people;
    this.whatEnds = whatEnds;
    this.agency = agency;
  }

  @GetMapping("/t/projects/new")
  @ForManagers
  String blank(Model model) {
    model.addAttribute("form", ProjectForm.empty(agency.today()));
    model.addAttribute("covers", Covers.ALL);
    model.addAttribute("templates", PhaseTemplate.values());
    model.addAttribute("earlier", Stream.concat(projects.active().stream(), projects.archived().stream()).toList());
    model.addAttribute("clients", people.clients());
    return "project/new";
  }

  @PostMapping("/t/projects")
  @ForManagers
  String open(ProjectForm form, @AuthenticationPrincipal Person.OfTeam me) {
    return "redirect:/t/projects/" + openProject.open(form.wanted(), me) + "/deliverables";
  }

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
    changePlan.restore(project, me.actor());
    return "redirect:/t/projects/" + project + "/deliverables";
  }

  @PostMapping("/t/projects/{project}/archive")
  @ForManagers
  String archive(@PathVariable ProjectId project, @RequestParam(defaultValue = "false") boolean sure, @AuthenticationPrincipal Person me) {
    if (!sure) {
      throw new AskFirst(whatEnds.byArchiving(project), "Archive the project");
    }
    changePlan.archive(project, me.actor());
    return "redirect:/t";
  }
}
