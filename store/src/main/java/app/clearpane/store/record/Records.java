package app.clearpane.store.record;

import static app.clearpane.store.schema.Tables.RECORD_CHAIN;
import static app.clearpane.store.schema.Tables.RECORD_ENTRY;
import static app.clearpane.store.schema.Tables.RECORD_FAULT;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.or;

import app.clearpane.core.record.RecordChain;
import app.clearpane.core.record.RecordEntry;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record11;
import org.jooq.SelectJoinStep;
import org.jspecify.annotations.Nullable;

/** The Record: one chain for each project and one for the agency, named by their ids. Appends only. */
public final class Records {
  private static final int FETCH = 500;
  private final DSLContext db;

  public Records(DSLContext db) {
    this.db = db;
  }

  /**
   * Appends an entry in the running transaction; a chain is locked until its end, so entries of one chain have no gap. A chain begins with
   * the transaction that opens its project or founds its agency.
   *
   * @param chain the project or agency
   * @param about the thing it is about, so that its story can be read
   * @return the entry as it was written
   */
  public RecordEntry append(UUID chain, UUID about, RecordEntry.What what, Instant now) {
    Head head = head(chain);
    RecordEntry entry = RecordEntry.following(head.sequence(), head.hash(), what, now.truncatedTo(ChronoUnit.MILLIS));
    db.insertInto(RECORD_ENTRY).set(RECORD_ENTRY.CHAIN_ID, chain).set(RECORD_ENTRY.SEQUENCE, entry.sequence())
        .set(RECORD_ENTRY.PREVIOUS, entry.previous()).set(RECORD_ENTRY.HASH, entry.hash().hex()).set(RECORD_ENTRY.ACT, entry.act())
        .set(RECORD_ENTRY.ACTOR, entry.actor()).set(RECORD_ENTRY.SUBJECT, entry.subject()).set(RECORD_ENTRY.ABOUT, about)
        .set(RECORD_ENTRY.AT, entry.at()).set(RECORD_ENTRY.PAYLOAD_HASH, entry.payloadHash()).set(RECORD_ENTRY.PAYLOAD, what.payload().text())
        .execute();
    db.update(RECORD_CHAIN).set(RECORD_CHAIN.NEXT_SEQUENCE, entry.sequence() + 1).set(RECORD_CHAIN.NEWEST_HASH, entry.hash().hex())
        .where(RECORD_CHAIN.ID.eq(chain)).execute();
    return entry;
  }

  /** The next place in a chain, and the newest hash. */
  public record Head(long sequence, String hash) {}

  private Head head(UUID chain) {
    return lockedHead(chain).orElseGet(() -> {
      db.insertInto(RECORD_CHAIN).set(RECORD_CHAIN.ID, chain).set(RECORD_CHAIN.NEXT_SEQUENCE, 0L)
          .set(RECORD_CHAIN.NEWEST_HASH, RecordEntry.NOTHING_BEFORE).onConflictDoNothing().execute();
      return lockedHead(chain).orElseThrow();
    });
  }

  private Optional<Head> lockedHead(UUID chain) {
    return db.select(RECORD_CHAIN.NEXT_SEQUENCE, RECORD_CHAIN.NEWEST_HASH).from(RECORD_CHAIN).where(RECORD_CHAIN.ID.eq(chain)).forUpdate()
        .fetchOptional(row -> new Head(row.value1(), row.value2()));
  }

  /** An entry as it is kept, with its payload. */
  public record Line(UUID chain, UUID about, RecordChain.Stored stored) {}

  /** The newest entries of a chain before a place in it, newest first. */
  public List<Line> before(UUID chain, long sequence, int limit) {
    return lines().where(RECORD_ENTRY.CHAIN_ID.eq(chain), RECORD_ENTRY.SEQUENCE.lt(sequence)).orderBy(RECORD_ENTRY.SEQUENCE.desc()).limit(limit).fetch(Records::line);
  }

  /**
   * What of a story is wanted.
   *
   * @param words that its actor, subject or payload has; empty for all
   * @param acts how its act begins, e.g. {@code signoff.}; none for all
   * @param about the thing it is about; null for all
   * @param who the name of somebody who did it or whom it concerned; empty for all
   */
  public record Wanted(String words, List<String> acts, @Nullable UUID about, String who) {
    /** Everything. */
    public static final Wanted ALL = new Wanted("", List.of(), null, "");

    public Wanted {
      acts = List.copyOf(acts);
    }

