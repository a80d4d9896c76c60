package vividroster.core.ensemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.ensemble.PieceDemand.Section;
import vividroster.core.ensemble.PieceDemand.Told;
import vividroster.core.ensemble.PieceDemand.Worked;

class PieceDemandTest {

    private static Worked line(int number, int passedBy, boolean lately, String... notes) {
        return new Worked(new UUID(1, number), Set.of(notes), passedBy, lately);
    }

    /** Of four players; one line a week in the last two weeks. */
    private static final Section SECTION = new Section(
            4,
            List.of(
                    line(1, 4, false, "C4", "D4"),
                    line(2, 2, true, "E4"),
                    line(3, 4, true, "F4"),
                    line(4, 1, true, "G4"),
                    line(5, 0, false, "A4"),
                    line(6, 0, false, "B4")),
            2);

    @Test
    void aLineIsTheSectionsWhereHalfOfItPassedIt() {
        assertThat(SECTION.met()).containsExactlyInAnyOrder("C4", "D4", "E4", "F4");
        assertThat(SECTION.pace()).isEqualTo(1.0);
        assertThat(SECTION.metAfter(2)).containsExactlyInAnyOrder("C4", "D4", "E4", "F4", "G4", "A4");
        assertThat(new Section(0, SECTION.lines(), 2).met()).as("nobody plays").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "0, 2, 'A4 C6 D6 G4', 2, false",
        "1, 2, 'A4 C6 D6', 2, false",
        "2, 2, 'C6 D6', 1, true",
        "2, 1, 'C6 D6', 2, true",
        "0, 1, 'A4 C6 D6 G4', 4, false",
    })
    void whatIsNewTodayIsTaughtOnlyWhereItDoesNotComeOfItself(
            int weeksLeft, int aWeek, String toTeach, int weeks, boolean fits) {
        Told told = PieceDemand.of(List.of("C4", "G4", "A4", "C6", "D6", "C6"), SECTION, weeksLeft, aWeek);
        assertThat(told.asked()).isEqualTo(5);
        assertThat(told.newNow()).containsExactly("A4", "C6", "D6", "G4");
        assertThat(told.toTeach()).containsExactly(toTeach.split(" "));
        assertThat(told.weeks()).isEqualTo(weeks);
        assertThat(told.fits()).isEqualTo(fits);
    }

    @Test
    void thePieceThatLeavesLeastToTeachComesFirst() {
        Map<String, List<Told>> pieces = new LinkedHashMap<>();
        pieces.put("hard", List.of(new Told(9, List.of("C6", "D6"), List.of("C6", "D6"), 1, true)));
        pieces.put("comes by itself", List.of(new Told(9, List.of("A4"), List.of(), 0, true)));
        pieces.put("known", List.of(new Told(9, List.of(), List.of(), 0, true)));
        assertThat(PieceDemand.easiestFirst(pieces)).containsExactly("known", "comes by itself", "hard");
        assertThatThrownBy(() -> PieceDemand.of(List.of(), SECTION, 1, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
