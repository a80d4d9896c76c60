package vividroster.core.plan;

/**
 * What a plan pays, in points; one point is one minute above the even share. Settings of the programme; the numbers that
 * ship were measured on twelve made-up years.
 *
 * @param essential for leaving out an essential milestone, besides its value
 * @param dropPerValue times the value of what is left out
 * @param lateEach for a deadline that is missed, besides {@code latePerWeek} a teaching week
 * @param brokenNeed for each need of a fixed milestone that is late or missing
 * @param overPerMinute above the minutes of a class in a week
 * @param unevenPerMinute above the even share, counted besides {@code overPerMinute}
 * @param orderPerWeek by which two neighbours in a book are turned round
 * @param marginPerWeek nearer to a deadline than its margin
 * @param movedEach not in its week of today, besides {@code movedPerWeek} a teaching week of distance
 */
public record PlanPrices(
        long essential,
        long dropPerValue,
        long lateEach,
        long latePerWeek,
        long brokenNeed,
        long overPerMinute,
        long unevenPerMinute,
        long orderPerWeek,
        long marginPerWeek,
        long movedEach,
        long movedPerWeek) {

    /** Above this, sums over a year no longer hold in 64 bits. */
    public static final long MOST = 1_000_000_000_000L;

    public PlanPrices {
        held(essential, "essential");
        held(dropPerValue, "dropPerValue");
        held(lateEach, "lateEach");
        held(latePerWeek, "latePerWeek");
        held(brokenNeed, "brokenNeed");
        held(overPerMinute, "overPerMinute");
        held(unevenPerMinute, "unevenPerMinute");
        held(orderPerWeek, "orderPerWeek");
        held(marginPerWeek, "marginPerWeek");
        held(movedEach, "movedEach");
        held(movedPerWeek, "movedPerWeek");
    }

    private static void held(long price, String name) {
        if (price < 0 || price > MOST) {
            throw new PlanInputException(
                    "weights." + name, "The price %s must be in 0..%d, was %d.".formatted(name, MOST, price));
        }
    }

    /** A year that holds what it can, evenly. */
    public static PlanPrices balanced() {
        return new PlanPrices(1_000_000, 1, 10_000, 1_000, 10_000, 5, 1, 4, 15, 20, 2);
    }

    /**
     * The same sum with its parts ranked one after another: keep what was placed, then move as few as possible, then look at
     * quality.
     */
    public PlanPrices leastChange() {
        return new PlanPrices(
                MOST,
                10_000_000,
                1_000_000_000,
                10_000_000,
                1_000_000_000,
                overPerMinute,
                unevenPerMinute,
                orderPerWeek,
                marginPerWeek,
                1_000_000,
                movedPerWeek);
    }
}
