package vividroster.server.habits;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.HabitWatch.Finding;
import vividroster.server.library.Library;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api")
class HabitController {

    private final Habits habits;
    private final Library library;
    private final InstrumentCatalog catalog;

    HabitController(Habits habits, Library library, InstrumentCatalog catalog) {
        this.habits = habits;
        this.library = library;
        this.catalog = catalog;
    }

    record HabitLookRequest(
            @NotNull(message = "A look needs an id.") UUID id,

            @NotNull(message = "Say which student.") UUID studentId,

            @NotNull(message = "Say which check.") UUID milestoneId,
            @NotNull(message = "Say which class.") UUID classId,

            @NotNull(message = "Say on which day.") LocalDate on,
            @NotNull(message = "Say what was seen.") Finding finding) {}

    record HabitLookView(LocalDate on, Finding finding) {}

    /** @param looks in the order made */
    record HabitHistoryView(
            UUID milestoneId, String shortName, String title, String instrumentName, List<HabitLookView> looks) {}

    @GetMapping("/students/{studentId}/habits")
    @Operation(
            operationId = "habitsOf",
            summary = "A student's passed habits that were looked at again, with every look")
    List<HabitHistoryView> of(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        List<Habits.LookedAt> habits = this.habits.ofStudent(person.programId(), studentId);
        Map<UUID, Milestone> checks = library
                .milestones(
                        person.programId(),
                        habits.stream().map(one -> one.habit().milestoneId()).collect(Collectors.toSet()))
                .stream()
                .collect(Collectors.toMap(Milestone::id, Function.identity()));
        return habits.stream()
                .map(one -> {
                    Milestone check = checks.get(one.habit().milestoneId());
                    return new HabitHistoryView(
                            check.id(),
                            check.shortName(),
                            check.title(),
                            catalog.withCode(one.habit().player().instrument()).name(),
                            one.looks().stream()
                                    .map(look -> new HabitLookView(look.on(), look.finding()))
                                    .toList());
                })
                .toList();
    }

    @PostMapping("/habits/looks")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(
            operationId = "lookAtHabit",
            summary = "Keep what was seen of a passed habit; never a try, of one day the last one counts")
    void looked(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody HabitLookRequest request) {
        habits.looked(
                person,
                request.id(),
                request.studentId(),
                request.milestoneId(),
                request.classId(),
                request.on(),
                request.finding());
    }
}
