package vividroster.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.stereotype.Component;
import vividroster.server.platform.AccountSessions;
import vividroster.server.platform.SignedIn;

/** Begins sessions, each under a new id and with a new token against forged requests. */
@Component
public class Entering {

    private final AccountSessions sessions;
    private final CsrfAuthenticationStrategy csrf;

    Entering(AccountSessions sessions, CookieCsrfTokenRepository csrfTokens) {
        this.sessions = sessions;
        this.csrf = new CsrfAuthenticationStrategy(csrfTokens);
    }

    /** Looks around as somebody else; {@link #home} leads back. */
    public void visit(SignedIn guest, HttpServletRequest http, HttpServletResponse response) {
        sessions.visit(guest, http, response);
        csrf.onAuthentication(SecurityContextHolder.getContext().getAuthentication(), http, response);
    }

    /** Who looks around in this session; empty where nobody does. */
    public Optional<SignedIn> visitor(HttpServletRequest http) {
        return sessions.visitor(http);
    }

    public void begin(SignedIn person, HttpServletRequest http, HttpServletResponse response) {
        sessions.begin(person, http, response);
        csrf.onAuthentication(SecurityContextHolder.getContext().getAuthentication(), http, response);
    }
}