    private Condition condition() {
      Condition condition = about == null ? noCondition() : RECORD_ENTRY.ABOUT.eq(about);
      if (!acts.isEmpty()) {
        condition = condition.and(or(acts.stream().map(RECORD_ENTRY.ACT::startsWith).toList()));
      }
      if (!who.isBlank()) {
        condition = condition.and(RECORD_ENTRY.ACTOR.eq(who).or(RECORD_ENTRY.SUBJECT.eq(who)).or(RECORD_ENTRY.PAYLOAD.contains("\"" + who + "\"")));
      }
      return words.isBlank() ? condition : condition.and(RECORD_ENTRY.ACTOR.containsIgnoreCase(words).or(RECORD_ENTRY.SUBJECT.containsIgnoreCase(words)).or(RECORD_ENTRY.PAYLOAD.containsIgnoreCase(words)));
    }
  }

  /** The newest entries of a chain before a place in it that are wanted, newest first. */
  public List<Line> before(UUID chain, long sequence, int limit, Wanted wanted) {
    return lines().where(RECORD_ENTRY.CHAIN_ID.eq(chain), RECORD_ENTRY.SEQUENCE.lt(sequence), wanted.condition()).orderBy(RECORD_ENTRY.SEQUENCE.desc()).limit(limit).fetch(Records::line);
  }

  /** A chain from a place in it on, oldest first. Close the stream. */
  public Stream<Line> from(UUID chain, long sequence) {
    return lines().where(RECORD_ENTRY.CHAIN_ID.eq(chain), RECORD_ENTRY.SEQUENCE.ge(sequence)).orderBy(RECORD_ENTRY.SEQUENCE).fetchSize(FETCH).stream().map(Records::line);
  }

  /** A fault that was found. */
  public record Fault(UUID id, UUID chain, long sequence, String said, Instant found) {}

  /** Keeps a fault, once for each entry. */
  public void keep(Fault fault) {
    if (!db.fetchExists(RECORD_FAULT, RECORD_FAULT.CHAIN_ID.eq(fault.chain()), RECORD_FAULT.SEQUENCE.eq(fault.sequence()), RECORD_FAULT.SETTLED_AT.isNull())) {
      db.insertInto(RECORD_FAULT).set(RECORD_FAULT.ID, fault.id()).set(RECORD_FAULT.CHAIN_ID, fault.chain()).set(RECORD_FAULT.SEQUENCE, fault.sequence()).set(RECORD_FAULT.SAID, fault.said())
          .set(RECORD_FAULT.FOUND_AT, fault.found()).execute();
    }
  }

  /** The faults that nobody dealt with. */
  public List<Fault> faults() {
    return db.select(RECORD_FAULT.ID, RECORD_FAULT.CHAIN_ID, RECORD_FAULT.SEQUENCE, RECORD_FAULT.SAID, RECORD_FAULT.FOUND_AT).from(RECORD_FAULT).where(RECORD_FAULT.SETTLED_AT.isNull())
        .orderBy(RECORD_FAULT.FOUND_AT, RECORD_FAULT.ID).fetch(org.jooq.Records.mapping(Fault::new));
  }

  /** The whole chain, oldest first. Close the stream. */
  public Stream<Line> whole(UUID chain) {
    return lines().where(RECORD_ENTRY.CHAIN_ID.eq(chain)).orderBy(RECORD_ENTRY.SEQUENCE).fetchSize(FETCH).stream().map(Records::line);
  }

  /** The chains there are. */
  public List<UUID> chains() {
    return db.select(RECORD_CHAIN.ID).from(RECORD_CHAIN).orderBy(RECORD_CHAIN.ID).fetch(RECORD_CHAIN.ID);
  }

  /** Where a chain's own row says it ends. */
  public Head end(UUID chain) {
    return db.select(RECORD_CHAIN.NEXT_SEQUENCE, RECORD_CHAIN.NEWEST_HASH).from(RECORD_CHAIN).where(RECORD_CHAIN.ID.eq(chain))
        .fetchSingle(row -> new Head(row.value1(), row.value2()));
  }

  private SelectJoinStep<Record11<UUID, UUID, Long, String, String, String, String, String, Instant, app.clearpane.core.files.Sha256, String>> lines() {
    return db.select(RECORD_ENTRY.CHAIN_ID, RECORD_ENTRY.ABOUT, RECORD_ENTRY.SEQUENCE, RECORD_ENTRY.PREVIOUS, RECORD_ENTRY.HASH, RECORD_ENTRY.ACT,
        RECORD_ENTRY.ACTOR, RECORD_ENTRY.SUBJECT, RECORD_ENTRY.AT, RECORD_ENTRY.PAYLOAD_HASH, RECORD_ENTRY.PAYLOAD).from(RECORD_ENTRY);
  }

  private static Line line(Record11<UUID, UUID, Long, String, String, String, String, String, Instant, app.clearpane.core.files.Sha256, String> row) {
    RecordEntry entry = new RecordEntry(row.value3(), row.value4(), row.value6(), row.value7(), row.value8(), row.value9(), row.value10());
    return new Line(row.value1(), row.value2(), new RecordChain.Stored(entry, row.value5(), Optional.of(row.value11())));
  }
}
