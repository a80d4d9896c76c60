package vividroster.core.testing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Who is heard in which period of the days of a test, so that everybody is heard as early as possible. Units are never split
 * and no period is exceeded. The smallest number of periods is looked for from a bound upwards: in fair order first, then
 * with the longest first, then by a search that gives up after a number of steps and says so.
 *
 * @param slots by period, within a period in fair order
 * @param left units for which there is no room, in fair order
 * @param bound how many of the first periods are needed at least, by the minutes alone; 0 without units
 * @param proven whether no plan ends in an earlier period, or, where units are left, that all of them cannot be heard
 */
public record TestDays(List<Slot> slots, List<String> left, int bound, boolean proven) {

    /** Steps of a search for one number of periods before it is left undecided. */
    static final int MOST_NODES = 20_000;

    public TestDays {
        slots = List.copyOf(slots);
        left = List.copyOf(left);
    }

    /** A stretch of time with room to hear somebody. @param seconds at least 0 */
    public record Period(String id, int seconds) {
        public Period {
            if (seconds < 0) {
                throw new IllegalArgumentException("seconds must be at least 0, was " + seconds);
            }
        }
    }

    /**
     * Who is heard together, one student or several.
     *
     * @param seconds at least 1
     * @param periods it can be heard in; empty for any
     */
    public record Unit(String id, List<String> students, int seconds, Set<String> periods) {
        public Unit {
            if (seconds < 1) {
                throw new IllegalArgumentException("seconds must be at least 1, was " + seconds);
            }
            students = List.copyOf(students);
            periods = Set.copyOf(periods);
        }

        boolean mayBeIn(Period period) {
            return periods.isEmpty() || periods.contains(period.id());
        }
    }

    /** @param startSecond of the period, from 0 */
    public record Slot(String unit, String period, int startSecond) {}

    /**
     * @param periods in the order of the days
     * @param units in fair order
     */
    public static TestDays of(List<Period> periods, List<Unit> units) {
        Set<Unit> hopeless = units.stream()
                .filter(unit -> periods.stream().noneMatch(p -> unit.mayBeIn(p) && p.seconds() >= unit.seconds()))
                .collect(Collectors.toSet());
        List<Unit> fair =
                units.stream().filter(unit -> !hopeless.contains(unit)).toList();
        List<String> left =
                units.stream().filter(hopeless::contains).map(Unit::id).toList();
        if (fair.isEmpty()) {
            return new TestDays(List.of(), left, 0, true);
        }
        int bound = bound(periods, fair);
        boolean proven = true;
        for (int k = bound; k <= periods.size(); k++) {
            Packing packing = new Packing(periods.subList(0, k), fair);
            switch (packing.pack()) {
                case FOUND -> {
                    return new TestDays(packing.slots(), left, bound, proven);
                }
                case NONE -> {}
                case UNDECIDED -> proven = false;
            }
        }
        // Not everybody can be heard: as many as go in, in fair order, the others wait for a make-up slot.
        Packing all = new Packing(periods, fair);
        Set<String> waiting = new HashSet<>(left);
        waiting.addAll(all.asManyAsGo());
        return new TestDays(
                all.slots(),
                units.stream().map(Unit::id).filter(waiting::contains).toList(),
                Math.min(bound, periods.size()),
                proven);
    }

    /** One more than there are periods where their minutes do not suffice. */
    private static int bound(List<Period> periods, List<Unit> units) {
        long wanted = units.stream().mapToLong(Unit::seconds).sum();
        long room = 0;
        for (int k = 1; k <= periods.size(); k++) {
            room += periods.get(k - 1).seconds();
            List<Period> first = periods.subList(0, k);
            if (room >= wanted
                    && units.stream()
                            .allMatch(unit ->
                                    first.stream().anyMatch(p -> unit.mayBeIn(p) && p.seconds() >= unit.seconds()))) {
                return k;
            }
        }
        return periods.size() + 1;
    }

    private enum Result {
        FOUND,
        NONE,
        UNDECIDED
    }

    /** Units put into some periods. */
    private static final class Packing {

