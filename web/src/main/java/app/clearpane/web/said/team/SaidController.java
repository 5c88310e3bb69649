package app.clearpane.web.said.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.said.CallByName;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** What comes with notes, and the names that can be called in them, for the team. */
@TeamController
class SaidController {
    private final Markups markups;
    private final Deliverables deliverables;
    private final CallByName callByName;
    private final SheetBytes bytes;

    SaidController(Markups markups, Deliverables deliverables, CallByName callByName, SheetBytes bytes) {
        this.markups = markups;
        this.deliverables = deliverables;
        this.callByName = callByName;
        this.bytes = bytes;
    }

    @ForOutsideMakers
    @GetMapping("/t/attachments/{attachment}")
    ResponseEntity<Resource> attachment(
            @PathVariable UUID attachment, @RequestParam(defaultValue = "false") boolean look) {
        return bytes.attached(NotFound.unless(markups.attachment(attachment)), look);
    }

    @GetMapping("/t/versions/{version}/names")
    @ResponseBody
    List<String> names(
            @PathVariable VersionId version,
            @RequestParam(defaultValue = "") String q,
            @AuthenticationPrincipal Person.OfTeam me) {
        Version found = NotFound.unless(deliverables.version(version));
        return callByName.offered(
                q,
                new CallByName.Where(deliverables.find(found.deliverable()).orElseThrow(), found, found.draft()),
                new Speaker.Team(me));
    }
}
