package vividroster.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanMilestone.Need;
import vividroster.core.plan.PlanMilestone.Share;

/**
 * The rules and the sum once more, written from planning.md's words over plain maps; shares no code with the planner, so
 * that both are wrong together only by chance.
 */
final class PlanChecker {

    private final PlanProblem p;
    private final int weeks;
    private final Map<String, PlanMilestone> byId = new HashMap<>();
    private final Map<String, String> classOf = new HashMap<>();
    private final Map<String, PlanClass> classes = new HashMap<>();

    PlanChecker(PlanProblem p) {
        this.p = p;
        int count = 0;
        while (p.weeks().has(count + 1)) {
            count++;
        }
        weeks = count;
        p.milestones().forEach(m -> byId.put(m.id(), m));
        p.sections().forEach(s -> classOf.put(s.id(), s.classId()));
        p.classes().forEach(k -> classes.put(k.id(), k));
    }

    private int t(int week) {
        int open = 0;
        for (int w = 1; w <= week; w++) {
            open += p.weeks().isOpen(w) ? 1 : 0;
        }
        return open;
    }

    private boolean heard(PlanMilestone m) {
        return m.fixedWeek().isPresent() && m.fixedBecause() == FixedBecause.HEARD;
    }

    private Map<String, Integer> minutesOf(PlanMilestone m) {
        Map<String, Integer> all = new TreeMap<>();
        for (Share s : m.sections()) {
            all.merge(classOf.get(s.section()), s.teachMinutes() + s.hearMinutes(), Integer::sum);
        }
        all.replaceAll((k, sum) -> sum + m.teachMinutes());
        return all;
    }

    private int load(Map<String, Integer> at, String classId, int week) {
        int sum = 0;
        for (Map.Entry<String, Integer> e : at.entrySet()) {
            if (e.getValue() == week) {
                sum += minutesOf(byId.get(e.getKey())).getOrDefault(classId, 0);
            }
        }
        return sum;
    }

    private int notes(Map<String, Integer> at, String section, int week) {
        int sum = 0;
        for (Map.Entry<String, Integer> e : at.entrySet()) {
            for (Share s : byId.get(e.getKey()).sections()) {
                sum += e.getValue() == week && s.section().equals(section)
                        ? s.newNotes().size()
                        : 0;
            }
        }
        return sum;
    }

    /** @param other what it needs, where the rule is about that */
    record Break(String milestone, String rule, String other, Integer otherWeek) {}

    private static Break broke(String milestone, String rule) {
        return new Break(milestone, rule, "", 0);
    }

    /** Every hard rule a plan breaks. */
    List<Break> broken(Map<String, Integer> at) {
        List<Break> broken = new ArrayList<>();
        Set<String> out = inRings();
        for (PlanMilestone m : p.milestones()) {
            Integer week = at.get(m.id());
            boolean free = m.fixedWeek().isEmpty();
            if (!free) {
                int fixed = m.fixedWeek().getAsInt();
                boolean can = heard(m)
                        || p.weeks().isOpen(fixed)
                                && fixed >= m.earliestWeek()
                                && minutesOf(m).keySet().stream()
                                        .allMatch(k -> classes.get(k).minutes().get(fixed - 1) > 0);
                if (can != (week != null) || week != null && week != fixed) {
                    broken.add(new Break(m.id(), "fixed", m.id(), week));
                }
            }
            if (week == null || heard(m)) {
                continue;
            }
            if (!p.weeks().isOpen(week)) {
                broken.add(broke(m.id(), "closed"));
            }
            for (String k : minutesOf(m).keySet()) {
                if (classes.get(k).minutes().get(week - 1) == 0) {
                    broken.add(broke(m.id(), "no minutes of " + k));
                }
            }
            if (week < m.earliestWeek()) {
                broken.add(broke(m.id(), "earliest"));
            }
            if (free && out.contains(m.id())) {
                broken.add(broke(m.id(), "ring"));
            }
            if (free) {
                broken.addAll(limits(m, week, at));
            }
        }
        return broken;
    }

    private List<Break> limits(PlanMilestone m, int week, Map<String, Integer> at) {
        List<Break> broken = new ArrayList<>();
        for (Need need : m.needs()) {
            Integer other = at.get(need.milestone());
            if (other == null || t(other) + need.gapWeeks() > t(week)) {
                broken.add(new Break(m.id(), "need", need.milestone(), other));
            }
        }
        for (Share s : m.sections()) {
            if (!s.newNotes().isEmpty()
                    && notes(at, s.section(), week) > p.rules().maxNewNotes()) {
                broken.add(broke(m.id(), "new notes of " + s.section()));
            }
        }
        minutesOf(m).forEach((k, minutes) -> {
            int full = classes.get(k).minutes().get(week - 1) * p.rules().fullPercent() / 100;
            if (minutes > 0 && load(at, k, week) > full) {
                broken.add(broke(m.id(), "full " + k));
            }
        });
        return broken;
    }

    /** Free milestones that need themselves through free ones. */
    private Set<String> inRings() {
        Set<String> out = new HashSet<>();
        for (PlanMilestone m : p.milestones()) {
            if (m.fixedWeek().isEmpty() && reaches(m, m.id(), new HashSet<>())) {
                out.add(m.id());
            }
        }
        return out;
    }

    private boolean reaches(PlanMilestone from, String goal, Set<String> seen) {
        for (Need need : from.needs()) {
            PlanMilestone next = byId.get(need.milestone());
            if (next.id().equals(goal)) {
                return true;
            }
            if (next.fixedWeek().isEmpty() && seen.add(next.id()) && reaches(next, goal, seen)) {
                return true;
            }
        }
        return false;
    }

