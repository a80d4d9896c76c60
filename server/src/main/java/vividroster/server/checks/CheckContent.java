package vividroster.server.checks;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Caution;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Guide;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.curriculum.TechniqueCheck.Fault;
import vividroster.core.curriculum.TechniqueCheck.Variant;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;

/**
 * One version of what a check says, as it is kept beside its milestone.
 *
 * @param tones sounding pitch by instrument, as {@link Pitch#named} reads it
 * @param after checks the director put before it; empty when that is inferred from the topics
 */
record CheckContent(
        CheckTopic topic,
        List<String> steps,
        Map<String, Map<String, Map<Integer, String>>> wordings,
        Map<Integer, String> cues,
        Map<String, String> syllables,
        String selfTest,
        List<Fault> faults,
        Set<Caution> cautions,
        List<Variant> variants,
        Map<String, String> tones,
        Guide guide,
        Optional<List<UUID>> after) {

    CheckContent {
        tones = tones == null ? Map.of() : tones;
        guide = guide == null ? Guide.NONE : guide;
        after = after == null ? Optional.empty() : after;
    }

    static CheckContent of(TechniqueCheck check, Optional<List<UUID>> after) {
        return new CheckContent(
                check.topic(),
                check.steps(),
                check.wordings(),
                check.cues(),
                check.syllables(),
                check.selfTest(),
                check.faults(),
                check.cautions(),
                check.variants(),
                check.tones().entrySet().stream()
                        .collect(Collectors.toMap(
                                e -> e.getKey().value(), e -> e.getValue().toString())),
                check.guide(),
                after);
    }

    /** The check this content and its milestone make together. */
    TechniqueCheck with(Milestone milestone, String key) {
        return new TechniqueCheck(
                key,
                topic,
                milestone.shortName(),
                milestone.title(),
                milestone.instrumentFree(),
                milestone.appliesTo(),
                steps,
                wordings,
                cues,
                syllables,
                milestone.criteria().stream().map(Criterion::name).toList(),
                milestone.criteria().stream()
                        .filter(c -> c.floorPoints().isPresent())
                        .map(Criterion::ordinal)
                        .collect(Collectors.toSet()),
                selfTest,
                faults,
                cautions,
                variants,
                tones.entrySet().stream()
                        .collect(Collectors.toMap(e -> new InstrumentCode(e.getKey()), e -> Pitch.named(e.getValue()))),
                guide,
                milestone.passRule());
    }
}
