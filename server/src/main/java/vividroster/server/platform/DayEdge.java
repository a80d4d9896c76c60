package vividroster.server.platform;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import org.springframework.core.convert.converter.Converter;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import vividroster.core.season.DayRange;

/** The one place where days and moments come in: days within {@link DayRange}, moments as far off as they are. */
final class DayEdge {

    private DayEdge() {}

    /** @throws Problem when it is no day that can be asked about */
    static LocalDate day(String text) {
        try {
            LocalDate day = LocalDate.parse(text);
            if (DayRange.holds(day)) {
                return day;
            }
        } catch (DateTimeException e) {
            // told below
        }
        throw Problem.unreadable("\"" + shortened(text) + "\" is no day from " + DayRange.FIRST + " to " + DayRange.LAST
                + ", written like 2026-10-07.");
    }

    static Instant moment(String text) {
        try {
            return text.endsWith("Z")
                    ? Instant.parse(text)
                    : OffsetDateTime.parse(text).toInstant();
        } catch (DateTimeException e) {
            throw Problem.unreadable("\"" + shortened(text) + "\" is no moment, written like 2026-10-07T14:05:00Z.");
        }
    }

    static String shortened(String text) {
        return text.length() > 60 ? text.substring(0, 60) + "…" : text;
    }

    /** Days in addresses and forms. An empty one is none. */
    static final class Days implements Converter<String, LocalDate> {
        @Override
        public LocalDate convert(String text) {
            return text.isBlank() ? null : day(text.strip());
        }
    }

    /** Days in JSON. */
    static final class JsonDays extends StdScalarDeserializer<LocalDate> {
        JsonDays() {
            super(LocalDate.class);
        }

        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString();
            return text == null ? (LocalDate) context.handleUnexpectedToken(LocalDate.class, parser) : day(text);
        }
    }

    /** Moments in JSON. */
    static final class JsonMoments extends StdScalarDeserializer<Instant> {
        JsonMoments() {
            super(Instant.class);
        }

        @Override
        public Instant deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString();
            return text == null ? (Instant) context.handleUnexpectedToken(Instant.class, parser) : moment(text);
        }
    }
}
