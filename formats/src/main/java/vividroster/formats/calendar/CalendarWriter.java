package vividroster.formats.calendar;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** Days of a class as an iCalendar file (RFC 5545) that any calendar takes in. */
public final class CalendarWriter {

    private CalendarWriter() {}

    /**
     * Something of a whole day.
     *
     * @param id stays the same however often the file is written, so that a calendar changes its entry and adds none
     * @param description may be empty
     */
    public record Entry(String id, LocalDate day, String summary, String description) {}

    /**
     * @param name of the calendar, shown by those who take it in
     * @param at when it is written
     */
    public static byte[] write(String name, Instant at, List<Entry> entries) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Vivid Roster//due days//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", name));
        for (Entry entry : entries) {
            VEvent event = new VEvent(false);
            event.add(new Uid(entry.id() + "@vivid-roster"));
            event.add(new DtStamp(at));
            event.add(new DtStart<>(entry.day()));
            event.add(new DtEnd<>(entry.day().plusDays(1)));
            event.add(new Summary(entry.summary()));
            if (!entry.description().isEmpty()) {
                event.add(new Description(entry.description()));
            }
            // A day something is due is not a day somebody is away.
            event.add(new Transp("TRANSPARENT"));
            calendar.add(event);
        }
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            // An empty calendar is one too: a class without orders.
            new CalendarOutputter(false).output(calendar, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
