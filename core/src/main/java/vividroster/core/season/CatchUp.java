package vividroster.core.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear.Week;

/**
 * A track for those who come to a section late, laid onto the weeks in which its class meets.
 *
 * @param orders in the order of the track
 * @param withoutWeek what the year has no week for any more, in that order
 */
public record CatchUp(List<MilestoneOrder> orders, List<UUID> withoutWeek) {

    public CatchUp {
        orders = List.copyOf(orders);
        withoutWeek = List.copyOf(withoutWeek);
    }

    /**
     * One week of the track in each week of meeting from the day they come, due on the last meeting of it.
     *
     * @param whom of one class
     * @param track week by week
     * @param ids of the orders
     * @param evidence that can make the pass, by milestone; what counts by default where a milestone is not named
     */
    public static CatchUp of(
            SectionScope.Newcomers whom,
            List<List<UUID>> track,
            Map<UUID, Set<Evidence>> evidence,
            ClassTimes times,
            SchoolYear year,
            Supplier<UUID> ids) {
        List<List<LocalDate>> weeks = times.weeksFrom(year, whom.since()).stream()
                .map((Week week) -> times.daysIn(year, week).stream()
                        .filter(day -> !day.isBefore(whom.since()))
                        .toList())
                .filter(days -> !days.isEmpty())
                .toList();
        List<MilestoneOrder> orders = new ArrayList<>();
        List<UUID> without = new ArrayList<>();
        for (int i = 0; i < track.size(); i++) {
            if (i >= weeks.size()) {
                without.addAll(track.get(i));
                continue;
            }
            List<LocalDate> days = weeks.get(i);
            track.get(i)
                    .forEach(milestoneId -> orders.add(new MilestoneOrder(
                            ids.get(),
                            milestoneId,
                            days.getFirst(),
                            days.getLast(),
                            evidence.getOrDefault(milestoneId, Evidence.countingByDefault()),
                            List.of(whom))));
        }
        return new CatchUp(orders, without);
    }
}
