package vividroster.formats.score;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.music.Signs.Jump;
import vividroster.formats.score.JumpWords.Said;

/** Phrases as they are printed. Source: the rules of notation. */
class JumpWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "D.C.; D.C.",
                "D. C.; D.C.",
                "DC; D.C.",
                "Da Capo; D.C.",
                "D.C. al Fine; D.C. al Fine",
                "D.C. al Fine (no repeats); D.C. al Fine",
                "D.C.   al  Fine.; D.C. al Fine",
                "Da Capo al Fine; D.C. al Fine",
                "D.C. al Coda; D.C. al Coda",
                "Da Capo al Coda ⊕; D.C. al Coda",
                "D.S.; D.S.",
                "D.S. al Fine; D.S. al Fine",
                "Dal Segno; D.S.",
                "D.S. % al Coda; D.S. al Coda",
                "D.S. al Coda 1; D.S. al Coda 1",
                "D.S. al Coda 2; D.S. al Coda 2",
                "d.s. al coda; D.S. al Coda",
                "D.C.alfine; D.C. al Fine",
                "dacapo; D.C.",
                "D.S. e poi la Coda;"
            })
    void jumpsAreUnderstood(String words, String jump) {
        assertThat(JumpWords.in(words)
                        .filter(Said.Jumps.class::isInstance)
                        .map(s -> ((Said.Jumps) s).jump())
                        .map(Jump::words)
                        .orElse(null))
                .isEqualTo(jump);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "Fine; Fine[]",
                "Fine.; Fine[]",
                "FINE; Fine[]",
                "To Coda; ToCoda[name=]",
                "To Coda ⊕; ToCoda[name=]",
                "To  Coda 2; ToCoda[name=2]",
                "Coda; Coda[name=]",
                "⊕ Coda 1; Coda[name=1]",
                "Segno; Segno[name=]"
            })
    void endsAndWaysAreUnderstood(String words, String said) {
        assertThat(JumpWords.in(words).map(Object::toString)).contains(said);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "a fine day at the coda",
                "dc motor",
                "Andante",
                "finely",
                "to the coda and back",
                "",
                "disco",
                "D"
            })
    void ordinaryTextSaysNothingOfTheWay(String words) {
        assertThat(JumpWords.in(words)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"coda,''", "Coda1,1", "segno,''", "segno 2,2", "1,1", "'',''", "left,left"})
    void namesOfSignsAreWhatTellsThemApart(String given, String name) {
        assertThat(JumpWords.name(given)).isEqualTo(name);
    }
}
