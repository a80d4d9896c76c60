package vividroster.server.season;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.Forecast;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.SectionPace;
import vividroster.core.roster.Seat;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.Week;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;
import vividroster.server.season.ForecastQueries.Kept;
import vividroster.server.season.ForecastQueries.Target;

/** When the sections of a class will have all lines of a book up to one, and how likely that is by a day. */
@Service
class SectionForecasts {

    private final ForecastQueries queries;
    private final PlanYears plans;
    private final Progress progress;
    private final Rosters rosters;
    private final Library library;
    private final InstrumentCatalog catalog;
    private final Locks locks;

    SectionForecasts(
            ForecastQueries queries,
            PlanYears plans,
            Progress progress,
            Rosters rosters,
            Library library,
            InstrumentCatalog catalog,
            Locks locks) {
        this.queries = queries;
        this.plans = plans;
        this.progress = progress;
        this.rosters = rosters;
        this.library = library;
        this.catalog = catalog;
        this.locks = locks;
    }

    /** @param targetWeek the week of the day, counted from 1; empty outside the year */
    record Of(
            SeasonYear year,
            UUID classId,
            SectionPace pace,
            Forecast forecast,
            Instrument instrument,
            Optional<Integer> targetWeek) {

        /** Weeks to come, counted from 1; 0 where the day is past. */
        int weeksLeft() {
            return SectionPaces.weeksLeft(year, targetWeek);
        }

        /** Of its usual minutes, as it is planned now. */
        int pacePercent() {
            return year.sections().stream()
                    .filter(section -> section.instrument().equals(instrument)
                            && section.classId().equals(classId))
                    .mapToInt(SeasonYear.Section::pacePercent)
                    .findFirst()
                    .orElse(100);
        }

        /** In a hundred. */
        int chance() {
            return (int) Math.round(100 * forecast.chanceBy(weeksLeft(), pace.ahead()));
        }

        /** Lines in a usual week that are needed; empty where no lesson is left. */
        Optional<Double> neededLines() {
            double needed = forecast.neededPace(weeksLeft(), pace.ahead());
            return Double.isInfinite(needed) ? Optional.empty() : Optional.of(pace.lines(needed));
        }

        Optional<LocalDate> monday(OptionalInt ahead) {
            return ahead.isEmpty()
                    ? Optional.empty()
                    : Optional.of(week(ahead.getAsInt()).monday());
        }

        Optional<LocalDate> lastDay(OptionalInt ahead) {
            return ahead.isEmpty()
                    ? Optional.empty()
                    : Optional.of(week(ahead.getAsInt()).friday());
        }

        private Week week(int ahead) {
            return year.week(Math.max(1, year.firstFree() + ahead - 1));
        }

        Kept kept(Target target) {
            return new Kept(
                    target.id(),
                    instrument.code(),
                    year.year().weekOf(year.today()).monday(),
                    forecast.need(),
                    monday(forecast.low()),
                    monday(forecast.middle()),
                    monday(forecast.high()),
                    chance());
        }
    }

    /** @param kept what was forecast before, by instrument, oldest first */
    record OfTarget(
            Target target, LineFacts line, List<Of> sections, Map<InstrumentCode, List<Kept>> kept, boolean isSet) {}

    /**
     * Every target of a class. Where none was set, the last line planned before the next concert or festival, or before the
     * end of the year, is looked at.
     */
    @Transactional(readOnly = true)
    List<OfTarget> of(UUID programId, UUID classId) {
        SeasonYear year = plans.of(programId, List.of(classId));
        List<Target> targets = queries.findTargets(programId, year.yearId(), classId);
        boolean set = !targets.isEmpty();
        if (!set) {
            targets = usual(programId, year, classId).stream().toList();
        }
        Map<UUID, List<Kept>> kept =
                queries.findKept(programId, targets.stream().map(Target::id).toList());
        return targets.stream()
                .map(target -> of(programId, year, target, kept.getOrDefault(target.id(), List.of()), set))
                .toList();
    }

