package vividroster.server.habits;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.progress.HabitWatch.Finding;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/habits")
class HabitController {

    private final Habits habits;

    HabitController(Habits habits) {
        this.habits = habits;
    }

    record HabitLookRequest(
            @NotNull(message = "A look needs an id.") UUID id,

            @NotNull(message = "Say which student.") UUID studentId,

            @NotNull(message = "Say which check.") UUID milestoneId,
            @NotNull(message = "Say which class.") UUID classId,

            @NotNull(message = "Say on which day.") LocalDate on,
            @NotNull(message = "Say what was seen.") Finding finding) {}

    @PostMapping("/looks")
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
