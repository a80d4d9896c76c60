package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import vividroster.core.hands.Fingers;
import vividroster.core.hands.Fingers.Marked;
import vividroster.core.hands.Fingers.Taken;
import vividroster.core.hands.Movement;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Reach;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Range;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Accidentals;
import vividroster.core.reading.Accidentals.Known;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.Traps;
import vividroster.core.reading.Traps.Trap;
import vividroster.core.reading.Vocabulary;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.reading.Vocabulary.NewSign;
import vividroster.core.reading.Vocabulary.NewValue;

/** Measures worth isolating for a section, the most rewarding first. */
public final class HotSpots {

    /** A fourth or wider. */
    private static final int WIDE_STEPS = 3;

    /** Fast is so much faster than the line's usual note, and over the stage's own figure. Source: teaching sense. */
    private static final double FASTER_THAN_USUAL = 1.5;

    private static final int SEVENTH = 7;
    /** What the same rhythm met again need not be isolated for. */
    private static final Set<Reason> OF_RHYTHM = EnumSet.of(Reason.FAST, Reason.NEW_RHYTHM);
    /** From first position beyond the bell. */
    private static final int LONG_TRAVEL = 4;

    private HotSpots() {}

    /** Why a measure is worth isolating. */
    public enum Reason {
        NEW_NOTE(4),
        TRAP(3),
        BEYOND_RANGE(3),
        NEW_RHYTHM(2),
        NEW_SIGN(1),
        ALTERED(2),
        FAST(2),
        REGISTER_BREAK(2),
        SHIFT(2),
        LONG_SLIDE(2),
        SEVENTH_POSITION(1),
        /** A finger reaches out of the position: cello extensions. */
        EXTENSION(2),
        /** Altered before the bar line, and here as the key has it again. */
        AS_SIGNED_AGAIN(2),
        STRING_CROSSING(1),
        FOURTH_FINGER(1),
        /** Stopped strings: both fingers are set before the slur falls. */
        FALLING_SLUR(1),
        WIDE_LEAP(1);

        private final int weight;

        Reason(int weight) {
            this.weight = weight;
        }

        int weight() {
            return weight;
        }
    }

    /**
     * @param measure by index in the part
     * @param value how rewarding, higher first
     * @param recalls an earlier measure it equals, which is a spot itself and isolated before
     */
    public record HotSpot(int measure, Set<Reason> reasons, int value, OptionalInt recalls) {}

