package app.clearpane.web.house.team;

import app.clearpane.core.people.Actor;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.store.project.HouseHabits;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.house.KeepHouse;
import app.clearpane.usecases.house.KeepTemplate;
import app.clearpane.usecases.house.TemplateForm;
import app.clearpane.usecases.house.UsualForm;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.usecases.signoff.ChangeSigning.SigningForm;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What every project begins with, and what things are called here. */
@TeamController
class HouseController {
    private static final String PAGE = "redirect:/t/house";
    private static final String TEMPLATES = "redirect:/t/house/templates";
    private final KeepHouse keep;
    private final KeepTemplate keepTemplate;
    private final HouseHabits habits;
    private final HouseTemplates templates;
    private final SigningDefaults signing;
    private final Projects projects;
    private final TeamSight sight;

    HouseController(
            KeepHouse keep,
            KeepTemplate keepTemplate,
            HouseHabits habits,
            HouseTemplates templates,
            SigningDefaults signing,
            Projects projects,
            TeamSight sight) {
        this.keep = keep;
        this.keepTemplate = keepTemplate;
        this.habits = habits;
        this.templates = templates;
        this.signing = signing;
        this.projects = projects;
        this.sight = sight;
    }

    @GetMapping("/t/house")
    @ForManagers
    String house(Model model) {
        model.addAttribute("reckoning", habits.reckoning());
        model.addAttribute("terms", signing.house().terms());
        model.addAttribute("standings", KeepHouse.NAMEABLE);
        model.addAttribute("named", habits.standings());
        model.addAttribute("prospectSteps", String.join(", ", habits.prospectSteps()));
        model.addAttribute("kept", templates.all());
        return "house/house";
    }

    @PostMapping("/t/house/usual")
    @ForManagers
    String usual(UsualForm form, SigningForm terms, @AuthenticationPrincipal Person me) {
        keep.usual(form, terms, me.actor());
        return PAGE;
    }

    @PostMapping("/t/house/standings")
    @ForManagers
    String standings(@RequestParam Map<String, String> typed, @AuthenticationPrincipal Person me) {
        keep.nameStandings(typed, me.actor());
        return PAGE;
    }

    @PostMapping("/t/house/prospects")
    @ForManagers
    String prospects(@RequestParam(defaultValue = "") String steps, @AuthenticationPrincipal Person me) {
        keep.nameProspectSteps(steps, me.actor());
        return PAGE;
    }

    @GetMapping("/t/house/templates")
    @ForManagers
    String templates(Model model) {
        model.addAttribute("kept", templates.all());
        model.addAttribute("stages", Stage.values());
        model.addAttribute(
                "projects",
                Stream.concat(projects.active().stream(), projects.archived().stream())
                        .filter(project -> !sight.hides(project.id()))
                        .toList());
        return "house/templates";
    }

    @PostMapping("/t/house/templates")
    @ForManagers
    String make(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String from,
            @AuthenticationPrincipal Person me) {
        Actor by = me.actor();
        UUID made =
                from.isEmpty() ? keepTemplate.makeBlank(name, by) : keepTemplate.makeFrom(projectOf(from), name, by);
        return TEMPLATES + "#template-" + made;
    }

    private ProjectId projectOf(String from) {
        Input input = new Input();
        Optional<ProjectId> project = input.one("The project it is made from", from, ProjectId::of);
        input.allGood();
        return NotFound.unless(project.filter(one -> !sight.hides(one)));
    }

    @PostMapping("/t/house/templates/{template}")
    @ForManagers
    String change(
            @PathVariable UUID template,
            TemplateForm form,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal Person me) {
        keepTemplate.change(template, form, typed, me.actor());
        return TEMPLATES + "#template-" + template;
    }

    @PostMapping("/t/house/templates/{template}/copy")
    @ForManagers
    String copy(@PathVariable UUID template, @AuthenticationPrincipal Person me) {
        return TEMPLATES + "#template-" + keepTemplate.copy(template, me.actor());
    }

    @PostMapping("/t/house/templates/{template}/drop")
    @ForManagers
    String drop(@PathVariable UUID template, @RequestParam int revision, @AuthenticationPrincipal Person me) {
        keepTemplate.drop(template, revision, me.actor());
        return TEMPLATES;
    }
}
