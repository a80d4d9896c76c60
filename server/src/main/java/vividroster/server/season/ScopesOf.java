package vividroster.server.season;

import java.util.UUID;
import vividroster.core.roster.SectionScope;

/** Whose scopes they are. */
final class ScopesOf {

    private ScopesOf() {}

    /** Whether a plan's scope is of a class or of every class; those who came later are no part of a plan. */
    static boolean reach(SectionScope scope, UUID classId) {
        return switch (scope) {
            case SectionScope.Tutti tutti -> tutti.classId().equals(classId);
            case SectionScope.FamilyOfClass family -> family.classId().equals(classId);
            case SectionScope.Section section -> section.classId().equals(classId);
            case SectionScope.Newcomers newcomers -> false;
            case SectionScope.InstrumentAcrossClasses all -> true;
        };
    }
}
