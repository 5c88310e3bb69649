package app.clearpane.web.deliverable.team;

import app.clearpane.core.agency.Name;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.SigningDefaults;
import app.clearpane.usecases.deliverable.AddDeliverable;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** All deliverables of a project, and adding one. */
@TeamController
@ForOutsideMakers
class DeliverablesController {
    private final ProjectFrame frame;
    private final States states;
    private final SigningDefaults defaults;
    private final Windows windows;
    private final AddDeliverable addDeliverable;

    DeliverablesController(
            ProjectFrame frame,
            States states,
            SigningDefaults defaults,
            Windows windows,
            AddDeliverable addDeliverable) {
        this.frame = frame;
        this.states = states;
        this.defaults = defaults;
        this.windows = windows;
        this.addDeliverable = addDeliverable;
    }

    @GetMapping("/t/projects/{project}/deliverables")
    String all(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "Deliverables");
        model.addAttribute("states", states.statesOf(project));
        Windows.All seen = windows.all(project);
        model.addAttribute("windows", seen.windows());
        model.addAttribute("panes", seen.panes());
        model.addAttribute("usual", defaults.usualOf(project));
        return "deliverable/list";
    }

    @PostMapping("/t/projects/{project}/deliverables")
    @ForManagers
    String add(@PathVariable ProjectId project, DeliverableForm form, @AuthenticationPrincipal Person me) {
        return "redirect:/t/deliverables/" + addDeliverable.add(project, form.wanted(), me.actor());
    }

    static final int LONGEST_LINE = 400;

    record DeliverableForm(String name, String about, String pane, String rule, String reviewDays) {
        AddDeliverable.Wanted wanted() {
            Input input = new Input();
            Optional<Name> named = input.name("The deliverable", name);
            String line = input.text("The line about it", about, LONGEST_LINE);
            Optional<Integer> days = input.number("The days to review it", reviewDays, 1, 250);
            input.require(!pane.isEmpty(), "Choose the pane that decides on it.");
            Optional<PaneId> decides =
                    pane.isEmpty() ? Optional.empty() : input.one("The pane that decides", pane, PaneId::of);
            input.allGood();
            return new AddDeliverable.Wanted(
                    named.orElseThrow(),
                    line,
                    decides.orElseThrow(),
                    rule.equals("ANY") ? new Rule.Any() : rule.equals("IN_ORDER") ? new Rule.InOrder() : new Rule.All(),
                    days.orElseThrow());
        }
    }
}
