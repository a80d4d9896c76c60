package vividroster.server.checks;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.roster.Seat;
import vividroster.server.office.Office;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api")
class MeasurementController {

    private final MeasuredTries tries;
    private final Rosters rosters;
    private final Office office;
    private final InstrumentCatalog catalog;

    MeasurementController(MeasuredTries tries, Rosters rosters, Office office, InstrumentCatalog catalog) {
        this.tries = tries;
        this.rosters = rosters;
        this.office = office;
        this.catalog = catalog;
    }

    record MeasureRequest(
            @NotNull(message = "It needs an id.") UUID id,
            @NotNull(message = "Say whose it is.") UUID studentId,
            @NotNull(message = "Say in which class.") UUID classId,

            @NotNull(message = "Give the amount.")
            @DecimalMin(value = "0.1", message = "At least 0.1.")
            @DecimalMax(value = "600", message = "At most 600.")
            Double value) {}

    /** @param best and latest in the check's unit */
    record MeasuredStudentView(UUID studentId, double best, LocalDate bestOn, double latest, LocalDate latestOn) {}

    record MeasuredOnDayView(LocalDate on, double value) {}

    /** @param taken in the order taken */
    record MeasuredOfStudentView(
            UUID milestoneId,
            String checkTitle,
            String instrumentName,
            String name,
            String unit,
            double aim,
            double best,
            List<MeasuredOnDayView> taken) {}

    @PostMapping("/checks/{milestoneId}/measurements")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "measure", summary = "Keep what a student reached; sending it again keeps it once")
    void measure(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @Valid @RequestBody MeasureRequest request) {
        tries.keep(person, milestoneId, request.id(), request.studentId(), request.classId(), request.value());
    }

    @GetMapping("/checks/{milestoneId}/measurements")
    @Operation(operationId = "measured", summary = "Best and latest of every student of a section who was measured")
    List<MeasuredStudentView> ofSection(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest request) {
        UUID programId = person.programId();
        Set<UUID> students = rosters.seatsOfStudentsIn(programId, request.toScope(), office.today(programId)).stream()
                .map(Seat::studentId)
                .collect(Collectors.toSet());
        return tries.of(programId, students).stream()
                .filter(one -> one.milestoneId().equals(milestoneId))
                .map(one -> new MeasuredStudentView(
                        one.studentId(),
                        one.all().best().value(),
                        one.all().best().on(),
                        one.all().latest().value(),
                        one.all().latest().on()))
                .toList();
    }

    @GetMapping("/students/{studentId}/measurements")
    @Operation(operationId = "measuredOfStudent", summary = "What a student reached over the weeks, by check")
    List<MeasuredOfStudentView> ofStudent(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        return tries.of(person.programId(), Set.of(studentId)).stream()
                .map(one -> new MeasuredOfStudentView(
                        one.milestoneId(),
                        one.title(),
                        catalog.withCode(one.instrument()).name(),
                        one.measured().name(),
                        one.measured().unit(),
                        one.measured().aim(),
                        one.all().best().value(),
                        one.taken().stream()
                                .map(t -> new MeasuredOnDayView(t.on(), t.value()))
                                .toList()))
                .toList();
    }

    @DeleteMapping("/measurements/{measurementId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "takeMeasurementBack", summary = "Take a wrong measurement back")
    void takeBack(@AuthenticationPrincipal SignedIn person, @PathVariable UUID measurementId) {
        tries.takeBack(person.programId(), measurementId);
    }
}
