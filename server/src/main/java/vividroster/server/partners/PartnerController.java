package vividroster.server.partners;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.roster.PartnerPairs;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.text.Lengths;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.partners.PartnerCheck.Measures;
import vividroster.server.partners.PartnerCheck.Pairing;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api/partner-checks")
class PartnerController {

    private final PartnerChecks partners;
    private final Hearing hearing;
    private final Orders orders;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;

    PartnerController(
            PartnerChecks partners,
            Hearing hearing,
            Orders orders,
            Rosters rosters,
            Library library,
            Office office,
            InstrumentCatalog catalog) {
        this.partners = partners;
        this.hearing = hearing;
        this.orders = orders;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    record PartnerView(
            UUID studentId, String name, InstrumentCode instrument, String instrumentName, String division) {}

    record PartnerGroupView(List<PartnerView> members) {}

    /** A section, or division, that can be given measures of its own. */
    record WatchPartView(InstrumentCode instrument, String instrumentName, String division) {}

    /** @param earlier partner checks of this class so far */
    record ProposalView(
            String milestoneTitle,
            @Absent Integer measures,
            List<PartnerGroupView> groups,
            List<String> watch,
            List<WatchPartView> parts,
            int earlier) {}

    record MeasuresRequest(
            @NotNull InstrumentCode instrument, @NotNull String division, int first, int last) {}

    record NewPartnerCheck(
            @NotNull(message = "A partner check needs an id.")
            UUID id,

            @NotNull(message = "Choose what is watched.") UUID milestoneId,
            @NotNull(message = "Choose a class.") @Valid ScopeRequest scope,

            @NotNull(message = "Say how partners are found.")
            Pairing pairing,

            @NotNull @Size(max = 8)
            List<@NotNull @Size(max = Lengths.NAME, message = "A point has at most {max} letters.") String> watch,

            @NotNull @Size(max = 40) List<@Valid @NotNull MeasuresRequest> measures,

            @NotEmpty(message = "Nobody is paired yet.") @Size(max = 200)
            List<@NotNull List<@NotNull UUID>> groups) {}

    /** @param found what the partner found; absent while nothing is noted */
    record TurnView(
            PartnerView plays,
            List<PartnerView> watch,
            @Absent Outcome found,
            @Absent String note) {}

    record WatchedView(List<TurnView> turns) {}

    record MeasuresView(String instrumentName, String division, int first, int last) {}

    /** @param passes whether an order lets a partner's finding make the pass */
    record PartnerCheckView(
            UUID id,
            UUID classId,
            String className,
            UUID milestoneId,
            int milestoneVersion,
            String milestoneTitle,
            LocalDate heldOn,
            Pairing pairing,
            List<String> watch,
            List<MeasuresView> measures,
            List<WatchedView> groups,
            boolean passes) {}

    record EarlierView(UUID id, String milestoneTitle, LocalDate heldOn, int students) {}

    @GetMapping("/proposal")
    @Operation(operationId = "proposePartners", summary = "Who could watch whom, and three or four points to watch")
    ProposalView propose(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID milestoneId,
            @RequestParam Pairing pairing,
            @ParameterObject ScopeRequest request) {
        UUID programId = person.programId();
        UUID classId = inAClass(request);
        PartnerChecks.Proposal proposal = partners.propose(programId, milestoneId, request.toScope(), classId, pairing);
        Map<UUID, PartnerView> known = new LinkedHashMap<>();
        List<WatchPartView> parts = new ArrayList<>();
        proposal.seated().forEach(s -> {
            PartnerView view = view(s.student().name(), s.seat());
            known.put(s.student().id(), view);
            WatchPartView part = new WatchPartView(view.instrument(), view.instrumentName(), view.division());
            if (!parts.contains(part)) {
                parts.add(part);
            }
        });
        return new ProposalView(
                proposal.milestone().title(),
                library.lines(programId, List.of(milestoneId)).values().stream()
                        .map(line -> (Integer) line.measures())
                        .findFirst()
                        .orElse(null),
                proposal.groups().stream()
                        .map(g -> new PartnerGroupView(
                                g.members().stream().map(known::get).toList()))
                        .toList(),
                proposal.watch(),
                parts,
                partners.ofClass(programId, classId).size());
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "makePartnerCheck", summary = "Set up a partner check; sending it twice keeps it once")
    void make(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody NewPartnerCheck request) {
        List<PartnerPairs.Group> groups = request.groups().stream()
                .map(members -> {
                    if (members.size() < 2 || members.size() > 3) {
                        throw Problem.input("groups", "Partners are two, or three where the number is odd.");
                    }
                    return new PartnerPairs.Group(members);
                })
                .toList();
        partners.make(
                person,
                new PartnerCheck(
                        request.id(),
                        inAClass(request.scope()),
                        request.milestoneId(),
                        office.today(person.programId()),
                        request.pairing(),
                        request.watch(),
                        request.measures().stream()
                                .map(m -> new Measures(m.instrument(), m.division(), m.first(), m.last()))
                                .toList(),
                        groups),
                request.scope().toScope());
    }

    @GetMapping
    @Operation(operationId = "partnerChecks", summary = "Partner checks of a class, latest first")
    List<EarlierView> ofClass(@AuthenticationPrincipal SignedIn person, @RequestParam UUID classId) {
        return partners.ofClass(person.programId(), classId).reversed().stream()
                .map(check -> new EarlierView(
                        check.id(),
                        library.milestone(person.programId(), check.milestoneId())
                                .title(),
                        check.heldOn(),
                        check.groups().stream()
                                .mapToInt(g -> g.members().size())
                                .sum()))
                .toList();
    }

    @GetMapping("/{partnerCheckId}")
    @Operation(operationId = "partnerCheck", summary = "A partner check with everybody's turn and what partners found")
    PartnerCheckView one(@AuthenticationPrincipal SignedIn person, @PathVariable UUID partnerCheckId) {
        UUID programId = person.programId();
        PartnerCheck check = partners.partnerCheck(programId, partnerCheckId);
        Milestone milestone = library.milestone(programId, check.milestoneId());
        Map<UUID, Seat> seats = new LinkedHashMap<>();
        rosters.seatsOfStudentsIn(programId, new SectionScope.Tutti(check.classId()), check.heldOn()).stream()
                .filter(seat -> seat.classId().equals(check.classId()))
                .forEach(seat -> seats.put(seat.studentId(), seat));
        Map<UUID, PartnerView> known = new LinkedHashMap<>();
        rosters.students(programId, seats.keySet())
                .forEach((id, student) -> known.put(id, view(student.name(), seats.get(id))));
        Map<UUID, HeardAttempt> findings = found(programId, check, known.keySet());
        return new PartnerCheckView(
                check.id(),
                check.classId(),
                rosters.schoolClass(programId, check.classId()).name(),
                milestone.id(),
                milestone.version(),
                milestone.title(),
                check.heldOn(),
                check.pairing(),
                check.watch(),
                check.measures().stream()
                        .map(m -> new MeasuresView(
                                catalog.withCode(m.instrument()).name(), m.division(), m.first(), m.last()))
                        .toList(),
                check.groups().stream()
                        .map(group -> new WatchedView(PartnerPairs.turns(group).stream()
                                .map(turn -> turn(turn, findings, known))
                                .toList()))
                        .toList(),
                orders.of(programId, List.of(milestone.id()), check.heldOn()).stream()
                        .filter(order -> seats.values().stream().anyMatch(seat -> order.reaches(seat, catalog)))
                        .anyMatch(order -> order.evidence().contains(Evidence.PARTNER_CHECK)));
    }

    /** What partners found in this class on the day, the last word of each player. */
    private Map<UUID, HeardAttempt> found(UUID programId, PartnerCheck check, Set<UUID> players) {
        Map<UUID, HeardAttempt> found = new LinkedHashMap<>();
        hearing.standing(programId, players, check.milestoneId()).stream()
                .filter(h -> h.attempt().evidence() == Evidence.PARTNER_CHECK
                        && h.attempt().classId().equals(check.classId())
                        && h.attempt().heardOn().equals(check.heldOn()))
                .forEach(h -> found.put(h.attempt().studentId(), h));
        return found;
    }

    private static TurnView turn(
            PartnerPairs.Turn turn, Map<UUID, HeardAttempt> findings, Map<UUID, PartnerView> known) {
        Optional<HeardAttempt> found = Optional.ofNullable(findings.get(turn.plays()));
        return new TurnView(
                known.get(turn.plays()),
                turn.watch().stream().map(known::get).toList(),
                found.map(h -> h.attempt().outcome()).orElse(null),
                found.map(heard -> heard.beside().note()).orElse(null));
    }

    private PartnerView view(String name, Seat seat) {
        return new PartnerView(
                seat.studentId(),
                name,
                seat.instrument(),
                catalog.withCode(seat.instrument()).name(),
                seat.division());
    }

    private static UUID inAClass(ScopeRequest request) {
        if (request.classId() == null) {
            throw Problem.input("classId", "Partners sit in one class; choose a class.");
        }
        return request.classId();
    }
}
