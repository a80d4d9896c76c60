package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.ForecastQueries.Kept;
import vividroster.server.season.ForecastQueries.Target;
import vividroster.server.season.SectionForecasts.Of;
import vividroster.server.season.SectionForecasts.OfTarget;

@RestController
@RequestMapping("/api/season/forecasts")
@PreAuthorize("hasAuthority('TEACH')")
class ForecastController {

    private final SectionForecasts forecasts;

    ForecastController(SectionForecasts forecasts) {
        this.forecasts = forecasts;
    }

    /** Made in an earlier week; Mondays of the weeks by which it is done, absent for not this year. */
    record KeptForecastView(
            LocalDate monday,
            @Absent LocalDate low,
            @Absent LocalDate middle,
            @Absent LocalDate high,
            int chance) {}

    /**
     * @param need passes still missing until enough of the section have every line
     * @param low Monday of the week by which it is done with a chance of 10 in a hundred, middle 50, high 90; absent for not
     *     this year
     * @param pacePercent of its usual minutes it is planned with; ownPercent what its own pace asks for
     * @param chance in a hundred, to be there by the day
     * @param lines lines in a usual week, as it goes; needed as it must go, absent where no lesson is left
     */
    record SectionForecastView(
            InstrumentCode instrument,
            String name,
            int students,
            int need,
            @Absent LocalDate low,
            @Absent LocalDate middle,
            @Absent LocalDate high,
            int chance,
            String chanceWords,
            double lines,
            @Absent Double needed,
            String words,
            int pacePercent,
            int ownPercent,
            List<KeptForecastView> earlier) {}

    /** @param set whether a director set it; else it is the last line planned before the next concert */
    record ForecastView(
            UUID targetId,
            boolean set,
            UUID lineId,
            int page,
            int number,
            LocalDate byDay,
            List<SectionForecastView> sections) {}

    @GetMapping
    @Operation(
            operationId = "forecasts",
            summary = "When each section will have the lines of a target, how likely by its day, and at what pace")
    List<ForecastView> of(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId) {
        return forecasts.of(person.programId(), classId).stream()
                .map(ForecastController::view)
                .toList();
    }

    record TargetRequest(
            @NotNull(message = "Choose a class.") UUID classId,
            @NotNull(message = "Choose a line.") UUID lineId,
            @NotNull(message = "Say by which day.") LocalDate byDay) {}

    @PutMapping("/targets/{targetId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "setForecastTarget", summary = "Say up to which line a class is to be by a day")
    void set(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID targetId,
            @Valid @RequestBody TargetRequest request) {
        forecasts.set(person.programId(), new Target(targetId, request.classId(), request.lineId(), request.byDay()));
    }

    @DeleteMapping("/targets/{targetId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "removeForecastTarget", summary = "A target that is one no longer, with its forecasts")
    void remove(@AuthenticationPrincipal SignedIn person, @PathVariable UUID targetId) {
        forecasts.remove(person.programId(), targetId);
    }

    private static ForecastView view(OfTarget of) {
        return new ForecastView(
                of.target().id(),
                of.isSet(),
                of.line().milestoneId(),
                of.line().page(),
                of.line().number(),
                of.target().byDay(),
                of.sections().stream()
                        .map(section -> view(
                                section,
                                of.kept().getOrDefault(section.instrument().code(), List.of())))
                        .toList());
    }

    private static SectionForecastView view(Of of, List<Kept> kept) {
        return new SectionForecastView(
                of.instrument().code(),
                of.instrument().plural(),
                of.pace().students(),
                of.forecast().need(),
                of.monday(of.forecast().low()).orElse(null),
                of.monday(of.forecast().middle()).orElse(null),
                of.monday(of.forecast().high()).orElse(null),
                of.chance(),
                ForecastWording.chance(of.chance()),
                ForecastWording.lines(of.pace().lines(of.forecast().pace().mean())),
                of.neededLines().map(ForecastWording::lines).orElse(null),
                ForecastWording.sentence(of),
                of.pacePercent(),
                of.pace().minutesPercent(of.forecast().pace()),
                kept.stream()
                        .map(k -> new KeptForecastView(
                                k.monday(),
                                k.low().orElse(null),
                                k.middle().orElse(null),
                                k.high().orElse(null),
                                k.chance()))
                        .toList());
    }
}
