package app.clearpane.formats.markup;

import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.util.List;
import java.util.Optional;

/**
 * A mark read from elsewhere.
 *
 * @param origin what it is known by where it came from, so that bringing it twice adds nothing; never empty
 * @param author as it is named there; may be empty
 * @param replacement the wording asked for instead; empty if none is given
 */
public record BroughtMark(String origin, Place place, Intent intent, String note, String author, Optional<String> replacement) {

  /** A mark that asks for no wording. */
  public BroughtMark(String origin, Place place, Intent intent, String note, String author) {
    this(origin, place, intent, note, author, Optional.empty());
  }

  /**
   * What was read.
   *
   * @param skipped what could not be read as a mark, each with the reason
   */
  public record Read(List<BroughtMark> marks, List<String> skipped) {
    public Read {
      marks = List.copyOf(marks);
      skipped = List.copyOf(skipped);
    }
  }
}
