package vividroster.server.testing;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.testing.HeardTogether;
import vividroster.formats.calendar.CalendarWriter;
import vividroster.formats.calendar.CalendarWriter.Entry;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.ScopeRequest;
import vividroster.server.testing.TestDayViews.TestDayView;
import vividroster.server.testing.TestDayViews.TestPeriodView;

/** Test days: who is heard in which period. */
@RestController
@RequestMapping("/api/tests/{milestoneId}/day")
@PreAuthorize("hasAuthority('TEACH')")
class TestDayController {

    private static final int MINUTES = 20;

    private final TestDayPlans plans;
    private final Clock clock;

    TestDayController(TestDayPlans plans, Clock clock) {
        this.plans = plans;
        this.clock = clock;
    }

    /**
     * How a test day is wanted.
     *
     * @param from first day that may be used; today where absent
     * @param minutes of each period; 20 where absent
     * @param together heard at once; 1 where absent
     * @param tied students put into a period by hand, each as {@code student~period}
     */
    record DayRequest(
            @Absent LocalDate from,

            @Absent
            @Min(value = 1, message = "A test day needs at least {value} minute.")
            @Max(value = 300, message = "Minutes are at most {value}.")
            Integer minutes,

            @Absent
            @Min(value = 1, message = "One is the least.")
            @Max(value = HeardTogether.MOST, message = "At most {value} are heard together.")
            Integer together,

            @Absent @Size(max = 200, message = "At most {max} are put somewhere by hand.")
            List<@Size(max = 120) String> tied) {

        private Map<UUID, String> byHand() {
            Map<UUID, String> byHand = new HashMap<>();
            for (String one : tied == null ? List.<String>of() : tied) {
                int cut = one.indexOf('~');
                try {
                    byHand.put(UUID.fromString(one.substring(0, Math.max(0, cut))), one.substring(cut + 1));
                } catch (IllegalArgumentException e) {
                    throw Problem.input("tied", "Somebody put into a period by hand is not known: \"" + one + "\".");
                }
            }
            return byHand;
        }

        TestDayPlans.Wish of(UUID milestoneId, ScopeRequest scope) {
            return new TestDayPlans.Wish(
                    milestoneId,
                    scope.toScope(),
                    Optional.ofNullable(from),
                    minutes == null ? MINUTES : minutes,
                    together == null ? 1 : together,
                    byHand());
        }
    }

    @GetMapping
    @Operation(
            operationId = "testDay",
            summary = "Who is heard with a milestone in which of the coming periods, as it stands now; keeps nothing")
    TestDayView day(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest scope,
            @Valid @ParameterObject DayRequest wish) {
        return plans.plan(person, wish.of(milestoneId, scope));
    }

    @GetMapping(path = "/calendar.ics", produces = "text/calendar")
    @Operation(operationId = "testDayCalendar", summary = "The periods of a test as an iCalendar file")
    ResponseEntity<byte[]> calendar(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest scope,
            @Valid @ParameterObject DayRequest wish) {
        TestDayView day = day(person, milestoneId, scope, wish);
        List<Entry> entries =
                day.periods().stream().map(period -> entry(day, period)).toList();
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(day.title() + ".ics", StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(CalendarWriter.write(day.title(), clock.instant(), entries));
    }

    private static Entry entry(TestDayView day, TestPeriodView period) {
        return new Entry(
                "test-" + day.milestoneId() + "-" + period.id(),
                period.on(),
                "Playing test: " + day.title() + ", " + period.className() + ", period " + period.period() + " from "
                        + period.beginsAt(),
                period.slots().stream()
                        .map(slot -> slot.at() + " "
                                + slot.students().stream()
                                        .map(student -> student.name())
                                        .collect(Collectors.joining(" and ")))
                        .collect(Collectors.joining("\n")));
    }
}
