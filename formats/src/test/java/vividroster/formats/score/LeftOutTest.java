package vividroster.formats.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LeftOutTest {

    @Test
    void measuresAreNamedAsTheyAreCountedAndAPickUpByItsName() {
        assertThat(new LeftOut("fermatas", new TreeSet<>(List.of(4, 0))).words())
                .isEqualTo("fermatas in the pick-up, 4");
        assertThat(new LeftOut("lyrics", new TreeSet<>()).words()).isEqualTo("lyrics");
    }

    @Test
    void ofManyMeasuresTheFirstTwelveAreNamed() {
        TreeSet<Integer> many = IntStream.rangeClosed(1, 15).boxed().collect(Collectors.toCollection(TreeSet::new));
        assertThat(new LeftOut("dynamics", many).words())
                .isEqualTo("dynamics in 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12 and 3 more");
    }

    @Test
    void whatIsGatheredTwiceIsSaidOnce() {
        LeftOut.Gathered gathered = new LeftOut.Gathered();
        gathered.add("dynamics", 3);
        gathered.add("lyrics");
        gathered.addAll(List.of(new LeftOut("dynamics", new TreeSet<>(List.of(3, 7)))));
        assertThat(gathered.list()).extracting(LeftOut::words).containsExactly("dynamics in 3, 7", "lyrics");
    }
}
