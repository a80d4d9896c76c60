package vividroster.formats.calendar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.season.CalendarProposals.Event;
import vividroster.formats.csv.UnreadableFileException;

class CalendarFileTest {

    private static final LocalDate FIRST = LocalDate.of(2026, 8, 24);
    private static final LocalDate LAST = LocalDate.of(2027, 6, 11);
    private static final ZoneId ZONE = ZoneId.of("America/New_York");

    private static CalendarFile.Read read(String... events) throws UnreadableFileException {
        return CalendarFile.read(file(events), FIRST, LAST, ZONE);
    }

    private static byte[] file(String... events) {
        StringBuilder text = new StringBuilder("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//made up//EN\r\n");
        int uid = 0;
        for (String event : events) {
            text.append("BEGIN:VEVENT\r\nUID:")
                    .append(uid++)
                    .append("@made.up\r\nDTSTAMP:20260801T000000Z\r\n")
                    .append(event.replace("|", "\r\n"))
                    .append("\r\nEND:VEVENT\r\n");
        }
        return text.append("END:VCALENDAR\r\n").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static Event event(String name, String first, String last) {
        return new Event(name, LocalDate.parse(first), LocalDate.parse(last));
    }

    /** RFC 5545: the end of a whole day is exclusive. */
    @Test
    void aBreakEndsOnTheDayBeforeItsEnd() throws UnreadableFileException {
        assertThat(read("SUMMARY:Winter break|DTSTART;VALUE=DATE:20261221|DTEND;VALUE=DATE:20270102")
                        .events())
                .containsExactly(event("Winter break", "2026-12-21", "2027-01-01"));
    }

    @Test
    void aDayWithoutAnEndIsOneDay() throws UnreadableFileException {
        assertThat(read("SUMMARY:Holiday|DTSTART;VALUE=DATE:20260907").events())
                .containsExactly(event("Holiday", "2026-09-07", "2026-09-07"));
    }

    @Test
    void aMomentIsADayAtTheSchool() throws UnreadableFileException {
        // Half past midnight in Greenwich is the evening before in New York, in winter five hours and in summer four.
        assertThat(read(
                                "SUMMARY:Concert|DTSTART:20261217T003000Z|DTEND:20261217T020000Z",
                                "SUMMARY:Spring|DTSTART:20270519T030000Z|DTEND:20270519T040000Z",
                                "SUMMARY:Local|DTSTART:20261216T190000|DTEND:20261217T000000")
                        .events())
                .containsExactly(
                        event("Concert", "2026-12-16", "2026-12-16"),
                        event("Spring", "2027-05-18", "2027-05-18"),
                        event("Local", "2026-12-16", "2026-12-16"));
    }

    @Test
    void anEveningThatRepeatsStaysOnItsWeekdayWhenClocksChange() throws UnreadableFileException {
        // Clocks go back on 1 November 2026.
        assertThat(read("SUMMARY:Rehearsal|DTSTART;TZID=America/New_York:20261019T193000"
                                + "|DTEND;TZID=America/New_York:20261019T210000|RRULE:FREQ=WEEKLY;COUNT=4")
                        .events())
                .extracting(Event::first)
                .containsExactly(
                        LocalDate.of(2026, 10, 19),
                        LocalDate.of(2026, 10, 26),
                        LocalDate.of(2026, 11, 2),
                        LocalDate.of(2026, 11, 9));
    }

    @Test
    void aRuleWithoutEndStaysInTheYear() throws UnreadableFileException {
        assertThat(read("SUMMARY:Early release|DTSTART;VALUE=DATE:20100106|RRULE:FREQ=WEEKLY;BYDAY=WE")
                        .events())
                .hasSizeBetween(41, 44)
                .allMatch(e -> e.first().getDayOfWeek() == DayOfWeek.WEDNESDAY);
    }

    @Test
    void whatHasNoDayIsCounted() throws UnreadableFileException {
        CalendarFile.Read read = read("SUMMARY:Nothing", "SUMMARY:Holiday|DTSTART;VALUE=DATE:20260907");
        assertThat(read.events()).hasSize(1);
        assertThat(read.unread()).isEqualTo(1);
    }

    @Test
    void namesAreMadeReadable() throws UnreadableFileException {
        assertThat(read(
                                "SUMMARY:" + "A very long name ".repeat(20) + "|DTSTART;VALUE=DATE:20260907",
                                "DTSTART;VALUE=DATE:20260908")
                        .events())
                .extracting(Event::name)
                .satisfies(names -> assertThat(names.getFirst()).hasSizeLessThanOrEqualTo(120))
                .contains("Without a name");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "nonsense", "name,class\nA,B", "\u0000\u0001", "<html></html>"})
    void nonsenseIsTold(String text) {
        assertThatThrownBy(() -> CalendarFile.read(text.getBytes(StandardCharsets.UTF_8), FIRST, LAST, ZONE))
                .isInstanceOf(UnreadableFileException.class)
                .hasMessageStartingWith("This file is no calendar");
    }

