package vividroster.core.curriculum;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.text.Lengths;

/**
 * The lines of a book as they are typed from the printed page, by their facts alone: one row a line, or one row for a range of
 * lines over a range of pages. What is left blank is as in the row above; a blank number is the next one.
 */
public final class BookTable {

    public static final int LAST_PAGE = 2_000;
    public static final int LAST_NUMBER = 5_000;
    public static final int MOST_MEASURES = 2_000;

    /** Of one table. Ours: three thick volumes. */
    public static final int MOST_LINES = 1_000;

    /** Where nobody has said any: the plainest there is. */
    private static final Key PLAIN_KEY = Key.named("C major");

    private static final Meter PLAIN_METER = Meter.parse("4/4");
    private static final int PLAIN_MEASURES = 8;

    private static final Pattern RANGE =
            Pattern.compile("\\s*(\\d{1,6})(?:\\s*(?:-|–|—|to|\\.\\.)\\s*(\\d{1,6}))?\\s*");

    public enum Column {
        PAGE,
        NUMBER,
        TITLE,
        KEY,
        METER,
        MEASURES,
        TEMPO,
        NEW
    }

    /**
     * As typed.
     *
     * @param line of the file or table, from 1
     * @param news what is new, by instrument
     */
    public record Row(
            int line,
            String page,
            String number,
            String title,
            String key,
            String meter,
            String measures,
            String tempo,
            Map<InstrumentCode, String> news) {

        public Row {
            news = Map.copyOf(news);
        }
    }

    /** @param news what is new for an instrument, in words */
    public record Line(
            int page,
            int number,
            String title,
            Key key,
            Meter meter,
            int measures,
            Bpm tempo,
            Map<InstrumentCode, String> news) {}

    /** What a row will do. */
    public sealed interface Outcome {
        record Added(List<Line> lines) implements Outcome {}

        record Changed(Line line) implements Outcome {}

        record Unchanged(Line line) implements Outcome {}

        record Refused(Column column, Refusal why) implements Outcome {}
    }

    /** Why a row is refused. */
    public sealed interface Refusal {
        record NotANumber(String value) implements Refusal {}

        record Outside(int value, int most) implements Refusal {}

        record NotUnderstood(String value, String example) implements Refusal {}

        /** A range that ends before it begins, or a range of pages for one line. */
        record NoRange(String value) implements Refusal {}

        record TooLong(int letters, int most) implements Refusal {}

        record SameAsRow(int line, int number) implements Refusal {}

        /** A range may add lines; it does not change those there are. */
        record RangeOverLine(int number) implements Refusal {}

        record TooManyLines(int most) implements Refusal {}
    }

    public record Planned(Row row, Outcome outcome) {}

    private final Map<Integer, Line> known = new HashMap<>();
    private final Map<Integer, Integer> taken = new HashMap<>();
    private final Bpm usualTempo;
    private Line above;
    private int count;

    private BookTable(Collection<Line> known, Bpm usualTempo) {
        known.forEach(line -> this.known.put(line.number(), line));
        this.usualTempo = usualTempo;
    }

    /**
     * What keeping these rows would do, row by row; it changes nothing. Planning the rows of what they led to finds every row
     * unchanged.
     *
     * @param known lines of the book
     * @param usualTempo of a line that gives none, before any gave one
     */
    public static List<Planned> of(List<Row> rows, Collection<Line> known, Bpm usualTempo) {
        BookTable table = new BookTable(known, usualTempo);
        return rows.stream().map(row -> new Planned(row, table.outcome(row))).toList();
    }

    private static final class RefusedException extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient Outcome.Refused refused;

