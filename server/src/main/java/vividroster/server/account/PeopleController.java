package vividroster.server.account;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.access.Role;
import vividroster.core.roster.SectionScope;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Verbatim;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api/people")
@PreAuthorize("hasAuthority('DIRECT')")
class PeopleController {

    private final Accounts accounts;

    PeopleController(Accounts accounts) {
        this.accounts = accounts;
    }

    /** @param disabled whether they may not sign in any more; own whether it is who asks; sections of a coach */
    record Person(
            UUID id,
            String signInName,
            String displayName,
            Role role,
            boolean disabled,
            boolean own,
            List<ScopeRequest> sections) {}

    record NewPerson(
            @NotBlank(message = "A person needs a sign-in name.")
            @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String signInName,

            @NotBlank(message = "A person needs a name to show.")
            @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String displayName,

            @NotNull(message = "Choose what they are.") Role role,

            @Verbatim(longest = 1_000) @NotBlank(message = "Give a first password.")
            String password) {}

    @GetMapping
    @Operation(operationId = "people", summary = "Everybody who may sign in")
    List<Person> people(@AuthenticationPrincipal SignedIn person) {
        Map<UUID, List<SectionScope>> sections = accounts.sections(person.programId());
        return accounts.people(person.programId()).stream()
                .map(row -> new Person(
                        row.id(),
                        row.signInName(),
                        row.displayName(),
                        row.role(),
                        row.disabled(),
                        row.id().equals(person.accountId()),
                        sections.getOrDefault(row.id(), List.of()).stream()
                                .map(ScopeRequest::of)
                                .toList()))
                .toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "addPerson", summary = "Let somebody sign in with a first password that one tells them")
    Person add(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody NewPerson request) {
        UUID id = accounts.add(
                person.programId(), request.signInName(), request.displayName(), request.role(), request.password());
        return new Person(id, request.signInName(), request.displayName(), request.role(), false, false, List.of());
    }

    record ChangedPerson(
            @NotBlank(message = "A person needs a name to show.")
            @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String displayName,

            @NotNull(message = "Choose what they are.") Role role,

            boolean disabled,

            @Absent @Size(max = 50, message = "At most {max} sections.")
            List<@Valid @NotNull ScopeRequest> sections) {}

    @PutMapping("/{accountId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "changePerson", summary = "Change a person's name or role, or whether they may sign in")
    void change(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID accountId,
            @Valid @RequestBody ChangedPerson request) {
        accounts.change(
                person.programId(),
                accountId,
                request.displayName(),
                request.role(),
                request.sections() == null
                        ? List.of()
                        : request.sections().stream().map(ScopeRequest::toScope).toList(),
                request.disabled());
    }

    record GivenPassword(
            @Verbatim(longest = 1_000) @NotBlank(message = "Give a new password.")
            String password) {}

    @PostMapping("/{accountId}/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(
            operationId = "givePassword",
            summary = "Give a new password to somebody who forgot theirs; they are signed out everywhere")
    void givePassword(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID accountId,
            @Valid @RequestBody GivenPassword request) {
        accounts.changePassword(person.programId(), accountId, request.password());
    }
}
