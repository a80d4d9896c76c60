package vividroster.server.testing;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.testing.TestDays;
import vividroster.core.testing.TestDays.Period;
import vividroster.core.testing.TestDays.Unit;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/** Test days of a self-contained problem; nothing is read of the programme and nothing is kept. */
@RestController
@RequestMapping("/api/tests/day")
@PreAuthorize("hasAuthority('TEACH')")
class TestDayTrialController {

    private static final int MOST_PERIODS = 100;
    private static final int MOST_UNITS = 400;
    private static final int LONGEST_PERIOD = 600;
    private static final int LONGEST_UNIT = 7_200;

    /** @param minutes there are in it to hear somebody */
    record DayPeriod(
            @NotBlank(message = "A period needs an id.") @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String id,

            @NotNull(message = "Say how many minutes a period has.")
            @Min(value = 0, message = "Minutes are at least {value}.")
            @Max(value = LONGEST_PERIOD, message = "Minutes are at most {value}.")
            Integer minutes) {}

    /** Who is heard together. @param periods it can be heard in, by id; absent or empty for any */
    record DayUnit(
            @NotBlank(message = "A unit needs an id.") @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String id,

            @NotEmpty(message = "A unit has at least one student.")
            @Size(max = MOST_UNITS, message = "At most {max} students.")
            List<@NotBlank(message = "A student needs an id.") String> students,

            @NotNull(message = "Say how many seconds a unit takes.")
            @Min(value = 1, message = "Seconds are at least {value}.")
            @Max(value = LONGEST_UNIT, message = "Seconds are at most {value}.")
            Integer seconds,

            @Absent @Size(max = MOST_PERIODS, message = "At most {max} periods.")
            List<@NotBlank(message = "A period needs an id.") String> periods) {

        Unit toUnit() {
            return new Unit(id, students, seconds, periods == null ? Set.of() : new HashSet<>(periods));
        }
    }

    /** @param periods in the order of the days @param units in fair order */
    record DayTrial(
            @NotEmpty(message = "A test day needs a period.")
            @Size(max = MOST_PERIODS, message = "At most {max} periods.")
            @Valid
            List<@NotNull DayPeriod> periods,

            @NotNull(message = "Say who is heard.") @Size(max = MOST_UNITS, message = "At most {max} units.") @Valid
            List<@NotNull DayUnit> units) {}

    record DaySlotView(String unit, String period, int startSecond) {}

    /**
     * @param left units without room, in fair order
     * @param bound how many of the first periods are needed at least
     * @param proven whether no plan ends earlier
     */
    record DayPlanView(List<DaySlotView> slots, List<String> left, int bound, boolean proven) {}

    @PostMapping("/trial")
    @Operation(
            operationId = "planTestDay",
            summary = "Who is heard in which period so that a test ends as early as possible; keeps nothing")
    DayPlanView plan(@Valid @RequestBody DayTrial trial) {
        Set<String> periods = new HashSet<>();
        for (DayPeriod period : trial.periods()) {
            if (!periods.add(period.id())) {
                throw Problem.input("periods", "Two periods are called \"" + period.id() + "\".");
            }
        }
        if (trial.periods().stream().allMatch(period -> period.minutes() == 0)) {
            throw Problem.input("periods", "A test day without minutes hears nobody.");
        }
        Set<String> units = new HashSet<>();
        Set<String> students = new HashSet<>();
        for (DayUnit unit : trial.units()) {
            if (!units.add(unit.id())) {
                throw Problem.input("units", "Two units are called \"" + unit.id() + "\".");
            }
            for (String student : unit.students()) {
                if (!students.add(student)) {
                    throw Problem.input("units", "\"" + student + "\" is heard twice.");
                }
            }
            if (unit.periods() != null && !periods.containsAll(unit.periods())) {
                throw Problem.input("units", "\"" + unit.id() + "\" is tied to a period that is not there.");
            }
        }
        TestDays plan = TestDays.of(
                trial.periods().stream()
                        .map(period -> new Period(period.id(), period.minutes() * 60))
                        .toList(),
                trial.units().stream().map(DayUnit::toUnit).toList());
        return new DayPlanView(
                plan.slots().stream()
                        .map(slot -> new DaySlotView(slot.unit(), slot.period(), slot.startSecond()))
                        .toList(),
                plan.left(),
                plan.bound(),
                plan.proven());
    }
}
