package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.rehearsal.HotSpots;
import vividroster.core.rehearsal.WarmUp;
import vividroster.server.platform.Words;

/** A warm-up in the words of the rehearsal room. */
final class WarmUpWording {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");

    private WarmUpWording() {}

    static String title(WarmUp.Kind kind) {
        return switch (kind) {
            case BREATHING -> "Breathing";
            case SOUND_ALONE -> "Sound without the instrument";
            case EASY_SLURS -> "Easy slurs";
            case ARTICULATION -> "Articulation by style";
            case RHYTHM -> "Rhythm on one note";
            case SCALE -> "Scale";
            case LONG_TONES -> "Long tones";
        };
    }

    /** One sentence for each kind of player there is. */
    static List<String> how(WarmUp.Kind kind, List<Instrument> instruments) {
        Set<Family> families = instruments.stream().map(Instrument::family).collect(Collectors.toSet());
        Set<InstrumentCode> codes = instruments.stream().map(Instrument::code).collect(Collectors.toSet());
        boolean strings = families.contains(Family.STRING);
        boolean winds = families.contains(Family.WOODWIND) || families.contains(Family.BRASS);
        List<String> how = new ArrayList<>();
        switch (kind) {
            case BREATHING -> {
                add(how, winds, "Winds: in for four, out for four, shoulders still; the last one out for eight");
                add(how, strings, "Strings: arms hang and swing, then bow in the air, in for four and out for four");
            }
            case SOUND_ALONE -> {
                add(
                        how,
                        families.contains(Family.BRASS),
                        "Brass: mouthpiece alone, one steady tone, then a slow siren");
                add(how, codes.contains(FLUTE), "Flutes: head joint alone, end open, then closed");
                add(
                        how,
                        families.contains(Family.WOODWIND) && !codes.equals(Set.of(FLUTE)),
                        "Reeds: mouthpiece or reed alone, one steady tone");
                add(how, strings, "Strings: pluck the open strings from the lowest up");
            }
            case EASY_SLURS -> {
                add(
                        how,
                        families.contains(Family.BRASS),
                        "Brass: the same two notes of the tube through the valves or positions, only air and lips change");
                add(
                        how,
                        families.contains(Family.WOODWIND),
                        "Woodwinds: fingers close together, the air does not notice the slur");
                add(how, strings, "Strings: set the fingers before they are needed, two notes to a bow");
            }
            case ARTICULATION -> {
                add(how, winds, "Winds: the same air, only the syllable changes");
                add(how, strings, "Strings: long bows, then even bows, then short ones from the string");
            }
            case RHYTHM ->
                how.add(
                        "Play every part, then tie what belongs together, then play what is left; the foot never changes");
            case SCALE -> how.add("Names aloud first, then played; slowly enough that nobody stumbles");
            case LONG_TONES -> {
                add(how, winds, "Winds: start soft and clear, hold it level to the end");
                add(how, strings, "Strings: whole bows, the same distance from the bridge");
            }
        }
        return how;
    }

    private static void add(List<String> list, boolean when, String words) {
        if (when) {
            list.add(words);
        }
    }

    static String words(WarmUp.Why why) {
        return switch (why) {
            case WarmUp.KeyOfTheWeek key ->
                "This week's lines are in concert " + key.concert().name();
            case WarmUp.NewNotes notes ->
                "New this week, at concert pitch: "
                        + notes.sounding().stream().map(Pitch::name).collect(Collectors.joining(", "));
            case WarmUp.Asked asked ->
                Words.counted(asked.measures(), "measure") + " of the week's lines: " + words(asked.reason());
        };
    }

    private static String words(HotSpots.Reason reason) {
        return switch (reason) {
            case REGISTER_BREAK -> "across the register break";
            case BEYOND_RANGE -> "beyond the stage's range";
            case LONG_SLIDE -> "long slide";
            case TRAP -> "traps";
            case FAST -> "fast notes";
            case ALTERED -> "altered notes";
            default -> reason.name().toLowerCase(Locale.ROOT).replace('_', ' ');
        };
    }
}
