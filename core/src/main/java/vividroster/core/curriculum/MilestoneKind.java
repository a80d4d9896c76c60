package vividroster.core.curriculum;

/** What a student can pass. */
public enum MilestoneKind {
    LINE,
    TECHNIQUE_CHECK,
    PLAYING_TEST,
    WRITTEN_CHECK,
    /** What the student brings, as a goal of its own. */
    FREE_CHOICE,
    BELT;

    /** Whether what is heard of it is a grade, which a section coach does not see. */
    public boolean isGraded() {
        return this == PLAYING_TEST || this == WRITTEN_CHECK;
    }
}
