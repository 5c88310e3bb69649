package app.clearpane.store.compare;

import static app.clearpane.store.schema.Tables.COMPARISON;
import static org.jooq.impl.DSL.row;

import app.clearpane.core.files.Sha256;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;

/** What changed between two files, known by their content. */
public final class Comparisons {
    private final DSLContext db;

    public Comparisons(DSLContext db) {
        this.db = db;
    }

    /** How far a comparison is. */
    public enum State {
        WAITING,
        DONE,
        FAILED
    }

    /** Two files to compare. */
    public record Pair(Sha256 before, Sha256 after) {}

    /**
     * A comparison.
     *
     * @param compared how many pages are compared so far
     * @param pages how many there are to compare; 0 until that is known
     * @param result as text; null unless it is done
     * @param failure why it could not be done; null unless it failed
     */
    public record Kept(
            Pair pair,
            State state,
            int compared,
            int pages,
            @Nullable String result,
            @Nullable String failure) {}

    /** Notes that a pair is to be compared. @return false if it is known already */
    public boolean begin(UUID id, Pair pair) {
        return db.insertInto(COMPARISON)
                        .set(COMPARISON.ID, id)
                        .set(COMPARISON.BEFORE_SHA256, pair.before())
                        .set(COMPARISON.AFTER_SHA256, pair.after())
                        .set(COMPARISON.STATE, State.WAITING.name())
                        .set(COMPARISON.PAGES_COMPARED, 0)
                        .set(COMPARISON.PAGES, 0)
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }

    /** A comparison; empty if nobody asked for it yet. */
    public Optional<Kept> find(Pair pair) {
        return kept(List.of(pair)).stream().findFirst();
    }

    /** A pair that waits to be compared. */
    public Optional<Pair> nextWaiting() {
        return db.select(COMPARISON.BEFORE_SHA256, COMPARISON.AFTER_SHA256)
                .from(COMPARISON)
                .where(COMPARISON.STATE.eq(State.WAITING.name()))
                .orderBy(COMPARISON.ID)
                .limit(1)
                .fetchOptional(row -> new Pair(row.value1(), row.value2()));
    }

    /** The comparisons of these pairs, as far as they were asked for. */
    public List<Kept> kept(Collection<Pair> pairs) {
        if (pairs.isEmpty()) {
            return List.of();
        }
        return db.select(COMPARISON.fields())
                .from(COMPARISON)
                .where(row(COMPARISON.BEFORE_SHA256, COMPARISON.AFTER_SHA256)
                        .in(pairs.stream()
                                .map(pair -> row(pair.before(), pair.after()))
                                .toList()))
                .orderBy(COMPARISON.BEFORE_SHA256, COMPARISON.AFTER_SHA256)
                .fetch(Comparisons::kept);
    }

    /** Notes how far it is. */
    public void compared(Pair pair, int compared, int pages) {
        db.update(COMPARISON)
                .set(COMPARISON.PAGES_COMPARED, compared)
                .set(COMPARISON.PAGES, pages)
                .where(is(pair))
                .execute();
    }

    /** Keeps what was found. */
    public void done(Pair pair, String result) {
        db.update(COMPARISON)
                .set(COMPARISON.STATE, State.DONE.name())
                .set(COMPARISON.RESULT, result)
                .where(is(pair))
                .execute();
    }

    /** Notes that it cannot be done, and why. */
    public void failed(Pair pair, String why) {
        db.update(COMPARISON)
                .set(COMPARISON.STATE, State.FAILED.name())
                .set(COMPARISON.FAILURE, why)
                .where(is(pair))
                .execute();
    }

    /** Forgets a pair that waits: it is compared when somebody asks for it again. */
    public void forget(Pair pair) {
        db.deleteFrom(COMPARISON)
                .where(is(pair), COMPARISON.STATE.eq(State.WAITING.name()))
                .execute();
    }

    private static Condition is(Pair pair) {
        return COMPARISON.BEFORE_SHA256.eq(pair.before()).and(COMPARISON.AFTER_SHA256.eq(pair.after()));
    }

    private static Kept kept(Record found) {
        return new Kept(
                new Pair(found.get(COMPARISON.BEFORE_SHA256), found.get(COMPARISON.AFTER_SHA256)),
                State.valueOf(found.get(COMPARISON.STATE)),
                found.get(COMPARISON.PAGES_COMPARED),
                found.get(COMPARISON.PAGES),
                found.get(COMPARISON.RESULT),
                found.get(COMPARISON.FAILURE));
    }
}
