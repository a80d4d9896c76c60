package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.testing.CountedScore.Try;
import vividroster.core.testing.ScoredTries.Scored;

class ScoredTriesTest {

    private static final LocalDate DAY = LocalDate.of(2026, 10, 9);

    /** For example "A0:60 B0:80": listener A on the first day gave 60 percent, B on the same day 80. */
    private static List<Scored> scored(String text) {
        List<Scored> scored = new ArrayList<>();
        for (String one : text.split(" ")) {
            String[] parts = one.split(":");
            scored.add(new Scored(
                    new UUID(0, scored.size()),
                    new UUID(1, one.charAt(0)),
                    DAY.plusDays(one.charAt(1) - '0'),
                    Integer.parseInt(parts[1].replace("s", "")) / 100.0,
                    parts[1].endsWith("s")));
        }
        return scored;
    }

    @ParameterizedTest(name = "{0} by {1} listeners: {2}")
    @CsvSource({
        "A0:60 B0:80, 2, 70",
        "A0:60 B0:80, 1, 60 80",
        "A0:60 A0:80, 2, 60 80",
        "A0:60 B1:80, 2, 60 80",
        "A0:60 B0:80 A0:90, 2, 70 90",
        "A0:60 B0:80 A3:90 B3:70, 2, 70 80",
        "A0:60 B0:80s, 2, 60 80"
    })
    void oneTryIsWhatBothHeard(String heard, int listeners, String shares) {
        assertThat(ScoredTries.of(scored(heard), listeners).stream()
                        .map(one -> String.valueOf(Math.round(one.share() * 100)))
                        .toList())
                .containsExactly(shares.split(" "));
    }

    @Test
    void aJoinedTryIsOfItsDayAndHasTheIdOfTheLast() {
        assertThat(ScoredTries.of(scored("A0:60 B0:80"), 2))
                .extracting(Try::attemptId, Try::heardOn)
                .containsExactly(tuple(new UUID(0, 1), DAY));
        assertThat(ScoredTries.of(List.of(), 2)).isEmpty();
    }

    @ParameterizedTest(name = "{0} heard, {1} of {2} listeners waits: {3}")
    @CsvSource({"'', A, 2, false", "A, B, 2, true", "A, A, 2, false", "A, B, 1, false", "A B, C, 2, false"})
    void whoHasStillToScoreWhatTheOtherHeard(String heard, char listener, int listeners, boolean waits) {
        List<UUID> heardBy = heard.isEmpty()
                ? List.of()
                : List.of(heard.split(" ")).stream()
                        .map(one -> new UUID(1, one.charAt(0)))
                        .toList();
        assertThat(ScoredTries.waitsFor(heardBy, new UUID(1, listener), listeners))
                .isEqualTo(waits);
    }
}
