package app.clearpane.core.compare;

import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import java.util.function.Consumer;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;

/** Pages drawn for tests: a heading, lines of text, coloured shapes and something like a photograph. */
final class Drawn {
    private Drawn() {}

    /** A page with its usual content and something more. */
    static BufferedImage page(int width, int height, long seed, Consumer<Graphics2D> more) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        g.setColor(new Color(0xF6F5EF));
        g.fillRect(0, 0, width, height);
        g.scale(width / 1000.0, width / 1000.0);
        Random random = new Random(seed);
        double ratio = (double) height / width;
        photograph(g, random, 560, (int) (120 * ratio + 60), 380, (int) (330 * ratio));
        for (int i = 0; i < 14; i++) {
            g.setColor(new Color(random.nextInt(0xFFFFFF)));
            g.fill(new Ellipse2D.Double(
                    40 + random.nextInt(480),
                    (0.12 + 0.2 * random.nextDouble()) * 1000 * ratio,
                    12 + random.nextInt(60),
                    12 + random.nextInt(60)));
        }
        g.setColor(new Color(0x22282C));
        text(g, "Tonight's sky " + seed, 50, 70, 44);
        for (int line = 0; line < 26; line++) {
            StringBuilder words = new StringBuilder();
            for (int word = 0; word < 9; word++) {
                words.append(Long.toString(Math.abs(random.nextLong()), 36), 0, 2 + random.nextInt(7))
                        .append(' ');
            }
            text(g, words.toString(), 50, (float) ((0.55 + line * 0.016) * 1000 * ratio), 12);
        }
        more.accept(g);
        g.dispose();
        return image;
    }

    static BufferedImage page(int width, int height, long seed) {
        return page(width, height, seed, g -> {});
    }

    static void text(Graphics2D g, String words, float x, float y, int size) {
        g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, size));
        g.drawString(words, x, y);
    }

    private static void photograph(Graphics2D g, Random random, int left, int top, int width, int height) {
        double a = 2 + random.nextDouble() * 3;
        double b = 2 + random.nextDouble() * 3;
        for (int y = 0; y < height; y += 2) {
            for (int x = 0; x < width; x += 2) {
                double light = 0.5 + 0.25 * Math.sin(a * x / 40.0) * Math.cos(b * y / 50.0) + 0.2 * y / height;
                g.setColor(Color.getHSBColor(
                        (float) (0.55 + 0.05 * Math.sin(x / 90.0)), 0.5f, (float) Math.max(0, Math.min(1, light))));
                g.fillRect(left + x, top + y, 2, 2);
            }
        }
    }

    static Raster raster(BufferedImage image) {
        BufferedImage plain = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = plain.createGraphics();
        g.drawImage(image, 0, 0, null);
        g.dispose();
        int[] rgb = plain.getRGB(0, 0, plain.getWidth(), plain.getHeight(), null, 0, plain.getWidth());
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] &= 0xFFFFFF;
        }
        return new Raster(image.getWidth(), image.getHeight(), rgb);
    }

    /**
     * The same picture with its content this many pixels further right and down; paper comes in from the other side.
     */
    static BufferedImage moved(BufferedImage image, double dx, double dy) {
        BufferedImage result = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = result.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.setColor(new Color(0xF6F5EF));
        g.fillRect(0, 0, image.getWidth(), image.getHeight());
        g.drawImage(image, AffineTransform.getTranslateInstance(dx, dy), null);
        g.dispose();
        return result;
    }

    static BufferedImage turned(BufferedImage image) {
        BufferedImage result = new BufferedImage(image.getHeight(), image.getWidth(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = result.createGraphics();
        g.drawImage(image, new AffineTransform(0, 1, -1, 0, image.getHeight(), 0), null);
        g.dispose();
        return result;
    }

    static BufferedImage asJpeg(BufferedImage image, float quality) {
        try {
            ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(quality);
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            try (var out = ImageIO.createImageOutputStream(bytes)) {
                writer.setOutput(out);
                writer.write(null, new IIOImage(image, null, null), how);
            }
            writer.dispose();
            return ImageIO.read(new ByteArrayInputStream(bytes.toByteArray()));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
