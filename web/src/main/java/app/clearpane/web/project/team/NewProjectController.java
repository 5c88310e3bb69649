package app.clearpane.web.project.team;

import app.clearpane.core.project.Covers;
import app.clearpane.store.agency.People;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.project.OpenProject;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Opening a project. */
@TeamController
class NewProjectController {
    private final OpenProject openProject;
    private final Projects projects;
    private final People people;
    private final HouseTemplates templates;
    private final HouseHabits habits;
    private final TeamSight sight;
    private final TheAgency agency;

    NewProjectController(
            OpenProject openProject,
            Projects projects,
            People people,
            HouseTemplates templates,
            HouseHabits habits,
            TeamSight sight,
            TheAgency agency) {
        this.openProject = openProject;
        this.projects = projects;
        this.people = people;
        this.templates = templates;
        this.habits = habits;
        this.sight = sight;
        this.agency = agency;
    }

    @GetMapping("/t/projects/new")
    @ForManagers
    String blank(Model model) {
        List<HouseTemplates.Kept> kept = templates.all();
        model.addAttribute(
                "form",
                ProjectForm.empty(
                        agency.today(),
                        habits.reckoning(),
                        kept.isEmpty() ? ProjectForm.LIKE : kept.get(0).id().toString()));
        model.addAttribute("covers", Covers.ALL);
        model.addAttribute("templates", kept);
        model.addAttribute(
                "earlier",
                Stream.concat(projects.active().stream(), projects.archived().stream())
                        .filter(project -> !sight.hides(project.id()))
                        .toList());
        model.addAttribute("clients", people.clients());
        return "project/new";
    }

    @PostMapping("/t/projects")
    @ForManagers
    String open(ProjectForm form, @AuthenticationPrincipal Person.OfTeam me) {
        return "redirect:/t/projects/"
                + openProject.open(
                        form.wanted(
                                sight::hides,
                                id -> templates.find(id).map(HouseTemplates.Kept::template),
                                agency.calendar()),
                        me)
                + "/deliverables";
    }
}
