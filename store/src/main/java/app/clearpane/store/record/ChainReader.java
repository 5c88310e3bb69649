package app.clearpane.store.record;

import app.clearpane.core.record.RecordChain;
import app.clearpane.core.record.RecordEntry;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * Reads chains of the Record over (X3): whether each entry is as it was written, follows from the one before, and none
 * is missing.
 */
public final class ChainReader {
    private final Records records;

    public ChainReader(Records records) {
        this.records = records;
    }

    /**
     * The first fault of a chain.
     *
     * @param sequence the entry's place in the chain
     * @param said what is wrong, to follow "its"
     */
    public record Found(long sequence, String said) {}

    /** Reads a whole chain. */
    public Optional<Found> whole(UUID chain) {
        return newest(chain, Long.MAX_VALUE);
    }

    /** Reads so many of a chain's newest entries. */
    public Optional<Found> newest(UUID chain, long entries) {
        Records.Head end = records.end(chain);
        long from = Math.max(0, end.sequence() - entries);
        String previous = from == 0
                ? RecordEntry.NOTHING_BEFORE
                : records.before(chain, from, 1).stream()
                        .findFirst()
                        .map(line -> line.stored().hash())
                        .orElse("");
        RecordChain check = RecordChain.from(from, previous);
        try (Stream<Records.Line> lines = records.from(chain, from)) {
            for (Records.Line line : (Iterable<Records.Line>) lines::iterator) {
                Optional<RecordChain.Fault> fault = check.check(line.stored());
                if (fault.isPresent()) {
                    return Optional.of(new Found(line.stored().entry().sequence(), inWords(fault.get())));
                }
                if (!line.isAboutWhatItSays()) {
                    return Optional.of(
                            new Found(line.stored().entry().sequence(), "thing that it is about was altered"));
                }
            }
        }
        if (check.sound() != end.sequence()) {
            return Optional.of(new Found(
                    check.sound(),
                    "entry is missing, or there is one too many: the chain should have " + end.sequence()));
        }
        return check.newest().equals(end.hash())
                ? Optional.empty()
                : Optional.of(new Found(
                        Math.max(0, end.sequence() - 1),
                        "hash is not the one that the chain's end was written down with"));
    }

    private static String inWords(RecordChain.Fault fault) {
        return switch (fault) {
            case SEQUENCE -> "place in the chain is wrong, so an entry before it is missing or out of order";
            case PREVIOUS -> "link to the entry before does not fit";
            case PAYLOAD -> "payload was altered";
            case HASH -> "content was altered: it does not hash to what was written down";
        };
    }
}
