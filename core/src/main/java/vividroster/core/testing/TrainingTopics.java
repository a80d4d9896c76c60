package vividroster.core.testing;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.instrument.Family;

/**
 * Which technique checks train a criterion of a rubric, told from the words of its name. Ours, from the usual criteria;
 * a criterion in words of one's own that hold none of these trains nothing.
 */
public final class TrainingTopics {

    private record Rule(List<String> words, List<CheckTopic> winds, List<CheckTopic> strings) {

        Rule(List<String> words, List<CheckTopic> topics) {
            this(words, topics, topics);
        }
    }

    /** The first word that fits decides what comes first. */
    private static final List<Rule> RULES = List.of(
            new Rule(
                    List.of("hand", "posture", "body", "position"),
                    List.of(
                            CheckTopic.BODY,
                            CheckTopic.HOLD,
                            CheckTopic.LEFT_HAND,
                            CheckTopic.RIGHT_HAND,
                            CheckTopic.RELEASE)),
            new Rule(List.of("bow"), List.of(CheckTopic.BOW_PATH, CheckTopic.BOW_HOLD)),
            new Rule(List.of("articul", "tongu", "start"), List.of(CheckTopic.ARTICULATION, CheckTopic.STARTING_NOTES)),
            new Rule(
                    List.of("intonation", "tuning", "pitch"),
                    List.of(CheckTopic.FIRST_SOUND, CheckTopic.SLIDE),
                    List.of(CheckTopic.FINGER_PATTERN, CheckTopic.LEFT_HAND)),
            new Rule(
                    List.of("sound", "tone", "held", "breath"),
                    List.of(CheckTopic.FIRST_SOUND, CheckTopic.BREATH),
                    List.of(CheckTopic.BOW_PATH, CheckTopic.FIRST_SOUND, CheckTopic.BOW_HOLD)),
            new Rule(List.of("stick", "stroke"), List.of(CheckTopic.HOLD, CheckTopic.FIRST_SOUND)),
            new Rule(List.of("rhythm", "pulse", "count", "tempo"), List.of(CheckTopic.READING)),
            new Rule(
                    List.of("note", "finger", "scale"),
                    List.of(CheckTopic.FIRST_NOTES, CheckTopic.SLIDE, CheckTopic.READING),
                    List.of(CheckTopic.FINGER_PATTERN, CheckTopic.FIRST_NOTES, CheckTopic.READING)));

    private TrainingTopics() {}

    /** The most fitting first; none where the name says nothing we know. */
    public static List<CheckTopic> of(String criterion, Family family) {
        String name = criterion.toLowerCase(Locale.ROOT);
        Set<CheckTopic> topics = new LinkedHashSet<>();
        RULES.stream()
                .filter(rule -> rule.words().stream().anyMatch(name::contains))
                .forEach(rule -> topics.addAll(family == Family.STRING ? rule.strings() : rule.winds()));
        return new ArrayList<>(topics);
    }
}
