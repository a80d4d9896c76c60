package vividroster.server.platform;

import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpStatus;

/** Something the person can mend; the message is a sentence for them. Answered as RFC 9457 problem details. */
public final class Problem extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final transient Optional<String> field;
    private final transient Optional<Duration> retryAfter;

    private Problem(HttpStatus status, String sentence, Optional<String> field) {
        this(status, sentence, field, Optional.empty());
    }

    private Problem(HttpStatus status, String sentence, Optional<String> field, Optional<Duration> retryAfter) {
        super(sentence);
        this.status = status;
        this.field = field;
        this.retryAfter = retryAfter;
    }

    public HttpStatus status() {
        return status;
    }

    /** The input field the sentence is about. */
    public Optional<String> field() {
        return field;
    }

    /** When the same call may go through. */
    public Optional<Duration> retryAfter() {
        return retryAfter;
    }

    public static Problem input(String field, String sentence) {
        return new Problem(
                HttpStatus.UNPROCESSABLE_CONTENT, sentence, field.isEmpty() ? Optional.empty() : Optional.of(field));
    }

    /** What came cannot be read as what is asked for. */
    public static Problem unreadable(String sentence) {
        return new Problem(HttpStatus.BAD_REQUEST, sentence, Optional.empty());
    }

    /** Too many calls from one place; the same call may go through after a while. */
    public static Problem tooMany(String sentence, Duration retryAfter) {
        return new Problem(HttpStatus.TOO_MANY_REQUESTS, sentence, Optional.empty(), Optional.of(retryAfter));
    }

    public static Problem tooLarge(String sentence) {
        return new Problem(HttpStatus.CONTENT_TOO_LARGE, sentence, Optional.empty());
    }

    public static Problem timedOut(String sentence) {
        return new Problem(HttpStatus.REQUEST_TIMEOUT, sentence, Optional.empty());
    }

    public static Problem notFound(String sentence) {
        return new Problem(HttpStatus.NOT_FOUND, sentence, Optional.empty());
    }

    /** Somebody asks for what is not theirs. */
    public static Problem notAllowed(String sentence) {
        return new Problem(HttpStatus.FORBIDDEN, sentence, Optional.empty());
    }

    public static Problem conflict(String sentence) {
        return new Problem(HttpStatus.CONFLICT, sentence, Optional.empty());
    }

    /** Too much is going on; the same call may go through later. */
    public static Problem busy(String sentence) {
        return new Problem(HttpStatus.SERVICE_UNAVAILABLE, sentence, Optional.empty());
    }

    public static Problem notSignedIn(String sentence) {
        return new Problem(HttpStatus.UNAUTHORIZED, sentence, Optional.empty());
    }
}
