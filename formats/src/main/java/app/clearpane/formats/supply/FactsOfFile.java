package app.clearpane.formats.supply;

import app.clearpane.core.supply.FileFacts;
import app.clearpane.core.supply.FileKind;
import app.clearpane.formats.deliverable.ContentType;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Finds out what a file is, for the checks of a request (rule Q1): its kind by content, and what can be read of it
 * without drawing it. A file that cannot be read further is a file of which nothing more is known; none is refused
 * here.
 */
public final class FactsOfFile {
    private static final long LONGEST_TEXT = 20_000_000;

    private FactsOfFile() {}

    /** What is found in a file. @throws IOException if it cannot be read at all */
    public static FileFacts read(Path file) throws IOException {
        String mediaType = mediaType(file);
        long bytes = Files.size(file);
        try {
            return switch (FileKind.of(mediaType)) {
                case PHOTOGRAPH -> PictureFacts.read(file, mediaType);
                case PDF -> PdfFacts.read(file);
                case FILM, SOUND -> PlayedFacts.read(file, mediaType);
                case TEXT, TABLE, SLIDES ->
                    isPlain(mediaType) ? ofText(file, mediaType, bytes) : OfficeFacts.read(file, mediaType);
                case DRAWING, ARCHIVE, OTHER ->
                    FileFacts.ofKind(mediaType, bytes).with(OfficeFacts.isLocked(mediaType), false);
            };
        } catch (IOException | RuntimeException damaged) {
            return FileFacts.ofKind(mediaType, bytes);
        }
    }

    /** What a file is by its content, as a media type. @throws IOException if it cannot be read at all */
    public static String mediaType(Path file) throws IOException {
        String found = ContentType.of(file);
        return switch (found) {
            case "text/plain" -> TypedTable.is(TypedText.beginning(file)) ? "text/csv" : found;
            case "application/zip", "application/x-tika-ooxml" -> OfficeFacts.kindOfArchive(file);
            case "application/x-tika-msoffice" -> OfficeFacts.kindOfOlder(file);
            case "application/x-matroska", "video/x-matroska", "video/webm" ->
                MatroskaFacts.read(file).mediaType();
            case "application/ogg", "audio/ogg", "audio/opus" ->
                SoundLength.kindOfOgg(file).orElse(found);
            default -> found;
        };
    }

    private static boolean isPlain(String mediaType) {
        return mediaType.startsWith("text/");
    }

    private static FileFacts ofText(Path file, String mediaType, long bytes) throws IOException {
        if (bytes > LONGEST_TEXT) {
            return FileFacts.ofKind(mediaType, bytes);
        }
        return FileFacts.ofDocument(mediaType, bytes, FileFacts.Document.ofWords(WordCount.of(text(file))));
    }

    private static String text(Path file) throws IOException {
        try {
            return Files.readString(file);
        } catch (CharacterCodingException older) {
            return Files.readString(file, StandardCharsets.ISO_8859_1);
        }
    }
}
