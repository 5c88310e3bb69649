package app.clearpane.formats.markup;

import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.nio.charset.StandardCharsets;
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

  public BroughtMark {
    note = whole(note);
    author = whole(author);
    replacement = replacement.map(BroughtMark::whole);
  }

  /** A text in which half a character is told by a question mark, since nothing that is kept may hold one. */
  private static String whole(String text) {
    return new String(text.getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8);
  }

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
