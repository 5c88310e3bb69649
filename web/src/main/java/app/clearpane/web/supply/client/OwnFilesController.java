package app.clearpane.web.supply.client;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.supply.KeepOwnFiles;
import app.clearpane.web.exposure.client.Through;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** What a client's people keep at their pane without having been asked. */
@Controller
class OwnFilesController {
    private final KeepOwnFiles keepOwnFiles;
    private final ResumableUploads uploads;
    private final Viewers viewers;

    OwnFilesController(KeepOwnFiles keepOwnFiles, ResumableUploads uploads, Viewers viewers) {
        this.keepOwnFiles = keepOwnFiles;
        this.uploads = uploads;
        this.viewers = viewers;
    }

    @GetMapping({"/c/panes/{pane}/own", "/t/look/{seat}/{sight}/own"})
    String all(Viewer viewer, Model model) {
        known(viewer);
        model.addAttribute("all", keepOwnFiles.all(viewer));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        model.addAttribute("base", Through.base(viewer));
        return "supply/client/own";
    }

    @PostMapping("/c/panes/{pane}/own")
    String make(Viewer viewer, @RequestParam(defaultValue = "") String name) {
        return back(viewer) + "#f" + keepOwnFiles.make(known(viewer), name);
    }

    @PostMapping("/c/panes/{pane}/own/{folder}/files")
    String add(
            Viewer viewer,
            @PathVariable ItemId folder,
            @RequestParam(required = false) @Nullable List<MultipartFile> file,
            @RequestParam(defaultValue = "") String uploaded)
            throws IOException {
        known(viewer);
        uploads.taken(viewer, uploaded, file, arriving -> keepOwnFiles.add(viewer, folder, arriving));
        return back(viewer) + "#f" + folder;
    }

    @PostMapping("/c/panes/{pane}/files/{file}/take-back")
    String takeBack(Viewer viewer, @PathVariable ItemId file) {
        keepOwnFiles.takeBack(known(viewer), file);
        return back(viewer);
    }

    /** Whoever has a link is nobody by name, and keeps nothing here. */
    private static Viewer known(Viewer viewer) {
        return NotFound.unless(Optional.of(viewer).filter(one -> !one.byLink()));
    }

    private static String back(Viewer viewer) {
        return "redirect:" + Through.base(viewer) + "/own";
    }
}
