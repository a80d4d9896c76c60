package vividroster.core.plan;

import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import vividroster.core.plan.PlanMilestone.Deadline;

/**
 * One thing a director chose for the year: a milestone for whole sections, the preparation of a concert piece, or a stretch
 * of catching up. Minutes, needs and new notes are worked out by {@link ChosenYear}.
 *
 * @param id names it among all of the year
 * @param milestone what is passed by it; empty where nothing is
 * @param sections it is for; at least one
 * @param value points lost when it is left out
 * @param essential what the year must not be without
 * @param teachMinutes together, once for each class
 * @param heardAlone whether every student is heard alone; else its section is heard together, once
 * @param hearSeconds of one student, or of one section together; 0 where nobody is heard
 * @param earliestWeek not before this week
 * @param stands the week it stands in now
 */
public record PlanItem(
        String id,
        Kind kind,
        Optional<String> milestone,
        Set<String> sections,
        int value,
        boolean essential,
        int teachMinutes,
        boolean heardAlone,
        int hearSeconds,
        OptionalInt earliestWeek,
        Optional<Deadline> deadline,
        OptionalInt stands,
        Hold hold) {

    /** What it is; decides what a director is shown first and what it is worth unless somebody says otherwise. */
    public enum Kind {
        LINE(60, 8),
        TECHNIQUE_CHECK(80, 4),
        PLAYING_TEST(150, 3),
        /** Written by everybody at once; nobody is heard. */
        WRITTEN_CHECK(60, 12),
        /** What each brings; nothing is taught together. */
        FREE_CHOICE(60, 2),
        BELT(100, 3),
        /** A stretch of a concert piece's preparation. */
        PIECE(150, 20),
        /** Minutes kept for what was carried over, put in by hand. */
        CATCH_UP(60, 20);

        /** Points; source: planning.md of the domain for lines, checks and tests, ours for the rest. */
        public final int usualValue;
        /** Teaching together, besides hearing. Ours, to be tuned. */
        public final int usualMinutes;

        Kind(int usualValue, int usualMinutes) {
            this.usualValue = usualValue;
            this.usualMinutes = usualMinutes;
        }

        /** Whether every student is heard alone, unless somebody says otherwise. */
        public boolean isHeardAlone() {
            return this != LINE && this != WRITTEN_CHECK;
        }

        /** Whether something is passed by it, so that it can be ordered. */
        public boolean isPassed() {
            return this != PIECE && this != CATCH_UP;
        }
    }

    /** What holds it in its week. */
    public enum Hold {
        /** Nothing: a plan may move it. */
        FREE,
        /** The director. */
        PINNED,
        /** Its order, which stays as it is, heard or not. */
        ORDERED
    }

    public PlanItem {
        sections = new LinkedHashSet<>(sections);
        if (sections.isEmpty()) {
            throw new IllegalArgumentException("an item of a plan is for at least one section");
        }
        if (kind.isPassed() != milestone.isPresent()) {
            throw new IllegalArgumentException(kind + (kind.isPassed() ? " needs" : " has no") + " milestone");
        }
        if (hold != Hold.FREE && stands.isEmpty()) {
            throw new IllegalArgumentException("what is held stands in a week");
        }
    }

    /** Of a week's minutes at most so much may go into hearing one line alone. Ours, to be tuned. */
    private static final double HEARING_SHARE = 0.6;

    /** Whether so many students can be heard alone on a line in a week of so many minutes, and the week still taught. */
    public static boolean fitsAlone(int hearSeconds, int students, int weekMinutes) {
        return (double) hearSeconds * students <= weekMinutes * 60 * HEARING_SHARE;
    }

    /** How long a section of so many students takes to be heard, in whole minutes, rounded up. */
    int hearMinutes(int students) {
        return Math.ceilDiv(hearSeconds * (heardAlone ? students : Math.min(1, students)), 60);
    }
}
