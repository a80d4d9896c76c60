package vividroster.bench;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import vividroster.core.plan.MadeUpYear;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanBudget;
import vividroster.core.plan.PlanProblem;
import vividroster.core.plan.Planner;
import vividroster.core.plan.SectionYears;

/**
 * How long a year takes to plan and to plan again, on the thread's own clock, and how good the plans are: beside the same
 * planner with 3 million steps. Years of 400 milestones, 14 sections and 36 teaching weeks, made up.
 */
final class PlanBench {

    private static final int YEARS = 12;
    private static final int RUNS = 3;
    private static final PlanBudget LONG = new PlanBudget(7_500, 3_000_000);
    private static final ThreadMXBean CLOCK = ManagementFactory.getThreadMXBean();

    private final List<Double> took = new ArrayList<>();

    private PlanBench() {}

    static void run() {
        System.out.println("Planning, milliseconds of processor time on one core, warm");
        List<Plan> plans = plans();
        rePlans(plans);
        large();
        SectionYears.Coverage coverage = SectionYears.coverage(20_000, 1);
        System.out.printf(
                Locale.ROOT,
                "Forecast: the 80 percent range holds %.1f %% of 20,000 made-up section-years (goal 76 to 86); mean width"
                        + " %.1f weeks%n",
                100 * coverage.share(),
                coverage.meanWidth());
    }

    private static List<Plan> plans() {
        List<Plan> plans = new ArrayList<>();
        for (int seed = 1; seed <= YEARS; seed++) {
            plans.add(Planner.plan(MadeUpYear.whole(seed), PlanBudget.DEFAULT));
        }
        PlanBench timed = new PlanBench();
        long usual = 0;
        long far = 0;
        int missed = 0;
        for (Plan plan : plans) {
            for (int run = 0; run < RUNS; run++) {
                timed.time(() -> Planner.plan(plan.problem(), PlanBudget.DEFAULT));
            }
            Plan longer = Planner.plan(plan.problem(), LONG);
            usual += plan.points().total();
            far += longer.points().total();
            missed += essentialLeftOut(plan) > essentialLeftOut(longer) ? 1 : 0;
        }
        timed.print("plan of 400 milestones", 500);
        System.out.printf(
                Locale.ROOT,
                "points of %d years: %d, with 3,000,000 steps %d: %.2f times (goal 1.25); years that leave out an essential"
                        + " one the long look places: %d (goal 0)%n",
                YEARS,
                usual,
                far,
                (double) usual / far,
                missed);
        return plans;
    }

    private static long essentialLeftOut(Plan plan) {
        return plan.problem().milestones().stream()
                .filter(m -> m.essential() && plan.leftOut().contains(m.id()))
                .count();
    }

    private static void rePlans(List<Plan> plans) {
        PlanBench timed = new PlanBench();
        StringBuilder moves = new StringBuilder();
        for (Plan plan : plans) {
            int week = MadeUpYear.midYear(plan.problem());
            for (PlanProblem changed : List.of(MadeUpYear.lost(plan, week), MadeUpYear.slow(plan, week))) {
                PlanProblem least = changed.with(changed.prices().leastChange());
                Plan again = timed.time(() -> Planner.plan(least, PlanBudget.DEFAULT));
                timed.time(() -> Planner.plan(changed, PlanBudget.DEFAULT));
                long longer = MadeUpYear.moves(Planner.plan(least, LONG));
                moves.append(' ').append(MadeUpYear.moves(again)).append('/').append(longer);
            }
        }
        timed.print("re-plan (lost week, slow section)", 600);
        System.out.println("moves of least change / with 3,000,000 steps:" + moves);
    }

    private static void large() {
        PlanBench timed = new PlanBench();
        PlanProblem year = MadeUpYear.whole(1, 5_000);
        for (int run = 0; run < RUNS; run++) {
            timed.time(() -> Planner.plan(year, PlanBudget.DEFAULT));
        }
        timed.print("plan of 5,000 milestones, steps capped", 2_000);
    }

    private <T> T time(Supplier<T> work) {
        long begun = CLOCK.getCurrentThreadCpuTime();
        T done = work.get();
        took.add((CLOCK.getCurrentThreadCpuTime() - begun) / 1e6);
        return done;
    }

    private void print(String what, int goal) {
        List<Double> sorted = took.stream().sorted().toList();
        System.out.printf(
                Locale.ROOT,
                "%s: p50 %.0f p95 %.0f ms (goal %d)%n",
                what,
                sorted.get(sorted.size() / 2),
                sorted.get(Math.min(sorted.size() - 1, (int) Math.ceil(0.95 * sorted.size()) - 1)),
                goal);
    }
}
