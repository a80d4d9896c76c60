package vividroster.core.roster;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jgrapht.alg.matching.blossom.v5.KolmogorovWeightedPerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import vividroster.core.roster.PartnerPairs.Group;

/**
 * Pairs with the least met before: a perfect matching of least weight over everybody, each pair weighing the square of
 * how often it met, so that a second meeting comes before a third. Of pairs that met as often the one longest ago.
 */
final class FairPairs {

    /** Less than one meeting, however long the year: it only settles what is equal. */
    private static final double LATELY = 1e-4;

    /**
     * How many groupings are tried for a third place, times the square of the students: every one up to eleven
     * students, and for a whole band the likeliest of them, so that a week is paired in a blink however long the year.
     */
    private static final int TRIES = 60_000;

    private final List<UUID> students;
    private final Map<Set<UUID>, Integer> met = new HashMap<>();
    private final Map<Set<UUID>, Integer> lastMet = new HashMap<>();
    private final Map<UUID, Integer> timesThird = new HashMap<>();
    private final Map<UUID, Integer> lastThird = new HashMap<>();
    private final int weeks;

    FairPairs(List<UUID> students, List<List<Group>> before) {
        this.students = students;
        this.weeks = Math.max(1, before.size());
        for (int week = 0; week < before.size(); week++) {
            for (Group group : before.get(week)) {
                remember(group, week);
            }
        }
    }

    private void remember(Group group, int week) {
        List<UUID> members = group.members();
        for (int a = 0; a < members.size(); a++) {
            for (int b = a + 1; b < members.size(); b++) {
                Set<UUID> pair = Set.of(members.get(a), members.get(b));
                met.merge(pair, 1, Integer::sum);
                lastMet.put(pair, week);
            }
        }
        if (group.isThree()) {
            timesThird.merge(members.get(2), 1, Integer::sum);
            lastThird.put(members.get(2), week);
        }
    }

    List<Group> groups() {
        if (students.size() % 2 == 0) {
            Matched best = matched(students);
            Matched round = round();
            // As fresh as can be, and so that the weeks to come stay fresh: everybody meets everybody in n - 1 weeks.
            return inSeating(
                    Math.floor(round.weight() + 1e-9) <= Math.floor(best.weight() + 1e-9)
                            ? round.pairs()
                            : best.pairs());
        }
        Threes best = null;
        List<UUID> thirds = thirds();
        int tries = Math.max(2, TRIES / (students.size() * students.size()) / thirds.size());
        for (UUID third : thirds) {
            best = withThird(third, best, tries);
            if (best.repeats() < 1) {
                break;
            }
        }
        List<Group> groups = inSeating(best.pairs());
        for (int i = 0; i < groups.size(); i++) {
            List<UUID> pair = groups.get(i).members();
            if (Set.copyOf(pair).equals(Set.copyOf(best.joined()))) {
                groups.set(i, new Group(List.of(pair.get(0), pair.get(1), best.third())));
            }
        }
        return groups;
    }

    /** Who may be third: whoever was least often, and not again whoever was last; longest ago first. */
    private List<UUID> thirds() {
        int fewest = students.stream()
                .mapToInt(id -> timesThird.getOrDefault(id, 0))
                .min()
                .orElse(0);
        List<UUID> thirds = new ArrayList<>(students);
        thirds.removeIf(id -> timesThird.getOrDefault(id, 0) > fewest);
        thirds.sort(Comparator.comparingInt(id -> lastThird.getOrDefault(id, -1)));
        int latest = lastThird.values().stream().mapToInt(w -> w).max().orElse(-1);
        boolean again = thirds.size() > 1 && latest >= 0 && lastThird.getOrDefault(thirds.getLast(), -1) == latest;
        return again ? thirds.subList(0, thirds.size() - 1) : thirds;
    }

    /** @param weight of all pairs */
    private record Matched(List<List<UUID>> pairs, double weight) {}

    private record Threes(List<List<UUID>> pairs, List<UUID> joined, UUID third, double weight) {
        double repeats() {
            return Math.floor(weight + 1e-9);
        }
    }

