package vividroster.core.written;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import vividroster.core.instrument.Fingering;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Counting;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;
import vividroster.core.written.WrittenCheck.Source;
import vividroster.core.written.WrittenQuestion.Ask;
import vividroster.core.written.WrittenQuestion.CountMeasure;
import vividroster.core.written.WrittenQuestion.Finger;
import vividroster.core.written.WrittenQuestion.KeySignature;
import vividroster.core.written.WrittenQuestion.NameNote;
import vividroster.core.written.WrittenQuestion.StillAltered;
import vividroster.core.written.WrittenQuestion.WayThrough;

class WrittenCheckTest {

    private static final UUID LINE = new UUID(0, 1);
    private static final UUID ROAD = new UUID(0, 2);
    /** In G major: F is sharp by the key; the second C of measure 2 is still sharp. */
    private static final TimedView VIEW =
            TimedView.of(Lines.notes("G major", "4/4", "G4 A4 B4 A4|C#5 B4 C#5 D5|F#4*2 G4/2 A4/2 r|r*4"));

    private static Source source(UUID id, TimedView view) {
        return new Source(
                id,
                view,
                Optional.of(pitch -> List.of(new Fingering.Valves(List.of(pitch.midi() % 3 + 1), false, 0))),
                true);
    }

    private static final List<Source> SOURCES =
            List.of(source(LINE, VIEW), source(ROAD, TimedView.of(Lines.roadmap("|:A B [1C:|] [2D]"))));

    private static List<WrittenQuestion> asked(Ask ask) {
        return asked(ask, 40);
    }

    private static List<WrittenQuestion> asked(Ask ask, int count) {
        return WrittenCheck.of(SOURCES, EnumSet.of(ask), count, 7);
    }

    /** Written out by hand from the two lines above. */
    @Test
    void everyKindAsksWhatTheLinesHold() {
        assertThat(asked(Ask.NAME_NOTE, 7))
                .as("each pitch once before any comes again")
                .extracting(question -> ((NameNote) question).pitch().toString())
                .containsExactlyInAnyOrder("G4", "A4", "B4", "C#5", "D5", "F#4", "C4");
        assertThat(asked(Ask.COUNT_MEASURE, 3))
                .extracting(question -> ((CountMeasure) question).spoken())
                .containsExactlyInAnyOrder(Counting.spoken(VIEW, 0), Counting.spoken(VIEW, 2), "1 (2) (3) (4)");
        assertThat(asked(Ask.STILL_ALTERED)).containsExactly(new StillAltered(LINE, 1, 2, Pitch.named("C#5")));
        assertThat(asked(Ask.KEY_SIGNATURE))
                .containsExactly(new KeySignature(LINE, VIEW.part().key(), List.of('F')));
        assertThat(asked(Ask.WAY_THROUGH)).containsExactly(new WayThrough(ROAD, List.of(0, 1, 2, 0, 1, 3)));
        assertThat(asked(Ask.FINGER))
                .allSatisfy(question -> assertThat(((Finger) question).ways()).hasSize(1))
                .hasSize(15);
    }

    @Test
    void flatsAreToldInTheOrderOfTheSignature() {
        Part flats = Lines.notes("A-flat major", "4/4", "A4 B4 C5 D5");
        KeySignature asked = (KeySignature)
                WrittenCheck.of(List.of(source(LINE, TimedView.of(flats))), EnumSet.of(Ask.KEY_SIGNATURE), 1, 1)
                        .getFirst();
        assertThat(asked.letters()).containsExactly('B', 'E', 'A', 'D');
    }

    @Test
    void unpitchedPercussionIsAskedToCountAndToFindTheWay() {
        Source drum = new Source(LINE, VIEW, Optional.empty(), false);
        assertThat(WrittenCheck.of(List.of(drum), EnumSet.allOf(Ask.class), 40, 1))
                .isNotEmpty()
                .allMatch(question -> question.ask() == Ask.COUNT_MEASURE);
    }

    @Test
    void kindsTakeTurnsSoThatNoneFillsTheSheet() {
        List<WrittenQuestion> six = WrittenCheck.of(SOURCES, EnumSet.allOf(Ask.class), 6, 3);
        assertThat(six).extracting(WrittenQuestion::ask).containsExactlyInAnyOrder(Ask.values());
    }

    @Test
    void aSheetOfNothingOrOfTooMuchIsRefused() {
        assertThatThrownBy(() -> WrittenCheck.of(SOURCES, EnumSet.allOf(Ask.class), 0, 1))
                .hasMessage("count must be in 1..40, was 0");
        assertThatThrownBy(() -> WrittenCheck.of(SOURCES, EnumSet.allOf(Ask.class), 41, 1))
                .hasMessageContaining("was 41");
        assertThat(WrittenCheck.of(List.of(), EnumSet.allOf(Ask.class), 5, 1)).isEmpty();
    }

    @Property(tries = 100)
    void theSameSeedMakesTheSameSheetAndNothingIsAskedTwice(
            @ForAll long seed, @ForAll @IntRange(min = 1, max = 40) int count) {
        List<WrittenQuestion> sheet = WrittenCheck.of(SOURCES, EnumSet.allOf(Ask.class), count, seed);
        assertThat(WrittenCheck.of(SOURCES, EnumSet.allOf(Ask.class), count, seed))
                .isEqualTo(sheet);
        assertThat(sheet).hasSizeLessThanOrEqualTo(count);
        assertThat(new HashSet<>(sheet)).hasSameSizeAs(sheet);
        assertThat(sheet.stream()
                        .map(question -> (question.lineId().equals(LINE) ? 0 : 10)
                                + question.ask().ordinal())
                        .toList())
                .as("line by line, of each in the order of what is asked")
                .isSorted();
    }

    /** Some other seed makes another sheet: a section that sits close together can be given two. */
    @Test
    void anotherSeedMakesAnotherSheet() {
        List<WrittenQuestion> one = WrittenCheck.of(SOURCES, EnumSet.of(Ask.NAME_NOTE), 4, 1);
        assertThat(List.of(2L, 3L, 4L, 5L).stream()
                        .map(seed -> WrittenCheck.of(SOURCES, EnumSet.of(Ask.NAME_NOTE), 4, seed)))
                .anyMatch(other -> !other.equals(one));
    }
}
