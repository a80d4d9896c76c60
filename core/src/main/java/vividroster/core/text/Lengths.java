package vividroster.core.text;

/**
 * How long texts may be, in letters as Java counts them; the one source of every limit, in the API, in files and in the
 * database, which counts whole characters and so never fewer. Ours, what fits where it is shown.
 */
public final class Lengths {

    /** Names of people, places, criteria and files; a few words of any kind. */
    public static final int NAME = 120;

    /** Titles of milestones. */
    public static final int TITLE = 90;

    /** The name of a check in the heading of a column. */
    public static final int SHORT_NAME = 16;

    public static final int CLASS_NAME = 80;

    /** Volumes, cue words and names of variants. */
    public static final int WORDS = 60;

    /** Divisions, student numbers, syllables, sizes. */
    public static final int LABEL = 40;

    /** Drills, roadmaps and notes on a step. */
    public static final int LINE = 200;

    /** A step or a remedy. */
    public static final int SENTENCE = 240;

    /** Reasons and notes. */
    public static final int NOTE = 300;

    /** Where a line goes wrong, and a tip. */
    public static final int REMARK = 400;

    /** What was heard or done, at length. */
    public static final int LONG_NOTE = 1_000;

    private Lengths() {}
}
