package vividroster.core.music;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class InstrumentCodeTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                " ",
                "Flute",
                "alto saxophone",
                "flute ",
                "-flute",
                "flute-",
                "b--c",
                "flute2",
                "flöte",
                "a\nb"
            })
    void isLowerCaseWordsWithHyphens(String text) {
        assertThat(InstrumentCode.isWritten(text)).isFalse();
        assertThatThrownBy(() -> new InstrumentCode(text))
                .hasMessage("code must be lower-case words with hyphens, was \"" + text + "\"");
    }

    @Test
    void isSaidAsItsWordsAndStandsByTheAlphabet() {
        assertThat(new InstrumentCode("alto-saxophone")).hasToString("alto-saxophone");
        assertThat(Stream.of("tuba", "bassoon", "bass").map(InstrumentCode::new).sorted())
                .extracting(InstrumentCode::value)
                .containsExactly("bass", "bassoon", "tuba");
    }
}
