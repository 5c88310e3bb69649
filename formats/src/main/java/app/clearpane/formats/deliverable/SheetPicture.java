package app.clearpane.formats.deliverable;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.attributes.ViewBox;
import com.github.weisj.jsvg.geometry.size.FloatSize;
import com.github.weisj.jsvg.parser.SVGLoader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;

/** Decodes the picture of a drawn sheet, as it lies in the vault, into pixels. */
public final class SheetPicture {
    private SheetPicture() {}

    /**
     * The pixels, on white where one can see through it. A drawing is drawn as wide as sheets are.
     *
     * @param sheet a PNG, a JPEG, or a drawing without anything that reaches outside
     * @throws IOException if it cannot be read
     */
    public static BufferedImage read(Path sheet) throws IOException {
        if (isDrawing(sheet)) {
            return drawn(sheet);
        }
        BufferedImage decoded = ImageIO.read(sheet.toFile());
        if (decoded == null) {
            throw new IOException("not a picture: " + sheet);
        }
        BufferedImage plain = white(decoded.getWidth(), decoded.getHeight());
        Graphics2D graphics = plain.createGraphics();
        graphics.drawImage(decoded, 0, 0, null);
        graphics.dispose();
        return plain;
    }

    private static boolean isDrawing(Path sheet) throws IOException {
        try (InputStream in = Files.newInputStream(sheet)) {
            return new String(in.readNBytes(4), StandardCharsets.US_ASCII).startsWith("<svg");
        }
    }

    /**
     * The ways to load and draw that are not deprecated want parts of a user interface, of which there is none here.
     */
    @SuppressWarnings("deprecation")
    private static BufferedImage drawn(Path sheet) throws IOException {
        SVGDocument document;
        try (InputStream in = Files.newInputStream(sheet)) {
            document = new SVGLoader().load(in);
        } catch (RuntimeException damaged) {
            throw new IOException("a drawing that cannot be drawn: " + sheet, damaged);
        }
        if (document == null) {
            throw new IOException("a drawing that cannot be drawn: " + sheet);
        }
        FloatSize size = document.size();
        int height = (int) Math.max(
                1,
                Math.min(
                        Work.MOST_DRAWN_PIXELS / Work.LARGE_WIDTH,
                        Math.round((double) Work.LARGE_WIDTH * size.height / size.width)));
        BufferedImage plain = white(Work.LARGE_WIDTH, height);
        Graphics2D graphics = plain.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        document.render(null, graphics, new ViewBox(0, 0, Work.LARGE_WIDTH, height));
        graphics.dispose();
        return plain;
    }

    private static BufferedImage white(int width, int height) {
        BufferedImage plain = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = plain.createGraphics();
        graphics.setColor(Color.WHITE);
        graphics.fillRect(0, 0, width, height);
        graphics.dispose();
        return plain;
    }
}
