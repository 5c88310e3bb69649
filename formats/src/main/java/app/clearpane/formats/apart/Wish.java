package app.clearpane.formats.apart;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.Palette;
import app.clearpane.core.files.Inside;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.Writing;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.formats.compare.Rasters;
import app.clearpane.formats.deliverable.Texts;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.formats.files.InsideOfFile;
import app.clearpane.formats.markup.Annotation;
import app.clearpane.formats.markup.BroughtMark;
import app.clearpane.formats.markup.MarkedSheet;
import app.clearpane.formats.markup.PdfAnnotations;
import app.clearpane.formats.markup.PdfNotes;
import app.clearpane.formats.markup.SameDocument;
import app.clearpane.formats.supply.FactsOfFile;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;

/**
 * What may be asked of a process that opens files: each says what comes of it and how it is done, over there.
 *
 * @param <P> what comes piece by piece while it is done; {@link None} if nothing does
 * @param <A> what comes at the end
 */
public sealed interface Wish<P, A> {
    /** What it does, in the process of its own. @throws UnusableFile with a sentence if the file does not allow it */
    A granted(Pieces<P> pieces) throws IOException, UnusableFile;

    /** Takes what comes piece by piece. */
    @FunctionalInterface
    interface Pieces<P> {
        /** Takes a piece. @throws IOException if nobody wants the rest, or it cannot be kept */
        void take(P piece) throws IOException;

        /** Says that it goes on, where a step is done of which nothing comes. */
        default void goesOn() throws IOException {}
    }

    /** Nothing. */
    record None() {}

    /** Finds out what a file is. @param name as it is called, for sentences */
    record Open(Path file, String name) implements Wish<None, Opened> {
        @Override
        public Opened granted(Pieces<None> pieces) throws IOException, UnusableFile {
            Work work = Work.open(file, name);
            return new Opened(work.mediaType(), work.pages());
        }
    }

    /** What a file is. @param pages how many it has, 1 or more */
    record Opened(String mediaType, int pages) {}

    /** Finds out what a file is that was given for a request, for its checks. */
    record Facts(Path file) implements Wish<None, FileFacts> {
        @Override
        public FileFacts granted(Pieces<None> pieces) throws IOException {
            return FactsOfFile.read(file);
        }
    }

    /** What stands in a file that has no pages to draw. */
    record Within(Path file) implements Wish<None, Inside> {
        @Override
        public Inside granted(Pieces<None> pieces) throws IOException, UnusableFile {
            return InsideOfFile.read(file);
        }
    }

    /** Draws pages in order. @param mediaType as it was found out @param fromPage the first, from 1 */
    record Draw(Path file, String mediaType, int fromPage) implements Wish<Work.DrawnPage, None> {
        @Override
        public None granted(Pieces<Work.DrawnPage> pieces) throws IOException, UnusableFile {
            Work.known(file, mediaType).draw(fromPage, pieces::take);
            return new None();
        }
    }

    /**
     * Some rows of a page in squares from left to right, as JPEG; none if the page is sharp as it is or has no such
     * rows.
     */
    record Squares(Path file, String mediaType, Rows rows) implements Wish<None, Pictures> {
        @Override
        public Pictures granted(Pieces<None> pieces) throws IOException, UnusableFile {
            Optional<BufferedImage> strip =
                    Work.known(file, mediaType).strip(rows.page, rows.width, rows.top, rows.height);
            return new Pictures(strip.map(all -> cut(all, rows.side)).orElse(List.of()));
        }

        private static List<byte[]> cut(BufferedImage rows, int side) {
            return IntStream.range(0, (rows.getWidth() + side - 1) / side)
                    .parallel()
                    .mapToObj(column -> encoded(rows.getSubimage(
                            column * side, 0, Math.min(side, rows.getWidth() - column * side), rows.getHeight())))
                    .toList();
        }

        private static byte[] encoded(BufferedImage square) {
            try {
                ByteArrayOutputStream jpeg = new ByteArrayOutputStream(1 << 16);
                ImageIO.write(square, "jpg", jpeg);
                return jpeg.toByteArray();
            } catch (IOException never) {
                throw new UncheckedIOException(never);
            }
        }
    }

