package app.clearpane.web.files.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.usecases.files.AddFile;
import app.clearpane.usecases.files.ArrangeFiles;
import app.clearpane.usecases.files.KeepFolder;
import app.clearpane.usecases.files.KeepLink;
import app.clearpane.usecases.files.ZipFiles;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
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
    private final ArrangeFiles arrangeFiles;
    private final KeepLink keepLink;
    private final ZipFiles zipFiles;

    FolderController(
            AddFile addFile, KeepFolder keepFolder, ArrangeFiles arrangeFiles, KeepLink keepLink, ZipFiles zipFiles) {
        this.keepLink = keepLink;
        this.arrangeFiles = arrangeFiles;
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

    @PostMapping("/t/folders/{folder}/move")
    String move(
            @PathVariable ItemId folder,
            @RequestParam(defaultValue = "") String into,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        Input input = new Input();
        Optional<ItemId> above = into.isEmpty() ? Optional.empty() : input.one("The folder", into, ItemId::of);
        input.allGood();
        return FileController.back(arrangeFiles.moveFolder(folder, above, sure, me.actor()), Optional.of(folder));
    }

    @PostMapping("/t/folders/{folder}/delete")
    String delete(@PathVariable ItemId folder, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + keepFolder.delete(folder, me.actor()) + "/deleted";
    }

    /** An address on the web among the files. */
    @PostMapping("/t/projects/{project}/files/link")
    String link(
            @PathVariable ProjectId project,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String address,
            @RequestParam(defaultValue = "") String folder,
            @AuthenticationPrincipal Person me)
            throws IOException {
        Input input = new Input();
        Optional<ItemId> into = folder.isEmpty() ? Optional.empty() : input.one("The folder", folder, ItemId::of);
        input.allGood();
        keepLink.add(project, into, name, address, me.actor());
        return FileController.back(project, into);
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
