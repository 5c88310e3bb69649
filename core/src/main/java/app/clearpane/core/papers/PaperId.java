package app.clearpane.core.papers;

import java.util.UUID;

/** The opaque, random identifier of a paper. */
public record PaperId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static PaperId of(String text) {
        return new PaperId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
