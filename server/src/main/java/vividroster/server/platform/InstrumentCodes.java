package vividroster.server.platform;

import org.jspecify.annotations.Nullable;
import org.springframework.core.convert.converter.Converter;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.ser.std.StdScalarSerializer;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

/** The one place where codes of instruments come in: those of the catalog, and no other word. */
public final class InstrumentCodes {

    private InstrumentCodes() {}

    /** @throws Problem when the catalog has no such instrument */
    public static InstrumentCode known(InstrumentCatalog catalog, String text) {
        if (has(catalog, text)) {
            return new InstrumentCode(text);
        }
        throw Problem.input("", "\"" + DayEdge.shortened(text) + "\" is not an instrument of the catalog.");
    }

    /** Whether a text is a code of the catalog. */
    public static boolean has(InstrumentCatalog catalog, String text) {
        return InstrumentCode.isWritten(text) && catalog.has(new InstrumentCode(text));
    }

    private static @Nullable InstrumentCode given(InstrumentCatalog catalog, String text) {
        return text.isBlank() ? null : known(catalog, text.strip());
    }

    /** Codes in addresses and forms. An empty one is none. */
    static final class InAddresses implements Converter<String, InstrumentCode> {
        private final InstrumentCatalog catalog;

        InAddresses(InstrumentCatalog catalog) {
            this.catalog = catalog;
        }

        @Override
        public @Nullable InstrumentCode convert(String text) {
            return given(catalog, text);
        }
    }

    /** Codes in JSON. An empty one is none. */
    static final class FromJson extends StdScalarDeserializer<InstrumentCode> {
        private final transient InstrumentCatalog catalog;

        FromJson(InstrumentCatalog catalog) {
            super(InstrumentCode.class);
            this.catalog = catalog;
        }

        @Override
        public @Nullable InstrumentCode deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString();
            return text == null
                    ? (InstrumentCode) context.handleUnexpectedToken(InstrumentCode.class, parser)
                    : given(catalog, text);
        }
    }

    /** Codes out again. */
    static final class ToJson extends StdScalarSerializer<InstrumentCode> {
        ToJson() {
            super(InstrumentCode.class);
        }

        @Override
        public void serialize(InstrumentCode code, JsonGenerator generator, SerializationContext context) {
            generator.writeString(code.value());
        }
    }
}
