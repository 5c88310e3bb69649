package app.clearpane.core.agency;

import java.util.UUID;

/** The opaque, random identifier of a member of the team. */
public record TeamMemberId(UUID value) {

    /**
     * Reads an identifier as it stands in an address.
     *
     * @throws IllegalArgumentException if the text is not a UUID
     */
    public static TeamMemberId of(String text) {
        return new TeamMemberId(UUID.fromString(text));
    }

    @Override
    public String toString() {
        return value.toString();
    }
}
