package app.clearpane.formats.deliverable;

import app.clearpane.core.deliverable.PageSize;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** A PDF, page by page, upright and cut to its crop box. */
record PdfWork(Path file, int pages) implements Work {
    private static final double POINTS_PER_INCH = 72;

    static PdfWork open(Path file) throws IOException, UnusableFile {
        try (PDDocument document = load(file)) {
            int pages = document.getNumberOfPages();
            if (pages == 0) {
                throw new UnusableFile("This PDF has no page. Nothing was kept; export it again.");
            }
            if (pages > MOST_PAGES) {
                throw new UnusableFile(
                        "This PDF has %,d pages; up to %,d can be laid out. Nothing was kept; split it and send "
                                + "the parts.".formatted(pages, MOST_PAGES));
            }
            return new PdfWork(file, pages);
        }
    }

    private static PDDocument load(Path file) throws IOException, UnusableFile {
        try {
            return Loader.loadPDF(file.toFile(), IOUtils.createTempFileOnlyStreamCache());
        } catch (InvalidPasswordException e) {
            throw new UnusableFile(
                    "This PDF is locked with a password, so nobody could look at it here. Nothing was kept; save "
                            + "it without the password and send it again.",
                    e);
        } catch (IOException | RuntimeException e) {
            throw new UnusableFile(
                    "This PDF is damaged or cut off: it could not be read to its end. Nothing was kept; export "
                            + "it again.",
                    e);
        }
    }

    @Override
    public String mediaType() {
        return MediaKind.PDF.mediaType();
    }

    @Override
    public void draw(int fromPage, Taker taker) throws IOException, UnusableFile {
        try (PDDocument document = load(file)) {
            PDFRenderer renderer = new PDFRenderer(document);
            renderer.setSubsamplingAllowed(true);
            for (int page = fromPage; page <= pages; page++) {
                taker.take(drawPage(document, renderer, page));
            }
        }
    }

    @Override
    public Optional<BufferedImage> strip(int page, int width, int top, int height) throws IOException, UnusableFile {
        if (page < 1 || page > pages) {
            return Optional.empty();
        }
        try (PDDocument document = load(file)) {
            PDFRenderer renderer = new PDFRenderer(document);
            renderer.setSubsamplingAllowed(true);
            BufferedImage strip = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
            Graphics2D graphics = strip.createGraphics();
            graphics.setBackground(Color.WHITE);
            graphics.clearRect(0, 0, width, height);
            graphics.translate(0, -top);
            graphics.setClip(0, top, width, height);
            renderer.renderPageToGraphics(page - 1, graphics, (float)
                    (width / uprightSize(document.getPage(page - 1), page).width()));
            graphics.dispose();
            return Optional.of(strip);
        } catch (RuntimeException e) {
            throw new UnusableFile("Page " + page + " of this PDF is damaged and could not be drawn.", e);
        }
    }

    private static DrawnPage drawPage(PDDocument document, PDFRenderer renderer, int page)
            throws IOException, UnusableFile {
        PageSize size = uprightSize(document.getPage(page - 1), page);
        float dpi = (float) (Encoded.largestWidth(size) / size.width() * POINTS_PER_INCH);
        try {
            BufferedImage image = renderer.renderImageWithDPI(page - 1, dpi, ImageType.RGB);
            return Encoded.page(page, size, image, false);
        } catch (RuntimeException e) {
            throw new UnusableFile("Page " + page + " of this PDF is damaged and could not be drawn.", e);
        }
    }

    private static PageSize uprightSize(PDPage page, int number) throws UnusableFile {
        PDRectangle box = page.getCropBox();
        if (!(box.getWidth() > 0 && box.getHeight() > 0)) {
            throw new UnusableFile("Page " + number + " of this PDF has no size and could not be drawn.");
        }
        boolean turned = page.getRotation() % 180 != 0;
        return turned ? new PageSize(box.getHeight(), box.getWidth()) : new PageSize(box.getWidth(), box.getHeight());
    }
}
