package app.clearpane.store.record;

import static app.clearpane.store.schema.Tables.RECORD_ENTRY;
import static app.clearpane.store.schema.Tables.RECORD_WORD;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.or;
import static org.jooq.impl.DSL.selectOne;

import app.clearpane.core.record.CanonicalJson;
import app.clearpane.core.record.SearchWords;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jooq.Condition;
import org.jspecify.annotations.Nullable;

/**
 * What of a story is wanted.
 *
 * @param words how words begin that its actor, subject or payload has, all of them; empty for all
 * @param acts how its act begins, e.g. {@code signoff.}; none for all
 * @param about the thing it is about; null for all
 * @param who the name of somebody who did it or whom it concerned; empty for all
 */
public record RecordQuery(
        String words, List<String> acts, @Nullable UUID about, String who) {
    /** Everything. */
    public static final RecordQuery ALL = new RecordQuery("", List.of(), null, "");

    public RecordQuery {
        acts = List.copyOf(acts);
    }

    /** Whether what is asked for has no word in it at all, so that no entry has it. */
    boolean isNothing() {
        return !words.isBlank() && SearchWords.of(words).isEmpty();
    }

    /** How words begin that a wanted entry has, all of them. */
    Collection<String> beginnings() {
        return SearchWords.of(words);
    }

    /** SearchWords that a wanted entry has, all of them. */
    Collection<String> wholeWords() {
        return SearchWords.of(who);
    }

    /** All that is asked of an entry. */
    Condition condition() {
        Condition condition = about == null ? noCondition() : RECORD_ENTRY.ABOUT.eq(about);
        if (!acts.isEmpty()) {
            condition = condition.and(
                    or(acts.stream().map(RECORD_ENTRY.ACT::startsWith).toList()));
        }
        if (!who.isBlank()) {
            condition = condition.and(RECORD_ENTRY
                    .ACTOR
                    .eq(who)
                    .or(RECORD_ENTRY.SUBJECT.eq(who))
                    .or(RECORD_ENTRY.PAYLOAD.contains(CanonicalJson.string(who))));
        }
        for (String beginning : beginnings()) {
            condition = condition.andExists(selectOne()
                    .from(RECORD_WORD)
                    .where(
                            RECORD_WORD.CHAIN_ID.eq(RECORD_ENTRY.CHAIN_ID),
                            RECORD_WORD.SEQUENCE.eq(RECORD_ENTRY.SEQUENCE),
                            RECORD_WORD.WORD.ge(beginning),
                            RECORD_WORD.WORD.startsWith(beginning)));
        }
        return condition;
    }
}
