package vividroster.core.ensemble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.ensemble.PartProposal.Part;
import vividroster.core.ensemble.PartProposal.Player;
import vividroster.core.ensemble.PartProposal.Seat;
import vividroster.core.music.Pitch;

class PartProposalTest {

    private static final List<Integer> NOTES = List.of(60, 62, 64, 65, 67, 69, 81);
    private static final Part FIRST = new Part("1st", notes("C4", "D4", "E4", "F4", "A5"), 4);
    private static final Part SECOND = new Part("2nd", notes("C4", "D4", "E4"), 2);

    private static Set<Integer> notes(String... names) {
        return Arrays.stream(names).map(name -> Pitch.named(name).midi()).collect(Collectors.toSet());
    }

    @Test
    void anotherSpellingIsNoNewNote() {
        Part sharps = new Part("1st", notes("C#5", "F#5"), 2);
        assertThat(PartProposal.seat(sharps, player(1, 2, 3, "Db5", "Gb5")).fits())
                .isTrue();
    }

    private static Player player(int id, double fastest, int passed, String... met) {
        return new Player(new UUID(1, id), notes(met), fastest, passed);
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
        assertThat(seat).isEqualTo(new Seat(new UUID(1, 1), "1st", List.of(64, 65, 81), true));
        assertThat(seat.fits()).isFalse();
        assertThatThrownBy(() -> PartProposal.of(List.of(), List.of())).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void nobodyTakesThePartThatAloneFitsSomebodyElse() {
        Part high = new Part("1st", notes("C5", "D5", "E5"), 2);
        Part low = new Part("2nd", notes("C4", "D4"), 2);
        // The stronger one could play either; whoever has the high notes alone must not be left with the low part.
        assertThat(PartProposal.of(
                        List.of(high, low),
                        List.of(player(1, 4, 30, "C4", "D4", "C5", "D5", "E5"), player(2, 4, 9, "C5", "D5", "E5"))))
                .containsExactly(
                        new Seat(new UUID(1, 2), "1st", List.of(), false),
                        new Seat(new UUID(1, 1), "2nd", List.of(), false));
    }

    @Test
    void whereAllArePassedTheStrongerOnesPlayWhatIsFasterThenWhatIsHigher() {
        Part low = new Part("1st", notes("C4", "D4", "E4"), 2);
        Part high = new Part("2nd", notes("C5"), 2);
        List<Player> players =
                List.of(player(1, 4, 9, "C4", "D4", "E4", "C5"), player(2, 4, 30, "C4", "D4", "E4", "C5"));
        assertThat(PartProposal.of(List.of(low, high), players))
                .extracting(Seat::studentId)
                .containsExactly(new UUID(1, 1), new UUID(1, 2));
        Part quick = new Part("1st", low.notes(), 4);
        assertThat(PartProposal.of(List.of(quick, high), players))
                .extracting(Seat::studentId)
                .containsExactly(new UUID(1, 2), new UUID(1, 1));
    }

    @Property(tries = 300)
    void noOtherSeatingOfTheSameSizesAsksFewerPlayersSomethingNew(@ForAll long seed) {
        Random random = new Random(seed);
        List<Part> parts = parts(random, 3);
        List<Player> players = players(random, 7);
        List<Seat> proposed = PartProposal.of(parts, players);
        List<String> sizes = proposed.stream().map(Seat::part).toList();
        List<Long> least = new ArrayList<>(List.of(Long.MAX_VALUE));
        tryAll(parts, players, new ArrayList<>(sizes), new ArrayList<>(), least);
        assertThat(asked(proposed)).isEqualTo(players.isEmpty() ? 0 : least.getFirst());
    }

    /** Players asked something new before how many things. */
    private static long asked(List<Seat> seats) {
        return seats.stream()
                .mapToLong(seat -> seat.fits() ? 0 : 1000 + seat.newNotes().size() + (seat.faster() ? 1 : 0))
                .sum();
    }

    private static void tryAll(
            List<Part> parts, List<Player> players, List<String> free, List<Seat> seated, List<Long> least) {
        if (seated.size() == players.size()) {
            least.set(0, Math.min(least.getFirst(), asked(seated)));
            return;
        }
        for (Part part : parts) {
            if (free.remove(part.name())) {
                seated.add(PartProposal.seat(part, players.get(seated.size())));
                tryAll(parts, players, free, seated, least);
                seated.removeLast();
                free.add(part.name());
            }
        }
    }

    private static List<Part> parts(Random random, int most) {
        List<Part> parts = new ArrayList<>();
        for (int i = 1; i <= 1 + random.nextInt(most); i++) {
            parts.add(new Part(i + ".", some(random, NOTES), random.nextInt(6)));
        }
        return parts;
    }

    private static List<Player> players(Random random, int most) {
        List<Player> players = new ArrayList<>();
        for (int i = 0; i < random.nextInt(most + 1); i++) {
            players.add(new Player(new UUID(1, i), some(random, NOTES), random.nextInt(6), random.nextInt(30)));
        }
        return players;
    }

    /** More than any section has. */
    @Test
    void twoHundredPlayersAreSeatedWhileOneWaits() {
        Random random = new Random(7);
        List<Part> parts = IntStream.rangeClosed(1, 4)
                .mapToObj(i -> new Part(i + ".", some(random, NOTES), random.nextInt(6)))
                .toList();
        List<Player> players = IntStream.range(0, 200)
                .mapToObj(i -> new Player(new UUID(1, i), some(random, NOTES), random.nextInt(6), random.nextInt(30)))
                .toList();
        long begun = System.nanoTime();
        assertThat(PartProposal.of(parts, players)).hasSize(200);
        assertThat(Duration.ofNanos(System.nanoTime() - begun)).isLessThan(Duration.ofSeconds(3));
    }

    @Property(tries = 300)
    void everybodyHasOneSeatAndThePartsDifferByOne(@ForAll long seed) {
        Random random = new Random(seed);
        List<Part> parts = parts(random, 4);
        List<Player> players = players(random, 11);
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

    private static Set<Integer> some(Random random, List<Integer> notes) {
        Set<Integer> some = new HashSet<>();
        notes.forEach(note -> {
            if (random.nextBoolean()) {
                some.add(note);
            }
        });
        return some;
    }
}
