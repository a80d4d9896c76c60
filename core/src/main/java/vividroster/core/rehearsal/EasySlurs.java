package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
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
 * Easy slurs in figures of two measures. Brass slur the same two partials through one length of tube after another, one
 * partial more only where its open note is met already; woodwinds three neighbouring notes they have, never across a
 * break they have not crossed; strings the fingers they have on each of their strings. Source: teaching of easy slurs.
 */
final class EasySlurs {

    /** Sounding B-flat, the open tube of most brass. */
    private static final int FIRST_ROOT = 10;

    private static final int ROOTS = 7;

    /** Sounding pitch classes of the strings, in the order they are met: D, A, G, C, E. */
    private static final int[] STRING_ROOTS = {2, 9, 7, 0, 4};

    private EasySlurs() {}

    /** @param lengths of tube, 5 or 7 */
    static void write(Player player, int lengths, int budget, List<Measure> measures) {
        boolean strings = player.instrument().family() == Family.STRING;
        int roots = strings ? STRING_ROOTS.length : Math.min(ROOTS, lengths);
        for (int i = 0; i < roots && 2 * (i + 1) <= Math.max(2, budget); i++) {
            int sounding = strings ? STRING_ROOTS[i] : Math.floorMod(FIRST_ROOT - i, 12);
            if (strings) {
                pattern(player, sounding, measures);
            } else if (player.chart() instanceof BrassChart brass) {
                natural(player, brass, i, measures);
            } else {
                neighbours(player, sounding, measures);
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

    /** The partials chosen on the open tube, through the lengths; as long as the stage reaches down to them. */
    private static void natural(Player player, BrassChart brass, int lowered, List<Measure> measures) {
        List<Pitch> open = chosen(player, brass);
        Series series = brass.seriesOf(open.isEmpty() ? 0 : open.getFirst().midi(), lowered);
        List<Pitch> tones = open.stream()
                .flatMap(pitch -> spelled(pitch.midi() - lowered, rootOf(series.midis()), player.stage()).stream())
                .toList();
        // A length whose lower note is out of reach keeps the one before.
        if (tones.size() < open.size() && lowered > 0) {
            natural(player, brass, lowered - 1, measures);
            return;
        }
        figure(tones, series.takenBy().label().equals("open") ? "open" : held(series), measures);
    }

    /** Two neighbouring partials of the open tube that the player has, a third where it has that too. */
    private static List<Pitch> chosen(Player player, BrassChart brass) {
        List<Pitch> has = open(player, brass, player::plays);
        List<Pitch> tones =
                has.size() < 2 ? open(player, brass, pitch -> player.stage().holds(pitch)) : has;
        boolean sure = has.size() > 2 && !player.met().isEmpty();
        return tones.subList(0, Math.min(tones.size(), sure ? 3 : 2));
    }

    /** Neighbouring natural notes of the open tube, upward, from the lowest that will do; on the side of a horn they lie. */
    private static List<Pitch> open(Player player, BrassChart brass, Predicate<Pitch> does) {
        List<Pitch> found = new ArrayList<>();
        for (int from : new int[] {0, player.stage().high().midi()}) {
            List<Integer> midis = brass.seriesOf(from, 0).midis();
            List<Pitch> here = new ArrayList<>();
            for (int midi : midis) {
                Optional<Pitch> pitch = spelled(midi, rootOf(midis), player.stage())
                        .filter(does)
                        .filter(p -> brass.seriesOf(p.midi(), 0).midis().equals(midis));
                if (pitch.isPresent()) {
                    here.add(pitch.get());
                } else if (!here.isEmpty()) {
                    break;
                }
            }
            found = here.size() > found.size() ? here : found;
        }
        return found;
    }

    /** The major key whose tonic a tube's lowest partial is; its easy partials are spelled in it, thirds and fifths alike. */
    private static Key rootOf(List<Integer> midis) {
        int fifths = Math.floorMod(midis.getFirst() * 7, 12);
        return new Key(fifths > 6 ? fifths - 12 : fifths, Mode.MAJOR);
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

    /** Three notes next to each other that the player has, of one register unless it has crossed; from the root if it can. */
    private static void neighbours(Player player, int sounding, List<Measure> measures) {
        Key key = keyOf(sounding, player);
        List<Pitch> has = player.scale(key);
        List<List<Pitch>> threes = new ArrayList<>();
        for (int i = 0; i + 3 <= has.size(); i++) {
            List<Pitch> three = has.subList(i, i + 3);
            boolean near = three.getLast().step() - three.getFirst().step() <= 4;
            if (near && (crossed(player) || !crosses(player.chart(), three))) {
                threes.add(three);
            }
        }
        int middle = (player.stage().low().midi() + player.stage().high().midi()) / 2;
        List<Pitch> best = threes.stream()
                .min(Comparator.comparingInt((List<Pitch> t) -> crossed(player) && crosses(player.chart(), t) ? 0 : 1)
                        .thenComparingInt(t -> t.getFirst().letter() == key.tonic() ? 0 : 1)
                        .thenComparingInt(t -> Math.abs(t.get(1).midi() - middle)))
                .orElseGet(() -> has.isEmpty() ? List.of(WarmUpMusic.held(player, key)) : List.of(has.getFirst()));
        figure(best, "", measures);
    }

    /** Whether it has met notes on both sides of a break. */
    private static boolean crossed(Player player) {
        return player.met().stream()
                        .map(midi -> Pitch.ofMidi(midi, true))
                        .flatMap(p -> player.chart().of(p).stream().limit(1))
                        .filter(Keys.class::isInstance)
                        .map(f -> ((Keys) f).register())
                        .distinct()
                        .count()
                > 1;
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

    /** Open string and the next three it has, up and down; without that string the notes where it has them. */
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
                        .filter(player::plays)
                        .findFirst()
                : Optional.empty();
        List<Pitch> scale = player.scale(key).stream()
                .filter(p -> open.isEmpty() || p.midi() >= open.get().midi())
                .toList();
        int tonic = 0;
        while (tonic < scale.size() - 4 && scale.get(tonic).letter() != key.tonic()) {
            tonic++;
        }
        List<Pitch> four = new ArrayList<>(scale.subList(tonic, Math.min(tonic + 4, scale.size())));
        if (four.isEmpty()) {
            four.add(WarmUpMusic.held(player, key));
        }
        // Beyond the fingers it has, the last one is played again.
        while (four.size() < 4 || four.getLast().step() - four.getFirst().step() > 4) {
            if (four.size() > 1 && four.getLast().step() - four.getFirst().step() > 4) {
                four.removeLast();
            } else {
                four.add(four.getLast());
            }
        }
        measures.add(WarmUpMusic.measure(
                measures.size() + 1,
                List.of(begin(four.get(0), 1), end(four.get(1), 1), begin(four.get(2), 1), end(four.get(3), 1)),
                open.isPresent() ? four.getFirst().letter() + " string" : ""));
        measures.add(WarmUpMusic.measure(
                measures.size() + 1,
                List.of(begin(four.get(2), 1), end(four.get(1), 1), WarmUpMusic.plain(four.get(0), 2, Slurs.NONE)),
                ""));
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
