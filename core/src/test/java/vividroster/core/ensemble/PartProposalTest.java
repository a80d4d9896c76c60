package vividroster.core.ensemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.ensemble.PartProposal.Part;
import vividroster.core.ensemble.PartProposal.Player;
import vividroster.core.ensemble.PartProposal.Seat;

class PartProposalTest {

    private static final Part FIRST = new Part("1st", Set.of("C4", "D4", "E4", "F4", "A5"), 4);
    private static final Part SECOND = new Part("2nd", Set.of("C4", "D4", "E4"), 2);

    private static Player player(int id, double fastest, int passed, String... met) {
        return new Player(new UUID(1, id), Set.of(met), fastest, passed);
    }

    @Test
    void whoHasTheNotesOfTheFirstPartGetsItWhateverElseOthersPassed() {
        List<Seat> seats = PartProposal.of(
                List.of(FIRST, SECOND),
                List.of(
                        player(1, 4, 30, "C4", "D4", "E4"),
                        player(2, 4, 12, "C4", "D4", "E4", "F4", "A5"),
                        player(3, 2, 20, "C4", "D4", "E4", "F4")));
        assertThat(seats)
                .containsExactly(
                        new Seat(new UUID(1, 2), "1st", List.of(), false),
                        new Seat(new UUID(1, 1), "2nd", List.of(), false),
                        new Seat(new UUID(1, 3), "2nd", List.of(), false));
        assertThat(seats).allMatch(Seat::fits);
    }

    @Test
    void aPartThatAsksMoreSaysWhichNotesAndThatItIsFaster() {
        Seat seat = PartProposal.seat(FIRST, player(1, 2, 3, "C4", "D4"));
        assertThat(seat).isEqualTo(new Seat(new UUID(1, 1), "1st", List.of("A5", "E4", "F4"), true));
        assertThat(seat.fits()).isFalse();
        assertThatThrownBy(() -> PartProposal.of(List.of(), List.of())).isInstanceOf(IllegalArgumentException.class);
    }

    @Property(tries = 300)
    void everybodyHasOneSeatAndThePartsDifferByOne(@ForAll long seed) {
        Random random = new Random(seed);
        List<String> notes = List.of("C4", "D4", "E4", "F4", "G4", "A4", "A5");
        List<Part> parts = new ArrayList<>();
        for (int i = 1; i <= 1 + random.nextInt(4); i++) {
            parts.add(new Part(i + ".", some(random, notes), random.nextInt(6)));
        }
        List<Player> players = new ArrayList<>();
        for (int i = 0; i < random.nextInt(12); i++) {
            players.add(new Player(new UUID(1, i), some(random, notes), random.nextInt(6), random.nextInt(30)));
        }
        List<Seat> seats = PartProposal.of(parts, players);
        assertThat(seats.stream().map(Seat::studentId).collect(Collectors.toSet()))
                .hasSize(players.size())
                .hasSize(seats.size());
        Map<String, Long> sizes = seats.stream().collect(Collectors.groupingBy(Seat::part, Collectors.counting()));
        if (players.size() >= parts.size()) {
            assertThat(sizes).hasSize(parts.size());
            long most = sizes.values().stream().mapToLong(Long::longValue).max().orElseThrow();
            long fewest =
                    sizes.values().stream().mapToLong(Long::longValue).min().orElseThrow();
            assertThat(most - fewest).isLessThanOrEqualTo(1);
        }
    }

    private static Set<String> some(Random random, List<String> notes) {
        Set<String> some = new HashSet<>();
        notes.forEach(note -> {
            if (random.nextBoolean()) {
                some.add(note);
            }
        });
        return some;
    }
}
