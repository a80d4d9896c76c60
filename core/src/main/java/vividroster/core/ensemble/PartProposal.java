package vividroster.core.ensemble;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jgrapht.Graph;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * Who of a section could play which part of a piece: as many as can be get a part that asks nothing they have not passed. A
 * proposal; the director decides.
 */
public final class PartProposal {

    private PartProposal() {}

    /**
     * One part.
     *
     * @param name as it is printed, "1st"
     * @param notes it needs, as written midi numbers: another spelling is not another fingering
     * @param fastest notes in a second at the tempo of the piece
     */
    public record Part(String name, Set<Integer> notes, double fastest) {
        public Part {
            notes = Set.copyOf(notes);
        }
    }

    /**
     * One player.
     *
     * @param met notes of what has been passed
     * @param fastest notes in a second of the fastest thing passed; 0 for none
     * @param passed how many milestones, to tell the stronger of two
     */
    public record Player(UUID studentId, Set<Integer> met, double fastest, int passed) {
        public Player {
            met = Set.copyOf(met);
        }
    }

    /** @param newNotes the part has and the player has not passed yet, from low to high; faster whether it is faster than anything passed */
    public record Seat(UUID studentId, String part, List<Integer> newNotes, boolean faster) {
        public Seat {
            newNotes = List.copyOf(newNotes);
        }

        /** Whether the part asks nothing that was not passed. */
        public boolean fits() {
            return newNotes.isEmpty() && !faster;
        }
    }

    /**
     * As even as the numbers let it be: the lower parts get the players that are over. As few players as can be get a part
     * that asks more than they have passed, these as few new things as can be, and the stronger ones the harder parts.
     *
     * @param parts in score order, at least one
     * @return in score order of the parts, the stronger players of each first
     */
    public static List<Seat> of(List<Part> parts, Collection<Player> players) {
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("a piece has a part at least");
        }
        if (players.isEmpty()) {
            return List.of();
        }
        List<Player> strongestFirst = players.stream()
                .sorted(Comparator.comparingInt((Player player) -> -player.passed())
                        .thenComparing(Player::studentId))
                .toList();
        List<Part> hardestFirst = hardestFirst(parts, players);
        Graph<Object, DefaultWeightedEdge> graph = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        List<Chair> chairs = chairs(parts, players.size());
        chairs.forEach(graph::addVertex);
        for (int strength = 0; strength < strongestFirst.size(); strength++) {
            Player player = strongestFirst.get(strength);
            graph.addVertex(player);
            Map<Part, Long> prices = new HashMap<>();
            for (Part part : parts) {
                long hardness = parts.size() - hardestFirst.indexOf(part);
                prices.put(part, price(seat(part, player)) + hardness * strength);
            }
            chairs.forEach(chair -> graph.setEdgeWeight(graph.addEdge(player, chair), prices.get(chair.part())));
        }
        Map<UUID, Seat> seats = new HashMap<>();
        new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(
                        graph, new LinkedHashSet<>(strongestFirst), new LinkedHashSet<>(chairs))
                .getMatching()
                .getEdges()
                .forEach(edge -> {
                    Player player = (Player) graph.getEdgeSource(edge);
                    seats.put(player.studentId(), seat(((Chair) graph.getEdgeTarget(edge)).part(), player));
                });
        List<String> order = parts.stream().map(Part::name).toList();
        return strongestFirst.stream()
                .map(player -> seats.get(player.studentId()))
                .sorted(Comparator.comparingInt(seat -> order.indexOf(seat.part())))
                .toList();
    }

    /** By what they ask of these players beyond what was passed, then by speed, then by the highest note. */
    private static List<Part> hardestFirst(List<Part> parts, Collection<Player> players) {
        Map<Part, Long> asked = new HashMap<>();
        parts.forEach(part -> asked.put(
                part,
                players.stream().mapToLong(player -> things(seat(part, player))).sum()));
        return parts.stream()
                .sorted(Comparator.comparingLong((Part part) -> -asked.get(part))
                        .thenComparingDouble(part -> -part.fastest())
                        .thenComparingInt(part -> -part.notes().stream()
                                .max(Comparator.naturalOrder())
                                .orElse(0))
                        .thenComparingInt(part -> -part.notes().size()))
                .toList();
    }

    private record Chair(Part part, int number) {}

    /** 7 players on 3 parts: 2, 2 and 3 chairs. */
    private static List<Chair> chairs(List<Part> parts, int players) {
        List<Chair> chairs = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            for (int number = i * players / parts.size(); number < (i + 1) * players / parts.size(); number++) {
                chairs.add(new Chair(parts.get(i), number));
            }
        }
        return chairs;
    }

    /**
     * One new thing outweighs any difference in strength, and one player more who is asked something new any number of
     * things: up to three hundred players, six parts and three hundred new things a player all stay apart and whole.
     */
    private static long price(Seat seat) {
        return seat.fits() ? 0 : 100_000_000_000L + things(seat) * 1_000_000L;
    }

    private static long things(Seat seat) {
        return seat.newNotes().size() + (seat.faster() ? 1 : 0);
    }

    /** What one part asks of one player. */
    public static Seat seat(Part part, Player player) {
        return new Seat(
                player.studentId(),
                part.name(),
                part.notes().stream()
                        .filter(note -> !player.met().contains(note))
                        .sorted()
                        .toList(),
                part.fastest() > player.fastest());
    }
}
