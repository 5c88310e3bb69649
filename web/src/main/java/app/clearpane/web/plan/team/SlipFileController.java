package app.clearpane.web.plan.team;

import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.formats.plan.SlipTable;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.plan.PlanBook;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The account of the days as files. */
@TeamController
class SlipFileController {
    private final PlanBook book;
    private final Projects projects;
    private final Pages pages;
    private final TheAgency agency;
    private final SlipAccounts accounts;

    SlipFileController(PlanBook book, Projects projects, Pages pages, TheAgency agency, SlipAccounts accounts) {
        this.accounts = accounts;
        this.book = book;
        this.projects = projects;
        this.pages = pages;
        this.agency = agency;
    }

    @GetMapping("/t/projects/{project}/slip.csv")
    ResponseEntity<byte[]> csv(
            @PathVariable ProjectId project,
            @RequestParam Optional<UUID> since,
            @RequestParam(defaultValue = "false") boolean on) {
        SlipAccounts.Account account =
                NotFound.unless(accounts.account(book.planOf(NotFound.unless(projects.find(project))), since, on));
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
        Project found = NotFound.unless(projects.find(project));
        SlipAccounts.Account account = NotFound.unless(accounts.account(book.planOf(found), since, on));
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
