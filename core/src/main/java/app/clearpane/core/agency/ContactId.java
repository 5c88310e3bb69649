package app.clearpane.core.agency;

import java.util.UUID;

/** The opaque, random identifier of a contact. */
public record ContactId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static ContactId of(String text) {
        return new ContactId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
