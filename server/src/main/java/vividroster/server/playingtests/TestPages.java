package vividroster.server.playingtests;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.reading.Excerpt;
import vividroster.core.reading.Excerpt.Span;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.PlayingTest.Part;
import vividroster.core.testing.PlayingTest.Variant;
import vividroster.core.testing.TestConditions;
import vividroster.core.testing.TestStages;
import vividroster.core.testing.TestStages.Passage;
import vividroster.core.testing.TestStages.Stage;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.library.MilestoneView;
import vividroster.server.library.TestFacts;
import vividroster.server.lines.LineTimes;
import vividroster.server.lines.LineTimes.Timed;
import vividroster.server.lines.ReferenceTones;
import vividroster.server.lines.ReferenceTones.ReferenceToneView;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/** A playing test as it is shown: what a section plays of it, under which conditions, and how it is rehearsed. */
@Service
public class TestPages {

    private final PlayingTests tests;
    private final Library library;
    private final LineTimes times;
    private final ReferenceTones tones;

    TestPages(PlayingTests tests, Library library, LineTimes times, ReferenceTones tones) {
        this.tests = tests;
        this.library = library;
        this.times = times;
        this.tones = tones;
    }

    /**
     * One stage of rehearsing a part.
     *
     * @param from number of its first measure and {@code to} of its last, as played
     */
    public record StageView(Stage stage, String name, String measures, int from, int to) {}

    /**
     * @param lineId absent for a check
     * @param measures played, in words; absent for the whole line and for a check
     * @param played numbers of the measures, in the order played; none where only facts are kept
     * @param otherwise what this section does otherwise, measures apart
     * @param lineTempoBpm the line's own; absent for a check
     */
    public record TestPartView(
            UUID milestoneId,
            MilestoneKind kind,
            String title,
            @Absent UUID lineId,
            @Absent String measures,
            List<Integer> played,
            List<String> otherwise,
            @Absent Double lineTempoBpm,
            int seconds,
            List<StageView> stages) {}

    /**
     * @param conditions one sentence each
     * @param slowestBpm and {@code fastestBpm} still in the tolerance, of the tempo asked; absent where none is known
     * @param tones the pitch check, as every instrument reads it; none where none is taken
     * @param retakes what applies to them, one sentence each
     * @param listeners who score it independently
     */
    public record PlayingTestView(
            MilestoneView milestone,
            List<TestPartView> parts,
            List<String> conditions,
            @Absent Double tempoBpm,
            @Absent Double slowestBpm,
            @Absent Double fastestBpm,
            TestConditions.Accompaniment accompaniment,
            List<ReferenceToneView> tones,
            List<String> retakes,
            int listeners) {}

    /**
     * @param instrument of the section it is shown for; null for everybody
     * @param division of the section; empty for all of it
     * @throws Problem where it is no playing test
     */
    @Transactional(readOnly = true)
    public PlayingTestView page(UUID programId, UUID milestoneId, InstrumentCode instrument, String division) {
        Milestone milestone = library.milestone(programId, milestoneId);
        PlayingTest test = tests.of(programId, milestoneId)
                .orElseThrow(() -> Problem.input("milestoneId", "\"" + milestone.title() + "\" is no playing test."));
        Set<UUID> ids = test.parts().stream().map(Part::milestoneId).collect(Collectors.toSet());
        Map<UUID, Milestone> known =
                library.milestones(programId, ids).stream().collect(Collectors.toMap(Milestone::id, m -> m));
        Map<UUID, LineFacts> lines = library.lines(programId, ids);
        Map<UUID, Timed> timed = times.timed(programId, lines.keySet());
        Map<UUID, TestFacts> facts = library.tests(programId, Set.of(milestoneId));
        Optional<Double> tempo = test.conditions()
                .tempo()
                .map(Bpm::value)
                .or(() -> Optional.ofNullable(facts.get(milestoneId))
                        .flatMap(TestFacts::lineId)
                        .filter(lines::containsKey)
                        .map(id -> TestEditing.own(lines.get(id), timed.get(id)).value()));
        double tolerance = test.conditions().tolerancePercent() / 100.0;
        return new PlayingTestView(
                MilestoneView.of(milestone, lines, facts, library.books(programId)),
                test.parts().stream()
                        .map(part -> part(test, part, instrument, division, known, lines, timed))
                        .toList(),
                tests.isBuilt(programId, milestoneId)
                        ? TestWording.conditions(test.conditions(), tempo.map(Bpm::new))
                        : List.of(facts.get(milestoneId).conditions()),
                tempo.orElse(null),
                tempo.map(t -> t * (1 - tolerance)).orElse(null),
                tempo.map(t -> t * (1 + tolerance)).orElse(null),
                test.conditions().accompaniment(),
                test.conditions()
                        .pitchCheck()
                        .map(tone -> tones.of(programId, tone))
                        .orElse(List.of()),
                TestWording.retakes(test.retakes()),
                test.listeners());
    }

