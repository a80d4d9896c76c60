package vividroster.server.podium;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.core.rehearsal.PeriodPlan;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/podium")
class PeriodController {

    private static final int LONGEST_PERIOD = 300;

    private final Decisions decisions;

    PeriodController(Decisions decisions) {
        this.decisions = decisions;
    }

    /** @param byHand minutes a director gave; absent where the wish is what it wants */
    record WishRequest(
            @NotBlank(message = "A part of a period needs a key.")
            @Size(max = 80, message = "A key has at most {max} letters.")
            String key,

            @NotNull(message = "Say what the minutes are for.")
            PeriodPlan.Kind kind,

            @Min(value = 1, message = "Minutes are at least {value}.")
            @Max(value = LONGEST_PERIOD, message = "Minutes are at most {value}.")
            int minutes,

            @Min(value = 1, message = "The least minutes are at least {value}.")
            int least,

            @Absent
            @Min(value = 0, message = "Minutes are at least {value}.")
            @Max(value = LONGEST_PERIOD, message = "Minutes are at most {value}.")
            Integer byHand) {}

    /** @param from minute of the period at which the first wish begins; goingOn key of what is going on at that minute */
    record PeriodRequest(
            @Min(value = 1, message = "A period has at least {value} minute.")
            @Max(value = LONGEST_PERIOD, message = "A period has at most {value} minutes.")
            int minutes,

            @Min(value = 0, message = "Minutes are at least {value}.")
            @Max(value = LONGEST_PERIOD, message = "Minutes are at most {value}.")
            int from,

            @NotNull(message = "Say what the period is wanted for.") @Size(max = 20, message = "At most {max} parts.")
            List<@Valid @NotNull WishRequest> wishes) {}

    @PostMapping("/period")
    @Operation(
            operationId = "spendPeriod",
            summary = "How the minutes of a period, or of the rest of one, are spent on what is wanted; keeps nothing")
    Periods.SpentView spend(@Valid @RequestBody PeriodRequest request) {
        for (WishRequest wish : request.wishes()) {
            if (wish.least() > wish.minutes()) {
                throw Problem.input("wishes", "The least minutes of a part are at most its minutes.");
            }
        }
        if (request.wishes().stream().map(WishRequest::key).distinct().count()
                < request.wishes().size()) {
            throw Problem.input("wishes", "Two parts of the period have one key.");
        }
        return Periods.spent(PeriodPlan.of(
                request.from(),
                request.minutes(),
                request.wishes().stream()
                        .map(wish -> new PeriodPlan.Wish(wish.key(), wish.kind(), wish.minutes(), wish.least()))
                        .toList(),
                request.wishes().stream()
                        .filter(wish -> wish.byHand() != null)
                        .collect(Collectors.toMap(WishRequest::key, WishRequest::byHand))));
    }

    /** @param instrument absent for the whole class; advised what the page said */
    record DecisionRequest(
            @NotNull(message = "A decision needs an id.") UUID id,
            @NotNull(message = "Say which class.") UUID classId,
            @Absent InstrumentCode instrument,

            @NotNull(message = "Say about what.") UUID milestoneId,
            @NotNull(message = "Say what was advised.") Verdict advised,
            @NotNull(message = "Say what you decide.") Verdict decided) {}

    @PostMapping("/decisions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "decide", summary = "Keep whether a section goes on, beside what was advised")
    void decide(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody DecisionRequest request) {
        decisions.decide(
                person,
                request.id(),
                new Decisions.On(request.classId(), Optional.ofNullable(request.instrument()), request.milestoneId()),
                request.advised(),
                request.decided());
    }
}
