package app.clearpane.core.agency;

import java.util.UUID;

/** The opaque, random identifier of a client. */
public record ClientId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static ClientId of(String text) {
        return new ClientId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
