package vividroster.core.outfit;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;

/**
 * Starting values for an instrument that fits, each to be confirmed by what the body says, and the day to look again.
 * Source: common practice of teachers; a child's growth decides the review dates. Never a substitute for looking.
 */
public final class Fit {

    private static final int REVIEW_WEEKS = 12;
    private static final int REVIEW_WEEKS_NEAR_NEXT = 6;
    /** Hand widths of endpin for a seat as high as the hollow of the knee. */
    private static final double CELLO_HAND_WIDTHS = 3;

    private Fit() {}

    /** What confirms a fit; the words are made at the edge. */
    public enum BodyTest {
        STANDS_UP_AT_ONCE,
        LOW_PEG_NEAR_EAR,
        BREASTBONE_TOUCHES,
        KNEES_TOUCH_BOTH_SIDES,
        THIGHS_LEVEL_OR_SLOPING_DOWN,
        FEET_FLAT,
        FIRST_FINGER_AT_EYE,
        BOW_REACHES_WITHOUT_BENDING,
        FINGERS_CURL_ROUND_SCROLL,
        FOURTH_FINGER_REACHES,
        HANDS_OFF_AND_IT_STAYS,
        MOUTHPIECE_MEETS_LEVEL_HEAD,
        BELL_CLEAR_OF_BODY,
        RIGHT_HAND_WAVES,
        RING_FINGER_PUSHES_SLIDE
    }

    /** @param centimetres the length to set */
    public record Length(double centimetres, List<BodyTest> confirmBy, LocalDate reviewOn) {}

    /** @param size as instruments are labelled, for example "3/4" or "38 cm" */
    public record Size(String size, List<BodyTest> confirmBy, LocalDate reviewOn) {}

    /** Where along the seat the strap lies for a bassoon. */
    public enum StrapPlace {
        WELL_FORWARD,
        FORWARD_THIRD,
        MIDDLE
    }

    public record Strap(StrapPlace place, List<BodyTest> confirmBy, LocalDate reviewOn) {}

    /** Where the bell of a horn rests. */
    public enum BellRest {
        ON_LEG,
        /** On the leg with something under it. */
        ON_LEG_RAISED,
        ON_CHAIR,
        /** On the chair with something under it. */
        ON_CHAIR_RAISED
    }

    /** @param raisedCm what lies under the bell; 0 where nothing does */
    public record Bell(BellRest rest, double raisedCm, List<BodyTest> confirmBy, LocalDate reviewOn) {}

    /** Which finger takes the third-slide ring of a trumpet. */
    public enum RingFinger {
        RING,
        MIDDLE,
        /** Too far for now: one finger below the slide carries, the ring waits. */
        GRIP_BELOW
    }

    public record Ring(RingFinger finger, List<BodyTest> confirmBy, LocalDate reviewOn) {}

    /** From the mouthpiece down to the bell's lower rim, as a double horn is held. Ours, to be tuned. */
    private static final double HORN_REACH_CM = 46;
    /** More than this and the mouthpiece is missed by the lips. */
    private static final double MISSED_BY_CM = 2;
    /** Web of the thumb to the fingertip that reaches round the valves to the ring. Ours, to be tuned. */
    private static final double RING_REACHED_CM = 13;

    private static final double MIDDLE_REACHED_CM = 11;

