package app.clearpane.core.exposure;

/** What lets an item pass a Filtered aperture without its being Shown (V1). */
public sealed interface Filter {

  /** Whether it lets an item pass, whatever stands above the item. */
  boolean passes(Item item);

  /** A folder of this name, at the top of a project, with all that lies in it. */
  record Folder(String name) implements Filter {
    @Override
    public boolean passes(Item item) {
      return item.folder() && item.name().equals(name) || item.ancestors().stream().anyMatch(above -> above.name().equals(name));
    }
  }
}
