package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Part;
import vividroster.core.music.Part.Stretch;
import vividroster.core.music.Tempo;
import vividroster.core.music.Transposition;
import vividroster.formats.score.Cuts;
import vividroster.formats.score.Cuts.Cut;
import vividroster.formats.score.FilePart;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.Limits;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFileException;
import vividroster.formats.score.PartNames;
import vividroster.formats.score.TempoMarks;

/**
 * Reads a line typed in ABC: title, meter, unit length, tempo, key, notes with accidentals, lengths, ties, slurs, groups,
 * dotted pairs, rests, bars, repeats, endings, jumps by decoration or in words, grace notes, an order of parts, and
 * changes inside. Pitches are as they sound. A voice named after an instrument is that instrument's own part; the first
 * voice is everybody's. What is not kept is named.
 */
public final class AbcReader {

    private static final Pattern FIELD = Pattern.compile("([A-Za-z+]):(.*)");
    private static final Pattern NAME = Pattern.compile("\\b(?:name|nm)\\s*=\\s*(?:\"([^\"]*)\"|(\\S+))");
    private static final Pattern INLINE_VOICE = Pattern.compile("\\[V:([^\\]]*)\\]");
    private static final Set<Character> ABOUT = Set.of('A', 'B', 'C', 'D', 'F', 'G', 'H', 'N', 'O', 'R', 'S', 'Z', 'r');

    private AbcReader() {}

