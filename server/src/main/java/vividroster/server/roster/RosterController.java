package vividroster.server.roster;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.server.office.Office;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api")
class RosterController {

    private final Rosters rosters;
    private final Office office;
    private final InstrumentCatalog catalog;

    RosterController(Rosters rosters, Office office, InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.office = office;
        this.catalog = catalog;
    }

    record InstrumentView(InstrumentCode code, String name, String plural, Family family) {}

    record SeatView(String className, UUID classId, InstrumentCode instrument, String division) {}

    record StudentView(UUID id, String name, String sortName, List<SeatView> seats) {}

    @GetMapping("/instruments")
    @Operation(operationId = "instruments", summary = "The instrument catalog in score order")
    List<InstrumentView> instruments() {
        return catalog.inScoreOrder().stream()
                .map(i -> new InstrumentView(i.code(), i.name(), i.plural(), i.family()))
                .toList();
    }

    @GetMapping("/students")
    @Operation(operationId = "students", summary = "Everybody on the roster with the seats held today")
    List<StudentView> students(@AuthenticationPrincipal SignedIn person) {
        LocalDate today = office.today(person.programId());
        List<SchoolClass> classes = rosters.classes(person.programId());
        Map<UUID, List<Seat>> seats =
                rosters.seatsOn(person.programId(), today).stream().collect(Collectors.groupingBy(Seat::studentId));
        return rosters.allStudents(person.programId()).stream()
                .map(student -> new StudentView(
                        student.id(),
                        student.name(),
                        student.sortName(),
                        seatViews(seats.getOrDefault(student.id(), List.of()), classes)))
                .toList();
    }

    /** In the order of the classes. */
    private static List<SeatView> seatViews(List<Seat> held, List<SchoolClass> classes) {
        return classes.stream()
                .flatMap(schoolClass -> held.stream()
                        .filter(seat -> seat.classId().equals(schoolClass.id()))
                        .map(seat ->
                                new SeatView(schoolClass.name(), schoolClass.id(), seat.instrument(), seat.division())))
                .toList();
    }

    record Leaving(
            @NotNull(message = "Say which class the student leaves.")
            UUID classId,

            @NotNull(message = "Say which day is the last.") LocalDate lastDay) {}

    @PostMapping("/students/{studentId}/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "leaveClass", summary = "End the seat a student holds in a class; what was passed stays")
    void leave(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody Leaving request) {
        rosters.leave(person.programId(), studentId, request.classId(), request.lastDay());
    }
}
