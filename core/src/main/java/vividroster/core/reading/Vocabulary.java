package vividroster.core.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Notated;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Signs;
import vividroster.core.reading.Accidentals.Known;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.TimedView.Bar;

/**
 * What a page uses: notes, note values, signs, keys and meters. The sum of a section's pages so far is what it has met;
 * what a line has beyond that is new for this section, whatever it is for others.
 */
public record Vocabulary(Set<Thing> things) {

    private static final String REST = " rest";

    public static final Vocabulary NOTHING = new Vocabulary(Set.of());

    /** One thing that is new once. */
    public sealed interface Thing {}

    /** @param midi of the written note: another spelling is not another fingering */
    public record NewNote(int midi) implements Thing {}

    public record NewValue(Notated value, boolean rest) implements Thing {}

    public record NewSign(Sign sign) implements Thing {}

    /** @param fifths of the signature as the section reads it */
    public record NewKey(int fifths) implements Thing {}

    public record NewMeter(Meter meter) implements Thing {}

    /** What must be explained once. */
    public enum Sign {
        SHARP,
        FLAT,
        NATURAL,
        DOUBLE_ACCIDENTAL,
        TIE,
        SLUR,
        STACCATO,
        TENUTO,
        ACCENT,
        MARCATO,
        FERMATA,
        BREATH,
        DOWN_BOW,
        UP_BOW,
        PIZZICATO,
        TREMOLO,
        GLISSANDO,
        GRACE_NOTE,
        SYNCOPATION,
        PICK_UP,
        REPEAT,
        ENDINGS,
        DA_CAPO,
        DAL_SEGNO,
        FINE,
        CODA,
        KEY_CHANGE,
        METER_CHANGE,
        TEMPO_CHANGE
    }

    /** Where a thing is met first. @param pitch as spelled there; null for anything but a note */
    public record First(Thing thing, int measure, int note, Pitch pitch) {}

    public Vocabulary {
        things = Set.copyOf(things);
    }

    public static Vocabulary of(TimedView written) {
        Set<Thing> things = new HashSet<>();
        walk(written, things);
        return new Vocabulary(things);
    }

    /** What is known to be used where the notes themselves are not kept. @param values by name, a rest ends with " rest" */
    public static Vocabulary ofFacts(
            List<Pitch> written, List<String> values, Set<Sign> signs, Key writtenKey, Meter meter) {
        Set<Thing> things = new HashSet<>();
        written.forEach(pitch -> things.add(new NewNote(pitch.midi())));
        for (String value : values) {
            boolean rest = value.endsWith(REST);
            things.add(new NewValue(
                    Notated.named(rest ? value.substring(0, value.length() - REST.length()) : value), rest));
        }
        signs.forEach(sign -> things.add(new NewSign(sign)));
        things.add(new NewKey(writtenKey.fifths()));
        things.add(new NewMeter(meter));
        return new Vocabulary(things);
    }

    public Vocabulary plus(Vocabulary other) {
        Set<Thing> both = new HashSet<>(things);
        both.addAll(other.things);
        return new Vocabulary(both);
    }

    /** With the notes and keys of a part, as for who reads places on the staff and no pitches. */
    public Vocabulary plusPitchesOf(Part part) {
        Set<Thing> more = new HashSet<>(things);
        part.pitches().forEach(pitch -> more.add(new NewNote(pitch.midi())));
        more.add(new NewKey(part.key().fifths()));
        part.measures().forEach(m -> m.key().ifPresent(key -> more.add(new NewKey(key.fifths()))));
        return new Vocabulary(more);
    }

    public boolean knows(Sign sign) {
        return things.contains(new NewSign(sign));
    }

    /** With a sign that was met elsewhere, in a check for example. */
    public Vocabulary plus(Sign sign) {
        Set<Thing> more = new HashSet<>(things);
        more.add(new NewSign(sign));
        return new Vocabulary(more);
    }

    /** Every note it holds, as its MIDI number. */
    public Set<Integer> notes() {
        Set<Integer> midis = new HashSet<>();
        for (Thing thing : things) {
            if (thing instanceof NewNote note) {
                midis.add(note.midi());
            }
        }
        return midis;
    }

    public boolean knows(Pitch written) {
        return things.contains(new NewNote(written.midi()));
    }

