package app.clearpane.web.supply.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.shell.NotFound;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;

/** Where large files arrive in parts. */
@Controller
class UploadController {
    private final ResumableUploads uploads;

    UploadController(ResumableUploads uploads) {
        this.uploads = uploads;
    }

    @PostMapping("/c/panes/{pane}/uploads")
    void begin(Viewer viewer, HttpServletRequest request, HttpServletResponse response) throws IOException {
        uploads.begin(known(viewer), request, response);
    }

    @RequestMapping(
            path = "/c/panes/{pane}/uploads/{upload}",
            method = {RequestMethod.PATCH, RequestMethod.HEAD, RequestMethod.DELETE})
    void goOn(Viewer viewer, HttpServletRequest request, HttpServletResponse response) throws IOException {
        uploads.goOn(known(viewer), request, response);
    }

    /** Whoever has a link is nobody by name, and is never asked for anything. */
    private static Viewer known(Viewer viewer) {
        return NotFound.unless(Optional.of(viewer).filter(one -> one.mayAct() && !one.byLink()));
    }
}
