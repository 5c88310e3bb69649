package app.clearpane.core.supply;

import java.util.UUID;

/** The opaque, random identifier of a request. */
public record RequestId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static RequestId of(String text) {
        return new RequestId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
