package vividroster.server.partners;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.roster.PartnerPairs;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.server.checks.Checks;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.partners.PartnerCheck.Measures;
import vividroster.server.partners.PartnerCheck.Pairing;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** Partner checks: who watches whom, for what and in which measures. Findings are attempts of their own evidence. */
@Service
public class PartnerChecks {

    private static final int WATCHED_AT_ONCE = 4;

    /** What can be watched in any line. */
    private static final List<String> LINE_WATCH = List.of(
            "Sits tall, ribs free",
            "Hands and fingers as taught",
            "Foot or nod keeps the pulse",
            "Every note full length");

    private final ClientWrites writes;
    private final PartnerQueries queries;
    private final HearingRuns runs;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final Checks checks;

    PartnerChecks(
            PartnerQueries queries,
            HearingRuns runs,
            Rosters rosters,
            Library library,
            Office office,
            Checks checks,
            ClientWrites writes) {
        this.writes = writes;
        this.checks = checks;
        this.queries = queries;
        this.runs = runs;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
    }

    /** @param watch proposed points, from the check's criteria or what can be watched in any line */
    record Proposal(Milestone milestone, List<Seated> seated, List<PartnerPairs.Group> groups, List<String> watch) {}

    /** @throws Problem when the class has fewer than two students who can take it */
    @Transactional(readOnly = true)
    Proposal propose(UUID programId, UUID milestoneId, SectionScope scope, UUID classId, Pairing pairing) {
        LocalDate today = office.today(programId);
        Milestone milestone = watchable(programId, milestoneId);
        List<Seated> seated = seated(programId, scope, milestone, today);
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        if (seated.size() < 2) {
            throw Problem.input(
                    "scope",
                    seated.isEmpty()
                            ? "Nobody in " + schoolClass.name() + " can take \"" + milestone.title() + "\"."
                            : seated.getFirst().student().name()
                                    + " is alone here; a partner check needs two. Hear them yourself instead.");
        }
        List<List<PartnerPairs.Group>> before = queries.findOfClass(programId, classId).stream()
                .map(PartnerCheck::groups)
                .toList();
        Map<String, List<UUID>> sections = new LinkedHashMap<>();
        seated.forEach(s -> sections.computeIfAbsent(
                        s.seat().instrument() + "/" + s.seat().division(), key -> new ArrayList<>())
                .add(s.student().id()));
        List<PartnerPairs.Group> groups =
                PartnerPairs.acrossSections(List.copyOf(sections.values()), section -> pair(section, pairing, before));
        return new Proposal(milestone, seated, groups, watch(programId, milestone));
    }

    private static List<PartnerPairs.Group> pair(
            List<UUID> section, Pairing pairing, List<List<PartnerPairs.Group>> before) {
        return switch (pairing) {
            case STAND -> PartnerPairs.byStand(section);
            case FAIR -> PartnerPairs.fair(section, before);
            case LISTS -> {
                List<UUID> inside = new ArrayList<>();
                List<UUID> outside = new ArrayList<>();
                section.forEach(id -> (inside.size() == outside.size() ? inside : outside).add(id));
                yield PartnerPairs.byLists(inside, outside, before.size());
            }
        };
    }

    private List<Seated> seated(UUID programId, SectionScope scope, Milestone milestone, LocalDate on) {
        List<Seat> seats = rosters.seatsOfStudentsIn(programId, scope, on);
        Map<UUID, Seated> rows = runs.seated(programId, seats, scope, on).stream()
                .filter(s -> milestone.isFor(s.seat().instrument()))
                .collect(Collectors.toMap(s -> s.student().id(), Function.identity()));
        // As they sit, so that partners at a stand are neighbours.
        return rosters
                .inSeating(programId, rows.values().stream().map(Seated::seat).toList())
                .stream()
                .map(seat -> rows.get(seat.studentId()))
                .toList();
    }

    private Milestone watchable(UUID programId, UUID milestoneId) {
        Milestone milestone = library.milestone(programId, milestoneId);
        if (milestone.kind().isGraded() || milestone.kind() == MilestoneKind.BELT) {
            throw Problem.input(
                    "milestoneId",
                    "\"" + milestone.title()
                            + "\" is not for partners: a test is scored on its rubric, a belt is earned.");
        }
        return milestone;
    }

