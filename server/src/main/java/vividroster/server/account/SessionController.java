package vividroster.server.account;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.access.Role;
import vividroster.core.text.Lengths;
import vividroster.server.audit.Audit;
import vividroster.server.office.Office;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Verbatim;

@RestController
@RequestMapping("/api/session")
class SessionController {

    private final Audit audit;
    private final SignIns signIns;
    private final Accounts accounts;
    private final Entering entering;
    private final Office office;

    SessionController(SignIns signIns, Accounts accounts, Entering entering, Office office, Audit audit) {
        this.audit = audit;
        this.signIns = signIns;
        this.accounts = accounts;
        this.entering = entering;
        this.office = office;
    }

    record SignInRequest(
            @NotBlank(message = "Type your sign-in name.")
            @Size(max = Lengths.NAME, message = "That is too long for a name.")
            String signInName,

            @Verbatim(longest = 1_000)
            @NotBlank(message = "Type your password.")
            @Size(max = 200, message = "That is too long for a password.")
            String password) {}

    /**
     * @param accountId with the programme's id, whose marks a device keeps
     * @param lookingAround whether this is the made-up school beside one's own
     */
    record Me(
            UUID programId,
            UUID accountId,
            String displayName,
            Role role,
            String program,
            LocalDate today,
            boolean demo,
            boolean lookingAround) {}

    @PostMapping
    @Operation(operationId = "signIn", summary = "Sign in; answers who you are and sets the session cookie")
    Me signIn(@Valid @RequestBody SignInRequest request, HttpServletRequest http, HttpServletResponse response) {
        SignedIn person = signIns.signIn(request.signInName(), request.password(), http.getRemoteAddr());
        audit.note(person, Audit.What.SIGNED_IN, Optional.empty());
        entering.begin(person, http, response);
        return me(person);
    }

    @GetMapping
    @Operation(operationId = "me", summary = "Who is signed in")
    Me me(@AuthenticationPrincipal SignedIn person) {
        return new Me(
                person.programId(),
                person.accountId(),
                person.displayName(),
                person.role(),
                office.name(person.programId()),
                office.today(person.programId()),
                office.isDemo(person.programId()),
                office.isAside(person.programId()));
    }

    record NewPassword(
            @Verbatim(longest = 1_000)
            @NotBlank(message = "Type your present password.")
            @Size(max = 200, message = "That is too long for a password.")
            String current,

            @Verbatim(longest = 1_000) @NotBlank(message = "Type a new password.")
            String password) {}

    @PostMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(
            operationId = "changeOwnPassword",
            summary = "Change one's own password; signed in here one stays, everywhere else one is signed out")
    void changePassword(
            @AuthenticationPrincipal SignedIn person,
            @Valid @RequestBody NewPassword request,
            HttpServletRequest http,
            HttpServletResponse response) {
        signIns.confirm(person, request.current(), http.getRemoteAddr());
        accounts.changePassword(person.programId(), person.accountId(), request.password());
        stay(person, http, response);
    }

    @DeleteMapping("/elsewhere")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "signOutElsewhere", summary = "Sign out everywhere but here")
    void signOutElsewhere(
            @AuthenticationPrincipal SignedIn person, HttpServletRequest http, HttpServletResponse response) {
        accounts.signOutEverywhere(person.programId(), person.accountId());
        stay(person, http, response);
    }

    private void stay(SignedIn person, HttpServletRequest http, HttpServletResponse response) {
        entering.begin(accounts.signedIn(person.programId(), person.accountId()), http, response);
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
