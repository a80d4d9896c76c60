package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Part;
import vividroster.core.music.Score;

/**
 * Reads a line typed in ABC, the subset that method-book lines need: title, meter, unit length, tempo, key, notes with
 * accidentals, lengths, ties, slurs, triplets, dotted pairs, rests, bars, repeats, endings, jumps by decoration, grace
 * notes and inline changes of key, meter and tempo. Pitches are as they sound. A voice named after an instrument is that
 * instrument's own part; the first voice is everybody's.
 */
public final class AbcReader {

    private static final int MOST_LETTERS = 60_000;
    private static final Pattern FIELD = Pattern.compile("([A-Za-z]):(.*)");
    private static final Pattern TEMPO = Pattern.compile("(?:(\\d+)/(\\d+)\\s*=\\s*)?(\\d+)");
    private static final Pattern KEY =
            Pattern.compile("([A-G])([#b]?)\\s*(m|min|minor|maj|major|)?\\b.*", Pattern.CASE_INSENSITIVE);
    private static final String FIFTHS = "FCGDAEB";

    private AbcReader() {}

    /** @throws AbcException naming line and column of what cannot be read */
    public static Score read(String text) {
        if (text.length() > MOST_LETTERS) {
            throw new AbcException(1, 1, "This is longer than any line of a method book; at most 60,000 letters.");
        }
        Reading reading = new Reading();
        String[] lines = text.split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            reading.line(i + 1, lines[i]);
        }
        return reading.score(lines.length);
    }

    private static final class Reading {
        private String title = "";
        private Optional<Meter> meter = Optional.empty();
        private Optional<Beats> unit = Optional.empty();
        private Optional<Bpm> tempo = Optional.empty();
        private Optional<Key> key = Optional.empty();
        private final Map<String, AbcVoice> voices = new LinkedHashMap<>();
        private String voice = "";

        void line(int number, String raw) {
            int comment = raw.indexOf('%');
            String line = comment < 0 ? raw : raw.substring(0, comment);
            if (line.isBlank()) {
                return;
            }
            Matcher field = FIELD.matcher(line.strip());
            if (field.matches() && !line.startsWith("|")) {
                field(
                        number,
                        line.indexOf(':') + 2,
                        field.group(1).charAt(0),
                        field.group(2).strip());
                return;
            }
            if (key.isEmpty()) {
                throw new AbcException(number, 1, "The notes begin before the key is given. Write K: first.");
            }
            current().read(number, line);
        }

        private void field(int number, int column, char name, String value) {
            try {
                switch (name) {
                    case 'T' -> title = title.isEmpty() ? value : title;
                    case 'M' -> change(Optional.of(meter(value)), Optional.empty(), Optional.empty());
                    case 'L' -> unit = Optional.of(unit(value));
                    case 'Q' -> change(Optional.empty(), Optional.of(tempo(value)), Optional.empty());
                    case 'K' -> change(Optional.empty(), Optional.empty(), Optional.of(key(value)));
                    case 'V' -> voice = value.split("\\s+")[0];
                    default -> {}
                }
            } catch (IllegalArgumentException e) {
                throw new AbcException(number, column, sentence(e));
            }
        }

        private void change(Optional<Meter> newMeter, Optional<Bpm> newTempo, Optional<Key> newKey) {
            if (key.isPresent() && voices.containsKey(voice)) {
                newMeter.ifPresent(current()::change);
                newTempo.ifPresent(current()::change);
                newKey.ifPresent(current()::change);
                return;
            }
            meter = newMeter.or(() -> meter);
            tempo = newTempo.or(() -> tempo);
            key = newKey.or(() -> key);
        }

        private AbcVoice current() {
            return voices.computeIfAbsent(
                    voice,
                    v -> new AbcVoice(key.orElseThrow(), meter.orElse(new Meter(4, 4)), unit.orElse(Beats.of(1, 2))));
        }

        Score score(int lastLine) {
            if (voices.isEmpty()) {
                throw new AbcException(lastLine, 1, "There are no notes yet.");
            }
            List<Map.Entry<String, Part>> parts = new ArrayList<>();
            voices.forEach((name, read) -> parts.add(Map.entry(
                    name, new Part(key.orElseThrow(), meter.orElse(new Meter(4, 4)), tempo, read.measures()))));
            Map<String, Part> own = new LinkedHashMap<>();
            parts.subList(1, parts.size()).forEach(part -> own.put(part.getKey(), part.getValue()));
            try {
                return new Score(title, parts.getFirst().getValue(), own);
            } catch (IllegalArgumentException e) {
                throw new AbcException(lastLine, 1, sentence(e));
            }
        }
    }

    static String sentence(IllegalArgumentException e) {
        String rule = e.getMessage() == null ? "This cannot be read" : e.getMessage();
        return Character.toUpperCase(rule.charAt(0)) + rule.substring(1) + (rule.endsWith(".") ? "" : ".");
    }

    static Meter meter(String value) {
        return switch (value) {
            case "C" -> new Meter(4, 4);
            case "C|" -> new Meter(2, 2);
            default -> {
                if (!value.matches("\\d+\\s*/\\s*\\d+")) {
                    throw new IllegalArgumentException("a meter is written like 3/4, was \"" + value + "\"");
                }
                yield Meter.parse(value);
            }
        };
    }

    private static Beats unit(String value) {
        if (!value.matches("1/(1|2|4|8|16|32)")) {
            throw new IllegalArgumentException("a unit length is written like 1/8, was \"" + value + "\"");
        }
        return Beats.of(4, Integer.parseInt(value.substring(2)));
    }

    /** In quarters a minute: 1/8=120 is 60. */
    static Bpm tempo(String value) {
        Matcher m = TEMPO.matcher(value.replaceAll("\"[^\"]*\"", "").strip());
        if (!m.matches()) {
            throw new IllegalArgumentException("a tempo is written like 1/4=80, was \"" + value + "\"");
        }
        int beats = Integer.parseInt(m.group(3));
        return m.group(1) == null
                ? new Bpm(beats)
                : new Bpm(Math.round(beats * 4f * Integer.parseInt(m.group(1)) / Integer.parseInt(m.group(2))));
    }

    static Key key(String value) {
        Matcher m = KEY.matcher(value);
        if (!m.matches()) {
            throw new IllegalArgumentException("a key is written like Bb or Gm, was \"" + value + "\"");
        }
        boolean minor = m.group(3) != null
                && m.group(3).toLowerCase().startsWith("m")
                && !m.group(3).toLowerCase().startsWith("maj");
        int fifths = FIFTHS.indexOf(Character.toUpperCase(m.group(1).charAt(0)))
                - 1
                + (m.group(2).equals("#") ? 7 : m.group(2).isEmpty() ? 0 : -7)
                - (minor ? 3 : 0);
        return new Key(fifths, minor ? Mode.MINOR : Mode.MAJOR);
    }
}
