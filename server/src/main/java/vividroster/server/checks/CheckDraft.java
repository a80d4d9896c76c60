package vividroster.server.checks;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Caution;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Guide;
import vividroster.core.curriculum.Guide.Vantage;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/**
 * What a director writes of a check.
 *
 * @param appliesTo codes of instruments; empty for any
 * @param after checks that come before it; absent when that is inferred from the topics
 */
record CheckDraft(
        @NotBlank(message = "Give the check a short name, for a column's head.")
        @Size(max = Lengths.SHORT_NAME, message = "A short name has at most {max} letters.")
        String shortName,

        @NotBlank(message = "Give the check a title.")
        @Size(max = Lengths.TITLE, message = "A title has at most {max} letters.")
        String title,

        @NotNull(message = "Say what the check is about.") CheckTopic topic,
        @NotNull @Size(max = 30) List<@NotNull InstrumentCode> appliesTo,
        boolean instrumentFree,

        @NotNull @Size(max = 20, message = "A check has at most 20 steps.")
        List<@Valid @NotNull StepDraft> steps,

        @NotNull @Size(max = 12, message = "At most 12 criteria: nobody sees more at once.")
        List<@Valid @NotNull CriterionDraft> criteria,

        @NotNull @Size(max = Lengths.NOTE, message = "A self-test has at most {max} letters.")
        String selfTest,

        @NotNull @Size(max = 8) List<@Valid @NotNull SyllableDraft> syllables,

        @NotNull @Size(max = 15, message = "At most 15 faults.")
        List<@Valid @NotNull FaultDraft> faults,

        @NotNull Set<@NotNull Caution> cautions,

        @NotNull @Size(max = 10, message = "At most 10 variants.")
        List<@Valid @NotNull VariantDraft> variants,

        @NotNull @Size(max = 30) List<@Valid @NotNull ToneDraft> tones,

        @NotNull(message = "Say when the check is passed.") @Valid
        PassDraft pass,

        @Absent @Size(max = Lengths.NOTE, message = "The reason why has at most {max} letters.")
        String why,

        @Absent Vantage seenFrom,

        @Absent @Size(max = Lengths.NOTE, message = "At most {max} letters on whom it does not fit.")
        String notFor,

        @Absent @Size(max = 30) List<@NotNull UUID> after) {

    private static final String WORDS = "At most 240 letters in a row.";

    /** @param cue the director's own short word, shown in place of the step */
    record StepDraft(
            @NotNull @Size(max = Lengths.SENTENCE, message = WORDS)
            String text,

            @Absent @Size(max = Lengths.WORDS, message = "A cue word has at most {max} letters.")
            String cue) {}

    /** @param mustSee no number of others passes without it; only where criteria are counted */
    record CriterionDraft(
            @NotNull @Size(max = Lengths.NAME, message = "A criterion has at most {max} letters.")
            String name,

            boolean mustSee) {}

    record SyllableDraft(
            @NotBlank(message = "Name the style the syllable is for.") @Size(max = Lengths.LABEL)
            String style,

            @NotBlank(message = "Give the syllable.") @Size(max = Lengths.LABEL)
            String syllable) {}

    record FaultDraft(
            @NotNull @Size(max = Lengths.NAME, message = "At most {max} letters in a row.")
            String sign,

            @NotNull @Size(max = 8, message = "At most 8 things to try.")
            List<@NotNull @Size(max = Lengths.SENTENCE, message = WORDS) String> remedies) {}

    record VariantDraft(
            @NotNull @Size(max = Lengths.WORDS) String name,

            @NotNull @Size(max = Lengths.SENTENCE, message = WORDS)
            String note,

            int reviewWeeks) {}

    /** @param pitch sounding, for example F4 or Bb2 */
    record ToneDraft(
            @NotNull(message = "Choose the instrument of the target tone.")
            InstrumentCode instrument,

            @NotNull @Size(max = 12) String pitch) {}

    enum Rule {
        ONE_GOOD_TRY,
        K_OF_LAST_N,
        ALL_CRITERIA,
        SCORE_AT_LEAST
    }

    /**
     * @param k good tries needed among the last n
     * @param mark criteria to be seen, where they are counted
     */
    record PassDraft(
            @NotNull(message = "Say when the check is passed.")
            Rule rule,

            @Absent @Min(value = 1, message = "At least one good try.")
            Integer k,

            @Absent @Min(1) @Max(value = 20, message = "At most 20 tries are counted.")
            Integer n,

            @Absent @Min(value = 1, message = "At least one criterion.")
            Integer mark) {

        static PassDraft of(PassRule rule) {
            return switch (rule) {
                case PassRule.OneGoodTry one -> new PassDraft(Rule.ONE_GOOD_TRY, null, null, null);
                case PassRule.KOfLastN kOfN -> new PassDraft(Rule.K_OF_LAST_N, kOfN.k(), kOfN.n(), null);
                case PassRule.AllCriteria all -> new PassDraft(Rule.ALL_CRITERIA, null, null, null);
                case PassRule.ScoreAtLeast score -> new PassDraft(Rule.SCORE_AT_LEAST, null, null, score.mark());
                case PassRule.AllSlots slots -> throw new IllegalStateException("a check has no slots");
            };
        }

        PassRule toRule() {
            return switch (rule) {
                case ONE_GOOD_TRY -> new PassRule.OneGoodTry();
                case ALL_CRITERIA -> new PassRule.AllCriteria();
                case K_OF_LAST_N -> {
                    if (k == null || n == null) {
                        throw Problem.input("pass", "Say how many good tries of how many make the pass.");
                    }
                    if (k > n) {
                        throw Problem.input(
                                "pass",
                                k + " good tries cannot be among the last " + n + "; ask for " + n + " or fewer.");
                    }
                    yield new PassRule.KOfLastN(k, n);
                }
                case SCORE_AT_LEAST -> {
                    if (mark == null) {
                        throw Problem.input("pass", "Say how many criteria must be seen.");
                    }
                    yield new PassRule.ScoreAtLeast(mark);
                }
            };
        }
    }

    static CheckDraft of(TechniqueCheck check, Optional<List<UUID>> after) {
        List<StepDraft> steps = new ArrayList<>();
        for (String step : check.steps()) {
            steps.add(new StepDraft(step, check.cues().get(steps.size() + 1)));
        }
        List<CriterionDraft> criteria = new ArrayList<>();
        for (String name : check.criteria()) {
            criteria.add(new CriterionDraft(name, check.mustSee().contains(criteria.size() + 1)));
        }
        return new CheckDraft(
                check.shortName(),
                check.title(),
                check.topic(),
                check.instruments().stream().sorted().toList(),
                check.instrumentFree(),
                steps,
                criteria,
                check.selfTest(),
                check.syllables().entrySet().stream()
                        .map(s -> new SyllableDraft(s.getKey(), s.getValue()))
                        .toList(),
                check.faults().stream()
                        .map(f -> new FaultDraft(f.sign(), f.remedies()))
                        .toList(),
                new LinkedHashSet<>(check.cautions().stream().sorted().toList()),
                check.variants().stream()
                        .map(v -> new VariantDraft(v.name(), v.note(), v.reviewWeeks()))
                        .toList(),
                check.tones().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(t -> new ToneDraft(t.getKey(), t.getValue().toString()))
                        .toList(),
                PassDraft.of(check.passRule()),
                check.guide().why(),
                check.guide().seenFrom(),
                check.guide().notFor(),
                after.orElse(null));
    }

    /**
     * The check as drafted. Rows left empty are passed over.
     *
     * @param before the version it is edited from: steps left as they were keep their words for other schools, and
     *     variants keep the schools they stand for
     * @throws Problem when something is missing or does not fit
     */
    TechniqueCheck toCheck(String key, Optional<TechniqueCheck> before) {
        List<StepDraft> written =
                steps.stream().filter(step -> !step.text().isBlank()).toList();
        List<String> texts = written.stream().map(step -> step.text().strip()).toList();
        List<CriterionDraft> seen =
                criteria.stream().filter(c -> !c.name().isBlank()).toList();
        if (texts.isEmpty()) {
            throw Problem.input("steps", "Write at least one step.");
        }
        if (seen.isEmpty()) {
            throw Problem.input("criteria", "A check needs at least one criterion: a thing that can be seen or heard.");
        }
        Map<Integer, String> cues = new HashMap<>();
        for (int i = 0; i < written.size(); i++) {
            String cue = written.get(i).cue();
            if (cue != null && !cue.isBlank()) {
                cues.put(i + 1, cue.strip());
            }
        }
        Set<Integer> mustSee = new LinkedHashSet<>();
        for (int i = 0; i < seen.size(); i++) {
            if (seen.get(i).mustSee() && pass.rule() == Rule.SCORE_AT_LEAST) {
                mustSee.add(i + 1);
            }
        }
        Map<String, String> spoken = new LinkedHashMap<>();
        syllables.forEach(s -> spoken.put(s.style().strip(), s.syllable().strip()));
        try {
            return new TechniqueCheck(
                    key,
                    topic,
                    shortName.strip(),
                    title.strip(),
                    instrumentFree,
                    Set.copyOf(appliesTo),
                    texts,
                    before.map(b -> kept(b.wordings(), b.steps(), texts)).orElse(Map.of()),
                    cues,
                    spoken,
                    seen.stream().map(c -> c.name().strip()).toList(),
                    mustSee,
                    selfTest.strip(),
                    faults.stream()
                            .filter(f ->
                                    !f.sign().isBlank() || f.remedies().stream().anyMatch(r -> !r.isBlank()))
                            .map(f -> new TechniqueCheck.Fault(
                                    f.sign().strip(),
                                    f.remedies().stream()
                                            .map(String::strip)
                                            .filter(r -> !r.isEmpty())
                                            .toList()))
                            .toList(),
                    cautions,
                    variants.stream()
                            .filter(v -> !v.name().isBlank() || !v.note().isBlank())
                            .map(v -> new TechniqueCheck.Variant(
                                    v.name().strip(), v.note().strip(), v.reviewWeeks(), choices(before, v.name())))
                            .toList(),
                    tones.stream()
                            .filter(t -> !t.pitch().isBlank())
                            .collect(Collectors.toMap(ToneDraft::instrument, t -> Pitch.named(t.pitch()), (a, b) -> b)),
                    guide(before, seen.stream().map(c -> c.name().strip()).toList()),
                    pass.toRule());
        } catch (IllegalArgumentException e) {
            throw Problem.input("check", sentence(e.getMessage()));
        }
    }

    /** Criteria left as they were keep their words for other schools; the stage to fall back to stays. */
    private Guide guide(Optional<TechniqueCheck> before, List<String> names) {
        Guide old = before.map(TechniqueCheck::guide).orElse(Guide.NONE);
        return new Guide(
                why == null ? "" : why.strip(),
                seenFrom == null ? old.seenFrom() : seenFrom,
                notFor == null ? "" : notFor.strip(),
                old.backTo(),
                before.map(b -> kept(old.criterionWordings(), b.criteria(), names))
                        .orElse(Map.of()),
                old.measured());
    }

    private static String sentence(String rule) {
        return Character.toUpperCase(rule.charAt(0)) + rule.substring(1) + ".";
    }

    private static SchoolChoices choices(Optional<TechniqueCheck> before, String name) {
        return before.stream()
                .flatMap(check -> check.variants().stream())
                .filter(v -> v.name().equals(name.strip()))
                .findFirst()
                .map(TechniqueCheck.Variant::choices)
                .orElse(SchoolChoices.NONE);
    }

    private static Map<String, Map<String, Map<Integer, String>>> kept(
            Map<String, Map<String, Map<Integer, String>>> wordings, List<String> before, List<String> texts) {
        Map<String, Map<String, Map<Integer, String>>> kept = new LinkedHashMap<>();
        wordings.forEach((question, choices) -> choices.forEach((choice, words) -> {
            Map<Integer, String> still = words.entrySet().stream()
                    .filter(e -> texts.contains(before.get(e.getKey() - 1)))
                    .collect(Collectors.toMap(e -> texts.indexOf(before.get(e.getKey() - 1)) + 1, Map.Entry::getValue));
            if (!still.isEmpty()) {
                kept.computeIfAbsent(question, q -> new LinkedHashMap<>()).put(choice, still);
            }
        }));
        return kept;
    }
}
