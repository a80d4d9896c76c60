package vividroster.core.curriculum;

/** What a student can pass. */
public enum MilestoneKind {
    LINE,
    TECHNIQUE_CHECK,
    PLAYING_TEST,
    WRITTEN_CHECK,
    BELT
}
