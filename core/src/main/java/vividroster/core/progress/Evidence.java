package vividroster.core.progress;

import java.util.EnumSet;
import java.util.Set;

/** How a try was heard. */
public enum Evidence {
    LIVE_ALONE,
    LIVE_WITH_SECTION,
    PARTNER_CHECK,
    RECORDING,
    SUBSTITUTE;

    /** What makes a pass unless an order says otherwise: a partner's finding or a substitute piece needs the director's word. */
    public static Set<Evidence> countingByDefault() {
        return EnumSet.of(LIVE_ALONE, LIVE_WITH_SECTION, RECORDING);
    }
}
