package app.clearpane.web.files.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.files.AddFile;
import app.clearpane.usecases.files.KeepFolder;
import app.clearpane.usecases.files.ZipFiles;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Folders of the file room, and any choice of files as a ZIP. */
@TeamController
@ForOutsideMakers
class FolderController {
    private final AddFile addFile;
    private final KeepFolder keepFolder;
    private final ZipFiles zipFiles;

    FolderController(AddFile addFile, KeepFolder keepFolder, ZipFiles zipFiles) {
        this.addFile = addFile;
        this.keepFolder = keepFolder;
        this.zipFiles = zipFiles;
    }

    @PostMapping("/t/projects/{project}/folders")
    String add(
            @PathVariable ProjectId project,
            @RequestParam String name,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String parent,
            @AuthenticationPrincipal Person me) {
        Input input = new Input();
        Optional<ItemId> above =
                parent.isEmpty() ? Optional.empty() : input.one("The folder it lies in", parent, ItemId::of);
        input.allGood();
        return FileController.back(project, Optional.of(addFile.folder(project, name, words, above, me.actor())));
    }

    @PostMapping("/t/folders/{folder}/change")
    String change(
            @PathVariable ItemId folder,
            @RequestParam String name,
            @RequestParam(defaultValue = "") String words,
            @AuthenticationPrincipal Person me) {
        return FileController.back(keepFolder.change(folder, name, words, me.actor()), Optional.of(folder));
    }

    @PostMapping("/t/folders/{folder}/delete")
    String delete(@PathVariable ItemId folder, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + keepFolder.delete(folder, me.actor()) + "/deleted";
    }

    @PostMapping("/t/projects/{project}/files/zip")
    ResponseEntity<StreamingResponseBody> zip(
            @PathVariable ProjectId project,
            @RequestParam(name = "file", required = false) @Nullable List<String> chosen) {
        Input input = new Input();
        Set<ItemId> some = Objects.requireNonNullElse(chosen, List.<String>of()).stream()
                .flatMap(one -> input.one("A file", one, ItemId::of).stream())
                .collect(Collectors.toSet());
        input.allGood();
        ZipFiles.Written written = zipFiles.written(project, some);
        return ResponseEntity.ok()
                .contentType(new MediaType("application", "zip"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("files.zip")
                                .build()
                                .toString())
                .body(written::write);
    }
}
