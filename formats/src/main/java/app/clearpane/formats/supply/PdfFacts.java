package app.clearpane.formats.supply;

import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.PrintSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.DoubleStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.PDXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.text.PDFTextStripper;

/** What a PDF says of its pages, fonts and words. */
final class PdfFacts {
    private static final double MILLIMETRES_A_POINT = 25.4 / 72;
    private static final int MOST_READ = 500;
    private static final int DEEPEST = 12;
    private static final String SUBSET = "[A-Z]{6}\\+";

    private PdfFacts() {}

    static FileFacts read(Path file) throws IOException {
        long bytes = Files.size(file);
        try (PDDocument pdf = Loader.loadPDF(file.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
            return FileFacts.ofDocument(
                    "application/pdf",
                    bytes,
                    new FileFacts.Document(
                            OptionalInt.of(pdf.getNumberOfPages()),
                            pdf.getNumberOfPages() == 0 ? Optional.empty() : sheet(pdf.getPage(0)),
                            bleed(pdf),
                            fontsLeftOut(pdf),
                            words(pdf)));
        } catch (InvalidPasswordException locked) {
            return FileFacts.ofKind("application/pdf", bytes).with(true, false);
        }
    }

    private static Optional<PrintSize> sheet(PDPage page) {
        PDRectangle trim = page.getTrimBox();
        double one = trim.getWidth() * MILLIMETRES_A_POINT;
        double other = trim.getHeight() * MILLIMETRES_A_POINT;
        return PrintSize.near(Math.max(one, other), Math.min(one, other));
    }

    /** The least that any page has around its trim; empty where no page says what is trimmed. */
    private static Optional<Double> bleed(PDDocument pdf) {
        double least = Double.POSITIVE_INFINITY;
        for (PDPage page : pdf.getPages()) {
            if (!page.getCOSObject().containsKey(COSName.TRIM_BOX)) {
                return Optional.empty();
            }
            PDRectangle trim = page.getTrimBox();
            PDRectangle bleed = page.getBleedBox();
            least = Math.min(
                    least,
                    DoubleStream.of(
                                    trim.getLowerLeftX() - bleed.getLowerLeftX(),
                                    trim.getLowerLeftY() - bleed.getLowerLeftY(),
                                    bleed.getUpperRightX() - trim.getUpperRightX(),
                                    bleed.getUpperRightY() - trim.getUpperRightY())
                            .min()
                            .getAsDouble());
        }
        return Double.isInfinite(least)
                ? Optional.empty()
                : Optional.of(Math.max(0, Math.round(least * MILLIMETRES_A_POINT * 10) / 10.0));
    }

    private static List<String> fontsLeftOut(PDDocument pdf) throws IOException {
        Set<String> missing = new TreeSet<>();
        Set<COSBase> seen = new HashSet<>();
        int read = 0;
        for (PDPage page : pdf.getPages()) {
            if (page.getResources() != null && read++ < MOST_READ) {
                leftOut(page.getResources(), missing, seen, 0);
            }
        }
        return List.copyOf(missing);
    }

    private static void leftOut(PDResources resources, Set<String> missing, Set<COSBase> seen, int depth)
            throws IOException {
        if (depth > DEEPEST || !seen.add(resources.getCOSObject())) {
            return;
        }
        for (COSName name : resources.getFontNames()) {
            PDFont font = resources.getFont(name);
            if (font != null && !font.isEmbedded()) {
                missing.add(
                        font.getName() == null ? name.getName() : font.getName().replaceFirst(SUBSET, ""));
            }
        }
        for (COSName name : resources.getXObjectNames()) {
            if (!resources.isImageXObject(name)) {
                PDXObject form = resources.getXObject(name);
                if (form instanceof PDFormXObject drawn && drawn.getResources() != null) {
                    leftOut(drawn.getResources(), missing, seen, depth + 1);
                }
            }
        }
    }

    private static OptionalInt words(PDDocument pdf) throws IOException {
        if (pdf.getNumberOfPages() > MOST_READ) {
            return OptionalInt.empty();
        }
        return OptionalInt.of(WordCount.of(new PDFTextStripper().getText(pdf)));
    }
}
