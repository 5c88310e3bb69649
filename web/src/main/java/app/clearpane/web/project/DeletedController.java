package app.clearpane.web.project;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.security.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What was deleted in a project. */
@TeamController
class DeletedController {
  private final ProjectFrame frame;
  private final BringBack bringBack;

  DeletedController(ProjectFrame frame, BringBack bringBack) {
    this.frame = frame;
    this.bringBack = bringBack;
  }

  @GetMapping("/t/projects/{project}/deleted")
  String all(@PathVariable ProjectId project, Model model) {
    frame.above(model, project, "Deleted");
    model.addAttribute("all", bringBack.of(project));
    return "project/deleted";
  }

  @PostMapping("/t/items/{item}/bring-back")
  String bringBack(@PathVariable ItemId item, @RequestParam(defaultValue = "false") boolean sure, @AuthenticationPrincipal Person me) {
    return "redirect:/t/projects/" + bringBack.item(item, sure, me.actor()) + "/deleted";
  }
}
