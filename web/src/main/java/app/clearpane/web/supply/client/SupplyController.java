package app.clearpane.web.supply.client;

import app.clearpane.core.supply.RequestId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.supply.KeepSupplied;
import app.clearpane.usecases.supply.PassOnRequest;
import app.clearpane.usecases.supply.SupplyFiles;
import app.clearpane.usecases.supply.SupplyWords;
import app.clearpane.web.exposure.client.Through;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Gives what a request asks for, takes it back, passes it on. */
@Controller
class SupplyController {
    private final SupplyFiles supplyFiles;
    private final SupplyWords supplyWords;
    private final KeepSupplied keepSupplied;
    private final PassOnRequest passOn;
    private final ResumableUploads uploads;

    SupplyController(
            SupplyFiles supplyFiles,
            SupplyWords supplyWords,
            KeepSupplied keepSupplied,
            PassOnRequest passOn,
            ResumableUploads uploads) {
        this.uploads = uploads;
        this.passOn = passOn;
        this.supplyFiles = supplyFiles;
        this.supplyWords = supplyWords;
        this.keepSupplied = keepSupplied;
    }

    @PostMapping("/c/panes/{pane}/requests/{request}/files")
    String files(
            Viewer viewer,
            @PathVariable RequestId request,
            @RequestParam(required = false) @Nullable UUID part,
            @RequestParam(required = false) @Nullable List<MultipartFile> file,
            @RequestParam(defaultValue = "") String uploaded)
            throws IOException {
        uploads.taken(
                viewer,
                uploaded,
                file,
                arriving -> supplyFiles.give(viewer, request, Optional.ofNullable(part), arriving));
        return back(viewer, request, part);
    }

    @PostMapping("/c/panes/{pane}/requests/{request}/words")
    String words(
            Viewer viewer,
            @PathVariable RequestId request,
            @RequestParam UUID part,
            @RequestParam(defaultValue = "") String typed)
            throws IOException {
        supplyWords.write(viewer, request, part, typed);
        return back(viewer, request, part);
    }

    @PostMapping("/c/panes/{pane}/requests/{request}/given/{given}/all-the-same")
    String allTheSame(
            Viewer viewer,
            @PathVariable RequestId request,
            @PathVariable UUID given,
            @RequestParam(defaultValue = "") String reason) {
        keepSupplied.sendAllTheSame(viewer, request, given, reason);
        return back(viewer, request, null);
    }

    @PostMapping("/c/panes/{pane}/requests/{request}/given/{given}/take-back")
    String takeBack(Viewer viewer, @PathVariable RequestId request, @PathVariable UUID given) {
        keepSupplied.takeBack(viewer, request, given);
        return back(viewer, request, null);
    }

    @PostMapping("/c/panes/{pane}/requests/{request}/pass-on")
    String passOn(
            Viewer viewer,
            @PathVariable RequestId request,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String email) {
        passOn.passOn(viewer, request, name, email);
        return back(viewer, request, null);
    }

    private static String back(Viewer viewer, RequestId request, @Nullable UUID part) {
        return "redirect:" + Through.base(viewer) + "/requests/" + request + (part == null ? "" : "#p" + part);
    }
}
