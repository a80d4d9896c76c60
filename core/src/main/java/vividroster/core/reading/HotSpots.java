package vividroster.core.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import vividroster.core.instrument.Range;
import vividroster.core.music.Bpm;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Accidentals.Known;

/** Measures worth isolating for a section, the most rewarding first. */
public final class HotSpots {

    /** A fourth or wider. */
    private static final int WIDE_STEPS = 3;

    private static final double FAST_A_SECOND = 2.5;

    private HotSpots() {}

    /** Why a measure is worth isolating. */
    public enum Reason {
        TRAP(3),
        BEYOND_RANGE(3),
        ALTERED(2),
        FAST(2),
        WIDE_LEAP(1);

        private final int weight;

        Reason(int weight) {
            this.weight = weight;
        }
    }

    /**
     * @param measure by index in the part
     * @param value how rewarding, higher first
     * @param recalls an earlier measure it equals, which was isolated already
     */
    public record HotSpot(int measure, Set<Reason> reasons, int value, OptionalInt recalls) {}

    /** Measures without a reason are left out. */
    public static List<HotSpot> of(Part written, Range stage, Bpm tempo) {
        Map<Integer, Integer> equals = new HashMap<>();
        Echoes.recalled(written).forEach(e -> equals.put(e.measure(), e.earlier()));
        Set<Integer> trapped = new java.util.HashSet<>();
        Traps.of(written).stream()
                .filter(t -> !(t instanceof Traps.NeverAsSigned))
                .forEach(t -> trapped.add(t.measure()));
        List<List<Known>> known = Accidentals.of(written);
        List<HotSpot> spots = new ArrayList<>();
        for (int m = 0; m < written.measures().size(); m++) {
            Set<Reason> reasons = reasons(written, m, stage, tempo, known.get(m), trapped.contains(m));
            if (!reasons.isEmpty()) {
                Integer earlier = equals.get(m);
                spots.add(new HotSpot(
                        m,
                        reasons,
                        earlier != null
                                ? 0
                                : reasons.stream().mapToInt(r -> r.weight).sum(),
                        earlier == null ? OptionalInt.empty() : OptionalInt.of(earlier)));
            }
        }
        return spots.stream()
                .sorted(Comparator.comparingInt(HotSpot::value).reversed().thenComparingInt(HotSpot::measure))
                .toList();
    }

    private static Set<Reason> reasons(Part part, int m, Range stage, Bpm tempo, List<Known> known, boolean trapped) {
        Measure measure = part.measures().get(m);
        Set<Reason> reasons = EnumSet.noneOf(Reason.class);
        if (trapped) {
            reasons.add(Reason.TRAP);
        }
        if (known.contains(Known.PRINTED)) {
            reasons.add(Reason.ALTERED);
        }
        Pitch before = null;
        for (Note note : measure.notes()) {
            if (note.isRest()) {
                before = null;
                continue;
            }
            Pitch pitch = note.pitch().orElseThrow();
            if (!stage.holds(pitch)) {
                reasons.add(Reason.BEYOND_RANGE);
            }
            if (before != null && Math.abs(pitch.step() - before.step()) >= WIDE_STEPS) {
                reasons.add(Reason.WIDE_LEAP);
            }
            if (1 / tempo.secondsFor(note.length().value()) >= FAST_A_SECOND) {
                reasons.add(Reason.FAST);
            }
            before = pitch;
        }
        return reasons;
    }
}
