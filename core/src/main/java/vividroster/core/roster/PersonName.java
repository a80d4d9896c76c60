package vividroster.core.roster;

/**
 * A student's name as shown and as sorted. "Drake, Sunniva" and "Sunniva Drake" are the same person; with no comma the
 * last word sorts first, which the director may change.
 *
 * @param shown given name first
 * @param sorted family name, comma, given name; a single word stays as it is
 */
public record PersonName(String shown, String sorted) {

    public static PersonName read(String typed) {
        String text = typed.strip().replaceAll("\\s+", " ");
        int comma = text.indexOf(',');
        if (comma > 0 && comma < text.length() - 1) {
            String family = text.substring(0, comma).strip();
            String given = text.substring(comma + 1).strip();
            return new PersonName(given + " " + family, family + ", " + given);
        }
        int space = text.lastIndexOf(' ');
        if (space < 0) {
            return new PersonName(text, text);
        }
        return new PersonName(text, text.substring(space + 1) + ", " + text.substring(0, space));
    }

    /** Sorted as a director says instead. */
    public PersonName sortedAs(String sorting) {
        return new PersonName(shown, sorting);
    }
}
