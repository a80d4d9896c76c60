package vividroster.core.placing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividroster.core.music.InstrumentCode;
import vividroster.core.placing.Trial.Aspect;
import vividroster.core.placing.Trial.Mouthpiece;

/**
 * One instrument as an option for one student: what was seen in its trials, beside how many are wanted. There is no score
 * and no order among options: the decision stays with people.
 *
 * @param trials how often tried
 * @param from the first trial; to the last
 * @param seen each aspect at first and at last
 * @param wanted players wanted in the section; empty where nobody said
 * @param seated players it has
 * @param remarks what is to be kept in mind
 */
public record PlacingOption(
        InstrumentCode instrument,
        int trials,
        LocalDate from,
        LocalDate to,
        Map<Aspect, Seen> seen,
        Optional<Integer> wanted,
        int seated,
        List<Remark> remarks) {

    /** Fewer trials, or within a shorter time, are no fair trial; ours. */
    private static final int FAIR_TRIALS = 3;

    private static final int FAIR_DAYS = 7;

    /** An aspect up to this is strained or unreliable. */
    private static final int STRAINED = 2;

    /** Shorter arms tire before the first note; ours, to be tuned: lengths at which common instruments are held at ease. */
    private static final Map<String, Double> ARMS_CM = Map.of(
            "trumpet", 52.0,
            "flugelhorn", 54.0,
            "trombone", 60.0,
            "bassoon", 60.0,
            "flute", 50.0,
            "baritone-saxophone", 58.0,
            "bass-clarinet", 56.0,
            "double-bass", 58.0);

    /**
     * What is carried while playing, in kilograms: from these on strap, harness, stand or chair carry it; typical, ours to be
     * tuned. How heavy a student is is not asked: support depends on the instrument and on what the body says.
     */
    private static final Map<String, Double> CARRIED_KG = Map.of(
            "alto-saxophone", 2.5,
            "tenor-saxophone", 3.5,
            "baritone-saxophone", 6.0,
            "bassoon", 3.5,
            "bass-clarinet", 3.5,
            "horn", 2.5,
            "baritone", 3.0,
            "baritone-treble", 3.0,
            "euphonium", 4.5,
            "tuba", 9.0);

    /** @param first and last, in the order of the trials in which it was looked at */
    public record Seen(int first, int last) {}

    /** What is carried while playing, in kilograms; empty where hands carry it well. */
    public static Optional<Double> carriedKg(InstrumentCode instrument) {
        return Optional.ofNullable(CARRIED_KG.get(instrument.value()));
    }

    /** What is to be kept in mind. */
    public enum Remark {
        /** Too few trials, or too close together, to say anything. */
        NOT_A_FAIR_TRIAL,
        /** Sound or response stays strained after a fair trial. */
        STAYS_STRAINED,
        /** A larger mouthpiece was found better; back to the own one now. */
        BACK_TO_THE_OWN_MOUTHPIECE,
        /** After a larger mouthpiece the own one is strained as before: another instrument may suit better. */
        LARGER_DID_NOT_HELP,
        /** Arms are short for it, or it was hard to reach. */
        SHORT_ARMS,
        SECTION_FULL,
        SECTION_SHORT,
        /** Heavy enough to be carried by strap, harness, stand or chair from the first day. */
        NEEDS_SUPPORT,
        /** The student wants it very much. */
        WISHED,
        /** Something hurt, or was uncomfortable at last: look before it is tried again. */
        UNCOMFORTABLE
    }

    public PlacingOption {
        seen = Map.copyOf(seen);
        remarks = List.copyOf(remarks);
    }

    /**
     * The instruments a student has tried, in the order first tried.
     *
     * @param trials of one student
     * @param wanted and seated by instrument
     */
    public static List<PlacingOption> of(
            Collection<Trial> trials, Map<InstrumentCode, Integer> wanted, Map<InstrumentCode, Integer> seated) {
        Map<InstrumentCode, List<Trial>> byInstrument = new LinkedHashMap<>();
        trials.stream()
                .sorted(Comparator.comparing(Trial::on).thenComparing(Trial::id))
                .forEach(trial -> byInstrument
                        .computeIfAbsent(trial.instrument(), code -> new ArrayList<>())
                        .add(trial));
        Optional<Double> arm = trials.stream()
                .filter(trial -> trial.armCm().isPresent())
                .max(Comparator.comparing(Trial::on).thenComparing(Trial::id))
                .flatMap(Trial::armCm);
        return byInstrument.entrySet().stream()
                .map(one -> option(
                        one.getKey(),
                        one.getValue(),
                        arm,
                        Optional.ofNullable(wanted.get(one.getKey())),
                        seated.getOrDefault(one.getKey(), 0)))
                .toList();
    }

    private static PlacingOption option(
            InstrumentCode instrument, List<Trial> trials, Optional<Double> arm, Optional<Integer> wanted, int seated) {
        Map<Aspect, Seen> seen = new EnumMap<>(Aspect.class);
        for (Aspect aspect : Aspect.values()) {
            // A larger mouthpiece is for a moment; it says nothing of the instrument as it will be played.
            List<Integer> values = trials.stream()
                    .filter(trial -> trial.mouthpiece() != Mouthpiece.LARGER)
                    .flatMap(trial -> trial.of(aspect).stream())
                    .toList();
            if (!values.isEmpty()) {
                seen.put(aspect, new Seen(values.getFirst(), values.getLast()));
            }
        }
        LocalDate from = trials.getFirst().on();
        LocalDate to = trials.getLast().on();
        return new PlacingOption(
                instrument,
                trials.size(),
                from,
                to,
                seen,
                wanted,
                seated,
                remarks(instrument, trials, seen, arm, wanted, seated));
    }

    private static List<Remark> remarks(
            InstrumentCode instrument,
            List<Trial> trials,
            Map<Aspect, Seen> seen,
            Optional<Double> arm,
            Optional<Integer> wanted,
            int seated) {
        List<Remark> remarks = new ArrayList<>();
        boolean fair = trials.size() >= FAIR_TRIALS
                && ChronoUnit.DAYS.between(
                                trials.getFirst().on(), trials.getLast().on())
                        >= FAIR_DAYS;
        if (!fair) {
            remarks.add(Remark.NOT_A_FAIR_TRIAL);
        }
        boolean strained = atMost(seen, Aspect.SOUND, STRAINED) || atMost(seen, Aspect.RESPONSE, STRAINED);
        Optional<Remark> larger = larger(trials, strained);
        larger.ifPresent(remarks::add);
        if (fair && strained && larger.isEmpty()) {
            remarks.add(Remark.STAYS_STRAINED);
        }
        boolean shortArms = Optional.ofNullable(ARMS_CM.get(instrument.value()))
                .flatMap(least -> arm.map(cm -> cm < least))
                .orElse(false);
        if (shortArms || atMost(seen, Aspect.REACH, STRAINED)) {
            remarks.add(Remark.SHORT_ARMS);
        }
        if (CARRIED_KG.containsKey(instrument.value())) {
            remarks.add(Remark.NEEDS_SUPPORT);
        }
        if (atMost(seen, Aspect.COMFORT, 1)) {
            remarks.add(Remark.UNCOMFORTABLE);
        }
        if (seen.containsKey(Aspect.WISH) && seen.get(Aspect.WISH).last() == Trial.MOST) {
            remarks.add(Remark.WISHED);
        }
        wanted.ifPresent(seats -> {
            remarks.add(seated >= seats ? Remark.SECTION_FULL : Remark.SECTION_SHORT);
        });
        return remarks;
    }

    private static boolean atMost(Map<Aspect, Seen> seen, Aspect aspect, int most) {
        return seen.containsKey(aspect) && seen.get(aspect).last() <= most;
    }

    /** After a larger mouthpiece: back to the own one, and if that is strained as before it did not help. */
    private static Optional<Remark> larger(List<Trial> trials, boolean strained) {
        int last = -1;
        for (int i = 0; i < trials.size(); i++) {
            if (trials.get(i).mouthpiece() == Mouthpiece.LARGER) {
                last = i;
            }
        }
        if (last < 0) {
            return Optional.empty();
        }
        if (last == trials.size() - 1) {
            return Optional.of(Remark.BACK_TO_THE_OWN_MOUTHPIECE);
        }
        return strained ? Optional.of(Remark.LARGER_DID_NOT_HELP) : Optional.empty();
    }
}
