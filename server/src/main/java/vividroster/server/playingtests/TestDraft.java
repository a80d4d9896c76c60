package vividroster.server.playingtests;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.Rubric;
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
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.rubrics.RubricDraft;

/**
 * A playing test as a director writes it.
 *
 * @param shortName for a column's head
 * @param listeners who score it independently, 1 or 2
 */
record TestDraft(
        @NotBlank(message = "Give the test a short name, for a column's head.")
        @Size(max = Lengths.SHORT_NAME, message = "A short name has at most {max} letters.")
        String shortName,

        @NotBlank(message = "Give the test a title.")
        @Size(max = Lengths.TITLE, message = "A title has at most {max} letters.")
        String title,

        @NotNull(message = "A test needs a part: a line, an excerpt or a check.")
        @Size(min = 1, max = PlayingTest.MOST_PARTS, message = "A test has {min} to {max} parts.")
        List<@Valid @NotNull PartDraft> parts,

        @NotNull(message = "Say under which conditions it is played.") @Valid
        ConditionsDraft conditions,

        @NotNull(message = "A test needs a rubric.") @Valid RubricDraft rubric,

        @NotNull(message = "Say which retakes there are.") @Valid
        RetakesDraft retakes,

        @Min(value = 1, message = "One listener at least.") @Max(value = 2, message = "Two listeners at most.")
        int listeners) {

    /** @param from and {@code to}, both included, as the measures of the line are numbered */
    record ExcerptDraft(
            @Min(value = 0, message = "Measures are counted from 0, the pick-up.")
            int from,

            @Min(value = 0, message = "Measures are counted from 0, the pick-up.")
            int to,

            boolean repeats) {

        Excerpt toExcerpt() {
            return new Excerpt(from, to, repeats);
        }

        static ExcerptDraft of(Excerpt excerpt) {
            return new ExcerptDraft(excerpt.from(), excerpt.to(), excerpt.repeats());
        }
    }

    record TestVariantDraft(
            @NotNull(message = "Choose the section that plays otherwise.")
            InstrumentCode instrument,

            @NotNull @Size(max = Lengths.LABEL, message = "A division has at most {max} letters.")
            String division,

            @Absent @Valid ExcerptDraft excerpt,

            @Min(value = -PlayingTest.MOST_OCTAVES, message = "At most two octaves lower.")
            @Max(value = PlayingTest.MOST_OCTAVES, message = "At most two octaves higher.")
            int octaves,

            @NotNull @Size(max = Lengths.WORDS, message = "A position has at most {max} letters.")
            String position,

            @NotNull @Size(max = Lengths.WORDS, message = "A string has at most {max} letters.")
            String string) {}

    /** @param milestoneId a line or a technique check */
    record PartDraft(
            @NotNull(message = "Choose what is played.") UUID milestoneId,
            @Absent @Valid ExcerptDraft excerpt,

            @NotNull @Size(max = 40, message = "At most {max} sections play otherwise.")
            List<@Valid @NotNull TestVariantDraft> variants) {}

    /**
     * @param tempoBpm absent for the line's own
     * @param pitchCheck a sounding pitch, for example Bb4 or A4; absent for none
     */
    record ConditionsDraft(
            @Absent
            @DecimalMin(value = "20", message = "A tempo is 20 to 400 beats a minute.")
            @DecimalMax(value = "400", message = "A tempo is 20 to 400 beats a minute.")
            Double tempoBpm,

            @Min(value = 0, message = "A tolerance is 0 percent or more.")
            @Max(value = TestConditions.MOST_TOLERANCE, message = "A tolerance is at most {value} percent.")
            int tolerancePercent,

            @Absent @Size(max = 12) String pitchCheck,

            @Min(value = 0, message = "A count-in has 0 to 2 measures.")
            @Max(value = 2, message = "A count-in has 0 to 2 measures.")
            int countInMeasures,

            boolean fullValues,

            @NotNull(message = "Say what sounds beside the student.")
            Accompaniment accompaniment,

            boolean memory,
            @NotNull(message = "Say who ends a held note.") FermataEnd fermata,

            @NotNull @Size(max = Lengths.LINE, message = "At most {max} letters of your own.")
            String besides) {

        TestConditions toConditions() {
            Optional<Pitch> tone = Optional.ofNullable(pitchCheck)
                    .filter(text -> !text.isBlank())
                    .map(text -> {
                        try {
                            return Pitch.named(text);
                        } catch (IllegalArgumentException e) {
                            throw Problem.input(
                                    "conditions.pitchCheck", "A tone is written like Bb4 or A4, not \"" + text + "\".");
                        }
                    });
            if (fermata == FermataEnd.ACCOMPANIST && accompaniment != Accompaniment.FOLLOWS) {
                throw Problem.input(
                        "conditions.fermata", "Nobody accompanies who could end a held note; choose who does.");
            }
            if (accompaniment == Accompaniment.FIXED_TRACK && countInMeasures == 0) {
                throw Problem.input(
                        "conditions.countInMeasures", "Nobody can come in on a fixed track without a count-in.");
            }
            return new TestConditions(
                    Optional.ofNullable(tempoBpm).map(Bpm::new),
                    tolerancePercent,
                    tone,
                    countInMeasures,
                    fullValues,
                    accompaniment,
                    memory,
                    fermata,
                    besides.strip());
        }

        static ConditionsDraft of(TestConditions conditions) {
            return new ConditionsDraft(
                    conditions.tempo().map(Bpm::value).orElse(null),
                    conditions.tolerancePercent(),
                    conditions.pitchCheck().map(Pitch::toString).orElse(null),
                    conditions.countInMeasures(),
                    conditions.fullValues(),
                    conditions.accompaniment(),
                    conditions.memory(),
                    conditions.fermata(),
                    conditions.besides());
        }
    }

    /**
     * @param capPercent the most a retake scores, where retakes are capped
     * @param mostRetakes absent for as many as one likes; windowDays absent for no end
     */
    record RetakesDraft(
            @NotNull(message = "Say which try counts.") Counting counting,

            @Absent
            @Min(value = 1, message = "A cap is 1 to 100 percent.")
            @Max(value = 100, message = "A cap is 1 to 100 percent.")
            Integer capPercent,

            @Absent
            @Min(value = 0, message = "No retake is 0.")
            @Max(value = RetakePolicy.MOST_RETAKES, message = "At most {value} retakes.")
            Integer mostRetakes,

            @Absent
            @Min(value = 1, message = "A window of retakes has at least one day.")
            @Max(value = RetakePolicy.LONGEST_WINDOW, message = "A window of retakes has at most {value} days.")
            Integer windowDays,

            @Min(value = 0, message = "What is late counts 0 to 100 percent.")
            @Max(value = 100, message = "What is late counts 0 to 100 percent.")
            int latePercent,

            @Min(value = 0, message = "A substitute piece counts 0 to 100 percent.")
            @Max(value = 100, message = "A substitute piece counts 0 to 100 percent.")
            int substitutePercent) {

        RetakePolicy toPolicy() {
            if (counting == Counting.CAPPED && capPercent == null) {
                throw Problem.input("retakes.capPercent", "Say how much a retake can score at most.");
            }
            return new RetakePolicy(
                    counting,
                    counting == Counting.CAPPED ? OptionalInt.of(capPercent) : OptionalInt.empty(),
                    mostRetakes == null ? OptionalInt.empty() : OptionalInt.of(mostRetakes),
                    windowDays == null ? OptionalInt.empty() : OptionalInt.of(windowDays),
                    new Credit(latePercent),
                    new Credit(substitutePercent));
        }

        static RetakesDraft of(RetakePolicy policy) {
            return new RetakesDraft(
                    policy.counting(),
                    policy.capPercent().isPresent()
                            ? (Integer) policy.capPercent().getAsInt()
                            : null,
                    policy.mostRetakes().isPresent()
                            ? (Integer) policy.mostRetakes().getAsInt()
                            : null,
                    policy.windowDays().isPresent()
                            ? (Integer) policy.windowDays().getAsInt()
                            : null,
                    policy.late().percent(),
                    policy.substitute().percent());
        }
    }

    static TestDraft of(Milestone milestone, PlayingTest test) {
        return new TestDraft(
                milestone.shortName(),
                milestone.title(),
                test.parts().stream()
                        .map(part -> new PartDraft(
                                part.milestoneId(),
                                part.excerpt().map(ExcerptDraft::of).orElse(null),
                                part.variants().stream()
                                        .map(variant -> new TestVariantDraft(
                                                variant.instrument(),
                                                variant.division(),
                                                variant.excerpt()
                                                        .map(ExcerptDraft::of)
                                                        .orElse(null),
                                                variant.octaves(),
                                                variant.position(),
                                                variant.string()))
                                        .toList()))
                        .toList(),
                ConditionsDraft.of(test.conditions()),
                RubricDraft.of(new Rubric(
                        milestone.title(),
                        milestone.criteria(),
                        milestone.passRule() instanceof PassRule.ScoreAtLeast score ? score.mark() : 1)),
                RetakesDraft.of(test.retakes()),
                test.listeners());
    }

    /** @throws Problem where it does not hold together, naming the field */
    PlayingTest toTest() {
        List<Part> made = new ArrayList<>();
        for (PartDraft part : parts) {
            made.add(part(part, "parts[" + made.size() + "]"));
        }
        return new PlayingTest(made, conditions.toConditions(), retakes.toPolicy(), listeners);
    }

    private static Part part(PartDraft part, String field) {
        List<Variant> variants = new ArrayList<>();
        for (TestVariantDraft variant : part.variants()) {
            try {
                variants.add(new Variant(
                        variant.instrument(),
                        variant.division().strip(),
                        Optional.ofNullable(variant.excerpt()).map(ExcerptDraft::toExcerpt),
                        variant.octaves(),
                        variant.position().strip(),
                        variant.string().strip()));
            } catch (IllegalArgumentException e) {
                throw Problem.input(
                        field + ".variants[" + variants.size() + "]",
                        "Say what this section plays otherwise: other measures, an octave, a position or a string.");
            }
        }
        try {
            return new Part(
                    part.milestoneId(), Optional.ofNullable(part.excerpt()).map(ExcerptDraft::toExcerpt), variants);
        } catch (IllegalArgumentException e) {
            throw Problem.input(field + ".variants", "One section plays one variant: " + e.getMessage() + ".");
        }
    }
}
