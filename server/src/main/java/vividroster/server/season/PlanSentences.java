package vividroster.server.season;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividroster.core.plan.PlanMilestone;
import vividroster.core.plan.PlanOption;
import vividroster.core.plan.PlanPoints;
import vividroster.core.plan.PlanReason;
import vividroster.core.plan.PlanTrouble;
import vividroster.server.platform.Words;

/** What the planner says of a director's own year, in sentences: its lines, sections, days. */
final class PlanSentences {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
    private static final int MOST_NAMES = 5;

    private final SeasonYear season;
    private final Map<String, Integer> stands;

    /** @param stands the plan that is spoken of, by item */
    PlanSentences(SeasonYear season, Map<String, Integer> stands) {
        this.season = season;
        this.stands = Map.copyOf(stands);
    }

    static String day(LocalDate day) {
        return DAY.format(day);
    }

    String week(int number) {
        return "the week of " + day(season.monday(number));
    }

    String name(String id) {
        return season.item(id).map(SeasonYear.Item::name).orElse("something else");
    }

    private String className(String id) {
        return season.classes().stream()
                .filter(one -> one.id().toString().equals(id))
                .map(one -> one.name())
                .findFirst()
                .orElse("the class");
    }

    private String section(String id) {
        return season.sections().stream()
                .filter(section -> section.id().equals(id))
                .map(section ->
                        section.instrument().plural() + (section.division().isEmpty() ? "" : ", " + section.division()))
                .findFirst()
                .orElse("a section");
    }

    /** A sentence without its full stop. @param id whom it is about */
    String of(String id, PlanReason reason) {
        return switch (reason) {
            case PlanReason.NoSchool r ->
                "no school in " + week(r.week())
                        + closedFor(r.week()).map(why -> ": " + why).orElse("");
            case PlanReason.ClassDoesNotMeet r -> className(r.classId()) + " does not meet in " + week(r.week());
            case PlanReason.NotBefore r ->
                r.week() < season.firstFree()
                        ? week(r.week()) + " is past"
                        : "it is not to come before "
                                + week(season.item(id)
                                        .flatMap(item ->
                                                item.item().earliestWeek().isPresent()
                                                        ? Optional.of(item.item()
                                                                .earliestWeek()
                                                                .getAsInt())
                                                        : Optional.empty())
                                        .orElse(season.firstFree()));
            case PlanReason.After r ->
                "it needs " + name(r.milestone())
                        + Optional.ofNullable(stands.get(r.milestone()))
                                .map(week -> ", which stands in " + week(week))
                                .orElse(", which is not in the plan");
            case PlanReason.Before r ->
                name(r.milestone()) + " in "
                        + Optional.ofNullable(stands.get(r.milestone()))
                                .map(this::week)
                                .orElse("a later week")
                        + " needs it";
            case PlanReason.NewNotes r -> newNotes(id, r);
            case PlanReason.Full r -> full(id, r);
            case PlanReason.Costs r -> costs(r);
            case PlanReason.Fixed r ->
                switch (r.because()) {
                    case DATE -> "its date is fixed";
                    case PINNED -> "you pinned it";
                    case HEARD -> "it is ordered already";
                };
            case PlanReason.Stays r -> "it stays where it is";
            case PlanReason.OnlyWeek r -> "the year has no other week";
            case PlanReason.Moved r -> "it comes from " + week(r.from());
        };
    }

    private Optional<String> closedFor(int week) {
        LocalDate monday = season.monday(week);
        return monday.datesUntil(monday.plusDays(5))
                .flatMap(day -> season.year().closedFor(day).stream())
                .findFirst();
    }

    private String newNotes(String id, PlanReason.NewNotes reason) {
        Set<String> notes = new LinkedHashSet<>();
        season.problem().milestones().stream()
                .filter(m ->
                        m.id().equals(id) || Optional.of(reason.week()).equals(Optional.ofNullable(stands.get(m.id()))))
                .flatMap(m -> m.sections().stream())
                .filter(share -> share.section().equals(reason.section()))
                .forEach(share -> notes.addAll(share.newNotes()));
        int most = season.problem().rules().maxNewNotes();
        return section(reason.section()) + " would meet " + listed(List.copyOf(notes)) + " in " + week(reason.week())
                + "; " + Words.counted(most, "new note") + " a week is your limit";
    }

