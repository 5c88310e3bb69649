package app.clearpane.web.supply.team;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.RequestId;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.supply.DraftRequest;
import app.clearpane.usecases.supply.ShowExample;
import app.clearpane.usecases.supply.TimeRequest;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** What is said of a request: when it goes out, whom it asks, and what would be just right. */
@TeamController
class RequestDraftController {
    private final DraftRequest draftRequest;
    private final TimeRequest timeRequest;
    private final ShowExample showExample;
    private final Requests requests;
    private final SheetBytes bytes;

    RequestDraftController(
            DraftRequest draftRequest,
            TimeRequest timeRequest,
            ShowExample showExample,
            Requests requests,
            SheetBytes bytes) {
        this.draftRequest = draftRequest;
        this.timeRequest = timeRequest;
        this.showExample = showExample;
        this.requests = requests;
        this.bytes = bytes;
    }

    @PostMapping("/t/projects/{project}/requests")
    @ForManagers
    String draft(@PathVariable ProjectId project, DraftRequest.RequestForm form, @AuthenticationPrincipal Person me) {
        RequestId id = draftRequest.draft(project, form, me.actor());
        return RequestController.back(project) + "#r" + id;
    }

    @PostMapping("/t/requests/{request}/discard")
    @ForManagers
    String discard(@PathVariable RequestId request, @AuthenticationPrincipal Person me) {
        return RequestController.back(draftRequest.discard(request, me.actor()));
    }

    @GetMapping("/t/requests/{request}/parts/{wanted}/{which}")
    ResponseEntity<Resource> example(
            @PathVariable RequestId request, @PathVariable UUID wanted, @PathVariable ShowExample.Which which) {
        return bytes.picture(showExample.find(NotFound.unless(requests.find(request)), wanted, which));
    }

    @PostMapping("/t/requests/{request}/parts/{wanted}/{which}")
    @ForManagers
    String show(
            @PathVariable RequestId request,
            @PathVariable UUID wanted,
            @PathVariable ShowExample.Which which,
            @RequestParam MultipartFile file,
            @AuthenticationPrincipal Person me)
            throws IOException {
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "");
        return RequestController.back(showExample.show(request, wanted, which, name, file.getInputStream(), me.actor()))
                + "#r" + request;
    }

    @PostMapping("/t/requests/{request}/parts/{wanted}/{which}/take-away")
    @ForManagers
    String takeAway(
            @PathVariable RequestId request,
            @PathVariable UUID wanted,
            @PathVariable ShowExample.Which which,
            @AuthenticationPrincipal Person me) {
        return RequestController.back(showExample.takeAway(request, wanted, which, me.actor())) + "#r" + request;
    }

    @PostMapping("/t/requests/{request}/time")
    @ForManagers
    String time(@PathVariable RequestId request, TimeRequest.When when, @AuthenticationPrincipal Person me) {
        return RequestController.back(timeRequest.time(request, when, me.actor())) + "#r" + request;
    }

    @PostMapping("/t/requests/{request}/address")
    @ForManagers
    String address(
            @PathVariable RequestId request,
            @RequestParam(name = "asked", required = false) @Nullable List<String> asked,
            @AuthenticationPrincipal Person me) {
        return RequestController.back(timeRequest.address(request, asked, me.actor())) + "#r" + request;
    }
}
