package vividroster.server.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.Instrument;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.PlanProblem;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.Week;
import vividroster.server.roster.SchoolClass;
import vividroster.server.season.PlanYearQueries.ClassPacing;
import vividroster.server.season.PlanYearQueries.Settings;

/**
 * The plan of a year for classes that hang together, as it is now. Weeks are counted from 1, as the planner does.
 *
 * @param firstFree the first week that may still be changed
 * @param problem what the planner plans; its plan of today is the one in force
 * @param newNotes by item and section, all that a page brings
 * @param ensembleBelts milestones of the belts that admit to an ensemble: the last of each ladder
 * @param crowded items that bring a section more new notes than a week may
 * @param milestones of its items and orders, by id
 * @param nobody what was chosen for sections in which nobody sits
 */
record SeasonYear(
        UUID programId,
        UUID yearId,
        SchoolYear year,
        LocalDate today,
        long revision,
        List<SchoolClass> classes,
        List<Section> sections,
        List<Item> items,
        int firstFree,
        Settings settings,
        Map<UUID, ClassPacing> pacing,
        PlanProblem problem,
        Map<String, Map<String, List<String>>> newNotes,
        List<String> crowded,
        Set<String> ensembleBelts,
        Map<UUID, Milestone> milestones,
        List<KeptItem> nobody) {

    /** @param division empty where the music divides nothing */
    record Section(String id, UUID classId, Instrument instrument, String division, int students, int pacePercent) {}

    /**
     * @param kept empty for what was ordered without a plan
     * @param orders that set it, by due day
     * @param name as it is spoken of in a sentence
     */
    record Item(PlanItem item, Optional<KeptItem> kept, List<MilestoneOrder> orders, String name) {

        String id() {
            return item.id();
        }

        boolean isFree() {
            return item.hold() == PlanItem.Hold.FREE;
        }
    }

    Week week(int number) {
        return year.weeks().get(number - 1);
    }

    LocalDate monday(int number) {
        return week(number).monday();
    }

    /** The number of the week a day falls in; empty outside the year. */
    Optional<Integer> weekOf(LocalDate day) {
        return number(year, day);
    }

    static Optional<Integer> number(SchoolYear year, LocalDate day) {
        for (int i = 0; i < year.weeks().size(); i++) {
            if (year.weeks().get(i).covers(day)) {
                return Optional.of(i + 1);
            }
        }
        return Optional.empty();
    }

    Optional<Item> item(String id) {
        return items.stream().filter(item -> item.id().equals(id)).findFirst();
    }

    ClassPacing pacingOf(UUID classId) {
        return pacing.getOrDefault(classId, ClassPacing.USUAL);
    }
}
