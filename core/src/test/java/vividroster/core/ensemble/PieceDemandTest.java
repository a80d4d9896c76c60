package vividroster.core.ensemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.ensemble.PieceDemand.Section;
import vividroster.core.ensemble.PieceDemand.Told;
import vividroster.core.ensemble.PieceDemand.Worked;
import vividroster.core.plan.SectionPace;

class PieceDemandTest {

    private static Worked line(int number, int passedBy, boolean toCome, String... notes) {
        return new Worked(new UUID(1, number), Set.of(notes), passedBy, toCome);
    }

    /**
     * Of five players, four of whom are enough; four passes in each of the eight weeks behind, so about a line a week. Then come
     * two weeks, a break of one, and two weeks more.
     */
    private static final SectionPace PACE = new SectionPace(
            5,
            List.of(2, 2, 2, 2, 2, 2, 2, 2, 2, 2, 0, 2, 2),
            1,
            9,
            IntStream.rangeClosed(1, 8)
                    .boxed()
                    .flatMap(week -> Stream.of(week, week, week, week))
                    .toList(),
            11);

    private static final Section SECTION = new Section(
            PACE,
            List.of(
                    line(1, 5, false, "C4", "D4"),
                    line(2, 4, true, "E4"),
                    line(3, 3, false, "B5"),
                    line(4, 0, true, "G4"),
                    line(5, 0, true, "A4"),
                    line(6, 0, true, "B4"),
                    line(7, 0, true, "C5")));

    @Test
    void aLineIsTheSectionsWhereEnoughToGoOnHavePassedIt() {
        assertThat(SECTION.met()).as("three of five are not").containsExactlyInAnyOrder("C4", "D4", "E4");
        Section nobody = new Section(new SectionPace(0, List.of(2, 2), 1, 1, List.of(), 2), SECTION.lines());
        assertThat(nobody.met()).isEmpty();
    }

    /** The pace learned is a little under four passes a week. What was left out on the way (line 3) is never counted on. */
    @ParameterizedTest
    @CsvSource({"0, ''", "1, G4", "2, 'G4 A4'", "3, 'G4 A4'", "4, 'G4 A4'", "5, 'G4 A4 B4'", "9, 'G4 A4 B4'"})
    void linesComeWhenTheirForecastSaysSoAndNoneInABreak(int weeks, String more) {
        Set<String> met = new HashSet<>(SECTION.metBy(weeks));
        met.removeAll(SECTION.met());
        assertThat(met).containsExactlyInAnyOrderElementsOf(more.isEmpty() ? List.of() : List.of(more.split(" ")));
        List<Integer> asForecast = new ArrayList<>();
        for (int lines = 1; lines <= 4; lines++) {
            OptionalInt middle = PACE.forecast(Collections.nCopies(lines, 0)).middle();
            if (middle.isPresent() && middle.getAsInt() <= weeks) {
                asForecast.add(lines);
            }
        }
        assertThat(met).as("told by the same forecast").hasSize(asForecast.size());
    }

    @ParameterizedTest
    @CsvSource({
        "0, 2, 'A4 C6 D6 G4', 2, false",
        "1, 2, 'A4 C6 D6', 2, false",
        "2, 2, 'C6 D6', 1, true",
        "2, 1, 'C6 D6', 2, true",
        "1, 4, 'A4 C6 D6', 1, true",
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

    @ParameterizedTest
    @CsvSource({"3, false", "4, true"})
    void aBreakTeachesNothing(int weeksLeft, boolean fits) {
        Told told = PieceDemand.of(List.of("C6", "D6", "E6"), SECTION, weeksLeft, 1);
        assertThat(told.weeks()).isEqualTo(3);
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
