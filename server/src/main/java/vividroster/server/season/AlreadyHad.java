package vividroster.server.season;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.Standing;
import vividroster.core.roster.Seat;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;
import vividroster.server.hearing.Progress.Question;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.roster.Rosters;

/** What the sections of a class need not be set once more: each player was set it, in any class, or has it. */
@Component
class AlreadyHad {

    private final Rosters rosters;
    private final Progress progress;

    AlreadyHad(Rosters rosters, Progress progress) {
        this.rosters = rosters;
        this.progress = progress;
    }

    /** @param sections of a class; players by instrument */
    record Had(Map<InstrumentCode, List<Player>> sections, Sheet sheet) {

        /** Whether a section need not be set a milestone, or a belt. */
        boolean by(InstrumentCode section, UUID milestoneId) {
            List<Player> players = sections.getOrDefault(section, List.of());
            return !players.isEmpty() && players.stream().allMatch(player -> has(player, milestoneId));
        }

        private boolean has(Player player, UUID milestoneId) {
            return sheet.assigned(player).containsKey(milestoneId)
                    || sheet.standing(player, milestoneId).fillsSlot()
                    || earned(player).contains(milestoneId);
        }

        private Set<UUID> earned(Player player) {
            Map<UUID, Standing> standings = sheet.standings().getOrDefault(player, Map.of());
            Set<UUID> earned = new HashSet<>();
            sheet.ladders()
                    .forEach(ladder -> new BeltLadder(ladder)
                            .earned(player.instrument(), standings)
                            .forEach(one -> earned.add(one.belt().id())));
            return earned;
        }
    }

    Had of(SeasonYear year, UUID classId, Collection<UUID> milestoneIds) {
        List<Seat> seats = rosters.seatsOfStudentsIn(year.programId(), List.of(classId), year.today());
        return new Had(
                seats.stream()
                        .filter(seat -> seat.classId().equals(classId) && seat.isHeldOn(year.today()))
                        .collect(Collectors.groupingBy(
                                Seat::instrument,
                                Collectors.mapping(
                                        seat -> new Player(seat.studentId(), seat.instrument()), Collectors.toList()))),
                progress.sheet(
                        year.programId(),
                        Question.of(seats, year.today()).withBelts().also(milestoneIds)));
    }
}
