package vividroster.core.progress;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;

/**
 * Which of the milestones set for a group to hear first on a day: those with somebody still open; of these the ones not
 * yet past their due day, the nearest first; then what is carried over, the latest first; what everybody has, last.
 */
public final class Pressing {

    /** How many a podium shows; ours, what fits a glance. */
    public static final int ON_PODIUM = 3;

    private Pressing() {}

    /**
     * A milestone set for players of a group.
     *
     * @param dueOn earliest due day among them
     * @param standings of those for whom it is set, one each
     */
    public record Asked(UUID milestoneId, LocalDate dueOn, List<Standing> standings) {

        public Asked {
            standings = List.copyOf(standings);
        }

        public int open() {
            return (int) standings.stream().filter(Standing::isOpen).count();
        }

        public int passed() {
            return (int) standings.stream().filter(Standing::isPassed).count();
        }

        public int asked() {
            return standings.size();
        }
    }

    /** Why it stands where it stands. */
    public sealed interface Reason {}

    /** @param days until it is due, 0 when it is due today */
    public record DueIn(int days) implements Reason {}

    /** @param days since it was due, at least 1 */
    public record CarriedOver(int days) implements Reason {}

    /** Nobody is open any more. */
    public record AllHeard() implements Reason {}

    public record Pressed(Asked asked, Reason reason) {}

    /** Whether what is due on a day is still taught on another. */
    public static boolean isCurrent(LocalDate dueOn, LocalDate on) {
        return !dueOn.isBefore(on);
    }

    /** The most pressing first; equals stay in the order given. */
    public static List<Pressed> of(Collection<Asked> asked, LocalDate on) {
        return asked.stream()
                .map(one -> new Pressed(one, reason(one, on)))
                .sorted(Comparator.comparingLong(pressed -> rank(pressed, on)))
                .toList();
    }

    private static Reason reason(Asked asked, LocalDate on) {
        int days = (int) ChronoUnit.DAYS.between(on, asked.dueOn());
        if (asked.open() == 0) {
            return new AllHeard();
        }
        return days >= 0 ? new DueIn(days) : new CarriedOver(-days);
    }

    /** Lower is more pressing; the three kinds lie further apart than any two days. */
    private static long rank(Pressed pressed, LocalDate on) {
        long apart = 1L << 40;
        long days = ChronoUnit.DAYS.between(on, pressed.asked().dueOn());
        long byDay = days >= 0 ? days : apart - days;
        return pressed.reason() instanceof AllHeard ? 2 * apart + byDay : byDay;
    }
}
