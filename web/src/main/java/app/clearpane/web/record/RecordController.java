package app.clearpane.web.record;

import app.clearpane.core.project.ProjectId;
import app.clearpane.store.project.Project;
import app.clearpane.store.record.Records;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.project.ProjectFrame;
import java.util.List;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The Record of a project, newest first. */
@TeamController
class RecordController {
  private static final int PAGE = 100;
  private final ProjectFrame frame;
  private final Records records;
  private final Story story;

  RecordController(ProjectFrame frame, Records records, Story story) {
    this.frame = frame;
    this.records = records;
    this.story = story;
  }

  @GetMapping("/t/projects/{project}/record")
  String record(@PathVariable ProjectId project, @RequestParam(required = false) Long before, Model model) {
    Project found = frame.above(model, project, "Record");
    Records.Head end = records.end(found.id().value());
    List<Story.Line> lines = records.before(project.value(), before == null ? Long.MAX_VALUE : before, PAGE).stream().map(story::line).toList();
    model.addAttribute("lines", lines);
    model.addAttribute("end", end);
    model.addAttribute("earlier", lines.isEmpty() || lines.get(lines.size() - 1).sequence() == 0 ? null : lines.get(lines.size() - 1).sequence());
    return "record/list";
  }
}
