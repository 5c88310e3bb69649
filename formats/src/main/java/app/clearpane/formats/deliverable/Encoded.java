package app.clearpane.formats.deliverable;

import app.clearpane.core.deliverable.PageSize;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** Writes decoded pages anew, large and small, so that nothing of the file but its pixels is passed on. */
final class Encoded {
    private static final float PHOTOGRAPH_QUALITY = 0.88f;

    private Encoded() {}

    static Work.DrawnPage page(int page, PageSize size, BufferedImage image, boolean photograph) throws IOException {
        BufferedImage large = atMost(image, largestWidth(size));
        BufferedImage small = atMost(large, Work.SMALL_WIDTH);
        return photograph
                ? new Work.DrawnPage(page, size, jpeg(large), jpeg(small), "image/jpeg")
                : new Work.DrawnPage(page, size, png(large), png(small), "image/png");
    }

    /** The width at which a page of this shape is drawn. */
    static int largestWidth(PageSize size) {
        return (int) Math.max(1, Math.min(Work.LARGE_WIDTH, Math.sqrt(Work.MOST_DRAWN_PIXELS / size.ratio())));
    }

    private static BufferedImage atMost(BufferedImage image, int width) {
        BufferedImage current = image;
        while (current.getWidth() > width) {
            current = scaled(current, Math.max(width, (current.getWidth() + 1) / 2));
        }
        return current;
    }

    private static BufferedImage scaled(BufferedImage image, int width) {
        int height = Math.max(1, (int) Math.round((double) image.getHeight() * width / image.getWidth()));
        BufferedImage scaled = new BufferedImage(
                width,
                height,
                image.getColorModel().hasAlpha() ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = scaled.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        graphics.drawImage(image, 0, 0, width, height, null);
        graphics.dispose();
        return scaled;
    }

    private static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static byte[] jpeg(BufferedImage image) throws IOException {
        BufferedImage opaque = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = opaque.createGraphics();
        graphics.drawImage(image, 0, 0, Color.WHITE, null);
        graphics.dispose();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(stream);
            ImageWriteParam quality = writer.getDefaultWriteParam();
            quality.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            quality.setCompressionQuality(PHOTOGRAPH_QUALITY);
            writer.write(null, new IIOImage(opaque, null, null), quality);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }
}
