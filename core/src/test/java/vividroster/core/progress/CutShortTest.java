package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CutShortTest {

    private static final Instant NINE = Instant.parse("2026-10-05T09:00:00Z");
    private static final UUID FIRST = new UUID(1, 1);
    private static final UUID SECOND = new UUID(1, 2);

    @ParameterizedTest
    @CsvSource({
        "29, 1, true",
        "30, 1, false",
        "2, 1, false",
        "3, 1, true",
        "900, 1, false",
        "20, 2, false",
    })
    void aTurnUnderHalfItsTimeAfterAnotherOfTheSameListener(int seconds, int secondListener, boolean cut) {
        List<CutShort.Turn> turns = new ArrayList<>(List.of(
                new CutShort.Turn(
                        SECOND, new UUID(3, secondListener), NINE.plusSeconds(seconds), Duration.ofSeconds(60)),
                new CutShort.Turn(FIRST, new UUID(3, 1), NINE, Duration.ofSeconds(60))));
        assertThat(CutShort.of(turns)).isEqualTo(cut ? Map.of(SECOND, 1) : Map.of());
    }
}
