package vividroster.server.attention;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.CutShort;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Fairness;
import vividroster.core.progress.Fairness.Share;
import vividroster.core.progress.Fairness.Spread;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Turn;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** Who is heard how often this school year. */
@Service
class FairTurns {

    private final Rosters rosters;
    private final HearingRuns runs;
    private final Hearing hearing;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;

    FairTurns(
            Rosters rosters,
            HearingRuns runs,
            Hearing hearing,
            Library library,
            Office office,
            InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.runs = runs;
        this.hearing = hearing;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    /** @param students in score order; spreads by what is said of each group */
    record Found(LocalDate from, LocalDate on, List<Seated> students, Map<UUID, Share> shares) {

        List<Seated> fewestFirst(List<Seated> some) {
            return some.stream()
                    .sorted(Comparator.comparingInt(
                            row -> shares.get(row.student().id()).times()))
                    .toList();
        }

        /** Of the students of a section, or of all. */
        Spread spread(List<Seated> some) {
            return Fairness.spread(
                    some.stream().map(row -> shares.get(row.student().id())).toList());
        }
    }

    @Transactional(readOnly = true)
    Found of(UUID programId, SectionScope scope, Reach reach) {
        LocalDate on = office.today(programId);
        SchoolYear year = office.year(programId, on);
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, on), catalog);
        List<Seated> rows = runs.seated(programId, seats, scope, on);
        Set<UUID> classIds = Stream.concat(
                        rows.stream().map(row -> row.seat().classId()),
                        rows.stream().flatMap(row -> row.otherClasses().stream()))
                .collect(Collectors.toSet());
        List<Turn> turns = hearing.turns(programId, classIds, year.first(), on);
        Map<UUID, Integer> cut = cutShort(programId, turns);
        Map<UUID, List<LocalDate>> taught = taught(programId, classIds, year, on);
        Map<UUID, List<LocalDate>> heard = turns.stream()
                .collect(Collectors.groupingBy(Turn::studentId, Collectors.mapping(Turn::on, Collectors.toList())));
        Map<UUID, Share> shares = new HashMap<>();
        rows.forEach(row -> Fairness.shares(
                        List.of(new Fairness.Heard(
                                row.student().id(),
                                row.seat().classId(),
                                row.seat().instrument(),
                                heard.getOrDefault(row.student().id(), List.of()),
                                cut.getOrDefault(row.student().id(), 0),
                                later(row.seat().startsOn(), year.first()))),
                        taught.getOrDefault(row.seat().classId(), List.of()),
                        on)
                .forEach(share -> shares.put(share.studentId(), share)));
        return new Found(year.first(), on, rows, shares);
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isBefore(other) ? other : one;
    }

    /** The days on which a class met. */
    private Map<UUID, List<LocalDate>> taught(UUID programId, Set<UUID> classIds, SchoolYear year, LocalDate on) {
        return rosters.classes(programId).stream()
                .filter(one -> classIds.contains(one.id()))
                .collect(Collectors.toMap(
                        SchoolClass::id,
                        one -> year.first()
                                .datesUntil(on.plusDays(1))
                                .filter(day -> one.on(year, day).isPresent())
                                .toList()));
    }

    private Map<UUID, Integer> cutShort(UUID programId, List<Turn> turns) {
        Map<UUID, Duration> planned = runs.perStudent(
                programId,
                library.milestones(
                        programId, turns.stream().map(Turn::milestoneId).collect(Collectors.toSet())));
        return CutShort.of(turns.stream()
                .filter(turn -> turn.evidence() == Evidence.LIVE_ALONE)
                .flatMap(turn -> Optional.ofNullable(planned.get(turn.milestoneId()))
                        .map(each -> new CutShort.Turn(turn.studentId(), turn.heardBy(), turn.at(), each))
                        .stream())
                .toList());
    }
}
