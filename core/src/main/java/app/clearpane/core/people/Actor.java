package app.clearpane.core.people;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

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

    /** Key and name in one text, as they are kept; {@link #kept} reads it again. */
    default String text() {
        return key() + " " + name();
    }

    /** Whoever a text stands for; one without a key is a name, as was kept before, and nobody is known by it. */
    static Actor kept(String text) {
        int end = text.indexOf(' ');
        String key = end < 0 ? "" : text.substring(0, end);
        if (!isKey(key)) {
            return new Kept("", text.startsWith(" ") ? text.substring(1) : text);
        }
        String name = text.substring(end + 1);
        int colon = key.indexOf(':') + 1;
        if (key.startsWith("team:")) {
            return new OfTeam(new TeamMemberId(UUID.fromString(key.substring(colon))), name);
        }
        if (key.startsWith("contact:")) {
            return new OfClient(new ContactId(UUID.fromString(key.substring(colon))), name);
        }
        return key.startsWith("link:") ? new Kept(key, name) : new House(name);
    }

    /**
     * Whoever was kept by a name and, where they have one, by who they are.
     *
     * @param contact null unless they are one
     * @param member null unless they are one
     */
    static Actor kept(String name, @Nullable ContactId contact, @Nullable TeamMemberId member) {
        return member != null
                ? new OfTeam(member, name)
                : contact != null ? new OfClient(contact, name) : new Kept("", name);
    }

    /** The same one, under another name. */
    default Actor named(String other) {
        return kept(other, contact().orElse(null), member().orElse(null));
    }

    /** As they stand by what they wrote: a contact or one of the team, and anybody else by a name only. */
    default Actor asAuthor() {
        return named(name());
    }

    /** Whether both are the same contact or the same member of the team; of anybody else nobody knows. */
    default boolean isSameAs(Actor other) {
        return contact().isPresent() && contact().equals(other.contact())
                || member().isPresent() && member().equals(other.member());
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

    /**
     * Somebody who was kept as a name alone, or by a link whose own name is part of theirs.
     *
     * @param key empty where it was not kept
     */
    record Kept(String key, String name) implements Actor {}

    /** How keys are written. */
    final class Keys {
        private static final Pattern FORM =
                Pattern.compile("house|(team|contact|link):[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

        private Keys() {}
    }
}
