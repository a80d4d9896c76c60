package vividroster.core.curriculum;

import static vividroster.core.curriculum.CheckTopic.ARTICULATION;
import static vividroster.core.curriculum.CheckTopic.BODY;
import static vividroster.core.curriculum.CheckTopic.BOW_HOLD;
import static vividroster.core.curriculum.CheckTopic.BOW_PATH;
import static vividroster.core.curriculum.CheckTopic.FINGER_PATTERN;
import static vividroster.core.curriculum.CheckTopic.FIRST_NOTES;
import static vividroster.core.curriculum.CheckTopic.FIRST_SOUND;
import static vividroster.core.curriculum.CheckTopic.FIRST_TUNE;
import static vividroster.core.curriculum.CheckTopic.HOLD;
import static vividroster.core.curriculum.CheckTopic.LEFT_HAND;
import static vividroster.core.curriculum.CheckTopic.READING;
import static vividroster.core.curriculum.CheckTopic.RIGHT_HAND;
import static vividroster.core.curriculum.CheckTopic.SLIDE;
import static vividroster.core.curriculum.CheckTopic.STARTING_NOTES;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.InstrumentCode;

/**
 * A first ladder of three belts, drawn from the checks of the first weeks and the first lines of a book: holding and sounding,
 * first notes, first tune. A start to edit, no school's method.
 */
public final class LadderTemplate {

    /** Lines looked at. Ours: what a beginner plays in the first two months. */
    private static final int FIRST_LINES = 12;

    private LadderTemplate() {}

    /** @param instruments it is for; empty for all */
    public record Available<K>(K key, CheckTopic topic, Set<InstrumentCode> instruments) {

        private boolean isFor(InstrumentCode instrument) {
            return instruments.isEmpty() || instruments.contains(instrument);
        }

        /** For how many instruments it is; for all counts as the most. */
        private int reach() {
            return instruments.isEmpty() ? Integer.MAX_VALUE : instruments.size();
        }
    }

    /** @param fillings by instrument; {@link BeltSlot#ANY} where one fills it for all */
    public record SlotPlan<K>(String name, Map<InstrumentCode, K> fillings) {}

    /** Belts from the first, each with its slots in order. */
    public record Plan<K>(List<List<SlotPlan<K>>> belts) {}

    private record Wanted(String name, Set<CheckTopic> topics) {}

    private static final List<List<Wanted>> BELTS = List.of(
            List.of(
                    new Wanted("Body", Set.of(BODY)),
                    new Wanted("Hold", Set.of(HOLD, LEFT_HAND, RIGHT_HAND)),
                    new Wanted("First sound", Set.of(FIRST_SOUND))),
            List.of(
                    new Wanted("Tongue or bow", Set.of(ARTICULATION, BOW_HOLD)),
                    new Wanted("First notes", Set.of(FIRST_NOTES)),
                    new Wanted("Reading", Set.of(READING))),
            List.of(
                    new Wanted("Going on", Set.of(STARTING_NOTES, SLIDE, BOW_PATH, FINGER_PATTERN)),
                    new Wanted("First tune", Set.of(FIRST_TUNE))));

    private static final List<Integer> LINES = List.of(1, 2, 2);

    /**
     * @param available checks, whose topics stand in teaching order; those for one instrument are taken before those for many
     * @param lines of a book in order; none leaves belts of checks alone
     */
    public static <K> Plan<K> of(
            Collection<Available<K>> available, List<K> lines, Collection<InstrumentCode> instruments) {
        List<Available<K>> checks = available.stream()
                .sorted(Comparator.<Available<K>, CheckTopic>comparing(Available::topic)
                        .thenComparingInt(Available::reach))
                .toList();
        Map<InstrumentCode, Set<K>> used = new HashMap<>();
        List<List<K>> shared = shared(lines);
        List<List<SlotPlan<K>>> belts = new ArrayList<>();
        for (int belt = 0; belt < BELTS.size(); belt++) {
            List<SlotPlan<K>> slots = new ArrayList<>();
            for (Wanted wanted : BELTS.get(belt)) {
                SlotPlan<K> slot = new SlotPlan<>(wanted.name(), fillings(wanted, checks, instruments, used));
                if (!slot.fillings().isEmpty()) {
                    slots.add(slot);
                }
            }
            for (K line : shared.get(belt)) {
                slots.add(new SlotPlan<>("Line", Map.of(BeltSlot.ANY, line)));
            }
            if (!slots.isEmpty()) {
                belts.add(List.copyOf(slots));
            }
        }
        return new Plan<>(List.copyOf(belts));
    }

    private static <K> Map<InstrumentCode, K> fillings(
            Wanted wanted,
            List<Available<K>> checks,
            Collection<InstrumentCode> instruments,
            Map<InstrumentCode, Set<K>> used) {
        Map<InstrumentCode, K> fillings = new HashMap<>();
        for (InstrumentCode instrument : instruments) {
            Set<K> before = used.computeIfAbsent(instrument, i -> new HashSet<>());
            Optional<K> check = checks.stream()
                    .filter(c ->
                            wanted.topics().contains(c.topic()) && c.isFor(instrument) && !before.contains(c.key()))
                    .map(Available::key)
                    .findFirst();
            check.ifPresent(key -> {
                before.add(key);
                fillings.put(instrument, key);
            });
        }
        boolean same = fillings.size() == instruments.size()
                && fillings.values().stream().distinct().count() == 1
                && checks.stream().anyMatch(c -> c.instruments().isEmpty() && fillings.containsValue(c.key()));
        return same ? Map.of(BeltSlot.ANY, fillings.values().iterator().next()) : Map.copyOf(fillings);
    }

    /** Lines spread over the belts, from the first line on, none twice. */
    private static <K> List<List<K>> shared(List<K> lines) {
        int wanted = LINES.stream().mapToInt(Integer::intValue).sum();
        int most = Math.min(FIRST_LINES, lines.size());
        List<K> spread = new ArrayList<>();
        for (int i = 0; i < Math.min(wanted, most); i++) {
            spread.add(lines.get(most <= wanted ? i : i * (most - 1) / (wanted - 1)));
        }
        List<List<K>> shared = new ArrayList<>();
        int from = 0;
        for (int count : LINES) {
            int to = Math.min(spread.size(), from + count);
            shared.add(List.copyOf(spread.subList(from, to)));
            from = to;
        }
        return shared;
    }
}
