package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.BookTable.Column;
import vividroster.core.curriculum.BookTable.Line;
import vividroster.core.curriculum.BookTable.Outcome;
import vividroster.core.curriculum.BookTable.Planned;
import vividroster.core.curriculum.BookTable.Refusal;
import vividroster.core.curriculum.BookTable.Row;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;

class BookTableTest {

    private static final Bpm USUAL = new Bpm(76);
    private static final InstrumentCode TRUMPET = new InstrumentCode("trumpet");

    private static Row row(
            int line, String page, String number, String title, String key, String meter, String measures) {
        return new Row(line, page, number, title, key, meter, measures, "", Map.of());
    }

    private static Outcome one(Row row, Line... known) {
        return BookTable.of(List.of(row), List.of(known), USUAL).getFirst().outcome();
    }

    private static List<Line> lines(Outcome outcome) {
        return ((Outcome.Added) outcome).lines();
    }

    private static Line line(int page, int number, String title, String key, String meter, int measures) {
        return new Line(page, number, title, Key.named(key), Meter.parse(meter), measures, USUAL, Map.of());
    }

    @Test
    void whatIsBlankIsAsInTheRowAbove() {
        List<Planned> planned = BookTable.of(
                List.of(
                        row(1, "4", "1", "Still water", "B-flat major", "4/4", "4"),
                        row(2, "", "", "", "", "", ""),
                        row(3, "5", "7", "Two gulls", "F major", "3/4", "8"),
                        row(4, "", "", "", "", "", "")),
                List.of(),
                USUAL);
        assertThat(planned)
                .extracting(p -> lines(p.outcome()).getFirst())
                .containsExactly(
                        line(4, 1, "Still water", "B-flat major", "4/4", 4),
                        line(4, 2, "Line 2", "B-flat major", "4/4", 4),
                        line(5, 7, "Two gulls", "F major", "3/4", 8),
                        line(5, 8, "Line 8", "F major", "3/4", 8));
    }

    @Test
    void aFirstRowThatSaysNothingIsThePlainestLine() {
        assertThat(lines(one(row(1, "", "", "", "", "", ""))))
                .containsExactly(line(1, 1, "Line 1", "C major", "4/4", 8));
    }

