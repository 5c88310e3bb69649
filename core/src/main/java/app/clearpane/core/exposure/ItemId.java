package app.clearpane.core.exposure;

import java.util.UUID;

/** The opaque, random identifier of anything that is shown or held back: a file, a folder, a deliverable, a date. */
public record ItemId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static ItemId of(String text) {
        return new ItemId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
