package vividroster.server.checks;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import vividroster.core.curriculum.School;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.hands.Sticking;
import vividroster.core.music.Spelling;
import vividroster.core.progress.HabitWatch;
import vividroster.core.rehearsal.Ladder.Grouping;
import vividroster.core.rehearsal.Ladder.Habit;
import vividroster.core.rehearsal.WarmUp;

/** The questions between schools that a rule reads; what else is asked rewords checks and nothing more. */
public final class Schools {

    public static final School<String> HORN_BUILD = charts("horn-build", "double", "single-f", "single-b-flat");
    public static final School<String> TROMBONE_BUILD = charts("trombone-build", "straight", "attachment");
    public static final School<Boolean> LOW_HORN = School.whether("horn-first-notes", "low", "high");
    public static final School<Boolean> HIGH_SAXOPHONES = School.whether("b-flat-saxophones", "high", "low");
    public static final School<Sticking.School> STICKING = School.of(
            "sticking", Map.of("right-lead", Sticking.School.RIGHT_LEAD, "alternate", Sticking.School.ALTERNATE));
    public static final School<Boolean> NAMES_IN_FIRST_WEEKS = School.whether("note-names", "first-weeks", "never");
    /** Lengths of tube. */
    public static final School<Integer> SLUR_LENGTHS = School.of("lip-slurs", Map.of("five", 5, "seven", 7));

    public static final School<FourthFinger> FOURTH_FINGER =
            School.of("fourth-finger", Map.of("early", FourthFinger.EARLY, "later", FourthFinger.LATER));
    public static final School<WarmUp.Order> WARM_UP = School.of(
            "warm-up",
            Map.of("slurs-first", WarmUp.Order.SLURS_FIRST, "long-tones-first", WarmUp.Order.LONG_TONES_FIRST));
    public static final School<Habit> REHEARSING = School.of(
            "rehearsing",
            Map.of(
                    "spots-first",
                    Habit.SPOTS_FIRST,
                    "whole-spot-whole",
                    Habit.WHOLE_SPOT_WHOLE,
                    "straight-through",
                    Habit.STRAIGHT_THROUGH));
    public static final School<Grouping> NOTE_GROUPS =
            School.of("note-groups", Map.of("overlapping", Grouping.OVERLAPPING, "consecutive", Grouping.CONSECUTIVE));
    public static final School<Boolean> REPEATS_AFTER_JUMP = School.whether("repeats-after-jump", "taken", "not-taken");
    public static final School<Boolean> PICK_UP_COUNTED = School.whether("pick-up", "counted", "not-counted");
    public static final School<Spelling> SIX_SIGNS =
            School.of("six-signs", Map.of("flats", Spelling.FLATS_AT_SIX, "sharps", Spelling.SHARPS_AT_SIX));
    /** In measures. */
    public static final School<Integer> COUNT_IN = School.of("count-in", Map.of("one", 1, "two", 2));

    /** In quarters a minute. */
    public static final School<Double> TEMPO_WITHOUT_MARK = School.amount("tempo-without-mark");
    /** Times its note. */
    public static final School<Double> FERMATA_COUNTED = School.amount("fermata-counted");

    public static final School<Double> FERMATA_PLAYED = School.amount("fermata-played");

    public static final School<Boolean> READY_FIRST = School.whether("calling-order", "ready-first", "longest-unheard");
    public static final School<Boolean> AGAIN_THE_SAME_DAY = School.whether("same-day", "again", "day-between");
    public static final School<HabitWatch.Terms> HABIT_WATCH = School.of(
            "habit-watch",
            Map.of(
                    "three-six-twelve", HabitWatch.Terms.DEFAULT,
                    "two-four-eight-sixteen", HabitWatch.Terms.DEFAULT.after(List.of(2, 4, 8, 16)),
                    "not-watched", HabitWatch.Terms.DEFAULT.after(List.of())));

    /** Rewords the checks for the tongue too. */
    static final School<Boolean> ONE_SYLLABLE = School.whether("articulation-words", "one-syllable", "by-style");

    /** Rewords the loosening exercises too. */
    static final School<Boolean> VIBRATO_LATER = School.whether("vibrato", "later", "early");

    static final List<School<?>> ALL = List.of(
            VIBRATO_LATER,
            HORN_BUILD,
            LOW_HORN,
            HIGH_SAXOPHONES,
            TROMBONE_BUILD,
            STICKING,
            NAMES_IN_FIRST_WEEKS,
            SLUR_LENGTHS,
            FOURTH_FINGER,
            WARM_UP,
            REHEARSING,
            NOTE_GROUPS,
            REPEATS_AFTER_JUMP,
            PICK_UP_COUNTED,
            SIX_SIGNS,
            COUNT_IN,
            TEMPO_WITHOUT_MARK,
            FERMATA_COUNTED,
            FERMATA_PLAYED,
            ONE_SYLLABLE,
            READY_FIRST,
            AGAIN_THE_SAME_DAY,
            HABIT_WATCH);

    private Schools() {}

    /** Whether a starter check waits until long after the first weeks under these schools. */
    static boolean taughtLater(String starterKey, SchoolChoices choices) {
        return switch (starterKey) {
            case "vibrato-loosening" -> choices.of(VIBRATO_LATER);
            case "upper-fourth" -> choices.of(FOURTH_FINGER) == FourthFinger.LATER;
            default -> false;
        };
    }

    /** Among the fingering charts of an instrument. */
    private static School<String> charts(String question, String... choices) {
        return School.of(question, Set.of(choices).stream().collect(Collectors.toMap(c -> c, c -> c)));
    }
}
