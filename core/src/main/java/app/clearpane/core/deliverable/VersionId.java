package app.clearpane.core.deliverable;

import java.util.UUID;

/** The opaque, random identifier of a version of a deliverable. */
public record VersionId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static VersionId of(String text) {
        return new VersionId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
