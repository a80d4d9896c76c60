package vividroster.formats.checks;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** One mapping of a YAML file, read with what it must hold. */
record Node(String file, Map<String, Object> values) {

    /** @throws IllegalArgumentException when the value is no list of mappings */
    static List<Node> list(String file, Object value) {
        if (value == null) {
            return List.of();
        }
        if (!(value instanceof List<?> items)) {
            throw new IllegalArgumentException(file + ": a list was expected, was " + value);
        }
        return items.stream().map(item -> new Node(file, of(item))).toList();
    }

    static Map<String, Object> of(Object value) {
        if (!(value instanceof Map<?, ?> map)) {
            throw new IllegalArgumentException("a mapping was expected, was \"" + value + "\"");
        }
        Map<String, Object> named = new LinkedHashMap<>();
        map.forEach((key, inner) -> named.put(String.valueOf(key), inner));
        return named;
    }

    String where() {
        return file + ", " + values.getOrDefault("key", "an entry without key");
    }

    /** @throws IllegalArgumentException when it is missing or no plain text */
    String text(String name) {
        Object value = values.get(name);
        if (value == null || value instanceof Map || value instanceof List) {
            throw new IllegalArgumentException("\"" + name + "\" must be a text, was " + value);
        }
        return String.valueOf(value).strip();
    }

    /** What is missing is read as another text. */
    String textOr(String name, String other) {
        return values.get(name) == null ? other : text(name);
    }

    int number(String name) {
        if (values.get(name) instanceof Integer number) {
            return number;
        }
        throw new IllegalArgumentException("\"" + name + "\" must be a whole number, was " + values.get(name));
    }

    boolean is(String name) {
        return Boolean.TRUE.equals(values.get(name));
    }

    /** Empty when it is missing. */
    List<String> texts(String name) {
        Object value = values.get(name);
        if (value == null) {
            return List.of();
        }
        if (!(value instanceof List<?> items)) {
            throw new IllegalArgumentException("\"" + name + "\" must be a list, was " + value);
        }
        return items.stream()
                .map(item -> {
                    if (item == null || item instanceof Map || item instanceof List) {
                        throw new IllegalArgumentException(
                                "\"" + name + "\" must list texts; put quotes round " + item);
                    }
                    return String.valueOf(item).strip();
                })
                .toList();
    }

    List<Node> nodes(String name) {
        return list(where(), values.get(name));
    }

    /** Empty when it is missing. */
    Map<String, Object> map(String name) {
        return values.get(name) == null ? Map.of() : of(values.get(name));
    }

    Map<String, String> words(String name) {
        Map<String, String> words = new LinkedHashMap<>();
        map(name).forEach((key, value) -> words.put(key, String.valueOf(value)));
        return words;
    }
}
