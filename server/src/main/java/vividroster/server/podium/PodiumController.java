package vividroster.server.podium;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Standing;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear;
import vividroster.server.board.SectionBoards;
import vividroster.server.board.SectionBoards.SectionBoard;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.office.Office;
import vividroster.server.outfit.Fits;
import vividroster.server.outfit.StudentVariants;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.wellbeing.PainReports;

@RestController
@RequestMapping("/api")
class PodiumController {

    private final SectionBoards boards;
    private final HearingRuns runs;
    private final Rosters rosters;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final PainReports painReports;
    private final StudentVariants variants;
    private final Fits fits;

    PodiumController(
            SectionBoards boards,
            HearingRuns runs,
            Rosters rosters,
            Library library,
            Office office,
            InstrumentCatalog catalog,
            PainReports painReports,
            StudentVariants variants,
            Fits fits) {
        this.boards = boards;
        this.runs = runs;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
        this.painReports = painReports;
        this.variants = variants;
        this.fits = fits;
    }

    record DivisionView(String name, int students) {}

    /** @param passed of all milestones set for its players; asked how many are set */
    record SectionView(
            String instrument,
            String name,
            String plural,
            Family family,
            int students,
            int passed,
            int asked,
            List<DivisionView> divisions) {}

    record RailView(List<SectionView> sections) {}

    /** @param concertKey absent for what is no line */
    record TeachView(
            UUID milestoneId,
            MilestoneKind kind,
            String shortName,
            String title,
            LocalDate dueOn,
            @Absent String concertKey,
            int asked) {}

    /** @param seconds to hear everybody still open */
    record HearView(
            UUID milestoneId,
            MilestoneKind kind,
            String shortName,
            String title,
            LocalDate dueOn,
            int open,
            int passed,
            int asked,
            int seconds,
            boolean fits) {}

    record LookAfterView(UUID studentId, String name, String instrumentName, String milestone, int tries) {}

    /** A report that nobody followed up yet; staff only. */
    record PainNote(UUID studentId, String name, String instrumentName, String place, LocalDate reportedOn) {}

    /** @param studentId whose variant or fit is to be looked at again */
    record DueReview(UUID studentId, String name, String what, LocalDate reviewOn, boolean overdue) {}

    record PodiumClass(
            UUID classId,
            String name,
            String campus,
            String startsAt,
            int period,
            int minutes,
            int students,
            List<SectionView> sections,
            List<TeachView> teach,
            List<HearView> hear,
            int carriedOver,
            List<LookAfterView> lookAfter,
            List<PainNote> pain,
            List<DueReview> reviews) {}

    /** @param rotation letter of the day; nextDay the next day any class meets, when none does on this one */
    record PodiumView(
            LocalDate on,
            @Absent String rotation,
            boolean schoolDay,
            @Absent String closedFor,
            @Absent LocalDate nextDay,
            List<PodiumClass> classes) {}

    @GetMapping("/rail")
    @Operation(
            operationId = "rail",
            summary = "The sections of a class, or of all classes, in score order with progress")
    RailView rail(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam(required = false) UUID classId,
            @RequestParam(required = false) LocalDate on) {
        LocalDate day = Optional.ofNullable(on).orElseGet(() -> office.today(person.programId()));
        if (classId != null) {
            return new RailView(sections(boards.board(person.programId(), new SectionScope.Tutti(classId), day)));
        }
        Map<String, Long> counts = rosters.seatsOn(person.programId(), day).stream()
                .collect(Collectors.groupingBy(
                        seat -> seat.instrument(),
                        Collectors.mapping(
                                seat -> seat.studentId(),
                                Collectors.collectingAndThen(Collectors.toSet(), students -> (long) students.size()))));
        return new RailView(catalog.inScoreOrder().stream()
                .filter(i -> counts.containsKey(i.code()))
                .map(i -> new SectionView(
                        i.code(),
                        i.name(),
                        i.plural(),
                        i.family(),
                        counts.get(i.code()).intValue(),
                        0,
                        0,
                        List.of()))
                .toList());
    }

