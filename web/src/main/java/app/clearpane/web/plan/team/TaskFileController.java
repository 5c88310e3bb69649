package app.clearpane.web.plan.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.store.plan.TaskFiles;
import app.clearpane.usecases.plan.AttachFilesToTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Files beside tasks, for the team. */
@TeamController
@ForOutsideMakers
class TaskFileController {
    private final AttachFilesToTask putBeside;
    private final TaskFiles files;
    private final SheetBytes bytes;

    TaskFileController(AttachFilesToTask putBeside, TaskFiles files, SheetBytes bytes) {
        this.putBeside = putBeside;
        this.files = files;
        this.bytes = bytes;
    }

    @PostMapping("/t/tasks/{task}/files")
    String add(
            @PathVariable ItemId task,
            @RequestParam MultipartFile file,
            @RequestParam(defaultValue = "false") boolean teamOnly,
            @AuthenticationPrincipal Person me)
            throws IOException {
        putBeside.put(
                task,
                new AttachFilesToTask.Arriving(
                        Optional.ofNullable(file.getOriginalFilename()).orElse(""),
                        file.getInputStream(),
                        teamOnly,
                        me.actor()));
        return "redirect:/t/tasks/" + task + "#files";
    }

    @GetMapping("/t/tasks/{task}/files/{beside}")
    ResponseEntity<Resource> file(
            @PathVariable ItemId task, @PathVariable UUID beside, @RequestParam(defaultValue = "false") boolean look) {
        TaskFiles.TaskFile file =
                NotFound.unless(files.find(beside).filter(one -> one.task().equals(task)));
        return bytes.attached(
                new Mark.Attachment(file.id(), file.sha256(), file.name(), file.mediaType(), file.size()), look);
    }
}
