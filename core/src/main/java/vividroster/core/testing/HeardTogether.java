package vividroster.core.testing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/** Who is heard together on a test day: neighbours in the fair order who play the same instrument in the same class. */
public final class HeardTogether {

    /** More are no longer heard one by one; ours. */
    public static final int MOST = 4;

    private HeardTogether() {}

    /** Somebody to be heard. */
    public record Waiting(UUID studentId, UUID classId, InstrumentCode instrument) {

        private boolean plays(Waiting other) {
            return classId.equals(other.classId) && instrument.equals(other.instrument);
        }
    }

    /**
     * @param inFairOrder each once
     * @param together in 1..4; 1 hears everybody alone
     * @return groups of at most so many, in the fair order of the first of each
     */
    public static List<List<Waiting>> of(List<Waiting> inFairOrder, int together) {
        if (together < 1 || together > MOST) {
            throw new IllegalArgumentException("together must be in 1.." + MOST + ", was " + together);
        }
        List<List<Waiting>> groups = new ArrayList<>();
        Set<UUID> taken = new HashSet<>();
        for (int i = 0; i < inFairOrder.size(); i++) {
            Waiting first = inFairOrder.get(i);
            if (!taken.add(first.studentId())) {
                continue;
            }
            List<Waiting> group = new ArrayList<>(List.of(first));
            for (int j = i + 1; j < inFairOrder.size() && group.size() < together; j++) {
                Waiting next = inFairOrder.get(j);
                if (first.plays(next) && taken.add(next.studentId())) {
                    group.add(next);
                }
            }
            groups.add(List.copyOf(group));
        }
        return groups;
    }
}
