package vividroster.server.belts;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.LadderDraft;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderFault;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PageLadder;
import vividroster.core.curriculum.PassRule;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.PlanItem;
import vividroster.core.progress.LadderPreview;
import vividroster.core.progress.LadderPreview.Cost;
import vividroster.core.roster.Seat;
import vividroster.server.checks.Checks;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.KeptLadder;
import vividroster.server.library.Ladders;
import vividroster.server.library.Library;
import vividroster.server.library.TestFacts;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;

/** Writing, drawing and looking ahead at ladders. */
@Service
class LadderEditing {

    private final Ladders ladders;
    private final Library library;
    private final Checks checks;
    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final Locks locks;

    LadderEditing(
            Ladders ladders,
            Library library,
            Checks checks,
            Rosters rosters,
            Progress progress,
            HearingRuns runs,
            Office office,
            InstrumentCatalog catalog,
            Locks locks) {
        this.ladders = ladders;
        this.library = library;
        this.checks = checks;
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.office = office;
        this.catalog = catalog;
        this.locks = locks;
    }

    @Transactional(readOnly = true)
    List<KeptLadder> all(UUID programId) {
        return ladders.all(programId);
    }

    @Transactional(readOnly = true)
    LadderForm form(UUID programId, UUID ladderId) {
        return LadderForm.of(ladders.draft(programId, ladderId));
    }

    /** @return the new ladder @throws Problem where it cannot be kept */
    @Transactional
    UUID write(UUID programId, LadderForm form) {
        locks.hold(programId, "ladders");
        return ladders.write(programId, checked(programId, form, Set.of()));
    }

    /** @throws Problem where it cannot be kept, or was edited since that version */
    @Transactional
    void edit(UUID programId, UUID ladderId, int version, LadderForm form) {
        locks.hold(programId, "ladders");
        Set<UUID> own = ladders.ladder(programId, ladderId).ladder().everBelts().stream()
                .map(Belt::id)
                .collect(Collectors.toSet());
        ladders.revise(programId, ladderId, version, checked(programId, form, own), office.today(programId));
    }

    @Transactional
    void retire(UUID programId, UUID ladderId) {
        locks.hold(programId, "ladders");
        ladders.retire(programId, ladderId, office.today(programId));
    }

    /** Looked through whole before anything is made of it. */
    private LadderDraft checked(UUID programId, LadderForm form, Set<UUID> own) {
        if (form.name().isBlank()) {
            throw Problem.input("name", "Give the ladder a name.");
        }
        Trial trial = trial(programId, form);
        trial.faults().stream().findFirst().ifPresent(fault -> {
            LadderWording.Sentence first = LadderWording.of(fault, trial.draft(), catalog);
            throw Problem.input(first.field(), first.sentence());
        });
        for (int i = 0; i < form.belts().size(); i++) {
            UUID id = form.belts().get(i).id();
            if (id != null && !own.contains(id)) {
                throw Problem.input("belts[" + i + "].id", "That belt is of another ladder.");
            }
        }
        return form.toDraft(catalog, belt -> ladders.addFreeChoice(programId, "Free choice for " + belt));
    }

    /** @param made milestones of free choices that would be made */
    private record Trial(LadderDraft draft, List<LadderFault> faults, Map<UUID, Milestone> milestones) {}

