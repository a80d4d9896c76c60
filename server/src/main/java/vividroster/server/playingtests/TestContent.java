package vividroster.server.playingtests;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Excerpt;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.PlayingTest.Part;
import vividroster.core.testing.PlayingTest.Variant;
import vividroster.core.testing.RetakePolicy;
import vividroster.core.testing.RetakePolicy.Counting;
import vividroster.core.testing.RetakePolicy.Credit;
import vividroster.core.testing.TestConditions;
import vividroster.core.testing.TestConditions.Accompaniment;
import vividroster.core.testing.TestConditions.FermataEnd;

/** One version of what a test consists of, as it is kept beside its milestone. */
record TestContent(List<PartContent> parts, ConditionsContent conditions, RetakesContent retakes, int listeners) {

    record ExcerptContent(int from, int to, boolean repeats) {

        static ExcerptContent of(Excerpt excerpt) {
            return new ExcerptContent(excerpt.from(), excerpt.to(), excerpt.repeats());
        }

        Excerpt toExcerpt() {
            return new Excerpt(from, to, repeats);
        }
    }

    record VariantContent(
            String instrument, String division, ExcerptContent excerpt, int octaves, String position, String string) {}

    record PartContent(UUID milestoneId, ExcerptContent excerpt, List<VariantContent> variants) {}

    /** @param pitchCheck as {@link Pitch#named} reads it; null where none is taken */
    record ConditionsContent(
            Double tempoBpm,
            int tolerancePercent,
            String pitchCheck,
            int countInMeasures,
            boolean fullValues,
            Accompaniment accompaniment,
            boolean memory,
            FermataEnd fermata,
            String besides) {}

    record RetakesContent(
            Counting counting,
            Integer capPercent,
            Integer mostRetakes,
            Integer windowDays,
            int latePercent,
            int substitutePercent) {}

    static TestContent of(PlayingTest test) {
        TestConditions conditions = test.conditions();
        RetakePolicy retakes = test.retakes();
        return new TestContent(
                test.parts().stream()
                        .map(part -> new PartContent(
                                part.milestoneId(),
                                part.excerpt().map(ExcerptContent::of).orElse(null),
                                part.variants().stream()
                                        .map(variant -> new VariantContent(
                                                variant.instrument().value(),
                                                variant.division(),
                                                variant.excerpt()
                                                        .map(ExcerptContent::of)
                                                        .orElse(null),
                                                variant.octaves(),
                                                variant.position(),
                                                variant.string()))
                                        .toList()))
                        .toList(),
                new ConditionsContent(
                        conditions.tempo().map(Bpm::value).orElse(null),
                        conditions.tolerancePercent(),
                        conditions.pitchCheck().map(Pitch::toString).orElse(null),
                        conditions.countInMeasures(),
                        conditions.fullValues(),
                        conditions.accompaniment(),
                        conditions.memory(),
                        conditions.fermata(),
                        conditions.besides()),
                new RetakesContent(
                        retakes.counting(),
                        number(retakes.capPercent()),
                        number(retakes.mostRetakes()),
                        number(retakes.windowDays()),
                        retakes.late().percent(),
                        retakes.substitute().percent()),
                test.listeners());
    }

    private static Integer number(OptionalInt number) {
        return number.isPresent() ? (Integer) number.getAsInt() : null;
    }

    private static OptionalInt number(Integer number) {
        return number == null ? OptionalInt.empty() : OptionalInt.of(number);
    }

    PlayingTest toTest() {
        return new PlayingTest(
                parts.stream()
                        .map(part -> new Part(
                                part.milestoneId(),
                                Optional.ofNullable(part.excerpt()).map(ExcerptContent::toExcerpt),
                                part.variants().stream()
                                        .map(variant -> new Variant(
                                                new InstrumentCode(variant.instrument()),
                                                variant.division(),
                                                Optional.ofNullable(variant.excerpt())
                                                        .map(ExcerptContent::toExcerpt),
                                                variant.octaves(),
                                                variant.position(),
                                                variant.string()))
                                        .toList()))
                        .toList(),
                new TestConditions(
                        Optional.ofNullable(conditions.tempoBpm()).map(Bpm::new),
                        conditions.tolerancePercent(),
                        Optional.ofNullable(conditions.pitchCheck()).map(Pitch::named),
                        conditions.countInMeasures(),
                        conditions.fullValues(),
                        conditions.accompaniment(),
                        conditions.memory(),
                        conditions.fermata(),
                        conditions.besides()),
                new RetakePolicy(
                        retakes.counting(),
                        number(retakes.capPercent()),
                        number(retakes.mostRetakes()),
                        number(retakes.windowDays()),
                        new Credit(retakes.latePercent()),
                        new Credit(retakes.substitutePercent())),
                listeners);
    }
}
