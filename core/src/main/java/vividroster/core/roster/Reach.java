package vividroster.core.roster;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import vividroster.core.instrument.InstrumentCatalog;

/** Whom somebody sees and hears. */
public sealed interface Reach {

    Reach EVERYBODY = new Everybody();

    boolean holds(Seat seat, InstrumentCatalog catalog);

    /** Whether points of playing tests are theirs to see and give. */
    default boolean seesGrades() {
        return true;
    }

    /** Whether what they record is marked as a substitute teacher's. */
    default boolean isSubstitute() {
        return false;
    }

    /** Those of these seats that are within it. */
    default List<Seat> of(Collection<Seat> seats, InstrumentCatalog catalog) {
        return seats.stream().filter(seat -> holds(seat, catalog)).toList();
    }

    record Everybody() implements Reach {
        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return true;
        }

        @Override
        public List<Seat> of(Collection<Seat> seats, InstrumentCatalog catalog) {
            return List.copyOf(seats);
        }
    }

    /** A coach's own sections. */
    record OwnSections(List<SectionScope> sections) implements Reach {
        public OwnSections {
            sections = List.copyOf(sections);
        }

        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return sections.stream().anyMatch(section -> section.holds(seat, catalog));
        }

        @Override
        public boolean seesGrades() {
            return false;
        }
    }

    /** The classes that meet on a day, for a substitute teacher. */
    record ClassesOfDay(Set<UUID> classIds) implements Reach {
        public ClassesOfDay {
            classIds = Set.copyOf(classIds);
        }

        @Override
        public boolean holds(Seat seat, InstrumentCatalog catalog) {
            return classIds.contains(seat.classId());
        }

        @Override
        public boolean isSubstitute() {
            return true;
        }
    }
}
