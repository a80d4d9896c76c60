package vividroster.core.curriculum;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A question on which practitioners disagree, with the schools as choices, or with an amount to be chosen.
 *
 * @param choices label by key, in order; the first is the default; empty where an amount is chosen
 * @param amount what may be chosen where it is a number; empty where schools are
 */
public record SchoolQuestion(String key, String question, Map<String, String> choices, Optional<Amount> amount) {

    /** @param low and high, both included; usual the default; unit as one says it behind the number */
    public record Amount(double low, double high, double usual, String unit) {
        public Amount {
            if (!(low < high && usual >= low && usual <= high)) {
                throw new IllegalArgumentException(
                        "an amount's default lies within its bounds, were " + low + ", " + usual + ", " + high);
            }
        }
    }

    public SchoolQuestion {
        if (amount.isEmpty() && choices.size() < 2) {
            throw new IllegalArgumentException("\"" + question + "\" needs at least two choices");
        }
        choices = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(choices));
    }

    public SchoolQuestion(String key, String question, Map<String, String> choices) {
        this(key, question, choices, Optional.empty());
    }

    public String defaultChoice() {
        return amount.map(a -> plain(a.usual()))
                .orElseGet(() -> choices.keySet().iterator().next());
    }

    /** The choice kept before, or the default where there is none or it is none of this question's any more. */
    public String inForce(Optional<String> kept) {
        return kept.filter(this::takes).orElseGet(this::defaultChoice);
    }

    private boolean takes(String choice) {
        return amount.map(asked -> choice.matches("\\d{1,4}(\\.\\d{1,2})?")
                        && Double.parseDouble(choice) >= asked.low()
                        && Double.parseDouble(choice) <= asked.high())
                .orElseGet(() -> choices.containsKey(choice));
    }

    /** @throws IllegalArgumentException when the choice is none of this question's, or an amount beyond its bounds */
    public void check(String choice) {
        if (takes(choice)) {
            return;
        }
        throw new IllegalArgumentException(amount.map(asked -> "\"" + question + "\" takes a number from "
                        + plain(asked.low()) + " to " + plain(asked.high()) + ", was \"" + choice + "\"")
                .orElseGet(() -> "\"" + question + "\" has no choice \"" + choice + "\"; it has "
                        + String.join(", ", choices.keySet())));
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
