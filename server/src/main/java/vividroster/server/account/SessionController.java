package vividroster.server.account;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.platform.Role;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/session")
class SessionController {

    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;
    private final CsrfAuthenticationStrategy csrf;
    private final Office office;

    SessionController(
            AuthenticationManager authentication,
            SecurityContextRepository contexts,
            CookieCsrfTokenRepository csrfTokens,
            Office office) {
        this.authentication = authentication;
        this.contexts = contexts;
        this.csrf = new CsrfAuthenticationStrategy(csrfTokens);
        this.office = office;
    }

    record SignInRequest(
            @NotBlank(message = "Type your sign-in name.") @Size(max = 120, message = "That is too long for a name.")
            String signInName,

            @NotBlank(message = "Type your password.") @Size(max = 200, message = "That is too long for a password.")
            String password) {}

    record Me(String displayName, Role role, String program, LocalDate today, boolean demo) {}

    @PostMapping
    @Operation(operationId = "signIn", summary = "Sign in; answers who you are and sets the session cookie")
    Me signIn(@Valid @RequestBody SignInRequest request, HttpServletRequest http, HttpServletResponse response) {
        try {
            Authentication person = authentication.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(request.signInName(), request.password()));
            http.getSession();
            http.changeSessionId();
            csrf.onAuthentication(person, http, response);
            SecurityContext context = SecurityContextHolder.createEmptyContext();
            context.setAuthentication(person);
            SecurityContextHolder.setContext(context);
            contexts.saveContext(context, http, response);
            return me((SignedIn) person.getPrincipal());
        } catch (AuthenticationException e) {
            throw Problem.notSignedIn("Sign-in name and password do not match. Nothing was changed; try again.");
        }
    }

    @GetMapping
    @Operation(operationId = "me", summary = "Who is signed in")
    Me me(@AuthenticationPrincipal SignedIn person) {
        return new Me(
                person.displayName(),
                person.role(),
                office.name(person.programId()),
                office.today(person.programId()),
                office.isDemo(person.programId()));
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "signOut", summary = "Sign out")
    void signOut(HttpServletRequest http) {
        HttpSession session = http.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}
