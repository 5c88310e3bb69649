package app.clearpane.web.plan.team;

import app.clearpane.core.plan.ProjectPlan;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.plan.TaskTable;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.task.BringTasks;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Tasks as tables: out, and in with a look at what would happen first. */
@TeamController
class TableController {
    private static final int SHOWN = 100;
    private final BringTasks bringTasks;
    private final PlanBook book;
    private final Projects projects;
    private final ProjectFrame frame;

    TableController(BringTasks bringTasks, PlanBook book, Projects projects, ProjectFrame frame) {
        this.bringTasks = bringTasks;
        this.book = book;
        this.projects = projects;
        this.frame = frame;
    }

    @GetMapping("/t/projects/{project}/tasks.csv")
    ResponseEntity<byte[]> out(@PathVariable ProjectId project) {
        Project found = NotFound.unless(projects.find(project));
        ProjectPlan plan = book.planOf(found);
        List<TaskTable.Row> rows = new ArrayList<>();
        plan.tasks()
                .forEach(task -> rows.add(new TaskTable.Row(
                        0,
                        List.of(
                                plan.path(task.task()),
                                plan.phaseOf(task)
                                        .flatMap(id -> plan.phases().stream()
                                                .filter(phase -> phase.id().equals(id))
                                                .findFirst())
                                        .map(phase -> phase.name())
                                        .orElse(""),
                                task.hands().name(),
                                plan.outline()
                                        .stage(task.id())
                                        .name()
                                        .toLowerCase(Locale.ROOT)
                                        .replace('_', ' '),
                                String.valueOf(task.task().shape().days()),
                                task.details().due().map(Object::toString).orElse(""),
                                plan.hasDays(task.id())
                                        ? plan.firstDay(task.id()).toString()
                                        : "",
                                plan.hasDays(task.id())
                                        ? plan.lastDay(task.id()).toString()
                                        : "",
                                String.join(", ", task.details().labels())))));
        byte[] bytes = new TaskTable(
                        List.of("Task", "Phase", "Who", "Stage", "Days", "Due", "First day", "Last day", "Labels"),
                        rows)
                .write()
                .getBytes(StandardCharsets.UTF_8);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("tasks.csv")
                                .build()
                                .toString())
                .body(bytes);
    }

    @PostMapping("/t/projects/{project}/tables")
    String bring(
            @PathVariable ProjectId project,
            @RequestParam MultipartFile file,
            @AuthenticationPrincipal Person.OfTeam me)
            throws IOException {
        return "redirect:/t/tables/"
                + bringTasks.bring(
                        project, Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getBytes(), me);
    }

    @GetMapping("/t/tables/{table}")
    String look(
            @PathVariable UUID table,
            @RequestParam Map<String, String> asked,
            @AuthenticationPrincipal Person.OfTeam me,
            Model model) {
        BringTasks.Preview preview = bringTasks.preview(table, asked, me);
        frame.above(model, preview.brought().project(), "Plan");
        model.addAttribute("preview", preview);
        model.addAttribute("good", preview.good().stream().limit(SHOWN).toList());
        model.addAttribute("bad", preview.bad().stream().limit(SHOWN).toList());
        model.addAttribute("fields", BringTasks.Field.values());
        model.addAttribute("most", BringTasks.MOST);
        return "plan/table";
    }

    @PostMapping("/t/tables/{table}")
    String take(
            @PathVariable UUID table,
            @RequestParam Map<String, String> asked,
            @AuthenticationPrincipal Person.OfTeam me) {
        return "redirect:/t/projects/" + bringTasks.take(table, asked, me) + "/plan?as=lines";
    }
}
