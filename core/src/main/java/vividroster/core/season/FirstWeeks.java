package vividroster.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;

/**
 * The first weeks of a class: its checks in teaching order, laid week by week into the minutes there are. No search is made:
 * each check stands in the first week that holds it, never before what it needs, and no section is asked for a later thing
 * because an earlier one did not fit. A director edits what comes out before anything is ordered.
 *
 * @param <K> what names a check
 */
public final class FirstWeeks<K> {

    /** Ours: what a section takes in besides playing. */
    public static final int MOST_A_WEEK = 7;

    /** Reading a step aloud and doing it once. Ours, to be tuned. */
    private static final int SECONDS_PER_STEP = 30;
    /** A look at one criterion of one student while the whole section holds still. Ours, to be tuned. */
    private static final int SECONDS_PER_LOOK = 3;

    /**
     * A check that is to be laid.
     *
     * @param instruments codes it is for; empty means all
     * @param needs what comes directly before it; what is not laid here was met before
     */
    public record Piece<K>(
            K key,
            CheckTopic topic,
            Set<InstrumentCode> instruments,
            Set<K> needs,
            int steps,
            int criteria,
            PassRule passRule) {

        public Piece {
            instruments = Set.copyOf(instruments);
            needs = Set.copyOf(needs);
        }

        boolean isFor(InstrumentCode instrument) {
            return instruments.isEmpty() || instruments.contains(instrument);
        }

        /** Whether it is passed by tries that want more than one day. */
        boolean isPassedOverDays() {
            return passRule instanceof PassRule.KOfLastN;
        }

        private int tries() {
            return passRule instanceof PassRule.KOfLastN kOfN ? kOfN.k() : 1;
        }
    }

    /** @param minutes for teaching and hearing, warm-up and the rest taken off */
    public record Room(LocalDate monday, int minutes) {}

    /** Why a check stands in its week and in none before. */
    public sealed interface Why<K> {
        /** It is the first week, or nothing spoke against it. */
        record AtOnce<K>() implements Why<K> {}

        /** @param overDays whether what it needs is passed by tries over several days */
        record After<K>(K needed, boolean overDays) implements Why<K> {}

        /** The week before had no minutes left for it, or its sections had enough. */
        record NoRoomBefore<K>() implements Why<K> {}
    }

    /**
     * @param week from 0
     * @param seconds what it adds to its week
     */
    public record Placed<K>(Piece<K> piece, int week, int seconds, Why<K> why) {}

    /**
     * @param left what no week of these holds, in teaching order
     * @param secondsWanted by week
     * @param firstLine the week in which every section can begin with lines; empty where it lies behind these weeks
     */
    public record Proposal<K>(
            List<Placed<K>> placed, List<Piece<K>> left, List<Integer> secondsWanted, Optional<Integer> firstLine) {}

    private final Map<InstrumentCode, Integer> students;
    private final List<Room> rooms;
    private final Map<K, Placed<K>> placed = new HashMap<>();
    private final List<Placed<K>> inOrder = new ArrayList<>();
    private final Set<K> pushed = new HashSet<>();

    private FirstWeeks(Map<InstrumentCode, Integer> students, List<Room> rooms) {
        this.students = Map.copyOf(students);
        this.rooms = List.copyOf(rooms);
    }

    /**
     * @param pieces within a topic in the order they are to stand
     * @param students how many play each instrument of the class
     * @param rooms the weeks there are, in order
     */
    public static <K> Proposal<K> of(
            Collection<Piece<K>> pieces, Map<InstrumentCode, Integer> students, List<Room> rooms) {
        List<Piece<K>> asked = pieces.stream()
                .filter(piece -> students.keySet().stream().anyMatch(piece::isFor))
                .sorted(Comparator.comparing(Piece::topic))
                .toList();
        FirstWeeks<K> weeks = new FirstWeeks<>(students, rooms);
        List<Integer> wanted = new ArrayList<>();
        for (int week = 0; week < rooms.size(); week++) {
            wanted.add(weeks.fill(week, asked));
        }
        return new Proposal<>(
                List.copyOf(weeks.inOrder),
                asked.stream()
                        .filter(piece -> !weeks.placed.containsKey(piece.key()))
                        .toList(),
                List.copyOf(wanted),
                weeks.firstLine(asked));
    }

    /** A check that stands before what it needs. @param needed stands in the same week or later */
    public record TooEarly<K>(K key, K needed) {}

    /** A week as somebody left it. @param seconds that it wants */
    public record Look<K>(int seconds, List<TooEarly<K>> tooEarly) {}

    /**
     * What weeks want that somebody has laid otherwise, and what stands too early in them. What is not laid was met before.
     *
     * @param weeks in order, each with its checks in any order
     */
    public static <K> List<Look<K>> look(List<List<Piece<K>>> weeks, Map<InstrumentCode, Integer> students) {
        FirstWeeks<K> laid = new FirstWeeks<>(students, List.of());
        for (int week = 0; week < weeks.size(); week++) {
            Map<CheckTopic, Integer> teaching = new HashMap<>();
            for (Piece<K> piece : weeks.get(week)) {
                int seconds = laid.secondsMore(piece, laid.sectionsOf(piece), teaching);
                teach(piece, teaching);
                laid.placed.put(piece.key(), new Placed<>(piece, week, seconds, new Why.AtOnce<>()));
            }
        }
        return weeks.stream()
                .map(pieces -> new Look<>(
                        pieces.stream()
                                .mapToInt(piece -> laid.placed.get(piece.key()).seconds())
                                .sum(),
                        pieces.stream()
                                .flatMap(piece -> laid.tooEarly(piece).stream())
                                .toList()))
                .toList();
    }

