package vividroster.core.grading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static vividroster.core.curriculum.MilestoneKind.LINE;
import static vividroster.core.curriculum.MilestoneKind.PLAYING_TEST;
import static vividroster.core.curriculum.MilestoneKind.TECHNIQUE_CHECK;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.grading.Grade.Excused;
import vividroster.core.grading.Grade.Item;
import vividroster.core.grading.Grade.NeverHeard;
import vividroster.core.grading.Grade.NotYet;
import vividroster.core.grading.Grade.Passed;
import vividroster.core.grading.Grade.Result;
import vividroster.core.grading.Grade.Scored;
import vividroster.core.grading.GradeScheme.Unheard;

class GradeTest {

    private static int made;

    private static Item item(MilestoneKind kind, Result result) {
        return new Item(new UUID(0, ++made), kind, result);
    }

    private static GradeScheme scheme(Unheard unheard, GradeScale scale) {
        return new GradeScheme(Map.of(LINE, 1, PLAYING_TEST, 3), 40, unheard, scale);
    }

    private static final List<Item> ITEMS = List.of(
            item(LINE, new Passed()),
            item(LINE, new NotYet()),
            item(LINE, new Excused()),
            item(LINE, new NeverHeard()),
            item(TECHNIQUE_CHECK, new Passed()),
            item(PLAYING_TEST, new Scored(0.8)));

    /** Lines: (1 + 0.4) / 2 = 0.7; test 0.8; a quarter and three quarters: 0.175 + 0.6 = 0.775. */
    @Test
    void kindsAreWeighedAndWhatWasNotHeardIsLeftOut() {
        Grade grade = Grade.of(scheme(Unheard.LEFT_OUT, new GradeScale.Percent()), ITEMS);
        assertThat(grade.percent().getAsDouble()).isCloseTo(77.5, within(1e-9));
        assertThat(grade.written()).contains("77.5 %");
        assertThat(grade.kinds()).extracting(Grade.OfKind::kind).containsExactly(LINE, PLAYING_TEST);
        assertThat(grade.kinds().getFirst().items()).isEqualTo(2);
        assertThat(grade.kinds().getLast().part()).isEqualTo(0.75);
        assertThat(grade.items()).hasSize(6);
        assertThat(grade.items().get(4).share()).as("checks count nothing").isEmpty();
    }

    /** Lines: (1 + 0.4 + 0) / 3 = 0.46…; a quarter of it and 0.6: 0.71666…. */
    @Test
    void someSchoolsCountWhatWasNotHeardAsNothing() {
        Grade grade = Grade.of(scheme(Unheard.NOTHING, new GradeScale.Points(20)), ITEMS);
        assertThat(grade.percent().getAsDouble()).isCloseTo(71.6666667, within(1e-6));
        assertThat(grade.written()).contains("14.3");
    }

    @Test
    void aKindWithNothingGivesItsWeightToTheOthers() {
        Grade grade = Grade.of(scheme(Unheard.LEFT_OUT, new GradeScale.Percent()), ITEMS.subList(0, 2));
        assertThat(grade.percent().getAsDouble()).isCloseTo(70, within(1e-9));
        Grade none = Grade.of(scheme(Unheard.LEFT_OUT, new GradeScale.Percent()), ITEMS.subList(2, 4));
        assertThat(none.percent()).isEmpty();
        assertThat(none.written()).isEmpty();
    }

    /** The limits are as many schools cut the four standards; what reads as 90.0 percent is a 4. */
    @ParameterizedTest
    @CsvSource({"0, 1", "49.9, 1", "50, 2", "69.94, 2", "69.96, 3", "89.949, 3", "89.95, 4", "100, 4"})
    void standardsBeginWhereTheyAreReached(double percent, String written) {
        assertThat(GradeScale.standards().written(percent)).isEqualTo(written);
    }

    @Test
    void aSchemeOrScaleThatCannotGradeIsRefused() {
        assertThatThrownBy(() -> new GradeScheme(Map.of(), 50, Unheard.NOTHING, new GradeScale.Percent()))
                .hasMessage("weights must be above 0 for one kind at least, all were 0");
        assertThatThrownBy(() -> new GradeScheme(Map.of(LINE, 0), 50, Unheard.NOTHING, new GradeScale.Percent()))
                .hasMessageContaining("1..100, LINE was 0");
        assertThatThrownBy(() -> new GradeScheme(Map.of(LINE, 1), 101, Unheard.NOTHING, new GradeScale.Percent()))
                .hasMessageContaining("0..100, was 101");
        assertThatThrownBy(() -> new GradeScale.Points(0)).hasMessageContaining("1..1000");
        assertThatThrownBy(() -> steps(10, 50)).hasMessageContaining("begin at 0 percent, was 10");
        assertThatThrownBy(() -> steps(0)).hasMessageContaining("2..12, were 1");
        assertThatThrownBy(() -> steps(0, 50, 50)).hasMessageContaining("must rise, 50 came after 50");
        assertThatThrownBy(() ->
                        new GradeScale.Steps(List.of(new GradeScale.Step(0, "seen"), new GradeScale.Step(60, "seen"))))
                .hasMessageContaining("two of the steps");
        assertThatThrownBy(() -> new Scored(-0.1)).hasMessageContaining("0..1");
    }

