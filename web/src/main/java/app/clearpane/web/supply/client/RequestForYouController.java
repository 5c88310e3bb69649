package app.clearpane.web.supply.client;

import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.supply.client.VisibleRequests;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.supply.ShowExample;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.client.Through;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A request, for those who are asked: what is wanted, what came and what was found in it. */
@Controller
class RequestForYouController {
    private final VisibleRequests requests;
    private final Viewers viewers;
    private final SheetBytes bytes;
    private final ShowExample showExample;

    RequestForYouController(VisibleRequests requests, Viewers viewers, SheetBytes bytes, ShowExample showExample) {
        this.showExample = showExample;
        this.requests = requests;
        this.viewers = viewers;
        this.bytes = bytes;
    }

    @GetMapping({"/c/panes/{pane}/requests/{request}", "/t/look/{seat}/{sight}/requests/{request}"})
    String one(Viewer viewer, @PathVariable RequestId request, Model model) {
        Request found = NotFound.unless(requests.find(viewer, request));
        if (found.asksQuestionsOnly()) {
            return "redirect:" + Through.base(viewer) + "/questionnaires/"
                    + found.parts().get(0).id();
        }
        model.addAttribute("request", found);
        model.addAttribute("examples", showExample.shown(found));
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

    @GetMapping({
        "/c/panes/{pane}/requests/{request}/parts/{wanted}/{which}",
        "/t/look/{seat}/{sight}/requests/{request}/parts/{wanted}/{which}"
    })
    ResponseEntity<Resource> example(
            Viewer viewer,
            @PathVariable RequestId request,
            @PathVariable UUID wanted,
            @PathVariable ShowExample.Which which) {
        return bytes.picture(showExample.find(NotFound.unless(requests.find(viewer, request)), wanted, which));
    }

    private Supplied given(Viewer viewer, RequestId request, UUID given) {
        Request found = NotFound.unless(requests.find(viewer, request));
        return NotFound.unless(found.given(given).filter(Supplied::isFile));
    }
}