    @Test
    void aRangeOfLinesIsSpreadOverItsPages() {
        List<Line> lines = lines(one(row(1, "4–13", "1–40", "", "B-flat major", "4/4", "8")));
        assertThat(lines).hasSize(40);
        assertThat(lines.getFirst()).isEqualTo(line(4, 1, "Line 1", "B-flat major", "4/4", 8));
        assertThat(lines.get(3).page()).as("four to a page").isEqualTo(4);
        assertThat(lines.get(4).page()).isEqualTo(5);
        assertThat(lines.getLast()).isEqualTo(line(13, 40, "Line 40", "B-flat major", "4/4", 8));
        assertThat(lines(one(row(1, "4-5", "1 to 3", "Study", "", "", ""))))
                .extracting(Line::page, Line::title)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(4, "Study 1"),
                        org.assertj.core.groups.Tuple.tuple(4, "Study 2"),
                        org.assertj.core.groups.Tuple.tuple(5, "Study 3"));
    }

    @Test
    void aLineThereIsKeepsWhatIsLeftBlank() {
        Line known = line(4, 3, "Low tide", "F major", "3/4", 12);
        assertThat(one(row(1, "", "3", "", "", "", ""), known)).isEqualTo(new Outcome.Unchanged(known));
        assertThat(one(row(1, "5", "3", "", "", "", "16"), known))
                .isEqualTo(new Outcome.Changed(line(5, 3, "Low tide", "F major", "3/4", 16)));
        assertThat(lines(one(row(1, "", "", "", "", "", ""), known)).getFirst().number())
                .as("goes on behind the last")
                .isEqualTo(4);
    }

    @ParameterizedTest
    @CsvSource({
        "Bb, B-flat major",
        "F# minor, F-sharp minor",
        "E♭ maj, E-flat major",
        "g m, G minor",
        "c, C major",
        "b-flat MAJOR, B-flat major",
        "A flat, A-flat major",
    })
    void aKeyIsReadAsOneWritesItInAMargin(String typed, String key) {
        assertThat(lines(one(row(1, "", "", "", typed, "", "")))
                        .getFirst()
                        .key()
                        .name())
                .isEqualTo(key);
    }

    @Test
    void whatIsNewIsKeptByInstrument() {
        Row row = new Row(1, "4", "1", "", "", "", "", "", Map.of(TRUMPET, " D, open "));
        assertThat(lines(one(row)).getFirst().news()).containsExactly(Map.entry(TRUMPET, "D, open"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "PAGE | x | 1 | | | | | NotANumber[value=x]",
                "PAGE | 0 | 1 | | | | | Outside[value=0, most=2000]",
                "PAGE | 4-6 | 1 | | | | | NoRange[value=4-6]",
                "NUMBER | 4 | one | | | | | NotANumber[value=one]",
                "NUMBER | 4 | 9-3 | | | | | NoRange[value=9-3]",
                "NUMBER | 4 | 5001 | | | | | Outside[value=5001, most=5000]",
                "NUMBER | 4 | 1-1001 | | | | | TooManyLines[most=1000]",
                "KEY | 4 | 1 | | H major | | | NotUnderstood[value=H major, example=B-flat major]",
                "METER | 4 | 1 | | | 4 | | NotUnderstood[value=4, example=3/4]",
                "MEASURES | 4 | 1 | | | | many | NotANumber[value=many]",
                "MEASURES | 4 | 1 | | | | 99999 | Outside[value=99999, most=2000]",
            })
    void aCellThatIsNoneIsNamed(
            Column column,
            String page,
            String number,
            String title,
            String key,
            String meter,
            String measures,
            String why) {
        Outcome outcome = one(row(1, page, number, text(title), text(key), text(meter), text(measures)));
        assertThat(outcome).isInstanceOf(Outcome.Refused.class);
        assertThat(((Outcome.Refused) outcome).column()).isEqualTo(column);
        assertThat(((Outcome.Refused) outcome).why()).hasToString(why);
    }

    private static String text(String cell) {
        return cell == null ? "" : cell;
    }

    @Test
    void aNumberStandsOnceAndARangeChangesNothing() {
        List<Planned> planned = BookTable.of(
                List.of(row(1, "4", "1-3", "", "", "", ""), row(2, "5", "3", "", "", "", "")), List.of(), USUAL);
        assertThat(planned.get(1).outcome()).isEqualTo(new Outcome.Refused(Column.NUMBER, new Refusal.SameAsRow(1, 3)));
        assertThat(one(row(1, "4", "1-3", "", "", "", ""), line(4, 2, "Two", "C major", "4/4", 8)))
                .isEqualTo(new Outcome.Refused(Column.NUMBER, new Refusal.RangeOverLine(2)));
        assertThat(one(row(1, "4", "1", "t".repeat(200), "", "", ""))).isInstanceOf(Outcome.Refused.class);
    }

    /** Whatever was taken, typed again it is unchanged. */
    @Property(tries = 200)
    void theSameAgainChangesNothing(@ForAll long seed) {
        Random dice = new Random(seed);
        String[] cells = {"", "", "1", "2", "3-5", "7–9", "12", "x"};
        String[] keys = {"", "F major", "B-flat major"};
        List<Row> rows = new ArrayList<>();
        for (int i = 1; i <= dice.nextInt(1, 10); i++) {
            rows.add(row(
                    i,
                    cells[dice.nextInt(cells.length)],
                    cells[dice.nextInt(cells.length)],
                    dice.nextBoolean() ? "" : "Tune",
                    keys[dice.nextInt(keys.length)],
                    dice.nextBoolean() ? "" : "3/4",
                    dice.nextBoolean() ? "" : "16"));
        }
        List<Line> kept = BookTable.of(rows, List.of(), USUAL).stream()
                .filter(p -> p.outcome() instanceof Outcome.Added)
                .flatMap(p -> lines(p.outcome()).stream())
                .toList();
        List<Row> typedAgain = kept.stream()
                .map(l -> new Row(
                        l.number(),
                        String.valueOf(l.page()),
                        String.valueOf(l.number()),
                        l.title(),
                        l.key().name(),
                        l.meter().toString(),
                        String.valueOf(l.measures()),
                        String.valueOf(l.tempo().value()),
                        l.news()))
                .toList();
        assertThat(BookTable.of(typedAgain, kept, USUAL)).allMatch(p -> p.outcome() instanceof Outcome.Unchanged);
    }
}
