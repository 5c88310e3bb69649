package app.clearpane.store.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.record.CanonicalJson;
import app.clearpane.core.record.RecordChain;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;

class RecordsTest {
    private final DSLContext db = FreshDatabase.inMemory();
    private final UUID chain = UUID.randomUUID();

    private void append(int number) {
        db.transaction(inTransaction -> new Records(inTransaction.dsl())
                .append(
                        chain,
                        chain,
                        new RecordEntry.What(
                                "mark.placed", "Jasper", "Map", CanonicalJson.of(Map.of("number", number))),
                        AHouse.NOW.plusNanos(123_456_789)));
    }

    @Test
    void followsWithoutGapWhoeverWritesAtTheSameTime() throws Exception {
        append(-1);
        ExecutorService people = Executors.newFixedThreadPool(8);
        List<Future<Object>> written = people.invokeAll(IntStream.range(0, 200)
                .<Callable<Object>>mapToObj(i -> () -> {
                    append(i);
                    return i;
                })
                .toList());
        for (Future<Object> one : written) {
            one.get();
        }
        people.shutdown();
        RecordChain check = new RecordChain();
        try (Stream<Records.Line> all = new Records(db).whole(chain)) {
            all.forEach(line -> assertThat(check.check(line.stored())).isEmpty());
        }
        assertThat(check.sound()).isEqualTo(201);
        assertThat(new Records(db).end(chain).sequence()).isEqualTo(201);
    }

    @Test
    void isNeitherChangedNorDeletedWhoeverAsksTheDatabase() {
        append(1);
        assertThatThrownBy(() -> db.execute("update record_entry set actor = 'Somebody else'"))
                .hasMessageContaining("the Record only grows");
        assertThatThrownBy(() -> db.execute("delete from record_entry")).hasMessageContaining("the Record only grows");
        assertThat(new Records(db).before(chain, 1, 2)).hasSize(1);
    }

    @Test
    void givesTheNewestFirst() {
        IntStream.range(0, 5).forEach(this::append);
        assertThat(new Records(db).before(chain, 4, 2))
                .extracting(line -> line.stored().entry().sequence())
                .containsExactly(3L, 2L);
        assertThat(new Records(db).chains()).containsExactly(chain);
    }

    private void append(String act, String actor, String subject, Map<String, ?> payload) {
        db.transaction(inTransaction -> new Records(inTransaction.dsl())
                .append(
                        chain,
                        chain,
                        new RecordEntry.What(act, actor, subject, CanonicalJson.of(payload)),
                        AHouse.NOW));
    }

    private List<Long> found(String words, String who, String... acts) {
        return new Records(db)
                .before(chain, Long.MAX_VALUE, 3, new RecordQuery(words, List.of(acts), null, who)).stream()
                        .map(line -> line.stored().entry().sequence())
                        .toList();
    }

    @Test
    void findsByHowWordsBeginAndByWholeNames() {
        append(
                "mark.placed",
                "Jasper Quill",
                "Visitor map",
                Map.of("said", "The ground floor is too small", "label", "1·2"));
        append("seat.given", "Ines Aldworth", "The board", Map.of("name", "Jasper \"Jo\" Quill"));
        append("seat.given", "Ines Aldworth", "The board", Map.of("name", "Jasper Quill", "to", List.of("Zoë")));
        append("version.sent", "Ines Aldworth", "Visitors’ map", Map.of("sha256", "ab".repeat(32)));
        assertThat(found("", "Jasper Quill")).containsExactly(2L, 0L);
        assertThat(found("", "Jasper \"Jo\" Quill")).containsExactly(1L);
        assertThat(found("", "Jasper")).isEmpty();
        assertThat(found("", "Ines Aldworth", "version.", "mark.")).containsExactly(3L);
        assertThat(found("visit MAP", "")).containsExactly(3L, 0L);
        assertThat(found("groun map", "")).containsExactly(0L);
        assertThat(found("zoe", "")).containsExactly(2L);
        assertThat(found("ab".repeat(32), "")).containsExactly(3L);
        assertThat(found("nowhere", "")).isEmpty();
        assertThat(found("—", "")).isEmpty();
        assertThat(found("", "—")).isEmpty();
        append("looked", "—", "…", Map.of());
        assertThat(found("", "—")).containsExactly(4L);
        assertThat(found("map", "Jasper Quill")).containsExactly(0L);
        assertThat(found("", "")).containsExactly(4L, 3L, 2L);
    }

    @Test
    void findsTheSameWhetherFewOrManyWordsBeginSo() {
        for (int i = 0; i < 60; i++) {
            append(
                    "mark.placed",
                    i % 2 == 0 ? "Jasper" : "Mirela",
                    "Map",
                    Map.of("said", "w" + i % 30 + (i < 3 ? " rare" : "")));
        }
        assertThat(found("w", "")).containsExactly(59L, 58L, 57L);
        assertThat(found("w w2", "Jasper")).containsExactly(58L, 56L, 54L);
        assertThat(found("w2 rare", "")).containsExactly(2L);
        assertThat(found("r", "Mirela")).containsExactly(1L);
    }
}
