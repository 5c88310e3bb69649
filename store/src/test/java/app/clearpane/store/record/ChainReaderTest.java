package app.clearpane.store.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.record.CanonicalJson;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is altered in the database is found, at the entry that it is in. */
class ChainReaderTest {
    private static final int ALTERED = 4;
    private final DSLContext db = FreshDatabase.inMemory();
    private final Records records = new Records(db);
    private final UUID chain = UUID.randomUUID();

    @BeforeEach
    void sevenEntries() {
        for (int i = 0; i < 7; i++) {
            UUID about = UUID.randomUUID();
            CanonicalJson payload = CanonicalJson.of(Map.of("said", "Nº " + i, Records.SUBJECT_ID, about.toString()));
            db.transaction(run -> new Records(run.dsl())
                    .append(chain, about, new RecordEntry.What("mark.placed", "Jasper", "Map", payload), AHouse.NOW));
        }
        assertThat(new ChainReader(records).whole(chain)).isEmpty();
        FreshDatabase.letTheRecordBeAltered(db);
    }

    private void set(String column, String value) {
        db.execute(
                "update record_entry set " + column + " = " + (column.equals("about") ? "cast(? as uuid)" : "?")
                        + " where sequence = ?",
                value,
                ALTERED);
    }

    private void with(String column, String value, Runnable then) {
        String was = db.fetchSingle(
                        "select cast(" + column + " as varchar) from record_entry where sequence = ?", ALTERED)
                .get(0, String.class);
        set(column, value);
        then.run();
        set(column, was);
    }

    @ParameterizedTest
    @ValueSource(strings = {"previous", "hash", "act", "actor", "subject", "payload_hash", "payload", "about"})
    void everyCharacterOfEveryColumn(String column) {
        String was = db.fetchSingle(
                        "select cast(" + column + " as varchar) from record_entry where sequence = ?", ALTERED)
                .get(0, String.class);
        IntStream.range(0, was.length())
                .filter(i -> !column.equals("about") || was.charAt(i) != '-')
                .forEach(i -> {
                    for (char other : column.equals("about")
                            ? new char[] {was.charAt(i) == '7' ? '8' : '7'}
                            : new char[] {was.charAt(i) == 'a' ? 'b' : 'a', 'Z', '~'}) {
                        with(column, was.substring(0, i) + other + was.substring(i + 1), () -> {
                            assertThat(new ChainReader(records).whole(chain))
                                    .as("character %d", i)
                                    .map(ChainReader.Found::sequence)
                                    .hasValue((long) ALTERED);
                            assertThat(new ChainReader(records).newest(chain, 3))
                                    .isPresent();
                        });
                    }
                });
        assertThat(new ChainReader(records).whole(chain)).isEmpty();
    }

    @Test
    void theHourOfAnEntryAndWhereTheChainEnds() {
        db.execute("update record_entry set at = at + interval '0.001' second where sequence = ?", ALTERED);
        assertThat(new ChainReader(records).whole(chain))
                .map(ChainReader.Found::sequence)
                .hasValue((long) ALTERED);
        db.execute("update record_entry set at = at - interval '0.001' second where sequence = ?", ALTERED);
        db.execute("update record_chain set next_sequence = 8");
        assertThat(new ChainReader(records).whole(chain))
                .hasValueSatisfying(found -> assertThat(found.said()).startsWith("entry is missing"));
        db.execute("update record_chain set next_sequence = 7, newest_hash = ?", "a".repeat(64));
        assertThat(new ChainReader(records).whole(chain))
                .hasValueSatisfying(found -> assertThat(found.said()).startsWith("hash is not the one"));
    }

    @Test
    void anEntryTakenOutAndOnePutIn() {
        db.execute("delete from record_word where sequence >= 6");
        db.execute("delete from record_entry where sequence = 6");
        assertThat(new ChainReader(records).whole(chain))
                .map(ChainReader.Found::sequence)
                .hasValue(6L);
        db.execute("delete from record_word where sequence = 2");
        db.execute("delete from record_entry where sequence = 2");
        assertThat(new ChainReader(records).whole(chain))
                .map(ChainReader.Found::sequence)
                .hasValue(3L);
    }
}
