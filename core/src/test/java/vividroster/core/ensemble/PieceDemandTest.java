package vividroster.core.ensemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.ensemble.PieceDemand.Section;
import vividroster.core.ensemble.PieceDemand.Told;
import vividroster.core.ensemble.PieceDemand.Worked;
import vividroster.core.music.Pitch;
import vividroster.core.plan.SectionPace;
import vividroster.core.reading.Vocabulary.NewKey;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.reading.Vocabulary.NewSign;
import vividroster.core.reading.Vocabulary.Sign;
import vividroster.core.reading.Vocabulary.Thing;

class PieceDemandTest {

    private static final UUID BOOK = new UUID(2, 0);

    /** Line 9 is planned before line 8; three of five are not enough. */
    @Test
    void whatIsSetComesFirstThenWhatIsPlannedThenTheRestOfTheBooks() {
        Section section = new Section(
                PACE,
                Set.of(),
                List.of(planned(8, 12, "D4"), planned(9, 10, "E4"), line(10, 0, false, "F4"), line(7, 3, true, "C4")));
        assertThat(section.met()).isEmpty();
        assertThat(section.metBy(1))
                .as("one more pass of line 7, and not the four of line 9")
                .isEqualTo(notes("C4"));
        assertThat(section.metBy(2)).isEqualTo(notes("C4", "E4"));
        assertThat(section.metBy(4)).isEqualTo(notes("C4", "E4", "D4"));
    }

    private static Worked planned(int number, int week, String... notes) {
        return new Worked(new UUID(1, number), BOOK, number, notes(notes), 0, false, OptionalInt.of(week));
    }

    private static Set<Thing> notes(String... names) {
        return Arrays.stream(names)
                .map(name -> new NewNote(Pitch.named(name).midi()))
                .collect(Collectors.toSet());
    }

    private static List<Integer> midi(String names) {
        return Arrays.stream(names.split(" "))
                .map(name -> Pitch.named(name).midi())
                .sorted()
                .toList();
    }

    private static Worked line(int number, int passedBy, boolean set, String... notes) {
        return new Worked(new UUID(1, number), BOOK, number, notes(notes), passedBy, set, OptionalInt.empty());
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
            Set.of(),
            List.of(
                    line(1, 5, true, "C4", "D4"),
                    line(2, 4, true, "E4"),
                    line(3, 0, false, "B5"),
                    line(4, 0, true, "G4"),
                    line(5, 0, false, "A4"),
                    line(6, 0, false, "B4"),
                    line(7, 0, false, "C5")));

    @Test
    void aLineIsTheSectionsWhereEnoughToGoOnHavePassedIt() {
        assertThat(SECTION.met()).isEqualTo(notes("C4", "D4", "E4"));
        Section nobody =
                new Section(new SectionPace(0, List.of(2, 2), 1, 1, List.of(), 2), notes("A3"), SECTION.lines());
        assertThat(nobody.met()).as("what was known before alone").isEqualTo(notes("A3"));
    }

    /** The pace learned is a little under four passes a week. What was left out on the way (line 3) is never counted on. */
    @ParameterizedTest
    @CsvSource({"0, ''", "1, G4", "2, 'G4 A4'", "3, 'G4 A4'", "4, 'G4 A4'", "5, 'G4 A4 B4'", "9, 'G4 A4 B4'"})
    void linesComeWhenTheirForecastSaysSoAndNoneInABreak(int weeks, String more) {
        Set<Thing> met = new HashSet<>(SECTION.metBy(weeks));
        met.removeAll(SECTION.met());
        assertThat(met).isEqualTo(more.isEmpty() ? Set.of() : notes(more.split(" ")));
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
        Told told = PieceDemand.of(notes("C4", "G4", "A4", "C6", "D6"), SECTION, weeksLeft, aWeek);
        assertThat(told.asked()).isEqualTo(5);
        assertThat(told.newNow()).isEqualTo(midi("G4 A4 C6 D6"));
        assertThat(told.toTeach()).isEqualTo(midi(toTeach));
        assertThat(told.coming()).isEqualTo(4 - midi(toTeach).size());
        assertThat(told.weeks()).isEqualTo(weeks);
        assertThat(told.fits()).isEqualTo(fits);
    }

    @Test
    void whatElseIsNewIsToldBesideTheNotesAndTakesNoWeeks() {
        Set<Thing> piece = new HashSet<>(notes("E4", "A#4"));
        piece.add(new NewKey(-3));
        piece.add(new NewSign(Sign.TIE));
        Section section = new Section(
                PACE, Set.of(new NewSign(Sign.TIE)), List.of(line(1, 5, false, "E4"), line(2, 4, false, "Bb4")));
        assertThat(PieceDemand.of(piece, section, 1, 2))
                .as("another spelling is no new note")
                .isEqualTo(new Told(2, List.of(), List.of(), Set.of(new NewKey(-3)), 0, true));
    }

    @ParameterizedTest
    @CsvSource({"3, false", "4, true"})
    void aBreakTeachesNothing(int weeksLeft, boolean fits) {
        Told told = PieceDemand.of(notes("C6", "D6", "E6"), SECTION, weeksLeft, 1);
        assertThat(told.weeks()).isEqualTo(3);
        assertThat(told.fits()).isEqualTo(fits);
    }

    @Test
    void thePieceThatLeavesLeastToTeachComesFirst() {
        Map<String, List<Told>> pieces = new LinkedHashMap<>();
        pieces.put("hard", List.of(new Told(9, List.of(84, 86), List.of(84, 86), Set.of(), 1, true)));
        pieces.put("comes by itself", List.of(new Told(9, List.of(69), List.of(), Set.of(), 0, true)));
        pieces.put("known", List.of(new Told(9, List.of(), List.of(), Set.of(), 0, true)));
        assertThat(PieceDemand.easiestFirst(pieces)).containsExactly("known", "comes by itself", "hard");
        assertThatThrownBy(() -> PieceDemand.of(Set.of(), SECTION, 1, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
