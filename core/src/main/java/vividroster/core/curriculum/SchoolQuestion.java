package vividroster.core.curriculum;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A question on which practitioners disagree, with the schools as choices.
 *
 * @param choices label by key, in order; the first is the default
 */
public record SchoolQuestion(String key, String question, Map<String, String> choices) {

    public SchoolQuestion {
        if (choices.size() < 2) {
            throw new IllegalArgumentException("\"" + question + "\" needs at least two choices");
        }
        choices = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(choices));
    }

    public String defaultChoice() {
        return choices.keySet().iterator().next();
    }

    /** @throws IllegalArgumentException when the choice is none of this question's */
    public void check(String choice) {
        if (!choices.containsKey(choice)) {
            throw new IllegalArgumentException("\"" + question + "\" has no choice \"" + choice + "\"; it has "
                    + String.join(", ", choices.keySet()));
        }
    }
}