    @Test
    void aBrokenCalendarNamesItsLine() {
        String text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nSUMMARY\r\n";
        assertThatThrownBy(() -> CalendarFile.read(text.getBytes(StandardCharsets.UTF_8), FIRST, LAST, ZONE))
                .isInstanceOf(UnreadableFileException.class)
                .hasMessageContaining("cannot be read")
                .hasMessageEndingWith("nothing was changed.");
    }

    @Test
    void tenThousandEventsAreReadInTimeAndMoreAreRefused() {
        String[] events = new String[CalendarFile.MOST_EVENTS];
        for (int i = 0; i < events.length; i++) {
            events[i] = "SUMMARY:Event " + i + "|DTSTART;VALUE=DATE:20260907";
        }
        assertThat(org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
                                Duration.ofSeconds(20), () -> read(events))
                        .events())
                .hasSize(10_000);
        String[] more = Arrays.copyOf(events, events.length + 1);
        more[events.length] = "SUMMARY:One more|DTSTART;VALUE=DATE:20260907";
        assertThatThrownBy(() -> read(more)).hasMessageStartingWith("The calendar has 10001 events; at most 10000");
    }

    @Test
    void repetitionsWithoutMeasureAreRefused() {
        String[] daily = new String[60];
        Arrays.fill(daily, "SUMMARY:Daily|DTSTART;VALUE=DATE:20200101|RRULE:FREQ=DAILY");
        assertThatThrownBy(() -> org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
                        Duration.ofSeconds(20), () -> read(daily)))
                .hasMessageContaining("repeat on more than 12000 days");
        assertThat(org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(
                                Duration.ofSeconds(10),
                                () -> read("SUMMARY:Tick|DTSTART:20260907T000000Z|RRULE:FREQ=SECONDLY"))
                        .events())
                .as("no school repeats by seconds: its first time alone")
                .hasSize(1);
    }

    /** A calendar with letters changed anywhere is read or refused with a sentence, in time. */
    @Test
    void damagedCalendarsAreReadOrRefused() {
        byte[] good = file(
                "SUMMARY:Winter break|DTSTART;VALUE=DATE:20261221|DTEND;VALUE=DATE:20270102",
                "SUMMARY:Rehearsal|DTSTART;TZID=America/New_York:20261019T193000|RRULE:FREQ=WEEKLY;COUNT=4");
        Random dice = new Random(20_261_127);
        for (int i = 0; i < 400; i++) {
            byte[] damaged = good.clone();
            for (int n = 0; n < 3; n++) {
                damaged[dice.nextInt(40, damaged.length)] = (byte) dice.nextInt(1, 127);
            }
            org.junit.jupiter.api.Assertions.assertTimeoutPreemptively(Duration.ofSeconds(10), () -> {
                try {
                    CalendarFile.read(damaged, FIRST, LAST, ZONE);
                } catch (UnreadableFileException e) {
                    assertThat(e.getMessage()).endsWith("nothing was changed.");
                }
            });
        }
    }
}
