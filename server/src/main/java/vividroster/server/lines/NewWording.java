package vividroster.server.lines;

import java.util.Locale;
import java.util.Optional;
import vividroster.core.hands.Fingers.Taken;
import vividroster.core.music.Key;
import vividroster.core.music.Mode;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.reading.Vocabulary.NewKey;
import vividroster.core.reading.Vocabulary.NewMeter;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.reading.Vocabulary.NewSign;
import vividroster.core.reading.Vocabulary.NewValue;
import vividroster.core.reading.Vocabulary.Sign;
import vividroster.core.reading.Vocabulary.Thing;

/** What is new to a section, in words. */
final class NewWording {

    private NewWording() {}

    static String kind(Thing thing) {
        return switch (thing) {
            case NewNote note -> "NOTE";
            case NewValue value -> "VALUE";
            case NewSign sign -> "SIGN";
            case NewKey key -> "KEY";
            case NewMeter meter -> "METER";
        };
    }

    static String words(First first, Optional<Taken> taken) {
        return switch (first.thing()) {
            case NewNote note ->
                first.pitch().name()
                        + taken.map(t -> ", " + DemandWording.fingering(t.fingering()))
                                .orElse("");
            case NewValue value -> value.value().name() + (value.rest() ? " rest" : "");
            case NewSign sign -> sign(sign.sign());
            case NewKey key -> signature(key.fifths());
            case NewMeter meter -> meter.meter().toString();
        };
    }

    private static String signature(int fifths) {
        String key = new Key(fifths, Mode.MAJOR).name();
        int signs = Math.abs(fifths);
        String count =
                signs == 0 ? "no sharps or flats" : signs + (fifths > 0 ? " sharp" : " flat") + (signs == 1 ? "" : "s");
        return count + ", as in " + key;
    }

    private static String sign(Sign sign) {
        return switch (sign) {
            case DA_CAPO -> "D.C.";
            case DAL_SEGNO -> "D.S.";
            case ENDINGS -> "first and second endings";
            case PICK_UP -> "pick-up";
            case BREATH -> "breath mark";
            case FINE -> "Fine";
            default -> sign.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        };
    }
}
