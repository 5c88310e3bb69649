package app.clearpane.store.record;

import static app.clearpane.store.schema.Tables.RECORD_CHAIN;
import static app.clearpane.store.schema.Tables.RECORD_ENTRY;
import static app.clearpane.store.schema.Tables.RECORD_FAULT;
import static app.clearpane.store.schema.Tables.RECORD_WORD;
import static org.jooq.impl.DSL.row;
import static org.jooq.impl.DSL.unnest;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.record.RecordChain;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.core.record.SearchWords;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record11;
import org.jooq.SelectJoinStep;
import org.jooq.SortField;
import org.jooq.Table;

/** The Record: one chain for each project and one for the agency, named by their ids. Appends only. */
public final class Records {
    /** By this name the payload of an entry holds the id of what it is about. */
    public static final String SUBJECT_ID = "subjectId";

    private static final String NAMES_SUBJECT = "\"" + SUBJECT_ID + "\":\"";
    /** What no payload has for its digest. */
    private static final Sha256 NONE = new Sha256("0".repeat(64));
    /** Ordered as the key is, chain first, so that the newest are read without sorting. */
    private static final List<SortField<?>> NEWEST_FIRST =
            List.of(RECORD_ENTRY.CHAIN_ID.desc(), RECORD_ENTRY.SEQUENCE.desc());

    private static final int FETCH = 500;

    private final DSLContext db;

    public Records(DSLContext db) {
        this.db = db;
    }

    /**
     * Appends an entry in the running transaction; a chain is locked until its end, so entries of one chain have no
     * gap. A chain begins with the transaction that opens its project or founds its agency.
     *
     * @param chain the project or agency
     * @param about the thing it is about, so that its story can be read
     * @return the entry as it was written
     */
    public RecordEntry append(UUID chain, UUID about, RecordEntry.What what, Instant now) {
        Head head = head(chain);
        RecordEntry entry =
                RecordEntry.following(head.sequence(), head.hash(), what, now.truncatedTo(ChronoUnit.MILLIS));
        db.insertInto(RECORD_ENTRY)
                .set(RECORD_ENTRY.CHAIN_ID, chain)
                .set(RECORD_ENTRY.SEQUENCE, entry.sequence())
                .set(RECORD_ENTRY.PREVIOUS, entry.previous())
                .set(RECORD_ENTRY.HASH, entry.hash().hex())
                .set(RECORD_ENTRY.ACT, entry.act())
                .set(RECORD_ENTRY.ACTOR, entry.actor())
                .set(RECORD_ENTRY.SUBJECT, entry.subject())
                .set(RECORD_ENTRY.ABOUT, about)
                .set(RECORD_ENTRY.AT, entry.at())
                .set(RECORD_ENTRY.PAYLOAD_HASH, entry.payloadHash().hex())
                .set(RECORD_ENTRY.PAYLOAD, what.payload().text())
                .execute();
        db.insertInto(RECORD_WORD, RECORD_WORD.CHAIN_ID, RECORD_WORD.SEQUENCE, RECORD_WORD.WORD)
                .valuesOfRows(SearchWords.of(what).stream()
                        .map(word -> row(chain, entry.sequence(), word))
                        .toList())
                .execute();
        db.update(RECORD_CHAIN)
                .set(RECORD_CHAIN.NEXT_SEQUENCE, entry.sequence() + 1)
                .set(RECORD_CHAIN.NEWEST_HASH, entry.hash().hex())
                .where(RECORD_CHAIN.ID.eq(chain))
                .execute();
        return entry;
    }

    /** The next place in a chain, and the newest hash. */
    public record Head(long sequence, String hash) {}

    private Head head(UUID chain) {
        return lockedHead(chain).orElseGet(() -> {
            db.insertInto(RECORD_CHAIN)
                    .set(RECORD_CHAIN.ID, chain)
                    .set(RECORD_CHAIN.NEXT_SEQUENCE, 0L)
                    .set(RECORD_CHAIN.NEWEST_HASH, RecordEntry.NOTHING_BEFORE)
                    .onConflictDoNothing()
                    .execute();
            return lockedHead(chain).orElseThrow();
        });
    }

