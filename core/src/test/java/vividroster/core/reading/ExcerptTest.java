package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.reading.Excerpt.Found;
import vividroster.core.reading.Excerpt.NeverAfter;
import vividroster.core.reading.Excerpt.NoSuchMeasure;
import vividroster.core.reading.Excerpt.NoWay;
import vividroster.core.reading.Excerpt.Span;

class ExcerptTest {

    private static List<Integer> played(Part part, Excerpt excerpt, Numbering numbering) {
        TimedView view = TimedView.of(part);
        Span span = excerpt.in(view, numbering).span().orElseThrow();
        return Excerpt.measures(view, span, numbering);
    }

    /** Played orders are those of {@link RoadmapTest}, by the numbers of their measures; the stretch cut out by hand. */
    @ParameterizedTest(name = "{0}: {1} to {2}, repeats {3}, is {4}")
    @CsvSource(
            delimiter = ';',
            value = {
                "A B C D; 2; 3; false; 2 3",
                "A B C D; 2; 2; false; 2",
                "A B C D; 1; 4; true; 1 2 3 4",
                // 1 2 3 4 1 2 3 4
                "A B C D:|; 3; 4; false; 3 4",
                "A B C D:|; 3; 4; true; 3 4 1 2 3 4",
                "A B C D:|; 4; 1; false; 4 1",
                // 1 2 3 1 2 4: under the second bracket the way is shorter
                "|:A B [1C:|] [2D]; 2; 4; false; 2 4",
                "|:A B [1C:|] [2D]; 2; 4; true; 2 3 1 2 4",
                "|:A B [1C:|] [2D]; 3; 4; false; 3 1 2 4",
                // 1 2 3 4 1 2, to Fine
                "A B,F C D,DCF; 3; 2; false; 3 4 1 2",
                "A B,F C D,DCF; 1; 2; false; 1 2",
                "A B,F C D,DCF; 1; 2; true; 1 2 3 4 1 2",
                // a pick-up is measure 0
                "a B C D; 0; 1; false; 0 1"
            })
    void isPlayedInTheOrderOfTheRoadmap(String signs, int from, int to, boolean repeats, String numbers) {
        assertThat(played(Lines.roadmap(signs), new Excerpt(from, to, repeats), Numbering.USUAL))
                .containsExactlyElementsOf(
                        Arrays.stream(numbers.split(" ")).map(Integer::parseInt).toList());
    }

    @Test
    void whoCountsThePickUpCountsItHereToo() {
        assertThat(played(Lines.roadmap("a B C D"), new Excerpt(1, 2, false), new Numbering(true)))
                .containsExactly(1, 2);
    }

    /** Two halves of measure 2 round a repeat sign: they are one measure when they are played one after another. */
    @Test
    void theHalvesOfASplitMeasureAreOne() {
        Part plain = Lines.roadmap("A B:| C D");
        List<Measure> measures = new ArrayList<>(plain.measures());
        measures.set(2, measures.get(2).withNumber(2));
        measures.set(3, measures.get(3).withNumber(3));
        Part split = new Part(plain.key(), plain.meter(), plain.tempo(), measures);
        // Played: 1 2a 1 2a 2b 3.
        assertThat(played(split, new Excerpt(1, 3, false), Numbering.USUAL)).containsExactly(1, 2, 3);
        TimedView view = TimedView.of(split);
        Span second = new Excerpt(2, 3, false).in(view, Numbering.USUAL).span().orElseThrow();
        assertThat(second).isEqualTo(new Span(3, 5));
    }

    @Test
    void whatTheLineDoesNotHaveIsNamed() {
        TimedView view = TimedView.of(Lines.roadmap("A B,F C D,DCF"));
        assertThat(new Excerpt(2, 9, false).in(view, Numbering.USUAL).fault()).contains(new NoSuchMeasure(9, 1, 4));
        assertThat(new Excerpt(0, 2, false).in(view, Numbering.USUAL).fault()).contains(new NoSuchMeasure(0, 1, 4));
        assertThat(new Excerpt(4, 3, false).in(view, Numbering.USUAL).fault()).contains(new NeverAfter());
        assertThat(new Excerpt(4, 3, true).in(view, Numbering.USUAL).fault()).contains(new NeverAfter());
        assertThat(new Excerpt(1, 2, false)
                        .in(TimedView.of(Lines.roadmap("A B,DS")), Numbering.USUAL)
                        .fault())
                .contains(new NoWay());
        assertThatThrownBy(() -> new Excerpt(-1, 2, false)).hasMessageContaining("were -1 and 2");
    }

    /** Four beats at 60 are four seconds a measure. */
    @Test
    void takesAsLongAsItsMeasures() {
        TimedView view = TimedView.of(Lines.roadmap("A B C D:|"));
        Span once = new Excerpt(3, 4, false).in(view, Numbering.USUAL).span().orElseThrow();
        Span twice = new Excerpt(3, 4, true).in(view, Numbering.USUAL).span().orElseThrow();
        assertThat(Excerpt.seconds(view, once)).isCloseTo(8, within(1e-9));
        assertThat(Excerpt.seconds(view, twice)).isCloseTo(24, within(1e-9));
    }

    /** Against every stretch of the played order, tried one by one. */
    @Property(tries = 300)
    void noStretchIsShorterAndNoneBegins(
            @ForAll @IntRange(min = 1, max = 6) int from,
            @ForAll @IntRange(min = 1, max = 6) int to,
            @ForAll @IntRange(max = 3) int road) {
        String signs = List.of("A B C:| D E F", "|:A B [1C:|] [2D] E F", "A B,F C D E F,DCF", "|:A B:| |:C D:| E F")
                .get(road);
        TimedView view = TimedView.of(Lines.roadmap(signs));
        List<Integer> way = view.roadmap().orElseThrow().indices().stream()
                .map(index -> index + 1)
                .toList();
        Optional<Integer> shortest = IntStream.range(0, way.size())
                .filter(i -> way.get(i) == from)
                .boxed()
                .flatMap(i -> IntStream.range(i, way.size())
                        .filter(j -> way.get(j) == to)
                        .mapToObj(j -> j - i))
                .min(Integer::compareTo);
        Found found = new Excerpt(from, to, false).in(view, Numbering.USUAL);
        assertThat(found.span().map(span -> span.last() - span.first())).isEqualTo(shortest);
        found.span().ifPresent(span -> {
            assertThat(way.get(span.first())).isEqualTo(from);
            assertThat(way.get(span.last())).isEqualTo(to);
        });
    }
}
