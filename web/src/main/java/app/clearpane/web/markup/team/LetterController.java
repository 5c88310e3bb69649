package app.clearpane.web.markup.team;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.usecases.markup.SendLetter;
import app.clearpane.usecases.markup.WriteLetter;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.TeamSight;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The letter of a round. */
@TeamController
class LetterController {
    private final Deliverables deliverables;
    private final TeamSight sight;
    private final WriteLetter writeLetter;
    private final ProjectFrame frame;
    private final SendLetter sendLetter;

    LetterController(
            Deliverables deliverables,
            TeamSight sight,
            WriteLetter writeLetter,
            ProjectFrame frame,
            SendLetter sendLetter) {
        this.sendLetter = sendLetter;
        this.deliverables = deliverables;
        this.sight = sight;
        this.writeLetter = writeLetter;
        this.frame = frame;
    }

    @GetMapping("/t/versions/{version}/letter")
    String letter(@PathVariable VersionId version, @RequestParam Optional<TeamMemberId> mailed, Model model) {
        Version found = NotFound.unless(deliverables.version(version));
        Deliverable deliverable = NotFound.unless(deliverables.find(found.deliverable()));
        frame.above(model, deliverable.project(), "Deliverables");
        model.addAttribute("letter", writeLetter.write(found));
        model.addAttribute("team", sight.seeing(deliverable.project()));
        model.addAttribute(
                "mailed",
                mailed.flatMap(one -> sight.seeing(deliverable.project(), one)).orElse(null));
        return "markup/letter";
    }

    @GetMapping("/t/versions/{version}/letter.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable VersionId version) throws IOException {
        byte[] paper = sendLetter.pdf(writeLetter.write(NotFound.unless(deliverables.version(version))));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("round.pdf")
                                .build()
                                .toString())
                .body(paper);
    }

    @PostMapping("/t/versions/{version}/letter")
    String mail(@PathVariable VersionId version, @RequestParam TeamMemberId to) {
        Version found = NotFound.unless(deliverables.version(version));
        Deliverable deliverable = NotFound.unless(deliverables.find(found.deliverable()));
        sendLetter.mail(writeLetter.write(found), NotFound.unless(sight.seeing(deliverable.project(), to)));
        return "redirect:/t/versions/" + version + "/letter?mailed=" + to;
    }
}
