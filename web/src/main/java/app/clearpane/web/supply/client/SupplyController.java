package app.clearpane.web.supply.client;

import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.supply.client.VisibleRequests;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.supply.KeepSupplied;
import app.clearpane.usecases.supply.PassOnRequest;
import app.clearpane.usecases.supply.SupplyFiles;
import app.clearpane.usecases.supply.SupplyWords;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.client.Through;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** A request, for those who are asked: what is wanted, what came and what was found in it. */
@Controller
class SupplyController {
    private final VisibleRequests requests;
    private final Viewers viewers;
    private final SupplyFiles supplyFiles;
    private final SupplyWords supplyWords;
    private final KeepSupplied keepSupplied;
    private final PassOnRequest passOn;
    private final SheetBytes bytes;

    SupplyController(
            VisibleRequests requests,
            Viewers viewers,
            SupplyFiles supplyFiles,
            SupplyWords supplyWords,
            KeepSupplied keepSupplied,
            PassOnRequest passOn,
            SheetBytes bytes) {
        this.passOn = passOn;
        this.requests = requests;
        this.viewers = viewers;
        this.supplyFiles = supplyFiles;
        this.supplyWords = supplyWords;
        this.keepSupplied = keepSupplied;
        this.bytes = bytes;
    }

    @GetMapping({"/c/panes/{pane}/requests/{request}", "/t/look/{seat}/{sight}/requests/{request}"})
    String one(Viewer viewer, @PathVariable RequestId request, Model model) {
        model.addAttribute("request", NotFound.unless(requests.find(viewer, request)));
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", viewers.heading(viewer));
        model.addAttribute("base", Through.base(viewer));
        return "supply/client/one";
    }

    @GetMapping({
        "/c/panes/{pane}/requests/{request}/given/{given}/look",
        "/t/look/{seat}/{sight}/requests/{request}/given/{given}/look"
    })
    ResponseEntity<Resource> look(Viewer viewer, @PathVariable RequestId request, @PathVariable UUID given) {
        return bytes.sheet(given(viewer, request, given).sha256(), 1, SheetBytes.Size.small);
    }

    @GetMapping({
        "/c/panes/{pane}/requests/{request}/given/{given}/file",
        "/t/look/{seat}/{sight}/requests/{request}/given/{given}/file"
    })
    ResponseEntity<Resource> file(Viewer viewer, @PathVariable RequestId request, @PathVariable UUID given) {
        Supplied one = given(viewer, request, given);
        return bytes.download(one.sha256(), one.name());
    }

    private Supplied given(Viewer viewer, RequestId request, UUID given) {
        Request found = NotFound.unless(requests.find(viewer, request));
        return NotFound.unless(found.given(given).filter(Supplied::isFile));
    }

    @PostMapping("/c/panes/{pane}/requests/{request}/files")
    String files(
            Viewer viewer,
            @PathVariable RequestId request,
            @RequestParam(required = false) @Nullable UUID part,
            @RequestParam(required = false) @Nullable List<MultipartFile> file)
            throws IOException {
        supplyFiles.give(
                viewer,
                request,
                Optional.ofNullable(part),
                Objects.requireNonNullElse(file, List.<MultipartFile>of()).stream()
                        .filter(one -> !Objects.requireNonNullElse(one.getOriginalFilename(), "")
                                .isEmpty())
                        .map(one -> new SupplyFiles.Arriving(
                                Objects.requireNonNullElse(one.getOriginalFilename(), ""), one::getInputStream))
                        .toList());
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
