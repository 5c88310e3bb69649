package app.clearpane.formats.compare;

import app.clearpane.core.compare.Raster;
import app.clearpane.formats.deliverable.SheetPicture;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Decodes drawn pages for comparing. */
public final class Rasters {
    private static final Set<String> KINDS = Set.of("png", "jpeg", "jpg");

    private Rasters() {}

    /**
     * A single picture that came from outside, as PNG or JPEG.
     *
     * @param mostPixels a larger one is not decoded
     * @throws IOException if it is no such picture, or too large
     */
    public static Raster decode(byte[] picture, int mostPixels) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(picture))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new IOException("no picture");
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                if ((long) reader.getWidth(0) * reader.getHeight(0) > mostPixels
                        || !KINDS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                    throw new IOException("a picture of another kind, or too large");
                }
                BufferedImage image = reader.read(0);
                int[] rgb = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
                for (int i = 0; i < rgb.length; i++) {
                    rgb[i] &= 0xFFFFFF;
                }
                return new Raster(
                        image.getWidth(), image.getHeight(), rgb, HalvedJpeg.is(new ByteArrayInputStream(picture)));
            } finally {
                reader.dispose();
            }
        } catch (RuntimeException damaged) {
            throw new IOException("a damaged picture", damaged);
        }
    }

    /**
     * A picture, laid on white where one can see through it.
     *
     * @throws IOException if it cannot be read
     */
    public static Raster read(Path picture) throws IOException {
        BufferedImage plain = SheetPicture.read(picture);
        int[] rgb = ((DataBufferInt) plain.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] &= 0xFFFFFF;
        }
        try (InputStream in = new BufferedInputStream(Files.newInputStream(picture))) {
            return new Raster(plain.getWidth(), plain.getHeight(), rgb, HalvedJpeg.is(in));
        }
    }
}
