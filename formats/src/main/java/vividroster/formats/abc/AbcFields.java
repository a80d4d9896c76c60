package vividroster.formats.abc;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Tempo;
import vividroster.formats.score.TempoWords;

/** What stands behind M:, L:, Q: and K:. Each refuses with a sentence what it does not understand. */
final class AbcFields {

    private static final Pattern KEY = Pattern.compile("([A-G])([#b♯♭]?)\\s*([A-Za-z]*)(.*)", Pattern.DOTALL);
    private static final Pattern BEATS = Pattern.compile("(\\d{1,2})/(\\d{1,2})");
    private static final Pattern WORDS = Pattern.compile("\"([^\"]*)\"");

    private static final Set<String> UNITS = Set.of("1/1", "1/2", "1/4", "1/8", "1/16", "1/32");
    private static final Pattern SIMPLE_METER = Pattern.compile("(\\d{1,2})/(\\d{1,2})");
    private static final Pattern WORD = Pattern.compile("\\s+(?=[^\"]*(?:\"[^\"]*\"[^\"]*)*$)");

    private static final Map<String, Mode> MODES = Map.of(
            "", Mode.MAJOR,
            "maj", Mode.MAJOR,
            "ion", Mode.MAJOR,
            "m", Mode.MINOR,
            "min", Mode.MINOR,
            "aeo", Mode.MINOR,
            "dor", Mode.DORIAN,
            "phr", Mode.PHRYGIAN,
            "lyd", Mode.LYDIAN,
            "mix", Mode.MIXOLYDIAN);

    /** Words behind a key that say how it looks and nothing of how it sounds. */
    private static final List<String> LOOKS = List.of("clef", "treble", "bass", "alto", "tenor", "staffscale", "name");

    private AbcFields() {}

    static Meter meter(String value) {
        return switch (value) {
            case "C" -> new Meter(4, 4);
            case "C|" -> new Meter(2, 2);
            default -> {
                Matcher simple = SIMPLE_METER.matcher(value);
                if (simple.matches()) {
                    yield new Meter(Integer.parseInt(simple.group(1)), Integer.parseInt(simple.group(2)));
                }
                if (!value.matches("[\\d+() ]{1,20}/ *\\d{1,3}") && !value.matches(".*/.*\\+.*/.*")) {
                    throw new IllegalArgumentException("a meter is written like 3/4, was \"" + value + "\"");
                }
                yield Meter.parse(value);
            }
        };
    }

    /** Whether the field says that there is no meter. */
    static boolean isFree(String value) {
        return value.isEmpty() || value.equalsIgnoreCase("none");
    }

    static Beats unit(String value) {
        if (!UNITS.contains(value)) {
            throw new IllegalArgumentException("a unit length is written like 1/8, was \"" + value + "\"");
        }
        return Beats.of(4, Integer.parseInt(value.substring(2)));
    }

    /** A sixteenth where the meter is less than three quarters of a whole note, else an eighth. */
    static Beats usualUnit(Optional<Meter> meter) {
        boolean small = meter.isPresent() && meter.get().beatsPerMeasure() < 3;
        return Beats.of(4, small ? 16 : 8);
    }

    /** @param tempo empty where words stand alone; words empty where none stand */
    record TempoField(Optional<Tempo> tempo, String words) {}

    static TempoField tempo(String value) {
        StringBuilder words = new StringBuilder();
        Matcher quoted = WORDS.matcher(value);
        while (quoted.find()) {
            words.append(words.isEmpty() ? "" : " ").append(quoted.group(1).strip());
        }
        String rest = WORDS.matcher(value).replaceAll(" ").strip();
        if (rest.isEmpty()) {
            if (words.isEmpty()) {
                throw new IllegalArgumentException("a tempo is written like 1/4=80, was \"" + value + "\"");
            }
            return new TempoField(Optional.empty(), words.toString());
        }
        int equals = rest.indexOf('=');
        Beats unit = equals < 0 ? Beats.of(1) : beats(rest.substring(0, equals), value);
        Optional<Tempo> tempo = TempoWords.in(rest.substring(equals + 1), unit);
        if (tempo.isEmpty() || !rest.matches("[\\d/ ]*=?[^=]*") || rest.matches(".*\\d/\\d+\\s*$")) {
            throw new IllegalArgumentException("a tempo is written like 1/4=80, was \"" + value + "\"");
        }
        return new TempoField(tempo, words.toString());
    }

