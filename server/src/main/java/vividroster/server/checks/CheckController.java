package vividroster.server.checks;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Guide.Vantage;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.formats.checks.PartsFile;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api")
class CheckController {

    private static final double CONCERT_A = 440;

    private final Checks checks;
    private final InstrumentCatalog catalog;

    CheckController(Checks checks, InstrumentCatalog catalog) {
        this.checks = checks;
        this.catalog = catalog;
    }

    private static final Map<InstrumentCode, PartsFile.Parts> PARTS = PartsFile.shipped();

    /** @param remedies in the order to try them */
    record FaultView(String sign, List<String> remedies) {}

    record VariantView(String name, String note, int reviewWeeks) {}

    record CueView(int step, String fullStep) {}

    /** @param pitch for example "B-flat 2"; hertz of it at A 440 */
    record ToneView(InstrumentCode instrument, String instrumentName, String pitch, double hertz) {}

    record SyllableView(String style, String syllable) {}

    /**
     * @param steps as this programme's schools word them
     * @param criteria worded likewise
     * @param backTo title of the stage one falls back to when this one fails
     * @param cues which of the steps, from 1, are shown by the director's own cue word, with the full step
     */
    record CheckView(
            String title,
            CheckTopic topic,
            List<InstrumentCode> appliesTo,
            List<String> steps,
            List<CueView> cues,
            List<String> criteria,
            List<Integer> mustSee,
            String selfTest,
            List<SyllableView> syllables,
            List<FaultView> faults,
            List<String> cautions,
            List<VariantView> variants,
            List<ToneView> tones,
            String why,
            Vantage seenFrom,
            String notFor,
            @Absent String backTo,
            @Absent MeasuredView measured) {}

    /** @param aim what is worked towards; it fails nobody */
    record MeasuredView(String name, String unit, double aim) {}

    /** @param takenAs the milestone it became; absent while it is on the starter shelf only */
    record StarterView(
            String key,
            String shortName,
            CheckView check,
            @Absent UUID takenAs) {}

    record BeforeView(UUID milestoneId, String title) {}

    /** @param before checks of the programme that are passed before this one */
    record DescribedView(UUID milestoneId, CheckView check, List<BeforeView> before) {}

    record TakenView(UUID milestoneId) {}

    record ChoiceView(String key, String label) {}

    /** @param unit as one says it behind the number */
    record AmountView(double low, double high, String unit) {}

    /** @param amount bounds of what may be chosen where it is a number; then there are no choices */
    record QuestionView(
            String key,
            String question,
            List<ChoiceView> choices,
            @Absent AmountView amount,
            String chosen) {}

    record ChoiceRequest(
            @NotBlank(message = "Choose one of the schools.")
            String choice) {}

    @GetMapping("/checks/starters")
    @Operation(
            operationId = "starterChecks",
            summary =
                    "The technique checks that ship for an instrument, in teaching order, worded as the programme teaches")
    List<StarterView> starters(@AuthenticationPrincipal SignedIn person, @RequestParam InstrumentCode instrument) {
        SchoolChoices choices = checks.choices(person.programId());
        return checks.starters(person.programId(), instrument).stream()
                .map(s -> new StarterView(
                        s.check().key(),
                        s.check().shortName(),
                        view(s.check(), choices),
                        s.takenAs().orElse(null)))
                .toList();
    }

    @PostMapping("/checks/starters/{key}/take")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "takeStarterCheck",
            summary = "Put a starter check on the shelf; taking it twice takes it once")
    TakenView take(@AuthenticationPrincipal SignedIn person, @PathVariable String key) {
        return new TakenView(checks.take(person.programId(), person.accountId(), key));
    }

    @GetMapping("/checks/{milestoneId}")
    @Operation(operationId = "check", summary = "What a check says: steps, faults with remedies, cautions, variants")
    DescribedView check(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @RequestParam(required = false) InstrumentCode instrument) {
        return checks.check(person.programId(), milestoneId)
                .map(check -> new DescribedView(
                        milestoneId,
                        view(check, checks.choices(person.programId())),
                        checks.before(person.programId(), milestoneId).stream()
                                .filter(m -> instrument == null || m.isFor(instrument))
                                .map(m -> new BeforeView(m.id(), m.title()))
                                .toList()))
                .orElseThrow(() -> Problem.notFound("Nothing more is written about this check."));
    }

    /** @param number on the drawing; never whether a beginner must never turn or push it */
    record PartOfInstrumentView(int number, String name, boolean never) {}

    /** @param kind of the drawing */
    record PartsView(String kind, List<PartOfInstrumentView> parts) {}

    @GetMapping("/instruments/{instrument}/parts")
    @Operation(operationId = "parts", summary = "The parts of an instrument by their numbers on its drawing")
    PartsView parts(@PathVariable InstrumentCode instrument) {
        PartsFile.Parts found = PARTS.get(instrument);
        if (found == null) {
            throw Problem.input("instrument", "\"" + instrument + "\" is not an instrument of the catalog.");
        }
        return new PartsView(
                found.kind(),
                found.parts().stream()
                        .map(p -> new PartOfInstrumentView(p.number(), p.name(), p.never()))
                        .toList());
    }

    @GetMapping("/schools")
    @Operation(
            operationId = "schools",
            summary = "Questions on which practitioners disagree, and the programme's choices")
    List<QuestionView> schools(@AuthenticationPrincipal SignedIn person) {
        SchoolChoices choices = checks.choices(person.programId());
        return checks.questions().stream()
                .map(q -> new QuestionView(
                        q.key(),
                        q.question(),
                        q.choices().entrySet().stream()
                                .map(c -> new ChoiceView(c.getKey(), c.getValue()))
                                .toList(),
                        q.amount()
                                .map(a -> new AmountView(a.low(), a.high(), a.unit()))
                                .orElse(null),
                        choices.of(q.key())))
                .toList();
    }

    @PostMapping("/schools/{question}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "chooseSchool", summary = "Choose a school for one question; checks reword themselves")
    void choose(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable String question,
            @Valid @RequestBody ChoiceRequest request) {
        checks.choose(person.programId(), person.accountId(), question, request.choice());
    }

    private CheckView view(TechniqueCheck check, SchoolChoices choices) {
        return new CheckView(
                check.title(),
                check.topic(),
                List.copyOf(check.instruments()),
                check.stepsFor(choices),
                check.cues().keySet().stream()
                        .map(step -> new CueView(step, check.steps().get(step - 1)))
                        .toList(),
                check.criteriaFor(choices),
                List.copyOf(check.mustSee()),
                check.selfTest(),
                check.syllables().entrySet().stream()
                        .map(s -> new SyllableView(s.getKey(), s.getValue()))
                        .toList(),
                check.faults().stream()
                        .map(f -> new FaultView(f.sign(), f.remedies()))
                        .toList(),
                check.cautions().stream().map(CautionWording::sentence).toList(),
                check.variants().stream()
                        .map(v -> new VariantView(v.name(), v.note(), v.reviewWeeks()))
                        .toList(),
                catalog.inScoreOrder().stream()
                        .filter(i -> check.tones().containsKey(i.code()))
                        .map(i -> {
                            Pitch pitch = check.tones().get(i.code());
                            return new ToneView(i.code(), i.name(), pitch.name(), pitch.hertz(CONCERT_A));
                        })
                        .toList(),
                check.guide().why(),
                check.guide().seenFrom(),
                check.guide().notFor(),
                checks.titleOf(check.guide().backTo()).orElse(null),
                check.guide()
                        .measured()
                        .map(m -> new MeasuredView(m.name(), m.unit(), m.aim()))
                        .orElse(null));
    }
}
