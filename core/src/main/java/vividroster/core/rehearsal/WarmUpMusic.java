package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
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
    /** As the checks name them. */
    private static final String[] STYLES = {"soft", "neutral", "short"};

    private WarmUpMusic() {}

    /**
     * Who plays it.
     *
     * @param stage written range of what it is asked for
     * @param met written notes the section has met, as MIDI numbers; none where its track is not known, then the stage
     *     decides
     * @param syllables it says by style, with "neutral"; empty where nothing is said
     * @param alone sounding pitch of mouthpiece or head joint alone; empty where none is known
     */
    public record Player(
            Instrument instrument,
            Range stage,
            FingeringChart chart,
            Set<Integer> met,
            Map<String, String> syllables,
            Optional<Pitch> alone) {

        public Player(Instrument instrument, Range stage, FingeringChart chart) {
            this(instrument, stage, chart, Set.of(), Map.of(), Optional.empty());
        }

        public Player {
            met = Set.copyOf(met);
            syllables = Map.copyOf(syllables);
        }

        /** Whether it can be asked for. */
        boolean plays(Pitch written) {
            return stage.holds(written) && (!knowsTrack() || met.contains(written.midi()));
        }

        /** A track that holds no note of the stage tells nothing. */
        private boolean knowsTrack() {
            return met.stream()
                    .anyMatch(midi ->
                            midi >= stage.low().midi() && midi <= stage.high().midi());
        }

        /** Upward, what it plays of a written scale. */
        List<Pitch> scale(Key written) {
            return written.scale(stage.low(), stage.high()).stream()
                    .filter(this::plays)
                    .toList();
        }
    }

    /**
     * @param newNotes of the week at concert pitch, for long tones
     * @param lengths of tube slurred through, 5 or 7
     * @param rhythms of one pulse that are new this week, for the drill
     */
    public record Wish(
            WarmUp.Kind kind,
            Key concert,
            double minutes,
            List<Pitch> newNotes,
            int lengths,
            List<List<Beats>> rhythms) {}

    /** Played once through within the minutes, so far as its material goes; at least one figure of it. */
    public static Score of(Wish wish, List<Player> players, String title) {
        if (players.isEmpty()) {
            throw new IllegalArgumentException("a warm-up needs somebody who plays it");
        }
        int budget = (int) Math.clamp(Math.floor(wish.minutes() * TEMPO.value() / WHOLE.value()), 2, MOST_MEASURES);
        int degrees = degrees(players, wish.concert());
        Map<Voice, Part> own = new LinkedHashMap<>();
        for (Player player : players) {
            own.put(
                    Voice.of(player.instrument().code()),
                    part(wish, player, budget, degrees)
                            .soundingOn(player.instrument().transposition()));
        }
        return new Score(title, own.get(Voice.of(players.getFirst().instrument().code())), own);
    }

    private static Part part(Wish wish, Player player, int budget, int degrees) {
        Key written = wish.concert().writtenFor(player.instrument().transposition());
        List<Measure> measures = new ArrayList<>();
        switch (wish.kind()) {
            case BREATHING -> silent(List.of("In 4", "Out 4", "In 4", "Out 4", "In 2, hold", "Out 8", "on"), measures);
            case SOUND_ALONE -> alone(player, measures);
            case EASY_SLURS -> EasySlurs.write(player, wish.lengths(), budget, measures);
            case ARTICULATION -> articulation(player, written, Math.min(degrees, 5), budget, measures);
            case RHYTHM -> RhythmDrill.write(player, written, wish.rhythms(), budget, measures);
            case SCALE -> scale(player, written, degrees, measures);
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

    /** Mouthpiece or head joint alone: its note and a rest to compare, and again; without a note only words. */
    private static void alone(Player player, List<Measure> measures) {
        Optional<Pitch> tone = player.alone()
                .map(sounding -> sounding.writtenFor(player.instrument().transposition()));
        if (tone.isEmpty()) {
            silent(List.of("Try", "Listen", "Again", "Listen"), measures);
            return;
        }
        String[] words = {"Sound it", "Listen", "Again, the same", "Listen"};
        for (int i = 0; i < words.length; i++) {
            measures.add(measure(
                    measures.size() + 1,
                    List.of(i % 2 == 0 ? note(tone.get(), WHOLE, Slurs.NONE, Set.of()) : Note.rest(WHOLE)),
                    words[i]));
        }
    }

    /** How many degrees of the key everybody has from a tonic up: an octave, five, or what the least have; 1 at least. */
    private static int degrees(List<Player> players, Key concert) {
        int least = players.stream()
                .mapToInt(p -> run(p, concert.writtenFor(p.instrument().transposition()))
                        .size())
                .min()
                .orElse(1);
        return least >= 8 ? 8 : Math.clamp(least, 1, 5);
    }

    /** The longest run of degrees upward from a tonic that a player has, at most an octave. */
    private static List<Pitch> run(Player player, Key written) {
        List<Pitch> scale = player.scale(written);
        List<Pitch> longest = List.of();
        for (int i = 0; i < scale.size(); i++) {
            if (scale.get(i).letter() == written.tonic()) {
                int end = i + 1;
                while (end < scale.size()
                        && end - i < 8
                        && scale.get(end).step() == scale.get(end - 1).step() + 1) {
                    end++;
                }
                longest = end - i > longest.size() ? scale.subList(i, end) : longest;
            }
        }
        return longest;
    }

    /** Degrees upward from a tonic; who has none of the key holds the note it has that is nearest to the middle. */
    private static List<Pitch> degrees(Player player, Key written, int count) {
        List<Pitch> run = run(player, written);
        return run.isEmpty() ? List.of(held(player, written)) : run.subList(0, Math.min(count, run.size()));
    }

    /** A note of the key the player has, else any it has, else the lowest of the stage. */
    static Pitch held(Player player, Key written) {
        int middle = (player.stage().low().midi() + player.stage().high().midi()) / 2;
        Comparator<Pitch> near = Comparator.comparingInt(p -> Math.abs(p.midi() - middle));
        return player.scale(written).stream()
                .min(near)
                .or(() -> new Key(0, Mode.MAJOR)
                        .scale(player.stage().low(), player.stage().high()).stream()
                                .filter(player::plays)
                                .min(near))
                .orElse(player.stage().low());
    }

    private static String said(Player player, String style, String fallback) {
        return player.syllables().getOrDefault(style, player.syllables().getOrDefault("neutral", fallback));
    }

    private static Note note(Pitch pitch, Beats length, Slurs slurs, Set<Mark> marks) {
        return new Note(Optional.of(pitch), length, false, slurs, marks, List.of(), "");
    }

    static Note plain(Pitch pitch, int beats, Slurs slurs) {
        return note(pitch, Beats.of(beats), slurs, Set.of());
    }

    /** Five degrees up, each once through in every style. */
    private static void articulation(Player player, Key written, int count, int budget, List<Measure> measures) {
        List<Pitch> degrees = degrees(player, written, count);
        boolean spoken = !player.syllables().isEmpty();
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
                String words = i > 0 ? "" : STYLES[style] + (spoken ? ": " + said(player, STYLES[style], "") : "");
                measures.add(measure(measures.size() + 1, notes, words));
            }
        }
    }

    /** Up and down by as many degrees as everybody has; who has fewer holds the last one. */
    private static void scale(Player player, Key written, int count, List<Measure> measures) {
        List<Pitch> have = degrees(player, written, count);
        List<Pitch> up = new ArrayList<>(have);
        while (up.size() < count) {
            up.add(have.getLast());
        }
        List<Pitch> both = new ArrayList<>(up);
        both.addAll(up.reversed());
        List<Note> row = new ArrayList<>();
        for (int i = 0; i < both.size(); i++) {
            boolean held = count < 8 && (i == up.size() - 1 || i == both.size() - 1);
            double there = beats(row);
            row.add(plain(both.get(i), held ? (int) (4 - (there >= 4 ? 0 : there)) : 1, Slurs.NONE));
            if (beats(row) >= 4) {
                measures.add(measure(measures.size() + 1, row, ""));
                row = new ArrayList<>();
            }
        }
    }

    private static double beats(List<Note> notes) {
        return notes.stream().mapToDouble(n -> n.length().value()).sum();
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
            tones.add(player.plays(pitch) ? pitch : tones.getFirst());
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
