package app.clearpane.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.session.MapSession;
import org.springframework.session.MapSessionRepository;

/** A session is written when something in it changed, and that somebody is still there at most once a minute. */
class QuietSessionsTest {
    private static final Instant NOW = Instant.parse("2027-05-13T12:00:00Z");
    private final List<String> written = new ArrayList<>();
    private final QuietSessions<MapSession> sessions =
            new QuietSessions<>(new MapSessionRepository(new ConcurrentHashMap<>()) {
                @Override
                public void save(MapSession session) {
                    written.add(session.getId());
                    super.save(session);
                }
            });

    private String begun() {
        QuietSessions.Kept<MapSession> session = sessions.createSession();
        session.setLastAccessedTime(NOW);
        sessions.save(session);
        written.clear();
        return session.getId();
    }

    private int writtenAfter(String id, Consumer<QuietSessions.Kept<MapSession>> visit) {
        QuietSessions.Kept<MapSession> session = sessions.findById(id);
        visit.accept(session);
        sessions.save(session);
        sessions.save(session);
        return written.size();
    }

    @Test
    void aNewOneIsWrittenOnce() {
        QuietSessions.Kept<MapSession> session = sessions.createSession();
        sessions.save(session);
        sessions.save(session);
        assertThat(written).containsExactly(session.getId());
        assertThat(sessions.findById(session.getId())).isNotNull();
        assertThat(sessions.findById("another")).isNull();
    }

    @ParameterizedTest(name = "{0} s later: written {1} times")
    @CsvSource({"0, 0", "1, 0", "59, 0", "60, 1", "86400, 1"})
    void aLookIsWrittenAtMostOnceAMinute(int later, int times) {
        assertThat(writtenAfter(begun(), session -> session.setLastAccessedTime(NOW.plusSeconds(later))))
                .isEqualTo(times);
    }

    /** However often somebody looks within the minute, the minute is counted from what was written. */
    @Test
    void manyLooksDoNotPutItOff() {
        String id = begun();
        for (int second = 1; second <= 300; second++) {
            int at = second;
            writtenAfter(id, session -> session.setLastAccessedTime(NOW.plusSeconds(at)));
        }
        assertThat(written).hasSize(5);
    }

    @Test
    void whateverElseChangesIsWritten() {
        assertThat(writtenAfter(begun(), session -> session.setAttribute("person", "Per")))
                .isEqualTo(1);
        written.clear();
        assertThat(writtenAfter(begun(), session -> session.removeAttribute("person")))
                .isEqualTo(1);
        written.clear();
        assertThat(writtenAfter(begun(), session -> session.setMaxInactiveInterval(Duration.ofDays(1))))
                .isEqualTo(1);
        written.clear();
        String before = begun();
        assertThat(writtenAfter(before, QuietSessions.Kept::changeSessionId)).isEqualTo(1);
        assertThat(written).doesNotContain(before);
    }

    @Test
    void whatIsInItIsWhatTheOneBehindHas() {
        String id = begun();
        writtenAfter(id, session -> session.setAttribute("person", "Per"));
        QuietSessions.Kept<MapSession> session = sessions.findById(id);
        assertThat(session.<String>getAttribute("person")).isEqualTo("Per");
        assertThat(session.getAttributeNames()).containsExactly("person");
        sessions.deleteById(id);
        assertThat(sessions.findById(id)).isNull();
    }
}
