package app.clearpane.usecases.markup;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.files.Sha256;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.markup.BroughtMark;
import app.clearpane.formats.markup.WebAnnotations;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.files.Vault;
import app.clearpane.store.markup.Markups;
import app.clearpane.usecases.compare.Writings;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Reads the notes in a file that somebody made elsewhere. */
@Component
class ReadBroughtMarks {
    private static final String PDF = "application/pdf";
    private static final long LARGEST_TEXT = 20_000_000;
    private final Deliverables deliverables;
    private final Markups markups;
    private final Seats seats;
    private final Annotations annotations;
    private final Writings writings;
    private final Vault vault;
    private final DrawApart apart;

    ReadBroughtMarks(
            Deliverables deliverables,
            Markups markups,
            Seats seats,
            Annotations annotations,
            Writings writings,
            Vault vault,
            DrawApart apart) {
        this.deliverables = deliverables;
        this.markups = markups;
        this.seats = seats;
        this.annotations = annotations;
        this.writings = writings;
        this.vault = vault;
        this.apart = apart;
    }

    /** What a kept file would bring. @throws Refused if it has no notes to read */
    BringMarks.Preview preview(VersionId id, Sha256 file) throws IOException {
        Version version = NotFound.unless(deliverables.version(id));
        Path path = vault.path(file);
        if (!Files.exists(path)) {
            throw new NotFound();
        }
        Wish.Noted noted =
                isPdf(path) ? readPdf(path, version) : new Wish.Noted(readText(path, version), Optional.empty());
        BroughtMark.Read read = noted.read();
        Set<String> known = known(version);
        List<BroughtMark> fresh = read.marks().stream()
                .filter(mark -> !known.contains(mark.origin()))
                .filter(mark ->
                        annotations.sizes(version).containsKey(mark.place().page()))
                .toList();
        return new BringMarks.Preview(
                version,
                file,
                fresh,
                (int) read.marks().stream()
                        .filter(mark -> known.contains(mark.origin()))
                        .count(),
                read.skipped(),
                noted.doubt(),
                seats
                        .ofPane(deliverables
                                .find(version.deliverable())
                                .orElseThrow()
                                .pane())
                        .stream()
                        .filter(seat ->
                                seat.state() != SeatState.ENDED && seat.role().mayMarkUp())
                        .toList());
    }

    private Set<String> known(Version version) {
        Set<String> known = new HashSet<>(markups.origins(version.deliverable()));
        markups.withoutThreads(version.deliverable()).forEach(mark -> known.add("urn:uuid:" + mark.id()));
        return known;
    }

    private static boolean isPdf(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new String(in.readNBytes(5), java.nio.charset.StandardCharsets.ISO_8859_1).equals("%PDF-");
        }
    }

    private Wish.Noted readPdf(Path path, Version version) throws IOException {
        try {
            return apart.notes(new Wish.Notes(
                    path,
                    PDF.equals(version.mediaType()) ? Optional.of(vault.path(version.sha256())) : Optional.empty()));
        } catch (UnusableFile unreadable) {
            throw Refused.because(
                    "The notes in this PDF could not be read: it is damaged or locked. Nothing was added; ask for "
                            + "it once more, saved without a password.");
        }
    }

    private BroughtMark.Read readText(Path path, Version version) throws IOException {
        if (Files.size(path) > LARGEST_TEXT) {
            throw Refused.because("This is neither a PDF nor Web Annotations. Nothing was added.");
        }
        try {
            return WebAnnotations.read(
                    Files.readString(path),
                    annotations.sizes(version),
                    writings.plain(version).orElse(""));
        } catch (IllegalArgumentException | java.nio.charset.MalformedInputException notAnnotations) {
            throw Refused.because("This is neither a PDF nor Web Annotations in JSON. Nothing was added.");
        }
    }
}
