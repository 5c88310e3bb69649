package app.clearpane.formats.supply;

import app.clearpane.core.supply.ColourSpace;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.Pixels;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.icc.IccDirectory;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.png.PngDirectory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jspecify.annotations.Nullable;

/** A picture's size and colours, read from what stands before its pixels; no pixel is decoded. */
final class PictureFacts {
    private static final int FIRST_TURNED = 5;
    private static final int LAST_TURNED = 8;

    private PictureFacts() {}

    static FileFacts read(Path file, String mediaType) throws IOException {
        Metadata told = told(file);
        Optional<Pixels> size = size(file, mediaType);
        long bytes = Files.size(file);
        return size.isEmpty()
                ? FileFacts.ofKind(mediaType, bytes)
                : FileFacts.ofPicture(
                        mediaType,
                        bytes,
                        new FileFacts.Picture(asSeen(size.get(), told), colours(told, mediaType), profile(told)));
    }

    private static Metadata told(Path file) throws IOException {
        try {
            return ImageMetadataReader.readMetadata(file.toFile());
        } catch (ImageProcessingException nothingToldThere) {
            return new Metadata();
        }
    }

    private static Optional<Pixels> size(Path file, String mediaType) throws IOException {
        Iterator<ImageReader> readers = ImageIO.getImageReadersByMIMEType(mediaType);
        if (!readers.hasNext()) {
            return Optional.empty();
        }
        ImageReader reader = readers.next();
        try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
            reader.setInput(in);
            return Optional.of(new Pixels(reader.getWidth(0), reader.getHeight(0)));
        } finally {
            reader.dispose();
        }
    }

    /** Turned as the camera says it was held. */
    private static Pixels asSeen(Pixels size, Metadata told) {
        ExifIFD0Directory camera = told.getFirstDirectoryOfType(ExifIFD0Directory.class);
        Integer turned = number(camera, ExifIFD0Directory.TAG_ORIENTATION);
        return turned != null && turned >= FIRST_TURNED && turned <= LAST_TURNED
                ? new Pixels(size.height(), size.width())
                : size;
    }

    private static @Nullable Integer number(@Nullable Directory directory, int tag) {
        return directory == null ? null : directory.getInteger(tag);
    }

    private static Optional<ColourSpace> colours(Metadata told, String mediaType) {
        return switch (mediaType) {
            case "image/jpeg" ->
                ofComponents(number(
                        told.getFirstDirectoryOfType(JpegDirectory.class), JpegDirectory.TAG_NUMBER_OF_COMPONENTS));
            case "image/png" ->
                Optional.ofNullable(
                                number(told.getFirstDirectoryOfType(PngDirectory.class), PngDirectory.TAG_COLOR_TYPE))
                        .map(type -> type == 0 || type == 4 ? ColourSpace.GREY : ColourSpace.RGB);
            case "image/tiff" ->
                Optional.ofNullable(number(
                                told.getFirstDirectoryOfType(ExifIFD0Directory.class),
                                ExifIFD0Directory.TAG_PHOTOMETRIC_INTERPRETATION))
                        .flatMap(PictureFacts::ofTiff);
            case "image/webp", "image/gif" -> Optional.of(ColourSpace.RGB);
            default -> Optional.empty();
        };
    }

    private static Optional<ColourSpace> ofComponents(@Nullable Integer count) {
        if (count == null) {
            return Optional.empty();
        }
        return switch (count) {
            case 1 -> Optional.of(ColourSpace.GREY);
            case 3 -> Optional.of(ColourSpace.RGB);
            case 4 -> Optional.of(ColourSpace.CMYK);
            default -> Optional.empty();
        };
    }

    /** By the photometric interpretation of TIFF 6.0. */
    private static Optional<ColourSpace> ofTiff(int photometric) {
        return switch (photometric) {
            case 0, 1 -> Optional.of(ColourSpace.GREY);
            case 2, 3, 6 -> Optional.of(ColourSpace.RGB);
            case 5 -> Optional.of(ColourSpace.CMYK);
            default -> Optional.empty();
        };
    }

    private static Optional<String> profile(Metadata told) {
        return Optional.ofNullable(told.getFirstDirectoryOfType(IccDirectory.class))
                .map(icc -> icc.getString(IccDirectory.TAG_TAG_desc))
                .map(String::strip)
                .filter(name -> !name.isEmpty());
    }
}
