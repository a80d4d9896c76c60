package vividroster.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/**
 * A session keeps two ids and the version of the account, nothing else, so that a changed role, a new password or a disabled
 * account counts at the next request, and no upgrade can make a session unreadable. One that cannot be read is dropped.
 */
@Component
public class AccountSessions implements SecurityContextRepository {

    private static final Logger LOG = LoggerFactory.getLogger(AccountSessions.class);
    private static final String ACCOUNT = "account";
    /** Who looks around, while the account is another's. */
    private static final String HOME = "home";

    private final SignedInPeople people;

    AccountSessions(SignedInPeople people) {
        this.people = people;
    }

    @Override
    @Deprecated
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        read(holder.getRequest()).map(SignedIn::authentication).ifPresent(context::setAuthentication);
        return context;
    }

    private Optional<SignedIn> read(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session == null) {
            return Optional.empty();
        }
        try {
            return read(session.getAttribute(ACCOUNT));
        } catch (SessionUnreadableException | IllegalArgumentException e) {
            LOG.warn("A session could not be read and was dropped");
            session.invalidate();
            return Optional.empty();
        }
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        if (context.getAuthentication() != null
                && context.getAuthentication().getPrincipal() instanceof SignedIn person) {
            request.getSession()
                    .setAttribute(ACCOUNT, person.programId() + "/" + person.accountId() + "/" + person.version());
        }
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(ACCOUNT) != null;
    }

    /** Lets whoever is signed in look around as somebody else, and come back. */
    public void visit(SignedIn guest, HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession();
        Object own = session.getAttribute(HOME) == null ? session.getAttribute(ACCOUNT) : session.getAttribute(HOME);
        begin(guest, request, response);
        request.getSession().setAttribute(HOME, own);
    }

    /** Who looks around in this session; empty where nobody does, or they may not sign in any more. */
    public Optional<SignedIn> visitor(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? Optional.empty() : read(session.getAttribute(HOME));
    }

    private Optional<SignedIn> read(Object attribute) {
        String[] kept = String.valueOf(attribute).split("/");
        return kept.length == 3
                ? people.find(UUID.fromString(kept[0]), UUID.fromString(kept[1]), Integer.parseInt(kept[2]))
                : Optional.empty();
    }

    /** Begins a session of this person, under a new id. */
    public void begin(SignedIn person, HttpServletRequest request, HttpServletResponse response) {
        request.getSession().removeAttribute(HOME);
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(person.authentication());
        SecurityContextHolder.setContext(context);
        saveContext(context, request, response);
    }
}
