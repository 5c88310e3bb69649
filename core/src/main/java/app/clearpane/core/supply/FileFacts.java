package app.clearpane.core.supply;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What was found in a file that was given. What could not be found is missing, never guessed.
 *
 * @param mediaType told by content
 * @param bytes how many there are
 * @param picture of a picture, or of the frames of a film
 * @param document of what has pages or words
 * @param length of what is played
 * @param locked whether a password is needed to read it
 * @param macros whether it carries programs that run when it is opened
 */
public record FileFacts(
        String mediaType,
        long bytes,
        Optional<Picture> picture,
        Optional<Document> document,
        Optional<Duration> length,
        boolean locked,
        boolean macros) {
    /**
     * A picture.
     *
     * @param colours empty if they could not be told
     * @param profile the name of the colour profile it carries
     */
    public record Picture(Pixels size, Optional<ColourSpace> colours, Optional<String> profile) {}

    /**
     * A document.
     *
     * @param pages how many, of what has pages
     * @param sheet the size of the first page as it is trimmed
     * @param bleed the least that any page has around its trim, in millimetres; empty where pages say no trim
     * @param fontsLeftOut the names of fonts it uses and does not carry
     * @param words how many there are, of what has words
     */
    public record Document(
            OptionalInt pages,
            Optional<PrintSize> sheet,
            Optional<Double> bleed,
            List<String> fontsLeftOut,
            OptionalInt words) {
        /** A text without pages. */
        public static Document ofWords(int words) {
            return new Document(
                    OptionalInt.empty(), Optional.empty(), Optional.empty(), List.of(), OptionalInt.of(words));
        }
    }

    /** Of a file of which nothing but its kind was found. */
    public static FileFacts ofKind(String mediaType, long bytes) {
        return new FileFacts(mediaType, bytes, Optional.empty(), Optional.empty(), Optional.empty(), false, false);
    }

    /** Of a picture. */
    public static FileFacts ofPicture(String mediaType, long bytes, Picture picture) {
        return new FileFacts(mediaType, bytes, Optional.of(picture), Optional.empty(), Optional.empty(), false, false);
    }

    /** Of a document that can be read by whoever has it. */
    public static FileFacts ofDocument(String mediaType, long bytes, Document document) {
        return new FileFacts(mediaType, bytes, Optional.empty(), Optional.of(document), Optional.empty(), false, false);
    }

    /** The same, found to be locked or to carry programs. */
    public FileFacts with(boolean nowLocked, boolean nowMacros) {
        return new FileFacts(mediaType, bytes, picture, document, length, nowLocked, nowMacros);
    }

    public FileKind kind() {
        return FileKind.of(mediaType);
    }
}
