package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import vividroster.core.music.Beats;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Accidentals.Known;

/** The places where the page misleads the reader of a part. Source: what directors hear forty times a year. */
public final class Traps {

    /** A run is at least so many notes one way before a skip in it is hidden. */
    private static final int RUN = 4;

    private static final int THIRD = 2;
    private static final Beats LONG = Beats.of(1);

    private Traps() {}

    /** One place; measures by index in the part, notes by index in the measure. */
    public sealed interface Trap {
        int measure();
    }

    /** The note is altered although nothing is printed before it. */
    public record StillAltered(int measure, int note, Pitch pitch) implements Trap {}

    /** A run that looks like a scale skips here, from the note before. */
    public record HiddenSkip(int measure, int note, Pitch from, Pitch to) implements Trap {}

    /** A note held two full measures or longer must be counted. */
    public record MustBeCounted(int measure, int note, Beats length) implements Trap {}

    /** The line never uses the form of a letter that the key signature gives. */
    public record NeverAsSigned(char letter, Pitch instead) implements Trap {
        @Override
        public int measure() {
            return 0;
        }
    }

    /** In the order of the part as it is read. */
    public static List<Trap> of(Part part) {
        List<Trap> traps = new ArrayList<>();
        traps.addAll(stillAltered(part));
        traps.addAll(hiddenSkips(part));
        traps.addAll(mustBeCounted(part));
        traps.sort(java.util.Comparator.comparingInt(Trap::measure));
        traps.addAll(neverAsSigned(part));
        return List.copyOf(traps);
    }

    private static List<Trap> stillAltered(Part part) {
        List<Trap> traps = new ArrayList<>();
        List<List<Known>> known = Accidentals.of(part);
        for (int m = 0; m < known.size(); m++) {
            for (int n = 0; n < known.get(m).size(); n++) {
                if (known.get(m).get(n) == Known.CARRIED) {
                    traps.add(new StillAltered(
                            m, n, part.measures().get(m).notes().get(n).pitch().orElseThrow()));
                }
            }
        }
        return traps;
    }

    private record At(int measure, int note, Note value) {}

    /** Steps one way, one skip among them, steps on the same way: the eye takes it for a scale. */
    private static List<Trap> hiddenSkips(Part part) {
        List<At> run = new ArrayList<>();
        List<Trap> traps = new ArrayList<>();
        for (int m = 0; m < part.measures().size(); m++) {
            List<Note> notes = part.measures().get(m).notes();
            for (int n = 0; n < notes.size(); n++) {
                if (notes.get(n).isRest()) {
                    traps.addAll(skipsIn(run));
                    run.clear();
                    continue;
                }
                // After a long note the eye begins anew.
                if (!run.isEmpty() && run.getLast().value().length().compareTo(LONG) > 0) {
                    traps.addAll(skipsIn(run));
                    run.clear();
                }
                At at = new At(m, n, notes.get(n));
                if (run.size() > 1
                        && direction(run.get(run.size() - 2), run.getLast()) != direction(run.getLast(), at)) {
                    traps.addAll(skipsIn(run));
                    At last = run.getLast();
                    run.clear();
                    run.add(last);
                }
                run.add(at);
            }
        }
        traps.addAll(skipsIn(run));
        return traps;
    }

    private static List<Trap> skipsIn(List<At> run) {
        List<Trap> skips = new ArrayList<>();
        for (int i = 1; i < run.size(); i++) {
            int steps = Math.abs(step(run.get(i)) - step(run.get(i - 1)));
            if (steps == 0 || steps > THIRD) {
                return List.of();
            }
            if (steps == THIRD) {
                skips.add(new HiddenSkip(
                        run.get(i).measure(),
                        run.get(i).note(),
                        run.get(i - 1).value().pitch().orElseThrow(),
                        run.get(i).value().pitch().orElseThrow()));
            }
        }
        boolean looksLikeAScale = run.size() > RUN && skips.size() == 1;
        return looksLikeAScale ? skips : List.of();
    }

    private static int step(At at) {
        return at.value().pitch().orElseThrow().step();
    }

    private static int direction(At from, At to) {
        return Integer.signum(step(to) - step(from));
    }

    private static List<Trap> mustBeCounted(Part part) {
        List<Trap> traps = new ArrayList<>();
        Optional<MustBeCounted> held = Optional.empty();
        for (int m = 0; m < part.measures().size(); m++) {
            List<Note> notes = part.measures().get(m).notes();
            for (int n = 0; n < notes.size(); n++) {
                Note note = notes.get(n);
                held = held.isPresent()
                        ? Optional.of(new MustBeCounted(
                                held.get().measure(),
                                held.get().note(),
                                held.get().length().plus(note.length())))
                        : note.isRest() ? Optional.empty() : Optional.of(new MustBeCounted(m, n, note.length()));
                if (held.isPresent() && !note.tied()) {
                    Beats two = Beats.of(part.meterAt(held.get().measure())).times(2, 1);
                    if (held.get().length().compareTo(two) >= 0) {
                        traps.add(held.get());
                    }
                    held = Optional.empty();
                }
            }
        }
        return traps;
    }

    private static List<Trap> neverAsSigned(Part part) {
        TreeMap<Character, List<Pitch>> byLetter = new TreeMap<>();
        part.pitches()
                .forEach(p -> byLetter.computeIfAbsent(p.letter(), l -> new ArrayList<>())
                        .add(p));
        List<Trap> traps = new ArrayList<>();
        byLetter.forEach((letter, pitches) -> {
            int signed = part.key().alterOf(letter);
            if (pitches.size() > 1 && pitches.stream().noneMatch(p -> p.alter() == signed)) {
                traps.add(new NeverAsSigned(letter, pitches.getFirst()));
            }
        });
        return traps;
    }
}
