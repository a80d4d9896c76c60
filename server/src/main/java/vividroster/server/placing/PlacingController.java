package vividroster.server.placing;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.placing.PlacingOption;
import vividroster.core.placing.PlacingOption.Remark;
import vividroster.core.placing.PlacingOption.Seen;
import vividroster.core.placing.Trial;
import vividroster.core.placing.Trial.Aspect;
import vividroster.core.placing.Trial.Mouthpiece;
import vividroster.core.placing.TwoWays;
import vividroster.core.text.Lengths;
import vividroster.server.office.Office;
import vividroster.server.placing.Placings.Placing;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/students/{studentId}/placing")
class PlacingController {

    private final Placings placings;
    private final Office office;
    private final InstrumentCatalog catalog;

    PlacingController(Placings placings, Office office, InstrumentCatalog catalog) {
        this.placings = placings;
        this.office = office;
        this.catalog = catalog;
    }

    /** How each aspect was, 1 to 4; absent where it was not looked at. */
    record AspectsForm(
            @Absent @Min(1) @Max(4) Integer sound,
            @Absent @Min(1) @Max(4) Integer response,
            @Absent @Min(1) @Max(4) Integer comfort,
            @Absent @Min(1) @Max(4) Integer reach,
            @Absent @Min(1) @Max(4) Integer wish) {

        static AspectsForm of(Map<Aspect, Integer> seen) {
            return new AspectsForm(
                    seen.get(Aspect.SOUND),
                    seen.get(Aspect.RESPONSE),
                    seen.get(Aspect.COMFORT),
                    seen.get(Aspect.REACH),
                    seen.get(Aspect.WISH));
        }

        Map<Aspect, Integer> toSeen() {
            Map<Aspect, Integer> seen = new EnumMap<>(Aspect.class);
            Optional.ofNullable(sound).ifPresent(value -> seen.put(Aspect.SOUND, value));
            Optional.ofNullable(response).ifPresent(value -> seen.put(Aspect.RESPONSE, value));
            Optional.ofNullable(comfort).ifPresent(value -> seen.put(Aspect.COMFORT, value));
            Optional.ofNullable(reach).ifPresent(value -> seen.put(Aspect.REACH, value));
            Optional.ofNullable(wish).ifPresent(value -> seen.put(Aspect.WISH, value));
            return seen;
        }
    }

    /** @param id made by the client; armCm from the neck to the middle of the palm, arm stretched to the side */
    record TrialRequest(
            @NotNull(message = "A trial needs an id.") UUID id,

            @NotNull(message = "Say which instrument.") InstrumentCode instrument,

            @NotNull(message = "Say on which mouthpiece.") Mouthpiece mouthpiece,

            @NotNull(message = "Say how it was.") @Valid AspectsForm seen,

            @Absent
            @DecimalMin(value = "30", message = "An arm is 30 to 90 cm long.")
            @DecimalMax(value = "90", message = "An arm is 30 to 90 cm long.")
            Double armCm,

            @Absent LocalDate on,

            @Absent @Size(max = Lengths.NOTE, message = "A note has at most {max} letters.")
            String note) {}

    record TrialView(
            UUID id,
            InstrumentCode instrument,
            String instrumentName,
            Mouthpiece mouthpiece,
            AspectsForm seen,
            @Absent Double armCm,
            LocalDate on,
            String note) {}

    record SeenView(Aspect aspect, int first, int last) {}

    record PlacingRemarkView(Remark remark, String sentence) {}

    /** @param wanted absent where nobody said how many players are wanted */
    record PlacingOptionView(
            InstrumentCode instrument,
            String instrumentName,
            int trials,
            LocalDate from,
            LocalDate to,
            List<SeenView> seen,
            @Absent Integer wanted,
            int seated,
            List<PlacingRemarkView> remarks) {}

    record PlacingDecisionView(String instrumentName, String why, LocalDate on, String by) {}

    /** @param wins of each way, in the same order */
    record TwoWaysTally(
            String instrumentName,
            String about,
            List<String> ways,
            List<Integer> wins,
            int noDifference,
            LocalDate lastOn) {}

    record PlacingView(
            List<TrialView> trials,
            List<PlacingOptionView> options,
            List<PlacingDecisionView> decided,
            List<TwoWaysTally> compared) {}

    @GetMapping
    @Operation(
            operationId = "placing",
            summary = "Instruments a student tried, as options side by side, and ways held against each other")
    PlacingView placing(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        Placing placing = placings.of(person.programId(), studentId);
        return new PlacingView(
                placing.trials().stream().map(this::view).toList(),
                placing.options().stream().map(this::view).toList(),
                placing.decided().stream()
                        .map(one -> new PlacingDecisionView(name(one.instrument()), one.why(), one.on(), one.by()))
                        .toList(),
                placing.tallies().stream()
                        .map(one -> new TwoWaysTally(
                                name(one.instrument()),
                                one.about(),
                                one.ways(),
                                one.wins(),
                                one.noDifference(),
                                one.lastOn()))
                        .toList());
    }

    private String name(InstrumentCode code) {
        return catalog.withCode(code).name();
    }

