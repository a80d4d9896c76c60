package vividroster.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import vividroster.core.plan.PlanMilestone.Deadline;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanMilestone.Need;
import vividroster.core.plan.PlanMilestone.Share;

/** Years made up from a seed: whole ones like those a school plans, and small ones that can be solved exactly. */
public final class MadeUpYear {

    private static final int WEEKS = 42;
    private static final int CLOSED = 6;

    private final Random random;
    private final List<Boolean> closed = new ArrayList<>();
    private final List<PlanClass> classes = new ArrayList<>();
    private final List<PlanProblem.Section> sections = new ArrayList<>();
    private final List<PlanMilestone> milestones = new ArrayList<>();
    private final List<List<String>> sequences = new ArrayList<>();

    private MadeUpYear(long seed) {
        random = new Random(seed);
    }

    /** 400 milestones of 14 sections in four classes, 36 teaching weeks of 42, 90 to 105 percent full. */
    public static PlanProblem whole(long seed) {
        return whole(seed, 400);
    }

    public static PlanProblem whole(long seed, int milestones) {
        MadeUpYear year = new MadeUpYear(seed);
        year.calendar();
        int[] sizes = {5, 1, 4, 4};
        for (int k = 0; k < sizes.length; k++) {
            year.wholeClass("c" + k, sizes[k], milestones / sizes.length);
        }
        return year.problem(PlanPrices.balanced(), Map.of());
    }

    /** The first open week from the middle of the year on. */
    public static int midYear(PlanProblem year) {
        int week = year.weeks().count() / 2;
        while (!year.weeks().isOpen(week)) {
            week++;
        }
        return week;
    }

    /** A week of a planned year is lost; what stood before it was heard. */
    public static PlanProblem lost(Plan plan, int week) {
        PlanProblem year = plan.problem();
        List<Boolean> closed = new ArrayList<>();
        for (int w = 1; w <= year.weeks().count(); w++) {
            closed.add(w == week || !year.weeks().isOpen(w));
        }
        List<PlanClass> classes = year.classes().stream()
                .map(k -> {
                    List<Integer> minutes = new ArrayList<>(k.minutes());
                    minutes.set(week - 1, 0);
                    return new PlanClass(k.id(), minutes);
                })
                .toList();
        return new PlanProblem(
                new TeachingWeeks(closed),
                classes,
                year.sections(),
                heard(plan, week),
                year.sequences(),
                year.rules(),
                year.prices(),
                plan.weeks());
    }

    /** From a week on the first section takes twice as long. */
    public static PlanProblem slow(Plan plan, int week) {
        PlanProblem year = plan.problem();
        String slow = year.sections().getFirst().id();
        List<PlanMilestone> milestones = heard(plan, week).stream()
                .map(m -> m.isHeard()
                        ? m
                        : m.part(
                                m.id(),
                                m.value(),
                                m.sections().stream()
                                        .map(s -> s.section().equals(slow)
                                                ? new Share(
                                                        slow, s.teachMinutes() * 2, s.hearMinutes() * 2, s.newNotes())
                                                : s)
                                        .toList(),
                                m.needs()))
                .toList();
        return new PlanProblem(
                year.weeks(),
                year.classes(),
                year.sections(),
                milestones,
                year.sequences(),
                year.rules(),
                year.prices(),
                plan.weeks());
    }

    private static List<PlanMilestone> heard(Plan plan, int before) {
        return plan.problem().milestones().stream()
                .map(m -> plan.weekOf(m.id()).orElse(before) < before
                        ? m.fixedIn(plan.weeks().get(m.id()), FixedBecause.HEARD)
                        : m)
                .toList();
    }

    /** How many stand elsewhere, or nowhere, that stood in the plan in force. */
    public static long moves(Plan plan) {
        return plan.problem().today().entrySet().stream()
                .filter(stood -> !stood.getValue().equals(plan.weeks().get(stood.getKey())))
                .count();
    }

    private PlanProblem problem(PlanPrices prices, Map<String, Integer> today) {
        return new PlanProblem(
                new TeachingWeeks(closed), classes, sections, milestones, sequences, PlanRules.DEFAULT, prices, today);
    }

    private void calendar() {
        for (int w = 0; w < WEEKS; w++) {
            closed.add(false);
        }
        for (int n = 0; n < CLOSED; ) {
            int w = 2 + random.nextInt(WEEKS - 4);
            if (!closed.get(w)) {
                closed.set(w, true);
                n++;
            }
        }
    }

    private int openWeek(int from, int to) {
        int week = from + random.nextInt(to - from + 1);
        while (closed.get(week - 1)) {
            week--;
        }
        return Math.max(1, week);
    }

