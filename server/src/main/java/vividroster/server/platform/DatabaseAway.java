package vividroster.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
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

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("The database does not answer: {}", e.getClass().getSimpleName());
            if (!response.isCommitted()) {
                response.reset();
                response.setHeader("Retry-After", "2");
                Answers.write(response, json, HttpStatus.SERVICE_UNAVAILABLE, SENTENCE);
            }
        }
    }
}