    private Trial trial(UUID programId, LadderForm form) {
        Map<UUID, Milestone> free = new HashMap<>();
        LadderDraft draft = form.toDraft(catalog, belt -> {
            UUID id = Ids.next();
            free.put(
                    id,
                    new Milestone(
                            id,
                            MilestoneKind.FREE_CHOICE,
                            "Free choice",
                            "Free choice for " + belt,
                            false,
                            Set.of(),
                            1,
                            new PassRule.OneGoodTry(),
                            List.of()));
            return id;
        });
        Set<UUID> named = draft.belts().stream()
                .flatMap(belt -> belt.slots().stream())
                .flatMap(slot -> slot.fillings().stream())
                .map(filling -> filling.milestoneId())
                .collect(Collectors.toSet());
        Map<UUID, Set<UUID>> needs = new HashMap<>();
        checks.firstChecks(
                        programId,
                        catalog.inScoreOrder().stream().map(Instrument::code).toList())
                .forEach(check -> check.after().ifPresent(after -> needs.put(check.id(), new HashSet<>(after))));
        Set<UUID> asked = new HashSet<>(named);
        needs.values().forEach(asked::addAll);
        Map<UUID, Milestone> milestones = new LinkedHashMap<>(free);
        library.milestones(programId, asked).forEach(m -> milestones.put(m.id(), m));
        Map<UUID, Set<UUID>> beltsAskFor = new HashMap<>();
        draft.belts()
                .forEach(belt -> belt.id()
                        .ifPresent(id -> beltsAskFor.put(
                                id,
                                belt.slots().stream()
                                        .flatMap(slot -> slot.fillings().stream())
                                        .map(filling -> filling.milestoneId())
                                        .filter(one -> Optional.ofNullable(milestones.get(one))
                                                .filter(m -> m.kind() == MilestoneKind.BELT)
                                                .isPresent())
                                        .collect(Collectors.toSet()))));
        return new Trial(
                draft,
                LadderFault.of(
                        draft,
                        new LadderFault.Shelf(milestones, library.retired(programId), beltsAskFor, needs),
                        catalog),
                milestones);
    }

    /**
     * What a ladder would ask and who would stand where; nothing is kept.
     *
     * @param preview empty while something is wrong with it
     * @param milestones what fills it, by id
     */
    record Looked(
            LadderDraft draft,
            List<LadderWording.Sentence> faults,
            Optional<LadderPreview> preview,
            Map<UUID, Milestone> milestones,
            Map<UUID, String> names,
            Map<UUID, BeltLook> looks) {

        /** By name. */
        List<String> named(Collection<UUID> students) {
            return students.stream().map(names::get).sorted().toList();
        }
    }

    /** @param ladderId that is edited; empty for a new one */
    @Transactional(readOnly = true)
    Looked look(UUID programId, Optional<UUID> ladderId, LadderForm form) {
        Trial trial = trial(programId, form);
        List<LadderWording.Sentence> faults = LadderWording.of(trial.faults(), trial.draft(), catalog);
        if (!faults.isEmpty()) {
            return new Looked(trial.draft(), faults, Optional.empty(), trial.milestones(), Map.of(), Map.of());
        }
        LocalDate today = office.today(programId);
        Ladder ladder = asEdited(programId, ladderId, trial, today);
        List<Seat> seats = rosters.seatsOn(programId, today).stream()
                .filter(seat -> trial.draft().instruments().isEmpty()
                        || trial.draft().instruments().contains(seat.instrument()))
                .toList();
        Sheet sheet = progress.sheet(
                programId,
                Question.of(seats, today)
                        .withBelts()
                        .also(trial.milestones().keySet().stream()
                                .filter(id -> !trial.milestones().get(id).kind().equals(MilestoneKind.FREE_CHOICE))
                                .toList()));
        List<InstrumentCode> instruments = catalog.inScoreOrder().stream()
                .map(Instrument::code)
                .filter(code ->
                        seats.stream().anyMatch(seat -> seat.instrument().equals(code))
                                || trial.draft().instruments().contains(code))
                .toList();
        List<LadderPreview.Student> students = seats.stream()
                .map(seat -> new Player(seat.studentId(), seat.instrument()))
                .distinct()
                .map(player -> new LadderPreview.Student(
                        player.studentId(),
                        player.instrument(),
                        sheet.standings().getOrDefault(player, Map.of())))
                .toList();
        Map<UUID, BeltLook> looks = new HashMap<>();
        ladder.belts()
                .forEach(belt -> looks.put(
                        belt.id(), trial.draft().belts().get(belt.rank() - 1).look()));
        ladderId.ifPresent(id -> ladders.ladder(programId, id).looks().forEach(looks::putIfAbsent));
        Map<UUID, String> names = new HashMap<>();
        rosters.students(
                        programId,
                        students.stream().map(LadderPreview.Student::id).collect(Collectors.toSet()))
                .forEach((id, student) -> names.put(id, student.name()));
        return new Looked(
                trial.draft(),
                faults,
                Optional.of(LadderPreview.of(ladder, instruments, students, costs(programId, trial.milestones()))),
                trial.milestones(),
                names,
                looks);
    }

