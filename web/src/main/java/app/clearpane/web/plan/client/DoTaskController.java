package app.clearpane.web.plan.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Stage;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.plan.task.DoTask;
import app.clearpane.web.exposure.client.Through;
import java.io.IOException;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** What a client does with a task they were given. */
@Controller
class DoTaskController {
    private final DoTask doTask;

    DoTaskController(DoTask doTask) {
        this.doTask = doTask;
    }

    @PostMapping("/c/panes/{pane}/tasks/{task}/stage")
    String stage(
            Viewer viewer,
            @PathVariable ItemId task,
            @RequestParam Stage stage,
            @RequestParam(defaultValue = "") String from) {
        Stage was = doTask.move(viewer, task, stage);
        return "redirect:" + Through.base(viewer)
                + (from.equals("task") ? "/tasks/" + task + "?was=" + was : "?did=" + task + "&was=" + was);
    }

    @PostMapping("/c/panes/{pane}/tasks/{task}/files")
    String bring(Viewer viewer, @PathVariable ItemId task, @RequestParam MultipartFile file) throws IOException {
        doTask.bring(
                viewer, task, Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getInputStream());
        return "redirect:" + Through.base(viewer) + "/tasks/" + task + "#files";
    }

    @PostMapping("/c/panes/{pane}/tasks/{task}/comments")
    String say(Viewer viewer, @PathVariable ItemId task, @RequestParam String said) {
        doTask.say(viewer, task, said);
        return "redirect:" + Through.base(viewer) + "/tasks/" + task + "#said";
    }
}
