package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/** Who is heard how often: whether everybody gets a turn. */
public final class Fairness {

    private Fairness() {}

    /**
     * What was heard of one player.
     *
     * @param classId of the seat
     * @param turns days on which the player was heard, as often as heard
     * @param cutShort turns that were far shorter than planned, see {@link CutShort}
     * @param seatedSince from when on the player could be heard
     */
    public record Heard(
            UUID studentId,
            UUID classId,
            InstrumentCode instrument,
            List<LocalDate> turns,
            int cutShort,
            LocalDate seatedSince) {}

    /**
     * One player's share.
     *
     * @param times how often heard
     * @param longestWait in days of teaching between two turns, before the first one and since the last one
     * @param waiting in days of teaching since the last turn, or since the player came
     */
    public record Share(
            UUID studentId,
            UUID classId,
            InstrumentCode instrument,
            int times,
            int cutShort,
            int longestWait,
            int waiting,
            Optional<LocalDate> lastHeard) {}

    /**
     * A section, or a class.
     *
     * @param median turns of a student, the lower of two
     * @param fewest and most turns of a student
     * @param never who was not heard at all
     * @param uneven whether most is more than twice the fewest, by three turns at least: ours
     */
    public record Spread(int students, int fewest, int median, int most, List<UUID> never, boolean uneven) {}

    /**
     * In the order given.
     *
     * @param taughtDays days of school in order; only these are waited through
     */
    public static List<Share> shares(Collection<Heard> players, List<LocalDate> taughtDays, LocalDate on) {
        return players.stream().map(player -> share(player, taughtDays, on)).toList();
    }

    private static Share share(Heard player, List<LocalDate> taughtDays, LocalDate on) {
        List<LocalDate> days = player.turns().stream().distinct().sorted().toList();
        int longest = 0;
        // A turn on the first day was not waited for.
        LocalDate from = player.seatedSince().minusDays(1);
        for (LocalDate day : days) {
            longest = Math.max(longest, between(taughtDays, from, day));
            from = day;
        }
        int waiting = between(taughtDays, from, on.plusDays(1));
        return new Share(
                player.studentId(),
                player.classId(),
                player.instrument(),
                player.turns().size(),
                player.cutShort(),
                Math.max(longest, waiting),
                waiting,
                days.isEmpty() ? Optional.empty() : Optional.of(days.getLast()));
    }

    /** Days of teaching strictly between two days. */
    private static int between(List<LocalDate> taughtDays, LocalDate after, LocalDate before) {
        return (int) taughtDays.stream()
                .filter(day -> day.isAfter(after) && day.isBefore(before))
                .count();
    }

    /** @param shares of those in the section or class; at least one */
    public static Spread spread(Collection<Share> shares) {
        List<Integer> times = shares.stream()
                .map(Share::times)
                .sorted(Comparator.naturalOrder())
                .toList();
        int fewest = times.getFirst();
        int most = times.getLast();
        return new Spread(
                times.size(),
                fewest,
                times.get((times.size() - 1) / 2),
                most,
                shares.stream()
                        .filter(share -> share.times() == 0)
                        .map(Share::studentId)
                        .toList(),
                most > 2 * fewest && most - fewest >= 3);
    }
}
