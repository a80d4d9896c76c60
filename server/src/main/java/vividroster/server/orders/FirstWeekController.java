package vividroster.server.orders;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;
import vividroster.core.season.FirstWeeks.Why;
import vividroster.core.text.Lengths;
import vividroster.server.checks.Checks.FirstCheck;
import vividroster.server.orders.FirstWeekPlans.Planned;
import vividroster.server.orders.FirstWeekPlans.PlannedCheck;
import vividroster.server.orders.FirstWeekPlans.PlannedWeek;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

/** The first weeks of a class over HTTP. */
@RestController
@RequestMapping("/api/season/first-weeks")
@PreAuthorize("hasAuthority('TEACH')")
class FirstWeekController {

    private final FirstWeekPlans plans;

    FirstWeekController(FirstWeekPlans plans) {
        this.plans = plans;
    }

    /**
     * @param checkId what names it in a proposal
     * @param starterKey absent where it is on the shelf already
     * @param milestoneId absent where it is not on the shelf yet
     * @param sections it is for; empty where it is for all of the class
     * @param why it stands in this week and in none before; absent for what is left
     */
    record FirstCheckView(
            UUID checkId,
            @Absent String starterKey,
            @Absent UUID milestoneId,
            String title,
            CheckTopic topic,
            List<InstrumentCode> sections,
            @Absent String why) {}

    record FirstLineView(UUID milestoneId, String shortName, String title) {}

    /** @param number of the teaching week; minutes there are for book and checks, minutesWanted by the checks */
    record FirstWeekView(
            int number,
            LocalDate monday,
            LocalDate setOn,
            LocalDate dueOn,
            int minutes,
            int minutesWanted,
            List<FirstCheckView> checks,
            List<FirstLineView> lines) {}

    /** @param since the first day one of them sits there; milestones how many checks they have not been set */
    record NewcomersView(LocalDate since, List<String> names, int milestones) {}

    /** @param ordered how many first checks are set already; left what these weeks do not hold */
    record FirstWeeksView(
            UUID classId,
            String className,
            List<FirstWeekView> weeks,
            List<FirstCheckView> left,
            int ordered,
            @Absent NewcomersView newcomers) {}

    @GetMapping
    @Operation(
            operationId = "firstWeeks",
            summary = "The first checks and lines of a class laid week by week; a proposal, nothing is ordered")
    FirstWeeksView firstWeeks(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID classId,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(defaultValue = "6") int weeks,
            @RequestParam(required = false) UUID bookId,
            @RequestParam(defaultValue = "3") int linesAWeek) {
        return view(plans.propose(
                person.programId(),
                new FirstWeekPlans.Wish(
                        classId, Optional.ofNullable(from), weeks, Optional.ofNullable(bookId), linesAWeek)));
    }

    /** @param weeks in order, each with the ids of its checks */
    record WeeksAsLeft(
            @NotNull(message = "Choose a class.") UUID classId,

            @NotNull(message = "Say from which day on.") LocalDate from,

            @NotEmpty(message = "Say what stands in which week.")
            @Size(max = FirstWeekPlans.MOST_WEEKS, message = "Look at most at {max} weeks at once.")
            List<@NotNull @Size(max = 200, message = "Look at most at {max} checks in a week.") List<@NotNull UUID>>
                    weeks) {}

    /** @param after title of what it needs, which comes later */
    record TooEarlyView(UUID checkId, String after) {}

    record WeekAsLeftView(int minutesWanted, List<TooEarlyView> tooEarly) {}

    @PostMapping("/look")
    @Operation(
            operationId = "lookAtFirstWeeks",
            summary =
                    "Minutes that weeks want as they were left, and what stands in them too early; nothing is ordered")
    List<WeekAsLeftView> look(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody WeeksAsLeft request) {
        return plans.look(person.programId(), request.classId(), request.from(), request.weeks()).stream()
                .map(week -> new WeekAsLeftView(
                        minutes(week.secondsWanted()),
                        week.tooEarly().entrySet().stream()
                                .map(early -> new TooEarlyView(early.getKey(), early.getValue()))
                                .toList()))
                .toList();
    }