        private final List<Period> periods;
        private final List<Unit> fair;
        /** Period of each unit, by its place in the fair order; -1 while it has none. */
        private final int[] in;

        private final int[] room;

        Packing(List<Period> periods, List<Unit> fair) {
            this.periods = periods;
            this.fair = fair;
            this.in = new int[fair.size()];
            this.room = new int[periods.size()];
            clear();
        }

        private void clear() {
            Arrays.fill(in, -1);
            for (int p = 0; p < room.length; p++) {
                room[p] = periods.get(p).seconds();
            }
        }

        private boolean fits(int unit, int period) {
            return room[period] >= fair.get(unit).seconds() && fair.get(unit).mayBeIn(periods.get(period));
        }

        private void put(int unit, int period) {
            in[unit] = period;
            room[period] -= fair.get(unit).seconds();
        }

        private void take(int unit) {
            room[in[unit]] += fair.get(unit).seconds();
            in[unit] = -1;
        }

        Result pack() {
            List<Integer> inFairOrder = new ArrayList<>();
            for (int i = 0; i < fair.size(); i++) {
                inFairOrder.add(i);
            }
            List<Integer> hardFirst = inFairOrder.stream()
                    .sorted(Comparator.comparingInt(this::choices)
                            .thenComparing(i -> fair.get(i).seconds(), Comparator.reverseOrder()))
                    .toList();
            if (greedy(inFairOrder, false) || greedy(hardFirst, false) || greedy(hardFirst, true)) {
                straighten();
                return Result.FOUND;
            }
            clear();
            Result result = new Search(hardFirst).run();
            if (result == Result.FOUND) {
                straighten();
            }
            return result;
        }

        /** How many periods a unit may be in. */
        private int choices(int unit) {
            return (int) periods.stream()
                    .filter(p -> fair.get(unit).mayBeIn(p)
                            && p.seconds() >= fair.get(unit).seconds())
                    .count();
        }

        private boolean greedy(List<Integer> order, boolean tightest) {
            clear();
            for (int unit : order) {
                int best = -1;
                for (int p = 0; p < room.length; p++) {
                    if (fits(unit, p) && (best < 0 || (tightest && room[p] < room[best]))) {
                        best = p;
                    }
                }
                if (best < 0) {
                    return false;
                }
                put(unit, best);
            }
            return true;
        }

        /** The first that go in, in fair order. @return ids of those that do not */
        List<String> asManyAsGo() {
            clear();
            List<String> left = new ArrayList<>();
            for (int unit = 0; unit < fair.size(); unit++) {
                for (int p = 0; p < room.length && in[unit] < 0; p++) {
                    if (fits(unit, p)) {
                        put(unit, p);
                    }
                }
                if (in[unit] < 0) {
                    left.add(fair.get(unit).id());
                }
            }
            return left;
        }

        /** Nearer to the fair order, as long as exchanging two, or moving one to an earlier period, brings it nearer. */
        private void straighten() {
            boolean better = true;
            while (better) {
                better = false;
                for (int early = 0; early < in.length; early++) {
                    for (int p = 0; p < in[early]; p++) {
                        if (fits(early, p) && moves(early, p)) {
                            better = true;
                        }
                    }
                    for (int late = early + 1; late < in.length; late++) {
                        if (in[late] < in[early] && exchanged(early, late)) {
                            better = true;
                        }
                    }
                }
            }
        }

        private boolean moves(int unit, int period) {
            int before = disorder();
            int was = in[unit];
            take(unit);
            put(unit, period);
            if (disorder() < before) {
                return true;
            }
            take(unit);
            put(unit, was);
            return false;
        }

        private boolean exchanged(int one, int other) {
            int before = disorder();
            int a = in[one];
            int b = in[other];
            take(one);
            take(other);
            if (fits(one, b)) {
                put(one, b);
                if (fits(other, a)) {
                    put(other, a);
                    if (disorder() < before) {
                        return true;
                    }
                    take(other);
                }
                take(one);
            }
            put(one, a);
            put(other, b);
            return false;
        }