    private void wholeClass(String id, int size, int count) {
        List<String> own = new ArrayList<>();
        for (int s = 0; s < size; s++) {
            own.add(id + "-s" + s);
            sections.add(new PlanProblem.Section(id + "-s" + s, id));
        }
        int tests = Math.max(1, count / 12);
        int checks = Math.max(1, count / 4);
        int lines = count - tests - checks;
        int first = milestones.size();
        lines(id, own, lines);
        checks(id, own, checks);
        tests(id, own, tests, lines);
        long wanted = milestones.subList(first, milestones.size()).stream()
                .mapToLong(m -> m.teachMinutes()
                        + m.sections().stream()
                                .mapToInt(s -> s.teachMinutes() + s.hearMinutes())
                                .sum())
                .sum();
        double fullness = 0.90 + 0.15 * random.nextDouble();
        double usual = wanted / fullness / (WEEKS - CLOSED) / 2.5;
        List<Integer> minutes = new ArrayList<>();
        for (int w = 0; w < WEEKS; w++) {
            int meetings = (w & 1) == 0 ? 2 : 3;
            if (random.nextInt(12) == 0) {
                meetings = 1;
            }
            minutes.add(closed.get(w) ? 0 : (int) Math.round(meetings * usual));
        }
        classes.add(new PlanClass(id, minutes));
    }

    private void lines(String id, List<String> own, int count) {
        List<String> book = new ArrayList<>();
        Map<String, List<String>> introducers = new HashMap<>();
        for (int l = 0; l < count; l++) {
            List<Share> shares = new ArrayList<>();
            List<Need> needs = new ArrayList<>();
            for (String section : own) {
                List<String> notes = new ArrayList<>();
                if (random.nextInt(9) == 0) {
                    notes.add(section + "-n" + l);
                }
                shares.add(new Share(section, random.nextInt(4) == 0 ? 1 : 0, 1 + random.nextInt(4), notes));
                List<String> known = introducers.computeIfAbsent(section, none -> new ArrayList<>());
                if (!known.isEmpty() && random.nextInt(4) == 0) {
                    add(needs, known.get(Math.max(0, known.size() - 1 - random.nextInt(3))), 0);
                }
                if (!notes.isEmpty()) {
                    known.add(id + "-l" + l);
                }
            }
            Optional<Deadline> deadline = random.nextInt(20) == 0 && l > count / 4
                    ? Optional.of(new Deadline(openWeek(Math.min(WEEKS, WEEKS * l / count + 2), WEEKS), 2))
                    : Optional.empty();
            milestones.add(new PlanMilestone(
                    id + "-l" + l,
                    random.nextInt(3) == 0 ? 40 : 60,
                    random.nextInt(5) < 2,
                    3 + random.nextInt(8),
                    shares,
                    needs,
                    random.nextInt(30) == 0 ? 1 + WEEKS * l / count / 2 : 1,
                    deadline,
                    OptionalInt.empty(),
                    FixedBecause.DATE));
            book.add(id + "-l" + l);
        }
        sequences.add(book);
    }

    private static void add(List<Need> needs, String milestone, int gap) {
        if (needs.stream().noneMatch(n -> n.milestone().equals(milestone))) {
            needs.add(new Need(milestone, gap));
        }
    }

    private void checks(String id, List<String> own, int count) {
        Map<String, List<String>> topics = new HashMap<>();
        for (int k = 0; k < count; k++) {
            List<String> who = random.nextInt(2) == 0 ? own : List.of(own.get(random.nextInt(own.size())));
            String topic = who.size() > 1 ? "all" + random.nextInt(3) : who.getFirst();
            List<String> sequence = topics.computeIfAbsent(topic, none -> new ArrayList<>());
            List<Need> needs = new ArrayList<>();
            if (!sequence.isEmpty() && random.nextInt(3) > 0) {
                add(needs, sequence.getLast(), 1);
            }
            milestones.add(new PlanMilestone(
                    id + "-k" + k,
                    random.nextInt(3) == 0 ? 100 : 80,
                    random.nextInt(3) > 0,
                    3 + random.nextInt(5),
                    who.stream()
                            .map(s -> new Share(s, random.nextInt(2), 1 + random.nextInt(5), List.of()))
                            .toList(),
                    needs,
                    1,
                    Optional.empty(),
                    OptionalInt.empty(),
                    FixedBecause.DATE));
            sequence.add(id + "-k" + k);
        }
        topics.keySet().stream().sorted().forEach(topic -> sequences.add(topics.get(topic)));
    }

