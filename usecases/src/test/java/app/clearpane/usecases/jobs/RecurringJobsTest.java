package app.clearpane.usecases.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.env.MockEnvironment;

/** What recurs is done when its time comes, by one server of several, and again after it failed. */
class RecurringJobsTest {
    private static final Instant NOON = Instant.parse("2027-03-24T12:00:30Z");
    private final DataSource source = JobsTest.migrated();
    private final AtomicReference<Instant> now = new AtomicReference<>(NOON);
    private final long began = System.nanoTime();
    private final AtomicInteger done = new AtomicInteger();
    private final List<RecurringJobs> servers = new ArrayList<>();
    private final MockEnvironment settings = new MockEnvironment().withProperty("clearpane.often", "0 0 * * * *");

    private void server(String cron, Recurrence.Work work) {
        RecurringJobs server = new RecurringJobs(
                source, List.of(() -> new Recurrence("rounds", cron, work)), this::clock, settings, JobsTest.HOUSE);
        servers.add(server);
        server.start();
    }

    /** It goes on while it is set forward: a server that waits for its next look waits by it. */
    private Instant clock() {
        return now.get().plusNanos(System.nanoTime() - began);
    }

    @AfterEach
    void stop() {
        servers.forEach(RecurringJobs::stop);
    }

    /** Sets the clock forward and waits until the work was done so often and is put down for its next time. */
    private void laterBy(Duration time, int times) {
        now.set(now.get().plus(time));
        await().until(() -> done.get() == times && nextTime().isAfter(clock()));
    }

    private Instant nextTime() throws SQLException {
        try (Connection connection = source.getConnection();
                Statement statement = connection.createStatement();
                ResultSet next = statement.executeQuery("select execution_time from recurring_tasks")) {
            assertThat(next.next()).isTrue();
            return next.getObject(1, OffsetDateTime.class).toInstant();
        }
    }

    @Test
    void isDoneWhenItsTimeComesAndNotBefore() {
        server("${clearpane.often}", done::incrementAndGet);
        await().during(Duration.ofMillis(400)).until(() -> done.get() == 0);
        laterBy(Duration.ofHours(1), 1);
        laterBy(Duration.ofHours(1), 2);
    }

    @Test
    void ofTwoServersOneDoesIt() {
        server("0 0 * * * *", done::incrementAndGet);
        server("0 0 * * * *", done::incrementAndGet);
        laterBy(Duration.ofHours(1), 1);
        await().during(Duration.ofMillis(400)).until(() -> done.get() == 1);
    }

    @Test
    void whatWasMissedIsCaughtUpWithOnce() {
        server("0 0 * * * *", done::incrementAndGet);
        servers.remove(0).stop();
        now.set(NOON.plus(Duration.ofDays(3)));
        server("0 0 * * * *", done::incrementAndGet);
        await().until(() -> done.get() == 1);
        await().during(Duration.ofMillis(400)).until(() -> done.get() == 1);
    }

    @Test
    void whatFailsIsDoneAgainTheNextTime() {
        server("0 0 * * * *", () -> {
            if (done.incrementAndGet() == 1) {
                throw new IOException("the disk is full");
            }
        });
        laterBy(Duration.ofHours(1), 1);
        laterBy(Duration.ofHours(1), 2);
    }

    @Test
    void aDashIsNeverAndAnUnknownSettingIsSaid() {
        server("-", done::incrementAndGet);
        now.set(NOON.plus(Duration.ofDays(400)));
        await().during(Duration.ofMillis(400)).until(() -> done.get() == 0);
        assertThatIllegalArgumentException()
                .isThrownBy(() -> server("${clearpane.no-such}", done::incrementAndGet))
                .withMessageContaining("clearpane.no-such");
        assertThat(servers).hasSize(1);
    }
}
