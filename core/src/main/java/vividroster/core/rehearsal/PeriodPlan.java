package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How the minutes of a period are spent: what is wanted, in order, within the minutes there are.
 *
 * @param segments in the order of the period; what got no minutes is not among them
 * @param spare minutes nothing is planned for, at least 0
 * @param shortened what got less than wanted, in the order of the period
 */
public record PeriodPlan(List<Segment> segments, int spare, List<Shortened> shortened) {

    public PeriodPlan {
        segments = List.copyOf(segments);
        shortened = List.copyOf(shortened);
    }

    /** Minutes of a warm-up, of teaching one thing, and their least; how many things a period teaches. Ours, to be tuned. */
    public static final int OPENING = 8;

    public static final int LEAST_OPENING = 3;
    public static final int TEACHING = 10;
    public static final int LEAST_TEACHING = 4;
    public static final int MOST_TAUGHT = 2;

    /** Begun minutes count whole; at least one. */
    public static int wholeMinutes(int seconds) {
        return Math.max(1, (seconds + 59) / 60);
    }

    public enum Kind {
        OPEN,
        TEACH,
        HEAR
    }

    /**
     * Something a period is wanted for.
     *
     * @param key its own within the period
     * @param minutes at least 1
     * @param least below which it makes no sense, in 1..minutes
     */
    public record Wish(String key, Kind kind, int minutes, int least) {
        public Wish {
            if (minutes < 1) {
                throw new IllegalArgumentException("minutes must be at least 1, was " + minutes);
            }
            if (least < 1 || least > minutes) {
                throw new IllegalArgumentException("least must be in 1.." + minutes + ", was " + least);
            }
        }
    }

    /** @param begins minute of the period, from 0 */
    public record Segment(String key, Kind kind, int begins, int minutes) {
        public int ends() {
            return begins + minutes;
        }
    }

    /** @param minutes it gets, 0 where it is left out */
    public record Shortened(String key, int wanted, int minutes) {}

    /**
     * Everything gets what it wants where that fits. Else minutes are taken from the hearing first, since who is not heard
     * comes first next time; then from what is taught last; then from the opening; each down to its least. If that is
     * still too much, things are left out in the same order. What a director stretched by hand keeps its minutes to the
     * end. The order is ours, to be tuned.
     *
     * @param from minute of the period at which the first begins, at least 0; more than 0 for the rest of a period
     * @param minutes of the whole period
     * @param byHand minutes by key that a director gave, at least 0
     */
    public static PeriodPlan of(int from, int minutes, List<Wish> wishes, Map<String, Integer> byHand) {
        Map<String, Integer> given = new HashMap<>();
        wishes.forEach(wish -> given.put(wish.key(), Math.max(0, byHand.getOrDefault(wish.key(), wish.minutes()))));
        int over = given.values().stream().mapToInt(Integer::intValue).sum() - Math.max(0, minutes - from);
        List<Wish> free =
                wishes.stream().filter(wish -> !byHand.containsKey(wish.key())).toList();
        List<Wish> fixed =
                wishes.stream().filter(wish -> byHand.containsKey(wish.key())).toList();
        over = take(over, dearestLast(free), given, true);
        over = take(over, dearestLast(free), given, false);
        take(over, dearestLast(fixed), given, false);
        List<Segment> segments = new ArrayList<>();
        List<Shortened> shortened = new ArrayList<>();
        int at = from;
        for (Wish wish : wishes) {
            int gets = given.get(wish.key());
            if (gets > 0) {
                segments.add(new Segment(wish.key(), wish.kind(), at, gets));
                at += gets;
            }
            int wanted = byHand.getOrDefault(wish.key(), wish.minutes());
            if (gets < wanted) {
                shortened.add(new Shortened(wish.key(), wanted, gets));
            }
        }
        return new PeriodPlan(segments, Math.max(0, minutes - at), shortened);
    }

    /** In the order minutes are taken. */
    private static List<Wish> dearestLast(List<Wish> wishes) {
        return wishes.reversed().stream()
                .sorted(Comparator.comparing(Wish::kind).reversed())
                .toList();
    }

    /** Takes minutes until none are over. @return how many still are */
    private static int take(int over, List<Wish> wishes, Map<String, Integer> given, boolean leaveLeast) {
        int left = over;
        for (Wish wish : wishes) {
            if (left <= 0) {
                return left;
            }
            int has = given.get(wish.key());
            int keeps = leaveLeast ? Math.min(has, wish.least()) : 0;
            int taken = Math.min(left, has - keeps);
            given.put(wish.key(), has - taken);
            left -= taken;
        }
        return left;
    }
}
