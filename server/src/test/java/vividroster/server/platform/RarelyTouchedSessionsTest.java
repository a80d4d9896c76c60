package vividroster.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.springframework.session.MapSession;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;

@ExtendWith(MockitoExtension.class)
class RarelyTouchedSessionsTest {

    private static final Instant THEN = Instant.parse("2026-10-02T13:00:00Z");

    @Mock
    private SessionRepository<Session> store;

    @Mock
    private Session kept;

    @Test
    void useWithinAMinuteIsNotWrittenDown() {
        when(store.findById("s")).thenReturn(kept);
        when(kept.getLastAccessedTime()).thenReturn(THEN);
        var session = new RarelyTouchedSessions<>(store).findById("s");
        session.setLastAccessedTime(THEN.plusSeconds(60));
        verify(kept, never()).setLastAccessedTime(any());
        session.setLastAccessedTime(THEN.plusSeconds(61));
        verify(kept).setLastAccessedTime(eq(THEN.plusSeconds(61)));
    }

    @Test
    void everythingElseIsTheSessionsOwn() {
        MapSession inner = new MapSession();
        when(store.createSession()).thenReturn(inner);
        var sessions = new RarelyTouchedSessions<>(store);
        var session = sessions.createSession();
        session.setAttribute("who", "Odalys");
        assertThat(inner.<String>getAttribute("who")).isEqualTo("Odalys");
        String before = session.getId();
        assertThat(session.changeSessionId()).isNotEqualTo(before).isEqualTo(inner.getId());
        sessions.save(session);
        verify(store).save(inner);
        sessions.deleteById("s");
        verify(store).deleteById("s");
        assertThat(sessions.findById("nobody")).isNull();
    }
}
