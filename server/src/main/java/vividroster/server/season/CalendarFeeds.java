package vividroster.server.season;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.OffsetDateTime;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.season.DueCalendars.DueCalendar;

/** Calendars that other programmes look up by themselves: whoever has the secret address sees due days, nobody's name. */
@Service
class CalendarFeeds {

    /** 256 bits cannot be tried through. */
    private static final int SECRET_BYTES = 32;

    private final FeedQueries queries;
    private final DueCalendars calendars;
    private final Rosters rosters;
    private final SecureRandom random = new SecureRandom();

    CalendarFeeds(FeedQueries queries, DueCalendars calendars, Rosters rosters) {
        this.queries = queries;
        this.calendars = calendars;
        this.rosters = rosters;
    }

    @Transactional(readOnly = true)
    Optional<OffsetDateTime> opened(UUID programId, UUID classId) {
        return queries.findOpened(
                programId, rosters.schoolClass(programId, classId).id());
    }

    /** @return the secret, told this once; the one before it opens nothing any more */
    @Transactional
    String open(SignedIn person, UUID classId) {
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        queries.put(
                person.programId(),
                rosters.schoolClass(person.programId(), classId).id(),
                hash(secret),
                person.accountId());
        return secret;
    }

    @Transactional
    void close(UUID programId, UUID classId) {
        queries.delete(programId, classId);
    }

    /** @throws Problem where the secret opens nothing */
    @Transactional(readOnly = true)
    DueCalendar read(String secret) {
        return queries.findBySecret(hash(secret))
                .map(feed -> calendars.of(feed.programId(), feed.classId()))
                .orElseThrow(() -> Problem.notFound("There is no such calendar, or its address was changed."));
    }

    private static byte[] hash(String secret) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
