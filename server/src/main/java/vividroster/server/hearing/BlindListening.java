package vividroster.server.hearing;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.progress.Standing;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.ScoredTries;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.platform.SignedIn;
import vividroster.server.playingtests.PlayingTests;

/** Tests that two score independently: whom each has still to hear, and what is not told until then. */
@Service
class BlindListening {

    private final Hearing hearing;
    private final PlayingTests playingTests;

    BlindListening(Hearing hearing, PlayingTests playingTests) {
        this.hearing = hearing;
        this.playingTests = playingTests;
    }

    /** Where a player stands; what the other of two listeners found today is not told to who has still to score. */
    static Standing standing(Sheet sheet, Player player, UUID milestoneId, Set<UUID> waiting, LocalDate today) {
        return waiting.contains(player.studentId())
                ? sheet.standingOn(player, milestoneId, today.minusDays(1))
                : sheet.standing(player, milestoneId);
    }

    /** Whom the other of two listeners has scored today, and this one has still to. */
    @Transactional(readOnly = true)
    Set<UUID> waitingFor(SignedIn person, Milestone milestone, Collection<UUID> studentIds, LocalDate today) {
        int listeners = milestone.kind() == MilestoneKind.PLAYING_TEST
                ? playingTests
                        .of(person.programId(), milestone.id())
                        .map(PlayingTest::listeners)
                        .orElse(1)
                : 1;
        if (listeners == 1) {
            return Set.of();
        }
        Map<UUID, List<UUID>> heardBy = hearing.standing(person.programId(), studentIds, milestone.id()).stream()
                .filter(heard -> heard.attempt().heardOn().equals(today)
                        && !heard.attempt().marks().isEmpty())
                .collect(Collectors.groupingBy(
                        heard -> heard.attempt().studentId(),
                        Collectors.mapping(HeardAttempt::heardBy, Collectors.toList())));
        return heardBy.entrySet().stream()
                .filter(entry -> ScoredTries.waitsFor(entry.getValue(), person.accountId(), listeners))
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }
}
