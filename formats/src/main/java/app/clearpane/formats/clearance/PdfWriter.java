package app.clearpane.formats.clearance;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;

/** Writes well-formed XHTML as PDF, with our fonts embedded and nothing fetched: pictures are inside it, as data. */
public final class PdfWriter {
    static {
        XRLog.setLoggingEnabled(false);
    }

    private PdfWriter() {}

    /**
     * The page as PDF.
     *
     * @param xhtml well-formed; fonts "Atkinson" (400, 700) and "Bricolage" (700)
     * @throws IOException if it cannot be laid out
     */
    public static byte[] write(String xhtml) throws IOException {
        return written(xhtml, new PdfRendererBuilder());
    }

    /**
     * The page as PDF/A-2u (ISO 19005-2), which can be read in many years: fonts and colours are inside it.
     *
     * @param xhtml as for {@link #write}, with a title
     * @throws IOException if it cannot be laid out
     */
    public static byte[] writeToBeKept(String xhtml) throws IOException {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.usePdfAConformance(PdfRendererBuilder.PdfAConformance.PDFA_2_U);
        builder.useColorProfile(ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData());
        return written(xhtml, builder);
    }

    private static byte[] written(String xhtml, PdfRendererBuilder builder) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        builder.useFont(() -> font("AtkinsonHyperlegibleNext_400Regular.ttf"), "Atkinson", 400, FontStyle.NORMAL, true);
        builder.useFont(() -> font("AtkinsonHyperlegibleNext_700Bold.ttf"), "Atkinson", 700, FontStyle.NORMAL, true);
        builder.useFont(() -> font("BricolageGrotesque_700Bold.ttf"), "Bricolage", 700, FontStyle.NORMAL, true);
        builder.useUriResolver((base, uri) -> uri.startsWith("data:image/png;base64,") ? uri : null);
        builder.withHtmlContent(xhtml, "");
        builder.toStream(out);
        builder.run();
        return out.toByteArray();
    }

    private static InputStream font(String file) {
        return PdfWriter.class.getResourceAsStream("/fonts/" + file);
    }
}
