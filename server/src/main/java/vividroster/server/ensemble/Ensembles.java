package vividroster.server.ensemble;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.ensemble.Balance;
import vividroster.core.ensemble.Gate;
import vividroster.core.ensemble.PartProposal;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.server.ensemble.EnsembleQueries.Kept;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.lines.PartsAsked;
import vividroster.server.lines.PartsAsked.Asked;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Classes;
import vividroster.server.roster.Rosters;

/** Who is ready for an ensemble, whether its sections balance, and who could play which part. */
@Service
class Ensembles {

    private final EnsembleQueries queries;
    private final Rosters rosters;
    private final Classes classes;
    private final Progress progress;
    private final HearingRuns runs;
    private final Library library;
    private final PartsAsked parts;
    private final Office office;
    private final InstrumentCatalog catalog;

    Ensembles(
            EnsembleQueries queries,
            Rosters rosters,
            Classes classes,
            Progress progress,
            HearingRuns runs,
            Library library,
            PartsAsked parts,
            Office office,
            InstrumentCatalog catalog) {
        this.queries = queries;
        this.rosters = rosters;
        this.classes = classes;
        this.progress = progress;
        this.runs = runs;
        this.library = library;
        this.parts = parts;
        this.office = office;
        this.catalog = catalog;
    }

    private static final Kept LAST_BELT = new Kept(GateKind.LAST_BELT, 0, List.of());

    /** @throws Problem where the belt has no place or the list is empty or not of the library */
    @Transactional
    void keep(UUID programId, UUID classId, GateKind kind, int rank, List<UUID> milestoneIds) {
        rosters.schoolClass(programId, classId);
        if (kind == GateKind.BELT_OF_RANK && rank < 1) {
            throw Problem.input("rank", "Say which belt admits, counted from the lowest.");
        }
        Set<UUID> asked = new LinkedHashSet<>(milestoneIds);
        if (kind == GateKind.OWN_LIST) {
            if (asked.isEmpty()) {
                throw Problem.input("milestoneIds", "Put at least one thing on the list.");
            }
            List<Milestone> known = library.milestones(programId, asked);
            if (known.size() < asked.size()) {
                throw Problem.input("milestoneIds", "One of these is not in the library any more; choose again.");
            }
            if (known.stream().anyMatch(one -> one.kind() == MilestoneKind.BELT)) {
                throw Problem.input("milestoneIds", "A belt admits by itself; choose it as the gate.");
            }
        }
        queries.put(
                programId,
                classId,
                kind,
                kind == GateKind.BELT_OF_RANK ? rank : 0,
                kind == GateKind.OWN_LIST ? asked : Set.of());
    }

    /** @param inIt whether the student sits in the ensemble already */
    record Candidate(Seated seated, boolean inIt, Gate.Reached reached, List<Milestone> missing) {}

    /** @param candidates those who are ready first, then those to whom least is missing */
    record Section(Balance balance, List<Candidate> candidates) {}

    record Candidates(Kept gate, List<Section> sections) {}

