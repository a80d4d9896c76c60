package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.BrassChart.Series;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.StringChart;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Slurs;
import vividroster.core.music.Pitch;
import vividroster.core.rehearsal.WarmUpMusic.Player;

/**
 * Easy slurs in figures of two measures, one root after another, downward by semitones as the tube lengthens: brass from
 * two natural notes upward, three where the stage has room, woodwinds the chord of the same root across their break, strings four
 * neighbouring fingers on each of their strings.
 */
final class EasySlurs {

    private static final int ROOTS = 7;
    /** Sounding B-flat, the open tube of most brass. */
    private static final int FIRST_ROOT = 10;

    /** Sounding pitch classes of the strings, in the order they are met: D, A, G, C, E. */
    private static final int[] STRING_ROOTS = {2, 9, 7, 0, 4};

    private EasySlurs() {}

    static void write(Player player, int budget, List<Measure> measures) {
        boolean strings = player.instrument().family() == Family.STRING;
        int roots = strings ? STRING_ROOTS.length : ROOTS;
        for (int i = 0; i < roots && 2 * (i + 1) <= Math.max(2, budget); i++) {
            int sounding = strings ? STRING_ROOTS[i] : Math.floorMod(FIRST_ROOT - i, 12);
            if (strings) {
                pattern(player, sounding, measures);
            } else if (player.chart() instanceof BrassChart brass) {
                natural(player, brass.series(i), sounding, measures);
            } else {
                chord(player, sounding, measures);
            }
        }
    }

    /** The written major key of a sounding root, flats for winds, sharps for strings. */
    private static Key keyOf(int sounding, Player player) {
        int fifths = Math.floorMod(sounding * 7, 12);
        boolean strings = player.instrument().family() == Family.STRING;
        Key concert = new Key(fifths > (strings ? 6 : 5) ? fifths - 12 : fifths, Mode.MAJOR);
        return concert.writtenFor(player.instrument().transposition());
    }

    /** The lowest natural notes the stage holds, two or three. */
    private static void natural(Player player, Series series, int sounding, List<Measure> measures) {
        Key key = keyOf(sounding, player);
        List<Pitch> tones = series.midis().stream()
                .filter(midi -> midi >= player.stage().low().midi()
                        && midi <= player.stage().high().midi())
                .flatMap(midi -> spelled(midi, key, player.stage()).stream())
                .limit(3)
                .toList();
        figure(tones, series.takenBy().label().equals("open") ? "open" : held(series), measures);
    }

    private static String held(Series series) {
        String label = series.takenBy().label();
        return series.takenBy() instanceof vividroster.core.instrument.Fingering.Slide ? "position " + label : label;
    }

    private static Optional<Pitch> spelled(int midi, Key key, Range stage) {
        return key.scale(stage.low(), stage.high()).stream()
                .filter(p -> p.midi() == midi)
                .findFirst();
    }

    /** Three neighbouring tones of the chord across a break where there is one, from the root, near the middle. */
    private static void chord(Player player, int sounding, List<Measure> measures) {
        Key key = keyOf(sounding, player);
        List<Pitch> chord = key.scale(player.stage().low(), player.stage().high()).stream()
                .filter(p -> List.of(0, 2, 4).contains(Math.floorMod(p.step() - stepOf(key), 7)))
                .toList();
        List<List<Pitch>> threes = new ArrayList<>();
        for (int i = 0; i + 3 <= chord.size(); i++) {
            threes.add(chord.subList(i, i + 3));
        }
        int middle = (player.stage().low().midi() + player.stage().high().midi()) / 2;
        List<Pitch> best = threes.stream()
                .min(Comparator.comparingInt((List<Pitch> t) -> crosses(player.chart(), t) ? 0 : 1)
                        .thenComparingInt(t -> t.getFirst().letter() == key.tonic() ? 0 : 1)
                        .thenComparingInt(t -> Math.abs(t.get(1).midi() - middle)))
                .orElse(chord);
        figure(best, "", measures);
    }

    private static int stepOf(Key key) {
        return new Pitch(key.tonic(), 0, 4).step();
    }

    private static boolean crosses(FingeringChart chart, List<Pitch> pitches) {
        return pitches.stream()
                        .flatMap(p -> chart.of(p).stream().limit(1))
                        .filter(Keys.class::isInstance)
                        .map(f -> ((Keys) f).register())
                        .distinct()
                        .count()
                > 1;
    }

    /** Open string and three fingers, up and down; a section without that string takes the notes where it has them. */
    private static void pattern(Player player, int sounding, List<Measure> measures) {
        Key key = keyOf(sounding, player);
        Optional<Pitch> open = player.chart() instanceof StringChart strings
                ? strings.open().stream()
                        .filter(p -> Math.floorMod(
                                        p.midi()
                                                + player.instrument()
                                                        .transposition()
                                                        .semitones(),
                                        12)
                                == sounding)
                        .findFirst()
                : Optional.empty();
        List<Pitch> scale =
                key.scale(open.orElse(player.stage().low()), player.stage().high());
        int tonic = 0;
        while (tonic < scale.size() - 4 && scale.get(tonic).letter() != key.tonic()) {
            tonic++;
        }
        List<Pitch> four = scale.subList(tonic, Math.min(tonic + 4, scale.size()));
        Pitch a = four.getFirst();
        Pitch b = four.get(Math.min(1, four.size() - 1));
        Pitch c = four.get(Math.min(2, four.size() - 1));
        Pitch d = four.getLast();
        measures.add(WarmUpMusic.measure(
                measures.size() + 1,
                List.of(begin(a, 1), end(b, 1), begin(c, 1), end(d, 1)),
                open.isPresent() ? a.letter() + " string" : ""));
        measures.add(WarmUpMusic.measure(
                measures.size() + 1, List.of(begin(c, 1), end(b, 1), WarmUpMusic.plain(a, 2, Slurs.NONE)), ""));
    }

    /** Two tones: low high low; three: up and back; all under one slur. */
    private static void figure(List<Pitch> tones, String words, List<Measure> measures) {
        List<Note> first = new ArrayList<>();
        Pitch low = tones.isEmpty() ? null : tones.getFirst();
        if (low == null) {
            first.add(Note.rest(vividroster.core.music.Beats.of(4)));
            measures.add(WarmUpMusic.measure(measures.size() + 1, first, words));
            measures.add(WarmUpMusic.measure(measures.size() + 1, first, ""));
            return;
        }
        if (tones.size() < 3) {
            first.add(begin(low, 2));
            first.add(WarmUpMusic.plain(tones.getLast(), 2, Slurs.NONE));
        } else {
            first.add(begin(low, 1));
            first.add(WarmUpMusic.plain(tones.get(1), 1, Slurs.NONE));
            first.add(WarmUpMusic.plain(tones.get(2), 1, Slurs.NONE));
            first.add(WarmUpMusic.plain(tones.get(1), 1, Slurs.NONE));
        }
        measures.add(WarmUpMusic.measure(measures.size() + 1, first, words));
        measures.add(WarmUpMusic.measure(measures.size() + 1, List.of(end(low, 4)), ""));
    }

    private static Note begin(Pitch pitch, int beats) {
        return WarmUpMusic.plain(pitch, beats, new Slurs(1, 0));
    }

    private static Note end(Pitch pitch, int beats) {
        return WarmUpMusic.plain(pitch, beats, new Slurs(0, 1));
    }
}
