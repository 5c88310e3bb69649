package app.clearpane.formats.deliverable;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.tika.Tika;

/** The media type of a file by its content, whatever its name says. */
public final class ContentType {
    private static final Tika BY_CONTENT = new Tika();

    private ContentType() {}

    /** The media type, e.g. {@code image/png}; {@code application/octet-stream} where the content tells nothing. */
    public static String of(Path file) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return BY_CONTENT.detect(in);
        }
    }

    static String inWords(String mediaType) {
        return switch (mediaType) {
            case "application/octet-stream" -> "of a kind that is not known";
            case "text/plain" -> "plain text inside";
            case "application/zip" -> "a ZIP archive inside";
            default -> "inside a file of type " + mediaType;
        };
    }
}
