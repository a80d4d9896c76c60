package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.FingerPattern;
import vividroster.core.text.Lengths;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/classes/{classId}/finger-patterns")
class FingerPatternController {

    private final FingerPatterns patterns;

    FingerPatternController(FingerPatterns patterns) {
        this.patterns = patterns;
    }

    /** @param close lower finger of each pair that stands close; described as it is told on a sheet */
    record FingerPatternView(String name, List<Integer> close, String described) {}

    record FingerPatternRequest(
            @NotBlank(message = "A finger pattern needs a name.")
            @Size(max = Lengths.WORDS, message = "At most {max} letters.")
            String name,

            @NotNull(message = "Say which fingers stand close.")
            Set<
                            @NotNull @Min(value = 1, message = "Fingers 1 to 3 stand close to the next.")
                            @Max(value = 3, message = "Fingers 1 to 3 stand close to the next.") Integer>
                    close) {}

    @GetMapping
    @Operation(operationId = "fingerPatterns", summary = "Finger patterns of a class of strings, by its own names")
    List<FingerPatternView> of(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        return patterns.of(person.programId(), classId).stream()
                .map(p -> new FingerPatternView(p.name(), p.closeInOrder(), p.described()))
                .toList();
    }

    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "nameFingerPatterns",
            summary = "Name the finger patterns of a class; none for the usual ones")
    void put(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody @Size(max = FingerPatterns.MOST, message = "Name at most {max} patterns.")
                    List<@Valid @NotNull FingerPatternRequest> request) {
        patterns.put(
                person.programId(),
                classId,
                request.stream()
                        .map(p -> new FingerPattern(p.name().strip(), p.close()))
                        .toList());
    }
}
