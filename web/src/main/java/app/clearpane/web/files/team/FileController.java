package app.clearpane.web.files.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.FileSift;
import app.clearpane.core.files.Folder;
import app.clearpane.core.files.FolderTree;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.files.AddFile;
import app.clearpane.usecases.files.ArrangeFiles;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import app.clearpane.web.shell.rendering.RenderedRows;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The files of a project. */
@TeamController
@ForOutsideMakers
class FileController {
    private final ProjectFrame frame;
    private final ProjectFiles files;
    private final FileWindows windows;
    private final AddFile addFile;
    private final SheetBytes bytes;
    private final RenderedRows rows;
    private final ArrangeFiles arrangeFiles;

    FileController(
            ProjectFrame frame,
            ProjectFiles files,
            FileWindows windows,
            AddFile addFile,
            SheetBytes bytes,
            RenderedRows rows,
            ArrangeFiles arrangeFiles) {
        this.arrangeFiles = arrangeFiles;
        this.frame = frame;
        this.files = files;
        this.windows = windows;
        this.addFile = addFile;
        this.bytes = bytes;
        this.rows = rows;
    }

    /**
     * What of the room is looked at.
     *
     * @param in a folder; nothing for all files
     * @param find words in their names
     * @param by in what order they stand
     * @param pictures whether they are shown as pictures
     */
    record Asked(
            @Nullable String in,
            @Nullable String find,
            FileSift.@Nullable Order by,
            @Nullable Boolean pictures,
            @Nullable Integer page) {
        boolean asPictures() {
            return Boolean.TRUE.equals(pictures);
        }

        Optional<Folder> folder(FolderTree tree) {
            return Optional.ofNullable(in)
                    .filter(typed -> !typed.isBlank())
                    .map(typed -> NotFound.unless(tree.rows().stream()
                            .map(FolderTree.Row::folder)
                            .filter(one -> one.id().toString().equals(typed))
                            .findFirst()));
        }

        FileSift sift(Optional<Folder> folder) {
            return new FileSift(
                    folder.map(Folder::id),
                    Objects.requireNonNullElse(find, ""),
                    Objects.requireNonNullElse(by, FileSift.Order.NAME));
        }
    }

    @GetMapping("/t/projects/{project}/files")
    String all(
            @PathVariable ProjectId project,
            Asked asked,
            @RequestParam Optional<ItemId> deleted,
            CsrfToken token,
            Model model) {
        frame.above(model, project, "Files");
        FolderTree tree = new FolderTree(files.folders(project));
        Optional<Folder> opened = asked.folder(tree);
        FileSift sift = asked.sift(opened);
        FileWindows.Room room = windows.room(project, sift, Objects.requireNonNullElse(asked.page(), 1));
        model.addAttribute("room", room);
        model.addAttribute("sift", sift);
        model.addAttribute("orders", FileSift.Order.values());
        model.addAttribute("pictures", asked.asPictures());
        model.addAttribute("tree", tree);
        model.addAttribute("opened", opened);
        model.addAttribute(
                "rows", rows.html(asked.asPictures() ? "files/_tile" : "files/_row", room.lines(), token.getToken()));
        model.addAttribute("deleted", deleted.flatMap(files::find).orElse(null));
        model.addAttribute(
                "seenAgain",
                deleted.map(file -> arrangeFiles.seenIfBroughtBack(project, file))
                        .orElse(List.of()));
        return "files/list";
    }

    @PostMapping("/t/projects/{project}/files")
    String add(
            @PathVariable ProjectId project,
            @RequestParam(required = false) @Nullable List<MultipartFile> file,
            @RequestParam(defaultValue = "") String folder,
            @RequestParam(defaultValue = "") String way,
            @AuthenticationPrincipal Person me)
            throws IOException {
        Input input = new Input();
        List<MultipartFile> chosen = Objects.requireNonNullElse(file, List.<MultipartFile>of()).stream()
                .filter(one -> !name(one).isEmpty())
                .toList();
        input.require(!chosen.isEmpty(), "Choose a file first.");
        Optional<ItemId> into = folder.isEmpty() ? Optional.empty() : input.one("The folder", folder, ItemId::of);
        input.allGood();
        for (MultipartFile one : chosen) {
            if (way.isEmpty()) {
                addFile.add(project, into, name(one), one.getInputStream(), me.actor());
            } else {
                addFile.addOnWay(project, into, way, one.getInputStream(), me.actor());
            }
        }
        return back(project, into);
    }

    private static String name(MultipartFile file) {
        return Optional.ofNullable(file.getOriginalFilename()).orElse("");
    }

    static String back(ProjectId project, Optional<ItemId> folder) {
        return "redirect:/t/projects/" + project + "/files"
                + folder.map(in -> "?in=" + in).orElse("");
    }

    @PostMapping("/t/files/{file}/delete")
    String delete(@PathVariable ItemId file, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + arrangeFiles.delete(file, me.actor()) + "/files?deleted=" + file;
    }

    @PostMapping("/t/files/{file}/restore")
    String restore(
            @PathVariable ItemId file,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + arrangeFiles.restore(file, sure, me.actor()) + "/files";
    }

    @PostMapping("/t/projects/{project}/files/move")
    String move(
            @PathVariable ProjectId project,
            @RequestParam(name = "file", required = false) List<String> chosen,
            @RequestParam String folder,
            @RequestParam(defaultValue = "") String in,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        Input input = new Input();
        Set<ItemId> some = chosen == null
                ? Set.of()
                : chosen.stream()
                        .flatMap(one -> input.one("A file", one, ItemId::of).stream())
                        .collect(Collectors.toSet());
        input.require(!some.isEmpty(), "Tick the files to move first.");
        Optional<ItemId> into = folder.isEmpty() ? Optional.empty() : input.one("The folder", folder, ItemId::of);
        Optional<ItemId> stays = in.isEmpty() ? Optional.empty() : input.one("The folder", in, ItemId::of);
        input.allGood();
        arrangeFiles.move(project, some, into, sure, me.actor());
        return back(project, stays);
    }

    /** The first page of a file that was drawn, small. */
    @GetMapping("/t/files/{file}/picture")
    ResponseEntity<Resource> picture(@PathVariable ItemId file) {
        return bytes.sheet(NotFound.unless(files.find(file)).sha256(), 1, SheetBytes.Size.small);
    }

    @GetMapping("/t/files/{file}/content")
    ResponseEntity<Resource> content(@PathVariable ItemId file) {
        ProjectFile found = NotFound.unless(files.find(file));
        return bytes.download(found.sha256(), found.name());
    }
}
