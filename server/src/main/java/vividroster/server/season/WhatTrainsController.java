package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/tests/{milestoneId}/training")
class WhatTrainsController {

    private final WhatTrains trains;

    WhatTrainsController(WhatTrains trains) {
        this.trains = trains;
    }

    /**
     * @param passed students of the section who have it already; of students
     * @param minutes of teaching it once and hearing everybody
     * @param monday of the first week after this one that has them; absent where none has
     */
    record TrainingView(
            UUID milestoneId,
            String title,
            int passed,
            int students,
            int minutes,
            @Absent LocalDate monday) {}

    @GetMapping
    @Operation(
            operationId = "whatTrains",
            summary = "The technique check that trains a criterion, with its minutes and a week that has them; or none")
    List<TrainingView> training(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @RequestParam int ordinal,
            @RequestParam UUID classId,
            @RequestParam InstrumentCode instrument) {
        return trains.of(person.programId(), milestoneId, ordinal, classId, instrument).stream()
                .map(training -> new TrainingView(
                        training.check().id(),
                        training.check().title(),
                        training.passed(),
                        training.students(),
                        training.minutes(),
                        training.monday().orElse(null)))
                .toList();
    }
}
