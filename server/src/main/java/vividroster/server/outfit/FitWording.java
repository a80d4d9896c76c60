package vividroster.server.outfit;

import java.util.Locale;
import vividroster.core.outfit.Fit;

/** Results and body tests in words. */
final class FitWording {

    private FitWording() {}

    static String length(double centimetres) {
        return centimetres == Math.rint(centimetres)
                ? String.format(Locale.ROOT, "%.0f cm", centimetres)
                : String.format(Locale.ROOT, "%.1f cm", centimetres);
    }

    static String strap(Fit.StrapPlace place) {
        return switch (place) {
            case WELL_FORWARD -> "Strap well forward on the seat";
            case FORWARD_THIRD -> "Strap in the front third of the seat";
            case MIDDLE -> "Strap towards the middle of the seat";
        };
    }

    static String bell(Fit.Bell bell) {
        String place = switch (bell.rest()) {
            case ON_LEG, ON_LEG_RAISED -> "Bell on the leg";
            case ON_CHAIR, ON_CHAIR_RAISED -> "Bell on the chair";
        };
        return bell.raisedCm() > 0 ? place + " with " + length(bell.raisedCm()) + " under it" : place;
    }

    static String ring(Fit.RingFinger finger) {
        return switch (finger) {
            case RING -> "Ring finger in the ring";
            case MIDDLE -> "Middle finger in the ring";
            case GRIP_BELOW -> "One finger below the slide, the ring waits";
        };
    }

    static String sentence(Fit.BodyTest test) {
        return switch (test) {
            case STANDS_UP_AT_ONCE -> "Can stand up at once without lurching";
            case LOW_PEG_NEAR_EAR -> "The low-string peg is near the left ear, not touching";
            case BREASTBONE_TOUCHES -> "The top edge of the back rests at the breastbone";
            case KNEES_TOUCH_BOTH_SIDES -> "Both knees touch, one inside, one at the corner";
            case THIGHS_LEVEL_OR_SLOPING_DOWN -> "Thighs level or sloping down to the knee";
            case FEET_FLAT -> "Both feet flat on the floor";
            case FIRST_FINGER_AT_EYE -> "First finger in first position is at eye height";
            case BOW_REACHES_WITHOUT_BENDING -> "The bow hand reaches the playing place without bending the back";
            case FINGERS_CURL_ROUND_SCROLL -> "Fingers curl easily round the scroll with the arm out";
            case FOURTH_FINGER_REACHES -> "The fourth finger reaches its place and stays round";
            case MOUTHPIECE_MEETS_LEVEL_HEAD -> "The mouthpiece meets the lips with the head level";
            case BELL_CLEAR_OF_BODY -> "The bell does not sound into the body";
            case RIGHT_HAND_WAVES -> "The right hand waves and the trumpet stays";
            case RING_FINGER_PUSHES_SLIDE -> "The finger in the ring pushes the slide out and draws it back";
            case HANDS_OFF_AND_IT_STAYS -> "Both hands off for a moment and it stays";
        };
    }
}
