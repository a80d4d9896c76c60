package vividroster.server.ensemble;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.ensemble.PieceDemand;
import vividroster.core.ensemble.PieceDemand.Told;
import vividroster.core.ensemble.PieceDemand.Worked;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.PartsAsked;
import vividroster.server.lines.PartsAsked.Asked;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;

/** Candidates for a concert side by side: what each would still have to be taught, by section. */
@Service
class PieceComparisons {

    /** Weeks of teaching from which a section's pace is told; ours. */
    private static final int PACE_WEEKS = 6;

    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final Library library;
    private final PartsAsked parts;
    private final Office office;
    private final InstrumentCatalog catalog;

    PieceComparisons(
            Rosters rosters,
            Progress progress,
            HearingRuns runs,
            Library library,
            PartsAsked parts,
            Office office,
            InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.library = library;
        this.parts = parts;
        this.office = office;
        this.catalog = catalog;
    }

    /** @param sections in score order; none where only facts are kept */
    record Piece(LineFacts facts, Milestone milestone, Map<InstrumentCode, Told> sections) {}

    /** @param pieces the one that leaves least to teach first; those known by facts alone last */
    record Compared(LocalDate by, int weeksLeft, List<Piece> pieces) {}

    /** @throws Problem where a piece is no line of the library, nobody sits in the class, or the day is past */
    @Transactional(readOnly = true)
    Compared compare(UUID programId, UUID classId, List<UUID> lineIds, LocalDate by, int newNotesAWeek, Reach reach) {
        LocalDate on = office.today(programId);
        if (by.isBefore(on)) {
            throw Problem.input("by", "That day is past.");
        }
        SchoolYear year = office.year(programId, on);
        if (by.isAfter(year.last())) {
            throw Problem.input("by", "The school year ends before that day.");
        }
        rosters.schoolClass(programId, classId);
        SectionScope scope = new SectionScope.Tutti(classId);
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, on), catalog);
        List<Seated> rows = runs.seated(programId, seats, scope, on);
        if (rows.isEmpty()) {
            throw Problem.input("classId", "Nobody sits in this class yet.");
        }
        Set<UUID> wanted = new LinkedHashSet<>(lineIds);
        Map<UUID, LineFacts> facts = library.lines(programId, wanted);
        if (facts.size() < wanted.size()) {
            throw Problem.input("lines", "One of these pieces is not in the library any more; choose again.");
        }
        Sheet assigned = progress.sheet(programId, Question.of(seats, on));
        List<UUID> worked = bookLines(programId, assigned).stream()
                .filter(id -> !wanted.contains(id))
                .toList();
        Set<UUID> asked = new LinkedHashSet<>(worked);
        asked.addAll(wanted);
        Sheet sheet = progress.sheet(programId, Question.of(seats, on).also(asked));
        List<LocalDate> mondays = taughtMondays(year);
        int weeksLeft = (int) mondays.stream()
                .filter(monday -> monday.isAfter(on) && monday.isBefore(by))
                .count();
        LocalDate lately = mondays.stream()
                .filter(monday -> !monday.isAfter(on))
                .sorted(Comparator.reverseOrder())
                .limit(PACE_WEEKS)
                .reduce((later, earlier) -> earlier)
                .orElse(on);
        Map<InstrumentCode, List<Seated>> sections = new LinkedHashMap<>();
        rows.forEach(row -> sections.computeIfAbsent(row.seat().instrument(), code -> new ArrayList<>())
                .add(row));
        Map<UUID, Map<InstrumentCode, Told>> told = new LinkedHashMap<>();
        wanted.forEach(id -> told.put(id, new LinkedHashMap<>()));
        sections.forEach((code, players) -> {
            if (catalog.withCode(code).pitched()) {
                Map<UUID, Asked> demands = parts.of(programId, classId, asked, code);
                PieceDemand.Section section = section(players, worked, demands, sheet, lately);
                wanted.stream()
                        .filter(demands::containsKey)
                        .forEach(id -> told.get(id)
                                .put(code, PieceDemand.of(demands.get(id).notes(), section, weeksLeft, newNotesAWeek)));
            }
        });
        Map<UUID, List<Told>> read = new LinkedHashMap<>();
        told.forEach((id, ofSections) -> {
            if (!ofSections.isEmpty()) {
                read.put(id, List.copyOf(ofSections.values()));
            }
        });
        Set<UUID> order = new LinkedHashSet<>(PieceDemand.easiestFirst(read));
        order.addAll(wanted);
        return new Compared(
                by,
                weeksLeft,
                order.stream()
                        .map(id -> new Piece(facts.get(id), sheet.milestones().get(id), told.get(id)))
                        .toList());
    }

    /** The lines of every book the class works in, in the order of the books. */
    private List<UUID> bookLines(UUID programId, Sheet assigned) {
        List<UUID> set = assigned.milestones().values().stream()
                .filter(one -> one.kind() == MilestoneKind.LINE)
                .map(Milestone::id)
                .toList();
        return library.lines(programId, set).values().stream()
                .map(LineFacts::bookId)
                .distinct()
                .sorted()
                .flatMap(book ->
                        library.linesOf(programId, book).stream().sorted(Comparator.comparingInt(LineFacts::number)))
                .map(LineFacts::milestoneId)
                .toList();
    }

    private static List<LocalDate> taughtMondays(SchoolYear year) {
        return year.weeks().stream()
                .filter(week -> !week.schoolDays().isEmpty())
                .map(SchoolYear.Week::monday)
                .toList();
    }

    private static PieceDemand.Section section(
            List<Seated> players, List<UUID> worked, Map<UUID, Asked> demands, Sheet sheet, LocalDate lately) {
        List<Worked> lines = new ArrayList<>();
        for (UUID id : worked) {
            if (demands.containsKey(id)) {
                List<LocalDate> days = players.stream()
                        .filter(row -> sheet.standing(row.player(), id).isPassed())
                        .map(row -> sheet.standing(row.player(), id).passedOn().orElse(LocalDate.MIN))
                        .sorted()
                        .toList();
                int half = (players.size() + 1) / 2;
                lines.add(new Worked(
                        id,
                        demands.get(id).notes(),
                        days.size(),
                        days.size() >= half && !days.get(half - 1).isBefore(lately)));
            }
        }
        return new PieceDemand.Section(players.size(), lines, PACE_WEEKS);
    }
}
