package vividroster.testkit;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Looks into what the API answered. */
public final class Answers {

    private Answers() {}

    /** What one section reads of a line, from the answer for its notes. */
    public static JsonNode section(JsonNode notes, String instrument) {
        for (JsonNode section : notes.path("analysis").path("sections")) {
            if (section.path("instrument").asString().equals(instrument)) {
                return section;
            }
        }
        throw new AssertionError(instrument);
    }

    /** One field of every entry, "" where it is absent. */
    public static List<String> texts(JsonNode list, String field) {
        List<String> texts = new ArrayList<>();
        list.forEach(one -> texts.add(one.path(field).asString()));
        return texts;
    }
}
