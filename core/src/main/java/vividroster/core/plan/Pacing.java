package vividroster.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import vividroster.core.plan.PlanMilestone.Need;
import vividroster.core.plan.PlanMilestone.Share;

/** How a class keeps its sections together; settled before anything is planned. (domain.md, section 5.) */
public enum Pacing {
    /** Everybody in step by week: a milestone has one week for all its sections. */
    IN_STEP,
    /** Each section at its own pace: a milestone becomes one for each of its sections. */
    MASTERY,
    /** In step, with minutes kept back each week for what was carried over. */
    IN_STEP_WITH_CARRY_OVER;

    /** Of a week's minutes, kept back for catching up, in percent. */
    public static final int DEFAULT_RESERVE = 10;

    /** A section that runs behind is given no more than so many times its minutes. */
    private static final double MOST_SLOWER = 2;

    /** Between a milestone and the section it is for. */
    private static final String OF = " · ";

    /** @param reservePercent of each week's minutes, only where it is asked for */
    public PlanProblem settled(PlanProblem year, int reservePercent) {
        sensible(reservePercent);
        return switch (this) {
            case IN_STEP -> year;
            case MASTERY -> bySection(year);
            case IN_STEP_WITH_CARRY_OVER ->
                year.withClasses(year.classes().stream()
                        .map(k -> new PlanClass(
                                k.id(),
                                k.minutes().stream()
                                        .map(minutes -> left(minutes, reservePercent))
                                        .toList()))
                        .toList());
        };
    }

    /** Minutes of a week that are planned with, the reserve of this pacing taken off; rounded down. */
    public int left(int minutes, int reservePercent) {
        sensible(reservePercent);
        return this == IN_STEP_WITH_CARRY_OVER ? minutes * (100 - reservePercent) / 100 : minutes;
    }

    private static void sensible(int reservePercent) {
        if (reservePercent < 0 || reservePercent > 90) {
            throw new IllegalArgumentException("reserve must be in 0..90 percent, was " + reservePercent);
        }
    }

    /**
     * Minutes a section takes that does not keep its planned pace, rounded up; never fewer than planned.
     *
     * @param planned passes in a usual week
     * @param own the same as it is; 0 or less counts as slowest
     */
    public static int slowed(int minutes, double planned, double own) {
        double slower = own <= 0 ? MOST_SLOWER : Math.clamp(planned / own, 1, MOST_SLOWER);
        return (int) Math.ceil(minutes * slower - 1e-9);
    }

    /** What names the part of a milestone that is for one section. */
    public static String idFor(String milestone, String section) {
        return milestone + OF + section;
    }

    private static PlanProblem bySection(PlanProblem year) {
        Map<String, PlanMilestone> all = year.milestones().stream()
                .collect(Collectors.toMap(PlanMilestone::id, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        List<PlanMilestone> own = new ArrayList<>();
        for (PlanMilestone m : year.milestones()) {
            if (m.sections().isEmpty()) {
                own.add(m);
            }
            for (Share share : m.sections()) {
                own.add(m.part(
                        idFor(m.id(), share.section()),
                        m.value(),
                        List.of(share),
                        m.needs().stream()
                                .flatMap(need -> parts(all.get(need.milestone()), share.section()).stream()
                                        .map(id -> new Need(id, need.gapWeeks())))
                                .toList()));
            }
        }
        List<List<String>> books = new ArrayList<>();
        for (List<String> book : year.sequences()) {
            for (PlanProblem.Section section : year.sections()) {
                List<String> its = book.stream()
                        .map(all::get)
                        .filter(m -> isFor(m, section.id()))
                        .map(m -> idFor(m.id(), section.id()))
                        .toList();
                if (its.size() > 1) {
                    books.add(its);
                }
            }
        }
        Map<String, Integer> today = new LinkedHashMap<>();
        year.today().forEach((id, week) -> {
            PlanMilestone m = all.get(id);
            if (m.sections().isEmpty()) {
                today.put(id, week);
            }
            m.sections().forEach(share -> today.put(idFor(id, share.section()), week));
        });
        return new PlanProblem(
                year.weeks(), year.classes(), year.sections(), own, books, year.rules(), year.prices(), today);
    }

    private static boolean isFor(PlanMilestone m, String section) {
        return m.sections().stream().anyMatch(share -> share.section().equals(section));
    }

    /** A section waits for its own part of what it needs, or for everybody's where it has none. */
    private static List<String> parts(PlanMilestone need, String section) {
        if (isFor(need, section)) {
            return List.of(idFor(need.id(), section));
        }
        return need.sections().isEmpty()
                ? List.of(need.id())
                : need.sections().stream()
                        .map(share -> idFor(need.id(), share.section()))
                        .toList();
    }
}
