package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.plan.Introductions.Line;

/** Which line brings what to whom, and which lines wait for it. */
class IntroductionsTest {

    private static Line<Integer, String, String> line(int number, Map<String, Set<String>> uses) {
        return new Line<>(number, uses);
    }

    private static final List<Line<Integer, String, String>> BOOK = List.of(
            line(1, Map.of("flute", Set.of("D5", "quarter"), "horn", Set.of("C4", "quarter"))),
            line(2, Map.of("flute", Set.of("D5", "E5", "quarter"), "horn", Set.of("C4", "quarter"))),
            line(3, Map.of("flute", Set.of("D5", "E5"), "horn", Set.of("C4", "G4"))),
            line(4, Map.of("flute", Set.of("E5"), "horn", Set.of("G4", "tie"))));

    @Test
    void theSameLineBringsOtherThingsToOthers() {
        Introductions<Integer, String, String> news = new Introductions<>(List.of(BOOK), Map.of());
        assertThat(news.newIn(1, "flute")).containsExactlyInAnyOrder("D5", "quarter");
        assertThat(news.newIn(2, "flute")).containsExactly("E5");
        assertThat(news.newIn(2, "horn")).isEmpty();
        assertThat(news.newIn(3, "horn")).containsExactly("G4");
        assertThat(news.newIn(4, "horn")).containsExactly("tie");
    }

    @Test
    void whatFollowsThroughAnotherIsNoNeedOfItsOwn() {
        Introductions<Integer, String, String> news = new Introductions<>(List.of(BOOK), Map.of());
        assertThat(news.needs(1)).isEmpty();
        assertThat(news.needs(2)).containsExactly(1);
        assertThat(news.needs(3)).containsExactly(2);
        // horns need line 3 for G, flutes line 2 for E: the second follows through the first
        assertThat(news.needs(4)).containsExactly(3);
        assertThat(news.allNeeds(4)).containsExactlyInAnyOrder(1, 2, 3);
    }

    @Test
    void aDroppedLineHandsItsNewThingsToTheNext() {
        Introductions<Integer, String, String> news =
                new Introductions<>(List.of(List.of(BOOK.get(0), BOOK.get(2), BOOK.get(3))), Map.of());
        assertThat(news.newIn(3, "flute")).containsExactly("E5");
        assertThat(news.needs(3)).containsExactly(1);
    }

    @Test
    void whatASectionKnowsIsNotNewAndWaitsForNothing() {
        Introductions<Integer, String, String> news = new Introductions<>(
                List.of(BOOK), Map.of("flute", Set.of("D5", "E5", "quarter"), "horn", Set.of("C4", "quarter", "G4")));
        assertThat(news.newIn(2, "flute")).isEmpty();
        assertThat(news.needs(3)).isEmpty();
        assertThat(news.newIn(4, "horn")).containsExactly("tie");
    }

    /** Against what the words say, thing by thing. */
    @Property(tries = 100)
    void everythingALineUsesWasMetBeforeItOrIsNewInIt(@ForAll long seed) {
        Random random = new Random(seed);
        List<Line<Integer, String, String>> book = new ArrayList<>();
        for (int number = 0; number < 20; number++) {
            Map<String, Set<String>> uses = new LinkedHashMap<>();
            for (String section : List.of("flute", "horn", "tuba")) {
                Set<String> things = new HashSet<>();
                for (int n = random.nextInt(4); n > 0; n--) {
                    things.add("thing" + random.nextInt(12));
                }
                uses.put(section, things);
            }
            book.add(line(number, uses));
        }
        Introductions<Integer, String, String> news = new Introductions<>(List.of(book), Map.of());
        for (String section : List.of("flute", "horn", "tuba")) {
            Map<String, Integer> first = new LinkedHashMap<>();
            for (Line<Integer, String, String> one : book) {
                Set<String> fresh = new HashSet<>();
                for (String thing : one.uses().get(section)) {
                    if (first.putIfAbsent(thing, one.id()) == null) {
                        fresh.add(thing);
                    } else {
                        assertThat(news.allNeeds(one.id())).contains(first.get(thing));
                    }
                }
                assertThat(news.newIn(one.id(), section)).isEqualTo(fresh);
            }
        }
        for (Line<Integer, String, String> one : book) {
            for (int need : news.needs(one.id())) {
                Set<Integer> others = new HashSet<>(news.needs(one.id()));
                others.remove(need);
                assertThat(others).noneMatch(other -> news.allNeeds(other).contains(need));
            }
        }
    }
}
