package app.clearpane.formats.deliverable;

import app.clearpane.core.deliverable.PageSize;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** A picture file. TIFF may have several pages; of a GIF the first frame is looked at. */
record Picture(Path file, MediaKind kind, int pages) implements Work {

    static Picture open(Path file, MediaKind kind) throws IOException, UnusableFile {
        return reading(file, kind, reader -> {
            int pages = kind == MediaKind.TIFF ? reader.getNumImages(true) : 1;
            if (pages > MOST_PAGES) {
                throw new UnusableFile(
                        "This TIFF has %,d pages; up to %,d can be laid out. Nothing was kept; split it and send "
                                + "the parts.".formatted(pages, MOST_PAGES));
            }
            for (int page = 0; page < pages; page++) {
                refuseIfTooLarge(reader.getWidth(page), reader.getHeight(page));
            }
            return new Picture(file, kind, pages);
        });
    }

    private static void refuseIfTooLarge(long width, long height) throws UnusableFile {
        if (width > LONGEST_SIDE || height > LONGEST_SIDE || width * height > MOST_PIXELS) {
            throw new UnusableFile(
                    ("This picture is %,d × %,d pixels. Up to %,d on a side and %,d million in all can be shown. "
                                    + "Nothing was kept; save it smaller and send it again.")
                            .formatted(width, height, LONGEST_SIDE, MOST_PIXELS / 1_000_000));
        }
    }

    @Override
    public String mediaType() {
        return kind.mediaType();
    }

    @Override
    public void draw(int fromPage, Taker taker) throws IOException, UnusableFile {
        int orientation = kind == MediaKind.JPEG ? orientation() : 1;
        reading(file, kind, reader -> {
            for (int page = fromPage; page <= pages; page++) {
                BufferedImage decoded = upright(decode(reader, page - 1), orientation);
                boolean turned = orientation >= 5;
                PageSize size = turned
                        ? new PageSize(reader.getHeight(page - 1), reader.getWidth(page - 1))
                        : new PageSize(reader.getWidth(page - 1), reader.getHeight(page - 1));
                taker.take(Encoded.page(page, size, decoded, kind == MediaKind.JPEG));
            }
            return this;
        });
    }

    /** Read in one go from the rows that are needed; pictures that a camera turned are not drawn larger. */
    @Override
    public Optional<BufferedImage> strip(int page, int width, int top, int height) throws IOException, UnusableFile {
        if (page < 1 || page > pages || kind == MediaKind.JPEG && orientation() != 1) {
            return Optional.empty();
        }
        AtomicReference<BufferedImage> strip = new AtomicReference<>();
        reading(file, kind, reader -> {
            double scale = (double) reader.getWidth(page - 1) / width;
            int first = (int) Math.floor(top * scale);
            int last = (int) Math.min(reader.getHeight(page - 1), Math.ceil((top + height) * scale));
            if (last > first) {
                ImageReadParam rows = reader.getDefaultReadParam();
                int step = (int) Math.max(1, Math.floor(scale));
                rows.setSourceRegion(new Rectangle(0, first, reader.getWidth(page - 1), last - first));
                rows.setSourceSubsampling(step, step, 0, 0);
                strip.set(stretched(
                        reader.read(page - 1, rows),
                        width,
                        height,
                        (top * scale - first) / scale,
                        (last - first) / scale));
            }
            return this;
        });
        return Optional.ofNullable(strip.get());
    }

    private static BufferedImage stretched(BufferedImage read, int width, int height, double above, double high) {
        BufferedImage strip = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = strip.createGraphics();
        graphics.setBackground(Color.WHITE);
        graphics.clearRect(0, 0, width, height);
        graphics.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        AffineTransform place = AffineTransform.getTranslateInstance(0, -above);
        place.scale((double) width / read.getWidth(), high / read.getHeight());
        graphics.drawImage(read, place, null);
        graphics.dispose();
        return strip;
    }

    private static BufferedImage decode(ImageReader reader, int index) throws IOException {
        ImageReadParam thinned = reader.getDefaultReadParam();
        int step = Math.max(1, reader.getWidth(index) / (2 * LARGE_WIDTH));
        thinned.setSourceSubsampling(step, step, 0, 0);
        return reader.read(index, thinned);
    }

    private int orientation() throws IOException {
        try {
            Metadata metadata = ImageMetadataReader.readMetadata(file.toFile());
            ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
            return exif != null && exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
                    ? exif.getInt(ExifIFD0Directory.TAG_ORIENTATION)
                    : 1;
        } catch (ImageProcessingException | MetadataException e) {
            return 1;
        }
    }

    /** Turns and mirrors as the EXIF orientation 1 to 8 says. */
    private static BufferedImage upright(BufferedImage image, int orientation) {
        if (orientation <= 1 || orientation > 8) {
            return image;
        }
        int width = image.getWidth();
        int height = image.getHeight();
        AffineTransform turn =
                switch (orientation) {
                    case 2 -> new AffineTransform(-1, 0, 0, 1, width, 0);
                    case 3 -> new AffineTransform(-1, 0, 0, -1, width, height);
                    case 4 -> new AffineTransform(1, 0, 0, -1, 0, height);
                    case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
                    case 6 -> new AffineTransform(0, 1, -1, 0, height, 0);
                    case 7 -> new AffineTransform(0, -1, -1, 0, height, width);
                    default -> new AffineTransform(0, -1, 1, 0, 0, width);
                };
        boolean swapped = orientation >= 5;
        BufferedImage upright = new BufferedImage(
                swapped ? height : width,
                swapped ? width : height,
                image.getColorModel().hasAlpha() ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = upright.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        graphics.drawImage(image, turn, null);
        graphics.dispose();
        return upright;
    }

    private interface Reading {
        Picture with(ImageReader reader) throws IOException, UnusableFile;
    }

    private static Picture reading(Path file, MediaKind kind, Reading reading) throws IOException, UnusableFile {
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            Iterator<ImageReader> readers = ImageIO.getImageReadersByMIMEType(kind.mediaType());
            if (!readers.hasNext()) {
                throw new IllegalStateException("no reader for " + kind.mediaType());
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in);
                return reading.with(reader);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw new UnusableFile(
                    "This picture is damaged or cut off: it could not be read to its end. Nothing was kept; save "
                            + "it again where you made it.",
                    e);
        }
    }
}