    private Optional<Target> usual(UUID programId, SeasonYear year, UUID classId) {
        LocalDate day = year.year().entries().stream()
                .filter(entry ->
                        (entry.kind() == SchoolYear.EntryKind.CONCERT || entry.kind() == SchoolYear.EntryKind.FESTIVAL)
                                && entry.first().isAfter(year.today()))
                .map(SchoolYear.Entry::first)
                .min(Comparator.naturalOrder())
                .orElse(year.year().last());
        List<UUID> before = year.items().stream()
                .filter(item -> item.item().kind() == PlanItem.Kind.LINE
                        && item.item().stands().isPresent()
                        && !year.monday(item.item().stands().getAsInt()).isAfter(day))
                .flatMap(item -> item.item().milestone().stream())
                .map(UUID::fromString)
                .toList();
        return library.lines(programId, before).values().stream()
                .max(Comparator.comparingInt(LineFacts::number))
                .map(line -> new Target(
                        UUID.nameUUIDFromBytes((classId + "/" + line.milestoneId()).getBytes(StandardCharsets.UTF_8)),
                        classId,
                        line.milestoneId(),
                        day));
    }

    private OfTarget of(UUID programId, SeasonYear year, Target target, List<Kept> kept, boolean set) {
        LineFacts line = library.line(programId, target.lineId());
        List<UUID> lines = library.linesOf(programId, line.bookId()).stream()
                .filter(one -> one.number() <= line.number())
                .map(LineFacts::milestoneId)
                .toList();
        List<Seat> seats = rosters.seatsOfStudentsIn(programId, List.of(target.classId()), year.today());
        Progress.Sheet sheet = progress.sheet(
                programId, Progress.Question.of(seats, year.today()).also(lines));
        Map<Instrument, List<Player>> sections = new LinkedHashMap<>();
        seats.stream()
                .filter(seat -> seat.classId().equals(target.classId()) && seat.isHeldOn(year.today()))
                .sorted(Comparator.comparingInt(
                        seat -> catalog.withCode(seat.instrument()).scoreRank()))
                .forEach(
                        seat -> sections.computeIfAbsent(catalog.withCode(seat.instrument()), none -> new ArrayList<>())
                                .add(new Player(seat.studentId(), seat.instrument())));
        List<Integer> meetings = SectionPaces.meetings(year, target.classId());
        List<Of> all = new ArrayList<>();
        sections.forEach(
                (instrument, players) -> all.add(of(year, target, instrument, players, lines, meetings, sheet)));
        return new OfTarget(target, line, all, kept.stream().collect(Collectors.groupingBy(Kept::instrument)), set);
    }

    private static Of of(
            SeasonYear year,
            Target target,
            Instrument instrument,
            List<Player> players,
            List<UUID> lines,
            List<Integer> meetings,
            Progress.Sheet sheet) {
        SectionPace pace = SectionPaces.of(year, target.classId(), instrument, players, lines, meetings, sheet);
        return new Of(
                year,
                target.classId(),
                pace,
                pace.forecast(lines.stream()
                        .map(line -> SectionPaces.passedBy(players, line, sheet))
                        .toList()),
                instrument,
                year.weekOf(target.byDay()));
    }

    /** Sets what a class is to have by a day. The same again changes nothing. */
    @Transactional
    void set(UUID programId, Target target) {
        locks.hold(programId, "plan");
        SeasonYear year = plans.of(programId, List.of(target.classId()));
        library.line(programId, target.lineId());
        if (year.weekOf(target.byDay()).isEmpty()) {
            throw Problem.input("byDay", "That day is not of this school year.");
        }
        Clashes.told("forecast_target_once", "That line is a target for that day already.", () -> {
            queries.put(programId, year.yearId(), target);
            return true;
        });
        keep(programId, target.classId());
    }

    @Transactional
    void remove(UUID programId, UUID targetId) {
        if (!queries.delete(programId, targetId)) {
            throw Problem.notFound("There is no such target any more.");
        }
    }

    /** Keeps what is, or would have been, forecast for a target in the week of a day. */
    @Transactional
    void keep(UUID programId, Target target, LocalDate on) {
        SeasonYear year = plans.of(programId, List.of(target.classId()), on);
        of(programId, year, target, List.of(), true)
                .sections()
                .forEach(section -> queries.keep(programId, section.kept(target)));
    }

    /** Keeps this week's forecast of every target of a class; what was forecast earlier in the week stands. */
    @Transactional
    public void keep(UUID programId, UUID classId) {
        of(programId, classId).stream()
                .filter(OfTarget::isSet)
                .forEach(of -> of.sections().forEach(section -> queries.keep(programId, section.kept(of.target()))));
    }

    /** Of every class that has a target. */
    @Transactional
    public void keepAll(UUID programId) {
        queries.findTargets(programId, plans.yearId(programId), null).stream()
                .map(Target::classId)
                .distinct()
                .forEach(classId -> keep(programId, classId));
    }
}