    private Ladder asEdited(UUID programId, Optional<UUID> ladderId, Trial trial, LocalDate today) {
        Map<UUID, Set<InstrumentCode>> onlyFor =
                trial.milestones().values().stream().collect(Collectors.toMap(Milestone::id, Milestone::appliesTo));
        List<BeltDraft> belts = trial.draft().belts();
        List<Belt> now = IntStream.range(0, belts.size())
                .mapToObj(i -> trial.draft().belt(i, belts.get(i).id().orElseGet(Ids::next), onlyFor, catalog))
                .toList();
        List<Ladder.Earlier> earlier = new ArrayList<>();
        ladderId.map(id -> ladders.ladder(programId, id)).ifPresent(before -> {
            earlier.addAll(before.ladder().earlier());
            earlier.add(new Ladder.Earlier(today, before.ladder().belts()));
        });
        return new Ladder(trial.draft().name(), now, earlier);
    }

    private Map<UUID, Cost> costs(UUID programId, Map<UUID, Milestone> milestones) {
        List<Milestone> asked = milestones.values().stream()
                .filter(m -> m.kind() != MilestoneKind.BELT)
                .toList();
        Map<UUID, Cost> costs = new HashMap<>();
        runs.perStudent(programId, asked)
                .forEach((id, each) -> costs.put(
                        id,
                        new Cost(
                                PlanItem.Kind.valueOf(milestones.get(id).kind().name()).usualMinutes,
                                each.toSeconds())));
        return costs;
    }

    /** What is used for belts that are drawn by the tool: names of things on a coast, each with its own weave and knots. */
    private static final Map<String, BeltLook> LOOKS = looks();

    private static Map<String, BeltLook> looks() {
        Map<String, BeltLook> looks = new LinkedHashMap<>();
        looks.put("Driftwood", new BeltLook("#B79B78", "diagonal", 1));
        looks.put("Shell", new BeltLook("#E3AE98", "scallop", 2));
        looks.put("Kelp", new BeltLook("#5F7F3B", "wave", 3));
        looks.put("Lantern", new BeltLook("#E5A11B", "diamond", 4));
        looks.put("Harbour", new BeltLook("#2F7F93", "check", 5));
        looks.put("Beacon", new BeltLook("#C2417C", "chevron", 6));
        looks.put("Polestar", new BeltLook("#2B2A55", "cross", 7));
        return looks;
    }

    /** @param instruments whom it is drawn for; none for those on the roster @throws Problem where there are no lines or students */
    @Transactional(readOnly = true)
    LadderForm drawn(
            UUID programId, String name, UUID bookId, int pagesPerBelt, Collection<InstrumentCode> instruments) {
        Set<InstrumentCode> whom = instruments.isEmpty()
                ? rosters.seatsOn(programId, office.today(programId)).stream()
                        .map(Seat::instrument)
                        .collect(Collectors.toSet())
                : Set.copyOf(instruments);
        if (whom.isEmpty()) {
            throw Problem.input("instruments", "Nobody is on the roster yet; say for which instruments it is drawn.");
        }
        library.book(programId, bookId);
        List<PageLadder.BookLine> lines = library.linesOf(programId, bookId).stream()
                .map(line -> new PageLadder.BookLine(line.milestoneId(), line.page(), line.number()))
                .toList();
        if (lines.isEmpty()) {
            throw Problem.input("bookId", "There is no line in this book yet.");
        }
        List<PageLadder.WeekCheck> ofWeeks = checks.firstChecks(programId, whom).stream()
                .filter(check ->
                        check.milestoneId().isPresent() && check.check().topic().isHabit())
                .map(check -> new PageLadder.WeekCheck(
                        check.id(), check.check().topic(), check.check().instruments()))
                .toList();
        List<UUID> tests = library.allMilestones(programId).stream()
                .filter(m -> m.kind() == MilestoneKind.PLAYING_TEST)
                .map(Milestone::id)
                .toList();
        Map<UUID, TestFacts> facts = library.tests(programId, tests);
        return LadderForm.of(PageLadder.of(
                name.strip(),
                lines,
                pagesPerBelt,
                ofWeeks,
                tests.stream()
                        .flatMap(id -> Optional.ofNullable(facts.get(id)).flatMap(TestFacts::lineId).stream()
                                .map(line -> new PageLadder.LineTest(id, line)))
                        .toList(),
                catalog.inScoreOrder().stream()
                        .map(Instrument::code)
                        .filter(whom::contains)
                        .toList(),
                LOOKS));
    }
}
