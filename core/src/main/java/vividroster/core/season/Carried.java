package vividroster.core.season;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;

/**
 * What an order of a technique check carries for one part of its sections: the same check, at another place for each.
 * Free words are the director's; empty ones say nothing.
 *
 * @param whom for whom it is
 * @param lineId the line or study it is done with
 * @param place the string, position or register, for example "D string, third position"
 * @param pattern the finger pattern, for example "2 and 3 close"
 * @param drill what is done, for example "four bows to a note, then two"
 */
public record Carried(Whom whom, Optional<UUID> lineId, String place, String pattern, String drill) {

    public Carried {
        if (lineId.isEmpty() && place.isBlank() && pattern.isBlank() && drill.isBlank()) {
            throw new IllegalArgumentException("what a section carries needs a line, a place, a pattern or a drill");
        }
    }

    /** Part of an order's sections. */
    public sealed interface Whom {}

    /** All that nothing closer is said of. */
    public record Everybody() implements Whom {}

    public record OfFamily(Family family) implements Whom {}

    /** @param division empty for the whole section */
    public record OfSection(InstrumentCode instrument, Optional<String> division) implements Whom {}

    /** What the holder of a seat carries: the closest of its division, its section, its family, everybody. */
    public static Optional<Carried> closest(List<Carried> carried, Seat seat, InstrumentCatalog catalog) {
        return carried.stream()
                .filter(one -> closeness(one.whom(), seat, catalog) > 0)
                .max(Comparator.comparingInt(one -> closeness(one.whom(), seat, catalog)));
    }

    /** 0 when it is not for this seat. */
    private static int closeness(Whom whom, Seat seat, InstrumentCatalog catalog) {
        return switch (whom) {
            case Everybody everybody -> 1;
            case OfFamily of ->
                of.family() == catalog.withCode(seat.instrument()).family() ? 2 : 0;
            case OfSection of when !of.instrument().equals(seat.instrument()) -> 0;
            case OfSection of ->
                of.division()
                        .map(division -> division.equals(seat.division()) ? 4 : 0)
                        .orElse(3);
        };
    }
}