    /** One or several note values, added up. */
    private static Beats beats(String text, String whole) {
        Beats sum = Beats.ZERO;
        for (String one : text.strip().split("\\s+")) {
            Matcher m = BEATS.matcher(one);
            if (!m.matches() || Integer.parseInt(m.group(2)) == 0) {
                throw new IllegalArgumentException("a tempo is written like 1/4=80, was \"" + whole + "\"");
            }
            sum = sum.plus(Beats.exact(4L * Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2))));
        }
        return sum;
    }

    static Key key(String value) {
        String text = value.strip();
        if (text.isEmpty() || text.equalsIgnoreCase("none")) {
            return new Key(0, Mode.MAJOR);
        }
        if (!Character.isUpperCase(text.charAt(0)) && text.matches("(clef|treble|bass|alto|tenor)\\b.*")) {
            aside(text);
            return new Key(0, Mode.MAJOR);
        }
        Matcher m = KEY.matcher(text);
        if (!m.matches()) {
            throw new IllegalArgumentException("a key is written like Bb or Gm, was \"" + value + "\"");
        }
        String word = m.group(3);
        Optional<Mode> mode = mode(word);
        String rest = m.group(4);
        if (mode.isEmpty()) {
            if (LOOKS.stream().noneMatch(word.toLowerCase(Locale.ROOT)::equals)) {
                throw new IllegalArgumentException("a key is written like Bb, Gm or D dorian, was \"" + value + "\"");
            }
            rest = word + rest;
        } else if (!rest.isEmpty() && !Character.isWhitespace(rest.charAt(0))) {
            throw new IllegalArgumentException("a key is written like Bb, Gm or D dorian, was \"" + value + "\"");
        }
        aside(rest.strip());
        int alter = switch (m.group(2)) {
            case "#", "♯" -> 1;
            case "b", "♭" -> -1;
            default -> 0;
        };
        return Key.of(m.group(1).charAt(0), alter, mode.orElse(Mode.MAJOR));
    }

    /** In full or in three letters; a lone m is minor, a lone M major. */
    private static Optional<Mode> mode(String word) {
        String low = word.toLowerCase(Locale.ROOT);
        if (word.equals("M")) {
            return Optional.of(Mode.MAJOR);
        }
        if (low.length() < 3) {
            return Optional.ofNullable(MODES.get(low));
        }
        Mode mode = low.startsWith("loc") ? Mode.LOCRIAN : MODES.get(low.substring(0, 3));
        boolean known = mode != null
                && ("major minor ionian aeolian dorian phrygian lydian mixolydian locrian ".contains(low + " ")
                        || low.length() == 3
                        || low.equals("mixo"));
        return known ? Optional.of(mode) : Optional.empty();
    }

    /** What may stand behind a key or voice; what would change the pitches is refused. */
    static void aside(String rest) {
        if (rest.isBlank()) {
            return;
        }
        for (String word : WORD.split(rest)) {
            String name = word.replaceAll("=.*", "").toLowerCase(Locale.ROOT);
            if (name.equals("transpose") || name.equals("octave") || name.equals("shift") || name.equals("score")) {
                throw new IllegalArgumentException(
                        "\"" + word + "\" moves the pitches; type the line as it sounds, without it");
            }
            if (word.matches("[_^=]+[A-Ga-g]") || name.equals("exp")) {
                throw new IllegalArgumentException(
                        "a key signature of single accidentals, \"" + word + "\", is not read here");
            }
            if (word.matches("(treble|alto|tenor|bass\\d?)?[+-]8")) {
                throw new IllegalArgumentException("a clef of another octave, \"" + word + "\", moves the pitches;"
                        + " type the line as it sounds, without it");
            }
        }
    }

    static Tempo of(double bpm) {
        return Tempo.of(new Bpm(bpm));
    }
}
