package app.clearpane.web.supply.team;

import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.formats.supply.AnswerSheet;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.supply.question.ReadAnswers;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers as files, and the pictures that can be chosen in a questionnaire. */
@TeamController
class AnswerFileController {
    private final ReadAnswers readAnswers;
    private final Pages pages;
    private final TheAgency agency;
    private final SheetBytes bytes;

    AnswerFileController(ReadAnswers readAnswers, Pages pages, TheAgency agency, SheetBytes bytes) {
        this.readAnswers = readAnswers;
        this.pages = pages;
        this.agency = agency;
        this.bytes = bytes;
    }

    @GetMapping("/t/questionnaires/{questions}/answers.csv")
    ResponseEntity<byte[]> csv(@PathVariable UUID questions) {
        ReadAnswers.Sheet sheet = readAnswers.read(questions);
        return file(
                sheet,
                "csv",
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                AnswerSheet.csv(sheet.kept().answers()).getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/t/questionnaires/{questions}/answers.json")
    ResponseEntity<byte[]> json(@PathVariable UUID questions) {
        ReadAnswers.Sheet sheet = readAnswers.read(questions);
        return file(
                sheet,
                "json",
                MediaType.APPLICATION_JSON,
                AnswerSheet.json(sheet.part().name(), sheet.kept().answers()));
    }

    @GetMapping("/t/questionnaires/{questions}/answers.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable UUID questions) throws IOException {
        ReadAnswers.Sheet sheet = readAnswers.read(questions);
        byte[] paper = PdfWriter.write(pages.render(
                "supply/answers-paper",
                Map.of("sheet", sheet, "answers", sheet.kept().answers(), "agency", agency.get())));
        return file(sheet, "pdf", MediaType.APPLICATION_PDF, paper);
    }

    @GetMapping("/t/questionnaires/{questions}/picture")
    ResponseEntity<Resource> picture(@PathVariable UUID questions, @RequestParam(defaultValue = "") String name) {
        return bytes.sheet(readAnswers.picture(readAnswers.read(questions), name), 1, SheetBytes.Size.small);
    }

    private static ResponseEntity<byte[]> file(ReadAnswers.Sheet sheet, String ending, MediaType type, byte[] content) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(sheet.part().name() + "." + ending, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(content);
    }
}
