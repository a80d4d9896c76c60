package vividroster.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;

/**
 * A device that kept marks says whose they are. Where somebody else has signed in on it meanwhile they are not taken under
 * the other name, and wait on the device.
 */
final class MarkedBy implements HandlerInterceptor {

    static final String HEADER = "X-Marked-By";

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        String markedBy = request.getHeader(HEADER);
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        if (markedBy != null
                && now != null
                && now.getPrincipal() instanceof SignedIn person
                && !markedBy.equals(person.accountId().toString())) {
            throw Problem.notSignedIn("Somebody else is signed in on this device now. What was marked waits here for "
                    + "the one who marked it.");
        }
        return true;
    }
}
