package vividroster.server.outfit;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.outfit.Fit.BodyTest;
import vividroster.core.text.Lengths;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Typed;

@RestController
@RequestMapping("/api")
class FitController {

    private final Fits fits;
    private final Office office;

    FitController(Fits fits, Office office) {
        this.fits = fits;
        this.office = office;
    }

    /**
     * Lengths in centimetres, from the student.
     *
     * @param handCm width of the hand across the knuckles
     * @param seatCm height of the seat
     * @param kneeCm floor to the hollow of the knee
     * @param armCm neck to the middle of the palm, arm out to the side
     * @param mouthCm seat to the lips, sitting tall
     * @param thighCm seat to the top of the thigh
     * @param reachCm web of the thumb to the tip of the ring finger, hand spread
     * @param weeks since the first lesson on the bassoon
     */
    record FitMeasures(
            @Absent Double handCm,
            @Absent Double seatCm,
            @Absent Double kneeCm,
            @Absent Double armCm,
            @Absent Double mouthCm,
            @Absent Double thighCm,
            @Absent Double reachCm,
            @Absent Double weeks,
            @Absent Boolean standing) {

        Map<String, Double> byName() {
            Map<String, Double> map = new LinkedHashMap<>();
            map.put("handCm", handCm);
            map.put("seatCm", seatCm);
            map.put("kneeCm", kneeCm);
            map.put("armCm", armCm);
            map.put("mouthCm", mouthCm);
            map.put("thighCm", thighCm);
            map.put("reachCm", reachCm);
            map.put("weeks", weeks);
            map.put("standing", Boolean.TRUE.equals(standing) ? (Double) 1.0 : null);
            map.values().removeIf(java.util.Objects::isNull);
            return map;
        }
    }

    record FitRequest(
            @NotNull(message = "Choose what is fitted.") FitKind kind,
            @NotNull(message = "Measure first.") FitMeasures measures) {}

    record BodyTestView(BodyTest test, String sentence) {}

    /** @param centimetres absent for a size or a place */
    record ComputedView(String result, @Absent Double centimetres, List<BodyTestView> confirmBy, LocalDate reviewOn) {}

    /** @param setTo what was really set after the body tests; absent when the formula's result was kept */
    record NewFit(
            @NotNull(message = "A fit needs an id.") UUID id,
            @NotNull(message = "Choose what is fitted.") FitKind kind,
            @NotNull(message = "Measure first.") FitMeasures measures,
            @NotNull Set<@NotNull BodyTest> confirmed,

            @Absent @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String setTo,

            @Absent @Size(max = Lengths.NOTE, message = "At most {max} letters.")
            String note) {}

    record FitView(
            UUID id,
            FitKind kind,
            String title,
            String result,
            List<String> confirmed,
            String note,
            LocalDate measuredOn,
            LocalDate reviewOn,
            boolean overdue) {}

    @PostMapping("/fits/compute")
    @Operation(
            operationId = "computeFit",
            summary = "What measures come to, which body tests confirm it; keeps nothing")
    ComputedView compute(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody FitRequest request) {
        Fits.Computed computed = fits.compute(
                person.programId(), request.kind(), request.measures().byName());
        return new ComputedView(
                computed.result(),
                computed.centimetres().orElse(null),
                computed.confirmBy().stream()
                        .map(t -> new BodyTestView(t, FitWording.sentence(t)))
                        .toList(),
                computed.reviewOn());
    }

    @PostMapping("/students/{studentId}/fits")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(
            operationId = "keepFit",
            summary = "Keep a student's fit with its review day; sending it twice keeps it once")
    void keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID studentId,
            @Valid @RequestBody NewFit request) {
        fits.keep(
                person,
                request.id(),
                studentId,
                request.kind(),
                request.measures().byName(),
                request.confirmed(),
                Typed.given(request.setTo()),
                Typed.given(request.note()).orElse(""));
    }

    @GetMapping("/students/{studentId}/fits")
    @Operation(operationId = "studentFits", summary = "Fits of a student, latest first")
    List<FitView> ofStudent(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        LocalDate today = office.today(person.programId());
        return fits.ofStudent(person.programId(), studentId).stream()
                .map(fit -> new FitView(
                        fit.id(),
                        FitKind.valueOf(fit.kind()),
                        fit.title(),
                        fit.result(),
                        fit.confirmed().stream().map(FitWording::sentence).toList(),
                        fit.note(),
                        fit.measuredOn(),
                        fit.review().on(),
                        fit.review().isOverdue(today)))
                .toList();
    }
}
