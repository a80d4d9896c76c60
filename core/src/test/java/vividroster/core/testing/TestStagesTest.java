package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.reading.Excerpt.Span;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;
import vividroster.core.testing.TestStages.Passage;
import vividroster.core.testing.TestStages.Stage;

class TestStagesTest {

    private static final TimedView EIGHT = TimedView.of(Lines.notes(
            "C major", "4/4", "C4 D4 E4 F4|G4 A4 G4 F4|E4 F4 E4 D4|C4*3 r|C4 D4 E4 F4|G4 A4 G4 F4|E4 D4 E4 D4|C4*4"));

    /** A rest ends the phrase of the fourth measure, in the middle: places 0 to 3. The join is two measures each way. */
    @Test
    void halvesAreCutWhereAPhraseEnds() {
        assertThat(TestStages.of(EIGHT, new Span(0, 7)))
                .containsExactly(
                        new Passage(Stage.OPENING, 0, 1),
                        new Passage(Stage.FIRST_HALF, 0, 3),
                        new Passage(Stage.JOIN, 2, 5),
                        new Passage(Stage.WHOLE, 0, 7));
    }

    /** Of measures 2 to 6 the middle is 3; the phrase ends with 4, one later: within a quarter of five. */
    @Test
    void anExcerptHasItsOwnHalves() {
        assertThat(TestStages.of(EIGHT, new Span(1, 5)))
                .contains(new Passage(Stage.FIRST_HALF, 1, 3), new Passage(Stage.WHOLE, 1, 5));
    }

    @Test
    void whatIsShortHasFewerStages() {
        assertThat(TestStages.of(EIGHT, new Span(2, 2))).containsExactly(new Passage(Stage.WHOLE, 2, 2));
        assertThat(TestStages.of(EIGHT, new Span(0, 1)))
                .containsExactly(new Passage(Stage.FIRST_HALF, 0, 0), new Passage(Stage.WHOLE, 0, 1));
    }

    /** Stages by week, from the first to the last: written out by hand. */
    @ParameterizedTest(name = "{0} weeks: {1}")
    @CsvSource({"1, abcd", "2, ab-cd", "3, a-b-cd", "4, a-b-c-d", "6, --a-b-c-d"})
    void theLastWeekHasTheWhole(int weeks, String expected) {
        Map<Integer, List<String>> byWeek = TestStages.byWeek(List.of("a", "b", "c", "d"), weeks);
        String[] words = expected.split("-", -1);
        for (int week = 0; week < weeks; week++) {
            assertThat(String.join("", byWeek.getOrDefault(week, List.of()))).isEqualTo(words[week]);
        }
    }

    @Property
    void everyStageHasOneWeekInOrderAndTheLastWeekTheLast(
            @ForAll @IntRange(min = 1, max = 4) int stages, @ForAll @IntRange(min = 1, max = 12) int weeks) {
        List<Integer> all = IntStream.range(0, stages).boxed().toList();
        Map<Integer, List<Integer>> byWeek = TestStages.byWeek(all, weeks);
        assertThat(byWeek.values().stream().flatMap(Collection::stream)).containsExactlyElementsOf(all);
        assertThat(List.copyOf(byWeek.keySet())).isSorted().allMatch(week -> week >= 0 && week < weeks);
        assertThat(byWeek.get(weeks - 1)).contains(stages - 1);
    }

    @Test
    void nothingToRehearseIsRefused() {
        assertThatThrownBy(() -> TestStages.byWeek(List.of(), 2)).hasMessageContaining("at least 1");
        assertThatThrownBy(() -> TestStages.byWeek(List.of(1), 0)).hasMessageContaining("at least 1");
    }

    /** Set on a Wednesday, due on a Friday three weeks on, a break between: two teaching weeks of it and its own. */
    @Test
    void weeksWithoutTeachingRehearseNothing() {
        LocalDate first = LocalDate.of(2026, 11, 9);
        List<LocalDate> mondays = List.of(first.minusWeeks(1), first, first.plusWeeks(1), first.plusWeeks(3));
        List<String> stages = List.of("a", "b", "c", "d");
        LocalDate setOn = first.plusDays(2);
        LocalDate dueOn = first.plusWeeks(3).plusDays(4);
        assertThat(TestStages.inWeek(stages, mondays, setOn, dueOn, first)).containsExactly("a");
        assertThat(TestStages.inWeek(stages, mondays, setOn, dueOn, first.plusWeeks(1)))
                .containsExactly("b");
        assertThat(TestStages.inWeek(stages, mondays, setOn, dueOn, first.plusWeeks(2)))
                .isEmpty();
        assertThat(TestStages.inWeek(stages, mondays, setOn, dueOn, first.plusWeeks(3)))
                .containsExactly("c", "d");
        assertThat(TestStages.inWeek(stages, mondays, setOn, dueOn, first.minusWeeks(1)))
                .isEmpty();
        assertThat(TestStages.inWeek(List.of(), mondays, setOn, dueOn, first)).isEmpty();
    }
}
