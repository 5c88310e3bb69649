package app.clearpane.formats.markup;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A mark as it is written out.
 *
 * @param id an IRI, e.g. {@code urn:uuid:…}
 * @param label "2·3"
 * @param size of the page it is on
 * @param replies the thread
 * @param replacement the wording asked for instead; empty if none is given
 */
public record Annotation(String id, String label, Place place, PageSize size, Intent intent, MarkupProgress progress, String note, String author, Instant at, List<Reply> replies,
    Optional<String> replacement) {
  public Annotation {
    replies = List.copyOf(replies);
  }

  /** An answer in a thread. */
  public record Reply(String said, String author, Instant at) {}
}
