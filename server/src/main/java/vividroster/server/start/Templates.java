package vividroster.server.start;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.LadderTemplate;
import vividroster.core.curriculum.LadderTemplate.Available;
import vividroster.core.curriculum.LadderTemplate.Plan;
import vividroster.core.curriculum.LadderTemplate.SlotPlan;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.TestTemplate;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Checks.FirstCheck;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.TestFacts;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** A first belt ladder and a first playing test, ready to be used and edited. */
@Service
class Templates {

    private static final String LADDER = "first";

    private record Look(String name, BeltLook look) {}

    private static final List<Look> LOOKS = List.of(
            new Look("Driftwood", new BeltLook("#B79B78", "diagonal", 1)),
            new Look("Shell", new BeltLook("#E3AE98", "scallop", 2)),
            new Look("Kelp", new BeltLook("#4E7F52", "herringbone", 3)));

    private final Checks checks;
    private final Library library;
    private final Rosters rosters;
    private final Office office;
    private final Locks locks;

    Templates(Checks checks, Library library, Rosters rosters, Office office, Locks locks) {
        this.checks = checks;
        this.library = library;
        this.rosters = rosters;
        this.office = office;
        this.locks = locks;
    }

    /**
     * @param bookId whose lines are in it
     * @return how many belts were made
     * @throws Problem where nobody is on the roster, or the ladder is there already
     */
    @Transactional
    int ladder(SignedIn person, Optional<UUID> bookId) {
        UUID programId = person.programId();
        locks.hold(programId, "first ladder");
        if (library.allBelts(programId).stream().anyMatch(belt -> belt.ladder().equals(LADDER))) {
            throw Problem.conflict("The first ladder is on the shelf already.");
        }
        Set<InstrumentCode> instruments = rosters.seatsOn(programId, office.firstDayOf(programId)).stream()
                .map(Seat::instrument)
                .collect(Collectors.toSet());
        if (instruments.isEmpty()) {
            throw Problem.input(
                    "bookId", "Nobody is on the roster yet; a ladder is drawn for the instruments you have.");
        }
        List<FirstCheck> available = checks.firstChecks(programId, instruments);
        Plan<UUID> plan = LadderTemplate.of(
                available.stream()
                        .map(c -> new Available<>(
                                c.id(), c.check().topic(), c.check().instruments()))
                        .toList(),
                bookId.map(book -> lines(programId, book)).orElse(List.of()),
                instruments);
        Map<UUID, UUID> milestones = onShelf(person, plan, available);
        int rank = 0;
        for (List<SlotPlan<UUID>> slots : plan.belts()) {
            Look look = LOOKS.get(rank);
            put(programId, ++rank, look, slots, milestones);
        }
        return rank;
    }

    private List<UUID> lines(UUID programId, UUID bookId) {
        library.book(programId, bookId);
        return library.linesOf(programId, bookId).stream()
                .sorted(Comparator.comparingInt(LineFacts::number))
                .map(LineFacts::milestoneId)
                .toList();
    }

    /** Takes the checks that are used and not on the shelf yet. @return milestones by what the plan calls them */
    private Map<UUID, UUID> onShelf(SignedIn person, Plan<UUID> plan, List<FirstCheck> available) {
        Set<UUID> used = plan.belts().stream()
                .flatMap(List::stream)
                .flatMap(slot -> slot.fillings().values().stream())
                .collect(Collectors.toSet());
        Map<UUID, UUID> milestones = new HashMap<>();
        available.stream()
                .filter(check -> used.contains(check.id()))
                .forEach(check -> milestones.put(
                        check.id(),
                        check.milestoneId()
                                .orElseGet(() -> checks.take(
                                        person.programId(),
                                        person.accountId(),
                                        check.check().key()))));
        return milestones;
    }

    private void put(UUID programId, int rank, Look look, List<SlotPlan<UUID>> slots, Map<UUID, UUID> milestones) {
        Milestone milestone = new Milestone(
                Ids.next(),
                MilestoneKind.BELT,
                look.name(),
                look.name(),
                false,
                Set.of(),
                1,
                new PassRule.AllSlots(),
                List.of());
        List<BeltSlot> filled = new ArrayList<>();
        for (SlotPlan<UUID> slot : slots) {
            Map<InstrumentCode, UUID> fillings = new HashMap<>();
            slot.fillings().forEach((instrument, id) -> fillings.put(instrument, milestones.getOrDefault(id, id)));
            filled.add(new BeltSlot(filled.size() + 1, slot.name(), fillings));
        }
        library.addBelt(
                programId,
                milestone,
                new Belt(milestone.id(), LADDER, rank, look.name(), filled),
                look.look(),
                library.lastShelfOrder(programId) + 1);
    }

    /** @return the test's milestone */
    @Transactional
    UUID test(SignedIn person, UUID lineId) {
        UUID programId = person.programId();
        locks.hold(programId, "tests");
        LineFacts line = library.line(programId, lineId);
        Milestone played = library.milestone(programId, lineId);
        long before = library.allMilestones(programId).stream()
                .filter(m -> m.kind() == MilestoneKind.PLAYING_TEST)
                .count();
        Milestone test = TestTemplate.of(Ids.next(), played, (int) before);
        library.addTest(
                programId,
                test,
                new TestFacts(test.id(), Optional.of(line.milestoneId()), TestTemplate.conditions(line.tempo())),
                library.lastShelfOrder(programId) + 1);
        return test.id();
    }
}
