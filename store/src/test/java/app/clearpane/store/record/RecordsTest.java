package app.clearpane.store.record;

import static org.assertj.core.api.Assertions.assertThat;

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
    db.transaction(inTransaction -> new Records(inTransaction.dsl()).append(chain, chain,
        new RecordEntry.What("mark.placed", "Jasper", "Map", CanonicalJson.of(Map.of("number", number))), AHouse.NOW.plusNanos(123_456_789)));
  }

  @Test
  void followsWithoutGapWhoeverWritesAtTheSameTime() throws Exception {
    append(-1);
    ExecutorService people = Executors.newFixedThreadPool(8);
    List<Future<Object>> written = people.invokeAll(IntStream.range(0, 200).<Callable<Object>>mapToObj(i -> () -> {
      append(i);
      return i;
    }).toList());
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
  void givesTheNewestFirst() {
    IntStream.range(0, 5).forEach(this::append);
    assertThat(new Records(db).before(chain, 4, 2)).extracting(line -> line.stored().entry().sequence()).containsExactly(3L, 2L);
    assertThat(new Records(db).chains()).containsExactly(chain);
  }
}