    private TrialView view(Trial trial) {
        return new TrialView(
                trial.id(),
                trial.instrument(),
                name(trial.instrument()),
                trial.mouthpiece(),
                AspectsForm.of(trial.seen()),
                trial.armCm().orElse(null),
                trial.on(),
                trial.note());
    }

    private PlacingOptionView view(PlacingOption option) {
        Instrument instrument = catalog.withCode(option.instrument());
        return new PlacingOptionView(
                option.instrument(),
                instrument.name(),
                option.trials(),
                option.from(),
                option.to(),
                List.of(Aspect.values()).stream()
                        .filter(option.seen()::containsKey)
                        .map(aspect -> seen(aspect, option.seen().get(aspect)))
                        .toList(),
                option.wanted().orElse(null),
                option.seated(),
                option.remarks().stream()
                        .map(remark -> new PlacingRemarkView(remark, PlacingWording.of(remark, instrument)))
                        .toList());
    }

    private static SeenView seen(Aspect aspect, Seen seen) {
        return new SeenView(aspect, seen.first(), seen.last());
    }

    @PostMapping("/trials")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "keepTrial", summary = "A student tried an instrument; sending it twice keeps it once")
    void keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody TrialRequest request) {
        placings.keep(
                person,
                new Trial(
                        request.id(),
                        studentId,
                        request.instrument(),
                        request.mouthpiece(),
                        request.seen().toSeen(),
                        Optional.ofNullable(request.armCm()),
                        Optional.ofNullable(request.on()).orElseGet(() -> office.today(person.programId())),
                        Optional.ofNullable(request.note()).orElse("").strip()));
    }

    @DeleteMapping("/trials/{trialId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "takeBackTrial", summary = "A trial was not as it was put down")
    void takeBack(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId, @PathVariable UUID trialId) {
        placings.takeBack(person.programId(), studentId, trialId);
    }

    record PlacingDecisionRequest(
            @NotNull(message = "A decision needs an id.") UUID id,

            @NotNull(message = "Say which instrument.") InstrumentCode instrument,

            @Absent @Size(max = Lengths.NOTE, message = "A reason has at most {max} letters.")
            String why) {}

    @PostMapping("/decisions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "decidePlacing", summary = "What people decided; a seat is changed by a switch")
    void decide(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody PlacingDecisionRequest request) {
        placings.decide(
                person,
                request.id(),
                studentId,
                request.instrument(),
                Optional.ofNullable(request.why()).orElse("").strip());
    }

    /** What was heard: of two played one after the other. */
    enum Heard {
        FIRST,
        SECOND,
        NO_DIFFERENCE
    }

    /** @param id made by the client before anything is played; blind, it tells which of the two comes first */
    record TwoWaysRequest(
            @NotNull(message = "A comparison needs an id.") UUID id,

            @NotNull(message = "Say on which instrument.") InstrumentCode instrument,

            @NotNull @Size(max = Lengths.WORDS, message = "What is compared has at most {max} letters.")
            String about,

            @NotNull @Size(max = Lengths.WORDS, message = "A way has at most {max} letters.")
            String one,

            @NotNull @Size(max = Lengths.WORDS, message = "A way has at most {max} letters.")
            String other,

            boolean blind,
            @NotNull(message = "Say which was better.") Heard better) {}

    /** @param better the way that was better; absent where there was no difference */
    record TwoWaysView(@Absent String better) {}

    @PostMapping("/two-ways")
    @Operation(
            operationId = "keepTwoWays",
            summary = "Which of two ways played one after the other was better; answers which it was")
    TwoWaysView keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody TwoWaysRequest request) {
        TwoWays.Better better = better(request);
        TwoWays compared = new TwoWays(
                request.id(),
                studentId,
                request.instrument(),
                request.about().strip(),
                request.one().strip(),
                request.other().strip(),
                request.blind(),
                better,
                office.today(person.programId()));
        placings.keep(person, compared);
        return new TwoWaysView(
                switch (better) {
                    case ONE -> compared.one();
                    case OTHER -> compared.other();
                    case NO_DIFFERENCE -> null;
                });
    }

    private static TwoWays.Better better(TwoWaysRequest request) {
        return switch (request.better()) {
            case NO_DIFFERENCE -> TwoWays.Better.NO_DIFFERENCE;
            case FIRST, SECOND -> {
                boolean first = request.better() == Heard.FIRST;
                yield request.blind()
                        ? TwoWays.heard(request.id(), first)
                        : first ? TwoWays.Better.ONE : TwoWays.Better.OTHER;
            }
        };
    }

    /** @param first the way that is played first; told to the student alone */
    record PlayedFirstView(String first, String second) {}

    record PlayedFirstRequest(
            @NotNull UUID id,
            @NotNull @Size(max = Lengths.WORDS) String one,
            @NotNull @Size(max = Lengths.WORDS) String other) {}

    @PostMapping("/two-ways/order")
    @Operation(
            operationId = "twoWaysOrder",
            summary = "In which order two ways are played where the listener is not to know; nothing is kept")
    PlayedFirstView order(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody PlayedFirstRequest request) {
        boolean one = TwoWays.oneComesFirst(request.id());
        return new PlayedFirstView(one ? request.one() : request.other(), one ? request.other() : request.one());
    }
}
