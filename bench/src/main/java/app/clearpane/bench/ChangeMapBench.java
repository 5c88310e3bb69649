package app.clearpane.bench;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Raster;
import app.clearpane.core.compare.Registration;
import java.awt.Color;
import java.awt.Font;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What differs between two decoded pages of 3840 × 2160 pixels, of which 1 % changed, on one thread. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 2)
public class ChangeMapBench {
    private static final int WIDTH = 3_840;
    private static final int HEIGHT = 2_160;
    private static final int PATCH = 166;
    private final Raster before = raster(page(false));
    private final Raster after = raster(page(true));
    private final Registration laid = Registration.readings(before, after).get(0);

    /** Writes both pages, for others to compare. */
    static void write(Path folder) throws IOException {
        ImageIO.write(page(false), "png", folder.resolve("before.png").toFile());
        ImageIO.write(page(true), "png", folder.resolve("after.png").toFile());
    }

    private static BufferedImage page(boolean changed) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setPaint(new GradientPaint(0, 0, new Color(0xF6F5EF), WIDTH, HEIGHT, new Color(0xDCEBE7)));
        g.fillRect(0, 0, WIDTH, HEIGHT);
        Random random = new Random(5);
        g.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 30));
        for (int line = 0; line < 50; line++) {
            g.setColor(new Color(random.nextInt(0x404040)));
            g.drawString(
                    "Panel " + line + ": " + Long.toString(random.nextLong(), 36) + " "
                            + Long.toString(random.nextLong(), 36),
                    80 + line % 3 * 1_200,
                    80 + line * 40);
        }
        for (int i = 0; changed && i < 3; i++) {
            g.setColor(new Color(0xA8321F));
            g.fillOval(500 + i * 1_100, 400 + i * 500, PATCH * 9 / 8, PATCH * 9 / 8);
            g.drawString("Entrance in Kettle Lane", 300 + i * 900, 900 + i * 300);
        }
        g.dispose();
        return image;
    }

    private static Raster raster(BufferedImage image) {
        int[] rgb = image.getRGB(0, 0, WIDTH, HEIGHT, null, 0, WIDTH);
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] &= 0xFFFFFF;
        }
        return new Raster(WIDTH, HEIGHT, rgb);
    }

    /** Differing pixels, regions and shares. */
    @Benchmark
    public ChangeMap differing() {
        return ChangeMap.of(laid);
    }

    /** The same with finding out how the pages lie on each other. */
    @Benchmark
    public ChangeMap withRegistration() {
        return ChangeMap.of(before, after);
    }
}
