package vividroster.core.hands;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.hands.Gliding.Glide;
import vividroster.core.hands.Gliding.Join;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.StringChart;
import vividroster.core.instrument.StringChart.Hand;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Lines;
import vividroster.core.reading.TimedView;

class GlidingTest {

    private static final FingeringChart TROMBONE = BrassChart.slide(Pitch.named("Bb1"));
    private static final FingeringChart VIOLIN = new StringChart(
            List.of(Pitch.named("G3"), Pitch.named("D4"), Pitch.named("A4"), Pitch.named("E5")),
            Hand.BY_LETTER,
            List.of(1, 3, 5, 2, 4));

    @ParameterizedTest(name = "{0} to {1}: {2}")
    @CsvSource({
        // One position, another partial: lips alone.
        "Bb2, F3, NATURAL",
        "F3, Bb3, NATURAL",
        // Out while the pitch rises, in while it falls: the partial changes against the slide.
        "F3, A3, NATURAL",
        "A3, F3, NATURAL",
        "Bb3, C4, NATURAL",
        // One partial, the slide would be heard.
        "Bb3, A3, WOULD_SMEAR",
        "C3, D3, WOULD_SMEAR",
        "G3, Bb3, WOULD_SMEAR",
        "F3, Eb3, WOULD_SMEAR",
        // The partial changes with the slide: tongued softly.
        "D4, G3, LEGATO_TONGUE",
        "C4, F4, LEGATO_TONGUE",
        // The same note again.
        "F3, F3, LEGATO_TONGUE"
    })
    void aSlurOfTheSlideIs(String from, String to, Join join) {
        TimedView view = Lines.timed("B-flat major", "4/4", "(" + from + "*2 " + to + "*2)");

        assertThat(Gliding.slurs(view, Fingers.of(view, TROMBONE, FourthFinger.EARLY)))
                .singleElement()
                .satisfies(slur -> {
                    assertThat(slur.join()).isEqualTo(join);
                    assertThat(slur.note()).isEqualTo(1);
                });
    }

    @Test
    void onlySlursOfASlideAreTold() {
        TimedView tongued = Lines.timed("B-flat major", "4/4", "Bb2*2 C3*2 | Bb2*2~ (Bb2 C3)");
        assertThat(Gliding.slurs(tongued, Fingers.of(tongued, TROMBONE, FourthFinger.EARLY)))
                .extracting(Gliding.SlideSlur::measure)
                .containsExactly(1);
        TimedView violin = Lines.timed("D major", "4/4", "(D4*2 E4*2)");
        assertThat(Gliding.slurs(violin, Fingers.of(violin, VIOLIN, FourthFinger.EARLY)))
                .isEmpty();
    }

    @ParameterizedTest(name = "{0} glides to {1}: {2}")
    @CsvSource({
        "F3, B2, PLAYABLE",
        "Bb3, E3, PLAYABLE",
        "Bb2, E2, PLAYABLE",
        "F3, C3, PLAYABLE",
        // From the sixth position of the partial above.
        "F3, Bb3, PLAYABLE",
        // More than a slide is long, or over a partial.
        "Bb3, Bb2, NOTHING_IN_COMMON",
        "F3, F3, NO_WAY_TO_GO"
    })
    void aGlideOfTheSlideStaysOnOnePartial(String from, String to, Glide glide) {
        assertThat(glides(from, to, TROMBONE)).singleElement().satisfies(g -> {
            assertThat(g.glide()).isEqualTo(glide);
            assertThat(g.from() == null).isEqualTo(glide != Glide.PLAYABLE);
        });
    }

    @Test
    void aGlideOnStringsStaysOnOneStringAndEndsOnANote() {
        assertThat(glides("E4", "A4", VIOLIN)).extracting(Gliding.Glided::glide).containsExactly(Glide.PLAYABLE);
        assertThat(glides("G3", "E5", VIOLIN))
                .extracting(Gliding.Glided::glide)
                .containsExactly(Glide.NOTHING_IN_COMMON);
        assertThat(glides("E4", "r", VIOLIN)).extracting(Gliding.Glided::glide).containsExactly(Glide.NO_END);
        assertThat(glides("C4", "E4", BrassChart.valves(Pitch.named("C3"), false)))
                .extracting(Gliding.Glided::glide)
                .containsExactly(Glide.NOT_HERE);
    }

    private static List<Gliding.Glided> glides(String from, String to, FingeringChart chart) {
        Part part = Lines.with(
                Lines.notes("C major", "4/4", from + "*2 " + to + "*2"),
                0,
                m -> m.withNotes(List.of(
                        m.notes().getFirst().withMarks(Set.of(Mark.GLISSANDO)),
                        m.notes().getLast())));
        return Gliding.glides(TimedView.of(part), chart);
    }
}
