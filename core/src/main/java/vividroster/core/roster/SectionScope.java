package vividroster.core.roster;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

/**
 * Whom an order or a view is for: always whole sections, never single students, so that a student who joins a section
 * later has its milestones too.
 */
public sealed interface SectionScope {

    /** Whether the holder of this seat belongs to the scope. */
    boolean holds(Seat seat, InstrumentCatalog catalog);

    /** Whether it asks the instrument's section of that class, or a division of it. */
    default boolean asks(UUID classId, Instrument instrument) {
        return switch (this) {
            case Tutti tutti -> tutti.classId().equals(classId);
            case FamilyOfClass family -> family.classId().equals(classId) && family.family() == instrument.family();
            case Section section ->
                section.classId().equals(classId) && section.instrument().equals(instrument.code());
            case InstrumentAcrossClasses across -> across.instrument().equals(instrument.code());
            case Newcomers newcomers ->
                newcomers.classId().equals(classId)
                        && newcomers.instrument().map(instrument.code()::equals).orElse(true);
        };
    }

    /** Whether it asks a section as far as the music divides it. @param division empty where nothing is divided */
    default boolean asks(UUID classId, Instrument instrument, String division) {
        return asks(classId, instrument)
                && (!(this instanceof Section section)
                        || section.division().map(division::equals).orElse(true));
    }

    /** Everybody in a class. */
    record Tutti(UUID classId) implements SectionScope {
        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return seat.classId().equals(classId);
        }
    }

    /** All sections of one family in a class. */
    record FamilyOfClass(UUID classId, Family family) implements SectionScope {
        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return seat.classId().equals(classId)
                    && catalog.withCode(seat.instrument()).family() == family;
        }
    }

    /** One instrument in a class, or one division of it. */
    record Section(UUID classId, InstrumentCode instrument, Optional<String> division) implements SectionScope {
        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return seat.classId().equals(classId)
                    && seat.instrument().equals(instrument)
                    && division.map(seat.division()::equals).orElse(true);
        }
    }

    /**
     * Those of a class, or of one section of it, who joined on a day or later: what was set before they came is set for them
     * as a group.
     *
     * @param instrument empty for everybody who joined the class
     * @param since inclusive
     */
    record Newcomers(UUID classId, Optional<InstrumentCode> instrument, LocalDate since) implements SectionScope {

        /** Everybody who joined the class. */
        public Newcomers(UUID classId, LocalDate since) {
            this(classId, Optional.empty(), since);
        }

        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return seat.classId().equals(classId)
                    && instrument.map(seat.instrument()::equals).orElse(true)
                    && !seat.startsOn().isBefore(since);
        }
    }

    /** One instrument in every class: all trumpets of the year. */
    record InstrumentAcrossClasses(InstrumentCode instrument) implements SectionScope {
        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return seat.instrument().equals(instrument);
        }
    }
}
