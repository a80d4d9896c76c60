package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Accidentals.Known;
import vividroster.core.reading.Traps.NeverAsSigned;

/** What is printed must be enough: whoever reads only the page comes to the notes that were meant. */
class AccidentalsPropertyTest {

    @Provide
    Arbitrary<Part> parts() {
        Arbitrary<Note> note = Combinators.combine(
                        Arbitraries.chars().with('C', 'F', 'B'),
                        Arbitraries.integers().between(-1, 1),
                        Arbitraries.integers().between(4, 5),
                        Arbitraries.of(true, false, false),
                        Arbitraries.of(true, false, false, false, false))
                .as((letter, alter, octave, tied, rest) -> rest
                        ? Note.rest(Beats.of(1))
                        : new Note(
                                Optional.of(new Pitch(letter, alter, octave)),
                                Beats.of(1),
                                tied,
                                Note.Slurs.NONE,
                                Set.of(),
                                List.of(),
                                ""));
        Arbitrary<List<Note>> measure = note.list().ofMinSize(1).ofMaxSize(5);
        return Combinators.combine(
                        measure.list().ofMinSize(1).ofMaxSize(4),
                        Arbitraries.integers().between(-6, 6),
                        Arbitraries.integers().between(-6, 6))
                .as((all, first, second) -> {
                    List<Measure> measures = new ArrayList<>();
                    for (int m = 0; m < all.size(); m++) {
                        Measure one = Measure.of(m + 1, all.get(m));
                        measures.add(m == 2 ? one.withKey(Optional.of(new Key(second, Mode.MAJOR))) : one);
                    }
                    return new Part(new Key(first, Mode.MAJOR), new Meter(4, 4), Optional.empty(), measures);
                });
    }

    /** Reads the page as a player does: key, printed accidentals to the bar line, a tie to the tied note alone. */
    @Property(tries = 2_000)
    void whoReadsThePageComesToTheNotes(@ForAll("parts") Part part) {
        List<List<Known>> known = Accidentals.of(TimedView.of(part));
        Pitch before = null;
        boolean tied = false;
        for (int m = 0; m < part.measures().size(); m++) {
            Map<Integer, Integer> holding = new HashMap<>();
            for (int n = 0; n < part.measures().get(m).notes().size(); n++) {
                Note note = part.measures().get(m).notes().get(n);
                if (note.isRest()) {
                    assertThat(known.get(m).get(n)).isEqualTo(Known.BY_KEY);
                    tied = false;
                    continue;
                }
                Pitch meant = note.pitch().orElseThrow();
                int signed = part.keyAt(m).alterOf(meant.letter());
                int held = holding.getOrDefault(meant.step(), signed);
                int read = switch (known.get(m).get(n)) {
                    case BY_KEY -> {
                        assertThat(held).isEqualTo(signed);
                        yield signed;
                    }
                    case CARRIED -> {
                        assertThat(held).isNotEqualTo(signed);
                        yield held;
                    }
                    case TIED -> {
                        assertThat(tied).isTrue();
                        yield before.alter();
                    }
                    case PRINTED -> {
                        assertThat(held)
                                .as("printed only where it says something")
                                .isNotEqualTo(meant.alter());
                        holding.put(meant.step(), meant.alter());
                        yield meant.alter();
                    }
                };
                assertThat(read).isEqualTo(meant.alter());
                before = meant;
                tied = note.tied();
            }
        }
    }

    @Property(tries = 1_000)
    void everySentenceOfALetterIsTrue(@ForAll("parts") Part part) {
        for (var trap : Traps.of(TimedView.of(part))) {
            if (trap instanceof NeverAsSigned never) {
                assertThat(part.pitches().stream().filter(p -> p.letter() == never.letter()))
                        .allMatch(p -> p.alter() == never.instead().alter());
                assertThat(part.measures().get(never.measure()).notes())
                        .anyMatch(n -> n.pitch()
                                .filter(p -> p.letter() == never.letter())
                                .isPresent());
                assertThat(part.measures().subList(0, never.measure()).stream()
                                .flatMap(m -> m.notes().stream())
                                .flatMap(n -> n.pitch().stream()))
                        .noneMatch(p -> p.letter() == never.letter());
            }
        }
    }
}
