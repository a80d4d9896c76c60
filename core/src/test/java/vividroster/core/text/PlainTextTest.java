package vividroster.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.text.PlainText.Fault;

class PlainTextTest {

    private static Optional<Fault> fault(String text) {
        return PlainText.fault(text, 100);
    }

    @Test
    void whatAPersonTypesIsText() {
        assertThat(fault("")).isEmpty();
        assertThat(fault("Odalys Quayle, 2nd chair\n\tdoor side\r\n")).isEmpty();
        assertThat(fault("Zoë \uD83C\uDFBA")).as("characters beyond U+FFFF").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "0000, CONTROL_CHARACTER", // PostgreSQL keeps no U+0000
        "0007, CONTROL_CHARACTER",
        "001B, CONTROL_CHARACTER", // would colour a terminal that shows a log
        "0085, CONTROL_CHARACTER",
        "D83C, BROKEN_CHARACTER", // a high surrogate alone
        "DFBA, BROKEN_CHARACTER", // a low one alone
        "FFFE, BROKEN_CHARACTER",
    })
    void whatCannotBeKeptIsNone(String hex, Fault fault) {
        String text = "a" + (char) Integer.parseInt(hex, 16) + "b";
        assertThat(fault(text)).contains(fault);
        assertThat(fault(text.substring(0, 2))).as("at the end").contains(fault);
    }

    @Test
    void twoSurrogatesTheWrongWayRoundAreNone() {
        assertThat(fault("\uDFBA\uD83C")).contains(Fault.BROKEN_CHARACTER);
    }

    @Test
    void aLimitIsInclusive() {
        assertThat(PlainText.fault("a".repeat(100), 100)).isEmpty();
        assertThat(PlainText.fault("a".repeat(101), 100)).contains(Fault.TOO_LONG);
    }

    @Test
    void oneNameTypedTwoWaysIsOneName() {
        assertThat(PlainText.normal("  Zoe\u0308 \u2003")).isEqualTo("Zo\u00EB");
    }

    @Property(tries = 300)
    void normalTextIsNormal(@ForAll String text) {
        String once = PlainText.normal(text);
        assertThat(PlainText.normal(once)).isEqualTo(once);
        if (PlainText.fault(text, Integer.MAX_VALUE).isEmpty()) {
            assertThat(PlainText.fault(once, Integer.MAX_VALUE)).isEmpty();
        }
    }
}
