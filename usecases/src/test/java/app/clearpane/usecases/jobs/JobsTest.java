package app.clearpane.usecases.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.store.post.GivenUp;
import app.clearpane.usecases.HouseSettings;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcConnectionPool;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.conf.RenderQuotedNames;
import org.jooq.conf.Settings;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.util.unit.DataSize;

/** Work is done once, tried again, given up visibly, and never held up by mail. */
class JobsTest {
    static final HouseSettings HOUSE = new HouseSettings(
            Path.of("data"),
            "http://localhost",
            "studio@clear-pane.example",
            DataSize.ofMegabytes(1),
            50,
            Duration.ofSeconds(60),
            true);
    private final DataSource source = migrated();
    private final DSLContext db = DSL.using(
            source, SQLDialect.H2, new Settings().withRenderQuotedNames(RenderQuotedNames.EXPLICIT_DEFAULT_QUOTED));
    private final GivenUp givenUp = new GivenUp(db);
    private final Set<String> done = ConcurrentHashMap.newKeySet();
    private @org.jspecify.annotations.Nullable Jobs jobs;

    static DataSource migrated() {
        DataSource source = JdbcConnectionPool.create(
                "jdbc:h2:mem:" + UUID.randomUUID()
                        + ";MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH"
                        + ";OPTIMIZE_REUSE_RESULTS=FALSE;DB_CLOSE_DELAY=-1",
                "sa",
                "");
        Flyway.configure()
                .dataSource(source)
                .locations("classpath:db/migration", "classpath:db/vendor/h2")
                .load()
                .migrate();
        return source;
    }

    private record Doing(String name, Queue queue, int tries, Consumer<String> does) implements Job {
        @Override
        public void run(String about) {
            does.accept(about);
        }
    }

    private void start(Job... all) {
        jobs = new Jobs(source, List.of(all), Instant::now, givenUp, HOUSE);
        jobs.start();
    }

    @AfterEach
    void stop() {
        jobs.stop();
    }

    @Test
    void aMailServerThatNeverAnswersHoldsUpNoOtherWork() {
        CountDownLatch answers = new CountDownLatch(1);
        start(
                new Doing("send-mail", Job.Queue.MAIL, 3, about -> {
                    try {
                        answers.await();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                }),
                new Doing("draw", Job.Queue.WORK, 3, done::add));
        for (int i = 0; i < 5; i++) {
            jobs.enqueue("send-mail", "mail " + i);
        }
        jobs.enqueue("draw", "a page");
        await().until(() -> done.contains("a page"));
        answers.countDown();
    }

    @Test
    void whatFailsAsOftenAsItIsTriedIsGivenUpVisiblyUntilSomebodyTriesItAgain() {
        Set<String> failing = ConcurrentHashMap.newKeySet();
        failing.add("a pair");
        start(new Doing("compare", Job.Queue.WORK, 0, about -> {
            if (failing.contains(about)) {
                throw new OutOfMemoryError("too much to compare");
            }
            done.add(about);
        }));
        jobs.enqueue("compare", "a pair");
        await().until(() -> !givenUp.all().isEmpty());
        assertThat(givenUp.all()).singleElement().satisfies(work -> {
            assertThat(work.job()).isEqualTo("compare");
            assertThat(work.why()).contains("too much to compare");
        });
        failing.clear();
        assertThat(jobs.tryAgain("compare", "a pair")).isTrue();
        await().until(() -> done.contains("a pair"));
        assertThat(givenUp.all()).isEmpty();
        assertThat(jobs.tryAgain("no-such-job", "x")).isFalse();
    }

    /** Within a minute of the start, whatever killed the other. */
    @Test
    void workOfANodeThatWasKilledIsTakenUp() throws Exception {
        try (Connection connection = source.getConnection();
                PreparedStatement row = connection.prepareStatement(
                        "insert into scheduled_tasks (task_name, task_instance, execution_time, picked, picked_by, "
                                + "last_heartbeat, consecutive_failures, version) values ('draw', 'half a page', ?, true, "
                                + "'killed', ?, 0, 1)")) {
            row.setTimestamp(1, Timestamp.from(Instant.now().minusSeconds(60)));
            row.setTimestamp(2, Timestamp.from(Instant.now().minusSeconds(50)));
            row.execute();
        }
        start(new Doing("draw", Job.Queue.WORK, 3, done::add));
        await().atMost(Duration.ofMinutes(2)).until(() -> done.contains("half a page"));
    }
}
