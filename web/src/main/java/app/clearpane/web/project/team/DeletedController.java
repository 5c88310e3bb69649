package app.clearpane.web.project.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.exposure.Items;
import app.clearpane.usecases.exposure.DeleteItem;
import app.clearpane.usecases.project.BringBack;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.frame.TeamController;
import java.time.Clock;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What was deleted in a project within thirty days, latest first. */
@TeamController
class DeletedController {
    private final ProjectFrame frame;
    private final Items items;
    private final BringBack bringBack;
    private final Clock clock;

    DeletedController(ProjectFrame frame, Items items, BringBack bringBack, Clock clock) {
        this.frame = frame;
        this.items = items;
        this.bringBack = bringBack;
        this.clock = clock;
    }

    @GetMapping("/t/projects/{project}/deleted")
    String all(@PathVariable ProjectId project, Model model) {
        frame.above(model, project, "Deleted");
        model.addAttribute("all", items.deleted(project, clock.instant().minus(DeleteItem.KEPT)));
        return "project/deleted";
    }

    @PostMapping("/t/items/{item}/bring-back")
    String bringBack(
            @PathVariable ItemId item,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + bringBack.item(item, sure, me.actor()) + "/deleted";
    }
}
