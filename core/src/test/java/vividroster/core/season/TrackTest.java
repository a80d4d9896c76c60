package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.season.Track.Met;

class TrackTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 9, 7);
    private static final UUID SEVEN = new UUID(0, 7);
    private static final UUID EIGHT = new UUID(0, 8);
    private static final UUID NINE = new UUID(0, 9);
    private static final UUID OTHER = new UUID(0, 20);

    private final Track track = Track.of(List.of(
            new Met(NINE, MONDAY, 9),
            new Met(SEVEN, MONDAY, 7),
            new Met(EIGHT, MONDAY, 8),
            new Met(NINE, MONDAY.minusDays(7), 9)));

    @Test
    void linesOfOneDayKnowOneAnotherInShelfOrder() {
        assertThat(track.before(SEVEN, MONDAY)).containsExactly(NINE);
        assertThat(track.before(EIGHT, MONDAY)).containsExactly(NINE, SEVEN);
        assertThat(track.before(NINE, MONDAY)).as("set first a week before").isEmpty();
    }

    @Test
    void aLineThatWasNeverSetKnowsAllUntilToday() {
        assertThat(track.before(OTHER, MONDAY)).containsExactly(NINE, SEVEN, EIGHT);
        assertThat(track.before(OTHER, MONDAY.minusDays(1))).containsExactly(NINE);
        assertThat(Track.of(List.of()).before(OTHER, MONDAY)).isEmpty();
    }
}
