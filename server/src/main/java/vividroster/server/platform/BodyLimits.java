package vividroster.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.ObjectMapper;

/**
 * How much a request may send, how long it may take to send it, and how many from one address may be at it together.
 * Counted while it is read, before anybody is asked to sign in; whoever drips holds no more than a place.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
final class BodyLimits extends OncePerRequestFilter {

    static final int MOST_JSON_BYTES = 1 << 20;
    /** A trial holds the whole year it is about; nothing of it is kept. */
    static final int MOST_TRIAL_BYTES = 8 << 20;
    /** Of one request from its first byte to its last. */
    static final Duration LONGEST_JSON = Duration.ofSeconds(20);

    static final Duration LONGEST_FILES = Duration.ofMinutes(2);
    /** A whole school may stand behind one address; its marks take milliseconds, so that few are ever sent at once. */
    static final int MOST_AT_ONCE = 40;

    private final ConcurrentMap<String, Integer> sending = new ConcurrentHashMap<>();
    private final ObjectMapper json;

    BodyLimits(ObjectMapper json) {
        this.json = json;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getContentLengthLong() == 0
                || (request.getContentLengthLong() < 0 && request.getHeader("Transfer-Encoding") == null);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean files = String.valueOf(request.getContentType()).toLowerCase().startsWith("multipart/");
        int most = request.getRequestURI().endsWith("/trial") ? MOST_TRIAL_BYTES : MOST_JSON_BYTES;
        if (!files && request.getContentLengthLong() > most) {
            Answers.write(response, json, HttpStatus.CONTENT_TOO_LARGE, tooLarge(most));
            return;
        }
        String address = request.getRemoteAddr();
        if (sending.merge(address, 1, Integer::sum) > MOST_AT_ONCE) {
            leave(address);
            response.setHeader("Retry-After", "2");
            Answers.write(
                    response,
                    json,
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Too much is being sent from this address at once; try again in a moment. Nothing was changed.");
            return;
        }
        try {
            chain.doFilter(
                    new Limited(
                            request,
                            files ? Long.MAX_VALUE : most,
                            System.nanoTime() + (files ? LONGEST_FILES : LONGEST_JSON).toNanos()),
                    response);
        } finally {
            leave(address);
        }
    }

    private void leave(String address) {
        sending.computeIfPresent(address, (a, count) -> count == 1 ? null : count - 1);
    }

    private static String tooLarge(long most) {
        return "This is larger than " + (most >> 20) + " MB; nothing was changed.";
    }

    private static final class Limited extends HttpServletRequestWrapper {

        private final long most;
        private final long until;

        Limited(HttpServletRequest request, long most, long until) {
            super(request);
            this.most = most;
            this.until = until;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new Counted(super.getInputStream(), most, until);
        }
    }

    private static final class Counted extends ServletInputStream {

        private final ServletInputStream in;
        private final long most;
        private final long until;
        private long count;

        Counted(ServletInputStream in, long most, long until) {
            this.in = in;
            this.most = most;
            this.until = until;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            if (System.nanoTime() > until) {
                throw new Refused(
                        Problem.timedOut("This took too long to arrive; nothing was changed. Send it again."));
            }
            int read = in.read(bytes, from, length);
            count += Math.max(0, read);
            if (count > most) {
                throw new Refused(Problem.tooLarge(tooLarge(most)));
            }
            return read;
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }

    /** What a stream may throw, with the sentence in it. */
    private static final class Refused extends IOException {
        private static final long serialVersionUID = 1L;

        Refused(Problem problem) {
            super(problem.getMessage(), problem);
        }
    }
}
