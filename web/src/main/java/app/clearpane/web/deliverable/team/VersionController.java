package app.clearpane.web.deliverable.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.plan.Due;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.deliverable.RecallVersion;
import app.clearpane.usecases.deliverable.SendVersion;
import app.clearpane.usecases.deliverable.StoreVersion;
import app.clearpane.usecases.plan.task.DueForm;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The versions of a deliverable: uploaded, sent, recalled. */
@TeamController
@ForOutsideMakers
class VersionController {
    private final Deliverables deliverables;
    private final StoreVersion storeVersion;
    private final SendVersion sendVersion;
    private final RecallVersion recallVersion;
    private final WatchDrawing watchDrawing;

    VersionController(
            Deliverables deliverables,
            StoreVersion storeVersion,
            SendVersion sendVersion,
            RecallVersion recallVersion,
            WatchDrawing watchDrawing) {
        this.deliverables = deliverables;
        this.storeVersion = storeVersion;
        this.sendVersion = sendVersion;
        this.recallVersion = recallVersion;
        this.watchDrawing = watchDrawing;
    }

    @PostMapping("/t/deliverables/{deliverable}/versions")
    String upload(
            @PathVariable ItemId deliverable,
            @RequestParam MultipartFile file,
            @RequestParam String whatChanged,
            @AuthenticationPrincipal Person me)
            throws IOException {
        Input input = new Input();
        String line = input.text("What changed", whatChanged, DeliverablesController.LONGEST_LINE);
        input.require(
                !file.isEmpty()
                        || file.getOriginalFilename() != null
                                && !file.getOriginalFilename().isEmpty(),
                "Choose a file first.");
        input.allGood();
        storeVersion.store(
                deliverable,
                new StoreVersion.Arriving(
                        Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getInputStream(), line),
                me.actor());
        return "redirect:/t/deliverables/" + deliverable;
    }

    @GetMapping("/t/versions/{version}/progress")
    SseEmitter progress(@PathVariable VersionId version) {
        return watchDrawing.watch(NotFound.unless(deliverables.version(version)));
    }

    @PostMapping("/t/versions/{version}/send")
    @ForManagers
    String send(@PathVariable VersionId version, DueForm due, @AuthenticationPrincipal Person me) {
        Input input = new Input();
        Due by = due.read(input);
        input.allGood();
        sendVersion.send(version, by, me.actor());
        return "redirect:/t/deliverables/"
                + deliverables.version(version).map(Version::deliverable).orElseThrow();
    }

    @PostMapping("/t/versions/{version}/recall")
    @ForManagers
    String recall(@PathVariable VersionId version, @RequestParam String reason, @AuthenticationPrincipal Person me) {
        return "redirect:/t/deliverables/"
                + recallVersion.recall(version, reason, me.actor()).id();
    }
}