    private static GradeScale.Steps steps(int... from) {
        List<GradeScale.Step> steps = new ArrayList<>();
        for (int percent : from) {
            steps.add(new GradeScale.Step(percent, "step " + steps.size()));
        }
        return new GradeScale.Steps(steps);
    }

    @Property(tries = 200)
    void weightsScaleOutAndTheGradeLiesBetweenItsKinds(
            @ForAll long seed, @ForAll @IntRange(min = 2, max = 9) int times) {
        Random random = new Random(seed);
        Map<MilestoneKind, Integer> weights = new EnumMap<>(MilestoneKind.class);
        Map<MilestoneKind, Integer> scaled = new EnumMap<>(MilestoneKind.class);
        for (MilestoneKind kind : MilestoneKind.values()) {
            int weight = 1 + random.nextInt(10);
            weights.put(kind, weight);
            scaled.put(kind, weight * times);
        }
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(12); i++) {
            MilestoneKind kind = MilestoneKind.values()[random.nextInt(MilestoneKind.values().length)];
            items.add(item(kind, random.nextInt(6) == 0 ? new Excused() : new Scored(random.nextInt(101) / 100.0)));
        }
        Grade grade = Grade.of(new GradeScheme(weights, 50, Unheard.LEFT_OUT, new GradeScale.Percent()), items);
        Grade other = Grade.of(new GradeScheme(scaled, 50, Unheard.LEFT_OUT, new GradeScale.Percent()), items);
        assertThat(other.written()).isEqualTo(grade.written());
        if (grade.percent().isPresent()) {
            assertThat(grade.kinds().stream().mapToDouble(Grade.OfKind::part).sum())
                    .isCloseTo(1, within(1e-9));
            assertThat(grade.percent().getAsDouble())
                    .isBetween(
                            grade.kinds().stream()
                                                    .mapToDouble(Grade.OfKind::share)
                                                    .min()
                                                    .orElseThrow()
                                            * 100
                                    - 1e-9,
                            grade.kinds().stream()
                                                    .mapToDouble(Grade.OfKind::share)
                                                    .max()
                                                    .orElseThrow()
                                            * 100
                                    + 1e-9);
        }
    }

    @Test
    void periodsDoNotShareADay() {
        MarkingPeriod autumn = new MarkingPeriod("Autumn", LocalDate.of(2026, 8, 24), LocalDate.of(2026, 12, 18));
        MarkingPeriod spring = new MarkingPeriod("Spring", LocalDate.of(2026, 12, 18), LocalDate.of(2027, 5, 28));
        assertThat(autumn.holds(autumn.last())).isTrue();
        assertThat(autumn.holds(autumn.last().plusDays(1))).isFalse();
        assertThatThrownBy(() -> MarkingPeriod.checked(List.of(autumn, spring)))
                .hasMessageContaining("must not share a day");
        assertThatThrownBy(() -> MarkingPeriod.checked(
                        List.of(autumn, new MarkingPeriod("autumn", spring.last(), spring.last()))))
                .hasMessageContaining("are called");
        assertThatThrownBy(() -> new MarkingPeriod("Spring", spring.last(), spring.first()))
                .hasMessageContaining("must not be before first");
    }

    private static Grade graded(GradeScale scale, double share) {
        return Grade.of(
                new GradeScheme(Map.of(PLAYING_TEST, 1), 0, Unheard.LEFT_OUT, scale),
                List.of(item(PLAYING_TEST, new Scored(share))));
    }

    @Test
    void gradesAreCountedByStepOrByTens() {
        GradeScale standards = GradeScale.standards();
        assertThat(GradeCounts.of(
                        standards, List.of(graded(standards, 0.95), graded(standards, 0.75), graded(standards, 0.71))))
                .extracting(GradeCounts.Count::students)
                .containsExactly(0, 0, 2, 1);
        GradeScale percent = new GradeScale.Percent();
        List<GradeCounts.Count> tens = GradeCounts.of(
                percent,
                List.of(
                        graded(percent, 1),
                        graded(percent, 0.3),
                        graded(percent, 0.39),
                        Grade.of(new GradeScheme(Map.of(PLAYING_TEST, 1), 0, Unheard.LEFT_OUT, percent), List.of())));
        assertThat(tens).hasSize(11);
        assertThat(tens.get(3)).isEqualTo(new GradeCounts.Count("30–39 %", 2));
        assertThat(tens.get(10)).isEqualTo(new GradeCounts.Count("100 %", 1));
    }
}
