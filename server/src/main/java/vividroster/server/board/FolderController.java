package vividroster.server.board;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.PassJudge;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Seat;
import vividroster.core.season.Assignment;
import vividroster.server.board.BoardController.BeltView;
import vividroster.server.board.SectionBoards.Belting;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.hearing.StandingView;
import vividroster.server.library.BeltLook;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.roster.Student;

@RestController
@RequestMapping("/api/students")
class FolderController {

    private final Rosters rosters;
    private final Hearing hearing;
    private final Progress progress;
    private final SectionBoards boards;
    private final Library library;
    private final Office office;
    private final InstrumentCatalog catalog;

    FolderController(
            Rosters rosters,
            Hearing hearing,
            Progress progress,
            SectionBoards boards,
            Library library,
            Office office,
            InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.hearing = hearing;
        this.progress = progress;
        this.boards = boards;
        this.library = library;
        this.office = office;
        this.catalog = catalog;
    }

    record FolderSeat(
            UUID classId,
            String className,
            String instrumentName,
            String division,
            LocalDate startsOn,
            @Absent LocalDate endsOn) {}

    /** @param points sum of the points; absent where nothing is marked by points */
    record TryView(
            UUID id,
            LocalDate heardOn,
            OffsetDateTime recordedAt,
            Outcome outcome,
            Evidence evidence,
            String className,
            String heardBy,
            @Absent Integer points,
            String reason,
            String note,
            boolean corrected,
            @Absent UUID corrects) {}

    record FolderMilestone(
            UUID milestoneId,
            MilestoneKind kind,
            String shortName,
            String title,
            @Absent LocalDate setOn,
            @Absent LocalDate dueOn,
            StandingView standing,
            List<TryView> tries) {}

    record FolderInstrument(
            String instrument,
            String instrumentName,
            @Absent BeltView wornBelt,
            @Absent BeltView nextBelt,
            List<String> missing,
            int passed,
            int open,
            List<FolderMilestone> milestones) {}

    record FolderView(UUID id, String name, List<FolderSeat> seats, List<FolderInstrument> instruments) {}

    @GetMapping("/{studentId}/folder")
    @Operation(operationId = "folder", summary = "One student: all classes and instruments, every milestone, every try")
    FolderView folder(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        UUID programId = person.programId();
        LocalDate today = office.today(programId);
        Student student = rosters.student(programId, studentId);
        List<Seat> seats = rosters.seatsOf(programId, studentId);
        List<HeardAttempt> heard = hearing.ofStudent(programId, studentId);
        Map<UUID, String> hearers = hearing.namesOfHearers(programId, heard);
        Map<UUID, String> classNames =
                rosters.classes(programId).stream().collect(Collectors.toMap(SchoolClass::id, SchoolClass::name));
        Set<UUID> heardMilestones =
                heard.stream().map(h -> h.attempt().milestoneId()).collect(Collectors.toCollection(LinkedHashSet::new));
        Sheet sheet = progress.sheet(programId, seats, today, heardMilestones);
        Map<UUID, BeltLook> looks = library.beltLooks(programId);

        List<FolderInstrument> instruments = new ArrayList<>();
        seats.stream()
                .map(Seat::instrument)
                .distinct()
                .sorted(Comparator.comparingInt(code -> catalog.withCode(code).scoreRank()))
                .forEach(instrument -> instruments.add(
                        instrument(new Player(studentId, instrument), sheet, heard, hearers, classNames, looks)));
        return new FolderView(
                student.id(),
                student.name(),
                seats.stream()
                        .map(seat -> new FolderSeat(
                                seat.classId(),
                                classNames.get(seat.classId()),
                                catalog.withCode(seat.instrument()).name(),
                                seat.division(),
                                seat.startsOn(),
                                seat.endsOn().orElse(null)))
                        .toList(),
                instruments);
    }

    private FolderInstrument instrument(
            Player player,
            Sheet sheet,
            List<HeardAttempt> heard,
            Map<UUID, String> hearers,
            Map<UUID, String> classNames,
            Map<UUID, BeltLook> looks) {
        Map<UUID, List<HeardAttempt>> byMilestone = heard.stream()
                .filter(h -> h.attempt().instrument().equals(player.instrument()))
                .collect(Collectors.groupingBy(h -> h.attempt().milestoneId()));
        Set<UUID> corrected =
                heard.stream().flatMap(h -> h.attempt().corrects().stream()).collect(Collectors.toSet());
        List<FolderMilestone> milestones = sheet.milestones().values().stream()
                .filter(m -> m.kind() != MilestoneKind.BELT)
                .filter(m -> sheet.assigned(player).containsKey(m.id())
                        || byMilestone.containsKey(m.id())
                        || sheet.standing(player, m.id()).isPassed())
                .map(m -> {
                    Assignment assignment = sheet.assigned(player).get(m.id());
                    return new FolderMilestone(
                            m.id(),
                            m.kind(),
                            m.shortName(),
                            m.title(),
                            assignment == null ? null : assignment.setOn(),
                            assignment == null ? null : assignment.dueOn(),
                            StandingView.of(sheet.standing(player, m.id())),
                            byMilestone.getOrDefault(m.id(), List.of()).stream()
                                    .map(h -> tryView(h, m, corrected, hearers, classNames))
                                    .toList());
                })
                .sorted(Comparator.comparing(
                        FolderMilestone::dueOn,
                        Comparator.nullsLast(
                                Comparator.<LocalDate>naturalOrder().reversed())))
                .toList();
        Belting belting = boards.belting(player, sheet);
        List<Standing> standings = milestones.stream()
                .map(m -> sheet.standing(player, m.milestoneId()))
                .toList();
        return new FolderInstrument(
                player.instrument(),
                catalog.withCode(player.instrument()).name(),
                belting.worn().map(belt -> belt(belt, looks)).orElse(null),
                belting.next().map(belt -> belt(belt, looks)).orElse(null),
                belting.missing().stream().map(Milestone::title).toList(),
                (int) standings.stream().filter(Standing::isPassed).count(),
                (int) standings.stream().filter(Standing::isOpen).count(),
                milestones);
    }

    private static BeltView belt(Belt belt, Map<UUID, BeltLook> looks) {
        return BoardController.beltView(belt, looks.get(belt.id()));
    }

    private static TryView tryView(
            HeardAttempt heard,
            Milestone milestone,
            Set<UUID> corrected,
            Map<UUID, String> hearers,
            Map<UUID, String> classNames) {
        var attempt = heard.attempt();
        boolean scored = milestone.kind() == MilestoneKind.PLAYING_TEST
                && !attempt.marks().isEmpty();
        return new TryView(
                attempt.id(),
                attempt.heardOn(),
                attempt.recordedAt().atOffset(java.time.ZoneOffset.UTC),
                attempt.outcome(),
                attempt.evidence(),
                classNames.getOrDefault(attempt.classId(), ""),
                hearers.getOrDefault(heard.heardBy(), ""),
                scored ? PassJudge.points(attempt.marks()) : null,
                heard.reason(),
                heard.note(),
                corrected.contains(attempt.id()),
                attempt.corrects().orElse(null));
    }
}
