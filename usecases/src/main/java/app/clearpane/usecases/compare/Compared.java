package app.clearpane.usecases.compare;

import app.clearpane.core.compare.Comparison;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.WorkKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.formats.compare.ComparisonText;
import app.clearpane.store.compare.Comparisons;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.usecases.deliverable.DrawingDone;
import app.clearpane.usecases.jobs.Jobs;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What changed between versions, as far as it is known; what is not known yet is put in the queue. */
@Component
public class Compared {
    private static final int KEPT_READ = 300;
    private static final Duration ASK_AGAIN = Duration.ofSeconds(5);
    private final Comparisons comparisons;
    private final Deliverables deliverables;
    private final Drawings drawings;
    private final Jobs jobs;
    private final Writings writings;
    private final Cache<Comparisons.Pair, Comparison> read =
            Caffeine.newBuilder().maximumSize(KEPT_READ).build();
    /** Pairs that were not compared yet when somebody looked, so that not each look asks again. */
    private final Cache<Comparisons.Pair, Boolean> waiting = Caffeine.newBuilder()
            .maximumSize(KEPT_READ)
            .expireAfterWrite(ASK_AGAIN)
            .build();

    Compared(Comparisons comparisons, Deliverables deliverables, Drawings drawings, Jobs jobs, Writings writings) {
        this.writings = writings;
        this.comparisons = comparisons;
        this.deliverables = deliverables;
        this.drawings = drawings;
        this.jobs = jobs;
    }

    /** When a file is drawn, compares it with the versions before and after it. */
    @EventListener
    @Transactional
    public void drawn(DrawingDone event) {
        for (ItemId deliverable : deliverables.withContent(event.source())) {
            List<Version> versions = deliverables.versions(deliverable);
            List<Version> sent =
                    versions.stream().filter(version -> !version.draft()).toList();
            neighbours(versions).forEach(this::want);
            neighbours(sent).forEach(this::want);
        }
    }

    /** When two versions are compared, what is known of them is read anew. */
    @EventListener
    public void compared(VersionsCompared event) {
        waiting.invalidate(event.pair());
    }

    private static List<Comparisons.Pair> neighbours(List<Version> versions) {
        List<Comparisons.Pair> pairs = new ArrayList<>();
        for (int i = 1; i < versions.size(); i++) {
            pairs.add(pair(versions.get(i - 1), versions.get(i)));
        }
        return pairs;
    }

    private static Comparisons.Pair pair(Version before, Version after) {
        return new Comparisons.Pair(before.sha256(), after.sha256());
    }

    /** Puts a comparison in the queue unless it is known or one of the files is not drawn yet. */
    private void want(Comparisons.Pair pair) {
        UUID id = UUID.randomUUID();
        if (isDrawn(pair.before()) && isDrawn(pair.after()) && comparisons.begin(id, pair)) {
            jobs.enqueue(CompareVersions.NAME, id);
        }
    }

    /** Texts are compared by their words and what is played is laid side by side: their pictures say little. */
    private boolean isDrawn(Sha256 source) {
        return drawings.find(source)
                .filter(drawing ->
                        drawing.state() == Drawings.State.DONE && WorkKind.of(drawing.mediaType()) == WorkKind.SHEETS)
                .isPresent();
    }

    /**
     * How far the comparison of two versions is; asks for it if nobody did. Empty while one of them is still being
     * drawn or cannot be.
     */
    @Transactional
    public Optional<Comparisons.Kept> progress(Version before, Version after) {
        Comparisons.Pair pair = pair(before, after);
        Optional<Comparisons.Kept> known = comparisons.find(pair);
        if (known.isPresent()) {
            return known;
        }
        want(pair);
        return comparisons.find(pair);
    }

    /** A finished comparison. */
    public Comparison result(Comparisons.Kept kept) {
        return read.get(kept.pair(), pair -> ComparisonText.read(Objects.requireNonNull(kept.result())));
    }

    /** What changed from each of these versions to the next, as far as it is known. @param versions oldest first */
    public Across across(List<Version> versions) {
        List<Comparisons.Pair> pairs = neighbours(versions);
        Map<Comparisons.Pair, Comparison> known = new HashMap<>(read.getAllPresent(pairs));
        List<Comparisons.Pair> unread = pairs.stream()
                .filter(pair -> !known.containsKey(pair) && waiting.getIfPresent(pair) == null)
                .toList();
        unread.forEach(pair -> waiting.put(pair, true));
        comparisons.kept(unread).stream()
                .filter(kept -> kept.state() == Comparisons.State.DONE)
                .forEach(kept -> {
                    waiting.invalidate(kept.pair());
                    known.put(kept.pair(), result(kept));
                });
        return new Across(
                versions,
                pairs.stream().map(pair -> Optional.ofNullable(known.get(pair))).toList(),
                writings);
    }
}
