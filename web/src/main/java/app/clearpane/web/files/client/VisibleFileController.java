package app.clearpane.web.files.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.files.client.VisibleFiles;
import app.clearpane.usecases.files.ShowFile;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.client.Looks;
import app.clearpane.web.exposure.client.Through;
import java.io.IOException;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** A file, large, for those who see it. */
@Controller
class VisibleFileController {
    private final VisibleFiles files;
    private final Drawings drawings;
    private final Viewers viewers;
    private final SheetBytes bytes;
    private final Looks looks;
    private final ShowFile showFile;

    VisibleFileController(
            VisibleFiles files, Drawings drawings, Viewers viewers, SheetBytes bytes, Looks looks, ShowFile showFile) {
        this.showFile = showFile;
        this.files = files;
        this.drawings = drawings;
        this.viewers = viewers;
        this.bytes = bytes;
        this.looks = looks;
    }

    @GetMapping({"/c/panes/{pane}/files/{file}", "/t/look/{seat}/{sight}/files/{file}"})
    String look(Viewer viewer, @PathVariable ItemId file, @RequestParam(defaultValue = "1") int page, Model model)
            throws IOException {
        ProjectFile found = NotFound.unless(files.find(viewer, file));
        looks.opened(viewer, file);
        model.addAttribute("file", found);
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        drawings.find(found.sha256()).ifPresent(drawing -> {
            int shown = Math.max(1, Math.min(page, drawing.pages()));
            model.addAttribute("pages", drawing.pages());
            model.addAttribute("page", shown);
            drawings.sheet(found.sha256(), shown).ifPresent(sheet -> model.addAttribute("sheet", sheet));
        });
        model.addAttribute("shown", showFile.show(found, model.containsAttribute("sheet")));
        return "files/client/file";
    }

    @GetMapping({"/c/panes/{pane}/files/{file}/played", "/t/look/{seat}/{sight}/files/{file}/played"})
    ResponseEntity<Resource> played(Viewer viewer, @PathVariable ItemId file) {
        return bytes.played(NotFound.unless(files.find(viewer, file)));
    }

    @GetMapping({
        "/c/panes/{pane}/files/{file}/sheets/{page}/{size}",
        "/t/look/{seat}/{sight}/files/{file}/sheets/{page}/{size}"
    })
    ResponseEntity<Resource> sheet(
            Viewer viewer, @PathVariable ItemId file, @PathVariable int page, @PathVariable SheetBytes.Size size) {
        return bytes.sheet(NotFound.unless(files.find(viewer, file)).sha256(), page, size);
    }

    @GetMapping({"/c/panes/{pane}/files/{file}/content", "/t/look/{seat}/{sight}/files/{file}/content"})
    ResponseEntity<Resource> content(Viewer viewer, @PathVariable ItemId file) {
        ProjectFile found = NotFound.unless(files.find(viewer, file));
        return bytes.download(found.sha256(), found.name(), () -> looks.downloaded(viewer, file));
    }
}
