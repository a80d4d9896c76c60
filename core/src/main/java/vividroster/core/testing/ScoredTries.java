package vividroster.core.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import vividroster.core.testing.CountedScore.Try;

/** Tries as they count: what two listeners scored of one playing is one try, with the mean of both. */
public final class ScoredTries {

    private ScoredTries() {}

    /** @param share of its points, 0..1 */
    public record Scored(UUID attemptId, UUID listener, LocalDate heardOn, double share, boolean substitute) {}

    /**
     * @param scored in the order heard
     * @param listeners who score one playing: 1 or 2
     * @return in the order heard; a joined try has the id of the last that was joined to it
     */
    public static List<Try> of(List<Scored> scored, int listeners) {
        List<List<Scored>> playings = new ArrayList<>();
        for (Scored one : scored) {
            List<Scored> last = playings.isEmpty() ? List.of() : playings.getLast();
            if (joins(last, one, listeners)) {
                last.add(one);
            } else {
                playings.add(new ArrayList<>(List.of(one)));
            }
        }
        return playings.stream()
                .map(playing -> new Try(
                        playing.getLast().attemptId(),
                        playing.getFirst().heardOn(),
                        playing.stream().mapToDouble(Scored::share).average().orElseThrow(),
                        playing.getFirst().substitute()))
                .toList();
    }

    /** Another listener's score of the same day. */
    private static boolean joins(List<Scored> playing, Scored one, int listeners) {
        Set<UUID> heard = new HashSet<>();
        playing.forEach(other -> heard.add(other.listener()));
        return !playing.isEmpty()
                && playing.size() < listeners
                && !heard.contains(one.listener())
                && playing.getFirst().heardOn().equals(one.heardOn())
                && playing.getFirst().substitute() == one.substitute();
    }

    /**
     * Whether a listener has still to score what somebody else has heard already.
     *
     * @param heardBy who scored the playing so far
     * @param listeners wanted: 1 or 2
     */
    public static boolean waitsFor(Collection<UUID> heardBy, UUID listener, int listeners) {
        return !heardBy.isEmpty() && heardBy.size() < listeners && !heardBy.contains(listener);
    }
}
