package app.clearpane.core.people;

import java.util.UUID;

/** The opaque, random identifier of a seat. */
public record SeatId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static SeatId of(String text) {
        return new SeatId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