    /** @param scope whose students are asked about */
    @Transactional(readOnly = true)
    Candidates candidates(UUID programId, UUID ensembleId, SectionScope scope, Reach reach) {
        rosters.schoolClass(programId, ensembleId);
        LocalDate on = office.today(programId);
        Kept kept = queries.find(programId, ensembleId).orElse(LAST_BELT);
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, on), catalog);
        List<Seated> rows = runs.seated(programId, seats, scope, on);
        Sheet sheet =
                progress.sheet(programId, Question.of(seats, on).withBelts().also(kept.milestoneIds()));
        Gate gate = switch (kept.kind()) {
            case LAST_BELT -> new Gate.LastBelt();
            case BELT_OF_RANK -> new Gate.BeltOfRank(Math.max(1, kept.rank()));
            case OWN_LIST ->
                new Gate.OwnList(kept.milestoneIds().stream()
                        .filter(sheet.milestones()::containsKey)
                        .map(sheet.milestones()::get)
                        .toList());
        };
        Map<InstrumentCode, List<Candidate>> byInstrument = rows.stream()
                .map(row -> candidate(row, ensembleId, gate, sheet))
                .collect(Collectors.groupingBy(one -> one.seated().seat().instrument()));
        Map<InstrumentCode, Integer> wanted = classes.wanted(programId, ensembleId);
        Set<InstrumentCode> all = new HashSet<>(byInstrument.keySet());
        all.addAll(wanted.keySet());
        return new Candidates(
                kept,
                all.stream()
                        .sorted(Comparator.comparingInt(
                                code -> catalog.withCode(code).scoreRank()))
                        .map(code -> section(
                                code,
                                Optional.ofNullable(wanted.get(code)),
                                byInstrument.getOrDefault(code, List.of())))
                        .toList());
    }

    private static Candidate candidate(Seated row, UUID ensembleId, Gate gate, Sheet sheet) {
        Gate.Reached reached = Gate.reached(
                gate,
                sheet.ladders(),
                row.seat().instrument(),
                sheet.standings().getOrDefault(row.player(), Map.of()));
        return new Candidate(
                row,
                row.seat().classId().equals(ensembleId) || row.otherClasses().contains(ensembleId),
                reached,
                reached.missing().stream().map(sheet.milestones()::get).toList());
    }

    private static Section section(InstrumentCode code, Optional<Integer> wanted, List<Candidate> candidates) {
        Map<Gate.Degree, Long> degrees = candidates.stream()
                .collect(Collectors.groupingBy(one -> one.reached().degree(), Collectors.counting()));
        int ready = degrees.getOrDefault(Gate.Degree.READY, 0L).intValue();
        int nearly = degrees.getOrDefault(Gate.Degree.NEARLY, 0L).intValue();
        return new Section(
                new Balance(code, wanted, ready, nearly, candidates.size() - ready - nearly),
                candidates.stream()
                        .sorted(Comparator.comparing(
                                        (Candidate one) -> one.reached().degree())
                                .thenComparingInt(one -> one.reached().needed()))
                        .toList());
    }

    /**
     * One player.
     *
     * @param part that is proposed
     * @param asks what each part asks beyond what was passed, in the order of the parts
     */
    record PartsOf(Seated seated, UUID part, List<Asks> asks) {}

    /** @param newNotes as the part spells them, from low to high */
    record Asks(UUID part, List<String> newNotes, boolean faster, boolean fits) {}

    /**
     * @param parts that were read, in the order asked
     * @param players in the order of the parts proposed, the stronger ones of each first
     * @param unread parts of which only facts are kept
     */
    record Proposed(List<Milestone> parts, List<PartsOf> players, List<UUID> unread) {}

    /**
     * Who of a section could play which part.
     *
     * @param lineIds the parts, from the first; lines and pieces on the shelf
     * @throws Problem where no part can be read note by note, or nobody plays
     */
    @Transactional(readOnly = true)
    Proposed propose(UUID programId, UUID classId, InstrumentCode instrument, List<UUID> lineIds, Reach reach) {
        LocalDate on = office.today(programId);
        SectionScope scope = new SectionScope.Section(classId, instrument, Optional.empty());
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, on), catalog);
        List<Seated> rows = runs.seated(programId, seats, scope, on);
        if (rows.isEmpty()) {
            throw Problem.input("instrument", "Nobody plays this in that class.");
        }
        List<UUID> asked = List.copyOf(new LinkedHashSet<>(lineIds));
        List<UUID> lines = library.allMilestones(programId).stream()
                .filter(one -> one.kind() == MilestoneKind.LINE)
                .map(Milestone::id)
                .toList();
        Sheet sheet = progress.sheet(programId, Question.of(seats, on).also(lines));
        Set<UUID> read =
                rows.stream().flatMap(row -> passed(row, lines, sheet).stream()).collect(Collectors.toSet());
        read.addAll(asked);
        Map<UUID, Asked> demands = parts.of(programId, classId, read, instrument);
        List<UUID> known = asked.stream().filter(demands::containsKey).toList();
        if (known.isEmpty()) {
            throw Problem.input("lines", "Of these parts only facts are kept; their notes are needed to propose.");
        }
        List<PartProposal.Part> offered = known.stream()
                .map(id -> new PartProposal.Part(
                        id.toString(),
                        demands.get(id).notes().keySet(),
                        demands.get(id).fastest()))
                .toList();
        Map<UUID, Seated> students = new HashMap<>();
        Map<UUID, PartProposal.Player> players = new HashMap<>();
        rows.forEach(row -> {
            students.put(row.student().id(), row);
            players.put(row.student().id(), player(row, passed(row, lines, sheet), demands));
        });
        return new Proposed(
                known.stream().map(sheet.milestones()::get).toList(),
                PartProposal.of(offered, players.values()).stream()
                        .map(seat -> new PartsOf(
                                students.get(seat.studentId()),
                                UUID.fromString(seat.part()),
                                offered.stream()
                                        .map(part ->
                                                asks(PartProposal.seat(part, players.get(seat.studentId())), demands))
                                        .toList()))
                        .toList(),
                asked.stream().filter(id -> !demands.containsKey(id)).toList());
    }

    private static Asks asks(PartProposal.Seat seat, Map<UUID, Asked> demands) {
        UUID part = UUID.fromString(seat.part());
        return new Asks(
                part,
                seat.newNotes().stream().map(demands.get(part).notes()::get).toList(),
                seat.faster(),
                seat.fits());
    }

    private static List<UUID> passed(Seated row, Collection<UUID> lines, Sheet sheet) {
        return lines.stream()
                .filter(id -> sheet.standing(row.player(), id).isPassed())
                .toList();
    }

    private static PartProposal.Player player(Seated row, List<UUID> passed, Map<UUID, Asked> demands) {
        List<Asked> own =
                passed.stream().filter(demands::containsKey).map(demands::get).toList();
        return new PartProposal.Player(
                row.student().id(),
                own.stream().flatMap(one -> one.notes().keySet().stream()).collect(Collectors.toSet()),
                own.stream().mapToDouble(Asked::fastest).max().orElse(0),
                passed.size());
    }
}
