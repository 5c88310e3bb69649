package app.clearpane.formats.deliverable;

import app.clearpane.core.deliverable.PageSize;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;

/**
 * A file that can be looked at page by page, read, or played. Of the last two, one picture stands for the whole.
 *
 * <p>What it costs to draw is bounded before anything is decoded: {@link #open} reads headers only and refuses what is
 * too large.
 */
public sealed interface Work permits Picture, PdfWork, SvgWork, TextWork, PlayedWork, OfficeWork {
    /** The longest side of a picture, in pixels. */
    int LONGEST_SIDE = 30_000;

    /** The most pixels of a picture: 250 million take 1 GB decoded, and are decoded thinned out. */
    long MOST_PIXELS = 250_000_000;

    /** The most pages of a document. */
    int MOST_PAGES = 5_000;

    /** The width of a page's large picture, in pixels. */
    int LARGE_WIDTH = 1_600;

    /** The width of a page's small picture, in pixels. */
    int SMALL_WIDTH = 480;

    /** The most pixels of a drawn page, so that a strip a thousand times as high as wide stays small. */
    long MOST_DRAWN_PIXELS = 16_000_000;

    /**
     * A page as pictures.
     *
     * @param page from 1
     * @param size the upright page's, in its own units
     * @param mediaType of both pictures
     */
    record DrawnPage(int page, PageSize size, byte[] large, byte[] small, String mediaType) {}

    /** Takes drawn pages one by one. */
    interface Taker {
        void take(DrawnPage page) throws IOException;
    }

    /**
     * Finds out what a file is by its content and opens it.
     *
     * @throws UnusableFile with a sentence if it is of another kind, damaged, locked or too large
     */
    static Work open(Path file, String nameForSentences) throws IOException, UnusableFile {
        return open(file, MediaKind.of(file, nameForSentences));
    }

    /**
     * Opens a file that is known already.
     *
     * @param mediaType as it was found out when the file came
     * @throws UnusableFile with a sentence if it is damaged, locked or too large
     */
    static Work known(Path file, String mediaType) throws IOException, UnusableFile {
        Optional<MediaKind> kind = Arrays.stream(MediaKind.values())
                .filter(one -> one.mediaType().equals(mediaType))
                .findFirst();
        return kind.isPresent() ? open(file, kind.get()) : OfficeWork.open(file, mediaType);
    }

    private static Work open(Path file, MediaKind kind) throws IOException, UnusableFile {
        return switch (kind) {
            case PDF -> PdfWork.open(file);
            case SVG -> SvgWork.open(file);
            case PNG, JPEG, WEBP, GIF, TIFF -> Picture.open(file, kind);
            case MARKDOWN, PLAIN, DOCX -> TextWork.open(file, kind);
            case MP4, WEBM, MP3, WAV, OGG -> new PlayedWork(file, kind);
        };
    }

    /** The media type by content. */
    String mediaType();

    /** How many pages there are, 1 or more. */
    int pages();

    /**
     * Draws pages in order.
     *
     * @param fromPage the first page to draw, from 1; those before are left out
     * @throws UnusableFile if a page cannot be drawn; earlier ones were taken
     */
    void draw(int fromPage, Taker taker) throws IOException, UnusableFile;

    /**
     * Some rows of a page as it would be drawn at a larger width, for looking closely.
     *
     * @param page from 1
     * @param width of the whole page in pixels
     * @param top the first row
     * @param height how many rows
     * @return as wide as the page and as high as asked; empty if it is sharp as it is or cannot be drawn larger
     */
    Optional<BufferedImage> strip(int page, int width, int top, int height) throws IOException, UnusableFile;
}
