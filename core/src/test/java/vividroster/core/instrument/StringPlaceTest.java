package vividroster.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.StringPlace.Finger;
import vividroster.core.music.Pitch;

/** A hand that stays where it was put. */
class StringPlaceTest {

    private static final StringChart VIOLIN = new StringChart(
            Stream.of("G3", "D4", "A4", "E5").map(Pitch::named).toList(), StringChart.Hand.BY_LETTER, List.of(1, 3));
    private static final StringChart CELLO = new StringChart(
            Stream.of("C2", "G2", "D3", "A3").map(Pitch::named).toList(), StringChart.Hand.CELLO, List.of(1, 4));

    private static StringPlace place(String words) {
        return StringPlace.read(words).orElseThrow();
    }

    private static List<Pitch> pitches(String... names) {
        return Stream.of(names).map(Pitch::named).toList();
    }

    @ParameterizedTest
    @CsvSource({
        "'A string, third position', A, 3",
        "'D-string, 1st position', D, 1",
        "'half position', , 0",
        "'on the G string', G, ",
        "'Third Position', , 3",
        "'4th position on the C string', C, 4"
    })
    void itIsReadAsDirectorsSayIt(String words, String string, Integer position) {
        assertThat(place(words))
                .isEqualTo(new StringPlace(
                        Optional.ofNullable(string),
                        position == null ? OptionalInt.empty() : OptionalInt.of(position)));
    }

    @ParameterizedTest
    @CsvSource({"Two partials higher", "Upper octave or clarion register", "''", "'A stringent position'"})
    void otherWordsAreNoPlace(String words) {
        assertThat(StringPlace.read(words)).isEmpty();
    }

    @Test
    void notesAreTakenInThePositionWhereTheyCanBe() {
        FingeringChart third = place("A string, third position").on(VIOLIN);
        OnString d = (OnString) third.of(Pitch.named("D5")).getFirst();
        assertThat(d.finger()).as("the first finger of the third position on A").isEqualTo(1);
        assertThat(d.position()).isEqualTo(3);
        assertThat(((OnString) VIOLIN.of(Pitch.named("D5")).getFirst()).finger())
                .as("in first position it is the third")
                .isEqualTo(3);
        assertThat(third.of(Pitch.named("D5"))).as("no way is lost").hasSameElementsAs(VIOLIN.of(Pitch.named("D5")));
        assertThat(third.of(Pitch.named("G3"))).as("out of reach: as usual").isEqualTo(VIOLIN.of(Pitch.named("G3")));
    }

    @Test
    void everyFingerSaysWhichTapeItMeets() {
        assertThat(place("A string, third position").fingers(VIOLIN, pitches("D5", "E5", "F#5", "G5")))
                .containsExactly(
                        new Finger("A", 1, Pitch.named("D5"), OptionalInt.of(3), OptionalInt.empty()),
                        new Finger("A", 2, Pitch.named("E5"), OptionalInt.of(4), OptionalInt.of(2)),
                        new Finger("A", 3, Pitch.named("F#5"), OptionalInt.empty(), OptionalInt.of(2)),
                        new Finger("A", 4, Pitch.named("G5"), OptionalInt.empty(), OptionalInt.of(1)));
        List<Finger> cello = place("D string, fourth position").fingers(CELLO, pitches("A3", "B3", "C4"));
        assertThat(cello).extracting(Finger::finger).containsExactly(1, 3, 4);
        assertThat(cello.getFirst().tape())
                .as("seven semitones up is beyond the first position")
                .isEmpty();
    }

    @Test
    void everyStringIsAHandOfItsOwn() {
        List<Finger> fingers = place("first position").fingers(VIOLIN, pitches("E4", "F#4", "B4"));
        assertThat(fingers).extracting(Finger::string).containsExactly("D", "D", "A");
        assertThat(fingers.get(2).above()).as("the lowest of its string").isEmpty();
        assertThat(fingers.get(1).tape()).hasValue(2);
    }
}
