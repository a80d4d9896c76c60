package vividroster.core.placing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/**
 * Two placements, syllables or hands tried in turn, and which was better.
 *
 * @param about what was compared, for example "mouthpiece height"
 * @param one and other: the two ways in the director's words
 * @param blind whether the listener did not know which was played first
 */
public record TwoWays(
        UUID id,
        UUID studentId,
        InstrumentCode instrument,
        String about,
        String one,
        String other,
        boolean blind,
        Better better,
        LocalDate on) {

    /** Which was better. */
    public enum Better {
        ONE,
        OTHER,
        NO_DIFFERENCE
    }

    /** Which of the two is played first where the listener is not to know: told from the id alone, each as often. */
    public static boolean oneComesFirst(UUID id) {
        long mixed = id.getMostSignificantBits() ^ id.getLeastSignificantBits();
        mixed ^= mixed >>> 32;
        mixed ^= mixed >>> 16;
        mixed ^= mixed >>> 8;
        return Long.bitCount(mixed & 0xFF) % 2 == 0;
    }

    /** What was heard first or second as one of the two ways. @param firstWasBetter of the two played */
    public static Better heard(UUID id, boolean firstWasBetter) {
        return firstWasBetter == oneComesFirst(id) ? Better.ONE : Better.OTHER;
    }

    /**
     * How two ways did against each other so far.
     *
     * @param ways in the order first named
     * @param wins of each, in the same order
     */
    public record Tally(
            InstrumentCode instrument,
            String about,
            List<String> ways,
            List<Integer> wins,
            int noDifference,
            LocalDate lastOn) {

        public Tally {
            ways = List.copyOf(ways);
            wins = List.copyOf(wins);
        }
    }

    private record Pair(InstrumentCode instrument, String about, Set<String> ways) {}

    private static String plain(String words) {
        return words.strip().toLowerCase(Locale.ROOT);
    }

    /** Of one student, the latest first; the same two ways are counted together whichever was named first. */
    public static List<Tally> tallies(Collection<TwoWays> compared) {
        Map<Pair, List<TwoWays>> together = new LinkedHashMap<>();
        compared.stream()
                .sorted(Comparator.comparing(TwoWays::on).thenComparing(TwoWays::id))
                .forEach(one -> together.computeIfAbsent(
                                new Pair(
                                        one.instrument(),
                                        plain(one.about()),
                                        new TreeSet<>(List.of(plain(one.one()), plain(one.other())))),
                                pair -> new ArrayList<>())
                        .add(one));
        return together.values().stream()
                .map(TwoWays::tally)
                .sorted(Comparator.comparing(Tally::lastOn).reversed())
                .toList();
    }

    private static Tally tally(List<TwoWays> same) {
        TwoWays first = same.getFirst();
        int one = 0;
        int other = 0;
        int none = 0;
        for (TwoWays compared : same) {
            boolean turned = !plain(compared.one()).equals(plain(first.one()));
            switch (compared.better()) {
                case ONE -> {
                    one += turned ? 0 : 1;
                    other += turned ? 1 : 0;
                }
                case OTHER -> {
                    one += turned ? 1 : 0;
                    other += turned ? 0 : 1;
                }
                case NO_DIFFERENCE -> none++;
            }
        }
        return new Tally(
                first.instrument(),
                first.about(),
                List.of(first.one(), first.other()),
                List.of(one, other),
                none,
                same.getLast().on());
    }
}
