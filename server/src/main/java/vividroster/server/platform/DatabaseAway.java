package vividroster.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.ObjectMapper;

/** Says that the database does not answer also where no controller was reached: its session lies there too. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
final class DatabaseAway extends OncePerRequestFilter {

    static final String SENTENCE =
            "The database does not answer at the moment. Nothing was recorded; it will be tried again.";

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    private final ObjectMapper json;

    DatabaseAway(ObjectMapper json) {
        this.json = json;
    }

    /**
     * Whether it went wrong because the database is away, stops, is full or did not answer in time, so that the same call
     * may go through later. By SQL state: 08 connection, 40 rolled back, 53 out of resources, 55P03 lock, 57 stopped by hand
     * or by a limit, 58 the system below it.
     */
    static boolean isAway(Throwable e) {
        if (e instanceof DataAccessResourceFailureException || e instanceof CannotCreateTransactionException) {
            return true;
        }
        return NestedExceptionUtils.getMostSpecificCause(e) instanceof SQLException refused
                && refused.getSQLState() != null
                && (refused.getSQLState().equals("55P03")
                        || List.of("08", "40", "53", "57", "58")
                                .contains(refused.getSQLState().substring(0, 2)));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (DataAccessException | TransactionException e) {
            if (!isAway(e)) {
                throw e;
            }
            LOG.warn("The database does not answer: {}", e.getClass().getSimpleName());
            if (!response.isCommitted()) {
                response.reset();
                response.setHeader("Retry-After", "2");
                Answers.write(response, json, HttpStatus.SERVICE_UNAVAILABLE, SENTENCE);
            }
        }
    }
}
