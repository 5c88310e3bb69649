package app.clearpane.usecases.shell;

import app.clearpane.store.WriteCounter;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;

/**
 * What was read of the house, kept as long as nothing is written to it.
 *
 * @param <K> what it is read for; whatever else it depends on, as the day, belongs into it
 * @param <V> what was read; never changed afterwards
 */
public final class KeptReading<K, V> {
    private final WriteCounter writes;
    private final Function<K, V> read;
    private final Cache<K, Kept<V>> kept;

    /** @param most how many of them are kept at a time */
    public KeptReading(WriteCounter writes, int most, Function<K, V> read) {
        this.writes = writes;
        this.read = read;
        this.kept = Caffeine.newBuilder().maximumSize(most).build();
    }

    /** @param asOf how often the house had been written to before it was read */
    private record Kept<V>(long asOf, V value) {}

    /** What was read, or is read now. */
    public V read(K key) {
        long asOf = writes.count();
        Kept<V> found = kept.getIfPresent(key);
        if (found == null || found.asOf() != asOf) {
            found = new Kept<>(asOf, read.apply(key));
            kept.put(key, found);
        }
        return found.value();
    }
}
