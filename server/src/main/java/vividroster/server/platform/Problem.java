package vividroster.server.platform;

import java.util.Optional;
import org.springframework.http.HttpStatus;

/** Something the person can mend; the message is a sentence for them. Answered as RFC 9457 problem details. */
public final class Problem extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final transient Optional<String> field;

    private Problem(HttpStatus status, String sentence, Optional<String> field) {
        super(sentence);
        this.status = status;
        this.field = field;
    }

    public HttpStatus status() {
        return status;
    }

    /** The input field the sentence is about. */
    public Optional<String> field() {
        return field;
    }

    public static Problem input(String field, String sentence) {
        return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, sentence, Optional.of(field));
    }

    public static Problem notFound(String sentence) {
        return new Problem(HttpStatus.NOT_FOUND, sentence, Optional.empty());
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
