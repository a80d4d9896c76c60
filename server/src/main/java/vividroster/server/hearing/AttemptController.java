package vividroster.server.hearing;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.FaultHeard;
import vividroster.core.progress.Outcome;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/attempts")
class AttemptController {

    /** The device's clock at the moment of sending, so that a wrong clock is found out. */
    static final String SENT_AT = "X-Sent-At";

    private final Hearing hearing;

    AttemptController(Hearing hearing) {
        this.hearing = hearing;
    }

    /** @param points 0 for a criterion not seen */
    record MarkRequest(int ordinal, int points) {}

    /** @param measure its number on the page; absent where none was tapped */
    record FaultRequest(
            @NotBlank(message = "Say what went wrong.")
            @Size(max = FaultHeard.LONGEST, message = "A fault has at most {max} letters.")
            String sign,

            @Absent
            @Min(value = 1, message = "Measures count from {value}.")
            @Max(value = FaultHeard.LAST_MEASURE, message = "A measure is at most {value}.")
            Integer measure) {}

    private static final int MOST_FAULTS = 12;

    record AttemptRequest(
            @NotNull(message = "An attempt needs an id.") UUID id,

            @NotNull(message = "Say which student was heard.")
            UUID studentId,

            @NotNull(message = "Say what was heard.") UUID milestoneId,
            @Absent Integer milestoneVersion,

            @NotNull(message = "Say in which class it was heard.")
            UUID classId,

            @NotNull(message = "Say what came of it.") Outcome outcome,
            @Absent Evidence evidence,

            @Absent @Size(max = 30, message = "At most 30 criteria.")
            List<@Valid @NotNull MarkRequest> marks,

            @Absent Boolean waived,

            @Absent @Size(max = Lengths.NOTE, message = "A reason has at most {max} letters.")
            String reason,

            @Absent @Size(max = Lengths.LONG_NOTE, message = "A note has at most {max} letters.")
            String note,

            @Absent @Size(max = MOST_FAULTS, message = "At most {max} faults.")
            List<@Valid @NotNull FaultRequest> faults,

            @Absent
            @Min(value = 20, message = "A tempo is at least {value}.")
            @Max(value = 400, message = "A tempo is at most {value}.")
            Integer tempoBpm,

            @Absent @Size(max = Lengths.NAME, message = "The name of a piece has at most {max} letters.")
            String substitute,

            @Absent Instant heardAt) {}

    record Batch(
            @NotEmpty(message = "Nothing was sent.") @Size(max = 200, message = "Send at most 200 attempts at once.")
            List<@Valid @NotNull AttemptRequest> attempts) {}

    record CorrectionRequest(
            @NotNull(message = "A correction needs an id.") UUID id,
            @NotNull(message = "Say what came of it.") Outcome outcome,

            @Absent @Size(max = 30, message = "At most 30 criteria.")
            List<@Valid @NotNull MarkRequest> marks,

            @Absent @Size(max = MOST_FAULTS, message = "At most {max} faults.")
            List<@Valid @NotNull FaultRequest> faults,

            @NotNull(message = "A correction says why.")
            @Size(max = Lengths.NOTE, message = "A reason has at most {max} letters.")
            String reason) {}

    /** @param deviceHeardAt the moment the device said, where it could not be right; the arrival counts instead */
    record RecordedView(
            UUID id,
            UUID studentId,
            UUID milestoneId,
            Outcome outcome,
            StandingView standing,
            OutlookView outlook,
            @Absent OffsetDateTime deviceHeardAt) {}

    @PostMapping
    @Operation(operationId = "recordAttempt", summary = "Record one attempt; sending it twice records it once")
    RecordedView record(
            @AuthenticationPrincipal SignedIn person,
            @RequestHeader(name = SENT_AT, required = false) Instant sentAt,
            @Valid @RequestBody AttemptRequest request) {
        return view(hearing.record(person, List.of(heard(request)), Optional.ofNullable(sentAt))
                .getFirst());
    }

    @PostMapping("/batch")
    @Operation(operationId = "recordAttempts", summary = "Record attempts of a whole section, all of them or none")
    List<RecordedView> recordAll(
            @AuthenticationPrincipal SignedIn person,
            @RequestHeader(name = SENT_AT, required = false) Instant sentAt,
            @Valid @RequestBody Batch request) {
        return hearing
                .record(
                        person,
                        request.attempts().stream()
                                .map(AttemptController::heard)
                                .toList(),
                        Optional.ofNullable(sentAt))
                .stream()
                .map(AttemptController::view)
                .toList();
    }

    @PostMapping("/{attemptId}/correction")
    @Operation(
            operationId = "correctAttempt",
            summary = "Correct or undo an attempt by a later entry; what was there is kept")
    RecordedView correct(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID attemptId,
            @Valid @RequestBody CorrectionRequest request) {
        return view(hearing.correct(
                person,
                attemptId,
                request.id(),
                request.outcome(),
                marks(request.marks()),
                Optional.ofNullable(request.faults()).map(AttemptController::faults),
                request.reason()));
    }

    private static Hearing.Heard heard(AttemptRequest request) {
        if (request.outcome() == Outcome.UNDONE) {
            throw Problem.input("outcome", "To undo an attempt, correct it.");
        }
        return new Hearing.Heard(
                request.id(),
                request.studentId(),
                request.milestoneId(),
                Optional.ofNullable(request.milestoneVersion()),
                request.classId(),
                request.outcome(),
                Optional.ofNullable(request.evidence()).orElse(Evidence.LIVE_ALONE),
                marks(request.marks()),
                Boolean.TRUE.equals(request.waived()),
                Optional.ofNullable(request.reason()).orElse(""),
                new Beside(
                        Optional.ofNullable(request.note()).orElse(""),
                        faults(request.faults()),
                        Optional.ofNullable(request.tempoBpm()),
                        Optional.ofNullable(request.substitute()).orElse("")),
                Optional.ofNullable(request.heardAt()));
    }

    private static List<FaultHeard> faults(List<FaultRequest> requests) {
        if (requests == null) {
            return List.of();
        }
        return requests.stream()
                .map(fault -> new FaultHeard(
                        fault.sign(), fault.measure() == null ? OptionalInt.empty() : OptionalInt.of(fault.measure())))
                .toList();
    }

    private static List<CriterionMark> marks(List<MarkRequest> requests) {
        if (requests == null) {
            return List.of();
        }
        return requests.stream()
                .map(mark -> {
                    if (mark.ordinal() < 1 || mark.points() < 0 || mark.points() > Criterion.MOST_POINTS) {
                        throw Problem.input(
                                "marks", "Points go from 0 to " + Criterion.MOST_POINTS + " and criteria from 1.");
                    }
                    return new CriterionMark(mark.ordinal(), mark.points());
                })
                .toList();
    }

    private static RecordedView view(Hearing.Recorded recorded) {
        return new RecordedView(
                recorded.heard().attempt().id(),
                recorded.heard().attempt().studentId(),
                recorded.heard().attempt().milestoneId(),
                recorded.heard().attempt().outcome(),
                StandingView.of(recorded.standing()),
                OutlookView.of(recorded.outlook()),
                recorded.heard()
                        .deviceSaid()
                        .map(at -> at.atOffset(ZoneOffset.UTC))
                        .orElse(null));
    }
}
