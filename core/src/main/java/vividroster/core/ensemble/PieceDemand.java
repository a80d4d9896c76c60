package vividroster.core.ensemble;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** What a piece asks of a section beyond what the section has passed, now and by a day. */
public final class PieceDemand {

    /** A line counts as passed by a section where so many of a hundred of its players passed it; ours: half. */
    private static final int SECTION_PERCENT = 50;

    private PieceDemand() {}

    /**
     * A line of the book the section works in.
     *
     * @param notes it has for the section, by written name with octave
     * @param passedBy how many of the section have passed it
     * @param lately whether the section came to have passed it within the weeks the pace is told from
     */
    public record Worked(UUID lineId, Set<String> notes, int passedBy, boolean lately) {
        public Worked {
            notes = Set.copyOf(notes);
        }
    }

    /**
     * @param players of the section
     * @param lines in the order of the book
     * @param paceWeeks weeks of teaching within which {@code lately} holds, at least 1
     */
    public record Section(int players, List<Worked> lines, int paceWeeks) {
        public Section {
            lines = List.copyOf(lines);
            if (paceWeeks < 1) {
                throw new IllegalArgumentException("paceWeeks must be at least 1, was " + paceWeeks);
            }
        }

        private boolean hasPassed(Worked line) {
            return players > 0 && 100 * line.passedBy() >= SECTION_PERCENT * players;
        }

        /** Lines in a week of teaching that the section came to have passed lately. */
        public double pace() {
            long lately = lines.stream()
                    .filter(line -> line.lately() && hasPassed(line))
                    .count();
            return (double) lately / paceWeeks;
        }

        /** Notes of everything the section has passed. */
        public Set<String> met() {
            Set<String> met = new HashSet<>();
            lines.stream().filter(this::hasPassed).forEach(line -> met.addAll(line.notes()));
            return met;
        }

        /** Notes it will have met after so many weeks of teaching, where it goes on through the book at its pace. */
        public Set<String> metAfter(int weeks) {
            Set<String> met = met();
            lines.stream()
                    .filter(line -> !hasPassed(line))
                    .limit((long) Math.floor(pace() * weeks))
                    .forEach(line -> met.addAll(line.notes()));
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
     * @param fits whether there are as many weeks
     */
    public record Told(int asked, List<String> newNow, List<String> toTeach, int weeks, boolean fits) {
        public Told {
            newNow = List.copyOf(newNow);
            toTeach = List.copyOf(toTeach);
        }
    }

    /**
     * @param notes of the piece for the section
     * @param weeksLeft weeks of teaching before the day
     * @param newNotesAWeek at least 1 (domain.md, 6.6: two by default)
     */
    public static Told of(Collection<String> notes, Section section, int weeksLeft, int newNotesAWeek) {
        if (newNotesAWeek < 1) {
            throw new IllegalArgumentException("newNotesAWeek must be at least 1, was " + newNotesAWeek);
        }
        Set<String> met = section.met();
        Set<String> then = section.metAfter(weeksLeft);
        List<String> newNow = new ArrayList<>(new HashSet<>(notes));
        newNow.removeAll(met);
        newNow.sort(String::compareTo);
        List<String> toTeach =
                newNow.stream().filter(note -> !then.contains(note)).toList();
        int weeks = (toTeach.size() + newNotesAWeek - 1) / newNotesAWeek;
        return new Told(new HashSet<>(notes).size(), newNow, toTeach, weeks, weeks <= weeksLeft);
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