    /** What a part has beyond this, in the order it is met, each once. */
    public List<First> newIn(TimedView written) {
        return walk(written, new HashSet<>(things));
    }

    /** @param met grows by what is found */
    private static List<First> walk(TimedView written, Set<Thing> met) {
        List<First> firsts = new ArrayList<>();
        Map<Beats, List<Notated>> byLength = new HashMap<>();
        List<List<Known>> known = Accidentals.of(written);
        meet(new NewKey(written.part().key().fifths()), 0, 0, null, met, firsts);
        meet(new NewMeter(written.part().meter()), 0, 0, null, met, firsts);
        for (Bar bar : written.bars()) {
            int m = bar.index();
            Measure measure = written.part().measures().get(m);
            for (Sign sign : signs(measure, m)) {
                meet(new NewSign(sign), m, 0, null, met, firsts);
            }
            measure.key().ifPresent(k -> meet(new NewKey(k.fifths()), m, 0, null, met, firsts));
            measure.meter().ifPresent(k -> meet(new NewMeter(k), m, 0, null, met, firsts));
            for (At at : written.notes().get(m)) {
                int n = at.index();
                Note note = at.note();
                for (Notated value : byLength.computeIfAbsent(note.length(), Notated::of)) {
                    meet(new NewValue(value, note.isRest()), m, n, null, met, firsts);
                }
                for (Sign sign : signs(at, known.get(m).get(n), bar.meter().pulse())) {
                    meet(new NewSign(sign), m, n, null, met, firsts);
                }
                Pitch pitch = note.pitch().orElse(null);
                if (pitch != null) {
                    meet(new NewNote(pitch.midi()), m, n, pitch, met, firsts);
                }
            }
        }
        return List.copyOf(firsts);
    }

    private static void meet(Thing thing, int measure, int note, Pitch pitch, Set<Thing> met, List<First> firsts) {
        if (met.add(thing)) {
            firsts.add(new First(thing, measure, note, pitch));
        }
    }

    private static List<Sign> signs(Measure measure, int index) {
        List<Sign> signs = new ArrayList<>();
        Signs of = measure.signs();
        if (index == 0 && measure.number() == 0) {
            signs.add(Sign.PICK_UP);
        }
        if (index > 0) {
            measure.key().ifPresent(k -> signs.add(Sign.KEY_CHANGE));
            measure.meter().ifPresent(k -> signs.add(Sign.METER_CHANGE));
        }
        if (!measure.tempos().isEmpty()) {
            signs.add(Sign.TEMPO_CHANGE);
        }
        if (of.forwardRepeat() || of.closesRepeat()) {
            signs.add(Sign.REPEAT);
        }
        if (!of.endingBegins().isEmpty()) {
            signs.add(Sign.ENDINGS);
        }
        of.jump().ifPresent(jump -> signs.add(jump.segno().isEmpty() ? Sign.DA_CAPO : Sign.DAL_SEGNO));
        if (of.fine()) {
            signs.add(Sign.FINE);
        }
        if (of.coda().isPresent() || of.toCoda().isPresent()) {
            signs.add(Sign.CODA);
        }
        return signs;
    }

    private static List<Sign> signs(At at, Known known, Beats pulse) {
        Note note = at.note();
        List<Sign> signs = new ArrayList<>(2);
        if (note.tied()) {
            signs.add(Sign.TIE);
        }
        if (note.slurs().begin() > 0) {
            signs.add(Sign.SLUR);
        }
        if (!note.graces().isEmpty()) {
            signs.add(Sign.GRACE_NOTE);
        }
        if (known == Known.PRINTED) {
            signs.add(
                    switch (note.pitch().orElseThrow().alter()) {
                        case 0 -> Sign.NATURAL;
                        case 1 -> Sign.SHARP;
                        case -1 -> Sign.FLAT;
                        default -> Sign.DOUBLE_ACCIDENTAL;
                    });
        }
        for (Mark mark : note.marks()) {
            signs.add(Sign.valueOf(mark.name()));
        }
        // Where it stands in the full measure, and as long as it is held: a tie over the pulse is one too.
        int afterPulse = at.beat().ticks() % pulse.ticks();
        if (at.isAttack() && afterPulse != 0 && at.held().ticks() > pulse.ticks() - afterPulse) {
            signs.add(Sign.SYNCOPATION);
        }
        return signs;
    }
}
