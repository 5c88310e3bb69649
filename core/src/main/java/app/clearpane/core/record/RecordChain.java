package app.clearpane.core.record;

import app.clearpane.core.files.Sha256;
import java.util.Optional;

/** Checks a chain of entries one by one (X3), so that a long Record needs no memory. */
public final class RecordChain {
  private long expectedSequence;
  private String expectedPrevious = RecordEntry.NOTHING_BEFORE;

  /**
   * An entry as it is kept.
   *
   * @param hash the stored hash
   * @param payload the stored payload's text; empty where a bundle gives the entry without it
   */
  public record Stored(RecordEntry entry, String hash, Optional<String> payload) {}

  /** What is wrong with an entry. */
  public enum Fault {
    SEQUENCE,
    PREVIOUS,
    PAYLOAD,
    HASH
  }

  /** The first fault of the next entry; empty if it is sound. */
  public Optional<Fault> check(Stored stored) {
    RecordEntry entry = stored.entry();
    if (entry.sequence() != expectedSequence) {
      return Optional.of(Fault.SEQUENCE);
    }
    if (!entry.previous().equals(expectedPrevious)) {
      return Optional.of(Fault.PREVIOUS);
    }
    if (stored.payload().isPresent() && !Sha256.ofText(stored.payload().get()).equals(entry.payloadHash())) {
      return Optional.of(Fault.PAYLOAD);
    }
    if (!entry.hash().hex().equals(stored.hash())) {
      return Optional.of(Fault.HASH);
    }
    expectedSequence++;
    expectedPrevious = stored.hash();
    return Optional.empty();
  }

  /** How many entries were found sound. */
  public long sound() {
    return expectedSequence;
  }
}
