package vividroster.formats.abc;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import vividroster.formats.abc.AbcBook.Tune;

class AbcBookTest {

    @Test
    void aFileIsCutAtEveryX() {
        String file =
                "% a book\n% page 4\nX:1\nT:One\nK:C\nC4|\n\nX: 2\nT:Two\nK:C\nD4|\n% page 5\n\nX:3\n% Page 6\nK:C\nE4|\n";
        assertThat(AbcBook.tunes(file))
                .extracting(Tune::number, Tune::page, Tune::firstLine)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(1, OptionalInt.of(4), 3),
                        org.assertj.core.groups.Tuple.tuple(2, OptionalInt.of(4), 8),
                        org.assertj.core.groups.Tuple.tuple(3, OptionalInt.of(6), 14));
        assertThat(AbcBook.tunes(file).get(1).text())
                .startsWith("X: 2\nT:Two\n")
                .endsWith("% page 5\n");
    }

    @Test
    void aFileWithoutXIsOneTune() {
        assertThat(AbcBook.tunes("K:C\nC4|")).containsExactly(new Tune(0, OptionalInt.empty(), "K:C\nC4|", 1));
    }
}
