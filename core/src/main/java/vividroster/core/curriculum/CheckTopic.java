package vividroster.core.curriculum;

import java.util.List;
import java.util.Set;

/** What a technique check is about, in the order directors teach the first weeks. */
public enum CheckTopic {
    /** Which way up, what may be touched, where it rests. */
    HANDLING,
    /** Putting together and apart, in order. */
    ASSEMBLY,
    BODY,
    RELEASE,
    READING,
    BREATH,
    HOLD,
    LEFT_HAND,
    RIGHT_HAND,
    FIRST_SOUND,
    ARTICULATION,
    STARTING_NOTES,
    SLIDE,
    BOW_HOLD,
    BOW_PATH,
    FINGER_PATTERN,
    SHIFT,
    FIRST_NOTES,
    FIRST_TUNE,
    CARE;

    /** Topics that come before this one where a student's instrument has a check for them. Source: the year in order. */
    public Set<CheckTopic> needs() {
        return switch (this) {
            case HANDLING, BODY, RELEASE, READING, BREATH -> Set.of();
            case ASSEMBLY, CARE -> Set.of(HANDLING);
            case HOLD, LEFT_HAND, RIGHT_HAND -> Set.of(ASSEMBLY, BODY);
            case FIRST_SOUND -> Set.of(HOLD, LEFT_HAND, ASSEMBLY, BREATH);
            case ARTICULATION, STARTING_NOTES -> Set.of(FIRST_SOUND);
            case SLIDE -> Set.of(RIGHT_HAND, FIRST_SOUND);
            case BOW_HOLD -> Set.of(BODY);
            case BOW_PATH -> Set.of(BOW_HOLD, FIRST_SOUND);
            case FINGER_PATTERN -> Set.of(LEFT_HAND, FIRST_SOUND);
            case SHIFT -> Set.of(FINGER_PATTERN);
            case FIRST_NOTES -> Set.of(FIRST_SOUND, HOLD, LEFT_HAND, RIGHT_HAND);
            case FIRST_TUNE -> Set.of(FIRST_NOTES);
        };
    }

    /** Whether it is a habit of posture, hands or sound, which can be seen or heard while others play and may slip later. */
    public boolean isHabit() {
        return switch (this) {
            case BODY, RELEASE, BREATH, HOLD, LEFT_HAND, RIGHT_HAND, FIRST_SOUND, BOW_HOLD, BOW_PATH -> true;
            case HANDLING,
                    ASSEMBLY,
                    READING,
                    ARTICULATION,
                    STARTING_NOTES,
                    SLIDE,
                    FINGER_PATTERN,
                    SHIFT,
                    FIRST_NOTES,
                    FIRST_TUNE,
                    CARE -> false;
        };
    }

    /** Topics in teaching order. */
    public static List<CheckTopic> inOrder() {
        return List.of(values());
    }
}