        /** Pairs that are heard in the periods the wrong way round. */
        private int disorder() {
            int pairs = 0;
            for (int i = 0; i < in.length; i++) {
                for (int j = i + 1; j < in.length; j++) {
                    if (in[j] < in[i]) {
                        pairs++;
                    }
                }
            }
            return pairs;
        }

        List<Slot> slots() {
            List<Slot> slots = new ArrayList<>();
            for (int p = 0; p < room.length; p++) {
                int at = 0;
                for (int unit = 0; unit < in.length; unit++) {
                    if (in[unit] == p) {
                        slots.add(new Slot(fair.get(unit).id(), periods.get(p).id(), at));
                        at += fair.get(unit).seconds();
                    }
                }
            }
            return slots;
        }

        /** Every way that matters, the hardest unit first; states met before are not gone through again. */
        private final class Search {

            private final List<Integer> order;
            /** Periods with one number can be exchanged: the same units may be in them. */
            private final int[] kind;

            private final long[] wantedFrom;
            private final int[] leastFrom;
            private final Map<Integer, Set<List<Long>>> deadEnds = new HashMap<>();
            private int nodes;

            Search(List<Integer> order) {
                this.order = order;
                kind = new int[periods.size()];
                Map<List<Integer>, Integer> kinds = new HashMap<>();
                for (int p = 0; p < kind.length; p++) {
                    int period = p;
                    List<Integer> tied = order.stream()
                            .filter(unit -> !fair.get(unit).periods().isEmpty()
                                    && fair.get(unit).mayBeIn(periods.get(period)))
                            .toList();
                    kind[p] = kinds.computeIfAbsent(tied, t -> kinds.size());
                }
                wantedFrom = new long[order.size() + 1];
                leastFrom = new int[order.size() + 1];
                leastFrom[order.size()] = Integer.MAX_VALUE;
                for (int i = order.size() - 1; i >= 0; i--) {
                    int seconds = fair.get(order.get(i)).seconds();
                    wantedFrom[i] = wantedFrom[i + 1] + seconds;
                    leastFrom[i] = Math.min(leastFrom[i + 1], seconds);
                }
            }

            Result run() {
                boolean found = from(0, 0);
                return found ? Result.FOUND : nodes > MOST_NODES ? Result.UNDECIDED : Result.NONE;
            }

            private boolean from(int at, int lowest) {
                if (at == order.size()) {
                    return true;
                }
                if (++nodes > MOST_NODES || !enoughRoom(at)) {
                    return false;
                }
                boolean begins = at == 0 || !alike(order.get(at - 1), order.get(at));
                List<Long> state = begins ? state() : null;
                if (begins && deadEnds.getOrDefault(at, Set.of()).contains(state)) {
                    return false;
                }
                int unit = order.get(at);
                Set<Long> tried = new HashSet<>();
                for (int p = begins ? 0 : lowest; p < room.length; p++) {
                    if (fits(unit, p) && tried.add(left(p))) {
                        put(unit, p);
                        if (from(at + 1, p)) {
                            return true;
                        }
                        take(unit);
                    }
                }
                if (begins && nodes <= MOST_NODES) {
                    deadEnds.computeIfAbsent(at, i -> new HashSet<>()).add(state);
                }
                return false;
            }

            /** Of what is too short for the shortest unit still to come nothing is of use. */
            private boolean enoughRoom(int at) {
                long usable = 0;
                for (int seconds : room) {
                    usable += seconds >= leastFrom[at] ? seconds : 0;
                }
                return usable >= wantedFrom[at];
            }

            private boolean alike(int one, int other) {
                return fair.get(one).seconds() == fair.get(other).seconds()
                        && fair.get(one).periods().equals(fair.get(other).periods());
            }

            private long left(int period) {
                return (long) kind[period] << 32 | room[period];
            }

            private List<Long> state() {
                List<Long> state = new ArrayList<>();
                for (int p = 0; p < room.length; p++) {
                    state.add(left(p));
                }
                state.sort(Comparator.naturalOrder());
                return state;
            }
        }
    }
}
