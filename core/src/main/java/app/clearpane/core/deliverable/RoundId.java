package app.clearpane.core.deliverable;

import java.util.UUID;

/** The opaque, random identifier of a round of review. */
public record RoundId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static RoundId of(String text) {
        return new RoundId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
