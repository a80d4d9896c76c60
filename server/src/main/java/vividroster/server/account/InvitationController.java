package vividroster.server.account;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.access.Invitation;
import vividroster.core.access.Role;
import vividroster.core.text.Lengths;
import vividroster.server.audit.Audit;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Verbatim;
import vividroster.server.roster.ScopeRequest;

/** One-time links: made and taken back by directors, looked at and taken by whoever has one. */
@RestController
@RequestMapping("/api/invitations")
class InvitationController {

    private final Invitations invitations;
    private final Entering entering;
    private final Audit audit;

    InvitationController(Invitations invitations, Entering entering, Audit audit) {
        this.invitations = invitations;
        this.entering = entering;
        this.audit = audit;
    }

    record NewInvitation(
            @NotBlank(message = "Say who is invited.") @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String displayName,

            @NotNull(message = "Choose what they will be.") Role role,

            @Absent @Size(max = 50, message = "At most {max} sections.")
            List<@Valid @NotNull ScopeRequest> sections) {}

    /** @param token of the link, told this once */
    record MadeInvitation(UUID id, String token, OffsetDateTime goodUntil) {}

    /** @param fault absent while it can be taken */
    record InvitationView(
            UUID id,
            String displayName,
            Role role,
            OffsetDateTime goodUntil,
            @Absent Invitation.Fault fault) {}

    @GetMapping
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "invitations", summary = "Who was invited and what became of it, latest first")
    List<InvitationView> invitations(@AuthenticationPrincipal SignedIn person) {
        return invitations.all(person.programId()).stream()
                .map(kept -> new InvitationView(
                        kept.id(),
                        kept.displayName(),
                        kept.role(),
                        kept.goodUntil().atOffset(ZoneOffset.UTC),
                        kept.fault().orElse(null)))
                .toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "invite", summary = "Make a one-time link for somebody; it is told this once")
    MadeInvitation invite(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody NewInvitation request) {
        Invitations.Made made = invitations.make(
                person,
                request.displayName(),
                request.role(),
                request.sections() == null
                        ? List.of()
                        : request.sections().stream().map(ScopeRequest::toScope).toList());
        return new MadeInvitation(made.id(), made.token(), made.goodUntil().atOffset(ZoneOffset.UTC));
    }

    @DeleteMapping("/{invitationId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "withdrawInvitation", summary = "Take an invitation back that nobody used yet")
    void withdraw(@AuthenticationPrincipal SignedIn person, @PathVariable UUID invitationId) {
        invitations.withdraw(person.programId(), invitationId);
    }

    record LookRequest(
            @NotBlank(message = "The link is not whole.") @Size(max = 200, message = "The link is too long.")
            String token) {}

    record InvitedView(String program, String displayName, Role role) {}

    @PostMapping("/look")
    @Operation(
            operationId = "lookAtInvitation",
            summary = "Whom a link invites, and to which programme; for anybody with it")
    InvitedView look(@Valid @RequestBody LookRequest request) {
        Invitations.Invited invited = invitations.look(request.token());
        return new InvitedView(invited.program(), invited.displayName(), invited.role());
    }

    record TakeRequest(
            @NotBlank(message = "The link is not whole.") @Size(max = 200, message = "The link is too long.")
            String token,

            @NotBlank(message = "Choose a sign-in name.") @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String signInName,

            @Verbatim(longest = 1_000) @NotBlank(message = "Choose a password.")
            String password) {}

    @PostMapping("/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(
            operationId = "takeInvitation",
            summary = "Choose a name and a password, and be signed in; the link is used up")
    void take(@Valid @RequestBody TakeRequest request, HttpServletRequest http, HttpServletResponse response) {
        SignedIn person = invitations.take(request.token(), request.signInName(), request.password());
        audit.note(person, Audit.What.SIGNED_IN, Optional.empty());
        entering.begin(person, http, response);
    }
}
