package vividroster.server.podium;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.ToIntFunction;
import vividroster.core.curriculum.Milestone;
import vividroster.core.progress.Capped;
import vividroster.core.rehearsal.PeriodPlan;
import vividroster.core.rehearsal.PeriodPlan.Kind;
import vividroster.core.rehearsal.PeriodPlan.Wish;
import vividroster.server.platform.Absent;
import vividroster.server.podium.Podiums.HearView;

/** How the minutes of a class's period are spent. */
final class Periods {

    private Periods() {}

    /**
     * What the period is wanted for.
     *
     * @param key its own within the period
     * @param perStudent seconds a student takes, of a hearing
     */
    record WishView(
            String key,
            Kind kind,
            String name,
            @Absent UUID milestoneId,
            int minutes,
            int least,
            @Absent Integer perStudent) {}

    record SegmentView(String key, int begins, int minutes) {}

    /** @param minutes it gets, 0 where it is left out */
    record ShortenedView(String key, int wanted, int minutes) {}

    record SpentView(List<SegmentView> segments, int spare, List<ShortenedView> shortened) {}

    record PeriodView(List<WishView> wishes, SpentView spent) {}

    /** @param taught the most pressing first; hear what can be heard, likewise */
    static PeriodView of(int minutes, List<Milestone> taught, List<HearView> hear, ToIntFunction<UUID> perStudent) {
        List<WishView> wishes = new ArrayList<>();
        wishes.add(new WishView("open", Kind.OPEN, "open", null, PeriodPlan.OPENING, PeriodPlan.LEAST_OPENING, null));
        Capped.of(taught, PeriodPlan.MOST_TAUGHT)
                .shown()
                .forEach(milestone -> wishes.add(new WishView(
                        "teach " + milestone.id(),
                        Kind.TEACH,
                        Deciding.name(milestone),
                        milestone.id(),
                        PeriodPlan.TEACHING,
                        PeriodPlan.LEAST_TEACHING,
                        null)));
        hear.stream()
                .filter(one -> one.open() > 0)
                .findFirst()
                .ifPresent(one -> wishes.add(new WishView(
                        "hear " + one.milestoneId(),
                        Kind.HEAR,
                        one.shortName(),
                        one.milestoneId(),
                        PeriodPlan.wholeMinutes(one.seconds()),
                        1,
                        perStudent.applyAsInt(one.milestoneId()))));
        return new PeriodView(
                wishes,
                spent(PeriodPlan.of(
                        0,
                        minutes,
                        wishes.stream()
                                .map(wish -> new Wish(wish.key(), wish.kind(), wish.minutes(), wish.least()))
                                .toList(),
                        Map.of())));
    }

    static SpentView spent(PeriodPlan plan) {
        return new SpentView(
                plan.segments().stream()
                        .map(segment -> new SegmentView(segment.key(), segment.begins(), segment.minutes()))
                        .toList(),
                plan.spare(),
                plan.shortened().stream()
                        .map(one -> new ShortenedView(one.key(), one.wanted(), one.minutes()))
                        .toList());
    }
}
