package vividroster.server.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.ObjectMapper;

/** Addresses that nobody has a reason to ask for: with U+0000 in them, too long, or the server's own page of errors. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 5)
final class AddressCheck extends OncePerRequestFilter {

    private static final int LONGEST_QUERY = 4_000;

    private final ObjectMapper json;

    AddressCheck(ObjectMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String query = request.getQueryString() == null ? "" : request.getQueryString();
        if (request.getDispatcherType() == DispatcherType.REQUEST
                && request.getRequestURI().equals("/error")) {
            Answers.write(response, json, HttpStatus.NOT_FOUND, "There is nothing at this address.");
        } else if (query.length() > LONGEST_QUERY || query.contains("%00")) {
            Answers.write(response, json, HttpStatus.BAD_REQUEST, "This address cannot be read; nothing was changed.");
        } else {
            chain.doFilter(request, response);
        }
    }
}
