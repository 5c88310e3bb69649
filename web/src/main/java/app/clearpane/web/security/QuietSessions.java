package app.clearpane.web.security;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

/**
 * Keeps sessions as the repository behind it does, but writes one only when something in it changed, and that somebody
 * is still there at most once a minute: a visit that only looks writes nothing.
 */
final class QuietSessions<S extends Session> implements SessionRepository<QuietSessions.Kept<S>>, DisposableBean {
    private static final Duration SELDOM = Duration.ofMinutes(1);
    private final SessionRepository<S> behind;

    QuietSessions(SessionRepository<S> behind) {
        this.behind = behind;
    }

    @Override
    public Kept<S> createSession() {
        Kept<S> kept = new Kept<>(behind.createSession());
        kept.changed = true;
        return kept;
    }

    @Override
    public void save(Kept<S> kept) {
        if (kept.changed) {
            behind.save(kept.session);
            kept.changed = false;
        }
    }

    @Override
    public @Nullable Kept<S> findById(String id) {
        S found = behind.findById(id);
        return found == null ? null : new Kept<>(found);
    }

    @Override
    public void deleteById(String id) {
        behind.deleteById(id);
    }

    @Override
    public void destroy() throws Exception {
        if (behind instanceof DisposableBean closing) {
            closing.destroy();
        }
    }

    /** A session that knows whether it is worth writing. */
    static final class Kept<S extends Session> implements Session {
        private final S session;
        private boolean changed;

        private Kept(S session) {
            this.session = session;
        }

        @Override
        public void setLastAccessedTime(Instant time) {
            if (Duration.between(session.getLastAccessedTime(), time).compareTo(SELDOM) >= 0) {
                session.setLastAccessedTime(time);
                changed = true;
            }
        }

        @Override
        public void setAttribute(String name, @Nullable Object value) {
            if (value == null) {
                session.removeAttribute(name);
            } else {
                session.setAttribute(name, value);
            }
            changed = true;
        }

        @Override
        public void removeAttribute(String name) {
            session.removeAttribute(name);
            changed = true;
        }

        @Override
        public String changeSessionId() {
            changed = true;
            return session.changeSessionId();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            session.setMaxInactiveInterval(interval);
            changed = true;
        }

        @Override
        public String getId() {
            return session.getId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return session.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return session.getAttributeNames();
        }

        @Override
        public Instant getCreationTime() {
            return session.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return session.getLastAccessedTime();
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return session.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return session.isExpired();
        }
    }
}
