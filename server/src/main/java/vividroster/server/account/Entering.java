package vividroster.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
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

    public void begin(SignedIn person, HttpServletRequest http, HttpServletResponse response) {
        sessions.begin(person, http, response);
        csrf.onAuthentication(SecurityContextHolder.getContext().getAuthentication(), http, response);
    }
}
