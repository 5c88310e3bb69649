package app.clearpane.web.record.team;

import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.store.project.Projects;
import app.clearpane.store.record.RecordQuery;
import app.clearpane.store.record.Records;
import app.clearpane.usecases.record.RecordLines;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.record.RecordSentences;
import app.clearpane.web.shell.frame.TeamController;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The Record of a project as a story, newest first: sifted, searched, printed, and kept as a file. */
@TeamController
class RecordController {
    private static final int PAGE = 100;
    /** More entries than this are not put on paper. */
    private static final int ON_PAPER = 2_000;

    private static final int LONGEST_WORDS = 120;
    private static final Map<String, Act.Kind> KINDS = Arrays.stream(Act.Kind.values())
            .collect(Collectors.toMap(
                    kind -> kind.name().toLowerCase(Locale.ROOT),
                    Function.identity(),
                    (one, other) -> one,
                    LinkedHashMap::new));
    private final ProjectFrame frame;
    private final Projects projects;
    private final Records records;
    private final RecordLines lines;
    private final RecordSentences story;
    private final Pages pages;
    private final TheAgency agency;

    RecordController(
            ProjectFrame frame,
            Projects projects,
            Records records,
            RecordLines lines,
            RecordSentences story,
            Pages pages,
            TheAgency agency) {
        this.frame = frame;
        this.projects = projects;
        this.records = records;
        this.lines = lines;
        this.story = story;
        this.pages = pages;
        this.agency = agency;
    }

    /** What of the story is asked for. */
    record Sift(
            @Nullable String q,
            @Nullable String kind,
            @Nullable UUID about,
            @Nullable String who) {
        String words() {
            return q == null
                    ? ""
                    : q.strip().substring(0, Math.min(LONGEST_WORDS, q.strip().length()));
        }

        /** The name of somebody whose story it is; empty for everybody's. */
        public String name() {
            return who == null
                    ? ""
                    : who.strip()
                            .substring(0, Math.min(LONGEST_WORDS, who.strip().length()));
        }

        RecordQuery wanted() {
            return new RecordQuery(
                    words(), KINDS.containsKey(kind) ? KINDS.get(kind).beginnings() : List.of(), about, name());
        }

        /** Whether anything is left out. */
        public boolean sifts() {
            return !words().isEmpty() || !name().isEmpty() || about != null || kind != null && !kind.isEmpty();
        }
    }

    @GetMapping("/t/projects/{project}/record")
    String record(
            @PathVariable ProjectId project,
            @RequestParam(required = false) @Nullable Long before,
            Sift sift,
            Model model) {
        Project found = frame.above(model, project, "Record");
        List<RecordSentences.Line> told =
                records.before(project.value(), before == null ? Long.MAX_VALUE : before, PAGE, sift.wanted()).stream()
                        .map(story::line)
                        .toList();
        model.addAttribute("lines", told);
        model.addAttribute("end", records.end(found.id().value()));
        model.addAttribute("sift", sift);
        model.addAttribute("words_", sift.words());
        model.addAttribute("kinds", KINDS.keySet());
        model.addAttribute(
                "earlier", told.size() < PAGE ? null : told.get(told.size() - 1).sequence());
        return "record/list";
    }

    @GetMapping("/t/projects/{project}/record.jsonl")
    ResponseEntity<byte[]> asLines(@PathVariable ProjectId project) {
        Project found = NotFound.unless(projects.find(project));
        return file(
                lines.whole(found.id()).getBytes(StandardCharsets.UTF_8),
                MediaType.parseMediaType("application/jsonl"),
                "record.jsonl");
    }

    @GetMapping("/t/projects/{project}/record.pdf")
    ResponseEntity<byte[]> asPdf(@PathVariable ProjectId project, Sift sift) throws IOException {
        Project found = NotFound.unless(projects.find(project));
        List<RecordSentences.Line> told =
                records.before(project.value(), Long.MAX_VALUE, ON_PAPER, sift.wanted()).stream()
                        .map(story::line)
                        .toList();
        byte[] paper = PdfWriter.write(pages.render(
                "record/paper",
                Map.of(
                        "agency",
                        agency.get(),
                        "project",
                        found,
                        "lines",
                        told,
                        "end",
                        records.end(project.value()),
                        "sifted",
                        sift.sifts(),
                        "cut",
                        told.size() == ON_PAPER)));
        return file(paper, MediaType.APPLICATION_PDF, "record.pdf");
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
