package app.clearpane.web.plan;

import app.clearpane.core.plan.SlipLedger;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.formats.plan.SlipTable;
import app.clearpane.store.plan.Agreements;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.plan.SlipBook;
import app.clearpane.usecases.plan.ThePlan;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.exposure.Windows;
import app.clearpane.web.layout.TeamController;
import app.clearpane.web.project.ProjectFrame;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Where the days went: day by day, what moved the finish and who. */
@TeamController
class SlipController {
    private final PlanBook book;
    private final SlipBook slips;
    private final Agreements agreements;
    private final Projects projects;
    private final Windows windows;
    private final ProjectFrame frame;
    private final Pages pages;
    private final TheAgency agency;

    SlipController(
            PlanBook book,
            SlipBook slips,
            Agreements agreements,
            Projects projects,
            Windows windows,
            ProjectFrame frame,
            Pages pages,
            TheAgency agency) {
        this.book = book;
        this.slips = slips;
        this.agreements = agreements;
        this.projects = projects;
        this.windows = windows;
        this.frame = frame;
        this.pages = pages;
        this.agency = agency;
    }

    /**
     * A ledger to be shown.
     *
     * @param until the day on which other dates were agreed on; empty while it counts
     * @param on whether it was counted on past that day
     * @param moved the days that moved the finish
     */
    record Account(
            Agreements.Agreement agreement,
            Optional<LocalDate> until,
            boolean on,
            SlipLedger ledger,
            List<SlipLedger.Day> moved,
            LocalDate finish) {
        /** The working days the plan left before the agreed finish. */
        public int reserve() {
            return ledger.reserve();
        }

        /** The last day of the plan as it was agreed. */
        public LocalDate planned() {
            return ledger.planned();
        }
    }

    @GetMapping("/t/projects/{project}/slip")
    String slip(
            @PathVariable ProjectId project,
            @RequestParam Optional<UUID> since,
            @RequestParam(defaultValue = "false") boolean on,
            Model model) {
        Project found = frame.above(model, project, "Plan");
        ThePlan plan = book.of(found);
        model.addAttribute("plan", plan);
        model.addAttribute("account", account(plan, since, on).orElse(null));
        model.addAttribute("item", agreements.account(project).orElse(null));
        model.addAttribute("windows", windows.of(project));
        return "plan/slip";
    }

    /** @param on whether an earlier agreement's account is counted on to today, past the next one */
    private Optional<Account> account(ThePlan plan, Optional<UUID> since, boolean on) {
        List<Agreements.Agreement> all = agreements.ofProject(plan.project().id());
        for (int i = 0; i < all.size(); i++) {
            if (since.isEmpty() || all.get(i).id().equals(since.get())) {
                Optional<LocalDate> until =
                        i == 0 ? Optional.empty() : Optional.of(all.get(i - 1).setOn());
                SlipLedger ledger = slips.since(plan, all.get(i), on ? Optional.empty() : until);
                LocalDate finish = ledger.days().isEmpty()
                        ? plan.finish()
                        : ledger.days().get(ledger.days().size() - 1).finish();
                return Optional.of(new Account(
                        all.get(i),
                        until,
                        on,
                        ledger,
                        ledger.days().stream()
                                .filter(day -> day.slip().client() != 0
                                        || day.slip().team() != 0
                                        || day.slip().planChange() != 0)
                                .toList(),
                        finish));
            }
        }
        return Optional.empty();
    }

    @GetMapping("/t/projects/{project}/slip.csv")
    ResponseEntity<byte[]> csv(
            @PathVariable ProjectId project,
            @RequestParam Optional<UUID> since,
            @RequestParam(defaultValue = "false") boolean on) {
        Account account = NotThere.unless(account(book.of(NotThere.unless(projects.find(project))), since, on));
        return file(
                SlipTable.csv(account.ledger(), account.moved()).getBytes(StandardCharsets.UTF_8),
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                "where-the-days-went.csv");
    }

    @GetMapping("/t/projects/{project}/slip.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable ProjectId project,
            @RequestParam Optional<UUID> since,
            @RequestParam(defaultValue = "false") boolean on)
            throws IOException {
        Project found = NotThere.unless(projects.find(project));
        Account account = NotThere.unless(account(book.of(found), since, on));
        byte[] paper = PdfWriter.write(
                pages.render("plan/slip-paper", Map.of("account", account, "project", found, "agency", agency.get())));
        return file(paper, MediaType.APPLICATION_PDF, "where-the-days-went.pdf");
    }

    private static ResponseEntity<byte[]> file(byte[] bytes, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(bytes);
    }
}
