package vividroster.core.curriculum;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;

/**
 * What a technique check says: how it is done, what is seen or heard from the front of the room, what usually goes
 * wrong and what to try.
 *
 * @param key stable word of a starter check, lower case with hyphens
 * @param instruments codes of the instruments it is for; empty means any
 * @param steps in order
 * @param wordings other words for a step where a programme follows another school: question, choice, step from 1
 * @param syllables the syllable to say by style of articulation; empty where nothing is articulated
 * @param criteria each can be seen or heard
 * @param selfTest what a student can try alone
 */
public record TechniqueCheck(
        String key,
        CheckTopic topic,
        String shortName,
        String title,
        boolean instrumentFree,
        Set<String> instruments,
        List<String> steps,
        Map<String, Map<String, Map<Integer, String>>> wordings,
        Map<String, String> syllables,
        List<String> criteria,
        String selfTest,
        List<Fault> faults,
        Set<Caution> cautions,
        List<Variant> variants,
        PassRule passRule) {

    /**
     * A usual fault or symptom with what to try.
     *
     * @param remedies in the order to try them
     */
    public record Fault(String sign, List<String> remedies) {
        public Fault {
            remedies = List.copyOf(remedies);
            if (sign.isBlank()) {
                throw new IllegalArgumentException("a fault needs the sign by which it is known");
            }
            if (remedies.isEmpty()) {
                throw new IllegalArgumentException("\"" + sign + "\" needs at least one thing to try");
            }
        }
    }

    /**
     * Another way for a student who needs it, later withdrawn.
     *
     * @param reviewWeeks weeks until it is looked at again, in 1..52
     */
    public record Variant(String name, String note, int reviewWeeks) {
        public Variant {
            if (name.isBlank()) {
                throw new IllegalArgumentException("a variant needs a name");
            }
            if (reviewWeeks < 1 || reviewWeeks > 52) {
                throw new IllegalArgumentException(
                        "\"" + name + "\" is reviewed after 1 to 52 weeks, was " + reviewWeeks);
            }
        }
    }

    public TechniqueCheck {
        if (!key.matches("[a-z]+(-[a-z]+)*")) {
            throw new IllegalArgumentException("key must be lower-case words with hyphens, was \"" + key + "\"");
        }
        if (steps.isEmpty() || steps.stream().anyMatch(String::isBlank)) {
            throw new IllegalArgumentException("\"" + title + "\" needs steps, each with words");
        }
        if (criteria.isEmpty()) {
            throw new IllegalArgumentException(
                    "\"" + title + "\" needs at least one criterion: a thing that can be seen or heard");
        }
        steps = List.copyOf(steps);
        criteria = List.copyOf(criteria);
        faults = List.copyOf(faults);
        variants = List.copyOf(variants);
        instruments = Set.copyOf(instruments);
        cautions = Set.copyOf(cautions);
        int count = steps.size();
        wordings.forEach((question, choices) ->
                choices.forEach((choice, words) -> words.keySet().forEach(step -> {
                    if (step < 1 || step > count) {
                        throw new IllegalArgumentException("\"" + title + "\" rewords step " + step + " for " + question
                                + " but has steps 1 to " + count);
                    }
                })));
        if (passRule instanceof PassRule.ScoreAtLeast || passRule instanceof PassRule.AllSlots) {
            throw new IllegalArgumentException("\"" + title + "\" is a technique check and cannot pass by " + passRule);
        }
    }

    public boolean isFor(String instrument) {
        return instruments.isEmpty() || instruments.contains(instrument);
    }

    /**
     * The steps as this programme teaches them.
     *
     * @param choices the programme's choice by question; questions not named keep the steps as they are
     */
    public List<String> stepsFor(Map<String, String> choices) {
        List<String> worded = new ArrayList<>(steps);
        new LinkedHashMap<>(wordings)
                .forEach((question, byChoice) -> byChoice.getOrDefault(choices.getOrDefault(question, ""), Map.of())
                        .forEach((step, words) -> worded.set(step - 1, words)));
        return List.copyOf(worded);
    }

    /** The criteria as a milestone has them, each seen or not. */
    public List<Criterion> asCriteria() {
        List<Criterion> list = new ArrayList<>();
        for (String name : criteria) {
            list.add(new Criterion(list.size() + 1, name, 1, OptionalInt.empty()));
        }
        return list;
    }
}
