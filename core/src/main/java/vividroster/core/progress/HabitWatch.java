package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;

/**
 * Passed checks of posture, hands and sound are looked at again later, a few students a day, while the others play. What
 * is seen is a finding of its own kind: it takes no pass away and makes none.
 */
public final class HabitWatch {

    private HabitWatch() {}

    /** What a look finds. */
    public enum Finding {
        STILL_THERE,
        SLIPPING,
        LOST,
        /** There was no such look on that day. */
        TAKEN_BACK
    }

    /** @param on day of the look */
    public record Look(LocalDate on, Finding finding) {}

    /**
     * When habits are looked at.
     *
     * @param weeks after the pass, rising, each in 1..52; empty for a programme that does not watch
     * @param aDay most students of a class on one day, in 1..12
     */
    public record Terms(List<Integer> weeks, int aDay) {

        /** Source: domain, habit watch: after 3, 6 and 12 weeks, two or three students of a class a day. */
        public static final Terms DEFAULT = new Terms(List.of(3, 6, 12), 3);

        /** The same many a day, after other weeks. */
        public Terms after(List<Integer> otherWeeks) {
            return new Terms(otherWeeks, aDay);
        }

        public Terms {
            weeks = List.copyOf(weeks);
            int before = 0;
            for (int week : weeks) {
                if (week <= before || week > 52) {
                    throw new IllegalArgumentException("weeks must rise and be in 1..52, were " + weeks);
                }
                before = week;
            }
            if (aDay < 1 || aDay > 12) {
                throw new IllegalArgumentException("aDay must be in 1..12, was " + aDay);
            }
        }
    }

    /**
     * A passed check of one player.
     *
     * @param goodTries days of the tries that were good, the one that made the pass first; at least one
     * @param looks in the order of days, of each day only the last one, without what was taken back
     */
    public record Habit(
            UUID studentId, InstrumentCode instrument, UUID milestoneId, List<LocalDate> goodTries, List<Look> looks) {

        public Habit {
            goodTries = List.copyOf(goodTries);
            looks = standing(looks);
            if (goodTries.isEmpty()) {
                throw new IllegalArgumentException("a habit has been passed once at least");
            }
        }

        private static List<Look> standing(List<Look> made) {
            Map<LocalDate, Look> byDay = new TreeMap<>();
            made.forEach(look -> byDay.put(look.on(), look));
            return byDay.values().stream()
                    .filter(look -> look.finding() != Finding.TAKEN_BACK)
                    .toList();
        }

        /**
         * What one player's tries with a check make of it; empty while it is not passed.
         *
         * @param terms what was asked of the student
         * @param on later tries are left out
         * @param looks all looks at it, in the order made
         */
        public static Optional<Habit> of(
                UUID studentId,
                InstrumentCode instrument,
                Milestone check,
                Trail trail,
                Standings.Terms terms,
                LocalDate on,
                List<Look> looks) {
            List<Trail.Step> counting = Standings.counting(check, trail, instrument, terms, on);
            return PassJudge.passingTry(check, counting)
                    .map(passing -> new Habit(
                            studentId,
                            instrument,
                            check.id(),
                            counting.subList(counting.indexOf(passing), counting.size()).stream()
                                    .filter(step -> step.outcome() == Outcome.PASS)
                                    .map(Trail.Step::heardOn)
                                    .toList(),
                            looks));
        }
    }

    /** Where a habit stands. */
    public sealed interface State {

        /**
         * It is looked at again.
         *
         * @param slipping whether the last look found it slipping
         */
        record Watched(LocalDate dueOn, boolean slipping) implements State {}

        /** Every look found it there; nothing more is asked. */
        record Settled() implements State {}

        /** It is repaired first: by a good try of the check, or by a look that finds it there again. */
        record Lost(LocalDate since) implements State {}
    }

    /** A slipping habit is looked at again so many weeks later. Source: domain, habit watch. */
    private static final int WEEKS_WHEN_SLIPPING = 1;

    /**
     * Where a habit stands after what was seen up to a day. A late look moves the next one along, so that two never
     * follow sooner than they were meant to; found slipping twice without being found there in between, it is lost; once
     * repaired the weeks begin anew.
     */
    public static State state(Habit habit, Terms terms, LocalDate on) {
        Course course = new Course(habit.goodTries().getFirst());
        for (Look look : habit.looks()) {
            if (!look.on().isAfter(on)) {
                course.repaired(habit, look.on());
                course.seen(look);
            }
        }
        course.repaired(habit, on);
        return course.state(terms);
    }

    /** A habit's way from a pass, look by look. */
    private static final class Course {

        private LocalDate from;
        private int looksDone;
        private Optional<LocalDate> lastLook = Optional.empty();
        private boolean slipping;
        private Optional<LocalDate> lostOn = Optional.empty();

        Course(LocalDate from) {
            this.from = from;
        }

        private void beginAnew(LocalDate day) {
            from = day;
            looksDone = 0;
            lastLook = Optional.empty();
            slipping = false;
            lostOn = Optional.empty();
        }

        void repaired(Habit habit, LocalDate until) {
            lostOn.flatMap(lost -> repairedOn(habit, lost, until)).ifPresent(this::beginAnew);
        }

        void seen(Look look) {
            switch (look.finding()) {
                case STILL_THERE -> {
                    if (lostOn.isPresent()) {
                        beginAnew(look.on());
                    } else {
                        looksDone++;
                        slipping = false;
                    }
                }
                case SLIPPING -> {
                    if (slipping) {
                        lose(look.on());
                    }
                    slipping = true;
                }
                case LOST -> lose(look.on());
                case TAKEN_BACK -> throw new IllegalStateException("a habit keeps no look that was taken back");
            }
            lastLook = Optional.of(look.on());
        }

