package vividroster.server.attendance;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/absences")
class AbsenceController {

    private final Absences absences;

    AbsenceController(Absences absences) {
        this.absences = absences;
    }

    /** @param away false when the student is there after all */
    record NoteAbsence(
            @NotNull(message = "A note needs an id.") UUID id,
            @NotNull(message = "Say which class.") UUID classId,

            @NotNull(message = "Say which student.") UUID studentId,

            @NotNull(message = "Say on which day.") LocalDate on,
            boolean away) {}

    record ListedStudent(UUID studentId, String name, String instrumentName, boolean away) {}

    /** @param students who sit in the class, in score order */
    record AbsenceList(UUID classId, LocalDate on, List<ListedStudent> students) {}

    @GetMapping
    @Operation(operationId = "absences", summary = "Everybody of a class on a day, and who is away")
    AbsenceList list(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId, @RequestParam LocalDate on) {
        return new AbsenceList(
                classId,
                on,
                absences.list(person, classId, on).stream()
                        .map(one -> new ListedStudent(
                                one.student().id(), one.student().name(), one.instrumentName(), one.away()))
                        .toList());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "noteAbsence", summary = "Note that a student is away from a class on a day, or is there")
    void note(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody NoteAbsence request) {
        absences.note(person, request.id(), request.classId(), request.studentId(), request.on(), request.away());
    }
}
