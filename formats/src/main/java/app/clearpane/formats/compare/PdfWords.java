package app.clearpane.formats.compare;

import app.clearpane.core.compare.WordChanges.Word;
import app.clearpane.core.markup.Box;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.apache.pdfbox.util.Matrix;
import org.jspecify.annotations.Nullable;

/**
 * The words of a PDF's pages and where they stand on it as it is shown, in fractions of it, whichever way they read.
 */
public final class PdfWords {
    /** The most words of a page that are compared: a page with more is not read as text. */
    private static final int MOST_WORDS = 20_000;

    private final Map<Integer, List<Word>> byPage;

    private PdfWords(Map<Integer, List<Word>> byPage) {
        this.byPage = byPage;
    }

    /** A file without text. */
    public static PdfWords none() {
        return new PdfWords(Map.of());
    }

    /** Is told after each page. */
    @FunctionalInterface
    public interface AfterPage {
        void read() throws IOException;
    }

    /**
     * Reads all pages.
     *
     * @throws IOException if the file cannot be read as a PDF
     */
    public static PdfWords wordsOn(Path file) throws IOException {
        return wordsOn(file, () -> {});
    }

    /** The same, telling after each page. @throws IOException if the file cannot be read as a PDF */
    public static PdfWords wordsOn(Path file, AfterPage afterPage) throws IOException {
        Map<Integer, List<Word>> byPage = new HashMap<>();
        try (PDDocument document = Loader.loadPDF(file.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                Stripper stripper = new Stripper(document.getPage(page - 1));
                stripper.setStartPage(page);
                stripper.setEndPage(page);
                stripper.getText(document);
                byPage.put(page, stripper.words.size() > MOST_WORDS ? List.of() : List.copyOf(stripper.words));
                afterPage.read();
            }
        } catch (RuntimeException damaged) {
            throw new IOException("its text could not be read", damaged);
        }
        return new PdfWords(byPage);
    }

    /** The words of a page, from 1, in reading order. */
    public List<Word> wordsOn(int page) {
        return byPage.getOrDefault(page, List.of());
    }

    /** Gathers letters into words. */
    private static final class Stripper extends PDFTextStripper {
        private final List<Word> words = new ArrayList<>();
        private final double width;
        private final double height;
        private final int turned;

        Stripper(PDPage page) {
            setSortByPosition(true);
            width = page.getCropBox().getWidth();
            height = page.getCropBox().getHeight();
            turned = Math.floorMod(page.getRotation(), 360) / 90;
        }

        @Override
        protected void writeString(String text, List<TextPosition> letters) {
            StringBuilder word = new StringBuilder();
            Box box = null;
            float reads = 0;
            for (TextPosition letter : letters) {
                String said = letter.getUnicode() == null ? "" : letter.getUnicode();
                if (said.isBlank() || letter.getDir() != reads) {
                    keep(word, box);
                    word.setLength(0);
                    box = null;
                    reads = letter.getDir();
                }
                if (!said.isBlank()) {
                    word.append(said);
                    box = box == null ? box(letter) : box.with(box(letter));
                }
            }
            keep(word, box);
        }

        private void keep(StringBuilder word, @Nullable Box box) {
            if (box != null && !word.isEmpty()) {
                words.add(new Word(word.toString(), box.onPage()));
            }
        }

        /** Around a letter, whichever way it reads: from where it begins along its line, and upright to that. */
        private Box box(TextPosition letter) {
            Matrix matrix = letter.getTextMatrix();
            double high = Math.max(letter.getHeightDir(), letter.getFontSizeInPt() * 0.7);
            double up = Math.hypot(matrix.getShearX(), matrix.getScaleY());
            double upX = up == 0 ? 0 : matrix.getShearX() / up * high;
            double upY = up == 0 ? high : matrix.getScaleY() / up * high;
            double x = matrix.getTranslateX();
            double y = matrix.getTranslateY();
            return boxAt(x, y)
                    .with(boxAt(letter.getEndX(), letter.getEndY()))
                    .with(boxAt(x + upX, y + upY))
                    .with(boxAt(letter.getEndX() + upX, letter.getEndY() + upY));
        }

        /**
         * A spot of the page as it lies in the file, from its lower left corner in points, on the page as it is shown.
         */
        private Box boxAt(double x, double y) {
            double across = x / width;
            double down = 1 - y / height;
            return switch (turned) {
                case 1 -> new Box(1 - down, across, 0, 0);
                case 2 -> new Box(1 - across, 1 - down, 0, 0);
                case 3 -> new Box(down, 1 - across, 0, 0);
                default -> new Box(across, down, 0, 0);
            };
        }
    }
}
