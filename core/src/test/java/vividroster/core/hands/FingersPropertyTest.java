package vividroster.core.hands;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.hands.Fingers.Taken;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Tempo;
import vividroster.core.reading.TimedView;

/** The way of a slide against every way there is, tried one by one. */
class FingersPropertyTest {

    private static final FingeringChart TROMBONE = BrassChart.slide(Pitch.named("Bb1"));
    private static final List<String> NOTES =
            List.of("Bb2", "C3", "D3", "Eb3", "F3", "G3", "A3", "Bb3", "C4", "D4", "F4", "r");

    @Provide
    Arbitrary<List<String>> runs() {
        return Arbitraries.of(NOTES).list().ofMinSize(1).ofMaxSize(6);
    }

    private static TimedView view(List<String> names, double tempo) {
        List<Note> notes = new ArrayList<>();
        for (String name : names) {
            Beats length = Beats.of(1);
            notes.add(name.equals("r") ? Note.rest(length) : Note.of(Pitch.named(name), length));
        }
        return TimedView.of(new Part(
                new Key(-2, Mode.MAJOR), new Meter(4, 4), Optional.of(Tempo.of(tempo)), List.of(Measure.of(1, notes))));
    }

    /** Travel of the slide, and one for each alternate; only between notes no rest divides. */
    private static int trouble(List<Optional<Fingering>> way, List<Optional<Fingering>> usual) {
        int sum = 0;
        for (int i = 0; i < way.size(); i++) {
            if (way.get(i).isEmpty()) {
                continue;
            }
            sum += way.get(i).equals(usual.get(i)) ? 0 : 1;
            if (i > 0 && way.get(i - 1).isPresent()) {
                sum += Movement.travel(way.get(i - 1).get(), way.get(i).get());
            }
        }
        return sum;
    }

    private static int least(List<String> names, List<Optional<Fingering>> so, List<Optional<Fingering>> usual) {
        if (so.size() == names.size()) {
            return trouble(so, usual);
        }
        String name = names.get(so.size());
        List<Optional<Fingering>> ways = name.equals("r")
                ? List.of(Optional.empty())
                : TROMBONE.of(Pitch.named(name)).stream().map(Optional::of).toList();
        int best = Integer.MAX_VALUE;
        for (Optional<Fingering> way : ways) {
            List<Optional<Fingering>> longer = new ArrayList<>(so);
            longer.add(way);
            best = Math.min(best, least(names, longer, usual));
        }
        return best;
    }

    private static List<Optional<Fingering>> usual(List<String> names) {
        return names.stream()
                .map(n -> n.equals("r")
                        ? Optional.<Fingering>empty()
                        : TROMBONE.of(Pitch.named(n)).stream().findFirst())
                .toList();
    }

    @Property(tries = 300)
    void inFastNotesNoOtherWayHasLessTrouble(@ForAll("runs") List<String> names) {
        List<Optional<Taken>> taken = Fingers.of(view(names, 200), TROMBONE, FourthFinger.EARLY)
                .taken()
                .getFirst();
        List<Optional<Fingering>> way =
                taken.stream().map(t -> t.map(Taken::fingering)).toList();
        List<Optional<Fingering>> usual = usual(names);
        assertThat(trouble(way, usual)).isEqualTo(least(names, List.of(), usual));
    }

    @Property(tries = 300)
    void heldNotesKeepTheirUsualPositions(@ForAll("runs") List<String> names) {
        List<Optional<Fingering>> way =
                Fingers.of(view(names, 60), TROMBONE, FourthFinger.EARLY).taken().getFirst().stream()
                        .map(t -> t.map(Taken::fingering))
                        .toList();
        assertThat(way).isEqualTo(usual(names));
        assertThat(way.stream().flatMap(Optional::stream)).allMatch(Slide.class::isInstance);
    }
}
