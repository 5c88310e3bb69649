package app.clearpane.core.markup;

import java.util.UUID;

/** The opaque, random identifier of a markup. */
public record MarkupId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static MarkupId of(String text) {
        return new MarkupId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