    @GetMapping("/podium")
    @Operation(operationId = "podium", summary = "The classes of a day: what to teach, whom to hear, how long it takes")
    PodiumView podium(@AuthenticationPrincipal SignedIn person, @RequestParam(required = false) LocalDate on) {
        UUID programId = person.programId();
        LocalDate day = Optional.ofNullable(on).orElseGet(() -> office.today(programId));
        SchoolYear year = office.year(programId);
        List<SchoolClass> all = rosters.classes(programId);
        List<PodiumClass> classes = all.stream()
                .filter(c -> year.meets(c.rotation(), day))
                .sorted(Comparator.comparing(SchoolClass::startsAt))
                .map(c -> podiumClass(programId, c, day))
                .toList();
        Optional<LocalDate> next = classes.isEmpty()
                ? all.stream()
                        .flatMap(c -> year.nextMeeting(c.rotation(), day.plusDays(1)).stream())
                        .min(Comparator.naturalOrder())
                : Optional.empty();
        return new PodiumView(
                day,
                year.rotationOn(day).orElse(null),
                year.isSchoolDay(day),
                year.entries().stream()
                        .filter(e -> e.kind().closesSchool() && !day.isBefore(e.first()) && !day.isAfter(e.last()))
                        .map(SchoolYear.Entry::name)
                        .findFirst()
                        .orElse(null),
                next.orElse(null),
                classes);
    }

    private PodiumClass podiumClass(UUID programId, SchoolClass c, LocalDate day) {
        SectionBoard board = boards.board(programId, new SectionScope.Tutti(c.id()), day);
        List<SectionBoards.Column> current = board.columns().stream()
                .filter(column -> !column.dueOn().isBefore(day))
                .toList();
        Map<UUID, LineFacts> lines = library.lines(
                programId, current.stream().map(col -> col.milestone().id()).toList());
        List<TeachView> teach = current.stream()
                .map(column -> new TeachView(
                        column.milestone().id(),
                        column.milestone().kind(),
                        column.milestone().shortName(),
                        column.milestone().title(),
                        column.dueOn(),
                        Optional.ofNullable(lines.get(column.milestone().id()))
                                .map(line -> line.concertKey().name())
                                .orElse(null),
                        (int) standings(board, column.milestone().id()).count()))
                .toList();
        List<HearView> hear = board.columns().stream()
                .map(column -> hearView(programId, board, column, c.minutes()))
                .filter(view -> view.open() > 0)
                .sorted(Comparator.comparing((HearView view) -> view.dueOn().isBefore(day))
                        .thenComparing(
                                HearView::dueOn,
                                Comparator.comparing(due -> Math.abs(due.toEpochDay() - day.toEpochDay()))))
                .limit(4)
                .toList();
        int carriedOver = (int) board.rows().stream()
                .flatMap(row -> board.columns().stream()
                        .map(column -> board.sheet()
                                .standing(row.player(), column.milestone().id())))
                .filter(Standing::carriedOver)
                .count();
        return new PodiumClass(
                c.id(),
                c.name(),
                c.campus(),
                c.startsAt().toString(),
                c.period(),
                c.minutes(),
                board.rows().size(),
                sections(board),
                teach,
                hear,
                carriedOver,
                lookAfter(board),
                pain(programId, board),
                reviews(programId, board, day));
    }

    private HearView hearView(UUID programId, SectionBoard board, SectionBoards.Column column, int minutes) {
        UUID id = column.milestone().id();
        List<Standing> standings = standings(board, id).toList();
        int open = (int) standings.stream().filter(Standing::isOpen).count();
        int seconds = (int) runs.perStudent(programId, column.milestone())
                .multipliedBy(open)
                .toSeconds();
        return new HearView(
                id,
                column.milestone().kind(),
                column.milestone().shortName(),
                column.milestone().title(),
                column.dueOn(),
                open,
                (int) standings.stream().filter(Standing::isPassed).count(),
                standings.size(),
                seconds,
                seconds <= minutes * 60);
    }

