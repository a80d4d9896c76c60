package vividroster.server.ensemble;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.ensemble.PieceDemand;
import vividroster.core.ensemble.PieceDemand.Told;
import vividroster.core.ensemble.PieceDemand.Worked;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.reading.Vocabulary.NewKey;
import vividroster.core.reading.Vocabulary.NewMeter;
import vividroster.core.reading.Vocabulary.Thing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LinePages;
import vividroster.server.lines.LinePages.Asked;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;
import vividroster.server.season.SectionPaces;
import vividroster.server.season.SectionPaces.Ahead;

/** Candidates for a concert side by side: what each would still have to be taught, by section. */
@Service
class PieceComparisons {

    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final Library library;
    private final LinePages pages;
    private final SectionPaces paces;
    private final Office office;
    private final InstrumentCatalog catalog;

    PieceComparisons(
            Rosters rosters,
            Progress progress,
            HearingRuns runs,
            Library library,
            LinePages pages,
            SectionPaces paces,
            Office office,
            InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.library = library;
        this.pages = pages;
        this.paces = paces;
        this.office = office;
        this.catalog = catalog;
    }

    /** What one piece asks of one section. @param names of its notes as it spells them, by midi number */
    record OfSection(InstrumentCode instrument, Told told, Map<Integer, String> names) {

        List<String> named(List<Integer> notes) {
            return notes.stream().map(names::get).toList();
        }

        /** Keys and meters first, then values and signs. */
        List<String> others() {
            return Stream.concat(words(true), words(false)).toList();
        }

        private Stream<String> words(boolean keyOrMeter) {
            return told.others().stream()
                    .filter(thing -> keyOrMeter == (thing instanceof NewKey || thing instanceof NewMeter))
                    .map(LinePages::words)
                    .sorted();
        }
    }

    /** @param sections in score order; none where its notes are not known */
    record Piece(LineFacts facts, Milestone milestone, List<OfSection> sections) {}

    /**
     * @param weeksLeft with a lesson
     * @param sections that read notes, in score order
     * @param pieces the one that leaves least to teach first; those of which no notes are known last
     */
    record Compared(LocalDate by, int weeksLeft, List<InstrumentCode> sections, List<Piece> pieces) {}

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
        List<LineFacts> worked = bookLines(programId, assigned).stream()
                .filter(line -> !wanted.contains(line.milestoneId()))
                .toList();
        List<UUID> workedIds = worked.stream().map(LineFacts::milestoneId).toList();
        Set<UUID> asked = new LinkedHashSet<>(workedIds);
        asked.addAll(wanted);
        Sheet sheet = progress.sheet(programId, Question.of(seats, on).also(asked));
        Map<InstrumentCode, List<Player>> sections = new LinkedHashMap<>();
        rows.forEach(row -> sections.computeIfAbsent(row.seat().instrument(), code -> new ArrayList<>())
                .add(row.player()));
        List<InstrumentCode> reading = sections.keySet().stream()
                .filter(code -> catalog.withCode(code).pitched())
                .toList();
        Ahead ahead = paces.ahead(programId, classId, sections, workedIds, sheet, by);
        Map<UUID, Map<InstrumentCode, Asked>> demands = pages.of(programId, classId, asked, reading);
        Map<InstrumentCode, Set<Thing>> known = pages.known(programId, classId, reading);
        Map<UUID, List<OfSection>> told = new LinkedHashMap<>();
        for (InstrumentCode code : reading) {
            PieceDemand.Section section = new PieceDemand.Section(
                    ahead.sections().get(code),
                    known.getOrDefault(code, Set.of()),
                    new Shelf(worked, demands, code, ahead.planned(), sheet).of(sections.get(code)));
            for (UUID id : wanted) {
                Asked page = demands.getOrDefault(id, Map.of()).get(code);
                if (page != null && !page.noteNames().isEmpty()) {
                    told.computeIfAbsent(id, one -> new ArrayList<>())
                            .add(new OfSection(
                                    code,
                                    PieceDemand.of(page.vocabulary().things(), section, ahead.weeks(), newNotesAWeek),
                                    page.noteNames()));
                }
            }
        }
        Map<UUID, List<Told>> ofPieces = new LinkedHashMap<>();
        wanted.stream()
                .filter(told::containsKey)
                .forEach(id -> ofPieces.put(
                        id, told.get(id).stream().map(OfSection::told).toList()));
        Set<UUID> order = new LinkedHashSet<>(PieceDemand.easiestFirst(ofPieces));
        order.addAll(wanted);
        return new Compared(
                by,
                ahead.lessonWeeks(),
                reading,
                order.stream()
                        .map(id ->
                                new Piece(facts.get(id), sheet.milestones().get(id), told.getOrDefault(id, List.of())))
                        .toList());
    }

    /** The lines of every book the class works in, in the order of the books. */
    private List<LineFacts> bookLines(UUID programId, Sheet assigned) {
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
                .toList();
    }

    /** The lines of the books as one section has them. @param planned lines by the week they stand in */
    private record Shelf(
            List<LineFacts> worked,
            Map<UUID, Map<InstrumentCode, Asked>> demands,
            InstrumentCode instrument,
            Map<UUID, Integer> planned,
            Sheet sheet) {

        List<Worked> of(List<Player> players) {
            return worked.stream()
                    .filter(line ->
                            demands.getOrDefault(line.milestoneId(), Map.of()).containsKey(instrument))
                    .map(line -> worked(line, players))
                    .toList();
        }

        private Worked worked(LineFacts line, List<Player> players) {
            UUID id = line.milestoneId();
            return new Worked(
                    id,
                    line.bookId(),
                    line.number(),
                    demands.get(id).get(instrument).vocabulary().things(),
                    SectionPaces.passedBy(players, id, sheet),
                    players.stream()
                            .anyMatch(player -> sheet.assigned(player).containsKey(id)
                                    || sheet.standing(player, id).isPassed()),
                    planned.containsKey(id) ? OptionalInt.of(planned.get(id)) : OptionalInt.empty());
        }
    }
}