    private static TestPartView part(
            PlayingTest test,
            Part part,
            InstrumentCode instrument,
            String division,
            Map<UUID, Milestone> known,
            Map<UUID, LineFacts> lines,
            Map<UUID, Timed> timed) {
        Milestone milestone = known.get(part.milestoneId());
        boolean line = lines.containsKey(part.milestoneId());
        Optional<Variant> variant = instrument == null ? Optional.empty() : part.variantOf(instrument, division);
        Optional<Excerpt> excerpt = instrument == null ? part.excerpt() : part.excerptOf(instrument, division);
        Optional<Timed> notes = Optional.ofNullable(timed.get(part.milestoneId()))
                .filter(t -> t.view().roadmap().isPresent());
        Optional<Span> span = notes.map(t -> PlayingTests.span(t, excerpt));
        List<Integer> played = span.map(
                        s -> Excerpt.measures(notes.get().view(), s, notes.get().numbering()))
                .orElse(List.of());
        String words = excerpt.isEmpty()
                ? null
                : played.isEmpty()
                        ? "measures " + excerpt.get().from() + " to "
                                + excerpt.get().to()
                        : TestWording.measures(played);
        return new TestPartView(
                part.milestoneId(),
                milestone.kind(),
                milestone.title(),
                line ? part.milestoneId() : null,
                words,
                played,
                variant.map(TestWording::variant).orElse(List.of()),
                line
                        ? (Double) TestEditing.own(lines.get(part.milestoneId()), timed.get(part.milestoneId()))
                                .value()
                        : null,
                (int) Math.round(PlayingTests.seconds(test, part, excerpt, lines, timed)),
                span.map(s -> stages(notes.get(), s)).orElse(List.of()));
    }

    static List<StageView> stages(Timed line, Span span) {
        List<StageView> stages = new ArrayList<>();
        for (Passage passage : TestStages.of(line.view(), span)) {
            List<Integer> measures =
                    Excerpt.measures(line.view(), new Span(passage.first(), passage.last()), line.numbering());
            stages.add(new StageView(
                    passage.stage(),
                    TestWording.stage(passage.stage()),
                    TestWording.measures(measures),
                    measures.getFirst(),
                    measures.getLast()));
        }
        return stages;
    }

    /**
     * How a test is rehearsed and what applies to it.
     *
     * @param stages of its first line with notes, as everybody plays it; none where there is none
     * @param retakes what applies to retakes, late tries and substitutes, one sentence each
     */
    public record Announced(List<StageView> stages, List<String> retakes) {}

    /** By test. */
    @Transactional(readOnly = true)
    public Map<UUID, Announced> announced(UUID programId, Set<UUID> testIds) {
        Map<UUID, PlayingTest> all = tests.of(programId, testIds);
        Set<UUID> lineIds = all.values().stream()
                .flatMap(test -> test.parts().stream())
                .map(Part::milestoneId)
                .collect(Collectors.toSet());
        Map<UUID, Timed> timed = lineIds.isEmpty() ? Map.of() : times.timed(programId, lineIds);
        Map<UUID, Announced> announced = new HashMap<>();
        all.forEach((id, test) -> announced.put(
                id,
                new Announced(
                        test.parts().stream()
                                .filter(part -> timed.containsKey(part.milestoneId())
                                        && timed.get(part.milestoneId())
                                                .view()
                                                .roadmap()
                                                .isPresent())
                                .findFirst()
                                .map(part -> stages(
                                        timed.get(part.milestoneId()),
                                        PlayingTests.span(timed.get(part.milestoneId()), part.excerpt())))
                                .orElse(List.of()),
                        TestWording.retakes(test.retakes()))));
        return announced;
    }
}
