package app.clearpane.store.record;

import static app.clearpane.store.schema.Tables.RECORD_WORD;
import static org.jooq.impl.DSL.selectOne;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;

/**
 * How wanted entries of a long chain are found without reading all of it: by the rarest of what each of them must have.
 */
final class RecordSearchPlan {
    /** So many words that begin alike are looked up one by one. */
    private static final int MOST_ALIKE = 20;
    /**
     * Entries are counted no further; so many are read in no time, and of more that are alike some are near the end.
     */
    private static final int FEW = 3_000;
    /** Comes after every word with the same beginning. */
    private static final String LAST = "\uFFFF";

    private final DSLContext db;
    private final UUID chain;

    RecordSearchPlan(DSLContext db, UUID chain) {
        this.db = db;
        this.chain = chain;
    }

    /** A way. */
    sealed interface Way {}

    /** By looking at each from the newest on. */
    record Backwards() implements Way {}

    /** By words of which every wanted entry has one. */
    record ByWords(List<String> words) implements Way {}

    /** By the places of the few among which all the wanted are. */
    record Few(List<Long> places) implements Way {}

    /** The quickest way. */
    Way wayTo(RecordQuery wanted) {
        if (wanted.about() != null) {
            return new Backwards();
        }
        Stream<List<String>> whole = wanted.wholeWords().stream().map(List::of);
        Stream<List<String>> begun = wanted.beginnings().stream().map(this::alike);
        Stream<List<String>> acts = wanted.acts().isEmpty()
                ? Stream.empty()
                : Stream.of(wanted.acts().stream()
                        .flatMap(act -> alike(act).stream())
                        .distinct()
                        .toList());
        Optional<List<String>> rarest = Stream.of(whole, begun, acts)
                .flatMap(ways -> ways)
                .filter(words -> words.size() <= MOST_ALIKE)
                .min(Comparator.comparingInt(words -> count(RECORD_WORD.WORD.in(words))));
        if (rarest.isPresent()) {
            return new ByWords(rarest.get());
        }
        return wanted.beginnings().stream()
                .map(RecordSearchPlan::range)
                .filter(range -> count(range) <= FEW)
                .findFirst()
                .<Way>map(range -> new Few(db.selectDistinct(RECORD_WORD.SEQUENCE)
                        .from(RECORD_WORD)
                        .where(RECORD_WORD.CHAIN_ID.eq(chain), range)
                        .fetch(RECORD_WORD.SEQUENCE)))
                .orElseGet(Backwards::new);
    }

    private static Condition range(String beginning) {
        return RECORD_WORD.WORD.between(beginning, beginning + LAST);
    }

    /**
     * The words of the chain that begin so, one more than are looked up at most; each is found by a step in the index.
     */
    private List<String> alike(String beginning) {
        List<String> alike = new ArrayList<>();
        Condition next = RECORD_WORD.WORD.ge(beginning);
        while (alike.size() <= MOST_ALIKE) {
            String word = db.select(RECORD_WORD.WORD)
                    .from(RECORD_WORD)
                    .where(RECORD_WORD.CHAIN_ID.eq(chain), next)
                    .orderBy(RECORD_WORD.CHAIN_ID, RECORD_WORD.WORD)
                    .limit(1)
                    .fetchOne(RECORD_WORD.WORD);
            if (word == null || !word.startsWith(beginning)) {
                break;
            }
            alike.add(word);
            next = RECORD_WORD.WORD.gt(word);
        }
        return alike;
    }

    private int count(Condition having) {
        return db.fetchCount(selectOne()
                .from(RECORD_WORD)
                .where(RECORD_WORD.CHAIN_ID.eq(chain), having)
                .limit(FEW + 1));
    }
}
