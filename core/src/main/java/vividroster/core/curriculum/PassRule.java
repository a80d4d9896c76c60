package vividroster.core.curriculum;

/** When tries make a pass. Whether a student's tries meet a rule is decided in {@code progress}. */
public sealed interface PassRule {

    /** One good try passes: the default of a line. */
    record OneGoodTry() implements PassRule {}

    /** {@code k} good tries among any {@code n} in a row: the default of a first sound is 4 of 5. */
    record KOfLastN(int k, int n) implements PassRule {
        public KOfLastN {
            if (n < 1 || n > 20) {
                throw new IllegalArgumentException("n must be in 1..20, was " + n);
            }
            if (k < 1 || k > n) {
                throw new IllegalArgumentException("k must be in 1.." + n + ", was " + k);
            }
        }
    }

    /** Every criterion seen in one try: the default of a technique check. */
    record AllCriteria() implements PassRule {}

    /** One try whose points add up to the mark, no criterion under its floor: the default of a playing test. */
    record ScoreAtLeast(int mark) implements PassRule {
        public ScoreAtLeast {
            if (mark < 1) {
                throw new IllegalArgumentException("mark must be at least 1, was " + mark);
            }
        }
    }

    /** Every slot passed or waived: the rule of a belt. */
    record AllSlots() implements PassRule {}
}