    /** @throws LineFileException naming line and column of what cannot be read */
    public static LineFile read(String text, InstrumentCatalog catalog) {
        if (text.length() > Limits.LETTERS) {
            throw new LineFileException(1, 1, "This is longer than any line of a method book; at most 60,000 letters.");
        }
        Reading reading = new Reading();
        String[] lines = text.split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            reading.line(i + 1, lines[i]);
        }
        return reading.file(lines.length, catalog);
    }

    private static final class Reading implements AbcVoice.Tune {
        private String title = "";
        private Optional<Meter> meter = Optional.empty();
        private boolean free;
        private Optional<Beats> unit = Optional.empty();
        private Optional<Tempo> tempo = Optional.empty();
        private String tempoWords = "";
        private Optional<Key> key = Optional.empty();
        private boolean begun;
        private String order = "";
        private int orderLine;
        private final Map<String, AbcVoice> voices = new LinkedHashMap<>();
        private final Map<String, String> names = new LinkedHashMap<>();
        private final LeftOut.Gathered leftOut = new LeftOut.Gathered();
        private String voice = "";

        void line(int number, String raw) {
            if (raw.startsWith("%%")) {
                leftOut.add("directives (" + raw.split("\\s+")[0] + ")");
                return;
            }
            int comment = comment(raw);
            String line = comment < 0 ? raw : raw.substring(0, comment);
            if (line.isBlank()) {
                return;
            }
            Matcher field = FIELD.matcher(line.stripLeading());
            // A note before a closing repeat, as in "C:|", is no field.
            if (field.matches()
                    && !field.group(2).startsWith("|")
                    && !field.group(2).startsWith(":")) {
                int column = line.indexOf(':') + 2;
                field(number, column, field.group(1).charAt(0), field.group(2).strip());
                return;
            }
            if (key.isEmpty()) {
                throw new LineFileException(number, 1, "The notes begin before the key is given. Write K: first.");
            }
            begun = true;
            music(number, line);
        }

        /** What stands behind {@code [V:2]} is that voice's. */
        private void music(int number, String line) {
            Matcher other = INLINE_VOICE.matcher(line);
            int from = 0;
            StringBuilder before = new StringBuilder();
            while (other.find()) {
                if (!line.substring(from, other.start()).isBlank()) {
                    current().read(number, before + line.substring(from, other.start()));
                }
                voice(other.group(1).strip());
                from = other.end();
                before = new StringBuilder(" ".repeat(from));
            }
            if (!line.substring(from).isBlank()) {
                current().read(number, before + line.substring(from));
            }
        }

        /** A percent sign in quotes or a field begins no comment only when it is written with a backslash. */
        private static int comment(String raw) {
            int at = raw.indexOf('%');
            while (at > 0 && raw.charAt(at - 1) == '\\') {
                at = raw.indexOf('%', at + 1);
            }
            return at;
        }

        private void field(int number, int column, char name, String value) {
            try {
                switch (name) {
                    case 'X' -> another(number);
                    case 'T' -> title(value);
                    case 'M' -> meter(value);
                    case 'L' -> unit(AbcFields.unit(value));
                    case 'Q' -> tempo(AbcFields.tempo(value));
                    case 'K' -> key(AbcFields.key(value));
                    case 'V' -> voice(value);
                    case 'P' -> part(number, value);
                    case 'w' -> leftOut.add("lyrics");
                    case 'W' -> leftOut.add("words under the tune");
                    case 's' -> leftOut.add("symbols (s:)");
                    case 'U' -> leftOut.add("signs of its own (U:)");
                    case 'm' -> throw new IllegalArgumentException("macros (m:) are not read here");
                    default -> {
                        boolean about = ABOUT.contains(name);
                        leftOut.add(about ? "what is told about the tune (" + name + ":)" : name + ": lines");
                    }
                }
            } catch (LineFileException e) {
                throw e;
            } catch (IllegalArgumentException | ArithmeticException e) {
                throw new LineFileException(number, column, LineFileException.sentence(e));
            }
        }

        private void another(int number) {
            if (key.isPresent()) {
                throw new LineFileException(
                        number, 1, "Another line begins here; each line is read by itself, from its X: to the next.");
            }
        }

        private void title(String value) {
            if (title.isEmpty()) {
                title = value;
            } else {
                leftOut.add("further titles");
            }
        }

        @Override
        public void inline(int line, int column, char name, String value) {
            field(line, column, name, value);
        }

        /** Once the notes have begun a change is the voice's own. */
        private boolean inside() {
            return key.isPresent() && voices.containsKey(voice);
        }

        private void meter(String value) {
            if (AbcFields.isFree(value)) {
                if (inside()) {
                    throw new IllegalArgumentException("music without a meter inside a line is not read here");
                }
                free = true;
                leftOut.add("no meter: read as 4/4");
                return;
            }
            Meter other = AbcFields.meter(value);
            if (inside()) {
                current().change(other);
            } else {
                meter = Optional.of(other);
            }
        }

        private void unit(Beats other) {
            if (inside()) {
                current().change(other);
            } else {
                unit = Optional.of(other);
            }
        }

        private void tempo(AbcFields.TempoField other) {
            if (inside()) {
                current().change(other);
            } else {
                tempo = other.tempo().or(() -> tempo);
                tempoWords = other.words().isEmpty() ? tempoWords : other.words();
            }
        }

        private void key(Key other) {
            if (inside()) {
                current().change(other);
            } else {
                key = Optional.of(other);
                unit = unit.or(() -> Optional.of(AbcFields.usualUnit(free ? Optional.empty() : meter)));
            }
        }

        private void voice(String value) {
            String[] parts = value.split("\\s+", 2);
            voice = parts[0];
            names.putIfAbsent(voice, "");
            if (parts.length > 1) {
                Matcher name = NAME.matcher(parts[1]);
                if (name.find()) {
                    names.put(voice, (name.group(1) == null ? name.group(2) : name.group(1)).strip());
                }
                AbcFields.aside(parts[1]);
            }
        }

        private void part(int number, String value) {
            if (key.isEmpty()) {
                order = value;
                orderLine = number;
            } else if (!value.isEmpty()) {
                current().label(value.substring(0, 1));
            }
        }

        private AbcVoice current() {
            return voices.computeIfAbsent(
                    voice,
                    v -> new AbcVoice(this, key.orElseThrow(), meter.orElse(new Meter(4, 4)), unit.orElseThrow()));
        }

        LineFile file(int lastLine, InstrumentCatalog catalog) {
            if (!begun || voices.isEmpty()) {
                throw new LineFileException(lastLine, 1, "There are no notes yet.");
            }
            Map<String, List<Measure>> read = new LinkedHashMap<>();
            // In the order they were declared; the first of them is everybody's.
            List<String> ids = new ArrayList<>(names.keySet());
            voices.keySet().stream().filter(id -> !names.containsKey(id)).forEach(ids::add);
            ids.stream().filter(voices::containsKey).forEach(id -> {
                AbcVoice one = voices.get(id);
                List<Measure> measures;
                try {
                    measures = one.measures();
                } catch (LineFileException e) {
                    throw e;
                } catch (IllegalArgumentException e) {
                    throw new LineFileException(lastLine, 1, LineFileException.sentence(e));
                }
                if (!measures.isEmpty()) {
                    read.put(id, measures);
                }
            });
            if (read.isEmpty()) {
                throw new LineFileException(lastLine, 1, "There are no notes yet.");
            }
            Map<String, Map<Integer, List<Cut>>> cuts = new LinkedHashMap<>();
            voices.forEach((id, one) -> cuts.put(id, one.cuts()));
            if (!order.isEmpty() && cuts.values().stream().anyMatch(c -> !c.isEmpty())) {
                throw new LineFileException(
                        orderLine,
                        1,
                        "An order of parts (P:) and a key that changes inside a measure do not go together here.");
            }
            Map<String, List<Measure>> timed = Cuts.applied(TempoMarks.ofAll(read), cuts);
            AbcVoice first = voices.get(read.keySet().iterator().next());
            List<Stretch> stretches = stretches(first, timed.values().iterator().next());
            List<FilePart> parts = new ArrayList<>();
            timed.forEach((id, measures) -> parts.add(part(id, measures, stretches, catalog)));
            return new LineFile(title, parts, leftOut.list());
        }

        private FilePart part(String id, List<Measure> measures, List<Stretch> stretches, InstrumentCatalog catalog) {
            AbcVoice one = voices.get(id);
            String name = names.getOrDefault(id, "");
            List<Measure> worded = new ArrayList<>(measures);
            if (!stretches.isEmpty()) {
                one.labels().forEach((label, at) -> word(worded, at, label));
                word(worded, 0, "Play " + order);
            }
            word(worded, 0, tempoWords);
            boolean fits = stretches.stream().allMatch(s -> s.to() < worded.size());
            Part part = TempoMarks.opened(new Part(
                    key.orElseThrow(), meter.orElse(new Meter(4, 4)), tempo, worded, fits ? stretches : List.of()));
            return new FilePart(
                    id,
                    name,
                    PartNames.meant(catalog, name.isEmpty() ? id : name, Transposition.CONCERT, Optional.empty()),
                    worded.size(),
                    Optional.of(part),
                    one.refused(),
                    one.leftOut(),
                    one.lastLine());
        }

        /** Before the words there are. */
        private static void word(List<Measure> measures, int at, String words) {
            if (at < measures.size() && !words.isEmpty()) {
                measures.set(at, measures.get(at).withWordsBefore(words));
            }
        }

        /** The order in the head, if the parts it names stand in the body; labels alone are named as left out. */
        private List<Stretch> stretches(AbcVoice first, List<Measure> measures) {
            Map<String, Integer> labels = first.labels();
            if (order.isEmpty()) {
                labels.keySet().forEach(label -> leftOut.add("the label of part " + label));
                return List.of();
            }
            if (labels.isEmpty()) {
                leftOut.add("the order of parts (P:), since no part is labelled");
                return List.of();
            }
            if (measures.stream().anyMatch(m -> m.signs().jump().isPresent())) {
                throw new LineFileException(
                        orderLine, 1, "An order of parts (P:) and D.C. or D.S. do not go together here.");
            }
            List<Integer> begins = new ArrayList<>(labels.values());
            List<Stretch> stretches = new ArrayList<>();
            for (String letter : AbcOrder.of(order, orderLine)) {
                Integer from = labels.get(letter);
                if (from == null) {
                    throw new LineFileException(orderLine, 1, "P: names part " + letter + ", and none is labelled so.");
                }
                int to = begins.stream()
                                .filter(b -> b > from)
                                .min(Integer::compare)
                                .orElse(measures.size())
                        - 1;
                stretches.add(new Stretch(from, to));
            }
            return stretches;
        }
    }
}
