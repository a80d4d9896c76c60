package vividroster.core.season;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import vividroster.core.season.Bells.Span;

/**
 * When a class meets: one or more slots, each on some weekdays or letters of the rotation. It meets once on a day at most.
 *
 * @param slots in the order they were typed
 */
public record MeetingPattern(List<Slot> slots) {

    /** Ours: a class that meets at another time on every day of two weeks. */
    public static final int MOST_SLOTS = 10;

    /**
     * @param weekdays it meets on; empty for every one
     * @param letters of the rotation it meets on; empty for every turn
     * @param campus where; empty for the class's own
     */
    public record Slot(
            Set<DayOfWeek> weekdays, Set<String> letters, int period, LocalTime startsAt, int minutes, String campus) {

        public Slot {
            weekdays = Collections.unmodifiableSortedSet(new TreeSet<>(weekdays));
            letters = Collections.unmodifiableSortedSet(new TreeSet<>(letters));
        }

        private boolean isOn(SchoolYear year, LocalDate day) {
            return (weekdays.isEmpty() || weekdays.contains(day.getDayOfWeek()))
                    && (letters.isEmpty()
                            || year.rotationOn(day).map(letters::contains).orElse(false));
        }

        /** Whether there may be a day on which both meet. */
        private boolean mayMeet(Slot other) {
            return shares(weekdays, other.weekdays) && shares(letters, other.letters);
        }

        private static <T> boolean shares(Set<T> some, Set<T> others) {
            return some.isEmpty() || others.isEmpty() || some.stream().anyMatch(others::contains);
        }

        Span span() {
            return new Span(startsAt, minutes);
        }
    }

    /** One meeting of a day. @param campus the class's own where the slot names no other; may be empty */
    public record Meeting(int period, LocalTime startsAt, int minutes, String campus) {

        /** So long before it begins a class is thought of as going on; ours: they come in. */
        static final Duration COMING_IN = Duration.ofMinutes(10);

        /** Time left until it ends; empty where it is not going on. */
        public Optional<Duration> toBell(LocalTime now) {
            Duration sinceStart = Duration.between(startsAt, now);
            Duration left = Duration.ofMinutes(minutes).minus(sinceStart);
            boolean goesOn = sinceStart.compareTo(COMING_IN.negated()) >= 0 && !left.isNegative();
            return goesOn ? Optional.of(left) : Optional.empty();
        }

        /** The minute of the period it is, from 0; empty where it is not going on, 0 while students come in. */
        public OptionalInt minuteAt(LocalTime now) {
            return toBell(now).isPresent()
                    ? OptionalInt.of(
                            (int) Math.max(0, Duration.between(startsAt, now).toMinutes()))
                    : OptionalInt.empty();
        }

        /** What is left of the end of a meeting. @param begins the first moment of it, to the minute; seconds more than 0 */
        public record End(LocalTime begins, int seconds) {}

        /**
         * The last minutes of it, as far as they are still to come; empty where it is over.
         *
         * @param most minutes at its end; all of it where it has no more
         * @param now of its day; the beginning of the day for a day to come
         */
        public Optional<End> lastMinutes(int most, LocalTime now) {
            LocalTime ends = startsAt.plusMinutes(minutes);
            LocalTime begins = startsAt.plusMinutes(Math.max(0, minutes - most));
            LocalTime first = now.isAfter(begins) ? now.truncatedTo(ChronoUnit.MINUTES) : begins;
            return first.isBefore(ends)
                    ? Optional.of(
                            new End(first, (int) Duration.between(first, ends).toSeconds()))
                    : Optional.empty();
        }

        /**
         * Which meeting of a day a director turns to: the one that goes on, at the bell the next; after the last one the
         * last.
         *
         * @param meetings in the order of the day
         * @return its place in the list; empty where there is none
         */
        public static OptionalInt turnedTo(List<Meeting> meetings, LocalTime now) {
            for (int i = 0; i < meetings.size(); i++) {
                Meeting meeting = meetings.get(i);
                if (now.isBefore(meeting.startsAt()) || meeting.toBell(now).isPresent()) {
                    return OptionalInt.of(i);
                }
            }
            return meetings.isEmpty() ? OptionalInt.empty() : OptionalInt.of(meetings.size() - 1);
        }
    }

