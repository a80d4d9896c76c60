package vividroster.core.ensemble;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vividroster.core.plan.SectionPace;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.reading.Vocabulary.Thing;

/** What a piece asks of a section beyond what the section has passed, now and by a day. */
public final class PieceDemand {

    /** A line comes by a day where it is as likely as not: the middle of its forecast. (planning.md, 7 tells how sure it is.) */
    private static final double LIKELY = 0.5;

    private PieceDemand() {}

    /**
     * A line of a book the section works in.
     *
     * @param number its place in the book
     * @param things it uses as the section reads it
     * @param passedBy how many of the section have passed it
     * @param set whether it was set for anybody of the section, or passed by anybody
     * @param planned the week it stands in; empty where it stands in none
     */
    public record Worked(
            UUID lineId, UUID bookId, int number, Set<Thing> things, int passedBy, boolean set, OptionalInt planned) {
        public Worked {
            things = Set.copyOf(things);
        }
    }

    /**
     * @param pace of the section; a line is its own where {@link SectionPace#enough()} have passed it
     * @param known before the first line
     * @param lines in the order of the books
     */
    public record Section(SectionPace pace, Set<Thing> known, List<Worked> lines) {
        public Section {
            known = Set.copyOf(known);
            lines = List.copyOf(lines);
        }

        /**
         * The lines it has still to pass, in the order they come in: what is set, then what is planned by its week, then on through
         * each book from the last line that was set. What was left out on the way never comes.
         */
        private List<Worked> toCome() {
            Map<UUID, Integer> lastSet = new HashMap<>();
            lines.stream().filter(Worked::set).forEach(line -> lastSet.merge(line.bookId(), line.number(), Math::max));
            return lines.stream()
                    .filter(line -> !has(line)
                            && (line.set()
                                    || line.planned().isPresent()
                                    || line.number() > lastSet.getOrDefault(line.bookId(), 0)))
                    .sorted(Comparator.comparingInt(
                            line -> line.set() ? 0 : line.planned().orElse(Integer.MAX_VALUE)))
                    .toList();
        }

        private boolean has(Worked line) {
            return pace.students() > 0 && line.passedBy() >= pace.enough();
        }

        /** What everything the section has passed uses, and what it knew before. */
        public Set<Thing> met() {
            Set<Thing> met = new HashSet<>(known);
            lines.stream().filter(this::has).forEach(line -> met.addAll(line.things()));
            return met;
        }

        /**
         * What it will likely have met by then, going on through the books line by line as it is forecast to.
         *
         * @param weeks to come, of the calendar; 0 for today
         */
        public Set<Thing> metBy(int weeks) {
            Set<Thing> met = met();
            List<Integer> passed = new ArrayList<>();
            for (Worked line : toCome()) {
                passed.add(line.passedBy());
                if (pace.forecast(passed).chanceBy(weeks, pace.ahead()) < LIKELY) {
                    break;
                }
                met.addAll(line.things());
            }
            return met;
        }
    }

    /**
     * What has to be taught for one piece. Notes are midi numbers as written, from low to high: another spelling is not another
     * fingering.
     *
     * @param asked how many different notes the piece has for the section
     * @param newNow which of them the section has not passed yet
     * @param toTeach which of these will not have come by the day of themselves
     * @param others of values, signs, keys and meters those that will not have come by then; they are taught beside the notes
     * @param weeks of teaching the notes take at so many new notes a week
     * @param fits whether there are as many weeks with a lesson
     */
    public record Told(
            int asked, List<Integer> newNow, List<Integer> toTeach, Set<Thing> others, int weeks, boolean fits) {
        public Told {
            newNow = List.copyOf(newNow);
            toTeach = List.copyOf(toTeach);
            others = Set.copyOf(others);
        }

        /** How many new notes come by themselves before the day. */
        public int coming() {
            return newNow.size() - toTeach.size();
        }
    }

    /**
     * @param things the piece uses as the section reads it
     * @param weeksLeft to come before the day is over, of the calendar
     * @param newNotesAWeek at least 1 (domain.md, 6.6: two by default)
     */
    public static Told of(Set<Thing> things, Section section, int weeksLeft, int newNotesAWeek) {
        if (newNotesAWeek < 1) {
            throw new IllegalArgumentException("newNotesAWeek must be at least 1, was " + newNotesAWeek);
        }
        Set<Thing> newNow = without(things, section.met());
        Set<Thing> toTeach = without(newNow, section.metBy(weeksLeft));
        List<Integer> notes = notes(toTeach);
        int weeks = (notes.size() + newNotesAWeek - 1) / newNotesAWeek;
        return new Told(
                notes(things).size(),
                notes(newNow),
                notes,
                toTeach.stream().filter(thing -> !(thing instanceof NewNote)).collect(Collectors.toSet()),
                weeks,
                weeks <= section.pace().lessonWeeks(weeksLeft));
    }

    private static Set<Thing> without(Set<Thing> things, Set<Thing> met) {
        return things.stream().filter(thing -> !met.contains(thing)).collect(Collectors.toSet());
    }

    private static List<Integer> notes(Set<Thing> things) {
        return things.stream()
                .flatMap(thing -> thing instanceof NewNote note ? Stream.of(note.midi()) : Stream.<Integer>empty())
                .sorted()
                .toList();
    }

    /** The piece that asks least first: notes to teach over all sections, then those that are new now. */
    public static <P> List<P> easiestFirst(Map<P, ? extends Collection<Told>> pieces) {
        return pieces.entrySet().stream()
                .sorted(Comparator.comparingInt(
                                (Map.Entry<P, ? extends Collection<Told>> piece) -> piece.getValue().stream()
                                        .mapToInt(told -> told.toTeach().size())
                                        .sum())
                        .thenComparingInt(piece -> piece.getValue().stream()
                                .mapToInt(told -> told.newNow().size())
                                .sum()))
                .<P>map(Map.Entry::getKey)
                .toList();
    }
}
