package vividroster.server.platform;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.springframework.dao.DataAccessException;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

/**
 * Sessions whose time of last use is written down once a minute at most, not with every request: a hearing run would
 * otherwise write its session as often as its marks. A session lives for days, so a minute changes nothing.
 */
final class RarelyTouchedSessions<S extends Session> implements SessionRepository<RarelyTouchedSessions.Touched<S>> {

    static final Duration BETWEEN_TOUCHES = Duration.ofMinutes(1);

    private final SessionRepository<S> sessions;

    RarelyTouchedSessions(SessionRepository<S> sessions) {
        this.sessions = sessions;
    }

    @Override
    public Touched<S> createSession() {
        return new Touched<>(sessions.createSession());
    }

    @Override
    public void save(Touched<S> session) {
        sessions.save(session.session);
    }

    @Override
    public Touched<S> findById(String id) {
        S found = sessions.findById(id);
        return found == null ? null : new Touched<>(found);
    }

    @Override
    public void deleteById(String id) {
        sessions.deleteById(id);
    }

    /** A session that is told of its use only when the last time it was told lies long enough back. */
    static final class Touched<S extends Session> implements Session {

        private final S session;

        private Touched(S session) {
            this.session = session;
        }

        @Override
        public void setLastAccessedTime(Instant lastAccessedTime) {
            if (lastAccessedTime.isAfter(session.getLastAccessedTime().plus(BETWEEN_TOUCHES))) {
                session.setLastAccessedTime(lastAccessedTime);
            }
        }

        @Override
        public String getId() {
            return session.getId();
        }

        @Override
        public String changeSessionId() {
            return session.changeSessionId();
        }

        @Override
        public <T> T getAttribute(String attributeName) {
            try {
                return session.getAttribute(attributeName);
            } catch (DataAccessException e) {
                throw e;
            } catch (RuntimeException e) {
                throw new SessionUnreadableException(e);
            }
        }

        @Override
        public Set<String> getAttributeNames() {
            return session.getAttributeNames();
        }

        @Override
        public void setAttribute(String attributeName, Object attributeValue) {
            session.setAttribute(attributeName, attributeValue);
        }

        @Override
        public void removeAttribute(String attributeName) {
            session.removeAttribute(attributeName);
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
        public void setMaxInactiveInterval(Duration interval) {
            session.setMaxInactiveInterval(interval);
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
