package vividroster.server.orders;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.instrument.Family;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Carried;
import vividroster.core.season.ClassTimes;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.core.text.Lengths;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api")
class OrderController {

    private final Orders orders;
    private final Office office;
    private final Rosters rosters;

    OrderController(Orders orders, Office office, Rosters rosters) {
        this.orders = orders;
        this.office = office;
        this.rosters = rosters;
    }

    /** @param number teaching week; absent in a break */
    record WeekView(@Absent Integer number, LocalDate monday, LocalDate friday, int schoolDays) {}

    record EntryView(SchoolYear.EntryKind kind, String name, LocalDate first, LocalDate last) {}

    record YearView(LocalDate first, LocalDate last, LocalDate today, List<WeekView> weeks, List<EntryView> entries) {}

    record OrderView(
            UUID id,
            UUID milestoneId,
            LocalDate setOn,
            LocalDate dueOn,
            boolean substituteAccepted,
            boolean partnerCheckPasses,
            List<ScopeRequest> scopes,
            List<CarryRequest> carries) {}

    /** @param orderId made by the client, so that sending twice orders once */
    record WantedMilestone(
            @NotNull(message = "An order needs an id.") UUID orderId,
            @NotNull(message = "Choose a milestone.") UUID milestoneId) {}

    record NewOrders(
            @NotEmpty(message = "Choose at least one milestone.")
            @Size(max = 40, message = "Order at most 40 milestones at once.")
            List<@Valid WantedMilestone> milestones,

            @NotEmpty(message = "Choose at least one section.") @Size(max = 60, message = "Choose at most 60 sections.")
            List<@Valid ScopeRequest> scopes,

            @NotNull(message = "Say from which day it is set.")
            LocalDate setOn,

            @NotNull(message = "Choose a due day.") LocalDate dueOn,
            boolean substituteAccepted,
            boolean partnerCheckPasses,

            @Absent @Size(max = 40, message = "At most 40 sections carry something of their own.")
            List<@Valid @NotNull CarryRequest> carries) {}

    /**
     * What the check carries for a family, a section or a division of one, or for everybody when none is named.
     *
     * @param place the string, position or register
     * @param pattern the finger pattern
     */
    record CarryRequest(
            @Absent Family family,
            @Absent InstrumentCode instrument,
            @Absent String division,
            @Absent UUID lineId,

            @Absent @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String place,

            @Absent @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String pattern,

            @Absent @Size(max = Lengths.LINE, message = "At most {max} letters.")
            String drill) {

        static CarryRequest of(Carried carried) {
            Carried.OfSection section = carried.whom() instanceof Carried.OfSection of ? of : null;
            return new CarryRequest(
                    carried.whom() instanceof Carried.OfFamily of ? of.family() : null,
                    section == null ? null : section.instrument(),
                    section == null ? null : section.division().orElse(null),
                    carried.lineId().orElse(null),
                    carried.place(),
                    carried.pattern(),
                    carried.drill());
        }

        private static String words(String text) {
            return text == null ? "" : text.strip();
        }

        Carried toCarried() {
            Carried.Whom whom = instrument != null
                    ? new Carried.OfSection(
                            instrument, Optional.ofNullable(division).filter(d -> !d.isBlank()))
                    : family != null ? new Carried.OfFamily(family) : new Carried.Everybody();
            try {
                return new Carried(whom, Optional.ofNullable(lineId), words(place), words(pattern), words(drill));
            } catch (IllegalArgumentException e) {
                throw Problem.input("carries", "Say what the section carries: a line, a place, a pattern or a drill.");
            }
        }
    }