        RefusedException(Column column, Refusal why) {
            super(null, null, false, false);
            this.refused = new Outcome.Refused(column, why);
        }
    }

    private Outcome outcome(Row row) {
        try {
            return read(row);
        } catch (RefusedException e) {
            return e.refused;
        }
    }

    private record Span(int first, int last) {
        int size() {
            return last - first + 1;
        }

        /** The page of a line, where lines are spread evenly over pages. */
        int at(int place, int of) {
            return first + (int) ((long) place * size() / of);
        }
    }

    private Outcome read(Row row) {
        Span numbers = span(Column.NUMBER, row.number(), LAST_NUMBER, () -> new Span(nextNumber(), nextNumber()));
        Line before = known.get(numbers.first());
        Span pages = span(Column.PAGE, row.page(), LAST_PAGE, () -> {
            int page = before != null && numbers.size() == 1 ? before.page() : above == null ? 1 : above.page();
            return new Span(page, page);
        });
        if (pages.size() > 1 && numbers.size() == 1) {
            throw new RefusedException(
                    Column.PAGE, new Refusal.NoRange(row.page().strip()));
        }
        if (count + numbers.size() > MOST_LINES) {
            throw new RefusedException(Column.NUMBER, new Refusal.TooManyLines(MOST_LINES));
        }
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            lines.add(line(row, numbers.first() + i, pages.at(i, numbers.size()), numbers.size() > 1));
        }
        lines.forEach(line -> free(line, lines.size() > 1));
        lines.forEach(line -> taken.put(line.number(), row.line()));
        count += lines.size();
        above = lines.getLast();
        if (before == null || numbers.size() > 1) {
            return new Outcome.Added(List.copyOf(lines));
        }
        return lines.getFirst().equals(before) ? new Outcome.Unchanged(before) : new Outcome.Changed(lines.getFirst());
    }

    private int nextNumber() {
        return above == null ? known.keySet().stream().max(Integer::compare).orElse(0) + 1 : above.number() + 1;
    }

    private void free(Line line, boolean ofRange) {
        if (taken.containsKey(line.number())) {
            throw new RefusedException(Column.NUMBER, new Refusal.SameAsRow(taken.get(line.number()), line.number()));
        }
        if (ofRange && known.containsKey(line.number())) {
            throw new RefusedException(Column.NUMBER, new Refusal.RangeOverLine(line.number()));
        }
    }

    /** A line there is keeps what the row leaves blank; a new one has it as the row above. */
    private Line line(Row row, int number, int page, boolean ofRange) {
        Optional<Line> before = ofRange ? Optional.empty() : Optional.ofNullable(known.get(number));
        Optional<Line> like = before.or(() -> Optional.ofNullable(above));
        Map<InstrumentCode, String> news =
                new LinkedHashMap<>(before.map(Line::news).orElse(Map.of()));
        row.news().forEach((instrument, words) -> {
            if (!words.isBlank()) {
                news.put(instrument, inShort(Column.NEW, words, Lengths.REMARK));
            }
        });
        String title = inShort(Column.TITLE, row.title(), Lengths.TITLE);
        return new Line(
                page,
                number,
                title.isEmpty()
                        ? before.map(Line::title).orElse("Line " + number)
                        : ofRange ? title + " " + number : title,
                read(
                        Column.KEY,
                        row.key(),
                        BookTable::key,
                        "B-flat major",
                        like.map(Line::key).orElse(PLAIN_KEY)),
                read(
                        Column.METER,
                        row.meter(),
                        Meter::parse,
                        "3/4",
                        like.map(Line::meter).orElse(PLAIN_METER)),
                measures(row.measures(), like.map(Line::measures).orElse(PLAIN_MEASURES)),
                read(
                        Column.TEMPO,
                        row.tempo(),
                        text -> new Bpm(Double.parseDouble(text)),
                        "80",
                        like.map(Line::tempo).orElse(usualTempo)),
                Map.copyOf(news));
    }

    private static final Pattern SHORT_KEY =
            Pattern.compile("([A-Ga-g])[ -]?(b|#|♭|♯|flat|sharp)?(?: ?(major|maj|minor|min|m))?", Pattern.UNICODE_CASE);

    /** "B-flat major", and as one writes it in a margin: "Bb", "F# minor", "Eb maj". */
    private static Key key(String typed) {
        Matcher key = SHORT_KEY.matcher(typed);
        if (!key.matches()) {
            return Key.named(typed);
        }
        String sign = key.group(2) == null ? "" : Set.of("b", "♭", "flat").contains(key.group(2)) ? "-flat" : "-sharp";
        boolean minor = key.group(3) != null && Set.of("minor", "min", "m").contains(key.group(3));
        return Key.named(key.group(1).toUpperCase(Locale.ROOT) + sign + (minor ? " minor" : " major"));
    }

    private static int measures(String typed, int otherwise) {
        return typed.isBlank() ? otherwise : whole(Column.MEASURES, typed, MOST_MEASURES);
    }

    private static String inShort(Column column, String typed, int most) {
        String text = typed.strip();
        if (text.length() > most) {
            throw new RefusedException(column, new Refusal.TooLong(text.length(), most));
        }
        return text;
    }

    private static int whole(Column column, String typed, int most) {
        Matcher digits = RANGE.matcher(typed);
        if (!digits.matches() || digits.group(2) != null) {
            throw new RefusedException(column, new Refusal.NotANumber(typed.strip()));
        }
        return within(column, digits.group(1), most);
    }

    private static int within(Column column, String digits, int most) {
        int value = Integer.parseInt(digits);
        if (value < 1 || value > most) {
            throw new RefusedException(column, new Refusal.Outside(value, most));
        }
        return value;
    }

    private static Span span(Column column, String typed, int most, Supplier<Span> blank) {
        if (typed.isBlank()) {
            return blank.get();
        }
        Matcher range = RANGE.matcher(typed);
        if (!range.matches()) {
            throw new RefusedException(column, new Refusal.NotANumber(typed.strip()));
        }
        int first = within(column, range.group(1), most);
        int last = range.group(2) == null ? first : within(column, range.group(2), most);
        if (last < first) {
            throw new RefusedException(column, new Refusal.NoRange(typed.strip()));
        }
        return new Span(first, last);
    }

    private static <T> T read(Column column, String typed, Function<String, T> reader, String example, T otherwise) {
        if (typed.isBlank()) {
            return otherwise;
        }
        try {
            return reader.apply(typed.strip());
        } catch (IllegalArgumentException e) {
            throw new RefusedException(column, new Refusal.NotUnderstood(typed.strip(), example));
        }
    }

    /** Every instrument that a table says something new of, once. */
    public static Set<InstrumentCode> instruments(Collection<Line> lines) {
        Set<InstrumentCode> instruments = new HashSet<>();
        lines.forEach(line -> instruments.addAll(line.news().keySet()));
        return instruments;
    }
}
