package app.clearpane.core.record;

import app.clearpane.core.files.Sha256;
import java.util.Optional;

/** Checks a chain of entries one by one (X3), so that a long Record needs no memory. */
public final class RecordChain {
    private long expectedSequence;
    private String expectedPrevious = RecordEntry.NOTHING_BEFORE;

    /**
     * Checks a chain from a place in it on. @param sequence of the first entry to come @param previous the hash of the
     * one before it; 64 zeros for the first of all
     */
    public static RecordChain from(long sequence, String previous) {
        RecordChain chain = new RecordChain();
        chain.expectedSequence = sequence;
        chain.expectedPrevious = previous;
        return chain;
    }

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
        if (stored.payload().isPresent()
                && !Sha256.ofText(stored.payload().get()).equals(entry.payloadHash())) {
            return Optional.of(Fault.PAYLOAD);
        }
        if (!entry.hash().hex().equals(stored.hash())) {
            return Optional.of(Fault.HASH);
        }
        expectedSequence++;
        expectedPrevious = stored.hash();
        return Optional.empty();
    }

    /** The hash of the newest entry that was found sound; that of the one before if there was none yet. */
    public String newest() {
        return expectedPrevious;
    }

    /** The place of the entry that would come next: as many as were found sound, if it began with the first. */
    public long sound() {
        return expectedSequence;
    }
}
