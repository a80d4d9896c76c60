package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Range;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Note.Slurs;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.music.Tempo;
import vividroster.core.music.Voice;

/**
 * A part of a warm-up written out, so that every section of a class plays the same measures, each what its instrument
 * needs: brass the natural notes of one length of tube after another, woodwinds the chord across their break, strings a
 * finger pattern on each string.
 */
public final class WarmUpMusic {

    static final Meter FOUR = new Meter(4, 4);
    private static final Bpm TEMPO = new Bpm(72);
    private static final Beats WHOLE = Beats.of(4);
    private static final int MOST_MEASURES = 64;
    private static final String[] STYLES = {"soft: la", "neutral: da", "short: ta"};

    private WarmUpMusic() {}

    /** @param stage written range of what it is asked for */
    public record Player(Instrument instrument, Range stage, FingeringChart chart) {}

    /**
     * @param oneSyllable whether one syllable serves for every style
     * @param newNotes of the week at concert pitch, for long tones
     */
    public record Wish(WarmUp.Kind kind, Key concert, double minutes, List<Pitch> newNotes, boolean oneSyllable) {}

    /** Played once through within the minutes, so far as its material goes; at least one figure of it. */
    public static Score of(Wish wish, List<Player> players, String title) {
        if (players.isEmpty()) {
            throw new IllegalArgumentException("a warm-up needs somebody who plays it");
        }
        int budget = (int) Math.clamp(Math.floor(wish.minutes() * TEMPO.value() / WHOLE.value()), 2, MOST_MEASURES);
        boolean octave = players.stream().allMatch(p -> tonicWithOctave(p, wish.concert()));
        Map<Voice, Part> own = new LinkedHashMap<>();
        for (Player player : players) {
            own.put(
                    Voice.of(player.instrument().code()),
                    part(wish, player, budget, octave)
                            .soundingOn(player.instrument().transposition()));
        }
        return new Score(title, own.get(Voice.of(players.getFirst().instrument().code())), own);
    }

    private static Part part(Wish wish, Player player, int budget, boolean octave) {
        Key written = wish.concert().writtenFor(player.instrument().transposition());
        List<Measure> measures = new ArrayList<>();
        switch (wish.kind()) {
            case BREATHING -> silent(List.of("In 4", "Out 4", "In 4", "Out 4", "In 2, hold", "Out 8", "on"), measures);
            case SOUND_ALONE -> silent(List.of("Try", "Listen", "Again", "Listen"), measures);
            case EASY_SLURS -> EasySlurs.write(player, budget, measures);
            case ARTICULATION -> articulation(player, written, budget, wish.oneSyllable(), measures);
            case SCALE -> scale(player, written, octave, measures);
            case LONG_TONES -> longTones(player, written, wish.newNotes(), budget, measures);
        }
        List<Measure> fitting = measures.subList(0, Math.min(measures.size(), Math.max(2, budget / 2 * 2)));
        return new Part(
                wish.kind() == WarmUp.Kind.EASY_SLURS ? new Key(0, Mode.MAJOR) : written,
                FOUR,
                Optional.of(Tempo.of(TEMPO)),
                List.copyOf(fitting));
    }

    private static void silent(List<String> words, List<Measure> measures) {
        for (String word : words) {
            measures.add(measure(measures.size() + 1, List.of(Note.rest(WHOLE)), word));
        }
    }

    static Measure measure(int number, List<Note> notes, String words) {
        return new Measure(
                number, notes, vividroster.core.music.Signs.NONE, Optional.empty(), Optional.empty(), List.of(), words);
    }

    private static boolean tonicWithOctave(Player player, Key concert) {
        Key written = concert.writtenFor(player.instrument().transposition());
        return tonic(player, written)
                .map(p -> p.midi() + 12 <= player.stage().high().midi())
                .orElse(false);
    }

    /** The lowest tonic of a written key within the stage. */
    private static Optional<Pitch> tonic(Player player, Key written) {
        return written.scale(player.stage().low(), player.stage().high()).stream()
                .filter(p -> p.letter() == written.tonic())
                .findFirst();
    }

