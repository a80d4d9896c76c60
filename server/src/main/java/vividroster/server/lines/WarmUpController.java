package vividroster.server.lines;

import io.swagger.v3.oas.annotations.Operation;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Score;
import vividroster.core.rehearsal.WarmUp;
import vividroster.formats.musicxml.MusicXmlWriter.Purpose;
import vividroster.server.lines.LineReadings.Context;
import vividroster.server.lines.LineViews.AnalysisView;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.lines.WarmUpQueries.KeptPart;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/warm-up")
class WarmUpController {

    private final WarmUps warmUps;
    private final LineReadings readings;
    private final Contexts contexts;
    private final Office office;

    WarmUpController(WarmUps warmUps, LineReadings readings, Contexts contexts, Office office) {
        this.warmUps = warmUps;
        this.readings = readings;
        this.contexts = contexts;
        this.office = office;
    }

    /** @param key concert; how one sentence for each kind of player; why it is there or has more time */
    record WarmUpPartView(
            WarmUp.Kind kind,
            String title,
            double minutes,
            String key,
            List<String> how,
            List<String> why,
            @Absent UUID demonstrationId) {}

    record WarmUpView(
            String className,
            LocalDate monday,
            boolean kept,
            WarmUp.Order order,
            double minutes,
            List<WarmUpPartView> parts) {}

    record WarmUpPartDraft(
            WarmUp.Kind kind,
            double minutes,
            String key,
            @Absent UUID demonstrationId) {}

    record WarmUpDraft(List<WarmUpPartDraft> parts) {}

    record WrittenPartView(AnalysisView analysis, String musicXml) {}

    @GetMapping
    @Operation(
            operationId = "warmUp",
            summary = "The warm-up of a class in a week: kept, or proposed from its lines within the minutes")
    WarmUpView warmUp(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID classId,
            @RequestParam(required = false) LocalDate week,
            @RequestParam(defaultValue = "8") double minutes) {
        LocalDate monday = monday(person, week);
        WarmUps.Plan plan = warmUps.of(person.programId(), classId, monday, minutes);
        return new WarmUpView(
                plan.className(),
                monday,
                plan.kept(),
                plan.order(),
                plan.parts().stream().mapToDouble(p -> p.part().minutes()).sum(),
                plan.parts().stream().map(kept -> view(kept, plan)).toList());
    }

    private static WarmUpPartView view(KeptPart kept, WarmUps.Plan plan) {
        WarmUp.Part part = kept.part();
        return new WarmUpPartView(
                part.kind(),
                WarmUpWording.title(part.kind()),
                part.minutes(),
                part.key().name(),
                WarmUpWording.how(part.kind(), plan.instruments()),
                part.why().stream().map(WarmUpWording::words).toList(),
                kept.demonstrationId().orElse(null));
    }

    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "keepWarmUp", summary = "Keep the warm-up of a class for a week as the director put it")
    void keep(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID classId,
            @RequestParam(required = false) LocalDate week,
            @RequestBody WarmUpDraft draft) {
        List<KeptPart> parts = draft.parts() == null
                ? List.of()
                : draft.parts().stream()
                        .map(p -> new KeptPart(
                                part(p.kind(), p.minutes(), p.key()), Optional.ofNullable(p.demonstrationId())))
                        .toList();
        warmUps.keep(person.programId(), person.accountId(), classId, monday(person, week), parts);
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "forgetWarmUp", summary = "Back to what is proposed")
    void forget(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID classId,
            @RequestParam(required = false) LocalDate week) {
        warmUps.forget(person.programId(), classId, monday(person, week));
    }

    @GetMapping("/part")
    @Operation(
            operationId = "warmUpPart",
            summary = "A part of a warm-up written out, as an instrument of the class reads it or at concert pitch")
    WrittenPartView written(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID classId,
            @RequestParam(required = false) LocalDate week,
            @RequestParam WarmUp.Kind kind,
            @RequestParam(defaultValue = "1") double minutes,
            @RequestParam(defaultValue = "B-flat major") String key,
            @RequestParam(required = false) InstrumentCode instrument,
            @RequestParam(required = false) Stage stage) {
        Stage asked = stage == null ? contexts.stage(person.programId(), classId) : stage;
        Score score = warmUps.written(
                person.programId(),
                classId,
                monday(person, week),
                part(kind, minutes, key),
                asked,
                WarmUpWording.title(kind));
        Context context = contexts.of(person.programId(), null, null, asked);
        return new WrittenPartView(
                readings.analysis(score, instrument, context),
                readings.musicXml(score, instrument, context, Purpose.SCREEN));
    }

    private LocalDate monday(SignedIn person, LocalDate week) {
        LocalDate day = week == null ? office.today(person.programId()) : week;
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }

    private static WarmUp.Part part(WarmUp.Kind kind, double minutes, String key) {
        if (kind == null || key == null) {
            throw Problem.input("parts", "Every part has a kind and a key.");
        }
        try {
            return new WarmUp.Part(kind, minutes, Key.named(key), List.of());
        } catch (IllegalArgumentException e) {
            String message = e.getMessage();
            throw Problem.input("parts", Character.toUpperCase(message.charAt(0)) + message.substring(1) + ".");
        }
    }
}
