package app.clearpane.core.exposure;

/** What lets an item pass a Filtered aperture without its being Shown (V1). */
public sealed interface Filter {

  /** Whether it lets an item pass, whatever stands above the item. */
  boolean passes(Item item);

  /** How it is written down. */
  String text();

  /**
   * Reads a filter of a kind.
   *
   * @throws IllegalArgumentException if there is none of this name for the kind
   */
  static Filter of(ContentKind kind, String text) {
    return kind.filters().isEmpty() ? new Folder(text) : Trait.valueOf(text);
  }

  /** What an item is. */
  enum Trait implements Filter {
    /** A day rather than work. */
    MILESTONES,
    /** A task at the top that gathers others. */
    PHASE_HEADS,
    /** Done. */
    FINISHED;

    @Override
    public boolean passes(Item item) {
      return item.traits().contains(this);
    }

    @Override
    public String text() {
      return name();
    }
  }

  /** A folder of this name, at the top of a project, with all that lies in it. */
  record Folder(String name) implements Filter {
    @Override
    public String text() {
      return name;
    }

    @Override
    public boolean passes(Item item) {
      return item.folder() && item.name().equals(name) || item.ancestors().stream().anyMatch(above -> above.name().equals(name));
    }
  }
}