    /** Degrees upward from the lowest tonic that leaves room; from the lowest note where none does. */
    private static List<Pitch> degrees(Player player, Key written, int count) {
        List<Pitch> scale = written.scale(player.stage().low(), player.stage().high());
        for (int i = 0; i + count <= scale.size(); i++) {
            if (scale.get(i).letter() == written.tonic()) {
                return scale.subList(i, i + count);
            }
        }
        return scale.subList(0, Math.min(count, scale.size()));
    }

    private static Note note(Pitch pitch, Beats length, Slurs slurs, Set<Mark> marks) {
        return new Note(Optional.of(pitch), length, false, slurs, marks, List.of(), "");
    }

    static Note plain(Pitch pitch, int beats, Slurs slurs) {
        return note(pitch, Beats.of(beats), slurs, Set.of());
    }

    /** Five degrees up, each once through in every style. */
    private static void articulation(
            Player player, Key written, int budget, boolean oneSyllable, List<Measure> measures) {
        List<Pitch> degrees = degrees(player, written, 5);
        List<Set<Mark>> styles = List.of(Set.of(Mark.TENUTO), Set.of(), Set.of(Mark.STACCATO));
        for (int style = 0; style < styles.size() && measures.size() + 5 <= Math.max(5, budget); style++) {
            for (int i = 0; i < 5; i++) {
                Pitch pitch = degrees.get(Math.min(i, degrees.size() - 1));
                Set<Mark> marks = styles.get(style);
                Beats half = Beats.of(1, 2);
                List<Note> notes = List.of(
                        note(pitch, Beats.of(1), Slurs.NONE, marks),
                        note(pitch, Beats.of(1), Slurs.NONE, marks),
                        note(pitch, half, Slurs.NONE, marks),
                        note(pitch, half, Slurs.NONE, marks),
                        note(pitch, Beats.of(1), Slurs.NONE, marks));
                String words = i > 0 ? "" : oneSyllable ? STYLES[style].replaceFirst(":.*", ": ta") : STYLES[style];
                measures.add(measure(measures.size() + 1, notes, words));
            }
        }
    }

    /** Up and down: an octave where everybody has it, else five notes. */
    private static void scale(Player player, Key written, boolean octave, List<Measure> measures) {
        List<Pitch> up = degrees(player, written, octave ? 8 : 5);
        List<Pitch> both = new ArrayList<>(up);
        both.addAll(up.reversed());
        List<Note> row = new ArrayList<>();
        for (int i = 0; i < both.size(); i++) {
            boolean held = !octave && (i == up.size() - 1 || i == both.size() - 1);
            row.add(plain(both.get(i), held ? 4 : 1, Slurs.NONE));
            boolean full = row.stream().mapToDouble(n -> n.length().value()).sum() >= 4;
            if (full) {
                measures.add(measure(measures.size() + 1, row, ""));
                row = new ArrayList<>();
            }
        }
    }

    /** The tonic and the week's new notes, each held eight beats. */
    private static void longTones(
            Player player, Key written, List<Pitch> newNotes, int budget, List<Measure> measures) {
        List<Pitch> tones = new ArrayList<>(degrees(player, written, 1));
        for (Pitch sounding : newNotes) {
            Pitch pitch = sounding.writtenFor(player.instrument().transposition());
            while (pitch.midi() < player.stage().low().midi()) {
                pitch = pitch.moved(7, 12);
            }
            while (pitch.midi() > player.stage().high().midi()) {
                pitch = pitch.moved(-7, -12);
            }
            tones.add(player.stage().holds(pitch) ? pitch : tones.getFirst());
        }
        for (Pitch tone : tones) {
            if (measures.size() + 2 > Math.max(2, budget)) {
                return;
            }
            measures.add(measure(
                    measures.size() + 1,
                    List.of(new Note(Optional.of(tone), WHOLE, true, Slurs.NONE, Set.of(), List.of(), "")),
                    ""));
            measures.add(measure(measures.size() + 1, List.of(note(tone, WHOLE, Slurs.NONE, Set.of(Mark.BREATH))), ""));
        }
    }
}
