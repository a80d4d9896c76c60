package vividroster.core.curriculum;

import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * A question between schools as a rule reads it: what each choice means to the rule.
 *
 * @param <T> what the rule takes
 */
public final class School<T> {

    private final String question;
    private final Set<String> choices;
    private final Function<String, T> meaning;

    private School(String question, Set<String> choices, Function<String, T> meaning) {
        this.question = question;
        this.choices = choices;
        this.meaning = meaning;
    }

    /** @param meanings by choice, all the question has */
    public static <T> School<T> of(String question, Map<String, T> meanings) {
        Map<String, T> kept = Map.copyOf(meanings);
        return new School<>(question, kept.keySet(), kept::get);
    }

    /** A question with two choices, of which the rule asks whether it is this one. */
    public static School<Boolean> whether(String question, String yes, String no) {
        return of(question, Map.of(yes, true, no, false));
    }

    /** A question that takes a number. */
    public static School<Double> amount(String question) {
        return new School<>(question, Set.of(), Double::valueOf);
    }

    /** Its key. */
    public String question() {
        return question;
    }

    /** @throws IllegalArgumentException when the rule does not know the choice */
    T meaning(String choice) {
        if (!choices.isEmpty() && !choices.contains(choice)) {
            throw new IllegalArgumentException("\"" + question + "\" has no choice \"" + choice + "\"");
        }
        return meaning.apply(choice);
    }

    /**
     * Whether the question puts to directors what the rule reads, no more and no less.
     *
     * @throws IllegalArgumentException when it is another question
     */
    public boolean reads(SchoolQuestion asked) {
        if (!asked.key().equals(question)) {
            throw new IllegalArgumentException("\"" + question + "\" is not \"" + asked.key() + "\"");
        }
        return asked.amount().isPresent() == choices.isEmpty()
                && asked.choices().keySet().equals(choices);
    }
}
