package app.clearpane.web.files.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.FolderTree;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.FileKind;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.usecases.files.ChangeFile;
import app.clearpane.usecases.files.ShowFile;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Optional;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** One file: what it shows, who sees it, and what stood in its place before. */
@TeamController
@ForOutsideMakers
class OneFileController {
    private final ProjectFrame frame;
    private final ProjectFiles files;
    private final Items items;
    private final FileWindows windows;
    private final ChangeFile changeFile;
    private final SheetBytes bytes;
    private final ShowFile showFile;

    OneFileController(
            ProjectFrame frame,
            ProjectFiles files,
            Items items,
            FileWindows windows,
            ChangeFile changeFile,
            SheetBytes bytes,
            ShowFile showFile) {
        this.showFile = showFile;
        this.frame = frame;
        this.files = files;
        this.items = items;
        this.windows = windows;
        this.changeFile = changeFile;
        this.bytes = bytes;
    }

    @GetMapping("/t/files/{file}")
    String one(@PathVariable ItemId file, Model model) throws IOException {
        ProjectFile found = NotFound.unless(files.find(file));
        ProjectId project = NotFound.unless(items.find(file)).project();
        frame.above(model, project, "Files");
        FileWindows.Line line = windows.line(found);
        model.addAttribute("line", line);
        model.addAttribute("earlier", files.earlier(file));
        model.addAttribute("is", FileKind.of(found.mediaType()).foundWords());
        model.addAttribute("shown", showFile.show(found, line.drawn()));
        model.addAttribute(
                "path", new FolderTree(files.folders(project)).pathWords(Optional.ofNullable(found.folder())));
        return "files/one";
    }

    @GetMapping("/t/files/{file}/played")
    ResponseEntity<Resource> played(@PathVariable ItemId file) {
        return bytes.played(NotFound.unless(files.find(file)));
    }

    /** Its first page, large. */
    @GetMapping("/t/files/{file}/large")
    ResponseEntity<Resource> large(@PathVariable ItemId file) {
        return bytes.sheet(NotFound.unless(files.find(file)).sha256(), 1, SheetBytes.Size.large);
    }

    @GetMapping("/t/files/{file}/earlier/{number}/content")
    ResponseEntity<Resource> earlier(@PathVariable ItemId file, @PathVariable int number) {
        ProjectFile now = NotFound.unless(files.find(file));
        ProjectFiles.Earlier earlier = NotFound.unless(files.earlier(file).stream()
                .filter(one -> one.number() == number)
                .findFirst());
        return bytes.download(earlier.sha256(), now.name());
    }

    @PostMapping("/t/files/{file}/rename")
    String rename(@PathVariable ItemId file, @RequestParam String name, @AuthenticationPrincipal Person me) {
        changeFile.rename(file, name, me.actor());
        return back(file);
    }

    @PostMapping("/t/files/{file}/replace")
    String replace(
            @PathVariable ItemId file,
            @RequestParam(name = "file") MultipartFile content,
            @AuthenticationPrincipal Person me)
            throws IOException {
        String name = Optional.ofNullable(content.getOriginalFilename()).orElse("");
        if (name.isEmpty()) {
            throw Refused.because("Choose a file first.");
        }
        changeFile.replace(file, name, content.getInputStream(), me.actor());
        return back(file);
    }

    @PostMapping("/t/files/{file}/earlier/{number}/bring-back")
    String bringBack(@PathVariable ItemId file, @PathVariable int number, @AuthenticationPrincipal Person me) {
        changeFile.bringBack(file, number, me.actor());
        return back(file);
    }

    private static String back(ItemId file) {
        return "redirect:/t/files/" + file;
    }
}
