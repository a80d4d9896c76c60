package vividroster.server.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.plan.PlanItem;
import vividroster.core.roster.SectionScope;

/**
 * What was chosen for a year, as it is kept.
 *
 * @param ordinal place among what was chosen
 * @param title of what is no milestone; empty for one
 * @param monday of the week it stands in; empty while it stands nowhere
 */
record KeptItem(
        UUID id,
        int ordinal,
        PlanItem.Kind kind,
        Optional<UUID> milestoneId,
        String title,
        int value,
        boolean essential,
        int teachMinutes,
        boolean heardAlone,
        Optional<LocalDate> notBefore,
        Optional<LocalDate> dueBy,
        int marginWeeks,
        Optional<LocalDate> monday,
        boolean pinned,
        List<SectionScope> scopes) {

    KeptItem {
        scopes = List.copyOf(scopes);
    }

    /** The same for other sections, under an id of its own. */
    KeptItem forSections(UUID otherId, List<SectionScope> others) {
        return new KeptItem(
                otherId,
                ordinal,
                kind,
                milestoneId,
                title,
                value,
                essential,
                teachMinutes,
                heardAlone,
                notBefore,
                dueBy,
                marginWeeks,
                monday,
                pinned,
                others);
    }

    KeptItem standing(Optional<LocalDate> otherMonday, boolean isPinned) {
        return new KeptItem(
                id,
                ordinal,
                kind,
                milestoneId,
                title,
                value,
                essential,
                teachMinutes,
                heardAlone,
                notBefore,
                dueBy,
                marginWeeks,
                otherMonday,
                isPinned,
                scopes);
    }
}
