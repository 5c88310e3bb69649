package app.clearpane.web.supply.team;

import app.clearpane.core.supply.RequestId;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.supply.TimeRequest;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is said of a request before it is sent: when it goes out, and whom it asks. */
@TeamController
class RequestDraftController {
    private final TimeRequest timeRequest;

    RequestDraftController(TimeRequest timeRequest) {
        this.timeRequest = timeRequest;
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