    private Optional<Head> lockedHead(UUID chain) {
        return db.select(RECORD_CHAIN.NEXT_SEQUENCE, RECORD_CHAIN.NEWEST_HASH)
                .from(RECORD_CHAIN)
                .where(RECORD_CHAIN.ID.eq(chain))
                .forUpdate()
                .fetchOptional(row -> new Head(row.value1(), row.value2()));
    }

    /** An entry as it is kept, with its payload. */
    public record Line(UUID chain, UUID about, RecordChain.Stored stored) {
        /**
         * Whether the thing that it is filed under is the one that its payload names, so that it is in the story of no
         * other.
         */
        boolean isAboutWhatItSays() {
            String payload = stored.payload().orElse("");
            return !payload.contains(NAMES_SUBJECT) || payload.contains(NAMES_SUBJECT + about + "\"");
        }
    }

    /** The newest entries of a chain before a place in it, newest first. */
    public List<Line> before(UUID chain, long sequence, int limit) {
        return lines().where(RECORD_ENTRY.CHAIN_ID.eq(chain), RECORD_ENTRY.SEQUENCE.lt(sequence))
                .orderBy(NEWEST_FIRST)
                .limit(limit)
                .fetch(Records::line);
    }

    /** The newest entries of a chain before a place in it that are wanted, newest first. */
    public List<Line> before(UUID chain, long sequence, int limit, RecordQuery wanted) {
        if (wanted.isNothing()) {
            return List.of();
        }
        Condition within = RECORD_ENTRY
                .CHAIN_ID
                .eq(chain)
                .and(RECORD_ENTRY.SEQUENCE.lt(sequence))
                .and(wanted.condition());
        RecordSearchPlan.Way way = new RecordSearchPlan(db, chain).wayTo(wanted);
        if (way instanceof RecordSearchPlan.ByWords words) {
            SortedMap<Long, Line> found = new TreeMap<>(Comparator.reverseOrder());
            words.words().forEach(word -> having(word, within, chain, sequence, limit)
                    .forEach(line -> found.put(line.stored().entry().sequence(), line)));
            return found.values().stream().limit(limit).toList();
        }
        if (way instanceof RecordSearchPlan.Few few) {
            return among(few.places().stream().filter(place -> place < sequence).toList(), chain, limit, wanted);
        }
        return lines().where(within).orderBy(NEWEST_FIRST).limit(limit).fetch(Records::line);
    }

    private List<Line> among(List<Long> places, UUID chain, int limit, RecordQuery wanted) {
        Table<?> place = unnest(places.toArray(Long[]::new)).as("place", "at");
        return lines().join(place)
                .on(RECORD_ENTRY.SEQUENCE.eq(place.field("at", Long.class)))
                .where(RECORD_ENTRY.CHAIN_ID.eq(chain), wanted.condition())
                .orderBy(RECORD_ENTRY.SEQUENCE.desc())
                .limit(limit)
                .fetch(Records::line);
    }

    private List<Line> having(String word, Condition within, UUID chain, long sequence, int limit) {
        return lines().join(RECORD_WORD)
                .on(RECORD_WORD.CHAIN_ID.eq(RECORD_ENTRY.CHAIN_ID), RECORD_WORD.SEQUENCE.eq(RECORD_ENTRY.SEQUENCE))
                .where(
                        within,
                        RECORD_WORD.CHAIN_ID.eq(chain),
                        RECORD_WORD.WORD.eq(word),
                        RECORD_WORD.SEQUENCE.lt(sequence))
                .orderBy(RECORD_WORD.CHAIN_ID.desc(), RECORD_WORD.WORD.desc(), RECORD_WORD.SEQUENCE.desc())
                .limit(limit)
                .fetch(Records::line);
    }

    /** A chain from a place in it on, oldest first. Close the stream. */
    public Stream<Line> from(UUID chain, long sequence) {
        return lines()
                .where(RECORD_ENTRY.CHAIN_ID.eq(chain), RECORD_ENTRY.SEQUENCE.ge(sequence))
                .orderBy(RECORD_ENTRY.CHAIN_ID, RECORD_ENTRY.SEQUENCE)
                .fetchSize(FETCH)
                .stream()
                .map(Records::line);
    }

