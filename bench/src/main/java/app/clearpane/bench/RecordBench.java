package app.clearpane.bench;

import app.clearpane.core.record.CanonicalJson;
import app.clearpane.core.record.RecordChain;
import app.clearpane.core.record.RecordEntry;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Reading over a Record of 100,000 entries, each with its payload, one thread. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 3, time = 3)
public class RecordBench {
    private static final int ENTRIES = 100_000;
    private final List<RecordChain.Stored> chain = chain();

    private static List<RecordChain.Stored> chain() {
        List<RecordChain.Stored> chain = new ArrayList<>(ENTRIES);
        String previous = RecordEntry.NOTHING_BEFORE;
        for (int i = 0; i < ENTRIES; i++) {
            CanonicalJson payload = CanonicalJson.of(Map.of(
                    "version",
                    i % 9,
                    "sha256",
                    "0".repeat(64),
                    "note",
                    "Make “Way in” larger: nobody saw it on the mock-up.",
                    "label",
                    "2·" + i));
            RecordEntry entry = RecordEntry.following(
                    i,
                    previous,
                    new RecordEntry.What("mark.placed", "Jasper Quill-Adeyemi", "Visitor map", payload),
                    Instant.EPOCH.plusSeconds(i));
            previous = entry.hash().hex();
            chain.add(new RecordChain.Stored(entry, previous, Optional.of(payload.text())));
        }
        return chain;
    }

    /** How many entries were found sound. */
    @Benchmark
    public long readOver() {
        RecordChain check = new RecordChain();
        chain.forEach(stored -> check.check(stored).ifPresent(fault -> {
            throw new IllegalStateException("a chain that was just made is sound, found " + fault);
        }));
        return check.sound();
    }
}