    /** The best grouping with this third, if it repeats less than the best so far. */
    private Threes withThird(UUID third, Threes sofar, int tries) {
        List<UUID> others = new ArrayList<>(students);
        others.remove(third);
        Matched base = matched(others);
        Threes best = sofar;
        for (List<UUID> pair : base.pairs()) {
            best = better(best, new Threes(base.pairs(), pair, third, base.weight() + joining(third, pair)));
        }
        List<List<UUID>> pairs = new ArrayList<>();
        for (int a = 0; a < others.size(); a++) {
            for (int b = a + 1; b < others.size(); b++) {
                pairs.add(List.of(others.get(a), others.get(b)));
            }
        }
        pairs.sort(Comparator.comparingDouble(pair -> joining(third, pair)));
        for (List<UUID> pair : pairs.subList(0, Math.min(tries, pairs.size()))) {
            // No grouping weighs less than all the others at their best and this third with its pair.
            if (Math.floor(base.weight() + joining(third, pair) + 1e-9) >= best.repeats()) {
                break;
            }
            List<UUID> rest = new ArrayList<>(others);
            rest.removeAll(pair);
            Matched around = matched(rest);
            List<List<UUID>> all = new ArrayList<>(around.pairs());
            all.add(pair);
            double weight = around.weight() + weight(pair.get(0), pair.get(1)) + joining(third, pair);
            best = better(best, new Threes(all, pair, third, weight));
        }
        return best;
    }

    /** Whoever was third least is asked first, so that only fewer repeats are better. */
    private static Threes better(Threes sofar, Threes other) {
        boolean sameThird = sofar != null && sofar.third().equals(other.third());
        return sofar == null
                        || other.repeats() < sofar.repeats()
                        || sameThird && other.weight() < sofar.weight() - 1e-12
                ? other
                : sofar;
    }

    private double joining(UUID third, List<UUID> pair) {
        return weight(third, pair.get(0)) + weight(third, pair.get(1));
    }

    private double weight(UUID a, UUID b) {
        Set<UUID> pair = Set.of(a, b);
        int times = met.getOrDefault(pair, 0);
        double lately = times == 0 ? 0 : (lastMet.get(pair) + 1.0) / weeks;
        return (double) times * times + LATELY * lately / students.size();
    }

    /** The round of a round-robin that repeats least: one student stays, the others go round a circle. */
    private Matched round() {
        int n = students.size();
        Matched best = null;
        for (int round = 0; round < n - 1; round++) {
            List<List<UUID>> pairs = new ArrayList<>();
            double weight = 0;
            for (int i = 0; i < n / 2; i++) {
                UUID a = students.get(i == 0 ? 0 : 1 + Math.floorMod(round + i - 1, n - 1));
                UUID b = students.get(1 + Math.floorMod(round + n - 2 - i, n - 1));
                pairs.add(List.of(a, b));
                weight += weight(a, b);
            }
            best = best == null || weight < best.weight() - 1e-12 ? new Matched(pairs, weight) : best;
        }
        return best;
    }

    private Matched matched(List<UUID> even) {
        if (even.isEmpty()) {
            return new Matched(List.of(), 0);
        }
        SimpleWeightedGraph<UUID, DefaultWeightedEdge> graph = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        even.forEach(graph::addVertex);
        for (int a = 0; a < even.size(); a++) {
            for (int b = a + 1; b < even.size(); b++) {
                graph.setEdgeWeight(graph.addEdge(even.get(a), even.get(b)), weight(even.get(a), even.get(b)));
            }
        }
        var matching = new KolmogorovWeightedPerfectMatching<>(graph).getMatching();
        List<List<UUID>> pairs = new ArrayList<>();
        matching.getEdges().forEach(edge -> pairs.add(List.of(graph.getEdgeSource(edge), graph.getEdgeTarget(edge))));
        double weight =
                pairs.stream().mapToDouble(p -> weight(p.get(0), p.get(1))).sum();
        return new Matched(pairs, weight);
    }

    /** In seating order; who played first last time plays second now. */
    private List<Group> inSeating(List<List<UUID>> pairs) {
        Map<UUID, Integer> seat = new HashMap<>();
        students.forEach(id -> seat.put(id, seat.size()));
        List<Group> groups = new ArrayList<>();
        pairs.stream()
                .map(pair -> seat.get(pair.get(0)) < seat.get(pair.get(1)) ? pair : pair.reversed())
                .sorted(Comparator.comparingInt(pair -> seat.get(pair.get(0))))
                .forEach(pair -> {
                    boolean swap = met.getOrDefault(Set.copyOf(pair), 0) % 2 == 1;
                    groups.add(new Group(swap ? pair.reversed() : pair));
                });
        return groups;
    }
}
