package app.clearpane.core.exposure;

import java.util.UUID;

/** The opaque, random identifier of a pane. */
public record PaneId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static PaneId of(String text) {
        return new PaneId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
