package vividroster.server.erasing;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.util.OptionalInt;
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
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api")
@PreAuthorize("hasAuthority('DIRECT')")
class ErasingController {

    private final Erasing erasing;

    ErasingController(Erasing erasing) {
        this.erasing = erasing;
    }

    record EraseRequest(
            @NotBlank(message = "Type the student's name to erase it.")
            String name) {}

    record ErasedView(String name) {}

    /** @param keepYears years after the last seat; absent to keep names for good */
    record RetentionView(@Absent Integer keepYears) {}

    @PostMapping("/students/{studentId}/erase")
    @Operation(
            operationId = "eraseStudent",
            summary = "Erase a student: attempts stay as numbers under a made-up name, every word and name goes")
    ErasedView erase(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody EraseRequest request) {
        return new ErasedView(erasing.erase(person, studentId, request.name()));
    }

    @GetMapping("/retention")
    @Operation(operationId = "retention", summary = "How long names are kept after the last seat")
    RetentionView retention(@AuthenticationPrincipal SignedIn person) {
        OptionalInt years = erasing.keepYears(person.programId());
        return new RetentionView(years.isPresent() ? years.getAsInt() : null);
    }

    @PutMapping("/retention")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "setRetention", summary = "Say how long names are kept after the last seat")
    void setRetention(@AuthenticationPrincipal SignedIn person, @RequestBody RetentionView request) {
        erasing.keepYears(
                person.programId(),
                request.keepYears() == null ? OptionalInt.empty() : OptionalInt.of(request.keepYears()));
    }
}
