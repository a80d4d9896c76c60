package vividroster.core.access;

import java.util.EnumSet;
import java.util.Set;

/** What somebody is in a programme, and so what they may. Source: domain, who may what. */
public enum Role {
    /** Everything. */
    DIRECTOR,
    /** Hears, orders, edits the library, sees everybody. */
    ASSISTANT,
    /** Sees and hears own sections; no pain reports, no grades. */
    SECTION_COACH,
    /** Sees today's classes and hears; what they record is marked so. */
    SUBSTITUTE_TEACHER;

    /** A right that is asked for at an address. */
    public enum Right {
        /** Set up the programme: its year, classes, roster and people. */
        DIRECT,
        /** Order, and edit the library. */
        TEACH,
        /** Look at every student, with all that is kept. */
        SEE_EVERYBODY
    }

    public Set<Right> rights() {
        return switch (this) {
            case DIRECTOR -> EnumSet.allOf(Right.class);
            case ASSISTANT -> EnumSet.of(Right.TEACH, Right.SEE_EVERYBODY);
            case SECTION_COACH, SUBSTITUTE_TEACHER -> EnumSet.noneOf(Right.class);
        };
    }

    public boolean seesEverybody() {
        return rights().contains(Right.SEE_EVERYBODY);
    }
}
