package vividroster.core.grading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import vividroster.core.curriculum.MilestoneKind;

/**
 * A student's grade in a class for a marking period, with how it came about.
 *
 * @param percent 0..100; empty where nothing counts yet
 * @param written on the school's scale; empty like it
 * @param kinds that have something that counts, in the order of {@link MilestoneKind}
 * @param items everything that was looked at, in the order given
 */
public record Grade(OptionalDouble percent, Optional<String> written, List<OfKind> kinds, List<Counted> items) {

    public Grade {
        kinds = List.copyOf(kinds);
        items = List.copyOf(items);
    }

    /** What came of a milestone that is due in the period. */
    public sealed interface Result {}

    /** A score, 0..1: of a test by its retake policy, of a written check, of a check by the criteria seen. */
    public record Scored(double share) implements Result {
        public Scored {
            if (!(share >= 0 && share <= 1)) {
                throw new IllegalArgumentException("share must be in 0..1, was " + share);
            }
        }
    }

    public record Passed() implements Result {}

    public record NotYet() implements Result {}

    public record Excused() implements Result {}

    public record NeverHeard() implements Result {}

    /** Heard in another class that set it too, where it counts instead. */
    public record CountsElsewhere() implements Result {}

    public record Item(UUID milestoneId, MilestoneKind kind, Result result) {}

    /** @param share 0..1 of what there is; empty for what does not count */
    public record Counted(Item item, OptionalDouble share) {}

    /**
     * @param share mean of its items, 0..1
     * @param weight as set
     * @param part of the whole grade it makes, 0..1; those of all kinds add up to 1
     */
    public record OfKind(MilestoneKind kind, int items, double share, int weight, double part) {}

    /** Kinds of which nothing counts yet give their weight to the others, in proportion. */
    public static Grade of(GradeScheme scheme, List<Item> items) {
        List<Counted> counted = items.stream()
                .map(item -> new Counted(item, share(scheme, item)))
                .toList();
        List<OfKind> kinds = new ArrayList<>();
        int weights = 0;
        for (MilestoneKind kind : MilestoneKind.values()) {
            List<Counted> of = counted.stream()
                    .filter(one -> one.item().kind() == kind && one.share().isPresent())
                    .toList();
            if (!of.isEmpty()) {
                double mean = of.stream()
                        .mapToDouble(one -> one.share().getAsDouble())
                        .average()
                        .orElseThrow();
                kinds.add(new OfKind(kind, of.size(), mean, scheme.weights().get(kind), 0));
                weights += scheme.weights().get(kind);
            }
        }
        List<OfKind> parts = new ArrayList<>();
        double sum = 0;
        for (OfKind kind : kinds) {
            double part = 1.0 * kind.weight() / weights;
            parts.add(new OfKind(kind.kind(), kind.items(), kind.share(), kind.weight(), part));
            sum += part * kind.share();
        }
        OptionalDouble percent = kinds.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Math.min(100, sum * 100));
        return new Grade(
                percent,
                percent.isEmpty()
                        ? Optional.empty()
                        : Optional.of(scheme.scale().written(percent.getAsDouble())),
                parts,
                counted);
    }

    private static OptionalDouble share(GradeScheme scheme, Item item) {
        if (!scheme.weights().containsKey(item.kind())) {
            return OptionalDouble.empty();
        }
        return switch (item.result()) {
            case Scored scored -> OptionalDouble.of(scored.share());
            case Passed passed -> OptionalDouble.of(1);
            case NotYet notYet -> OptionalDouble.of(scheme.notYetPercent() / 100.0);
            case Excused excused -> OptionalDouble.empty();
            case CountsElsewhere elsewhere -> OptionalDouble.empty();
            case NeverHeard never ->
                scheme.unheard() == GradeScheme.Unheard.NOTHING ? OptionalDouble.of(0) : OptionalDouble.empty();
        };
    }
}
