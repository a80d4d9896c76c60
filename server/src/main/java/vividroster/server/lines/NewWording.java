package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vividroster.core.hands.FingeringChange;
import vividroster.core.hands.Fingers.Taken;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.music.Key;
import vividroster.core.music.Mode;
import vividroster.core.reading.Vocabulary;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.reading.Vocabulary.NewKey;
import vividroster.core.reading.Vocabulary.NewMeter;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.reading.Vocabulary.NewSign;
import vividroster.core.reading.Vocabulary.NewValue;
import vividroster.core.reading.Vocabulary.Sign;
import vividroster.core.reading.Vocabulary.Thing;
import vividroster.core.rehearsal.Reading;
import vividroster.server.platform.Words;

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
        return first.thing() instanceof NewNote
                ? first.pitch().name()
                        + taken.map(t -> ", " + DemandWording.fingering(t.fingering()))
                                .orElse("")
                : words(first.thing());
    }

    /** @param thing anything but a note, which is called as it is spelled where it stands */
    static String words(Thing thing) {
        return switch (thing) {
            case NewNote note -> throw new IllegalArgumentException("a note is called by its spelling");
            case NewValue value -> value.value().name() + (value.rest() ? " rest" : "");
            case NewSign sign -> sign(sign.sign());
            case NewKey key -> signature(key.fifths());
            case NewMeter meter -> meter.meter().toString();
        };
    }

    /** What a new sign means, how a new note differs from the nearest the section has; null where nothing is said. */
    static String sentence(First first, Reading reading, FingeringChart chart, Optional<Vocabulary> met) {
        return switch (first.thing()) {
            case NewSign sign -> SignSentences.of(sign.sign());
            case NewNote note ->
                reading.fingers()
                        .taken()
                        .get(first.measure())
                        .get(first.note())
                        .flatMap(taken -> FingeringChange.of(
                                first.pitch(),
                                taken.fingering(),
                                chart,
                                met.orElse(Vocabulary.NOTHING),
                                reading.view().bars().get(first.measure()).key()))
                        .map(NewWording::against)
                        .orElse(null);
            case NewValue value -> null;
            case NewKey key -> null;
            case NewMeter meter -> null;
        };
    }

    private static String against(FingeringChange change) {
        String from = "From " + change.from().name() + " (" + DemandWording.fingering(change.before()) + "): ";
        if (change.after() instanceof OnString on) {
            return from + DemandWording.fingering(on);
        }
        List<String> words = new ArrayList<>();
        if (change.positions() != 0) {
            int by = Math.abs(change.positions());
            words.add(Words.counted(by, "position") + " " + (change.positions() > 0 ? "out" : "in"));
        }
        if (!change.added().isEmpty()) {
            words.add(String.join(", ", change.added()) + " down");
        }
        if (!change.lifted().isEmpty()) {
            words.add(String.join(", ", change.lifted()) + " up");
        }
        return words.isEmpty() ? from + "the same, only the air and lips change" : from + String.join(", ", words);
    }

    private static String signature(int fifths) {
        String key = new Key(fifths, Mode.MAJOR).name();
        int signs = Math.abs(fifths);
        String count = signs == 0 ? "no sharps or flats" : Words.counted(signs, fifths > 0 ? "sharp" : "flat");
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