    /**
     * Measures without a reason are left out; of a rhythm that comes again and again the first stands for all.
     *
     * @param fastASecond notes a second that are fast for the stage
     * @param news what the section meets here first
     */
    public static List<HotSpot> of(
            TimedView written, Range stage, double fastASecond, Fingers fingers, List<Trap> traps, List<First> news) {
        double fast = Math.max(fastASecond, FASTER_THAN_USUAL * usual(written));
        Map<Integer, Integer> equals = new HashMap<>();
        Echoes.recalled(written).forEach(e -> equals.put(e.measure(), e.earlier()));
        Set<Integer> trapped = new HashSet<>();
        for (Trap trap : traps) {
            switch (trap) {
                case Traps.NeverAsSigned never -> {}
                // Every measure a note is held into is counted.
                case Traps.MustBeCounted held ->
                    IntStream.rangeClosed(held.measure(), held.last()).forEach(trapped::add);
                case Traps.StillAltered still -> trapped.add(still.measure());
                case Traps.HiddenSkip skip -> trapped.add(skip.measure());
            }
        }
        List<List<Known>> known = Accidentals.of(written);
        List<HotSpot> spots = new ArrayList<>();
        Set<Integer> isolated = new HashSet<>();
        Set<Echoes.Print> rhythms = new HashSet<>();
        for (int m = 0; m < written.bars().size(); m++) {
            Set<Reason> reasons = EnumSet.noneOf(Reason.class);
            if (trapped.contains(m)) {
                reasons.add(Reason.TRAP);
            }
            if (known.get(m).contains(Known.PRINTED)) {
                reasons.add(Reason.ALTERED);
            }
            At before = written.lastBefore(m);
            reading(written.notes().get(m), before, stage, fast, reasons);
            if (asSignedAgain(written, known, m)) {
                reasons.add(Reason.AS_SIGNED_AGAIN);
            }
            hand(written.notes().get(m), before, fingers, reasons);
            met(m, news, reasons);
            if (!reasons.isEmpty()) {
                Integer earlier = equals.get(m);
                if (earlier != null && !isolated.contains(earlier)) {
                    earlier = null;
                }
                boolean rhythmAlone = OF_RHYTHM.containsAll(reasons);
                if (rhythmAlone && !rhythms.add(Echoes.rhythm(written.notes().get(m)))) {
                    continue;
                }
                if (earlier == null) {
                    isolated.add(m);
                }
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

    /** Notes a second of the note in the middle of all by length; 0 where nothing is played. */
    private static double usual(TimedView written) {
        double[] rates = new double[64];
        int attacks = 0;
        for (List<At> row : written.notes()) {
            for (At at : row) {
                if (at.isAttack()) {
                    rates = attacks < rates.length ? rates : Arrays.copyOf(rates, 2 * attacks);
                    rates[attacks++] = 1 / at.heldSeconds();
                }
            }
        }
        Arrays.sort(rates, 0, attacks);
        return attacks == 0 ? 0 : rates[attacks / 2];
    }

    /** Whether a note stands as the key has it that was another in the measure heard before. */
    private static boolean asSignedAgain(TimedView written, List<List<Known>> known, int measure) {
        At last = written.lastBefore(measure);
        if (last == null
                || last.measure() == measure
                || !known.get(last.measure()).contains(Known.PRINTED)) {
            return false;
        }
        Map<Integer, Integer> altered = new HashMap<>();
        for (At at : written.notes().get(last.measure())) {
            if (!at.isRest()) {
                Pitch pitch = at.note().pitch().orElseThrow();
                if (known.get(last.measure()).get(at.index()) == Known.BY_KEY) {
                    altered.remove(pitch.step());
                } else {
                    altered.put(pitch.step(), pitch.alter());
                }
            }
        }
        return written.notes().get(measure).stream()
                .filter(at -> at.isAttack() && known.get(measure).get(at.index()) == Known.BY_KEY)
                .map(at -> at.note().pitch().orElseThrow())
                .anyMatch(p -> altered.containsKey(p.step()) && altered.get(p.step()) != p.alter());
    }

    /** @param heard before the measure; null at the beginning */
    private static void reading(List<At> row, At heard, Range stage, double fast, Set<Reason> reasons) {
        At before = heard;
        for (At at : row) {
            if (at.isAttack()) {
                Pitch pitch = at.note().pitch().orElseThrow();
                if (!stage.holds(pitch)) {
                    reasons.add(Reason.BEYOND_RANGE);
                }
                if (before != null
                        && !before.isRest()
                        && Math.abs(pitch.step()
                                        - before.note().pitch().orElseThrow().step())
                                >= WIDE_STEPS) {
                    reasons.add(Reason.WIDE_LEAP);
                }
                if (1 / at.heldSeconds() >= fast) {
                    reasons.add(Reason.FAST);
                }
            }
            before = at;
        }
    }

    /** @param heard before the measure; null at the beginning */
    private static void hand(List<At> row, At heard, Fingers fingers, Set<Reason> reasons) {
        Fingering before = heard == null ? null : fingers.at(heard).orElse(null);
        int crossings = 0;
        for (At at : row) {
            Fingering now = fingers.at(at).orElse(null);
            if (now != null && before != null) {
                int crossed = Movement.crossed(before, now);
                crossings += crossed;
                if (crossed > 1 || crossings > 2) {
                    reasons.add(Reason.STRING_CROSSING);
                }
                if (Movement.shifted(before, now) > 0) {
                    reasons.add(Reason.SHIFT);
                }
                if (Movement.breaksRegister(before, now)) {
                    reasons.add(Reason.REGISTER_BREAK);
                }
                if (Movement.travel(before, now) >= LONG_TRAVEL) {
                    reasons.add(Reason.LONG_SLIDE);
                }
                if (at.slurredIn()
                        && crossed == 0
                        && before instanceof OnString from
                        && now instanceof OnString to
                        && to.finger() < from.finger()
                        && !to.isOpen()) {
                    reasons.add(Reason.FALLING_SLUR);
                }
            }
            if (now instanceof OnString on && on.reach() == Reach.STRETCHED) {
                reasons.add(Reason.EXTENSION);
            }
            if (now instanceof Slide slide && slide.position() == SEVENTH) {
                reasons.add(Reason.SEVENTH_POSITION);
            }
            if (fingers.taken()
                            .get(at.measure())
                            .get(at.index())
                            .map(Taken::marked)
                            .orElse(Marked.NOTHING)
                    == Marked.FOURTH_FINGER) {
                reasons.add(Reason.FOURTH_FINGER);
            }
            before = now;
        }
    }

    private static void met(int measure, List<First> news, Set<Reason> reasons) {
        for (First first : news) {
            // A key or meter is new for the line, not for one measure of it.
            if (first.measure() == measure) {
                switch (first.thing()) {
                    case NewNote note -> reasons.add(Reason.NEW_NOTE);
                    case NewValue value -> reasons.add(Reason.NEW_RHYTHM);
                    case NewSign sign -> reasons.add(Reason.NEW_SIGN);
                    case Vocabulary.NewKey key -> {}
                    case Vocabulary.NewMeter meter -> {}
                }
            }
        }
    }
}
