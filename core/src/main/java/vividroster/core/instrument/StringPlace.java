package vividroster.core.instrument;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.music.Pitch;

/**
 * A place on a string instrument as directors say it: "A string, third position". What is said of no string and no position
 * is no place.
 *
 * @param string letter of the open string; empty for any
 * @param position 0 for the half position, from 1 else; empty for any
 */
public record StringPlace(Optional<String> string, OptionalInt position) {

    private static final List<String> ORDINALS = List.of(
            "half", "first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth");
    private static final Pattern STRING = Pattern.compile("\\b([a-g])[- ]string\\b");
    private static final Pattern POSITION =
            Pattern.compile("\\b(" + String.join("|", ORDINALS) + "|\\d{1,2})(?:st|nd|rd|th)?[- ]position\\b");

    /** Semitones above the open string at which fingers stand in first position, where tapes are put. */
    private static final int[] BY_LETTER_TAPES = {2, 4, 5, 7};

    private static final int[] CELLO_TAPES = {2, 3, 4, 5};
    private static final int[] BASS_TAPES = {2, 3, -1, 4};

    /** Empty where the words name neither a string nor a position. */
    public static Optional<StringPlace> read(String words) {
        String text = words.toLowerCase(Locale.ROOT);
        Matcher string = STRING.matcher(text);
        Matcher position = POSITION.matcher(text);
        Optional<String> letter =
                string.find() ? Optional.of(string.group(1).toUpperCase(Locale.ROOT)) : Optional.empty();
        OptionalInt number = position.find() ? number(position.group(1)) : OptionalInt.empty();
        return letter.isEmpty() && number.isEmpty() ? Optional.empty() : Optional.of(new StringPlace(letter, number));
    }

    private static OptionalInt number(String word) {
        int at = ORDINALS.indexOf(word);
        return OptionalInt.of(at >= 0 ? at : Integer.parseInt(word));
    }

    private boolean holds(OnString way) {
        return string.map(way.string()::equals).orElse(true)
                && (way.isOpen() || position.isEmpty() || way.position() == position.getAsInt());
    }

    /** The chart of a hand that stays in this place where it can: ways of the place first, all others behind them. */
    public FingeringChart on(FingeringChart chart) {
        return written -> {
            List<Fingering> ways = chart.of(written);
            Predicate<Fingering> here = way -> way instanceof OnString on && holds(on);
            List<Fingering> placed = new ArrayList<>(ways.stream()
                    .filter(here.and(way -> !((OnString) way).isOpen()))
                    .toList());
            placed.addAll(ways.stream()
                    .filter(here.and(way -> ((OnString) way).isOpen()))
                    .toList());
            if (placed.isEmpty()) {
                return ways;
            }
            placed.addAll(ways.stream().filter(here.negate()).toList());
            return List.copyOf(placed);
        };
    }

    /**
     * A finger in this place, and what it meets there.
     *
     * @param string letter of its string
     * @param tape the finger whose tape of the first position it stands on; empty where there is none
     * @param above semitones from the finger before it on the same string; empty for the lowest
     */
    public record Finger(String string, int finger, Pitch pitch, OptionalInt tape, OptionalInt above) {}

    /**
     * The fingers a line needs in this place, string by string from the lowest, each once.
     *
     * @param pitches written, as the line uses them; those that cannot be taken here are left out
     */
    public List<Finger> fingers(StringChart chart, Iterable<Pitch> pitches) {
        TreeMap<Integer, TreeMap<Integer, OnString>> found = new TreeMap<>();
        TreeMap<Integer, TreeMap<Integer, Pitch>> names = new TreeMap<>();
        for (Pitch pitch : pitches) {
            on(chart).of(pitch).stream()
                    .filter(way -> way instanceof OnString on && holds(on) && !on.isOpen())
                    .map(way -> (OnString) way)
                    .findFirst()
                    .ifPresent(on -> {
                        int above = pitch.midi() - chart.open().get(on.place()).midi();
                        found.computeIfAbsent(on.place(), none -> new TreeMap<>())
                                .put(above, on);
                        names.computeIfAbsent(on.place(), none -> new TreeMap<>())
                                .put(above, pitch);
                    });
        }
        List<Finger> fingers = new ArrayList<>();
        found.forEach((place, byHeight) -> {
            OptionalInt before = OptionalInt.empty();
            for (var one : byHeight.entrySet()) {
                fingers.add(new Finger(
                        one.getValue().string(),
                        one.getValue().finger(),
                        names.get(place).get(one.getKey()),
                        tape(chart.hand(), one.getKey()),
                        before.isPresent() ? OptionalInt.of(one.getKey() - before.getAsInt()) : OptionalInt.empty()));
                before = OptionalInt.of(one.getKey());
            }
        });
        return List.copyOf(fingers);
    }

    private static OptionalInt tape(StringChart.Hand hand, int semitonesAboveOpen) {
        int[] tapes = switch (hand) {
            case BY_LETTER -> BY_LETTER_TAPES;
            case CELLO -> CELLO_TAPES;
            case BASS -> BASS_TAPES;
        };
        for (int finger = 1; finger <= tapes.length; finger++) {
            if (tapes[finger - 1] == semitonesAboveOpen) {
                return OptionalInt.of(finger);
            }
        }
        return OptionalInt.empty();
    }
}
