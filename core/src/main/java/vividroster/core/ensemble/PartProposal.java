package vividroster.core.ensemble;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/**
 * Who of a section could play which part of a piece: nobody gets a part that asks for more than has been passed while a part
 * that fits is free. A proposal; the director decides.
 */
public final class PartProposal {

    private PartProposal() {}

    /**
     * One part.
     *
     * @param name as it is printed, "1st"
     * @param notes it needs, by written name with octave ("F#5"); what it asks beyond notes is told beside it
     * @param fastest notes in a second at the tempo of the piece
     */
    public record Part(String name, Set<String> notes, double fastest) {
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
    public record Player(UUID studentId, Set<String> met, double fastest, int passed) {
        public Player {
            met = Set.copyOf(met);
        }
    }

    /** @param newNotes the part has and the player has not passed yet; faster whether it is faster than anything passed */
    public record Seat(UUID studentId, String part, List<String> newNotes, boolean faster) {
        public Seat {
            newNotes = List.copyOf(newNotes);
        }

        /** Whether the part asks nothing that was not passed. */
        public boolean fits() {
            return newNotes.isEmpty() && !faster;
        }
    }

    /**
     * As even as the numbers let it be: the lower parts get the players that are over. The hardest part is filled first, by
     * those to whom it asks least, of equals by who passed most.
     *
     * @param parts in score order, at least one
     */
    public static List<Seat> of(List<Part> parts, Collection<Player> players) {
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("a piece has a part at least");
        }
        Map<String, Integer> seats = new HashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            // 7 players on 3 parts: 2, 2 and 3.
            int from = i * players.size() / parts.size();
            int to = (i + 1) * players.size() / parts.size();
            seats.put(parts.get(i).name(), to - from);
        }
        List<Player> free = new ArrayList<>(players);
        List<Seat> proposed = new ArrayList<>();
        parts.stream()
                .sorted(Comparator.comparingInt((Part part) -> -part.notes().size())
                        .thenComparingDouble(part -> -part.fastest()))
                .forEach(part -> {
                    List<Player> taken = free.stream()
                            .sorted(Comparator.comparingInt((Player player) -> asks(part, player))
                                    .thenComparing(player -> part.fastest() > player.fastest())
                                    .thenComparingInt(player -> -player.passed())
                                    .thenComparing(Player::studentId))
                            .limit(seats.get(part.name()))
                            .toList();
                    free.removeAll(taken);
                    taken.forEach(player -> proposed.add(seat(part, player)));
                });
        List<String> order = parts.stream().map(Part::name).toList();
        proposed.sort(Comparator.comparingInt(seat -> order.indexOf(seat.part())));
        return proposed;
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

    private static int asks(Part part, Player player) {
        return (int) part.notes().stream()
                .filter(note -> !player.met().contains(note))
                .count();
    }
}
