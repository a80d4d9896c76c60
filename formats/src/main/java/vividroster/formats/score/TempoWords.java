package vividroster.formats.score;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Beats;
import vividroster.core.music.Tempo;

/** Beats a minute as people print them: "72", "ca. 72", "96-104", "66.5". */
public final class TempoWords {

    private static final Pattern NUMBERS = Pattern.compile(
            "[^0-9]{0,12}(\\d{1,4}(?:\\.\\d{1,3})?)(?:\\s*[-–—]\\s*(\\d{1,4}(?:\\.\\d{1,3})?))?[^0-9]{0,12}");

    private TempoWords() {}

    /** Empty where no number stands. @throws IllegalArgumentException when it is no tempo */
    public static Optional<Tempo> in(String text, Beats unit) {
        Matcher m = NUMBERS.matcher(text.strip());
        if (!m.matches()) {
            return Optional.empty();
        }
        double first = Double.parseDouble(m.group(1));
        double second = m.group(2) == null ? first : Double.parseDouble(m.group(2));
        return Optional.of(Tempo.printed(unit, Math.min(first, second), Math.max(first, second)));
    }
}
