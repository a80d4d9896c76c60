package vividroster.core.ensemble;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import vividroster.core.plan.SectionPace;

/** What a piece asks of a section beyond what the section has passed, now and by a day. */
public final class PieceDemand {

    /** A line comes by a day where it is as likely as not: the middle of its forecast. (planning.md, 7 tells how sure it is.) */
    private static final double LIKELY = 0.5;

    private PieceDemand() {}

    /**
     * A line of a book the section works in.
     *
     * @param notes it has for the section, by written name with octave
     * @param passedBy how many of the section have passed it
     * @param toCome whether the section is set it or has not come to it yet; what was left out on the way never comes
     */
    public record Worked(UUID lineId, Set<String> notes, int passedBy, boolean toCome) {
        public Worked {
            notes = Set.copyOf(notes);
        }
    }

    /**
     * @param pace of the section; a line is its own where {@link SectionPace#enough()} have passed it
     * @param lines in the order they come in
     */
    public record Section(SectionPace pace, List<Worked> lines) {
        public Section {
            lines = List.copyOf(lines);
        }

        private boolean has(Worked line) {
            return pace.students() > 0 && line.passedBy() >= pace.enough();
        }

        /** Notes of everything the section has passed. */
        public Set<String> met() {
            Set<String> met = new HashSet<>();
            lines.stream().filter(this::has).forEach(line -> met.addAll(line.notes()));
            return met;
        }

        /**
         * Notes it will likely have met by then, going on through the books line by line as it is forecast to.
         *
         * @param weeks to come, of the calendar; 0 for today
         */
        public Set<String> metBy(int weeks) {
            Set<String> met = met();
            List<Integer> passed = new ArrayList<>();
            for (Worked line : lines) {
                if (line.toCome() && !has(line)) {
                    passed.add(line.passedBy());
                    if (pace.forecast(passed).chanceBy(weeks, pace.ahead()) < LIKELY) {
                        break;
                    }
                    met.addAll(line.notes());
                }
            }
            return met;
        }
    }

    /**
     * What has to be taught for one piece.
     *
     * @param asked how many different notes the piece has for the section
     * @param newNow which of them the section has not passed yet
     * @param toTeach which of these will not have come by the day of themselves
     * @param weeks of teaching they take at so many new notes a week
     * @param fits whether there are as many weeks with a lesson
     */
    public record Told(int asked, List<String> newNow, List<String> toTeach, int weeks, boolean fits) {
        public Told {
            newNow = List.copyOf(newNow);
            toTeach = List.copyOf(toTeach);
        }
    }

    /**
     * @param notes of the piece for the section
     * @param weeksLeft to come before the day is over, of the calendar
     * @param newNotesAWeek at least 1 (domain.md, 6.6: two by default)
     */
    public static Told of(Collection<String> notes, Section section, int weeksLeft, int newNotesAWeek) {
        if (newNotesAWeek < 1) {
            throw new IllegalArgumentException("newNotesAWeek must be at least 1, was " + newNotesAWeek);
        }
        Set<String> met = section.met();
        Set<String> then = section.metBy(weeksLeft);
        List<String> newNow = new ArrayList<>(new HashSet<>(notes));
        newNow.removeAll(met);
        newNow.sort(String::compareTo);
        List<String> toTeach =
                newNow.stream().filter(note -> !then.contains(note)).toList();
        int weeks = (toTeach.size() + newNotesAWeek - 1) / newNotesAWeek;
        return new Told(
                new HashSet<>(notes).size(),
                newNow,
                toTeach,
                weeks,
                weeks <= section.pace().lessonWeeks(weeksLeft));
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
