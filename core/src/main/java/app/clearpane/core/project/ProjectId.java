package app.clearpane.core.project;

import java.util.UUID;

/** The opaque, random identifier of a project. */
public record ProjectId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static ProjectId of(String text) {
        return new ProjectId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
