package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.music.Bpm;
import vividroster.core.music.Meter;
import vividroster.core.testing.FairOrder.Candidate;

class HearingRunTest {

    private final UUID ana = UUID.randomUUID();
    private final UUID ben = UUID.randomUUID();
    private final UUID cia = UUID.randomUUID();
    private final LocalDate day = LocalDate.of(2026, 9, 14);

    /** 9 measures of 4 beats at 72 a minute are 30 s; with 15 s of feedback and 12 s of changeover 57 s. */
    @Test
    void secondsAStudent() {
        assertThat(HearingTime.DEFAULT.ofFacts(8, new Meter(4, 4), new Bpm(72), 1))
                .isEqualTo(Duration.ofSeconds(57));
        assertThat(HearingTime.DEFAULT.ofFacts(8, new Meter(6, 8), new Bpm(90), 1))
                .isEqualTo(Duration.ofSeconds(45));
        assertThat(HearingTime.DEFAULT.ofCheck(4, 6)).isEqualTo(Duration.ofSeconds(51));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new HearingTime(-1, 0))
                .withMessage("changeoverSeconds must be in 0..300, was -1");
    }

    @Test
    void longestUnheardFirstAndSeatingSettlesTies() {
        assertThat(FairOrder.of(List.of(
                        new Candidate(ana, Optional.of(day), false),
                        new Candidate(ben, Optional.of(day.minusDays(3)), false),
                        new Candidate(cia, Optional.empty(), false))))
                .containsExactly(cia, ben, ana);
        assertThat(FairOrder.of(List.of(
                        new Candidate(ana, Optional.of(day), false), new Candidate(ben, Optional.of(day), false))))
                .containsExactly(ana, ben);
    }

    @Test
    void nobodyIsFirstTwiceRunning() {
        assertThat(FairOrder.of(List.of(
                        new Candidate(ana, Optional.empty(), true), new Candidate(ben, Optional.of(day), false))))
                .containsExactly(ben, ana);
        assertThat(FairOrder.of(List.of(new Candidate(ana, Optional.empty(), true))))
                .as("alone")
                .containsExactly(ana);
    }
}
