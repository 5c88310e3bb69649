package app.clearpane.web.markup.team;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.markup.BringMarks;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Notes made elsewhere: what a file would bring, and bringing it. */
@TeamController
class BringMarksController {
    private final BringMarks bringMarks;
    private final Deliverables deliverables;
    private final ProjectFrame frame;

    BringMarksController(BringMarks bringMarks, Deliverables deliverables, ProjectFrame frame) {
        this.bringMarks = bringMarks;
        this.deliverables = deliverables;
        this.frame = frame;
    }

    @ForManagers
    @PostMapping("/t/versions/{version}/brought")
    String bring(@PathVariable VersionId version, @RequestParam MultipartFile file, @AuthenticationPrincipal Person me)
            throws IOException {
        NotFound.unless(deliverables.version(version));
        if (file.isEmpty()) {
            throw Refused.because("Choose a file first.");
        }
        return "redirect:/t/versions/" + version + "/brought?file="
                + bringMarks.keep(version, file.getInputStream(), me.actor());
    }

    @ForManagers
    @GetMapping("/t/versions/{version}/brought")
    String look(@PathVariable VersionId version, @RequestParam Sha256 file, Model model) throws IOException {
        BringMarks.Preview preview = bringMarks.preview(version, file);
        frame.above(
                model,
                deliverables.find(preview.version().deliverable()).orElseThrow().project(),
                "Deliverables");
        model.addAttribute("preview", preview);
        model.addAttribute(
                "deliverable",
                deliverables.find(preview.version().deliverable()).orElseThrow());
        return "markup/brought";
    }

    @ForManagers
    @PostMapping("/t/versions/{version}/brought/add")
    String add(@PathVariable VersionId version, BringMarks.BringForm form, @AuthenticationPrincipal Person me)
            throws IOException {
        NotFound.unless(deliverables.version(version));
        bringMarks.add(version, form, me.actor());
        return "redirect:/t/versions/" + version + "/light-table";
    }
}
