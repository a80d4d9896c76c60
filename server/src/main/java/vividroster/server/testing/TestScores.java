package vividroster.server.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.AttemptLedger;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.RubricScore;
import vividroster.core.testing.CountedScore;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.RetakePolicy;
import vividroster.core.testing.ScoredTries;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.Player;
import vividroster.server.library.Library;
import vividroster.server.playingtests.PlayingTests;

/** What students' tries score: with a playing test by its retakes, with a written check the best of them. */
@Service
public class TestScores {

    /** Tries of one student with one test that are looked at. Ours: twice the most retakes and a correction of each. */
    private static final int MOST_TRIES = 2 * (RetakePolicy.MOST_RETAKES + 1);

    private final Hearing hearing;
    private final Library library;
    private final PlayingTests tests;

    TestScores(Hearing hearing, Library library, PlayingTests tests) {
        this.hearing = hearing;
        this.library = library;
        this.tests = tests;
    }

    /** @param heardIn class in which a try that counts was heard last; empty where none counts */
    public record Score(CountedScore counted, Optional<UUID> heardIn) {}

    /** One student and one milestone. */
    public record Of(Player player, UUID milestoneId) {}

    /**
     * @param dueOn by whom and what is asked; empty where nobody set a day
     * @param on later tries are left out
     */
    @Transactional(readOnly = true)
    public Map<Of, Score> of(
            UUID programId, Map<Of, Optional<LocalDate>> dueOn, Map<UUID, Milestone> milestones, LocalDate on) {
        Map<Player, Set<UUID>> asked = new HashMap<>();
        dueOn.keySet()
                .forEach(of -> asked.computeIfAbsent(of.player(), player -> new HashSet<>())
                        .add(of.milestoneId()));
        if (asked.isEmpty()) {
            return Map.of();
        }
        Map<UUID, HeardAttempt> all = hearing.latest(programId, asked, MOST_TRIES).stream()
                .collect(Collectors.toMap(h -> h.attempt().id(), Function.identity()));
        Map<Of, List<Attempt>> standing = new HashMap<>();
        AttemptLedger.standing(all.values().stream().map(HeardAttempt::attempt).toList()).stream()
                .filter(attempt -> !attempt.heardOn().isAfter(on))
                .forEach(attempt -> standing.computeIfAbsent(
                                new Of(new Player(attempt.studentId(), attempt.instrument()), attempt.milestoneId()),
                                of -> new ArrayList<>())
                        .add(attempt));
        Map<UUID, PlayingTest> definitions = tests.of(programId, milestones.keySet());
        Map<List<Object>, Milestone> versions = new HashMap<>();
        Map<Of, Score> scores = new HashMap<>();
        dueOn.forEach((of, due) -> {
            List<Attempt> tries = standing.getOrDefault(of, List.of());
            Optional<PlayingTest> test = Optional.ofNullable(definitions.get(of.milestoneId()));
            List<ScoredTries.Scored> scored = new ArrayList<>();
            for (Attempt attempt : tries) {
                if (attempt.outcome().isTry() && !attempt.marks().isEmpty()) {
                    Milestone asHeard = versions.computeIfAbsent(
                            List.of(of.milestoneId(), attempt.milestoneVersion()),
                            key -> asHeard(programId, milestones.get(of.milestoneId()), attempt.milestoneVersion()));
                    scored.add(new ScoredTries.Scored(
                            attempt.id(),
                            all.get(attempt.id()).listener(all),
                            attempt.heardOn(),
                            RubricScore.of(asHeard.criteria(), attempt.marks()).share(),
                            attempt.evidence() == Evidence.SUBSTITUTE));
                }
            }
            CountedScore counted = CountedScore.of(
                    test.map(PlayingTest::retakes).orElseGet(RetakePolicy::usual),
                    due,
                    ScoredTries.of(scored, test.map(PlayingTest::listeners).orElse(1)),
                    tries.stream().anyMatch(attempt -> attempt.outcome() == Outcome.EXCUSED),
                    on);
            scores.put(of, new Score(counted, heardIn(counted, all)));
        });
        return scores;
    }

    private static Optional<UUID> heardIn(CountedScore counted, Map<UUID, HeardAttempt> all) {
        return counted.tries().stream()
                .filter(told -> told.fate() == CountedScore.Fate.COUNTS)
                .map(told -> all.get(told.attemptId()).attempt().classId())
                .reduce((a, b) -> b);
    }

    private Milestone asHeard(UUID programId, Milestone newest, int version) {
        return version == newest.version() ? newest : library.milestone(programId, newest.id(), version);
    }
}
