package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.plan.AgreeDates;
import app.clearpane.usecases.plan.AskForDates;
import app.clearpane.usecases.plan.NameSteps;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a plan is held to: agreed dates, by word or by name, rest, and the names of its steps. */
@TeamController
class AgreementController {
    private final AgreeDates agreeDates;
    private final AskForDates askForDates;
    private final NameSteps nameSteps;

    AgreementController(AgreeDates agreeDates, AskForDates askForDates, NameSteps nameSteps) {
        this.agreeDates = agreeDates;
        this.askForDates = askForDates;
        this.nameSteps = nameSteps;
    }

    @PostMapping("/t/projects/{project}/steps")
    String steps(
            @PathVariable ProjectId project,
            @RequestParam Map<String, String> typed,
            @AuthenticationPrincipal Person me) {
        nameSteps.typed(project, typed, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/agreements/ask")
    @ForManagers
    String ask(
            @PathVariable ProjectId project,
            @RequestParam PaneId pane,
            @RequestParam String finish,
            @AuthenticationPrincipal Person me)
            throws IOException {
        askForDates.ask(project, pane, finish, me.actor());
        return "redirect:/t/projects/" + project + "/papers";
    }

    @PostMapping("/t/projects/{project}/agreements")
    @ForManagers
    String agree(
            @PathVariable ProjectId project,
            @RequestParam String finish,
            @RequestParam(defaultValue = "false") boolean withClient,
            @AuthenticationPrincipal Person me) {
        agreeDates.typed(project, finish, withClient, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/pause")
    @ForManagers
    String pause(@PathVariable ProjectId project, @RequestParam String because, @AuthenticationPrincipal Person me) {
        agreeDates.pause(project, because, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }

    @PostMapping("/t/projects/{project}/go-on")
    @ForManagers
    String goOn(@PathVariable ProjectId project, @AuthenticationPrincipal Person me) {
        agreeDates.goOn(project, me.actor());
        return "redirect:/t/projects/" + project + "/plan?as=dates";
    }
}