    public MeetingPattern {
        slots = List.copyOf(slots);
    }

    /** Every school day, or every one of this letter, at one time. */
    public static MeetingPattern of(Optional<String> letter, int period, LocalTime startsAt, int minutes) {
        return new MeetingPattern(
                List.of(new Slot(Set.of(), letter.map(Set::of).orElse(Set.of()), period, startsAt, minutes, "")));
    }

    /**
     * The meeting of a day; empty where the class does not meet.
     *
     * @param campus of the class, whose bells ring where a slot names no other
     */
    public Optional<Meeting> on(SchoolYear year, LocalDate day, String campus) {
        if (!year.isSchoolDay(day)) {
            return Optional.empty();
        }
        return slots.stream()
                .filter(slot -> slot.isOn(year, day) && !year.isTaken(slot.period(), day))
                .findFirst()
                .flatMap(slot -> timed(slot, year, day, slot.campus().isEmpty() ? campus : slot.campus()));
    }

    private static Optional<Meeting> timed(Slot slot, SchoolYear year, LocalDate day, String campus) {
        Optional<Span> span = year.isShort(day)
                ? year.bells().onShortDay(campus, slot.period(), slot.span())
                : Optional.of(slot.span());
        return span.map(at -> new Meeting(slot.period(), at.startsAt(), at.minutes(), campus));
    }

    /** Order of the day: those without a letter first, then by letter, then by time. */
    public static Comparator<MeetingPattern> byOrderOfDay() {
        return Comparator.comparing((MeetingPattern pattern) -> pattern.slots().stream()
                        .flatMap(slot -> slot.letters().stream())
                        .min(Comparator.naturalOrder())
                        .orElse(""))
                .thenComparing(pattern -> pattern.slots().stream()
                        .map(Slot::startsAt)
                        .min(Comparator.naturalOrder())
                        .orElse(LocalTime.MAX));
    }

    /**
     * What stands in the way of its being a pattern, in the order it was typed.
     *
     * @param rotation letters of the year; a slot names no others
     */
    public List<MeetingFault> faults(List<String> rotation) {
        List<MeetingFault> faults = new ArrayList<>();
        if (slots.isEmpty()) {
            faults.add(new MeetingFault.MeetsOnNoDay());
        }
        if (slots.size() > MOST_SLOTS) {
            faults.add(new MeetingFault.TooMany(MOST_SLOTS));
            return faults;
        }
        for (int i = 0; i < slots.size(); i++) {
            Slot slot = slots.get(i);
            int place = i;
            if (slot.period() < Bells.FIRST_PERIOD || slot.period() > Bells.LAST_PERIOD) {
                faults.add(new MeetingFault.NoSuchPeriod(place));
            }
            if (!slot.span().lengthIsAllowed()) {
                faults.add(new MeetingFault.TooLongOrShort(place));
            } else if (slot.span().runsOverMidnight()) {
                faults.add(new MeetingFault.OverMidnight(place, slot.startsAt(), slot.minutes()));
            }
            if (slot.weekdays().stream().anyMatch(day -> day.getValue() > DayOfWeek.FRIDAY.getValue())) {
                faults.add(new MeetingFault.OnAWeekend(place));
            }
            slot.letters().stream()
                    .filter(letter -> !rotation.contains(letter))
                    .forEach(letter -> faults.add(new MeetingFault.NoSuchLetter(place, letter, rotation)));
            slots.subList(0, i).stream()
                    .filter(slot::mayMeet)
                    .findFirst()
                    .ifPresent(other -> faults.add(new MeetingFault.TwiceOnADay(place, slots.indexOf(other))));
        }
        return faults;
    }
}