    /**
     * On the leg where that meets the lips, else on the chair, with a cushion where it is still too low.
     *
     * @param mouthCm seat to the lips, sitting tall; thighCm seat to the top of the thigh
     * @throws IllegalArgumentException when a length cannot be, or the player is too small for a horn on the chair
     */
    public static Bell hornBell(double mouthCm, double thighCm, LocalDate on) {
        double mouth = Centimetres.measured("seat to lips", mouthCm, 35, 90).value();
        double thigh = Centimetres.measured("seat to thigh", thighCm, 5, 25).value();
        double under = mouth - HORN_REACH_CM;
        List<BodyTest> confirm = List.of(BodyTest.MOUTHPIECE_MEETS_LEVEL_HEAD, BodyTest.BELL_CLEAR_OF_BODY);
        if (under < -MISSED_BY_CM) {
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT,
                    "from the seat the horn's mouthpiece stands %.0f cm above these lips; try a lower chair, or a smaller"
                            + " horn",
                    -under));
        }
        boolean leg = under >= thigh - MISSED_BY_CM;
        double raised = half(Math.max(0, leg ? under - thigh : under));
        boolean cushion = raised > MISSED_BY_CM;
        BellRest rest = leg
                ? cushion ? BellRest.ON_LEG_RAISED : BellRest.ON_LEG
                : cushion ? BellRest.ON_CHAIR_RAISED : BellRest.ON_CHAIR;
        return new Bell(rest, cushion ? raised : 0, confirm, inWeeks(on, leg ? REVIEW_WEEKS : REVIEW_WEEKS_NEAR_NEXT));
    }

    /** @param reachCm web of the thumb to the tip of the ring finger, hand spread */
    public static Ring trumpetRing(double reachCm, LocalDate on) {
        double reach =
                Centimetres.measured("thumb to ring finger", reachCm, 7, 24).value();
        RingFinger finger = reach >= RING_REACHED_CM
                ? RingFinger.RING
                : reach >= MIDDLE_REACHED_CM ? RingFinger.MIDDLE : RingFinger.GRIP_BELOW;
        return new Ring(
                finger,
                List.of(BodyTest.RIGHT_HAND_WAVES, BodyTest.RING_FINGER_PUSHES_SLIDE),
                inWeeks(on, finger == RingFinger.RING ? REVIEW_WEEKS : REVIEW_WEEKS_NEAR_NEXT));
    }

    /** A seat as high as the hollow of the knee, so that the feet are flat and the thighs do not slope up. */
    public static Length chair(double kneeHeightCm, LocalDate on) {
        double knee = Centimetres.measured("knee height", kneeHeightCm, 22, 60).value();
        return new Length(
                half(knee),
                List.of(BodyTest.FEET_FLAT, BodyTest.THIGHS_LEVEL_OR_SLOPING_DOWN),
                inWeeks(on, REVIEW_WEEKS));
    }

    /**
     * Three hand widths, longer by what the seat stands above the hollow of the knee.
     *
     * @throws IllegalArgumentException when the measures together give an endpin that none can be set to
     */
    public static Length celloEndpin(double handWidthCm, double seatHeightCm, double kneeHeightCm, LocalDate on) {
        double hand = Centimetres.measured("hand width", handWidthCm, 4, 13).value();
        double seat = Centimetres.measured("seat height", seatHeightCm, 22, 65).value();
        double knee = Centimetres.measured("knee height", kneeHeightCm, 22, 60).value();
        double length = CELLO_HAND_WIDTHS * hand + (seat - knee);
        return new Length(
                half(settable("endpin", length, 8, 45)),
                List.of(
                        BodyTest.LOW_PEG_NEAR_EAR,
                        BodyTest.BREASTBONE_TOUCHES,
                        BodyTest.KNEES_TOUCH_BOTH_SIDES,
                        BodyTest.STANDS_UP_AT_ONCE),
                inWeeks(on, REVIEW_WEEKS));
    }

    /** Each measure can be right by itself and all of them together wrong. */
    private static double settable(String what, double centimetres, double least, double most) {
        if (centimetres < least || centimetres > most) {
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT,
                    "these measures together give an %s of %.1f cm, which must be in %.0f..%.0f cm; measure hand, seat and"
                            + " knee once more",
                    what,
                    centimetres,
                    least,
                    most));
        }
        return centimetres;
    }

    /** Two hand widths for a standing player; one and a half on a stool. */
    public static Length bassEndpin(double handWidthCm, boolean standing, LocalDate on) {
        double hand = Centimetres.measured("hand width", handWidthCm, 4, 13).value();
        return new Length(
                half(hand * (standing ? 2 : 1.5)),
                List.of(BodyTest.FIRST_FINGER_AT_EYE, BodyTest.BOW_REACHES_WITHOUT_BENDING),
                inWeeks(on, REVIEW_WEEKS));
    }

    private record Step(String size, double fromArmCm) {}

    private static final List<Step> VIOLINS = List.of(
            new Step("1/16", 0),
            new Step("1/10", 38),
            new Step("1/8", 42),
            new Step("1/4", 47),
            new Step("1/2", 51),
            new Step("3/4", 55),
            new Step("4/4", 58.5));
    private static final List<Step> VIOLAS = List.of(
            new Step("30 cm", 0),
            new Step("33 cm", 52),
            new Step("35.5 cm", 57),
            new Step("38 cm", 61),
            new Step("39.5 cm", 64),
            new Step("40.5 cm", 66));

    /** @param armCm from the neck to the middle of the palm, arm stretched to the side */
    public static Size violin(double armCm, LocalDate on) {
        return size(VIOLINS, armCm, on);
    }

    /** @param armCm from the neck to the middle of the palm, arm stretched to the side; sizes are body lengths */
    public static Size viola(double armCm, LocalDate on) {
        return size(VIOLAS, armCm, on);
    }

    private static Size size(List<Step> steps, double armCm, LocalDate on) {
        double arm = Centimetres.measured("arm length", armCm, 30, 85).value();
        int at = 0;
        while (at + 1 < steps.size() && steps.get(at + 1).fromArmCm() <= arm) {
            at++;
        }
        boolean nearNext = at + 1 < steps.size() && steps.get(at + 1).fromArmCm() - arm <= 1.5;
        return new Size(
                steps.get(at).size(),
                List.of(BodyTest.FINGERS_CURL_ROUND_SCROLL, BodyTest.FOURTH_FINGER_REACHES),
                inWeeks(on, nearNext ? REVIEW_WEEKS_NEAR_NEXT : REVIEW_WEEKS));
    }

    /** @param weeksPlayed since the first lesson on the bassoon */
    public static Strap bassoonStrap(int weeksPlayed, LocalDate on) {
        if (weeksPlayed < 0 || weeksPlayed > 1000) {
            throw new IllegalArgumentException("weeksPlayed must be in 0..1000, was " + weeksPlayed);
        }
        StrapPlace place = weeksPlayed < 8
                ? StrapPlace.WELL_FORWARD
                : weeksPlayed < 20 ? StrapPlace.FORWARD_THIRD : StrapPlace.MIDDLE;
        return new Strap(
                place,
                List.of(BodyTest.HANDS_OFF_AND_IT_STAYS),
                inWeeks(on, place == StrapPlace.MIDDLE ? REVIEW_WEEKS : 8));
    }

    private static LocalDate inWeeks(LocalDate on, int weeks) {
        return on.plusWeeks(weeks);
    }

    private static double half(double value) {
        return Math.round(value * 2) / 2.0;
    }
}
