package app.clearpane.web.papers.client;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.papers.client.VisiblePapers;
import app.clearpane.usecases.papers.AnswerPaper;
import app.clearpane.usecases.papers.DeclinePaper;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.client.Through;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The papers somebody was sent: a private list, and each to read, agree to or sign. */
@Controller
class PapersForYouController {
    private final VisiblePapers papers;
    private final Viewers viewers;
    private final AnswerPaper answer;
    private final DeclinePaper decline;
    private final SheetBytes bytes;

    PapersForYouController(
            VisiblePapers papers, Viewers viewers, AnswerPaper answer, DeclinePaper decline, SheetBytes bytes) {
        this.decline = decline;
        this.papers = papers;
        this.viewers = viewers;
        this.answer = answer;
        this.bytes = bytes;
    }

    @GetMapping({"/c/panes/{pane}/papers", "/t/look/{seat}/{sight}/papers"})
    String all(Viewer viewer, Model model) {
        model.addAttribute("all", papers.all(viewer));
        return page(viewer, model, "papers/client/list");
    }

    @GetMapping({"/c/panes/{pane}/papers/{paper}", "/t/look/{seat}/{sight}/papers/{paper}"})
    String one(Viewer viewer, @PathVariable PaperId paper, Model model) {
        Paper found = answer.open(viewer, paper);
        model.addAttribute("paper", found);
        model.addAttribute("mine", found.recipient(viewer.contact()).orElseThrow());
        return page(viewer, model, "papers/client/one");
    }

    private String page(Viewer viewer, Model model, String template) {
        Viewers.Heading heading = viewers.heading(viewer);
        model.addAttribute("viewer", viewer);
        model.addAttribute("heading", heading);
        model.addAttribute("base", Through.base(viewer));
        model.addAttribute("currency", viewers.currency(viewer));
        return template;
    }

    @GetMapping({"/c/panes/{pane}/papers/{paper}/file", "/t/look/{seat}/{sight}/papers/{paper}/file"})
    ResponseEntity<Resource> file(Viewer viewer, @PathVariable PaperId paper) {
        Paper found = NotFound.unless(
                papers.find(viewer, paper).filter(one -> one.withdrawal().isEmpty()));
        return bytes.download(found.sha256(), found.fileName());
    }

    @PostMapping("/c/panes/{pane}/papers/{paper}/decline")
    String decline(
            Viewer viewer,
            @PathVariable PaperId paper,
            @RequestParam(defaultValue = "") String sha256,
            @RequestParam(defaultValue = "") String why) {
        decline.decline(viewer, paper, digest(sha256), why);
        return "redirect:" + Through.base(viewer) + "/papers/" + paper;
    }

    private static Sha256 digest(String typed) {
        return typed.matches("[0-9a-f]{64}") ? new Sha256(typed) : Sha256.ofText("");
    }

    @PostMapping("/c/panes/{pane}/papers/{paper}/name")
    String name(
            Viewer viewer,
            @PathVariable PaperId paper,
            @RequestParam(defaultValue = "") String sha256,
            @RequestParam(defaultValue = "") String typedName,
            @RequestParam(required = false) @Nullable String drawn,
            @RequestParam(defaultValue = "false") boolean sure) {
        answer.name(viewer, paper, digest(sha256), typedName, drawn, sure);
        return "redirect:" + Through.base(viewer) + "/papers/" + paper;
    }
}
