package app.clearpane.core.people;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.SeatId;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Who did something. Kind and id say who it was; the name is how they were called then, and never an identity: two
 * people of one name stay two.
 */
public sealed interface Actor {
    /** How they were called then, as it is shown and written down. */
    String name();

    /** Kind and id in one text, {@code contact:<id>}; it stays the same whatever they are called. */
    String key();

    /** The contact they are; empty for anybody else. */
    default Optional<ContactId> contact() {
        return this instanceof OfClient client ? Optional.of(client.id()) : Optional.empty();
    }

    /** The member of the team they are; empty for anybody else. */
    default Optional<TeamMemberId> member() {
        return this instanceof OfTeam team ? Optional.of(team.id()) : Optional.empty();
    }

    /** Whether a text is the key of an actor, rather than a name as Records were written with before. */
    static boolean isKey(String text) {
        return Keys.FORM.matcher(text).matches();
    }

    /** One of the agency's team. */
    record OfTeam(TeamMemberId id, String name) implements Actor {
        @Override
        public String key() {
            return "team:" + id;
        }
    }

    /** A contact, known by their mailbox. */
    record OfClient(ContactId id, String name) implements Actor {
        @Override
        public String key() {
            return "contact:" + id;
        }
    }

    /**
     * Whoever has a link with its own key. Nobody knows who they are: the name they gave proves nothing and is shown as
     * given.
     *
     * @param link the link's seat
     * @param linkName what the team calls the link
     * @param given the name they gave; empty if they gave none
     */
    record Guest(SeatId link, String linkName, String given) implements Actor {
        /** For instance {@code Ottoline Vance (by the link “Paint shop”, name as given)}. */
        @Override
        public String name() {
            return given.isEmpty()
                    ? "Guest (by the link “" + linkName + "”)"
                    : given + " (by the link “" + linkName + "”, name as given)";
        }

        @Override
        public String key() {
            return "link:" + link;
        }
    }

    /** The house itself, which reminds and counts. @param name the agency's */
    record House(String name) implements Actor {
        @Override
        public String key() {
            return "house";
        }
    }

    /** How keys are written. */
    final class Keys {
        private static final Pattern FORM =
                Pattern.compile("house|(team|contact|link):[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

        private Keys() {}
    }
}