    /** As the programme's schools word them. */
    private List<String> watch(UUID programId, Milestone milestone) {
        List<String> names = milestone.kind() == MilestoneKind.TECHNIQUE_CHECK
                ? checks.criteria(programId, milestone.id()).orElse(names(milestone))
                : names(milestone);
        List<String> points =
                new ArrayList<>(names.stream().limit(WATCHED_AT_ONCE).toList());
        LINE_WATCH.stream().limit(Math.max(0, 3 - points.size())).forEach(points::add);
        return milestone.criteria().isEmpty() ? LINE_WATCH : points;
    }

    private static List<String> names(Milestone milestone) {
        return milestone.criteria().stream().map(Criterion::name).toList();
    }

    /**
     * Sets up a partner check. Sending it again keeps it once.
     *
     * @throws Problem when points, measures or partners do not fit
     */
    @Transactional
    void make(SignedIn person, PartnerCheck check, SectionScope scope) {
        UUID programId = person.programId();
        if (!writes.isFirst(
                programId,
                "partner check",
                check.id(),
                check.classId(),
                check.milestoneId(),
                check.pairing(),
                check.watch(),
                check.measures(),
                check.groups())) {
            return;
        }
        Milestone milestone = watchable(programId, check.milestoneId());
        List<String> watch = check.watch().stream()
                .map(String::strip)
                .filter(w -> !w.isEmpty())
                .toList();
        if (watch.size() < 3 || watch.size() > WATCHED_AT_ONCE) {
            throw Problem.input("watch", "A partner watches three or four points, not " + watch.size() + ".");
        }
        for (Measures measures : check.measures()) {
            if (measures.first() < 1 || measures.last() < measures.first() || measures.last() > 2000) {
                throw Problem.input(
                        "measures",
                        "Measures go from the first to the last, from 1; " + measures.first() + " to " + measures.last()
                                + " cannot be.");
            }
            int printed = library.lines(programId, List.of(milestone.id())).values().stream()
                    .mapToInt(line -> line.measures())
                    .findFirst()
                    .orElse(Integer.MAX_VALUE);
            if (measures.last() > printed) {
                throw Problem.input(
                        "measures",
                        "\"" + milestone.title() + "\" has " + printed + " measures, not " + measures.last() + ".");
            }
        }
        Set<UUID> here = seated(programId, scope, milestone, check.heldOn()).stream()
                .map(s -> s.student().id())
                .collect(Collectors.toSet());
        Set<UUID> paired = new HashSet<>();
        for (PartnerPairs.Group group : check.groups()) {
            for (UUID member : group.members()) {
                if (!here.contains(member)) {
                    throw Problem.input("groups", "One of the partners does not sit in this section.");
                }
                if (!paired.add(member)) {
                    throw Problem.input("groups", "A student has two partners; each stands in one group.");
                }
            }
        }
        if (paired.isEmpty()) {
            throw Problem.input("groups", "Nobody is paired yet.");
        }
        queries.insert(
                programId,
                new PartnerCheck(
                        check.id(),
                        check.classId(),
                        check.milestoneId(),
                        check.heldOn(),
                        check.pairing(),
                        watch,
                        check.measures(),
                        check.groups()),
                person.accountId());
    }

    /** Puts down a partner check as it is; for data that was checked where it was made. */
    @Transactional
    public void load(
            UUID programId,
            UUID accountId,
            UUID classId,
            UUID milestoneId,
            LocalDate heldOn,
            List<String> watch,
            List<PartnerPairs.Group> groups) {
        queries.insert(
                programId,
                new PartnerCheck(Ids.next(), classId, milestoneId, heldOn, Pairing.FAIR, watch, List.of(), groups),
                accountId);
    }

    @Transactional(readOnly = true)
    PartnerCheck partnerCheck(UUID programId, UUID id) {
        return queries.find(programId, id).orElseThrow(() -> Problem.notFound("There is no such partner check."));
    }

    /** Oldest first. */
    @Transactional(readOnly = true)
    List<PartnerCheck> ofClass(UUID programId, UUID classId) {
        return queries.findOfClass(
                programId, rosters.schoolClass(programId, classId).id());
    }
}
