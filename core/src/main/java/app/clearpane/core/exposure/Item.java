package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One thing that may be seen or not, with all that the decision needs to know of it.
 *
 * @param id the item
 * @param kind whose aperture it falls under
 * @param name for reasons
 * @param ancestors the folders or headings it stands in, nearest first
 * @param state whether it exists for clients at all
 * @param addressedTo the contacts it was sent to by name (V6)
 * @param folder whether other items may stand in it
 * @param facts what filters ask for
 */
public record Item(
        ItemId id,
        ContentKind kind,
        String name,
        List<Ancestor> ancestors,
        State state,
        Set<ContactId> addressedTo,
        boolean folder,
        Facts facts) {
    /** Whether an item exists for clients at all. */
    public enum State {
        THERE,
        NOT_SENT,
        TEAM_ONLY,
        DELETED
    }

    /**
     * What filters ask for.
     *
     * @param daysLeft working days from today to the day it is due, 0 on the day itself; empty if it has none, is late,
     *     or is no longer to be done
     * @param heldBy the contacts who hold it (T1)
     */
    public record Facts(Set<Filter.Trait> traits, OptionalInt daysLeft, Set<ContactId> heldBy) {
        /** Of what no filter asks for but those of folders. */
        public static final Facts NONE = new Facts(Set.of());

        public Facts {
            traits = Set.copyOf(traits);
            heldBy = Set.copyOf(heldBy);
        }

        /** Without a day, and held by nobody. */
        public Facts(Set<Filter.Trait> traits) {
            this(traits, OptionalInt.empty(), Set.of());
        }
    }

    /** A folder or heading above an item. @param addressedTo the contacts it was sent to by name */
    public record Ancestor(ItemId id, String name, Facts facts, Set<ContactId> addressedTo) {
        public Ancestor {
            addressedTo = Set.copyOf(addressedTo);
        }

        /** One that was sent to nobody by name. */
        public Ancestor(ItemId id, String name, Set<Filter.Trait> traits) {
            this(id, name, new Facts(traits), Set.of());
        }

        /** One that no filter but those of folders asks for. */
        public Ancestor(ItemId id, String name) {
            this(id, name, Facts.NONE, Set.of());
        }
    }

    /** An item in which nothing stands. */
    public Item(
            ItemId id,
            ContentKind kind,
            String name,
            List<Ancestor> ancestors,
            State state,
            Set<ContactId> addressedTo) {
        this(id, kind, name, ancestors, state, addressedTo, false, Facts.NONE);
    }

    /** What it stands in, as an item; empty at the top. */
    Optional<Item> parent() {
        return ancestors.isEmpty()
                ? Optional.empty()
                : Optional.of(new Item(
                        ancestors.get(0).id(),
                        kind,
                        ancestors.get(0).name(),
                        ancestors.subList(1, ancestors.size()),
                        state,
                        ancestors.get(0).addressedTo(),
                        true,
                        ancestors.get(0).facts()));
    }

    /**
     * Everybody of whom another decision may be made than of anybody: to whom it, or something it stands in, was sent
     * by name, and who holds it.
     */
    public Set<ContactId> concerned() {
        return Stream.of(
                        addressedTo.stream(),
                        facts.heldBy().stream(),
                        ancestors.stream()
                                .flatMap(above ->
                                        Stream.concat(above.addressedTo().stream(), above.facts().heldBy().stream())))
                .flatMap(Function.identity())
                .collect(Collectors.toUnmodifiableSet());
    }

    public Item {
        ancestors = List.copyOf(ancestors);
        addressedTo = Set.copyOf(addressedTo);
    }

    /** The same in another state. */
    public Item as(State other) {
        return new Item(id, kind, name, ancestors, other, addressedTo, folder, facts);
    }
}