    private Optional<TooEarly<K>> tooEarly(Piece<K> piece) {
        int week = placed.get(piece.key()).week();
        return piece.needs().stream()
                .filter(need -> placed.containsKey(need) && earliestAfter(need) > week)
                .max(Comparator.comparingInt(this::earliestAfter))
                .map(need -> new TooEarly<>(piece.key(), need));
    }

    /** @return the seconds the week wants */
    private int fill(int week, List<Piece<K>> asked) {
        Set<K> known = asked.stream().map(Piece::key).collect(Collectors.toSet());
        Map<CheckTopic, Integer> teaching = new HashMap<>();
        Map<InstrumentCode, Integer> count = new HashMap<>();
        Set<InstrumentCode> full = new HashSet<>();
        int used = 0;
        boolean changed = true;
        while (changed) {
            changed = false;
            for (Piece<K> piece : asked) {
                if (placed.containsKey(piece.key()) || !mayStand(piece, week, known)) {
                    continue;
                }
                Set<InstrumentCode> sections = sectionsOf(piece);
                int seconds = secondsMore(piece, sections, teaching);
                boolean fits = used == 0 || used + seconds <= rooms.get(week).minutes() * 60;
                boolean taken = sections.stream()
                        .anyMatch(section -> full.contains(section) || count.getOrDefault(section, 0) >= MOST_A_WEEK);
                if (!fits || taken) {
                    full.addAll(sections);
                    pushed.add(piece.key());
                    continue;
                }
                put(piece, week, seconds, known);
                teach(piece, teaching);
                sections.forEach(section -> count.merge(section, 1, Integer::sum));
                used += seconds;
                changed = true;
            }
        }
        return used;
    }

    /** Whether everything it needs stands before it. */
    private boolean mayStand(Piece<K> piece, int week, Set<K> known) {
        return piece.needs().stream()
                .filter(known::contains)
                .allMatch(need -> placed.containsKey(need) && earliestAfter(need) <= week);
    }

    private int earliestAfter(K need) {
        Placed<K> before = placed.get(need);
        return before.week() + (before.piece().isPassedOverDays() ? 1 : 0);
    }

    private void put(Piece<K> piece, int week, int seconds, Set<K> known) {
        Placed<K> put = new Placed<>(piece, week, seconds, why(piece, week, known));
        placed.put(piece.key(), put);
        inOrder.add(put);
    }

    private Why<K> why(Piece<K> piece, int week, Set<K> known) {
        if (week == 0) {
            return new Why.AtOnce<>();
        }
        Optional<K> held = piece.needs().stream()
                .filter(known::contains)
                .filter(need -> earliestAfter(need) == week)
                .max(Comparator.comparingInt((K need) -> placed.get(need).week())
                        .thenComparingInt(need -> inOrder.indexOf(placed.get(need))));
        if (held.isPresent()) {
            return new Why.After<>(held.get(), placed.get(held.get()).piece().isPassedOverDays());
        }
        return pushed.contains(piece.key()) ? new Why.NoRoomBefore<>() : new Why.AtOnce<>();
    }

    private Set<InstrumentCode> sectionsOf(Piece<K> piece) {
        return students.keySet().stream().filter(piece::isFor).collect(Collectors.toSet());
    }

    /**
     * Looks at everybody, and steps: of a topic that sections do each in their own way, they are read side by side, so that
     * the longest counts.
     */
    private int secondsMore(Piece<K> piece, Set<InstrumentCode> sections, Map<CheckTopic, Integer> teaching) {
        int players = sections.stream().mapToInt(students::get).sum();
        int looking = players * piece.criteria() * SECONDS_PER_LOOK * piece.tries();
        int steps = piece.steps() * SECONDS_PER_STEP;
        return looking
                + (piece.instruments().isEmpty()
                        ? steps
                        : Math.max(0, steps - teaching.getOrDefault(piece.topic(), 0)));
    }

    private static void teach(Piece<?> piece, Map<CheckTopic, Integer> teaching) {
        if (!piece.instruments().isEmpty()) {
            teaching.merge(piece.topic(), piece.steps() * SECONDS_PER_STEP, Math::max);
        }
    }

    /** The week after the last section met its first notes; at once where nobody has any to meet. */
    private Optional<Integer> firstLine(List<Piece<K>> asked) {
        List<Piece<K>> notes = asked.stream()
                .filter(piece -> piece.topic() == CheckTopic.FIRST_NOTES)
                .toList();
        if (notes.stream().anyMatch(piece -> !placed.containsKey(piece.key()))) {
            return Optional.empty();
        }
        int first = notes.stream()
                .mapToInt(piece -> placed.get(piece.key()).week() + 1)
                .max()
                .orElse(0);
        return first < rooms.size() ? Optional.of(first) : Optional.empty();
    }

    /**
     * Lines of a book on the weeks from the first that can hold them.
     *
     * @param lines in the order of the book
     * @param aWeek how many begin in a week
     * @return by week, as many lists as there are weeks
     */
    public static <L> List<List<L>> lines(List<L> lines, int weeks, Optional<Integer> firstLine, int aWeek) {
        List<List<L>> laid = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            int from =
                    firstLine.isPresent() && week >= firstLine.get() ? (week - firstLine.get()) * aWeek : lines.size();
            laid.add(
                    from < lines.size()
                            ? List.copyOf(lines.subList(from, Math.min(lines.size(), from + aWeek)))
                            : List.of());
        }
        return Collections.unmodifiableList(laid);
    }
}
