package vividroster.formats.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.formats.csv.UnreadableFileException;
import vividroster.formats.plan.PlanFile.Row;

/** A plan as a table. */
class PlanFileTest {

    private static List<Row> read(String csv) throws UnreadableFileException {
        return PlanFile.readCsv(csv.getBytes(StandardCharsets.UTF_8));
    }

    private static Row row(int at, String title, int week, List<String> sections) {
        return new Row(
                at,
                "LINE",
                "Tideline Method, Winds",
                at,
                title,
                sections,
                60,
                at % 2 == 0,
                8,
                at % 3 == 0,
                Optional.of(2),
                Optional.empty(),
                1,
                week == 0 ? Optional.empty() : Optional.of(week),
                week > 20);
    }

    @Property(tries = 60)
    void whatIsWrittenIsReadBack(
            @ForAll @AlphaChars @StringLength(min = 1, max = 30) String title, @ForAll @IntRange(max = 40) int week)
            throws UnreadableFileException {
        List<Row> rows = List.of(
                row(2, title, week, List.of()), row(3, title + ", \"quoted\"; x", week, List.of("flute", "BRASS")));
        assertThat(read(PlanFile.csv(rows))).isEqualTo(rows);
    }

    @Test
    void aFewColumnsInAnyOrderAreEnough() throws UnreadableFileException {
        assertThat(read("Title,Kind,Week\nFirst light,line,3\nEvening ferry,piece,\n"))
                .containsExactly(
                        new Row(
                                2,
                                "LINE",
                                "",
                                0,
                                "First light",
                                List.of(),
                                -1,
                                false,
                                -1,
                                false,
                                Optional.empty(),
                                Optional.empty(),
                                0,
                                Optional.of(3),
                                false),
                        new Row(
                                3,
                                "PIECE",
                                "",
                                0,
                                "Evening ferry",
                                List.of(),
                                -1,
                                false,
                                -1,
                                false,
                                Optional.empty(),
                                Optional.empty(),
                                0,
                                Optional.empty(),
                                false));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "kind,title,week~LINE,First light,soon|Row 2: \"week\" is a whole number, was \"soon\".",
                "kind,title,week~LINE,First light,61|Row 2: \"week\" is in 0..60, was \"61\".",
                "kind,title,pinned~LINE,A,no~LINE,B,perhaps|Row 3: \"pinned\" is yes or no, was \"perhaps\".",
                "title,week~First light,3|The first row names the columns: at least kind and title."
            })
    void whatCannotBeReadSaysWhere(String csv, String sentence) {
        assertThatThrownBy(() -> read(csv.replace('~', '\n')))
                .isInstanceOf(UnreadableFileException.class)
                .hasMessage(sentence);
    }
}
