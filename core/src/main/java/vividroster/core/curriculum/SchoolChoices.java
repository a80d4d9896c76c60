package vividroster.core.curriculum;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The choice in force for each question between schools: a programme's, or a student's own for a few.
 *
 * @param byQuestion choice by key of question; a question may be missing, nothing is said on it then
 */
public record SchoolChoices(Map<String, String> byQuestion) {

    public static final SchoolChoices NONE = new SchoolChoices(Map.of());

    public SchoolChoices {
        byQuestion = Map.copyOf(byQuestion);
    }

    /** One choice alone. */
    public static SchoolChoices of(String question, String choice) {
        return new SchoolChoices(Map.of(question, choice));
    }

    /** The choice for a question; empty text, which is no school's, where nothing is said. */
    public String of(String question) {
        return byQuestion.getOrDefault(question, "");
    }

    /**
     * What a rule follows.
     *
     * @throws IllegalArgumentException when nothing is chosen, or something the rule does not know
     */
    public <T> T of(School<T> school) {
        return school.meaning(of(school.question()));
    }

    /** These, but where {@code own} says something its choice. */
    public SchoolChoices followedBy(SchoolChoices own) {
        Map<String, String> all = new LinkedHashMap<>(byQuestion);
        all.putAll(own.byQuestion);
        return new SchoolChoices(all);
    }
}
