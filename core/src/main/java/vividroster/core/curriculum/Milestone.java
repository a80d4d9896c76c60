package vividroster.core.curriculum;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/**
 * One thing that can be passed.
 *
 * @param shortName what a board column says, for example "23" or "Check 4"
 * @param instrumentFree whether a pass on one instrument counts on every other (rhythm reading, posture, theory)
 * @param appliesTo codes of the instruments it is meant for; empty means any
 * @param version grows when criteria or pass rule are edited, so that what was passed stays as it was heard
 * @param criteria in order; empty for lines and belts
 * @param earlierRules the pass rules of earlier versions, by version
 */
public record Milestone(
        UUID id,
        MilestoneKind kind,
        String shortName,
        String title,
        boolean instrumentFree,
        Set<InstrumentCode> appliesTo,
        int version,
        PassRule passRule,
        List<Criterion> criteria,
        Map<Integer, PassRule> earlierRules) {

    /** The same under another title, as its next version; what was heard against this one stays. */
    public Milestone renamed(String other) {
        return new Milestone(
                id, kind, shortName, other, instrumentFree, appliesTo, version + 1, passRule, criteria, earlierRules);
    }

    public Milestone {
        appliesTo = Set.copyOf(appliesTo);
        criteria = List.copyOf(criteria);
        earlierRules = Map.copyOf(earlierRules);
        Set<Integer> ordinals = new HashSet<>();
        for (Criterion criterion : criteria) {
            if (!ordinals.add(criterion.ordinal())) {
                throw new IllegalArgumentException("two criteria share the ordinal " + criterion.ordinal());
            }
        }
        switch (passRule) {
            case PassRule.AllCriteria all -> {
                if (criteria.isEmpty()) {
                    throw new IllegalArgumentException("\"" + title + "\" passes by its criteria and has none");
                }
            }
            case PassRule.ScoreAtLeast score -> {
                int most = criteria.stream().mapToInt(Criterion::topPoints).sum();
                if (score.mark() > most) {
                    throw new IllegalArgumentException(
                            "mark must be at most " + most + ", the most points there are, was " + score.mark());
                }
            }
            case PassRule.AllSlots slots -> {
                if (kind != MilestoneKind.BELT) {
                    throw new IllegalArgumentException("only a belt passes by its slots, was " + kind);
                }
            }
            case PassRule.OneGoodTry one -> {}
            case PassRule.KOfLastN kOfN -> {}
        }
        if (kind == MilestoneKind.BELT && !(passRule instanceof PassRule.AllSlots)) {
            throw new IllegalArgumentException("a belt passes by its slots");
        }
    }

    /** A milestone in its first version, or one whose earlier versions do not matter. */
    public Milestone(
            UUID id,
            MilestoneKind kind,
            String shortName,
            String title,
            boolean instrumentFree,
            Set<InstrumentCode> appliesTo,
            int version,
            PassRule passRule,
            List<Criterion> criteria) {
        this(id, kind, shortName, title, instrumentFree, appliesTo, version, passRule, criteria, Map.of());
    }

    /**
     * The rule in force when a try of that version was heard: an edit never makes or unmakes a pass of the past.
     * Versions not known have the rule of today.
     */
    public PassRule ruleOf(int heardVersion) {
        return earlierRules.getOrDefault(heardVersion, passRule);
    }

    public boolean isFor(InstrumentCode instrument) {
        return appliesTo.isEmpty() || appliesTo.contains(instrument);
    }
}