    /** A fault that was found. */
    public record Fault(UUID id, UUID chain, long sequence, String said, Instant found) {}

    /** Keeps a fault, once for each entry. */
    public void keep(Fault fault) {
        if (!db.fetchExists(
                RECORD_FAULT,
                RECORD_FAULT.CHAIN_ID.eq(fault.chain()),
                RECORD_FAULT.SEQUENCE.eq(fault.sequence()),
                RECORD_FAULT.SETTLED_AT.isNull())) {
            db.insertInto(RECORD_FAULT)
                    .set(RECORD_FAULT.ID, fault.id())
                    .set(RECORD_FAULT.CHAIN_ID, fault.chain())
                    .set(RECORD_FAULT.SEQUENCE, fault.sequence())
                    .set(RECORD_FAULT.SAID, fault.said())
                    .set(RECORD_FAULT.FOUND_AT, fault.found())
                    .execute();
        }
    }

    /** The faults that nobody dealt with. */
    public List<Fault> faults() {
        return db.select(
                        RECORD_FAULT.ID,
                        RECORD_FAULT.CHAIN_ID,
                        RECORD_FAULT.SEQUENCE,
                        RECORD_FAULT.SAID,
                        RECORD_FAULT.FOUND_AT)
                .from(RECORD_FAULT)
                .where(RECORD_FAULT.SETTLED_AT.isNull())
                .orderBy(RECORD_FAULT.FOUND_AT, RECORD_FAULT.ID)
                .fetch(org.jooq.Records.mapping(Fault::new));
    }

    /** The whole chain, oldest first. Close the stream. */
    public Stream<Line> whole(UUID chain) {
        return lines()
                .where(RECORD_ENTRY.CHAIN_ID.eq(chain))
                .orderBy(RECORD_ENTRY.CHAIN_ID, RECORD_ENTRY.SEQUENCE)
                .fetchSize(FETCH)
                .stream()
                .map(Records::line);
    }

    /** The chains there are. */
    public List<UUID> chains() {
        return db.select(RECORD_CHAIN.ID)
                .from(RECORD_CHAIN)
                .orderBy(RECORD_CHAIN.ID)
                .fetch(RECORD_CHAIN.ID);
    }

    /** Where a chain's own row says it ends. */
    public Head end(UUID chain) {
        return db.select(RECORD_CHAIN.NEXT_SEQUENCE, RECORD_CHAIN.NEWEST_HASH)
                .from(RECORD_CHAIN)
                .where(RECORD_CHAIN.ID.eq(chain))
                .fetchSingle(row -> new Head(row.value1(), row.value2()));
    }

    private SelectJoinStep<Record11<UUID, UUID, Long, String, String, String, String, String, Instant, String, String>>
            lines() {
        return db.select(
                        RECORD_ENTRY.CHAIN_ID,
                        RECORD_ENTRY.ABOUT,
                        RECORD_ENTRY.SEQUENCE,
                        RECORD_ENTRY.PREVIOUS,
                        RECORD_ENTRY.HASH,
                        RECORD_ENTRY.ACT,
                        RECORD_ENTRY.ACTOR,
                        RECORD_ENTRY.SUBJECT,
                        RECORD_ENTRY.AT,
                        RECORD_ENTRY.PAYLOAD_HASH,
                        RECORD_ENTRY.PAYLOAD)
                .from(RECORD_ENTRY);
    }

    private static Line line(
            Record11<UUID, UUID, Long, String, String, String, String, String, Instant, String, String> row) {
        RecordEntry entry = new RecordEntry(
                row.value3(),
                row.value4(),
                row.value6(),
                row.value7(),
                row.value8(),
                row.value9(),
                Sha256.read(row.value10()).orElse(NONE));
        return new Line(
                row.value1(), row.value2(), new RecordChain.Stored(entry, row.value5(), Optional.of(row.value11())));
    }
}
