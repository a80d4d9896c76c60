package vividroster.formats.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.BookTable;
import vividroster.core.curriculum.BookTable.Line;
import vividroster.core.curriculum.BookTable.Outcome;
import vividroster.core.curriculum.BookTable.Row;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.formats.csv.UnreadableFileException;

class BookFileTest {

    private static final InstrumentCatalog CATALOG = vividroster.formats.Read.CATALOG;
    private static final InstrumentCode TRUMPET = new InstrumentCode("trumpet");

    private static BookFile.Read read(String text) throws UnreadableFileException {
        return BookFile.read(text.getBytes(StandardCharsets.UTF_8), CATALOG);
    }

    @Test
    void columnsComeInAnyOrderAndAnInstrumentsNameHoldsWhatIsNew() throws UnreadableFileException {
        BookFile.Read read = read("Line;Page;Bars;Trumpet;New: Clarinet;Copied by\n7;5;12;D, open;;Una\n");
        assertThat(read.rows()).containsExactly(new Row(2, "5", "7", "", "", "", "12", "", Map.of(TRUMPET, "D, open")));
        assertThat(read.ignoredHeadings()).containsExactly("Copied by");
    }

    @Test
    void pastedWithoutAHeadingTheOrderIsThatOfThePage() throws UnreadableFileException {
        assertThat(read("4\t1\tStill water\tBb\t4/4\t8\n4\t2\tTwo gulls\n").rows())
                .containsExactly(
                        new Row(1, "4", "1", "Still water", "Bb", "4/4", "8", "", Map.of()),
                        new Row(2, "4", "2", "Two gulls", "", "", "", "", Map.of()));
    }

    @Test
    void whatIsNoTableIsTold() {
        assertThatThrownBy(() -> read("  \n")).hasMessageStartingWith("Nothing was pasted");
        assertThatThrownBy(() -> read("page,number,title\n"))
                .hasMessage("There is a heading row but no line below it.");
        assertThatThrownBy(() -> read("page,pages\n1,2\n")).hasMessageStartingWith("Two columns are headed");
        assertThatThrownBy(() -> read("4,1\n".repeat(1_001))).hasMessageStartingWith("There are more than 1000 rows");
        assertThatThrownBy(() -> BookFile.read(new byte[] {'%', 'P', 'D', 'F', '-'}, CATALOG))
                .hasMessageStartingWith("This file is a PDF, not a CSV. Export the book as CSV");
    }

    @Test
    void whatWasWrittenIsReadBackUnchanged() throws UnreadableFileException {
        Bpm tempo = new Bpm(76);
        List<Line> lines = List.of(
                new Line(5, 2, "=1+1", Key.named("F major"), Meter.parse("3/4"), 12, tempo, Map.of(TRUMPET, "D, open")),
                new Line(4, 1, "Still \"water\"", Key.named("B-flat major"), Meter.parse("4/4"), 8, tempo, Map.of()));
        String file = BookFile.write(lines, CATALOG);
        assertThat(file.lines().toList().get(1)).as("in the order of the book").startsWith("4,1,");
        List<Row> rows = read(file).rows();
        assertThat(BookTable.of(rows.subList(0, 1), lines, tempo))
                .allMatch(planned -> planned.outcome() instanceof Outcome.Unchanged);
        assertThat(rows.get(1).title()).as("no spreadsheet runs it").isEqualTo("'=1+1");
    }
}