    /** @param starterKey of a check that is not on the shelf yet; else the milestone */
    record FirstOrder(
            @NotNull(message = "An order needs an id.") UUID orderId,

            @Absent @Size(max = Lengths.NAME, message = "There is no such check.")
            String starterKey,

            @Absent UUID milestoneId,

            @NotNull(message = "Say from which day it is set.")
            LocalDate setOn,

            @NotNull(message = "Choose a due day.") LocalDate dueOn) {}

    record FirstOrders(
            @NotNull(message = "Choose a class.") UUID classId,

            @NotEmpty(message = "Nothing is left to order.")
            @Size(max = 200, message = "Order at most {max} things at once.")
            List<@Valid @NotNull FirstOrder> orders) {}

    record OrderedView(int orders) {}

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(
            operationId = "orderFirstWeeks",
            summary = "Order the first weeks of a class as they were left, all or nothing")
    OrderedView order(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody FirstOrders request) {
        return new OrderedView(plans.order(
                person,
                request.classId(),
                request.orders().stream()
                        .map(one -> new FirstWeekPlans.Wanted(
                                one.orderId(),
                                Optional.ofNullable(one.starterKey()),
                                Optional.ofNullable(one.milestoneId()),
                                one.setOn(),
                                one.dueOn()))
                        .toList()));
    }

    record NewcomersRequest(
            @NotNull(message = "Choose a class.") UUID classId) {}

    @PostMapping("/newcomers")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(
            operationId = "orderForNewcomers",
            summary =
                    "Set for who is new what the class was set before they came, from the next Monday on; 0 where it was done")
    OrderedView orderForNewcomers(
            @AuthenticationPrincipal SignedIn person, @Valid @RequestBody NewcomersRequest request) {
        return new OrderedView(plans.orderForNewcomers(person, request.classId()));
    }

    private static FirstWeeksView view(Planned planned) {
        return new FirstWeeksView(
                planned.schoolClass().id(),
                planned.schoolClass().name(),
                planned.weeks().stream()
                        .map(week -> view(week, planned.titles()))
                        .toList(),
                planned.left().stream()
                        .map(check -> view(check, List.of(), null))
                        .toList(),
                planned.ordered(),
                planned.newcomers()
                        .map(n -> new NewcomersView(n.since(), n.names(), n.milestones()))
                        .orElse(null));
    }

    private static FirstWeekView view(PlannedWeek week, Map<UUID, String> titles) {
        return new FirstWeekView(
                week.week().number().orElse(0),
                week.week().monday(),
                week.setOn(),
                week.dueOn(),
                week.minutes(),
                minutes(week.secondsWanted()),
                week.checks().stream().map(check -> view(check, titles)).toList(),
                week.lines().stream().map(FirstWeekController::view).toList());
    }

    private static FirstLineView view(Milestone line) {
        return new FirstLineView(line.id(), line.shortName(), line.title());
    }

    private static FirstCheckView view(PlannedCheck planned, Map<UUID, String> titles) {
        return view(planned.check(), planned.sections(), why(planned.placed().why(), titles));
    }

    private static FirstCheckView view(FirstCheck first, List<InstrumentCode> sections, String why) {
        return new FirstCheckView(
                first.id(),
                first.milestoneId().isPresent() ? null : first.check().key(),
                first.milestoneId().orElse(null),
                first.check().title(),
                first.check().topic(),
                sections,
                why);
    }

    private static String why(Why<UUID> why, Map<UUID, String> titles) {
        return switch (why) {
            case Why.AtOnce<UUID> atOnce -> null;
            case Why.After<UUID> after ->
                "after “" + titles.get(after.needed()) + "”"
                        + (after.overDays() ? ", which wants tries on more than one day" : "");
            case Why.NoRoomBefore<UUID> noRoom -> "the week before had no room left";
        };
    }

    /** By the whole minute, rounded up. */
    private static int minutes(int seconds) {
        return (seconds + 59) / 60;
    }
}
