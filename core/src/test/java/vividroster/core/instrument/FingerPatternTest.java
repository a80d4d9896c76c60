package vividroster.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import org.junit.jupiter.api.Test;

/** Finger patterns and what a class calls them. */
class FingerPatternTest {

    @Test
    void theyAreToldByWhichFingersStandClose() {
        assertThat(FingerPattern.USUAL)
                .extracting(FingerPattern::name)
                .containsExactly("2 and 3 close", "1 and 2 close", "3 and 4 close", "all apart");
        assertThat(FingerPattern.words(Set.of(3, 1))).isEqualTo("1 and 2, 3 and 4 close");
    }

    @Test
    void aClassesOwnNameStandsBeforeWhatItMeans() {
        assertThat(new FingerPattern("Gull", Set.of(2)).described()).isEqualTo("Gull (2 and 3 close)");
        assertThat(FingerPattern.USUAL.getFirst().described()).isEqualTo("2 and 3 close");
        assertThatThrownBy(() -> new FingerPattern(" ", Set.of())).hasMessageContaining("has a name");
        assertThatThrownBy(() -> new FingerPattern("Gull", Set.of(4))).hasMessageContaining("was 4");
    }
}
