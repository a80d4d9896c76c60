package vividroster.server.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vividroster.core.curriculum.Caution;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.curriculum.TechniqueCheck.Fault;
import vividroster.core.curriculum.TechniqueCheck.Variant;

/** One version of what a check says, as it is kept beside its milestone. */
record CheckContent(
        CheckTopic topic,
        List<String> steps,
        Map<String, Map<String, Map<Integer, String>>> wordings,
        Map<String, String> syllables,
        String selfTest,
        List<Fault> faults,
        Set<Caution> cautions,
        List<Variant> variants) {

    static CheckContent of(TechniqueCheck check) {
        return new CheckContent(
                check.topic(),
                check.steps(),
                check.wordings(),
                check.syllables(),
                check.selfTest(),
                check.faults(),
                check.cautions(),
                check.variants());
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
                syllables,
                new ArrayList<>(milestone.criteria().stream().map(c -> c.name()).toList()),
                selfTest,
                faults,
                cautions,
                variants,
                milestone.passRule());
    }
}
