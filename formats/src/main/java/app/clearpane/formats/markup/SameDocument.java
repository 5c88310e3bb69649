package app.clearpane.formats.markup;

import app.clearpane.core.compare.WordChanges.Word;
import app.clearpane.formats.compare.PdfWords;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * Whether a PDF that comes back with notes is the one that was sent: as many pages, as large, with much the same words.
 */
public final class SameDocument {
    /** How much a page's width or height may differ, in points. */
    private static final double SLACK = 3;
    /** The part of the words that must be there again. */
    private static final double MOST_WORDS = 0.6;
    /** With fewer words there is nothing to say from them. */
    private static final int FEW_WORDS = 12;

    private SameDocument() {}

    /**
     * What speaks against it; empty if nothing does.
     *
     * @throws IOException if one of them cannot be read
     */
    public static Optional<String> doubt(Path sent, Path came) throws IOException {
        try (PDDocument one = Loader.loadPDF(sent.toFile(), IOUtils.createTempFileOnlyStreamCache());
                PDDocument other = Loader.loadPDF(came.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
            if (one.getNumberOfPages() != other.getNumberOfPages()) {
                return Optional.of(
                        "it has %d pages, this version %d".formatted(other.getNumberOfPages(), one.getNumberOfPages()));
            }
            for (int page = 0; page < one.getNumberOfPages(); page++) {
                PDRectangle a = one.getPage(page).getCropBox();
                PDRectangle b = other.getPage(page).getCropBox();
                if (Math.abs(a.getWidth() - b.getWidth()) > SLACK || Math.abs(a.getHeight() - b.getHeight()) > SLACK) {
                    return Optional.of("its sheet %d has another size".formatted(page + 1));
                }
            }
            return words(sent, came, one.getNumberOfPages());
        } catch (RuntimeException damaged) {
            throw new IOException("it could not be read", damaged);
        }
    }

    private static Optional<String> words(Path sent, Path came, int pages) throws IOException {
        Set<String> before = words(PdfWords.wordsOn(sent), pages);
        Set<String> after = words(PdfWords.wordsOn(came), pages);
        long again = before.stream().filter(after::contains).count();
        return before.size() >= FEW_WORDS && again < MOST_WORDS * before.size()
                ? Optional.of(
                        "only %d of %d different words of this version stand in it".formatted(again, before.size()))
                : Optional.empty();
    }

    private static Set<String> words(PdfWords text, int pages) {
        Set<String> words = new HashSet<>();
        for (int page = 1; page <= pages; page++) {
            text.wordsOn(page).stream().map(Word::text).forEach(words::add);
        }
        return words;
    }
}
