package vividroster.server.audit;

import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.server.platform.SignedIn;

/** Who did what is not undone by forgetting it: signing in, reading reports of pain, taking data out, erasing. */
@Service
public class Audit {

    /** A page that is looked at again and again is one look. */
    private static final Duration ONE_LOOK = Duration.ofMinutes(10);

    private static final int MOST = 200;

    private final AuditQueries queries;

    Audit(AuditQueries queries) {
        this.queries = queries;
    }

    public enum What {
        SIGNED_IN,
        READ_PAIN_REPORTS,
        EXPORTED,
        ERASED
    }

    /**
     * @param by whoever did it; absent where the programme's own rule did
     * @param about name of the student or class it is about, as it is now
     */
    record Entry(OffsetDateTime happenedAt, Optional<String> by, What what, Optional<String> about) {}

    /** @param about the student or class it is about */
    @Transactional
    public void note(SignedIn person, What what, Optional<UUID> about) {
        queries.insert(person.programId(), person.accountId(), what, about, Duration.ZERO);
    }

    /** The same, once in a while where it happens again and again. */
    @Transactional
    public void noteOnce(SignedIn person, What what, Optional<UUID> about) {
        queries.insert(person.programId(), person.accountId(), what, about, ONE_LOOK);
    }

    /** Latest first. */
    @Transactional(readOnly = true)
    List<Entry> latest(UUID programId) {
        return queries.findLatest(programId, MOST);
    }
}
