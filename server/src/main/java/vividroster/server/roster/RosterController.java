package vividroster.server.roster;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalTime;
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
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.core.text.Lengths;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Ids;
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

    record ClassView(
            UUID id,
            String name,
            String campus,
            ClassShape shape,
            @Absent String rotation,
            int period,
            String startsAt,
            int minutes,
            int students) {}

    record NewClass(
            @NotBlank(message = "A class needs a name.")
            @Size(max = Lengths.CLASS_NAME, message = "A class name has at most {max} letters.")
            String name,

            @NotNull(message = "Say which campus, or leave it blank.")
            @Size(max = Lengths.CLASS_NAME, message = "At most {max} letters.")
            String campus,

            @NotNull(message = "Choose how the class is made up.")
            ClassShape shape,

            @Absent @Size(max = 2, message = "A rotation letter is one or two letters.")
            String rotation,

            @Min(value = 0, message = "Periods go from 0 to 12.") @Max(value = 12, message = "Periods go from 0 to 12.")
            int period,

            @NotNull(message = "Say when the class starts.") LocalTime startsAt,

            @Min(value = 5, message = "A class meets for 5 to 240 minutes.")
            @Max(value = 240, message = "A class meets for 5 to 240 minutes.")
            int minutes) {}

    record InstrumentView(InstrumentCode code, String name, String plural, Family family) {}

    record SeatView(String className, UUID classId, InstrumentCode instrument, String division) {}

    record StudentView(UUID id, String name, String sortName, List<SeatView> seats) {}

    @GetMapping("/classes")
    @Operation(operationId = "classes", summary = "All classes, in the order of the day")
    List<ClassView> classes(@AuthenticationPrincipal SignedIn person) {
        Map<UUID, Long> counts = rosters.seatsOn(person.programId(), office.today(person.programId())).stream()
                .collect(Collectors.groupingBy(Seat::classId, Collectors.counting()));
        return rosters.classes(person.programId()).stream()
                .map(c -> view(c, counts.getOrDefault(c.id(), 0L).intValue()))
                .toList();
    }

    @PostMapping("/classes")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasRole('DIRECTOR')")
    @Operation(operationId = "addClass", summary = "Add a class")
    ClassView addClass(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody NewClass request) {
        SchoolClass added = new SchoolClass(
                Ids.next(),
                request.name().strip(),
                request.campus().strip(),
                request.shape(),
                Optional.ofNullable(request.rotation()).map(String::strip).filter(r -> !r.isEmpty()),
                request.period(),
                request.startsAt(),
                request.minutes());
        rosters.addClass(person.programId(), added);
        return view(added, 0);
    }

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
    @PreAuthorize("hasRole('DIRECTOR')")
    @Operation(operationId = "leaveClass", summary = "End the seat a student holds in a class; what was passed stays")
    void leave(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody Leaving request) {
        rosters.leave(person.programId(), studentId, request.classId(), request.lastDay());
    }

    private static ClassView view(SchoolClass c, int students) {
        return new ClassView(
                c.id(),
                c.name(),
                c.campus(),
                c.shape(),
                c.rotation().orElse(null),
                c.period(),
                c.startsAt().toString(),
                c.minutes(),
                students);
    }
}
