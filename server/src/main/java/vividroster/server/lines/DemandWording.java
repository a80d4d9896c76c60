package vividroster.server.lines;

import vividroster.core.hands.Demand;
import vividroster.core.hands.Demand.Kind;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;

/** What a line asks, in the words of the rehearsal room. */
final class DemandWording {

    private DemandWording() {}

    static String words(Demand.Peak peak) {
        return words(peak.kind(), peak.value());
    }

    private static String words(Kind kind, double value) {
        return switch (kind) {
            case NOTES_PER_SECOND, FINGERS_A_SECOND -> trimmed(value) + " a second";
            case LEAP -> leap((int) value);
            case ABOVE_RANGE, BELOW_RANGE ->
                value <= 0 ? "within" : value == 1 ? "by a semitone" : "by " + trimmed(value) + " semitones";
            case ALTERED, HIDDEN_SKIPS, NEW_NOTES -> value == 0 ? "none" : trimmed(value) + " in one measure";
            case BREATH_SECONDS, SLUR_SECONDS -> trimmed(value) + " s";
            case REGISTER_BREAKS, CROSSINGS, SHIFTS, STRETCHES -> value == 0 ? "none" : times(value);
            case SLIDE_A_SECOND -> trimmed(value) + " positions a second";
        };
    }

    private static String times(double value) {
        return value == 1 ? "once" : value == 2 ? "twice" : trimmed(value) + " times";
    }

    /** For example "Trombones travel farthest on the slide: 4 positions a second in measure 5, the next 2.5". */
    static String hardest(Demand.Hardest<?> hardest, String plural, int number) {
        String what = switch (hardest.kind()) {
            case NEW_NOTES -> "meet the most new notes";
            case NOTES_PER_SECOND -> "have the fastest notes";
            case LEAP -> "leap widest";
            case HIDDEN_SKIPS -> "have the most hidden skips";
            case ABOVE_RANGE -> "go beyond their stage at the top";
            case BELOW_RANGE -> "go beyond their stage at the bottom";
            case ALTERED -> "read the most accidentals";
            case BREATH_SECONDS -> "need the longest breath";
            case SLUR_SECONDS -> "slur longest";
            case REGISTER_BREAKS -> "cross the register break most";
            case FINGERS_A_SECOND -> "change most fingers";
            case SLIDE_A_SECOND -> "travel the slide";
            case CROSSINGS -> "cross strings most";
            case SHIFTS -> "shift most";
            case STRETCHES -> "open the hand most";
        };
        String next = hardest.next() > 0 ? ", the next " + words(hardest.kind(), hardest.next()) : "";
        return plural + " " + what + ": " + words(hardest.peak()) + " at measure " + number + next;
    }

    /** For example "1-3", "position 4", "T 123|45", "2nd finger on D". */
    static String fingering(Fingering fingering) {
        return switch (fingering) {
            case Valves valves -> valves.label();
            case Keys keys when keys.label().equals("open") -> "open";
            case Keys keys -> "fingers " + keys.label();
            case Slide slide ->
                (slide.isRaised() ? "raised position " : "position ")
                        + slide.position()
                        + (slide.attachment() ? " with the attachment" : "");
            case OnString on when on.isOpen() -> "open " + on.string();
            case OnString on ->
                on.label() + " on " + on.string()
                        + (on.position() == 1
                                ? ""
                                : on.position() == 0 ? ", half position" : ", position " + on.position());
        };
    }

    private static String leap(int steps) {
        String[] names = {"no leap", "by step", "a third", "a fourth", "a fifth", "a sixth", "a seventh", "an octave"};
        return steps < names.length ? names[steps] : "more than an octave";
    }

    static String trimmed(double value) {
        double rounded = Math.round(value * 10) / 10.0;
        return rounded == Math.rint(rounded) ? String.valueOf((long) rounded) : String.valueOf(rounded);
    }
}
