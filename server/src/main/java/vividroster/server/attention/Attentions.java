package vividroster.server.attention;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.outfit.Review;
import vividroster.core.progress.AttentionReasons;
import vividroster.core.progress.AttentionReasons.Attention;
import vividroster.core.progress.AttentionReasons.Facts;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.BeltProgress;
import vividroster.core.progress.NeedsAttention;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Reach;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.Assignment;
import vividroster.core.season.SchoolYear;
import vividroster.server.hearing.HearingRuns;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.office.Office;
import vividroster.server.outfit.Fits;
import vividroster.server.outfit.StudentVariants;
import vividroster.server.roster.Rosters;
import vividroster.server.wellbeing.PainReport;
import vividroster.server.wellbeing.PainReports;

/** Gathers what the core needs to say which students need attention. */
@Service
class Attentions {

    private final Rosters rosters;
    private final Progress progress;
    private final HearingRuns runs;
    private final PainReports pain;
    private final StudentVariants variants;
    private final Fits fits;
    private final Office office;
    private final InstrumentCatalog catalog;

    Attentions(
            Rosters rosters,
            Progress progress,
            HearingRuns runs,
            PainReports pain,
            StudentVariants variants,
            Fits fits,
            Office office,
            InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.progress = progress;
        this.runs = runs;
        this.pain = pain;
        this.variants = variants;
        this.fits = fits;
        this.office = office;
        this.catalog = catalog;
    }

    /** @param students by id */
    record Found(LocalDate on, List<Attention> attentions, Map<UUID, Seated> students, Sheet sheet) {}

    @Transactional(readOnly = true)
    Found of(UUID programId, SectionScope scope, Reach reach) {
        LocalDate on = office.today(programId);
        List<Seat> seats = reach.of(rosters.seatsOfStudentsIn(programId, scope, on), catalog);
        Map<UUID, Seated> students = new LinkedHashMap<>();
        runs.seated(programId, seats, scope, on)
                .forEach(row -> students.put(row.student().id(), row));
        Sheet sheet = progress.sheet(programId, Question.of(seats, on).withBelts());
        Map<UUID, LocalDate> lastHeard = runs.lastHeard(programId, students.keySet(), on);
        Map<UUID, List<LocalDate>> hurts = reach == Reach.EVERYBODY
                ? pain.open(programId, students.keySet()).stream()
                        .collect(Collectors.groupingBy(
                                PainReport::studentId, Collectors.mapping(PainReport::reportedOn, Collectors.toList())))
                : Map.of();
        Map<UUID, List<LocalDate>> reviews = reviews(programId, students.keySet());
        SchoolYear year = office.year(programId, on);
        List<Facts> facts = students.values().stream()
                .map(row -> facts(row, seats, sheet, year, lastHeard, hurts, reviews))
                .toList();
        List<LocalDate> taught = year.weeks().stream()
                .flatMap(week -> week.schoolDays().stream())
                .toList();
        return new Found(on, AttentionReasons.of(facts, taught, on), students, sheet);
    }

    private Map<UUID, List<LocalDate>> reviews(UUID programId, Collection<UUID> students) {
        Map<UUID, List<LocalDate>> due = new HashMap<>();
        variants.inUse(programId, students)
                .forEach(one -> one.review()
                        .map(Review::on)
                        .ifPresent(day -> due.computeIfAbsent(one.studentId(), id -> new ArrayList<>())
                                .add(day)));
        fits.latest(programId, students)
                .forEach(one -> due.computeIfAbsent(one.studentId(), id -> new ArrayList<>())
                        .add(one.review().on()));
        return due;
    }

    private static Facts facts(
            Seated row,
            List<Seat> seats,
            Sheet sheet,
            SchoolYear year,
            Map<UUID, LocalDate> lastHeard,
            Map<UUID, List<LocalDate>> hurts,
            Map<UUID, List<LocalDate>> reviews) {
        UUID id = row.student().id();
        Player player = row.player();
        Map<UUID, Standing> standings = sheet.standings().getOrDefault(player, Map.of());
        LocalDate since = seats.stream()
                .filter(seat -> seat.studentId().equals(id) && seat.instrument().equals(player.instrument()))
                .map(Seat::startsOn)
                .min(Comparator.naturalOrder())
                .orElse(year.first());
        Toward toward = toward(player, sheet, standings);
        return new Facts(
                id,
                player.instrument(),
                standings.entrySet().stream()
                        .filter(entry -> sheet.milestones().get(entry.getKey()).kind() != MilestoneKind.BELT)
                        .flatMap(entry -> entry.getValue().passedOn().stream())
                        .toList(),
                toward.days(),
                toward.nearer(),
                toHear(player, sheet),
                Optional.ofNullable(lastHeard.get(id)),
                since.isBefore(year.first()) ? year.first() : since,
                NeedsAttention.afterTries(
                                List.of(new NeedsAttention.Player(id, player.instrument(), sheet.setFor(player))))
                        .shown()
                        .stream()
                        .findFirst(),
                hurts.getOrDefault(id, List.of()),
                reviews.getOrDefault(id, List.of()));
    }

    /** What is open, what was due first before the others; a belt is heard by its slots. */
    private static Optional<UUID> toHear(Player player, Sheet sheet) {
        return sheet.assigned(player).values().stream()
                .filter(one -> sheet.milestones().get(one.milestoneId()).kind() != MilestoneKind.BELT
                        && sheet.standing(player, one.milestoneId()).isOpen())
                .min(Comparator.comparing(Assignment::dueOn).thenComparing(Assignment::milestoneId))
                .map(Assignment::milestoneId);
    }

    /** @param days on which a slot of the next belt was filled or a belt was earned; nearer what is set and would help it */
    private record Toward(List<LocalDate> days, Optional<UUID> nearer) {}

    private static Toward toward(Player player, Sheet sheet, Map<UUID, Standing> standings) {
        return BeltLadder.climbed(sheet.ladders(), player.instrument(), standings)
                .map(ladder -> {
                    BeltLadder climbed = new BeltLadder(ladder);
                    Optional<Belt> next =
                            climbed.worn(player.instrument(), standings).next();
                    Optional<BeltProgress> so = next.map(belt -> BeltProgress.of(belt, player.instrument(), standings));
                    return new Toward(
                            Stream.concat(
                                            climbed.earned(player.instrument(), standings).stream()
                                                    .flatMap(earned -> earned.on().stream()),
                                            so.stream()
                                                    .flatMap(one -> one.slots().stream())
                                                    .filter(BeltProgress.SlotState::filled)
                                                    .flatMap(slot ->
                                                            standings.get(slot.milestoneId()).filledOn().stream()))
                                    .toList(),
                            so.flatMap(one -> one.missing().stream()
                                    .filter(sheet.assigned(player)::containsKey)
                                    .findFirst()));
                })
                .orElse(new Toward(List.of(), Optional.empty()));
    }
}
