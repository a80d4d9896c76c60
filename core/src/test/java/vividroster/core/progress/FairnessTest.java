package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Fairness.Heard;
import vividroster.core.progress.Fairness.Share;
import vividroster.core.progress.Fairness.Spread;

class FairnessTest {

    private static final InstrumentCode OBOE = new InstrumentCode("oboe");
    private static final UUID CLASS = new UUID(2, 2);
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 1);
    private static final LocalDate ON = FIRST.plusDays(19);
    /** Every other day. */
    private static final List<LocalDate> TAUGHT =
            IntStream.range(0, 10).mapToObj(i -> FIRST.plusDays(2L * i)).toList();

    private static Share share(LocalDate since, int... daysHeard) {
        return Fairness.shares(
                        List.of(new Heard(
                                new UUID(1, 1),
                                CLASS,
                                OBOE,
                                IntStream.of(daysHeard)
                                        .mapToObj(FIRST::plusDays)
                                        .toList(),
                                2,
                                since)),
                        TAUGHT,
                        ON)
                .getFirst();
    }

    @Test
    void onlyDaysOfTeachingAreWaitedThrough() {
        Share share = share(FIRST, 0, 2, 10);
        assertThat(share.times()).isEqualTo(3);
        assertThat(share.longestWait()).as("since the tenth: 12, 14, 16, 18").isEqualTo(4);
        assertThat(share.waiting()).isEqualTo(4);
        assertThat(share.lastHeard()).contains(FIRST.plusDays(10));
        assertThat(share.cutShort()).isEqualTo(2);
        assertThat(share(FIRST, 0, 16, 18).longestWait()).as("2 to 14").isEqualTo(7);
        assertThat(share(FIRST, 0, 0, 0).times()).as("several turns on one day").isEqualTo(3);
    }

    @Test
    void whoWasNeverHeardWaitsSinceTheFirstDayInTheClass() {
        Share share = share(FIRST.plusDays(8));
        assertThat(share.waiting()).isEqualTo(6);
        assertThat(share.longestWait()).isEqualTo(6);
        assertThat(share.lastHeard()).isEqualTo(Optional.empty());
        assertThat(share(ON).waiting()).as("came today").isZero();
    }

    private static Share times(int id, int times) {
        return new Share(new UUID(1, id), CLASS, OBOE, times, 0, 0, 0, Optional.empty());
    }

    @Test
    void aSectionIsUnevenWhereSomebodyGetsMoreThanTwiceTheTurns() {
        assertThat(Fairness.spread(List.of(times(1, 9), times(2, 4), times(3, 6), times(4, 5))))
                .isEqualTo(new Spread(4, 4, 5, 9, List.of(), true));
        assertThat(Fairness.spread(List.of(times(1, 8), times(2, 4))).uneven()).isFalse();
        assertThat(Fairness.spread(List.of(times(1, 2), times(2, 0))).uneven())
                .as("two turns are soon made up for")
                .isFalse();
        assertThat(Fairness.spread(List.of(times(1, 3), times(2, 0))))
                .isEqualTo(new Spread(2, 0, 0, 3, List.of(new UUID(1, 2)), true));
    }
}