    /** The sum, part by part. */
    Map<String, Long> points(Map<String, Integer> at) {
        PlanPrices prices = p.prices();
        Map<String, Long> sum = new TreeMap<>();
        for (PlanMilestone m : p.milestones()) {
            Integer week = at.get(m.id());
            if (week == null) {
                add(sum, "dropped", prices.dropPerValue() * m.value() + (m.essential() ? prices.essential() : 0));
            } else if (m.deadline().isPresent()) {
                int left = t(m.deadline().get().week()) - t(week);
                add(sum, "dates", left < 0 ? prices.lateEach() - prices.latePerWeek() * left : 0);
                add(
                        sum,
                        "margin",
                        prices.marginPerWeek() * Math.max(0, m.deadline().get().marginWeeks() - left));
            }
            if (week != null && m.fixedWeek().isPresent() && !heard(m)) {
                for (Need need : m.needs()) {
                    Integer other = at.get(need.milestone());
                    boolean late = other == null || t(other) + need.gapWeeks() > t(week);
                    add(sum, "dates", late ? prices.brokenNeed() : 0);
                }
            }
            Integer before = p.today().get(m.id());
            if (before != null && !before.equals(week)) {
                int distance = week == null ? 0 : Math.abs(t(week) - t(before));
                add(sum, "moved", prices.movedEach() + prices.movedPerWeek() * distance);
            }
        }
        order(sum, at);
        for (PlanClass k : p.classes()) {
            long wanted = 0;
            for (PlanMilestone m : p.milestones()) {
                wanted += minutesOf(m).getOrDefault(k.id(), 0);
            }
            long year = 0;
            for (int minutes : k.minutes()) {
                year += minutes;
            }
            long fill = year == 0 ? 100 : Math.min(100, (100 * wanted + year - 1) / year);
            for (int w = 1; w <= weeks; w++) {
                int there = k.minutes().get(w - 1);
                int load = load(at, k.id(), w);
                add(sum, "over", prices.overPerMinute() * Math.max(0, load - there));
                add(sum, "uneven", prices.unevenPerMinute() * Math.max(0, load - there * fill / 100));
            }
        }
        sum.values().removeIf(points -> points == 0);
        return sum;
    }

    private void order(Map<String, Long> sum, Map<String, Integer> at) {
        Set<List<String>> once = new HashSet<>();
        for (List<String> book : p.sequences()) {
            for (int n = 1; n < book.size(); n++) {
                Integer first = at.get(book.get(n - 1));
                Integer second = at.get(book.get(n));
                if (once.add(List.of(book.get(n - 1), book.get(n))) && first != null && second != null) {
                    add(sum, "order", p.prices().orderPerWeek() * Math.max(0, t(first) - t(second)));
                }
            }
        }
    }

    long total(Map<String, Integer> at) {
        return points(at).values().stream().mapToLong(Long::longValue).sum();
    }

    /** Whether a reason is true of a plan: the rule named does break, or the difference is exactly that. */
    boolean isTrue(PlanReason reason, String id, Map<String, Integer> at) {
        PlanMilestone m = byId.get(id);
        if (reason instanceof PlanReason.NotThere not) {
            Map<String, Integer> there = new HashMap<>(at);
            there.put(id, not.week());
            int week = not.week();
            return switch (not) {
                case PlanReason.NoSchool closed -> !p.weeks().isOpen(week);
                case PlanReason.ClassDoesNotMeet silent ->
                    minutesOf(m).containsKey(silent.classId())
                            && classes.get(silent.classId()).minutes().get(week - 1) == 0;
                case PlanReason.NotBefore early -> week < m.earliestWeek();
                case PlanReason.After after ->
                    m.needs().stream()
                            .anyMatch(n -> n.milestone().equals(after.milestone())
                                    && (n.milestone().equals(id)
                                            || at.get(n.milestone()) == null
                                            || t(at.get(n.milestone())) + n.gapWeeks() > t(week)));
                case PlanReason.Before before -> {
                    PlanMilestone other = byId.get(before.milestone());
                    yield other.fixedWeek().isEmpty()
                            && other.needs().stream()
                                    .anyMatch(n ->
                                            n.milestone().equals(id) && t(week) + n.gapWeeks() > t(at.get(other.id())));
                }
                case PlanReason.NewNotes notes ->
                    m.sections().stream()
                                    .anyMatch(s -> s.section().equals(notes.section())
                                            && !s.newNotes().isEmpty())
                            && notes(there, notes.section(), week) > p.rules().maxNewNotes();
                case PlanReason.Full full ->
                    minutesOf(m).getOrDefault(full.classId(), 0) > 0
                            && load(there, full.classId(), week)
                                    > classes.get(full.classId()).minutes().get(week - 1)
                                            * p.rules().fullPercent()
                                            / 100;
                case PlanReason.Costs costs -> {
                    Map<String, Long> difference = points(there);
                    points(at).forEach((part, points) -> add(difference, part, -points));
                    difference.values().removeIf(points -> points == 0);
                    yield broken(there).isEmpty()
                            && difference.equals(costs.difference().parts());
                }
            };
        }
        return switch (reason) {
            case PlanReason.Fixed fixed -> m.fixedWeek().isPresent() && fixed.because() == m.fixedBecause();
            case PlanReason.Stays stays -> at.get(id).equals(p.today().get(id));
            case PlanReason.Moved moved -> p.today().get(id) == moved.from() && moved.from() != at.get(id);
            case PlanReason.OnlyWeek only -> weeks == 1;
            default -> false;
        };
    }

    private static void add(Map<String, Long> sum, String part, long points) {
        sum.merge(part, points, Long::sum);
    }
}