    private void tests(String id, List<String> own, int count, int lines) {
        for (int t = 0; t < count; t++) {
            int by = lines * (t + 1) / (count + 1);
            List<Need> needs = new ArrayList<>();
            add(needs, id + "-l" + by, 1);
            add(needs, id + "-l" + Math.max(0, by - 1 - random.nextInt(4)), 1);
            int week = Math.min(WEEKS, WEEKS * (t + 1) / (count + 1) + 3);
            milestones.add(new PlanMilestone(
                    id + "-t" + t,
                    150,
                    random.nextInt(4) > 0,
                    4 + random.nextInt(5),
                    own.stream()
                            .map(s -> new Share(s, 0, 4 + random.nextInt(5), List.of()))
                            .toList(),
                    needs,
                    1,
                    Optional.empty(),
                    random.nextInt(4) == 0 ? OptionalInt.of(openWeek(week, WEEKS)) : OptionalInt.empty(),
                    FixedBecause.DATE));
        }
    }

    /**
     * Up to 12 milestones on 4 to 8 weeks, full to bursting: two classes, new notes, needs, dates, fixed ones of every kind,
     * closed weeks and weeks without minutes; half of them with a plan in force.
     */
    static PlanProblem small(long seed) {
        MadeUpYear year = new MadeUpYear(seed);
        return year.smallProblem(year.random.nextBoolean(), false);
    }

    /** The same with whatever contradicts itself: rings, dates in breaks, classes that never meet. */
    static PlanProblem odd(long seed) {
        MadeUpYear year = new MadeUpYear(seed);
        return year.smallProblem(year.random.nextBoolean(), true);
    }

    private PlanProblem smallProblem(boolean again, boolean odd) {
        int weeks = (odd ? 1 : 4) + random.nextInt(5);
        for (int w = 0; w < weeks; w++) {
            closed.add(random.nextInt(odd ? 3 : 7) == 0);
        }
        int classCount = 1 + random.nextInt(2);
        for (int k = 0; k < classCount; k++) {
            List<Integer> minutes = new ArrayList<>();
            for (int w = 0; w < weeks; w++) {
                boolean none = closed.get(w) && random.nextInt(3) > 0 || random.nextInt(odd ? 3 : 10) == 0;
                minutes.add(none ? 0 : 15 + random.nextInt(30));
            }
            classes.add(new PlanClass("k" + k, minutes));
            sections.add(new PlanProblem.Section("s" + k + "a", "k" + k));
            sections.add(new PlanProblem.Section("s" + k + "b", "k" + k));
        }
        int count = 7 + random.nextInt(6);
        for (int i = 0; i < count; i++) {
            milestones.add(smallMilestone(i, count, weeks, odd));
        }
        List<String> book = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            if (random.nextInt(3) > 0) {
                book.add("m" + i);
            }
        }
        sequences.add(book);
        Map<String, Integer> today = new HashMap<>();
        for (int i = 0; again && i < count; i++) {
            if (random.nextInt(4) > 0) {
                today.put("m" + i, Math.min(weeks, 1 + i * weeks / count + random.nextInt(2)));
            }
        }
        PlanPrices prices =
                again && random.nextBoolean() ? PlanPrices.balanced().leastChange() : PlanPrices.balanced();
        return problem(prices, today);
    }

    private PlanMilestone smallMilestone(int i, int count, int weeks, boolean odd) {
        List<Share> shares = new ArrayList<>();
        for (PlanProblem.Section section : sections) {
            if (random.nextInt(2) == 0) {
                List<String> notes = random.nextInt(3) == 0 ? List.of("n" + i) : List.of();
                shares.add(new Share(section.id(), random.nextInt(3), random.nextInt(6), notes));
            }
        }
        List<Need> needs = new ArrayList<>();
        for (int n = 0; n < 2; n++) {
            int of = odd ? random.nextInt(count) : i == 0 ? 0 : random.nextInt(i);
            if (random.nextInt(3) == 0 && (odd || of < i)) {
                add(needs, "m" + of, random.nextInt(3) == 0 ? 1 : 0);
            }
        }
        boolean isFixed = random.nextInt(7) == 0;
        return new PlanMilestone(
                "m" + i,
                20 + 20 * random.nextInt(7),
                random.nextInt(4) == 0,
                random.nextInt(12),
                shares,
                needs,
                random.nextInt(5) == 0 ? 1 + random.nextInt(weeks) : 1,
                random.nextInt(4) == 0
                        ? Optional.of(new Deadline(1 + random.nextInt(weeks), random.nextInt(3)))
                        : Optional.empty(),
                isFixed ? OptionalInt.of(1 + random.nextInt(weeks)) : OptionalInt.empty(),
                FixedBecause.values()[random.nextInt(3)]);
    }
}
