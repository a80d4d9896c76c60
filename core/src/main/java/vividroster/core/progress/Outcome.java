package vividroster.core.progress;

/** What came of hearing a student. "Not heard" is the lack of any attempt and is no outcome. */
public enum Outcome {
    PASS,
    NOT_YET,
    EXCUSED,
    ABSENT,
    /** Only in a correction: the corrected attempt did not happen. */
    UNDONE;

    /** Whether the student played. */
    public boolean isTry() {
        return this == PASS || this == NOT_YET;
    }
}
