package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.roster.RosterRow;
import vividroster.formats.csv.UnreadableFileException;
import vividroster.formats.roster.RosterFile;

class RosterFileTest {

    private static final String GOOD = """
            name,class,instrument,division,start date
            Ilse Marangi,Beginning Winds,Trumpet,,
            "Ruiz-Okafor, Tobenna",Chamber Strings,Violin,Second,2026-09-03
            """;

    private static RosterFile.Read read(String text) throws UnreadableFileException {
        return RosterFile.read(text.getBytes(StandardCharsets.UTF_8));
    }

    private static void refused(byte[] bytes, String sentence) {
        assertThatExceptionOfType(UnreadableFileException.class)
                .isThrownBy(() -> RosterFile.read(bytes))
                .withMessageContaining(sentence);
    }

    private static void refused(String text, String sentence) {
        refused(text.getBytes(StandardCharsets.UTF_8), sentence);
    }

    @Test
    void readsRowsWithTheirLines() throws Exception {
        RosterFile.Read read = read(GOOD);
        assertThat(read.separator()).isEqualTo("comma");
        assertThat(read.rows())
                .containsExactly(
                        new RosterRow(2, "Ilse Marangi", "", "Beginning Winds", "Trumpet", "", ""),
                        new RosterRow(
                                3, "Ruiz-Okafor, Tobenna", "", "Chamber Strings", "Violin", "Second", "2026-09-03"));
    }

    @Test
    void linesAreThoseOfTheFileAlsoAfterBlankLinesAndCellsOfSeveralLines() throws Exception {
        List<RosterRow> rows = read("""
                name,class,instrument

                "Ana
                Cruz",Winds,horn

                ,,
                Ben,Winds,horn
                """).rows();
        assertThat(rows).extracting(RosterRow::line).containsExactly(3, 7);
        assertThat(read(GOOD.replace("\n", "\r\n")).rows())
                .extracting(RosterRow::line)
                .containsExactly(2, 3);
    }

    @ParameterizedTest
    @ValueSource(strings = {";", "\t"})
    void otherSeparators(String separator) throws Exception {
        RosterFile.Read read = read("name,class,instrument\nAna,Winds,horn\n".replace(",", separator));
        assertThat(read.rows()).containsExactly(new RosterRow(2, "Ana", "", "Winds", "horn", "", ""));
        assertThat(read.separator()).isIn("semicolon", "tab");
    }

    @Test
    void encodings() throws Exception {
        String text = "name,class,instrument\nJosé Núñez,Winds,horn\n";
        for (byte[] bytes : List.of(
                text.getBytes(StandardCharsets.UTF_8),
                ("\uFEFF" + text).getBytes(StandardCharsets.UTF_8),
                ("\uFEFF" + text).getBytes(StandardCharsets.UTF_16LE),
                ("\uFEFF" + text).getBytes(StandardCharsets.UTF_16BE))) {
            RosterFile.Read read = RosterFile.read(bytes);
            assertThat(read.rows().getFirst().name()).isEqualTo("José Núñez");
            assertThat(read.notices()).isEmpty();
        }
        RosterFile.Read western = RosterFile.read(text.getBytes(Charset.forName("windows-1252")));
        assertThat(western.rows().getFirst().name()).isEqualTo("José Núñez");
        assertThat(western.notices()).singleElement().asString().contains("read as Windows Western text");
    }

    @Test
    void headingsInAnyOrderAndOthersIgnored() throws Exception {
        RosterFile.Read read =
                read("Instrument,Shoe size,Last Name,First Name,Student ID,Class\nhorn,7,Cruz,Ana,101,Winds\n");
        assertThat(read.rows()).containsExactly(new RosterRow(2, "Cruz, Ana", "101", "Winds", "horn", "", ""));
        assertThat(read.ignoredHeadings()).containsExactly("Shoe size");
    }

    @Test
    void shortRowsHaveEmptyCells() throws Exception {
        assertThat(read("name,class,instrument\nAna\n").rows())
                .containsExactly(new RosterRow(2, "Ana", "", "", "", "", ""));
    }

    @Test
    void whatIsNoRoster() {
        refused(new byte[0], "The file is empty");
        refused(" \n\n", "The file is empty");
        refused("name,class,instrument\n", "no students below it");
        refused("who,where\nAna,Winds\n", "no column for \"name\" and \"class\" and \"instrument\"");
        refused("name,name,class,instrument\n", "Two columns are headed as the name");
        refused("name,class,instrument\nAna,Winds,horn\n\"Ben,Winds,horn\nCia,Winds,horn\n", "opens in line 3");
        refused("name,class,instrument\n\"Ana\"x,Winds,horn\n", "quoted cell is written wrongly");
        refused(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10}, "PNG picture");
        refused(new byte[] {'P', 'K', 3, 4, 0}, "workbook");
        refused(new byte[] {'a', 0, 1, 2}, "not text");
        refused(new byte[] {(byte) 0xFF, (byte) 0xFE, 'a'}, "breaks off in the middle of a letter");
        refused(new byte[RosterFile.MOST_BYTES + 1], "larger than 5 MB");
        refused("name,class,instrument\n" + "Ana,W,horn\n".repeat(RosterFile.MOST_ROWS + 1), "more than 20000 rows");
    }

    @Test
    void tenThousandRows() throws Exception {
        StringBuilder text = new StringBuilder("name,class,instrument\n");
        for (int i = 0; i < 10_000; i++) {
            text.append("Student ").append(i).append(",Winds,horn\n");
        }
        assertThat(read(text.toString()).rows())
                .hasSize(10_000)
                .last()
                .extracting(RosterRow::line)
                .isEqualTo(10_001);
    }
}
