package app.clearpane.formats.files;

import app.clearpane.core.files.Inside;
import app.clearpane.core.supply.FileKind;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.supply.FactsOfFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/** Reads what stands in a file that has no pages to draw: a document's text, a table's cells, an archive's list. */
public final class InsideOfFile {
    private InsideOfFile() {}

    /**
     * Reads it, as far as it is shown.
     *
     * @throws UnusableFile with a sentence if nothing of it can be shown
     */
    public static Inside read(Path file) throws IOException, UnusableFile {
        String mediaType = FactsOfFile.mediaType(file);
        try {
            return switch (FileKind.of(mediaType)) {
                case ARCHIVE -> ofArchive(file, mediaType);
                case TABLE ->
                    mediaType.equals("text/csv") ? TypedRows.table(file) : OfficeInside.table(file, mediaType);
                case SLIDES -> OfficeInside.slides(file, mediaType);
                case TEXT -> mediaType.startsWith("text/") ? TypedRows.lines(file) : OfficeInside.text(file, mediaType);
                case PHOTOGRAPH, DRAWING, PDF, FILM, SOUND, OTHER ->
                    throw new UnusableFile("This kind of file cannot be shown here.");
            };
        } catch (RuntimeException | IOException damaged) {
            throw new UnusableFile("It is damaged, locked by a password, or too large to be shown here.");
        }
    }

    private static Inside ofArchive(Path file, String mediaType) throws IOException, UnusableFile {
        if (!mediaType.equals("application/zip")) {
            throw new UnusableFile("What lies in an archive of this kind cannot be shown here.");
        }
        Inside.Reader reader = new Inside.Reader(Inside.Shape.ARCHIVE);
        reader.begins("");
        try (ZipFile zip = new ZipFile(file.toFile())) {
            Enumeration<? extends ZipEntry> all = zip.entries();
            boolean room = true;
            while (room && all.hasMoreElements()) {
                ZipEntry entry = all.nextElement();
                room = entry.isDirectory() || reader.row(List.of(entry.getName(), "" + Math.max(0, entry.getSize())));
            }
        }
        return reader.whole();
    }
}
