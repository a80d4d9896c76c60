package vividroster.server.lines;

import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Demand;
import vividroster.core.reading.Echoes.Echo;
import vividroster.core.reading.Ladder;
import vividroster.core.reading.Traps.HiddenSkip;
import vividroster.core.reading.Traps.MustBeCounted;
import vividroster.core.reading.Traps.NeverAsSigned;
import vividroster.core.reading.Traps.StillAltered;
import vividroster.core.reading.Traps.Trap;

/** Traps, echoes and demands in the words of the rehearsal room. */
final class TrapWording {

    private TrapWording() {}

    static String kind(Trap trap) {
        return switch (trap) {
            case StillAltered still -> "STILL_ALTERED";
            case HiddenSkip skip -> "HIDDEN_SKIP";
            case MustBeCounted held -> "MUST_BE_COUNTED";
            case NeverAsSigned never -> "NEVER_AS_SIGNED";
        };
    }

    static String sentence(Trap trap, Part part) {
        return switch (trap) {
            case StillAltered still ->
                "Still " + name(still.pitch()) + ": the accidental before it holds to the bar line";
            case HiddenSkip skip -> "A skip from " + plain(skip.from()) + " to " + plain(skip.to()) + " inside a run";
            case MustBeCounted held -> "Held " + trimmed(held.length().value()) + " beats: count it";
            case NeverAsSigned never ->
                "Every " + never.letter() + " in this line is " + name(never.instead())
                        + ", not as the key signature says";
        };
    }

    private static String plain(Pitch pitch) {
        return pitch.name().substring(0, pitch.name().lastIndexOf(' '));
    }

    /** Without the octave, for example "B-flat"; a natural sign is said where it matters. */
    static String name(Pitch pitch) {
        return pitch.alter() == 0 ? plain(pitch) + " natural" : plain(pitch);
    }

    static String sentence(Echo echo, Part part) {
        String earlier = "measure " + part.measures().get(echo.earlier()).number();
        return switch (echo.likeness()) {
            case SAME -> "Same as " + earlier;
            case SAME_BUT_SLURS -> "The notes of " + earlier + ", slurred or marked otherwise";
            case SAME_RHYTHM_OTHER_PLACE -> "The shape of " + earlier + ", higher or lower";
            case SAME_RHYTHM -> "The rhythm of " + earlier;
        };
    }

    static String words(Demand.Peak peak) {
        return switch (peak.kind()) {
            case NOTES_PER_SECOND -> trimmed(peak.value()) + " a second";
            case LEAP -> leap((int) peak.value());
            case ABOVE_RANGE -> peak.value() > 0 ? trimmed(peak.value()) + " semitones beyond" : "within";
            case BELOW_RANGE -> peak.value() > 0 ? trimmed(peak.value()) + " semitones beyond" : "within";
            case ALTERED -> peak.value() == 0 ? "none" : trimmed(peak.value()) + " in one measure";
            case BREATH_SECONDS -> trimmed(peak.value()) + " s";
        };
    }

    static String words(Ladder.Step step, Part part) {
        int from = part.measures().get(step.from()).number();
        int to = part.measures().get(step.to()).number();
        String measures = from == to ? "Measure " + from : "Measures " + from + " to " + to;
        return switch (step.kind()) {
            case ISOLATE -> measures + " alone, " + step.repetitions() + " times";
            case RECALL -> measures + " was isolated before: recall it";
            case JOIN -> measures + " joined, twice";
            case WHOLE_SLOW -> "The whole line, slower";
            case WHOLE -> "The whole line at tempo";
        };
    }

    private static String leap(int steps) {
        String[] names = {"no leap", "by step", "a third", "a fourth", "a fifth", "a sixth", "a seventh", "an octave"};
        return steps < names.length ? names[steps] : "more than an octave";
    }

    private static String trimmed(double value) {
        double rounded = Math.round(value * 10) / 10.0;
        return rounded == Math.rint(rounded) ? String.valueOf((long) rounded) : String.valueOf(rounded);
    }
}
