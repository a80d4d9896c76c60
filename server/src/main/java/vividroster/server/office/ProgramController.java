package vividroster.server.office;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** The school a programme is of. */
@RestController
@RequestMapping("/api/programme")
class ProgramController {

    private final Office office;

    ProgramController(Office office) {
        this.office = office;
    }

    /** @param zone for example "America/Chicago"; named whether a director has said what the school is called */
    record ProgrammeView(String name, String zone, List<String> campuses, boolean named) {}

    record ProgrammeRequest(
            @NotBlank(message = "Say what the school is called.")
            @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String name,

            @NotBlank(message = "Choose the time zone.") @Size(max = Lengths.NAME, message = "There is no such zone.")
            String zone,

            @NotNull @Size(max = 8, message = "At most {max} campuses.")
            List<
                            @NotBlank(message = "A campus needs a name.")
                            @Size(max = Lengths.CLASS_NAME, message = "At most {max} letters.") String>
                    campuses) {}

    @GetMapping
    @Operation(operationId = "programme", summary = "The school a programme is of")
    ProgrammeView programme(@AuthenticationPrincipal SignedIn person) {
        return new ProgrammeView(
                office.name(person.programId()),
                office.zone(person.programId()).getId(),
                office.campuses(person.programId()),
                office.isNamed(person.programId()));
    }

    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "describeProgramme",
            summary = "Say what the school is called, where its clocks are, its campuses")
    void describe(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody ProgrammeRequest request) {
        office.describe(
                person.programId(),
                request.name().strip(),
                zone(request.zone()),
                request.campuses().stream().map(String::strip).distinct().toList());
    }

    private static ZoneId zone(String name) {
        if (!ZoneId.getAvailableZoneIds().contains(name)) {
            throw Problem.input("zone", "\"" + name + "\" is no time zone; choose one like America/Chicago.");
        }
        return ZoneId.of(name);
    }
}
