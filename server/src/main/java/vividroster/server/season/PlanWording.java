package vividroster.server.season;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.plan.PlanTrouble;

/** What the planner tells, in sentences. */
final class PlanWording {

    /** More names make no sentence. */
    private static final int MOST_NAMES = 8;

    private PlanWording() {}

    static String sentence(PlanTrouble trouble) {
        List<String> names = trouble.milestones();
        String first = names.isEmpty() ? "" : shown(names.getFirst());
        String week = trouble.week().isPresent() ? "week " + trouble.week().getAsInt() : "";
        return switch (trouble.kind()) {
            case RING -> ring(names);
            case FIXED_IN_BREAK -> first + " is fixed in " + week + ", in which it cannot stand";
            case DEADLINE_IN_BREAK ->
                first + " is due in " + week + ", which is closed; the open week before it counts";
            case CLASS_NEVER_MEETS ->
                "“" + trouble.classId().map(PlanWording::shown).orElse("") + "” never meets";
            case TOO_LONG -> first + " takes more minutes than any week has";
            case TOO_MANY_NEW_NOTES -> first + " alone brings more new notes than a week may";
            case NEED_AFTER_FIXED ->
                first + " is fixed in " + week + " and needs " + listed(names.subList(1, names.size()))
                        + ", which is not taught by then";
            case DATE_MISSED -> first + " stands in " + week + ", after its deadline";
            case NO_TEACHING_WEEK ->
                names.isEmpty() ? "No week of the year is open" : "No week is left for " + listed(names);
        };
    }

    private static String ring(List<String> names) {
        StringBuilder ring = new StringBuilder(shown(names.getFirst()));
        for (String name : names.subList(1, Math.min(names.size(), MOST_NAMES))) {
            ring.append(" needs ").append(shown(name));
        }
        return names.size() > MOST_NAMES
                ? ring + " and so on, in a ring of " + names.size()
                : ring + " needs " + shown(names.getFirst());
    }

    private static String listed(List<String> names) {
        List<String> told = new ArrayList<>(
                names.stream().limit(MOST_NAMES).map(PlanWording::shown).toList());
        if (names.size() > MOST_NAMES) {
            told.add((names.size() - MOST_NAMES) + " more");
        }
        return told.size() == 1
                ? told.getFirst()
                : String.join(", ", told.subList(0, told.size() - 1)) + " and " + told.getLast();
    }

    private static String shown(String name) {
        return name.length() > 60 ? name.substring(0, 60) + "…" : name;
    }
}
