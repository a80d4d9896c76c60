package vividroster.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltRule;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltLadder;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.Standing;
import vividroster.core.progress.Standings;
import vividroster.core.progress.Trail;

/** How long the belts of a whole programme take to be told anew from its attempts alone, which are loaded already. */
final class BeltBench {

    private static final int STUDENTS = 300;
    private static final int BELTS = 7;
    private static final int SLOTS = 6;
    private static final int TRIES = 4;
    private static final int RUNS = 40;
    private static final double GOAL_MILLIS = 200;
    private static final LocalDate FIRST = LocalDate.of(2026, 8, 17);
    private static final LocalDate ON = FIRST.plusDays(180);
    private static final InstrumentCode FLUTE = new InstrumentCode("flute");

    private BeltBench() {}

    static void run() {
        List<Milestone> milestones = new ArrayList<>();
        for (int i = 0; i < BELTS * SLOTS; i++) {
            milestones.add(new Milestone(
                    new UUID(1, i),
                    MilestoneKind.LINE,
                    "" + i,
                    "Line " + i,
                    false,
                    Set.of(),
                    1,
                    i % 3 == 0 ? new PassRule.KOfLastN(2, 3) : new PassRule.OneGoodTry(),
                    List.of()));
        }
        Ladder ladder = ladder();
        List<Map<UUID, Trail>> trails = trails(milestones);
        double[] millis = new double[RUNS];
        int earned = 0;
        // The first half warms up.
        for (int run = 0; run < 2 * RUNS; run++) {
            long begin = System.nanoTime();
            earned = recompute(ladder, milestones, trails);
            millis[run % RUNS] = (System.nanoTime() - begin) / 1e6;
        }
        Arrays.sort(millis);
        System.out.printf(
                Locale.ROOT,
                "belts of %d students, %d belts of %d slots, %d tries each, told anew: p50 %.1f ms, worst %.1f ms (goal %.0f, %s); %d earned%n",
                STUDENTS,
                BELTS,
                SLOTS,
                TRIES,
                millis[RUNS / 2],
                millis[RUNS - 1],
                GOAL_MILLIS,
                millis[RUNS - 1] < GOAL_MILLIS ? "met" : "MISSED",
                earned);
    }

    private static int recompute(Ladder ladder, List<Milestone> milestones, List<Map<UUID, Trail>> trails) {
        int earned = 0;
        for (Map<UUID, Trail> own : trails) {
            Map<UUID, Standing> standings = new HashMap<>();
            for (Milestone milestone : milestones) {
                standings.put(
                        milestone.id(),
                        Standings.of(milestone, own.get(milestone.id()), FLUTE, Standings.Terms.UNSET, ON));
            }
            BeltLadder climbed = new BeltLadder(ladder);
            earned += climbed.earned(FLUTE, standings).size();
            climbed.worn(FLUTE, standings);
        }
        return earned;
    }

    /** As it is, and as it was before it was edited in the middle of the year. */
    private static Ladder ladder() {
        return new Ladder(
                "winds",
                belts(BeltRule.EVERY_SLOT),
                List.of(new Ladder.Earlier(FIRST.plusDays(90), belts(new BeltRule.AtLeast(SLOTS - 1)))));
    }

    private static List<Belt> belts(BeltRule rule) {
        List<Belt> belts = new ArrayList<>();
        for (int rank = 1; rank <= BELTS; rank++) {
            List<BeltSlot> slots = new ArrayList<>();
            for (int slot = 0; slot < SLOTS; slot++) {
                slots.add(new BeltSlot(
                        slot + 1, "Slot", Map.of(BeltSlot.ANY, new UUID(1, (rank - 1L) * SLOTS + slot))));
            }
            belts.add(new Belt(new UUID(2, rank), "winds", rank, "Belt " + rank, slots, rule, Set.of()));
        }
        return belts;
    }

    private static List<Map<UUID, Trail>> trails(List<Milestone> milestones) {
        Random dice = new Random(7);
        List<Map<UUID, Trail>> trails = new ArrayList<>();
        for (int student = 0; student < STUDENTS; student++) {
            Map<UUID, Trail> own = new HashMap<>();
            for (Milestone milestone : milestones) {
                List<Trail.Step> steps = new ArrayList<>();
                for (int i = 0; i < TRIES; i++) {
                    steps.add(new Trail.Step(
                            FLUTE,
                            FIRST.plusDays(dice.nextInt(180)),
                            1,
                            Evidence.LIVE_ALONE,
                            dice.nextInt(10) < 7 ? Outcome.PASS : Outcome.NOT_YET,
                            false));
                }
                own.put(milestone.id(), new Trail(steps));
            }
            trails.add(own);
        }
        return trails;
    }
}
