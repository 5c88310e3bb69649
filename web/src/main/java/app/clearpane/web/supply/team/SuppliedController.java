package app.clearpane.web.supply.team;

import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.Supplied;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.supply.ReviewSupplied;
import app.clearpane.usecases.supply.UnsealAccess;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What was given for requests: looked at, accepted, asked for again. */
@TeamController
class SuppliedController {
    private final Requests requests;
    private final ReviewSupplied review;
    private final UnsealAccess unsealAccess;
    private final SheetBytes bytes;

    SuppliedController(Requests requests, ReviewSupplied review, UnsealAccess unsealAccess, SheetBytes bytes) {
        this.requests = requests;
        this.review = review;
        this.unsealAccess = unsealAccess;
        this.bytes = bytes;
    }

    @PostMapping("/t/given/{given}/accept")
    @ForManagers
    String accept(
            @PathVariable UUID given,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal Person me) {
        return backTo(review.accept(given, reason, me.actor()), given);
    }

    @PostMapping("/t/given/{given}/again")
    @ForManagers
    String askAgain(
            @PathVariable UUID given, @RequestParam(defaultValue = "") String why, @AuthenticationPrincipal Person me) {
        return backTo(review.askAgain(given, why, me.actor()), given);
    }

    /** Access details on a page of their own, which no browser keeps. */
    @PostMapping("/t/given/{given}/unseal")
    @ForManagers
    String unseal(
            @PathVariable UUID given, @AuthenticationPrincipal Person me, Model model, HttpServletResponse response) {
        response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noStore().getHeaderValue());
        model.addAttribute("unsealed", unsealAccess.unseal(given, me.actor()));
        return "supply/unsealed";
    }

    private String backTo(ProjectId project, UUID given) {
        Request request = requests.ofSupplied(given).orElseThrow();
        return RequestController.back(project) + "#r" + request.id();
    }

    @GetMapping("/t/given/{given}/look")
    ResponseEntity<Resource> look(@PathVariable UUID given) {
        return bytes.sheet(file(given).sha256(), 1, SheetBytes.Size.small);
    }

    @GetMapping("/t/given/{given}/file")
    ResponseEntity<Resource> download(@PathVariable UUID given) {
        Supplied one = file(given);
        return bytes.download(one.sha256(), one.name());
    }

    private Supplied file(UUID given) {
        Request request = NotFound.unless(requests.ofSupplied(given));
        return NotFound.unless(request.given(given).filter(Supplied::isFile));
    }
}
