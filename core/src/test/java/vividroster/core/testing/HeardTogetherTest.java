package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.testing.HeardTogether.Waiting;

class HeardTogetherTest {

    private static final UUID WINDS = new UUID(0, 1);
    private static final UUID JAZZ = new UUID(0, 2);

    private static Waiting waiting(int student, UUID classId, String instrument) {
        return new Waiting(new UUID(1, student), classId, new InstrumentCode(instrument));
    }

    @Test
    void neighboursOfOneSectionAreHeardTogether() {
        Waiting a = waiting(1, WINDS, "flute");
        Waiting b = waiting(2, WINDS, "horn");
        Waiting c = waiting(3, WINDS, "flute");
        Waiting d = waiting(4, WINDS, "flute");
        Waiting e = waiting(5, JAZZ, "flute");
        List<Waiting> order = List.of(a, b, c, d, e);
        assertThat(HeardTogether.of(order, 2)).containsExactly(List.of(a, c), List.of(b), List.of(d), List.of(e));
        assertThat(HeardTogether.of(order, 4)).containsExactly(List.of(a, c, d), List.of(b), List.of(e));
        assertThat(HeardTogether.of(order, 1)).hasSize(5);
        assertThat(HeardTogether.of(List.of(), 2)).isEmpty();
        assertThatThrownBy(() -> HeardTogether.of(order, 5)).hasMessage("together must be in 1..4, was 5");
    }

    /** 60 seconds of playing, 12 to change over and 15 for a word; with one more 15 for a second word. */
    @Test
    void oneMoreTakesOneMoreWord() {
        HearingTime time = HearingTime.DEFAULT;
        Duration alone = time.ofPlaying(60);
        assertThat(alone).isEqualTo(Duration.ofSeconds(87));
        assertThat(time.together(alone, 1)).isEqualTo(alone);
        assertThat(time.together(alone, 3)).isEqualTo(Duration.ofSeconds(117));
    }

    /** Planned 100 s, measured 200 s thrice: three of the plan and three measured make 150 s, half as much again. */
    @Test
    void whatWasLearntStretchesTheTogetherToo() {
        Instant nine = Instant.parse("2026-11-06T09:00:00Z");
        HearingPace pace = HearingPace.of(
                Duration.ofSeconds(100),
                List.of(nine, nine.plusSeconds(200), nine.plusSeconds(400), nine.plusSeconds(600)));
        assertThat(pace.perStudent()).isEqualTo(Duration.ofSeconds(150));
        assertThat(pace.stretched(Duration.ofSeconds(100), Duration.ofSeconds(120)))
                .isEqualTo(Duration.ofSeconds(180));
    }
}
