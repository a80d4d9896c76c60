package vividroster.server.roster;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
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
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.PersonName;
import vividroster.core.roster.Seat;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Typed;

/** Students one by one, and the chairs they sit on. */
@RestController
@RequestMapping("/api")
class StudentController {

    private final StudentEditing editing;
    private final Seating seating;
    private final Divisions divisions;
    private final Rosters rosters;

    StudentController(StudentEditing editing, Seating seating, Divisions divisions, Rosters rosters) {
        this.editing = editing;
        this.seating = seating;
        this.divisions = divisions;
        this.rosters = rosters;
    }

    record StudentDetailsView(
            UUID id, String name, String sortName, @Absent String studentNumber, String grade) {}

    /** @param sortName absent takes the last word of the name first */
    record StudentRequest(
            @NotBlank(message = "A student needs a name.") @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String name,

            @Absent @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String sortName,

            @Absent @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String studentNumber,

            @Absent @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String grade) {

        StudentDetails details(UUID id) {
            PersonName read = PersonName.read(name);
            PersonName kept = Typed.given(sortName).map(read::sortedAs).orElse(read);
            return new StudentDetails(
                    id,
                    kept.shown(),
                    kept.sorted(),
                    Typed.given(studentNumber),
                    Typed.given(grade).orElse(""));
        }
    }

    @GetMapping("/students/{studentId}")
    @Operation(operationId = "student", summary = "A student's names, number and grade")
    StudentDetailsView student(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        StudentDetails details = editing.details(person.programId(), studentId);
        return new StudentDetailsView(
                details.id(),
                details.name(),
                details.sortName(),
                details.number().orElse(null),
                details.grade());
    }

    @PutMapping("/students/{studentId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "keepStudent", summary = "Keep a student as typed; a new one under a new id")
    void keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody StudentRequest request) {
        editing.keep(person.programId(), request.details(studentId));
    }

    record SeatRequest(
            @NotNull(message = "Choose a class.") UUID classId,
            @NotNull(message = "Choose an instrument.") InstrumentCode instrument,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String division,

            @NotNull(message = "Say from which day.") LocalDate startsOn) {}

    @PostMapping("/students/{studentId}/seats")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "seatStudent",
            summary = "Seat a student from a day on: in one more class, or elsewhere in the same one")
    void seat(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody SeatRequest request) {
        seating.seat(
                person.programId(),
                new Seat(
                        studentId,
                        request.classId(),
                        request.instrument(),
                        request.division().strip(),
                        request.startsOn(),
                        Optional.empty()));
    }

    record ChairView(
            UUID studentId,
            String name,
            InstrumentCode instrument,
            String division,
            @Absent Integer chair) {}

    @GetMapping("/classes/{classId}/seating")
    @Operation(operationId = "seating", summary = "Who sits where in a class, by section and chair")
    List<ChairView> seating(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        List<Seat> seats = editing.seating(person.programId(), classId);
        Map<UUID, Student> students = rosters.students(
                person.programId(), seats.stream().map(Seat::studentId).collect(Collectors.toSet()));
        return seats.stream()
                .map(seat -> new ChairView(
                        seat.studentId(),
                        students.get(seat.studentId()).name(),
                        seat.instrument(),
                        seat.division(),
                        seat.chair().isPresent() ? seat.chair().getAsInt() : null))
                .toList();
    }

    record ChairsRequest(
            @NotNull(message = "Choose an instrument.") InstrumentCode instrument,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String division,

            @NotNull @Size(max = 400, message = "At most {max} students.")
            List<@NotNull UUID> students) {}

    @PutMapping("/classes/{classId}/seating")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "putChairs", summary = "Put a section on its chairs, from the first; two share a stand")
    void putChairs(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody ChairsRequest request) {
        editing.chairs(person.programId(), classId, request.instrument(), request.division(), request.students());
    }

    record DivisionForm(
            @NotNull @Size(max = Lengths.LABEL, message = "A division's name has at most {max} letters.")
            String name,

            @NotNull @Size(max = 400, message = "At most {max} students.")
            List<@NotNull UUID> students) {}

    record DivideRequest(
            @NotNull(message = "Choose an instrument.") InstrumentCode instrument,
            @NotNull(message = "Say from which day.") LocalDate startsOn,

            @NotEmpty(message = "Say who plays what.") @Size(max = 12, message = "At most {max} divisions.")
            List<@Valid @NotNull DivisionForm> divisions) {}

    @PutMapping("/classes/{classId}/divisions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "divideSection",
            summary =
                    "Seat students of a section in divisions from a day on, all or none; the rest stay where they are")
    void divide(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody DivideRequest request) {
        divisions.divide(
                person.programId(),
                classId,
                request.instrument(),
                request.divisions().stream()
                        .map(one -> new Divisions.Division(one.name().strip(), one.students()))
                        .toList(),
                request.startsOn());
    }
}
