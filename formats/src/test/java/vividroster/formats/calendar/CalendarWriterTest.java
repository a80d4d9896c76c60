package vividroster.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;
import vividroster.core.season.CalendarProposals.Event;
import vividroster.formats.calendar.CalendarWriter.Entry;
import vividroster.formats.csv.UnreadableFileException;

/** Days of a class as a file other calendars read; ours does too. */
class CalendarWriterTest {

    private static final Instant AT = Instant.parse("2026-10-07T13:05:00Z");

    private static byte[] file(Entry... entries) {
        return CalendarWriter.write("Beginning Winds", AT, List.of(entries));
    }

    private static CalendarFile.Read read(byte[] file) throws UnreadableFileException {
        return CalendarFile.read(
                file, LocalDate.of(2026, 8, 24), LocalDate.of(2027, 6, 11), ZoneId.of("America/New_York"));
    }

    @Test
    void whatIsWrittenIsReadBack() throws UnreadableFileException {
        LocalDate day = LocalDate.of(2026, 10, 9);
        String summary = "Due: 22 Evening ferry; “légère”, and more of a title that is so long that it must be folded";
        CalendarFile.Read read = read(file(new Entry("a1", day, summary, "Trumpet, Horn")));
        assertThat(read.events()).containsExactly(new Event(summary, day, day));
        assertThat(read.unread()).isZero();
    }

    @Test
    void linesAreFoldedAndTextIsEscapedAsTheStandardSays() {
        String text = new String(
                file(new Entry("a1", LocalDate.of(2026, 10, 9), "x".repeat(200) + ";,\n\\", "")),
                StandardCharsets.UTF_8);
        assertThat(text.lines()).allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);
        assertThat(text.replace("\r\n ", ""))
                .contains("\\;\\,\\n\\\\")
                .contains("DTSTART;VALUE=DATE:20261009\r\n")
                .contains("DTEND;VALUE=DATE:20261010\r\n")
                .contains("UID:a1@vivid-roster\r\n")
                .contains("DTSTAMP:20261007T130500Z\r\n")
                .doesNotContain("DESCRIPTION");
    }

    @Test
    void aClassWithoutOrdersHasACalendarWithoutEvents() {
        assertThat(new String(file(), StandardCharsets.UTF_8))
                .startsWith("BEGIN:VCALENDAR\r\n")
                .endsWith("END:VCALENDAR\r\n");
        assertThatThrownBy(() -> read(file())).hasMessage("The calendar holds no events. Nothing was changed.");
    }
}