    private String full(String id, PlanReason.Full reason) {
        int wanted = wanted(reason.classId(), reason.week())
                + season.item(id)
                        .map(item -> stands.containsKey(id) && stands.get(id) == reason.week()
                                ? 0
                                : minutes(id, reason.classId()))
                        .orElse(0);
        return week(reason.week()) + " would be too full: " + wanted + " of " + there(reason.classId(), reason.week())
                + " minutes";
    }

    private int there(String classId, int week) {
        return season.problem().classes().stream()
                .filter(one -> one.id().equals(classId))
                .mapToInt(one -> one.minutes().get(week - 1))
                .sum();
    }

    private int wanted(String classId, int week) {
        return stands.entrySet().stream()
                .filter(e -> e.getValue() == week)
                .mapToInt(e -> minutes(e.getKey(), classId))
                .sum();
    }

    /** Of one item in one class. */
    private int minutes(String id, String classId) {
        return season.problem().milestones().stream()
                .filter(m -> m.id().equals(id))
                .mapToInt(m -> m.minutesIn(classId, season.problem().sections()))
                .sum();
    }

    private String costs(PlanReason.Costs reason) {
        PlanPoints more = reason.difference();
        String week = week(reason.week());
        if (more.total() < 0) {
            return week + " would do as well, " + Words.counted(-more.total(), "point") + " better";
        }
        String points = more.total() == 0 ? "" : " (" + Words.counted(more.total(), "point") + " more)";
        return more.parts().entrySet().stream()
                        .filter(part -> part.getValue() > 0)
                        .max(Map.Entry.comparingByValue(Comparator.naturalOrder()))
                        .map(part -> switch (part.getKey()) {
                            case "dropped" -> "more would be left out with it in " + week;
                            case "dates" -> "it would miss a date in " + week;
                            case "over" -> week + " would be over its minutes";
                            case "uneven" -> week + " would be fuller than its share";
                            case "order" -> "the book's order would be left in " + week;
                            case "margin" -> "it would come too close to its date in " + week;
                            default -> "it would move further, to " + week;
                        })
                        .orElse(week + " would do as well")
                + points;
    }

    String of(String id, PlanOption option) {
        return switch (option) {
            case PlanOption.Drop o -> "leave out " + name(o.milestone());
            case PlanOption.MoveDate o -> "let it stand in " + week(o.week());
            case PlanOption.MoreMinutes o -> Words.counted(o.minutes(), "more minute") + " in " + week(o.week());
            case PlanOption.Split o ->
                "only for " + listed(o.sections().stream().map(this::section).toList()) + " in " + week(o.week());
            case PlanOption.MoreNewNotes o -> "one more new note for " + section(o.section()) + " in " + week(o.week());
        };
    }

    String of(PlanTrouble trouble) {
        List<String> ids = trouble.milestones();
        String first = ids.isEmpty() ? "" : name(ids.getFirst());
        String week = trouble.week().isPresent() ? week(trouble.week().getAsInt()) : "";
        String text = switch (trouble.kind()) {
            case RING -> "these need one another in a ring and are left out: " + names(ids);
            case FIXED_IN_BREAK -> first + " is pinned in " + week + ", in which it cannot stand";
            case DEADLINE_IN_BREAK ->
                first + " is due in " + week + ", when there is no school; the week before counts";
            case CLASS_NEVER_MEETS ->
                trouble.classId().map(this::className).orElse("the class") + " never meets this year";
            case TOO_LONG -> first + " takes more minutes than any week has";
            case TOO_MANY_NEW_NOTES -> first + " alone brings more new notes than a week may";
            case NEED_AFTER_FIXED ->
                first + " stands in " + week + " and needs " + names(ids.subList(1, ids.size()))
                        + ", not taught by then";
            case DATE_MISSED -> first + " stands in " + week + ", after its date";
            case NO_TEACHING_WEEK ->
                ids.isEmpty() ? "no week of the year is open" : "no week is left for " + names(ids);
        };
        return PlanNames.capital(text) + ".";
    }

    private String names(List<String> ids) {
        return listed(ids.stream().map(this::name).toList());
    }

    static String listed(List<String> names) {
        if (names.isEmpty()) {
            return "nothing";
        }
        if (names.size() == 1) {
            return names.getFirst();
        }
        if (names.size() > MOST_NAMES) {
            return String.join(", ", names.subList(0, MOST_NAMES)) + " and " + (names.size() - MOST_NAMES) + " more";
        }
        return String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.getLast();
    }

    /** Of everything it takes in all its classes. */
    static int minutes(PlanMilestone m, SeasonYear season) {
        return season.classes().stream()
                .mapToInt(
                        one -> m.minutesIn(one.id().toString(), season.problem().sections()))
                .sum();
    }
}
