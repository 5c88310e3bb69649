package app.clearpane.core.deliverable;

/** How a work is looked at. */
public enum WorkKind {
    /** As pictures of its pages. */
    SHEETS,
    /** Read as a text. */
    TEXT,
    /** Played, with a picture. */
    VIDEO,
    /** Played, to be heard. */
    SOUND;

    /** The kind of a media type. Whatever is not known otherwise is looked at as sheets. */
    public static WorkKind of(String mediaType) {
        if (mediaType.startsWith("video/")) {
            return VIDEO;
        }
        if (mediaType.startsWith("audio/")) {
            return SOUND;
        }
        return mediaType.startsWith("text/") || mediaType.endsWith("wordprocessingml.document") ? TEXT : SHEETS;
    }

    /** Whether it is played. */
    public boolean played() {
        return this == VIDEO || this == SOUND;
    }

    public boolean isSheets() {
        return this == SHEETS;
    }

    public boolean isSound() {
        return this == SOUND;
    }

    public boolean isText() {
        return this == TEXT;
    }

    public boolean isVideo() {
        return this == VIDEO;
    }
}
