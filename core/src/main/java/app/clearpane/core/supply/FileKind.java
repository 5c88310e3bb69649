package app.clearpane.core.supply;

import java.util.Set;

/** What kind of thing a file is, told by what is in it and never by its name. */
public enum FileKind {
    PHOTOGRAPH("a photograph"),
    DRAWING("a vector drawing"),
    PDF("a PDF"),
    TEXT("a text"),
    TABLE("a table"),
    SLIDES("slides"),
    FILM("a film"),
    SOUND("a sound"),
    ARCHIVE("an archive"),
    OTHER("a file of another kind");

    private static final Set<String> DRAWINGS =
            Set.of("image/svg+xml", "application/postscript", "application/illustrator", "image/x-eps");
    private static final Set<String> ARCHIVES =
            Set.of("application/zip", "application/x-7z-compressed", "application/gzip", "application/x-tar");

    private final String words;

    FileKind(String words) {
        this.words = words;
    }

    /** With its article: “a photograph”. */
    public String words() {
        return words;
    }

    /** The same of what came: a picture of a mark is no photograph. */
    public String foundWords() {
        return this == PHOTOGRAPH ? "a picture made of pixels" : words;
    }

    /** The kind of a media type that was told by content. */
    public static FileKind of(String mediaType) {
        if (DRAWINGS.contains(mediaType)) {
            return DRAWING;
        }
        if (ARCHIVES.contains(mediaType)) {
            return ARCHIVE;
        }
        return switch (mediaType.substring(0, mediaType.indexOf('/') + 1)) {
            case "image/" -> PHOTOGRAPH;
            case "video/" -> FILM;
            case "audio/" -> SOUND;
            case "text/" -> mediaType.equals("text/csv") ? TABLE : TEXT;
            default -> ofDocument(mediaType);
        };
    }

    private static FileKind ofDocument(String mediaType) {
        if (mediaType.equals("application/pdf")) {
            return PDF;
        }
        if (mediaType.contains("spreadsheet") || mediaType.contains("ms-excel")) {
            return TABLE;
        }
        if (mediaType.contains("presentation") || mediaType.contains("ms-powerpoint")) {
            return SLIDES;
        }
        return mediaType.contains("wordprocessing")
                        || mediaType.contains("ms-word")
                        || mediaType.contains("msword")
                        || mediaType.endsWith("opendocument.text")
                        || mediaType.equals("application/rtf")
                ? TEXT
                : OTHER;
    }
}