    @GetMapping("/year")
    @Operation(operationId = "year", summary = "The school year by weeks, with breaks and flags")
    YearView year(@AuthenticationPrincipal SignedIn person) {
        SchoolYear year = office.year(person.programId());
        return new YearView(
                year.first(),
                year.last(),
                office.today(person.programId()),
                year.weeks().stream()
                        .map(w -> new WeekView(
                                w.number().orElse(null),
                                w.monday(),
                                w.friday(),
                                w.schoolDays().size()))
                        .toList(),
                year.entries().stream()
                        .map(e -> new EntryView(e.kind(), e.name(), e.first(), e.last()))
                        .toList());
    }

    record DueDay(LocalDate dueOn) {}

    @GetMapping("/season/due-day")
    @Operation(
            operationId = "dueDay",
            summary = "The last meeting of a class in the week of a day: the default due day")
    DueDay dueDay(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam(required = false) UUID classId,
            @RequestParam LocalDate on) {
        SchoolYear year = office.year(person.programId(), on);
        ClassTimes times = Optional.ofNullable(classId)
                .map(id -> rosters.schoolClass(person.programId(), id).times())
                .orElse(ClassTimes.EVERY_DAY);
        return new DueDay(times.dueDay(year, on));
    }

    @GetMapping("/season/orders")
    @Operation(operationId = "orders", summary = "Orders of a class, or of every class, by due day")
    List<OrderView> orders(@AuthenticationPrincipal SignedIn person, @RequestParam(required = false) UUID classId) {
        List<UUID> classIds = classId == null
                ? rosters.classes(person.programId()).stream().map(c -> c.id()).toList()
                : List.of(rosters.schoolClass(person.programId(), classId).id());
        return MilestoneOrder.byDueDay(orders.reaching(person.programId(), classIds, office.today(person.programId())))
                .stream()
                .map(OrderController::view)
                .toList();
    }

    @PostMapping("/season/orders")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "order", summary = "Set milestones for whole sections, all of them or none")
    List<OrderView> order(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody NewOrders request) {
        if (request.dueOn().isBefore(request.setOn())) {
            throw Problem.input("dueOn", "The due day comes before the day it is set.");
        }
        Set<Evidence> evidence = Evidence.countingByDefault();
        if (request.substituteAccepted()) {
            evidence.add(Evidence.SUBSTITUTE);
        }
        if (request.partnerCheckPasses()) {
            evidence.add(Evidence.PARTNER_CHECK);
        }
        List<SectionScope> scopes = request.scopes().stream()
                .map(scope -> scope.toScope())
                .distinct()
                .toList();
        List<Carried> carried = request.carries() == null
                ? List.of()
                : request.carries().stream().map(c -> c.toCarried()).toList();
        if (!carried.isEmpty() && request.milestones().size() > 1) {
            throw Problem.input("carries", "Order one check at a time when sections carry something of their own.");
        }
        if (carried.stream().map(Carried::whom).distinct().count() < carried.size()) {
            throw Problem.input("carries", "A section is named twice; it carries one thing.");
        }
        List<MilestoneOrder> wanted = request.milestones().stream()
                .map(m -> new MilestoneOrder(
                        m.orderId(), m.milestoneId(), request.setOn(), request.dueOn(), evidence, scopes, carried))
                .toList();
        orders.set(person.programId(), person.accountId(), wanted);
        return wanted.stream().map(OrderController::view).toList();
    }

    @DeleteMapping("/season/orders/{orderId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "withdrawOrder", summary = "Withdraw an order; what was heard for it stays")
    void withdraw(@AuthenticationPrincipal SignedIn person, @PathVariable UUID orderId) {
        orders.withdraw(person.programId(), person.accountId(), orderId);
    }

    private static OrderView view(MilestoneOrder order) {
        return new OrderView(
                order.id(),
                order.milestoneId(),
                order.setOn(),
                order.dueOn(),
                order.evidence().contains(Evidence.SUBSTITUTE),
                order.evidence().contains(Evidence.PARTNER_CHECK),
                order.scopes().stream().map(ScopeRequest::of).toList(),
                order.carried().stream().map(CarryRequest::of).toList());
    }
}
