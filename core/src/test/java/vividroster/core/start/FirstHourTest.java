package vividroster.core.start;

import static org.assertj.core.api.Assertions.assertThat;
import static vividroster.core.start.FirstHour.Step.BOOKS;
import static vividroster.core.start.FirstHour.Step.CLASSES;
import static vividroster.core.start.FirstHour.Step.FIRST_WEEKS;
import static vividroster.core.start.FirstHour.Step.ROSTER;
import static vividroster.core.start.FirstHour.Step.SCHOOL_AND_YEAR;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import vividroster.core.start.FirstHour.Facts;
import vividroster.core.start.FirstHour.Missing;
import vividroster.core.start.FirstHour.State;
import vividroster.core.start.FirstHour.Step;
import vividroster.core.start.FirstHour.Told;

class FirstHourTest {

    private static final Facts EMPTY =
            new Facts(false, 190, List.of(), List.of(), 0, 0, 0, false, List.of(), 0, 0, 0, Set.of());

    private static Facts facts(List<String> classes, List<String> empty, int students, List<String> unordered) {
        return new Facts(true, 190, classes, empty, students, 1, 40, true, unordered, 3, 1, 1, Set.of());
    }

    private static Map<Step, Told> told(Facts facts) {
        return FirstHour.of(facts).stream().collect(Collectors.toMap(Told::step, t -> t));
    }

    @Test
    void anEmptyProgrammeHasEverythingBeforeIt() {
        assertThat(FirstHour.of(EMPTY)).extracting(Told::state).containsOnly(State.OPEN);
        assertThat(FirstHour.of(EMPTY)).extracting(Told::step).containsExactly(Step.values());
        assertThat(FirstHour.isOver(FirstHour.of(EMPTY))).isFalse();
    }

    @Test
    void whatIsHalfDoneSaysWhatItLacks() {
        Map<Step, Told> told = told(facts(List.of("Winds", "Strings"), List.of("Strings"), 40, List.of()));
        assertThat(told.get(ROSTER).missing()).contains(new Missing.Students(List.of("Strings")));
        assertThat(told.get(CLASSES).state()).isEqualTo(State.DONE);
        Map<Step, Told> ordered = told(facts(List.of("Winds", "Strings"), List.of(), 80, List.of("Strings")));
        assertThat(ordered.get(FIRST_WEEKS).missing()).contains(new Missing.Orders(List.of("Strings")));
        assertThat(told(facts(List.of("Winds", "Strings"), List.of(), 80, List.of("Winds", "Strings")))
                        .get(FIRST_WEEKS)
                        .state())
                .as("nothing is set for anybody")
                .isEqualTo(State.OPEN);
        Facts noLines = new Facts(true, 0, List.of(), List.of(), 0, 1, 0, true, List.of(), 0, 0, 0, Set.of());
        assertThat(told(noLines).get(BOOKS).missing()).contains(new Missing.Lines());
        assertThat(told(noLines).get(SCHOOL_AND_YEAR).missing()).contains(new Missing.Year());
    }

    @Test
    void itGoesAwayByItselfWhenAllIsDoneOrLeftOut() {
        assertThat(FirstHour.isOver(FirstHour.of(facts(List.of("Winds"), List.of(), 40, List.of()))))
                .isTrue();
        Facts lessonsBegan =
                new Facts(true, 190, List.of("Winds"), List.of(), 40, 1, 40, false, List.of(), 0, 0, 0, Set.of());
        assertThat(FirstHour.isOver(FirstHour.of(lessonsBegan)))
                .as("schools, belts and who else hears hold nobody up")
                .isTrue();
        Facts leftOut = new Facts(
                false, 190, List.of(), List.of(), 0, 0, 0, false, List.of(), 0, 0, 0, EnumSet.allOf(Step.class));
        assertThat(FirstHour.of(leftOut)).extracting(Told::state).containsOnly(State.LEFT_OUT);
        assertThat(FirstHour.isOver(FirstHour.of(leftOut))).isTrue();
    }

    @Test
    void whatWasLeftOutAndIsDoneAfterAllIsDone() {
        Facts facts = new Facts(
                true,
                190,
                List.of("Winds"),
                List.of(),
                9,
                1,
                4,
                true,
                List.of(),
                0,
                0,
                0,
                EnumSet.of(BOOKS, Step.WHO_ELSE));
        assertThat(told(facts).get(BOOKS).state()).isEqualTo(State.DONE);
        assertThat(told(facts).get(Step.WHO_ELSE)).isEqualTo(new Told(Step.WHO_ELSE, State.LEFT_OUT, Optional.empty()));
    }
}
