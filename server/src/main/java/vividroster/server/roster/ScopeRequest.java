package vividroster.server.roster;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.Typed;

/**
 * Whole sections as the API names them: a class alone is tutti, with a family or an instrument (and division) a part
 * of it; an instrument without a class is that instrument in every class; joined since a day, who came to a class, or a
 * section of it, then or later.
 */
public record ScopeRequest(
        @Absent UUID classId,
        @Absent Family family,
        @Absent InstrumentCode instrument,
        @Absent String division,
        @Absent LocalDate joinedSince) {

    public ScopeRequest(UUID classId, Family family, InstrumentCode instrument, String division) {
        this(classId, family, instrument, division, null);
    }

    /** The same sections in another class. */
    public ScopeRequest in(UUID otherClassId) {
        return new ScopeRequest(otherClassId, family, instrument, division, joinedSince);
    }

    /** @throws Problem when the parts do not name a section */
    public SectionScope toScope() {
        if (joinedSince != null) {
            if (classId == null || family != null || Typed.given(division).isPresent()) {
                throw Problem.input(
                        "joinedSince", "Who joined since a day is asked of a whole class, or of one instrument in it.");
            }
            return new SectionScope.Newcomers(classId, Optional.ofNullable(instrument), joinedSince);
        }
        if (family != null && instrument != null) {
            throw Problem.input("family", "Choose a family or an instrument, not both.");
        }
        if (classId == null) {
            if (instrument == null) {
                throw Problem.input("classId", "Choose a class, or an instrument in every class.");
            }
            return new SectionScope.InstrumentAcrossClasses(instrument);
        }
        if (family != null) {
            return new SectionScope.FamilyOfClass(classId, family);
        }
        return instrument == null
                ? new SectionScope.Tutti(classId)
                : new SectionScope.Section(classId, instrument, Typed.given(division));
    }

    public static ScopeRequest of(SectionScope scope) {
        return switch (scope) {
            case SectionScope.Tutti tutti -> new ScopeRequest(tutti.classId(), null, null, null);
            case SectionScope.FamilyOfClass part -> new ScopeRequest(part.classId(), part.family(), null, null);
            case SectionScope.Section section ->
                new ScopeRequest(
                        section.classId(),
                        null,
                        section.instrument(),
                        section.division().orElse(null));
            case SectionScope.Newcomers newcomers ->
                new ScopeRequest(
                        newcomers.classId(), null, newcomers.instrument().orElse(null), null, newcomers.since());
            case SectionScope.InstrumentAcrossClasses all -> new ScopeRequest(null, null, all.instrument(), null);
        };
    }

    /** The instruments of a scope, for a query; empty means all. */
    static List<InstrumentCode> instruments(SectionScope scope, InstrumentCatalog catalog) {
        return switch (scope) {
            case SectionScope.Tutti tutti -> List.of();
            case SectionScope.Newcomers newcomers ->
                newcomers.instrument().map(List::of).orElse(List.of());
            case SectionScope.FamilyOfClass part ->
                catalog.inScoreOrder().stream()
                        .filter(i -> i.family() == part.family())
                        .map(Instrument::code)
                        .toList();
            case SectionScope.Section section -> List.of(section.instrument());
            case SectionScope.InstrumentAcrossClasses all -> List.of(all.instrument());
        };
    }
}
