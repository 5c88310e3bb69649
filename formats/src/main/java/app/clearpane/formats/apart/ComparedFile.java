package app.clearpane.formats.apart;

import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.Raster;
import app.clearpane.core.compare.WordChanges.Word;
import app.clearpane.formats.compare.PdfWords;
import app.clearpane.formats.compare.Rasters;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * One of two files that are compared.
 *
 * @param sheets its pages as they were drawn, in order
 * @param pdf the file itself if its words are to be compared too
 */
public record ComparedFile(List<Sheet> sheets, Optional<Path> pdf) {
    public ComparedFile {
        sheets = List.copyOf(sheets);
    }

    /** The pictures of a page; the name of the large one is the same only where they look the same. */
    public record Sheet(Path large, Path small) {}

    Comparison.Source source(Wish.Pieces<?> pieces) throws IOException {
        return new Sheets(
                sheets, pdf.isPresent() ? PdfWords.wordsOn(pdf.get(), pieces::goesOn) : PdfWords.none(), pieces);
    }

    private record Sheets(List<Sheet> sheets, PdfWords words, Wish.Pieces<?> pieces) implements Comparison.Source {
        @Override
        public int pages() {
            return sheets.size();
        }

        @Override
        public Object known(int page) {
            return sheets.get(page - 1).large();
        }

        @Override
        public Raster small(int page) {
            return read(sheets.get(page - 1).small());
        }

        @Override
        public Raster large(int page) {
            return read(sheets.get(page - 1).large());
        }

        @Override
        public List<Word> words(int page) {
            return words.wordsOn(page);
        }

        private Raster read(Path picture) {
            try {
                pieces.goesOn();
                return Rasters.read(picture);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
