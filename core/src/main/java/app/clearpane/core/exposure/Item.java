package app.clearpane.core.exposure;

import app.clearpane.core.agency.ContactId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
 * @param traits what filters ask for
 */
public record Item(ItemId id, ContentKind kind, String name, List<Ancestor> ancestors, State state, Set<ContactId> addressedTo, boolean folder, Set<Filter.Trait> traits) {
  /** Whether an item exists for clients at all. */
  public enum State {
    THERE,
    NOT_SENT,
    TEAM_ONLY,
    DELETED
  }

  /** A folder or heading above an item. @param addressedTo the contacts it was sent to by name */
  public record Ancestor(ItemId id, String name, Set<Filter.Trait> traits, Set<ContactId> addressedTo) {
    public Ancestor {
      traits = Set.copyOf(traits);
      addressedTo = Set.copyOf(addressedTo);
    }

    /** One that was sent to nobody by name. */
    public Ancestor(ItemId id, String name, Set<Filter.Trait> traits) {
      this(id, name, traits, Set.of());
    }

    /** One that no filter but those of folders asks for. */
    public Ancestor(ItemId id, String name) {
      this(id, name, Set.of());
    }
  }

  /** An item in which nothing stands. */
  public Item(ItemId id, ContentKind kind, String name, List<Ancestor> ancestors, State state, Set<ContactId> addressedTo) {
    this(id, kind, name, ancestors, state, addressedTo, false, Set.of());
  }

  /** What it stands in, as an item; empty at the top. */
  Optional<Item> parent() {
    return ancestors.isEmpty() ? Optional.empty()
        : Optional.of(new Item(ancestors.get(0).id(), kind, ancestors.get(0).name(), ancestors.subList(1, ancestors.size()), state, ancestors.get(0).addressedTo(), true, ancestors.get(0).traits()));
  }

  /** Everybody to whom it, or something it stands in, was sent by name. */
  public Set<ContactId> named() {
    return Stream.concat(addressedTo.stream(), ancestors.stream().flatMap(above -> above.addressedTo().stream())).collect(Collectors.toUnmodifiableSet());
  }

  public Item {
    ancestors = List.copyOf(ancestors);
    addressedTo = Set.copyOf(addressedTo);
    traits = Set.copyOf(traits);
  }
}
