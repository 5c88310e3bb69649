package app.clearpane.web.markup.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.deliverable.WorkKind;
import app.clearpane.formats.markup.Annotation;
import app.clearpane.formats.markup.MarkedSheet;
import app.clearpane.formats.markup.NotesTable;
import app.clearpane.formats.markup.WebAnnotations;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.markup.Annotations;
import app.clearpane.usecases.markup.StandingMarks;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.web.shell.access.ForOutsideMakers;
import app.clearpane.web.shell.frame.TeamController;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The marks on a version in open formats. What is for the team only is left out, since such files travel. */
@TeamController
@ForOutsideMakers
class MarksOutController {
    private final Deliverables deliverables;
    private final Markups markups;
    private final StandingMarks standing;
    private final Annotations annotations;
    private final Drawings drawings;
    private final Vault vault;
    private final MarkedFiles marked;

    MarksOutController(
            Deliverables deliverables,
            Markups markups,
            StandingMarks standing,
            Annotations annotations,
            Drawings drawings,
            Vault vault,
            MarkedFiles marked) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.standing = standing;
        this.annotations = annotations;
        this.drawings = drawings;
        this.vault = vault;
        this.marked = marked;
    }

    @GetMapping("/t/versions/{version}/marks.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable VersionId version) throws IOException {
        Version found = sheets(version);
        return file(marked.pdf(found, marks(found)), MediaType.APPLICATION_PDF, found, ".pdf");
    }

    @GetMapping("/t/versions/{version}/marks.jsonld")
    ResponseEntity<byte[]> webAnnotations(@PathVariable VersionId version) {
        Version found = NotFound.unless(deliverables.version(version));
        return file(
                WebAnnotations.write(found.sha256(), found.mediaType(), marks(found))
                        .getBytes(StandardCharsets.UTF_8),
                MediaType.parseMediaType("application/ld+json"),
                found,
                ".jsonld");
    }

    @GetMapping("/t/versions/{version}/marks.csv")
    ResponseEntity<byte[]> csv(@PathVariable VersionId version) {
        Version found = NotFound.unless(deliverables.version(version));
        return file(
                NotesTable.csv(marks(found)).getBytes(StandardCharsets.UTF_8),
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                found,
                ".csv");
    }

    @GetMapping("/t/versions/{version}/marks.xlsx")
    ResponseEntity<byte[]> xlsx(@PathVariable VersionId version) throws IOException {
        Version found = NotFound.unless(deliverables.version(version));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        NotesTable.xlsx(marks(found), out);
        return file(
                out.toByteArray(),
                MediaType.parseMediaType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"),
                found,
                ".xlsx");
    }

    @GetMapping("/t/versions/{version}/marked/{page}.png")
    ResponseEntity<byte[]> png(@PathVariable VersionId version, @PathVariable int page) throws IOException {
        Version found = sheets(version);
        Drawings.Sheet sheet = NotFound.unless(drawings.sheet(found.sha256(), page));
        return file(
                marked.png(sheet, annotationsOn(found, page)), MediaType.IMAGE_PNG, found, "-sheet-" + page + ".png");
    }

    @GetMapping("/t/versions/{version}/marked/{page}.svg")
    ResponseEntity<byte[]> svg(@PathVariable VersionId version, @PathVariable int page) throws IOException {
        Version found = sheets(version);
        Drawings.Sheet sheet = NotFound.unless(drawings.sheet(found.sha256(), page));
        String svg = MarkedSheet.svg(
                vault.path(sheet.large()), sheet.mediaType(), sheet.size().ratio(), annotationsOn(found, page));
        return file(
                svg.getBytes(StandardCharsets.UTF_8),
                MediaType.parseMediaType("image/svg+xml"),
                found,
                "-sheet-" + page + ".svg");
    }

    /** A version whose sheets can be marked: not a text, and nothing that is played. */
    private Version sheets(VersionId version) {
        return NotFound.unless(deliverables.version(version).filter(found -> found.kind() == WorkKind.SHEETS));
    }

    private List<Annotation> marks(Version version) {
        return annotations.annotate(
                standing.standingOn(
                        version, deliverables.versions(version.deliverable()), markups.marksOf(version.deliverable())),
                version);
    }

    private List<Annotation> annotationsOn(Version version, int page) {
        return marks(version).stream()
                .filter(mark -> mark.place().page() == page)
                .toList();
    }

    private static ResponseEntity<byte[]> file(byte[] bytes, MediaType type, Version version, String ending) {
        String name = version.fileName().replaceAll("\\.[^.]*$", "") + "-notes" + ending;
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(bytes);
    }
}
