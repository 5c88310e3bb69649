package app.clearpane.web.papers.team;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.papers.AddPaper;
import app.clearpane.usecases.papers.SumUpPapers;
import app.clearpane.usecases.plan.PapersFollow;
import app.clearpane.usecases.post.PossibleRecipients;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The papers of a project, and what was agreed in sums. */
@TeamController
class PaperController {
    private final ProjectFrame frame;
    private final Papers papers;
    private final SumUpPapers sumUp;
    private final PapersFollow papersFollow;
    private final AddPaper addPaper;
    private final SheetBytes bytes;
    private final PossibleRecipients recipients;

    PaperController(
            ProjectFrame frame,
            Papers papers,
            SumUpPapers sumUp,
            PapersFollow papersFollow,
            AddPaper addPaper,
            SheetBytes bytes,
            PossibleRecipients recipients) {
        this.recipients = recipients;
        this.frame = frame;
        this.papers = papers;
        this.sumUp = sumUp;
        this.papersFollow = papersFollow;
        this.addPaper = addPaper;
        this.bytes = bytes;
    }

    @GetMapping("/t/projects/{project}/papers")
    String all(@PathVariable ProjectId project, Model model) {
        Project found = frame.above(model, project, "Papers");
        List<Paper> all = papers.ofProject(project);
        model.addAttribute("all", all);
        model.addAttribute("currency", found.currency());
        model.addAttribute("paymentDays", addPaper.paymentDays(project));
        model.addAttribute("contacts", recipients.possible(found));
        model.addAttribute("sums", sumUp.sumUp(project, all));
        model.addAttribute("held", papersFollow.held(found));
        return "papers/list";
    }

    @PostMapping("/t/projects/{project}/papers")
    @ForManagers
    String add(
            @PathVariable ProjectId project,
            @RequestParam(required = false) @Nullable MultipartFile file,
            AddPaper.PaperForm form,
            @AuthenticationPrincipal Person me)
            throws IOException {
        addPaper.add(
                project,
                form,
                file == null
                        ? ""
                        : Optional.ofNullable(file.getOriginalFilename()).orElse(""),
                file == null ? InputStream.nullInputStream() : file.getInputStream(),
                me.actor());
        return back(project);
    }

    static String back(ProjectId project) {
        return "redirect:/t/projects/" + project + "/papers";
    }

    @GetMapping("/t/papers/{paper}/file")
    ResponseEntity<Resource> file(@PathVariable PaperId paper) {
        Paper found = NotFound.unless(papers.find(paper));
        return bytes.download(found.sha256(), found.fileName());
    }
}
