package vividroster.core.progress;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Turns that were so short that the student cannot have played the whole. */
public final class CutShort {

    /** After a longer pause a run begins anew, and how long its first turn took is not known; ours. */
    private static final Duration PAUSE = Duration.ofMinutes(10);

    /** Marks put down for several at once are no turns one after another; ours. */
    private static final Duration AT_ONCE = Duration.ofSeconds(2);

    /** Share of the planned time under which a turn counts as cut short, in percent; ours. */
    private static final int PERCENT = 50;

    private CutShort() {}

    /** @param at when the mark was put down; planned how long the turn should take */
    public record Turn(UUID studentId, UUID heardBy, Instant at, Duration planned) {}

    /** How often each student's turn was cut short; those it never happened to are left out. */
    public static Map<UUID, Integer> of(Collection<Turn> turns) {
        List<Turn> inOrder = turns.stream()
                .sorted(Comparator.comparing(Turn::heardBy)
                        .thenComparing(Turn::at)
                        .thenComparing(Turn::studentId))
                .toList();
        Map<UUID, Integer> cut = new HashMap<>();
        for (int i = 1; i < inOrder.size(); i++) {
            Turn before = inOrder.get(i - 1);
            Turn turn = inOrder.get(i);
            Duration took = Duration.between(before.at(), turn.at());
            boolean oneAfterAnother =
                    before.heardBy().equals(turn.heardBy()) && took.compareTo(AT_ONCE) > 0 && took.compareTo(PAUSE) < 0;
            if (oneAfterAnother && took.toMillis() * 100 < turn.planned().toMillis() * PERCENT) {
                cut.merge(turn.studentId(), 1, Integer::sum);
            }
        }
        return cut;
    }
}