    /**
     * Which rows. @param page from 1 @param width of the whole page in pixels @param top the first row @param height
     * how many @param side how wide a square is; the last may be narrower
     */
    record Rows(int page, int width, int top, int height, int side) {}

    /** Encoded pictures, in order. */
    record Pictures(List<byte[]> pictures) {}

    /** The colours of a sheet. @param sheet its picture */
    record Colours(Path sheet) implements Wish<None, Palette> {
        @Override
        public Palette granted(Pieces<None> pieces) throws IOException {
            return Palette.of(Rasters.read(sheet));
        }
    }

    /** Compares two files page by page, as they were drawn; page by page comes how far it is. */
    record Compare(ComparedFile before, ComparedFile after) implements Wish<Compared, Comparison> {
        @Override
        public Comparison granted(Pieces<Compared> pieces) throws IOException {
            try {
                return Comparison.of(before.source(pieces), after.source(pieces), (page, of) -> {
                    try {
                        pieces.take(new Compared(page, of));
                    } catch (IOException gone) {
                        throw new UncheckedIOException(gone);
                    }
                });
            } catch (UncheckedIOException unreadable) {
                throw unreadable.getCause();
            }
        }
    }

    /** How far comparing is. */
    record Compared(int page, int of) {}

    /**
     * What differs between two pictures of a film that a browser took out of it. @param mostPixels a larger one is not
     * decoded
     */
    record Frames(byte[] before, byte[] after, int mostPixels) implements Wish<None, ChangeMap> {
        @Override
        public ChangeMap granted(Pieces<None> pieces) throws IOException {
            return ChangeMap.of(Rasters.decode(before, mostPixels), Rasters.decode(after, mostPixels));
        }
    }

    /** The words of a text. */
    record Read(Path file, String mediaType) implements Wish<None, Writing> {
        @Override
        public Writing granted(Pieces<None> pieces) throws IOException, UnusableFile {
            return Texts.read(file, mediaType);
        }
    }

    /**
     * The annotations of a PDF as marks, and what speaks against its being the one that was sent. @param sent the PDF
     * that was sent; empty if it was none
     */
    record Notes(Path came, Optional<Path> sent) implements Wish<None, Noted> {
        @Override
        public Noted granted(Pieces<None> pieces) throws IOException {
            return new Noted(
                    PdfNotes.read(came), sent.isPresent() ? SameDocument.doubt(sent.get(), came) : Optional.empty());
        }
    }

    /** What a PDF that came back says. @param doubt why it seems to be another document; empty if it does not */
    record Noted(BroughtMark.Read read, Optional<String> doubt) {}

    /** A PDF with marks as annotations. @param to where it is written */
    record AnnotatedPdf(Path pdf, List<Annotation> marks, Path to) implements Wish<None, None> {
        @Override
        public None granted(Pieces<None> pieces) throws IOException {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to))) {
                PdfAnnotations.write(pdf, marks, out);
            }
            return new None();
        }
    }

    /**
     * Sheets of something that is not a PDF as one, with marks as annotations. @param sheets their pictures, in
     * order @param to where it is written
     */
    record SheetsAsPdf(List<Path> sheets, List<Annotation> marks, Path to) implements Wish<None, None> {
        @Override
        public None granted(Pieces<None> pieces) throws IOException {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to))) {
                MarkedSheet.pdf(sheets, marks, out);
            }
            return new None();
        }
    }

    /** A sheet with its marks drawn on it, as PNG. */
    record MarkedPicture(Path sheet, List<Annotation> marks) implements Wish<None, Pictures> {
        @Override
        public Pictures granted(Pieces<None> pieces) throws IOException {
            return new Pictures(List.of(MarkedSheet.png(sheet, marks)));
        }
    }

    /** What of sheets is at each of these places, as PNG. @param widest of each, in pixels */
    record CutOuts(List<At> places, int widest) implements Wish<None, Pictures> {
        @Override
        public Pictures granted(Pieces<None> pieces) throws IOException {
            List<byte[]> cut = new ArrayList<>();
            for (At at : places) {
                cut.add(MarkedSheet.cutOut(at.sheet, at.place, widest));
                pieces.goesOn();
            }
            return new Pictures(cut);
        }
    }

    /** A place on the picture of a sheet. */
    record At(Path sheet, Place place) {}
}
