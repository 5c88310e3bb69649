package app.clearpane.web.papers.team;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.ExtraRound;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.papers.AddPaper;
import app.clearpane.usecases.post.PossibleRecipients;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Words;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
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
    private final Deliverables deliverables;
    private final AddPaper addPaper;
    private final SheetBytes bytes;
    private final Words words;
    private final PossibleRecipients recipients;

    PaperController(
            ProjectFrame frame,
            Papers papers,
            Deliverables deliverables,
            AddPaper addPaper,
            SheetBytes bytes,
            Words words,
            PossibleRecipients recipients) {
        this.recipients = recipients;
        this.frame = frame;
        this.papers = papers;
        this.deliverables = deliverables;
        this.addPaper = addPaper;
        this.bytes = bytes;
        this.words = words;
    }

    /**
     * What was agreed, in sums of the project's currency.
     *
     * @param signed contracts signed
     * @param agreed proposals agreed; a contract that follows takes their place
     * @param extra rounds beyond those included that were accepted
     * @param open invoices that wait to be paid
     */
    public record Sums(
            BigDecimal signed,
            BigDecimal agreed,
            BigDecimal extra,
            BigDecimal open,
            BigDecimal paid,
            int extraRounds) {}

    @GetMapping("/t/projects/{project}/papers")
    String all(@PathVariable ProjectId project, Model model) {
        Project found = frame.above(model, project, "Papers");
        List<Paper> all = papers.ofProject(project);
        List<ExtraRound> extra = deliverables.ofProject(project).stream()
                .map(Deliverable::extra)
                .flatMap(List::stream)
                .toList();
        model.addAttribute("all", all);
        model.addAttribute("currency", found.currency());
        model.addAttribute("paymentDays", addPaper.paymentDays(project));
        model.addAttribute("contacts", recipients.possible(found));
        model.addAttribute(
                "sums",
                new Sums(
                        sum(all, PaperState.SIGNED),
                        sum(all, PaperState.AGREED),
                        extra.stream().map(ExtraRound::fee).reduce(BigDecimal.ZERO, BigDecimal::add),
                        sum(
                                all.stream()
                                        .filter(paper -> paper.kind() == app.clearpane.core.papers.PaperKind.INVOICE)
                                        .toList(),
                                PaperState.OPEN,
                                PaperState.VIEWED,
                                PaperState.OVERDUE),
                        sum(all, PaperState.PAID),
                        extra.size()));
        return "papers/list";
    }

    private BigDecimal sum(List<Paper> all, PaperState... states) {
        return all.stream()
                .filter(paper -> List.of(states).contains(paper.state(words.today())))
                .map(paper -> paper.amount().orElse(BigDecimal.ZERO))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
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