    private static java.util.stream.Stream<Standing> standings(SectionBoard board, UUID milestoneId) {
        return board.rows().stream()
                .filter(row -> board.sheet().assigned(row.player()).containsKey(milestoneId))
                .map(row -> board.sheet().standing(row.player(), milestoneId));
    }

    private List<PainNote> pain(UUID programId, SectionBoard board) {
        Map<UUID, Seated> rows = new LinkedHashMap<>();
        board.rows().forEach(row -> rows.put(row.student().id(), row));
        return painReports.open(programId, rows.keySet()).stream()
                .map(report -> new PainNote(
                        report.studentId(),
                        rows.get(report.studentId()).student().name(),
                        catalog.withCode(report.instrument()).name(),
                        report.place(),
                        report.reportedOn()))
                .toList();
    }

    /** Variants and fits whose day has come, longest due first. */
    private List<DueReview> reviews(UUID programId, SectionBoard board, LocalDate day) {
        Map<UUID, String> names = new LinkedHashMap<>();
        board.rows().forEach(row -> names.put(row.student().id(), row.student().name()));
        List<DueReview> due = new ArrayList<>();
        variants.inUse(programId, names.keySet()).stream()
                .filter(v -> v.review().orElseThrow().isDue(day))
                .map(v -> new DueReview(
                        v.studentId(),
                        names.get(v.studentId()),
                        v.name(),
                        v.review().orElseThrow().on(),
                        v.review().orElseThrow().isOverdue(day)))
                .forEach(due::add);
        fits.latest(programId, names.keySet()).stream()
                .filter(fit -> fit.review().isDue(day))
                .map(fit -> new DueReview(
                        fit.studentId(),
                        names.get(fit.studentId()),
                        fit.title() + ", " + fit.result(),
                        fit.review().on(),
                        fit.review().isOverdue(day)))
                .forEach(due::add);
        return due.stream()
                .sorted(Comparator.comparing(DueReview::reviewOn))
                .limit(6)
                .toList();
    }

    private List<LookAfterView> lookAfter(SectionBoard board) {
        List<LookAfterView> found = new ArrayList<>();
        for (Seated row : board.rows()) {
            board.columns().stream()
                    .filter(column -> board.sheet()
                            .standing(row.player(), column.milestone().id())
                            .needsARemedy())
                    .map(column -> new LookAfterView(
                            row.student().id(),
                            row.student().name(),
                            catalog.withCode(row.seat().instrument()).name(),
                            column.milestone().title(),
                            board.sheet()
                                    .standing(row.player(), column.milestone().id())
                                    .tries()))
                    .max(Comparator.comparingInt(LookAfterView::tries))
                    .ifPresent(found::add);
        }
        return found.stream()
                .sorted(Comparator.comparingInt(LookAfterView::tries).reversed())
                .limit(5)
                .toList();
    }

    private List<SectionView> sections(SectionBoard board) {
        Map<String, List<Seated>> byInstrument = board.rows().stream()
                .collect(
                        Collectors.groupingBy(row -> row.seat().instrument(), LinkedHashMap::new, Collectors.toList()));
        return byInstrument.entrySet().stream()
                .map(entry -> {
                    Instrument instrument = catalog.withCode(entry.getKey());
                    Map<String, Integer> divisions = new LinkedHashMap<>();
                    Map<Boolean, Integer> asked = new HashMap<>();
                    for (Seated row : entry.getValue()) {
                        if (!row.seat().division().isEmpty()) {
                            divisions.merge(row.seat().division(), 1, Integer::sum);
                        }
                        board.sheet().assigned(row.player()).keySet().stream()
                                .map(id ->
                                        board.sheet().standing(row.player(), id).isPassed())
                                .forEach(passed -> asked.merge(passed, 1, Integer::sum));
                    }
                    int passed = asked.getOrDefault(true, 0);
                    return new SectionView(
                            instrument.code(),
                            instrument.name(),
                            instrument.plural(),
                            instrument.family(),
                            entry.getValue().size(),
                            passed,
                            passed + asked.getOrDefault(false, 0),
                            divisions.entrySet().stream()
                                    .map(d -> new DivisionView(d.getKey(), d.getValue()))
                                    .toList());
                })
                .toList();
    }
}
