package vividroster.core.curriculum;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;

/**
 * What a technique check says: how it is done, what is seen or heard from the front of the room, what usually goes
 * wrong and what to try.
 *
 * @param key stable word of a starter check, lower case with hyphens
 * @param instruments codes of the instruments it is for; empty means any
 * @param steps in order
 * @param wordings other words for a step where a programme follows another school: question, choice, step from 1
 * @param cues the director's own short word for a step, by step from 1; shown in place of the step
 * @param syllables the syllable to say by style of articulation; empty where nothing is articulated
 * @param criteria each can be seen or heard
 * @param mustSee criteria, from 1, without which no number of others passes; only where criteria are counted
 * @param selfTest what a student can try alone
 * @param tones the sounding pitch to compare a first sound with, by instrument; empty for most checks
 * @param guide why, from where, for whom not
 */
public record TechniqueCheck(
        String key,
        CheckTopic topic,
        String shortName,
        String title,
        boolean instrumentFree,
        Set<InstrumentCode> instruments,
        List<String> steps,
        Map<String, Map<String, Map<Integer, String>>> wordings,
        Map<Integer, String> cues,
        Map<String, String> syllables,
        List<String> criteria,
        Set<Integer> mustSee,
        String selfTest,
        List<Fault> faults,
        Set<Caution> cautions,
        List<Variant> variants,
        Map<InstrumentCode, Pitch> tones,
        Guide guide,
        PassRule passRule) {

    /** A student taught another way than the class is looked at again by then. */
    private static final int OTHER_SCHOOL_REVIEW_WEEKS = 12;

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
     * @param choices schools this student follows instead of the programme's, by question; empty for most
     */
    public record Variant(String name, String note, int reviewWeeks, SchoolChoices choices) {
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
        tones = Map.copyOf(tones);
        instruments = Collections.unmodifiableSortedSet(new TreeSet<>(instruments));
        cautions = Collections.unmodifiableSortedSet(new TreeSet<>(cautions));
        cues = Collections.unmodifiableSortedMap(new TreeMap<>(cues));
        mustSee = Collections.unmodifiableSortedSet(new TreeSet<>(mustSee));
        int count = steps.size();
        cues.forEach((step, cue) -> {
            if (step < 1 || step > count || cue.isBlank()) {
                throw new IllegalArgumentException(
                        "\"" + title + "\" has a cue word for step " + step + " but has steps 1 to " + count);
            }
        });
        int criteriaCount = criteria.size();
        mustSee.forEach(ordinal -> {
            if (ordinal < 1 || ordinal > criteriaCount) {
                throw new IllegalArgumentException(
                        "\"" + title + "\" must show criterion " + ordinal + " but has criteria 1 to " + criteriaCount);
            }
        });
        if (!mustSee.isEmpty() && !(passRule instanceof PassRule.ScoreAtLeast)) {
            throw new IllegalArgumentException(
                    "\"" + title + "\" names criteria that must be seen, but does not count how many are");
        }
        wordings.forEach((question, choices) ->
                choices.forEach((choice, words) -> words.keySet().forEach(step -> {
                    if (step < 1 || step > count) {
                        throw new IllegalArgumentException("\"" + title + "\" rewords step " + step + " for " + question
                                + " but has steps 1 to " + count);
                    }
                })));
        guide.criterionWordings()
                .forEach((question, choices) ->
                        choices.forEach((choice, words) -> words.keySet().forEach(criterion -> {
                            if (criterion < 1 || criterion > criteriaCount) {
                                throw new IllegalArgumentException("\"" + title + "\" rewords criterion " + criterion
                                        + " for " + question + " but has criteria 1 to " + criteriaCount);
                            }
                        })));
        switch (passRule) {
            case PassRule.ScoreAtLeast score -> {
                if (score.mark() > criteriaCount) {
                    throw new IllegalArgumentException("\"" + title + "\" passes by " + score.mark()
                            + " criteria seen but has only " + criteriaCount);
                }
            }
            case PassRule.AllSlots slots ->
                throw new IllegalArgumentException("\"" + title + "\" is a technique check and has no slots");
            case PassRule.OneGoodTry one -> {}
            case PassRule.KOfLastN kOfN -> {}
            case PassRule.AllCriteria all -> {}
        }
    }

    public boolean isFor(InstrumentCode instrument) {
        return instruments.isEmpty() || instruments.contains(instrument);
    }

    /**
     * The steps as this programme teaches them.
     *
     * @param choices the programme's choice by question; questions not named keep the steps as they are
     */
    public List<String> stepsFor(SchoolChoices choices) {
        List<String> worded = worded(steps, wordings, choices);
        cues.forEach((step, cue) -> worded.set(step - 1, cue));
        return List.copyOf(worded);
    }

    private static List<String> worded(
            List<String> texts, Map<String, Map<String, Map<Integer, String>>> wordings, SchoolChoices choices) {
        List<String> worded = new ArrayList<>(texts);
        new LinkedHashMap<>(wordings)
                .forEach((question, byChoice) -> byChoice.getOrDefault(choices.of(question), Map.of())
                        .forEach((ordinal, words) -> worded.set(ordinal - 1, words)));
        return worded;
    }

    /** The steps for one student: the own variant goes before the programme's schools. */
    public List<String> stepsFor(SchoolChoices choices, Optional<Variant> own) {
        return stepsFor(followed(choices, own));
    }

    /** The criteria as this programme sees them; a step and a criterion never follow different schools. */
    public List<String> criteriaFor(SchoolChoices choices) {
        return List.copyOf(worded(criteria, guide.criterionWordings(), choices));
    }

    /** The criteria for one student: the own variant goes before the programme's schools. */
    public List<String> criteriaFor(SchoolChoices choices, Optional<Variant> own) {
        return criteriaFor(followed(choices, own));
    }

    private static SchoolChoices followed(SchoolChoices choices, Optional<Variant> own) {
        return own.map(variant -> choices.followedBy(variant.choices())).orElse(choices);
    }

    /** Whether it says anything by a question between schools. */
    public boolean asks(String question) {
        return wordings.containsKey(question) || guide.criterionWordings().containsKey(question);
    }

    /**
     * Every other way a student may be given: the check's own variants, then each school it knows that the programme
     * does not follow, then the one syllable that works for this student where the check has several.
     *
     * @param choices the programme's choice by question
     */
    public List<Variant> variantsBeside(SchoolChoices choices, Collection<SchoolQuestion> questions) {
        List<Variant> offered = new ArrayList<>(variants);
        for (SchoolQuestion question : questions) {
            if (!asks(question.key())) {
                continue;
            }
            String inForce = question.inForce(Optional.of(choices.of(question.key())));
            question.choices().forEach((choice, label) -> {
                SchoolChoices other = SchoolChoices.of(question.key(), choice);
                boolean known = choice.equals(inForce)
                        || variants.stream().anyMatch(v -> v.choices().equals(other));
                if (!known) {
                    offered.add(new Variant(label, question.question(), OTHER_SCHOOL_REVIEW_WEEKS, other));
                }
            });
        }
        List<String> spoken = syllables.values().stream().distinct().toList();
        if (spoken.size() > 1) {
            spoken.forEach(syllable -> offered.add(new Variant(
                    "Says “" + syllable + "”",
                    "the syllable that works for this student, whatever the style",
                    OTHER_SCHOOL_REVIEW_WEEKS,
                    SchoolChoices.NONE)));
        }
        return offered;
    }

    /**
     * The checks that apply to an instrument, in teaching order; within a topic those made for it before those for its
     * family, those before the ones for everybody.
     */
    public static List<TechniqueCheck> applying(Collection<TechniqueCheck> checks, InstrumentCode instrument) {
        return checks.stream()
                .filter(check -> check.isFor(instrument))
                .sorted(Comparator.comparing(TechniqueCheck::topic)
                        .thenComparingInt(
                                check -> check.instruments.isEmpty() ? Integer.MAX_VALUE : check.instruments.size()))
                .toList();
    }

    /** The criteria as a milestone has them, each seen or not. */
    public List<Criterion> asCriteria() {
        List<Criterion> list = new ArrayList<>();
        for (String name : criteria) {
            int ordinal = list.size() + 1;
            list.add(new Criterion(
                    ordinal, name, 1, mustSee.contains(ordinal) ? OptionalInt.of(1) : OptionalInt.empty()));
        }
        return list;
    }
}
