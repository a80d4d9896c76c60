package vividroster.server.podium;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.office.Office;
import vividroster.server.roster.Rosters;

/** The sections of a class, or of all classes, in score order with how much of their work is passed. */
@Service
class Rails {

    private final Progress progress;
    private final HearingRuns runs;
    private final Rosters rosters;
    private final Office office;
    private final InstrumentCatalog catalog;

    Rails(Progress progress, HearingRuns runs, Rosters rosters, Office office, InstrumentCatalog catalog) {
        this.progress = progress;
        this.runs = runs;
        this.rosters = rosters;
        this.office = office;
        this.catalog = catalog;
    }

    record DivisionView(String name, int students) {}

    /** @param passed of all milestones set for its players; asked how many are set */
    record SectionView(
            InstrumentCode instrument,
            String name,
            String plural,
            Family family,
            int students,
            int passed,
            int asked,
            List<DivisionView> divisions) {}

    record RailView(List<SectionView> sections) {}

    /** @param classId empty for all classes, then without progress */
    @Transactional(readOnly = true)
    public RailView rail(UUID programId, Optional<UUID> classId, Optional<LocalDate> on, Reach reach) {
        LocalDate day = on.orElseGet(() -> office.today(programId));
        if (classId.isPresent()) {
            SectionScope tutti = new SectionScope.Tutti(classId.get());
            List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, tutti, day), catalog);
            return new RailView(sections(
                    runs.seated(programId, seats, tutti, day), progress.sheet(programId, Question.of(seats, day))));
        }
        Map<InstrumentCode, Set<UUID>> students = reach.of(rosters.seatsOn(programId, day), catalog).stream()
                .collect(Collectors.groupingBy(
                        Seat::instrument, Collectors.mapping(Seat::studentId, Collectors.toSet())));
        return new RailView(catalog.inScoreOrder().stream()
                .filter(i -> students.containsKey(i.code()))
                .map(i -> new SectionView(
                        i.code(),
                        i.name(),
                        i.plural(),
                        i.family(),
                        students.get(i.code()).size(),
                        0,
                        0,
                        List.of()))
                .toList());
    }

    List<SectionView> sections(List<Seated> rows, Sheet sheet) {
        Map<InstrumentCode, List<Seated>> byInstrument = rows.stream()
                .collect(
                        Collectors.groupingBy(row -> row.seat().instrument(), LinkedHashMap::new, Collectors.toList()));
        List<SectionView> sections = new ArrayList<>();
        byInstrument.forEach((code, players) -> {
            Instrument instrument = catalog.withCode(code);
            Map<String, Integer> divisions = new LinkedHashMap<>();
            players.stream()
                    .map(row -> row.seat().division())
                    .filter(division -> !division.isEmpty())
                    .forEach(division -> divisions.merge(division, 1, Integer::sum));
            List<Standing> set = players.stream()
                    .flatMap(row -> sheet.setFor(row.player()).values().stream())
                    .toList();
            sections.add(new SectionView(
                    instrument.code(),
                    instrument.name(),
                    instrument.plural(),
                    instrument.family(),
                    players.size(),
                    (int) set.stream().filter(Standing::isPassed).count(),
                    set.size(),
                    divisions.entrySet().stream()
                            .map(d -> new DivisionView(d.getKey(), d.getValue()))
                            .toList()));
        });
        return sections;
    }
}
