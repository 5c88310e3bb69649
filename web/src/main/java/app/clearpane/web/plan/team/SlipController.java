package app.clearpane.web.plan.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.plan.Agreements;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.web.exposure.team.Windows;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.frame.TeamController;
import java.util.Optional;
import java.util.UUID;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Where the days went: day by day, what moved the finish and who. */
@TeamController
class SlipController {
    private final PlanBook book;
    private final Agreements agreements;
    private final Windows windows;
    private final ProjectFrame frame;
    private final SlipAccounts accounts;

    SlipController(PlanBook book, Agreements agreements, Windows windows, ProjectFrame frame, SlipAccounts accounts) {
        this.accounts = accounts;
        this.book = book;
        this.agreements = agreements;
        this.windows = windows;
        this.frame = frame;
    }

    @GetMapping("/t/projects/{project}/slip")
    String slip(
            @PathVariable ProjectId project,
            @RequestParam Optional<UUID> since,
            @RequestParam(defaultValue = "false") boolean on,
            Model model) {
        Project found = frame.above(model, project, "Plan");
        ProjectPlan plan = book.planOf(found);
        model.addAttribute("plan", plan);
        model.addAttribute("account", accounts.account(plan, since, on).orElse(null));
        model.addAttribute("item", agreements.account(project).orElse(null));
        model.addAttribute("windows", windows.windowsOf(project));
        return "plan/slip";
    }
}
