package vividroster.server.playingtests;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.Bpm;
import vividroster.core.reading.Entry;
import vividroster.core.reading.Excerpt;
import vividroster.core.reading.Excerpt.Span;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.PlayingTest.Part;
import vividroster.core.testing.RetakePolicy;
import vividroster.core.testing.TestConditions;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.TestFacts;
import vividroster.server.lines.LineTimes;
import vividroster.server.lines.LineTimes.Timed;

/** What playing tests consist of, and how long they take to play. */
@Service
public class PlayingTests {

    /** A check that is looked at on the way. Ours, to be tuned. */
    private static final double LOOK_SECONDS = 10;

    private final PlayingTestQueries queries;
    private final Library library;
    private final LineTimes times;

    PlayingTests(PlayingTestQueries queries, Library library, LineTimes times) {
        this.queries = queries;
        this.library = library;
        this.times = times;
    }

    /** By milestone; what is no playing test, or plays nothing that is known, is left out. */
    @Transactional(readOnly = true)
    public Map<UUID, PlayingTest> of(UUID programId, Collection<UUID> milestoneIds) {
        Map<UUID, PlayingTest> tests = new HashMap<>();
        queries.findNewest(programId, milestoneIds).forEach((id, content) -> tests.put(id, content.toTest()));
        Set<UUID> others = new HashSet<>(milestoneIds);
        others.removeAll(tests.keySet());
        if (!others.isEmpty()) {
            byLineAlone(programId, library.tests(programId, others), tests);
        }
        return tests;
    }

    /** The same where what a test is played from was read already. */
    @Transactional(readOnly = true)
    public Map<UUID, PlayingTest> of(UUID programId, Map<UUID, TestFacts> facts) {
        Map<UUID, PlayingTest> tests = new HashMap<>();
        queries.findNewest(programId, facts.keySet()).forEach((id, content) -> tests.put(id, content.toTest()));
        byLineAlone(programId, facts, tests);
        return tests;
    }

    private void byLineAlone(UUID programId, Map<UUID, TestFacts> facts, Map<UUID, PlayingTest> tests) {
        List<TestFacts> alone = facts.values().stream()
                .filter(fact ->
                        !tests.containsKey(fact.milestoneId()) && fact.lineId().isPresent())
                .toList();
        if (!alone.isEmpty()) {
            int countIn = times.countInMeasures(programId);
            alone.forEach(fact ->
                    tests.put(fact.milestoneId(), ofLine(fact.lineId().orElseThrow(), fact.conditions(), countIn)));
        }
    }

    /** A test that was put on the shelf by its line alone. */
    private static PlayingTest ofLine(UUID lineId, String words, int countInMeasures) {
        TestConditions usual = TestConditions.usual();
        return new PlayingTest(
                List.of(Part.of(lineId)),
                new TestConditions(
                        usual.tempo(),
                        usual.tolerancePercent(),
                        usual.pitchCheck(),
                        countInMeasures,
                        usual.fullValues(),
                        usual.accompaniment(),
                        usual.memory(),
                        usual.fermata(),
                        words),
                RetakePolicy.usual(),
                1);
    }

    /** Whether its conditions were said one by one; else they are words alone. */
    @Transactional(readOnly = true)
    boolean isBuilt(UUID programId, UUID milestoneId) {
        return queries.findNewest(programId, Set.of(milestoneId)).containsKey(milestoneId);
    }

    @Transactional(readOnly = true)
    public Optional<PlayingTest> of(UUID programId, UUID milestoneId) {
        return Optional.ofNullable(of(programId, Set.of(milestoneId)).get(milestoneId));
    }

    /** Seconds of playing with the count-ins, everybody's measures, and of looking at checks on the way. */
    public static double seconds(PlayingTest test, Map<UUID, LineFacts> lines, Map<UUID, Timed> timed) {
        return test.parts().stream()
                .mapToDouble(part -> seconds(test, part, part.excerpt(), lines, timed))
                .sum();
    }

    /** Of one part as a section plays it, in seconds with its count-in. */
    static double seconds(
            PlayingTest test,
            Part part,
            Optional<Excerpt> excerpt,
            Map<UUID, LineFacts> lines,
            Map<UUID, Timed> timed) {
        LineFacts line = lines.get(part.milestoneId());
        if (line == null) {
            return LOOK_SECONDS;
        }
        int countIn = test.conditions().countInMeasures();
        Timed notes = timed.get(part.milestoneId());
        if (notes == null || notes.view().roadmap().isEmpty()) {
            int measures = excerpt.map(e -> Math.abs(e.to() - e.from()) + 1).orElse(line.played());
            Bpm tempo = test.conditions().tempo().orElse(line.tempo());
            return tempo.secondsFor(line.meter().beatsPerMeasure() * (countIn + measures));
        }
        double faster = test.conditions()
                .tempo()
                .map(tempo -> notes.view().tempo().value() / tempo.value())
                .orElse(1.0);
        double counted = countIn == 0 ? 0 : Entry.countInSeconds(notes.view(), countIn);
        return (Excerpt.seconds(notes.view(), span(notes, excerpt)) + counted) * faster;
    }

    /** Where a part lies in the played order; all of it where the excerpt is not in the line any more. */
    static Span span(Timed line, Optional<Excerpt> excerpt) {
        return excerpt.flatMap(e -> e.in(line.view(), line.numbering()).span())
                .orElseGet(() ->
                        new Span(0, line.view().roadmap().orElseThrow().played().size() - 1));
    }

    /** Puts a test on the shelf as it is; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, UUID accountId, Milestone milestone, PlayingTest test, int shelfOrder) {
        Optional<UUID> line = test.parts().stream().map(Part::milestoneId).findFirst();
        Optional<Bpm> own = library.lines(programId, line.stream().toList()).values().stream()
                .findFirst()
                .map(LineFacts::tempo);
        library.addTest(
                programId,
                milestone,
                new TestFacts(milestone.id(), line, TestWording.inOne(test.conditions(), own)),
                shelfOrder);
        queries.insertVersion(programId, milestone.id(), milestone.version(), TestContent.of(test), accountId);
    }
}
