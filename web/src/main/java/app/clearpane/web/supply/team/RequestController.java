package app.clearpane.web.supply.team;

import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.supply.DraftRequest;
import app.clearpane.usecases.supply.RequestChoices;
import app.clearpane.usecases.supply.SendOwed;
import app.clearpane.usecases.supply.SendRequest;
import app.clearpane.usecases.supply.ShowExample;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The requests of a project: what is wanted of whom, and how far it is. */
@TeamController
class RequestController {
    private final ProjectFrame frame;
    private final Requests requests;
    private final Questionnaires questionnaires;
    private final RequestChoices choices;
    private final SendRequest sendRequest;
    private final SendOwed sendOwed;
    private final ShowExample showExample;

    RequestController(
            ProjectFrame frame,
            Requests requests,
            Questionnaires questionnaires,
            RequestChoices choices,
            SendRequest sendRequest,
            SendOwed sendOwed,
            ShowExample showExample) {
        this.showExample = showExample;
        this.sendOwed = sendOwed;
        this.frame = frame;
        this.requests = requests;
        this.questionnaires = questionnaires;
        this.choices = choices;
        this.sendRequest = sendRequest;
    }

    @GetMapping("/t/projects/{project}/requests")
    String all(@PathVariable ProjectId project, Model model) {
        Project found = frame.above(model, project, "Requests");
        List<Request> all = requests.ofProject(project);
        model.addAttribute("all", all);
        model.addAttribute("ways", ShowExample.Which.values());
        model.addAttribute("examples", showExample.shown(all));
        model.addAttribute("questionnaires", questionnaires.ofProject(project));
        model.addAttribute("choices", choices.read(found));
        return "supply/list";
    }

    /** How the lines are understood, before anything is kept. */
    @PostMapping("/t/projects/{project}/requests/read")
    String read(@PathVariable ProjectId project, @RequestParam(defaultValue = "") String wanted, Model model) {
        model.addAttribute(
                "lines",
                DraftRequest.read(wanted).stream()
                        .limit(DraftRequest.MOST_PARTS)
                        .toList());
        return "supply/_read :: read";
    }

    @PostMapping("/t/projects/{project}/requests/owed")
    @ForManagers
    String sendOwed(@PathVariable ProjectId project, @AuthenticationPrincipal Person me) {
        sendOwed.send(project, me.actor());
        return back(project) + "?owed";
    }

    @PostMapping("/t/requests/{request}/send")
    @ForManagers
    String send(
            @PathVariable RequestId request,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return back(sendRequest.send(request, sure, me.actor())) + "#r" + request;
    }

    @PostMapping("/t/requests/{request}/withdraw")
    @ForManagers
    String withdraw(
            @PathVariable RequestId request,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal Person me) {
        return back(sendRequest.withdraw(request, reason, me.actor())) + "#r" + request;
    }

    static String back(ProjectId project) {
        return "redirect:/t/projects/" + project + "/requests";
    }
}
