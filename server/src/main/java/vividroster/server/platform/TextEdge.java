package vividroster.server.platform;

import java.beans.PropertyEditorSupport;
import java.text.Normalizer;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.BeanProperty;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import vividroster.core.text.PlainText;

/** The one place where text comes in, in JSON, in addresses and in forms: see {@link PlainText}. */
@ControllerAdvice
class TextEdge {

    /** @throws Problem when it is no text that can be kept */
    static String normal(String text) {
        return PlainText.normal(checked(text, PlainText.LONGEST));
    }

    private static String checked(String text, int longest) {
        PlainText.fault(text, longest).ifPresent(fault -> {
            throw Problem.input(
                    "",
                    switch (fault) {
                        case CONTROL_CHARACTER -> "This text holds a control character; type it anew.";
                        case BROKEN_CHARACTER -> "This text holds a broken character; type it anew.";
                        case TOO_LONG -> "This text is too long; at most " + longest + " letters.";
                    });
        });
        return text;
    }

    @InitBinder
    void texts(WebDataBinder binder) {
        binder.registerCustomEditor(String.class, new PropertyEditorSupport() {
            @Override
            public void setAsText(String text) {
                setValue(text == null ? null : normal(text));
            }
        });
    }

    /** Names of JSON maps. */
    static final class Keys extends KeyDeserializer {
        @Override
        public Object deserializeKey(String key, DeserializationContext context) {
            return normal(key);
        }
    }

    /** Strings of JSON bodies. */
    static final class Texts extends StdScalarDeserializer<String> {

        private final int verbatim;

        Texts() {
            this(0);
        }

        /** @param verbatim the most letters where the text is kept as it came; 0 where it is made normal */
        private Texts(int verbatim) {
            super(String.class);
            this.verbatim = verbatim;
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = StringDeserializer.instance.deserialize(parser, context);
            if (text == null) {
                return null;
            }
            return verbatim > 0 ? Normalizer.normalize(checked(text, verbatim), Normalizer.Form.NFC) : normal(text);
        }

        @Override
        public ValueDeserializer<?> createContextual(DeserializationContext context, BeanProperty property) {
            Verbatim mark = property == null ? null : property.getAnnotation(Verbatim.class);
            return mark == null ? this : new Texts(mark.longest());
        }
    }
}
