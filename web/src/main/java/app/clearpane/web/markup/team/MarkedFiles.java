package app.clearpane.web.markup.team;

import app.clearpane.core.deliverable.Version;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.formats.markup.Annotation;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.stereotype.Component;

/** Versions with the marks on them, as files. */
@Component
class MarkedFiles {
    private static final String PDF = "application/pdf";
    private final Drawings drawings;
    private final Vault vault;
    private final DrawApart apart;

    MarkedFiles(Drawings drawings, Vault vault, DrawApart apart) {
        this.drawings = drawings;
        this.vault = vault;
        this.apart = apart;
    }

    /** As a PDF with annotations. @throws Refused if the version does not allow it */
    byte[] pdf(Version version, List<Annotation> marks) throws IOException {
        Path to = Files.createTempFile("marked", ".pdf");
        try {
            apart.write(
                    PDF.equals(version.mediaType())
                            ? new Wish.AnnotatedPdf(vault.path(version.sha256()), marks, to)
                            : new Wish.SheetsAsPdf(
                                    drawings.sheets(version.sha256(), Work.MOST_PAGES).stream()
                                            .map(sheet -> vault.path(sheet.large()))
                                            .toList(),
                                    marks,
                                    to));
            return Files.readAllBytes(to);
        } catch (UnusableFile unusable) {
            throw refused(unusable);
        } finally {
            Files.deleteIfExists(to);
        }
    }

    /** A sheet as PNG. @throws Refused if it does not allow it */
    byte[] png(Drawings.Sheet sheet, List<Annotation> marks) throws IOException {
        try {
            return apart.pictures(new Wish.MarkedPicture(vault.path(sheet.large()), marks))
                    .pictures()
                    .get(0);
        } catch (UnusableFile unusable) {
            throw refused(unusable);
        }
    }

    private static Refused refused(UnusableFile unusable) {
        return Refused.because("The marks could not be put on this file. " + unusable.getMessage());
    }
}
