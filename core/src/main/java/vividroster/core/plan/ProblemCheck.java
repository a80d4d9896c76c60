package vividroster.core.plan;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;

/** A problem is looked at once, here, so that nothing behind has to ask again. */
record ProblemCheck(
        TeachingWeeks weeks,
        List<PlanClass> classes,
        List<PlanProblem.Section> sections,
        List<PlanMilestone> milestones,
        List<List<String>> sequences,
        PlanPrices prices,
        Map<String, Integer> today) {

    void all() {
        most("weeks", weeks.count(), PlanProblem.MOST_WEEKS);
        most("classes", classes.size(), PlanProblem.MOST_CLASSES);
        most("sections", sections.size(), PlanProblem.MOST_SECTIONS);
        most("milestones", milestones.size(), PlanProblem.MOST_MILESTONES);
        long entries = 0;
        for (PlanMilestone m : milestones) {
            entries += m.needs().size() + m.sections().size();
            for (PlanMilestone.Share share : m.sections()) {
                entries += share.newNotes().size();
            }
        }
        for (List<String> sequence : sequences) {
            entries += sequence.size();
        }
        most("milestones", entries, PlanProblem.MOST_ENTRIES);
        Set<String> known = named("classes", classes.stream().map(PlanClass::id).toList());
        each(classes, "classes", this::minutes);
        Set<String> knownSections =
                named("sections", sections.stream().map(PlanProblem.Section::id).toList());
        for (int i = 0; i < sections.size(); i++) {
            known(known, sections.get(i).classId(), "sections[" + i + "].class", "class");
        }
        Set<String> ids =
                named("milestones", milestones.stream().map(PlanMilestone::id).toList());
        for (int i = 0; i < milestones.size(); i++) {
            milestone(milestones.get(i), "milestones[" + i + "]", ids, knownSections);
        }
        for (int i = 0; i < sequences.size(); i++) {
            Set<String> once = new HashSet<>();
            for (String id : sequences.get(i)) {
                known(ids, id, "sequences[" + i + "]", "milestone");
                if (!once.add(id)) {
                    throw new PlanInputException(
                            "sequences[" + i + "]", "“%s” stands twice in one book order.".formatted(shown(id)));
                }
            }
        }
        today.forEach((id, week) -> {
            known(ids, id, "today", "milestone");
            week(week, "today");
        });
        sums();
    }

    private void minutes(PlanClass one, String place) {
        if (one.minutes().size() != weeks.count()) {
            throw new PlanInputException(
                    place + ".minutes",
                    "“%s” has minutes for %d weeks, the year has %d."
                            .formatted(shown(one.id()), one.minutes().size(), weeks.count()));
        }
        one.minutes().forEach(m -> number(m, place + ".minutes"));
    }

    private void milestone(PlanMilestone m, String place, Set<String> ids, Set<String> knownSections) {
        number(m.value(), place + ".value");
        number(m.teachMinutes(), place + ".teachMinutes");
        Set<String> once = new HashSet<>();
        for (int s = 0; s < m.sections().size(); s++) {
            PlanMilestone.Share share = m.sections().get(s);
            String at = place + ".sections[" + s + "]";
            known(knownSections, share.section(), at + ".section", "section");
            number(share.teachMinutes(), at + ".teachMinutes");
            number(share.hearMinutes(), at + ".hearMinutes");
            if (!once.add(share.section())) {
                throw new PlanInputException(
                        at, "“%s” has the section “%s” twice.".formatted(shown(m.id()), shown(share.section())));
            }
        }
        for (int n = 0; n < m.needs().size(); n++) {
            PlanMilestone.Need need = m.needs().get(n);
            known(ids, need.milestone(), place + ".needs[" + n + "].milestone", "milestone");
            if (need.gapWeeks() < 0 || need.gapWeeks() > PlanProblem.MOST_WEEKS) {
                throw new PlanInputException(
                        place + ".needs[" + n + "].gapWeeks",
                        "A gap must be in 0..%d weeks, was %d.".formatted(PlanProblem.MOST_WEEKS, need.gapWeeks()));
            }
        }
        week(m.earliestWeek(), place + ".earliestWeek");
        m.deadline().ifPresent(deadline -> {
            week(deadline.week(), place + ".deadline.week");
            if (deadline.marginWeeks() < 0 || deadline.marginWeeks() > PlanProblem.MOST_WEEKS) {
                throw new PlanInputException(
                        place + ".deadline.marginWeeks",
                        "A margin must be in 0..%d weeks, was %d."
                                .formatted(PlanProblem.MOST_WEEKS, deadline.marginWeeks()));
            }
        });
        m.fixedWeek().ifPresent(week -> week(week, place + ".fixedWeek"));
    }

    /** No plan of this problem may pay more than half of what 64 bits hold. */
    private void sums() {
        double most = 0;
        double minutesWanted = 0;
        for (PlanMilestone m : milestones) {
            most += (double) prices.essential()
                    + (double) prices.dropPerValue() * m.value()
                    + prices.lateEach()
                    + ((double) prices.latePerWeek() + prices.marginPerWeek() + prices.movedPerWeek())
                            * 2
                            * PlanProblem.MOST_WEEKS
                    + (double) prices.brokenNeed() * m.needs().size()
                    + prices.movedEach();
            double minutes =
                    (double) m.teachMinutes() * Math.max(1, m.sections().size());
            for (PlanMilestone.Share share : m.sections()) {
                minutes += share.teachMinutes() + share.hearMinutes();
            }
            minutesWanted += minutes;
            most += ((double) prices.overPerMinute() + prices.unevenPerMinute()) * minutes;
        }
        for (List<String> sequence : sequences) {
            most += (double) prices.orderPerWeek() * PlanProblem.MOST_WEEKS * sequence.size();
        }
        if (minutesWanted > PlanProblem.MOST_MINUTES) {
            throw new PlanInputException(
                    "milestones",
                    "At most %d minutes are planned at once, these milestones take %.0f."
                            .formatted(PlanProblem.MOST_MINUTES, minutesWanted));
        }
        if (most > Long.MAX_VALUE / 4.0) {
            throw new PlanInputException(
                    "weights", "Prices and values are so high that their sum cannot be kept exactly.");
        }
    }

    private void week(int week, String place) {
        if (!weeks.has(week)) {
            throw new PlanInputException(place, "A week must be in 1..%d, was %d.".formatted(weeks.count(), week));
        }
    }

    private static void number(int number, String place) {
        if (number < 0 || number > PlanProblem.MOST_NUMBER) {
            throw new PlanInputException(
                    place, "This must be in 0..%d, was %d.".formatted(PlanProblem.MOST_NUMBER, number));
        }
    }

    private static void most(String place, long count, int most) {
        if (count > most) {
            throw new PlanInputException(place, "At most %d are planned at once, there are %d.".formatted(most, count));
        }
    }

    private static Set<String> named(String place, List<String> ids) {
        Set<String> once = new HashSet<>();
        for (int i = 0; i < ids.size(); i++) {
            String id = ids.get(i);
            if (id == null || id.isBlank()) {
                throw new PlanInputException(place + "[" + i + "].id", "An id is missing.");
            }
            if (!once.add(id)) {
                throw new PlanInputException(place + "[" + i + "].id", "“%s” is there twice.".formatted(shown(id)));
            }
        }
        return once;
    }

    private static void known(Set<String> known, String id, String place, String what) {
        if (id == null || !known.contains(id)) {
            throw new PlanInputException(
                    place, "There is no %s “%s” in this problem.".formatted(what, shown(String.valueOf(id))));
        }
    }

    private static <T> void each(List<T> all, String place, BiConsumer<T, String> check) {
        for (int i = 0; i < all.size(); i++) {
            check.accept(all.get(i), place + "[" + i + "]");
        }
    }

    private static String shown(String id) {
        return id.length() > 60 ? id.substring(0, 60) + "…" : id;
    }
}