        private void lose(LocalDate day) {
            lostOn = lostOn.or(() -> Optional.of(day));
        }

        State state(Terms terms) {
            if (lostOn.isPresent()) {
                return new State.Lost(lostOn.get());
            }
            if (slipping) {
                return new State.Watched(lastLook.orElseThrow().plusWeeks(WEEKS_WHEN_SLIPPING), true);
            }
            if (looksDone >= terms.weeks().size()) {
                return new State.Settled();
            }
            int week = terms.weeks().get(looksDone);
            int gap = week - (looksDone == 0 ? 0 : terms.weeks().get(looksDone - 1));
            LocalDate planned = from.plusWeeks(week);
            return new State.Watched(
                    lastLook.map(day -> day.plusWeeks(gap))
                            .filter(planned::isBefore)
                            .orElse(planned),
                    false);
        }
    }

    /** A try of the day it was lost on came before the look that lost it, for all that is known. */
    private static Optional<LocalDate> repairedOn(Habit habit, LocalDate lostOn, LocalDate until) {
        return habit.goodTries().stream()
                .filter(day -> day.isAfter(lostOn) && !day.isAfter(until))
                .min(Comparator.naturalOrder());
    }

    /**
     * A habit to look at today.
     *
     * @param dueOn since when
     * @param slipping whether the look before found it slipping
     * @param found what was found today; empty while it was not looked at
     */
    public record Watching(
            UUID studentId,
            InstrumentCode instrument,
            UUID milestoneId,
            LocalDate dueOn,
            boolean slipping,
            Optional<Finding> found) {}

    /**
     * Whom to look at today, each student once: slipping ones first, as they were promised; then those nobody looked at
     * for the longest, whoever never was before the others; of one student what is due the longest. Looks made today
     * change nothing but what was found, so that the list stays the same all day; a look at anybody else takes a place.
     *
     * @param habits of one class
     * @param missing students who are not there
     */
    public static List<Watching> today(Collection<Habit> habits, Terms terms, LocalDate on, Set<UUID> missing) {
        record Candidate(Habit habit, State.Watched state, Optional<LocalDate> lastLookedAt) {}
        List<Watching> list = new ArrayList<>();
        Set<UUID> taken = new HashSet<>();
        List<Candidate> candidates = new ArrayList<>();
        Map<UUID, LocalDate> lastLooks = lastLooks(habits, on);
        for (Habit habit : habits) {
            State before = state(habit, terms, on.minusDays(1));
            Optional<Finding> found = foundOn(habit, on);
            if (found.isPresent()) {
                if (taken.add(habit.studentId())) {
                    boolean slipping = before instanceof State.Watched watched && watched.slipping();
                    LocalDate due = before instanceof State.Watched watched ? watched.dueOn() : on;
                    list.add(new Watching(
                            habit.studentId(), habit.instrument(), habit.milestoneId(), due, slipping, found));
                }
            } else if (before instanceof State.Watched watched
                    && !watched.dueOn().isAfter(on)
                    && !missing.contains(habit.studentId())) {
                candidates.add(new Candidate(habit, watched, Optional.ofNullable(lastLooks.get(habit.studentId()))));
            }
        }
        candidates.sort(Comparator.comparing((Candidate c) -> !c.state().slipping())
                .thenComparing(c -> c.lastLookedAt().orElse(LocalDate.MIN))
                .thenComparing(c -> c.state().dueOn())
                .thenComparing(c -> c.habit().studentId())
                .thenComparing(c -> c.habit().milestoneId()));
        for (Candidate candidate : candidates) {
            if (list.size() >= terms.aDay()) {
                break;
            }
            Habit habit = candidate.habit();
            if (taken.add(habit.studentId())) {
                list.add(new Watching(
                        habit.studentId(),
                        habit.instrument(),
                        habit.milestoneId(),
                        candidate.state().dueOn(),
                        candidate.state().slipping(),
                        Optional.empty()));
            }
        }
        return list;
    }

    /** Habits to repair, the longest lost first. */
    public static List<Habit> lost(Collection<Habit> habits, Terms terms, LocalDate on) {
        record Lost(Habit habit, LocalDate since) {}
        return habits.stream()
                .flatMap(habit -> state(habit, terms, on) instanceof State.Lost lost
                        ? Stream.of(new Lost(habit, lost.since()))
                        : Stream.empty())
                .sorted(Comparator.comparing(Lost::since)
                        .thenComparing(lost -> lost.habit().studentId())
                        .thenComparing(lost -> lost.habit().milestoneId()))
                .map(Lost::habit)
                .toList();
    }

    /** How many criteria are told of what is looked at; ours, what fits a glance. */
    private static final int SEEN_AT_A_GLANCE = 3;

    /** What to look for, in the words of the check: its first criteria. */
    public static List<String> atAGlance(Milestone check) {
        return check.criteria().stream()
                .limit(SEEN_AT_A_GLANCE)
                .map(Criterion::name)
                .toList();
    }

    private static Optional<Finding> foundOn(Habit habit, LocalDate on) {
        return habit.looks().stream()
                .filter(look -> look.on().equals(on))
                .findFirst()
                .map(Look::finding);
    }

    private static Map<UUID, LocalDate> lastLooks(Collection<Habit> habits, LocalDate before) {
        Map<UUID, LocalDate> last = new HashMap<>();
        for (Habit habit : habits) {
            habit.looks().stream()
                    .map(Look::on)
                    .filter(day -> day.isBefore(before))
                    .forEach(day ->
                            last.merge(habit.studentId(), day, (one, other) -> one.isAfter(other) ? one : other));
        }
        return last;
    }
}
