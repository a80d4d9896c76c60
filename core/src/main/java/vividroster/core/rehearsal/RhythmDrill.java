package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Slurs;
import vividroster.core.music.Pitch;
import vividroster.core.rehearsal.WarmUpMusic.Player;

/**
 * A rhythm of one pulse, learned on one note in three measures: its smallest parts all played, those that belong
 * together tied, and as it is written. Source: how dotted eighth and sixteenth are drilled.
 */
final class RhythmDrill {

    private static final int PULSES = 4;
    /** A dotted eighth and a sixteenth, where the week brings nothing of its own. */
    private static final List<Beats> USUAL = List.of(Beats.of(3, 4), Beats.of(1, 4));

    private RhythmDrill() {}

    /** @param rhythms each fills one quarter; none for the usual drill */
    static void write(Player player, Key written, List<List<Beats>> rhythms, int budget, List<Measure> measures) {
        Pitch tone = WarmUpMusic.held(player, written);
        for (List<Beats> rhythm : rhythms.isEmpty() ? List.of(USUAL) : rhythms) {
            if (!measures.isEmpty() && measures.size() + 3 > budget) {
                return;
            }
            Beats unit = smallest(rhythm);
            measures.add(of(measures.size() + 1, tone, parts(rhythm, unit, false), "every part"));
            measures.add(of(measures.size() + 1, tone, parts(rhythm, unit, true), "tied"));
            List<Part> own =
                    rhythm.stream().map(length -> new Part(length, false)).toList();
            measures.add(of(measures.size() + 1, tone, own, "as written"));
        }
    }

    private record Part(Beats length, boolean tied) {}

    private static List<Part> parts(List<Beats> rhythm, Beats unit, boolean tied) {
        List<Part> parts = new ArrayList<>();
        for (Beats length : rhythm) {
            int count = length.ticks() / unit.ticks();
            for (int i = 0; i < count; i++) {
                parts.add(new Part(unit, tied && i < count - 1));
            }
        }
        return parts;
    }

    /** The largest length that every note of it is a multiple of. */
    private static Beats smallest(List<Beats> rhythm) {
        int unit = 0;
        for (Beats length : rhythm) {
            int other = length.ticks();
            while (other != 0) {
                int rest = unit % other;
                unit = other;
                other = rest;
            }
        }
        return new Beats(unit);
    }

    private static Measure of(int number, Pitch tone, List<Part> pulse, String words) {
        List<Note> notes = new ArrayList<>();
        for (int i = 0; i < PULSES; i++) {
            for (Part part : pulse) {
                notes.add(new Note(Optional.of(tone), part.length(), part.tied(), Slurs.NONE, Set.of(), List.of(), ""));
            }
        }
        return WarmUpMusic.measure(number, notes, words);
    }
}
