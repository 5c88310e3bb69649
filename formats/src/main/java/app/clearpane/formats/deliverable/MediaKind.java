package app.clearpane.formats.deliverable;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/** The kinds of file that can be looked at, read or played. */
enum MediaKind {
    PDF("application/pdf"),
    SVG("image/svg+xml"),
    PNG("image/png"),
    JPEG("image/jpeg"),
    WEBP("image/webp"),
    GIF("image/gif"),
    TIFF("image/tiff"),
    MARKDOWN("text/markdown"),
    PLAIN("text/plain"),
    DOCX("application/vnd.openxmlformats-officedocument.wordprocessingml.document"),
    MP4("video/mp4"),
    WEBM("video/webm"),
    MP3("audio/mpeg"),
    WAV("audio/wav"),
    OGG("audio/ogg");

    /** Enough of a file's beginning to tell its kind. */
    private static final int BEGINNING = 4_096;

    private final String mediaType;

    MediaKind(String mediaType) {
        this.mediaType = mediaType;
    }

    String mediaType() {
        return mediaType;
    }

    /**
     * What a file is by its content. The name only tells Markdown from plain text, and a text from something else that
     * went wrong.
     */
    static MediaKind of(Path file, String name) throws IOException, UnusableFile {
        if (Files.size(file) == 0) {
            throw new UnusableFile("“" + name
                    + "” is empty: it has 0 bytes. Nothing was kept; save it again where you made it and "
                    + "choose it once more.");
        }
        String found = ContentType.of(file);
        Optional<MediaKind> inside = inside(file, found, name.toLowerCase(Locale.ROOT));
        return inside.or(() -> Arrays.stream(values())
                        .filter(kind -> kind != PLAIN && kind.mediaType.equals(found))
                        .findFirst())
                .orElseThrow(() -> new UnusableFile("“" + name + "” is " + ContentType.inWords(found)
                        + ". Pictures (PNG, JPEG, WebP, GIF, TIFF, SVG), PDF, texts (Markdown, "
                        + "plain, DOCX), video (MP4, WebM) and sound (MP3, WAV, OGG) can be looked "
                        + "at and marked up. Nothing was kept."));
    }

    /** What a general type is when one looks closer. */
    private static Optional<MediaKind> inside(Path file, String found, String name) throws IOException {
        String beginning = beginning(file);
        if (found.equals("application/zip") || found.equals("application/x-tika-ooxml")) {
            return isDocx(file) ? Optional.of(DOCX) : Optional.empty();
        }
        if (beginning.startsWith("\u001aE\u00df\u00a3")) {
            return beginning.contains("webm") ? Optional.of(WEBM) : Optional.empty();
        }
        if (beginning.startsWith("OggS")) {
            return beginning.contains("theora") ? Optional.empty() : Optional.of(OGG);
        }
        if (beginning.startsWith("RIFF") && beginning.startsWith("WAVE", 8)) {
            return Optional.of(WAV);
        }
        if (beginning.startsWith("ftyp", 4) && found.startsWith("video/")) {
            return Optional.of(MP4);
        }
        boolean text = found.startsWith("text/") && !found.equals("text/html");
        return text && (name.endsWith(".md") || name.endsWith(".markdown"))
                ? Optional.of(MARKDOWN)
                : text && (name.endsWith(".txt") || name.indexOf('.') < 0) ? Optional.of(PLAIN) : Optional.empty();
    }

    private static String beginning(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return new String(in.readNBytes(BEGINNING), StandardCharsets.ISO_8859_1);
        }
    }

    private static boolean isDocx(Path file) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            return zip.getEntry("word/document.xml") != null;
        } catch (ZipException damaged) {
            return false;
        }
    }
}
