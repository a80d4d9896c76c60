package vividroster.server.lines;

import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.Traps.HiddenSkip;
import vividroster.core.reading.Traps.MustBeCounted;
import vividroster.core.reading.Traps.NeverAsSigned;
import vividroster.core.reading.Traps.StillAltered;
import vividroster.core.reading.Traps.Trap;
import vividroster.core.rehearsal.Echoes.Echo;

/** Traps and echoes in the words of the rehearsal room. */
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
            case MustBeCounted held ->
                "Held " + DemandWording.trimmed(held.length().value()) + " beats: count it";
            case NeverAsSigned never ->
                "Every " + never.letter() + " in this line is " + name(never.instead())
                        + ", not as the key signature says";
        };
    }

    static String plain(Pitch pitch) {
        return pitch.name().substring(0, pitch.name().lastIndexOf(' '));
    }

    /** Without the octave, for example "B-flat"; a natural sign is said where it matters. */
    static String name(Pitch pitch) {
        return pitch.alter() == 0 ? plain(pitch) + " natural" : plain(pitch);
    }

    static String sentence(Echo echo, Part part, Numbering numbering) {
        String earlier = "measure " + numbering.of(part, echo.earlier());
        return switch (echo.likeness()) {
            case SAME -> "Same as " + earlier;
            case SAME_BUT_SLURS -> "The notes of " + earlier + ", slurred or marked otherwise";
            case SAME_RHYTHM_OTHER_PLACE -> "The shape of " + earlier + ", higher or lower";
            case SAME_RHYTHM -> "The rhythm of " + earlier;
        };
    }
}
