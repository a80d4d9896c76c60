package vividroster.server.platform;

import org.jspecify.annotations.Nullable;
import vividroster.core.instrument.InstrumentCatalog;

/** The one place where codes of instruments come in. */
public final class InstrumentCodes {

    private InstrumentCodes() {}

    /** The same code. @throws Problem about the field when the catalog has no such instrument */
    public static String known(InstrumentCatalog catalog, String field, @Nullable String code) {
        if (code == null || !catalog.has(code)) {
            throw Problem.input(
                    field, "\"" + DayEdge.shortened(String.valueOf(code)) + "\" is not an instrument of the catalog.");
        }
        return code;
    }
}
