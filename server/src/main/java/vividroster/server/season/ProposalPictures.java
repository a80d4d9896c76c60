package vividroster.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanDifference;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.PlanMilestone;
import vividroster.core.plan.PlanOption;
import vividroster.core.plan.PlanOptions;
import vividroster.core.plan.PlanReasons;
import vividroster.core.plan.Planner;
import vividroster.server.platform.Words;
import vividroster.server.season.PlanProposalView.FittingView;
import vividroster.server.season.PlanProposalView.MinutesChangeView;
import vividroster.server.season.PlanProposalView.OptionKind;
import vividroster.server.season.PlanProposalView.PlanChangeView;
import vividroster.server.season.PlanProposalView.PlanLeftOutView;
import vividroster.server.season.PlanViews.PointsView;
import vividroster.server.season.ProposalQueries.Proposal;

/** A proposal drawn against today's plan. */
final class ProposalPictures {

    /** Options are looked for as long as a director would read them. */
    private static final int MOST_WITH_OPTIONS = 8;

    private final SeasonYear year;
    private final Proposal proposal;
    private final Plan after;
    private final PlanReasons reasons;
    private final PlanSentences sentences;

    ProposalPictures(SeasonYear year, Proposal proposal) {
        this.year = year;
        this.proposal = proposal;
        Map<String, Integer> weeks = new LinkedHashMap<>(year.problem().today());
        standing(year, proposal)
                .forEach((itemId, monday) -> monday.flatMap(year::weekOf)
                        .ifPresentOrElse(
                                week -> weeks.put(itemId.toString(), week), () -> weeks.remove(itemId.toString())));
        after = Planner.look(year.problem(), weeks);
        reasons = new PlanReasons(after);
        sentences = new PlanSentences(year, after.weeks());
    }

    /** The changes that still can be taken: of what is in the plan, not ordered, and not there already. */
    static Map<UUID, Optional<LocalDate>> standing(SeasonYear year, Proposal proposal) {
        Map<UUID, Optional<LocalDate>> standing = new LinkedHashMap<>();
        proposal.changes()
                .forEach((itemId, monday) -> year.item(itemId.toString())
                        .filter(item -> item.isFree()
                                && !monday.equals(item.kept().flatMap(KeptItem::monday))
                                && monday.map(day -> year.weekOf(day).isPresent())
                                        .orElse(true))
                        .ifPresent(item -> standing.put(itemId, monday)));
        return standing;
    }

    PlanProposalView view() {
        PlanDifference difference = PlanDifference.of(after);
        Plan before = Planner.look(year.problem(), year.problem().today());
        return new PlanProposalView(
                proposal.id(),
                proposal.aim(),
                proposal.cause(),
                proposal.madeAt(),
                difference.changes().stream().map(this::change).toList(),
                leftOut(),
                difference.minutes().stream()
                        .map(m -> new MinutesChangeView(
                                UUID.fromString(m.classId()), year.monday(m.week()), m.there(), m.before(), m.after()))
                        .toList(),
                points(before),
                points(after),
                new PlanPictures(year, after).problems(),
                stays());
    }

    private static PointsView points(Plan plan) {
        return new PointsView(plan.points().total(), plan.points().parts());
    }

    private PlanChangeView change(PlanDifference.Change change) {
        String id = change.milestone();
        Optional<Integer> from = boxed(change.from());
        Optional<Integer> to = boxed(change.to());
        String why;
        if (to.isEmpty()) {
            why = sentences.of(id, reasons.whyLeftOut(id));
        } else if (from.isPresent()) {
            why = sentences.of(id, reasons.notIn(id, from.get()));
        } else {
            why = to.get() > year.firstFree()
                    ? sentences.of(id, reasons.notIn(id, to.get() - 1))
                    : "it is the first week there is";
        }
        return new PlanChangeView(
                id,
                PlanNames.capital(sentences.name(id)),
                from.map(year::monday).orElse(null),
                to.map(year::monday).orElse(null),
                words(from, to),
                PlanNames.capital(why) + ".");
    }

    private static Optional<Integer> boxed(OptionalInt week) {
        return week.isPresent() ? Optional.of(week.getAsInt()) : Optional.empty();
    }

    private String words(Optional<Integer> from, Optional<Integer> to) {
        if (to.isEmpty()) {
            return "left out";
        }
        if (from.isEmpty()) {
            return "comes in";
        }
        int weeks = year.problem().weeks().between(from.get(), to.get());
        if (weeks == 0) {
            return to.get() > from.get() ? "later" : "earlier";
        }
        return Words.counted(Math.abs(weeks), "week") + (weeks > 0 ? " later" : " earlier");
    }

    private List<PlanLeftOutView> leftOut() {
        Map<String, PlanMilestone> all =
                year.problem().milestones().stream().collect(Collectors.toMap(PlanMilestone::id, m -> m));
        Set<String> asked = after.leftOut().stream()
                .map(all::get)
                .sorted(Comparator.comparing(PlanMilestone::essential)
                        .thenComparing(PlanMilestone::value)
                        .reversed())
                .limit(MOST_WITH_OPTIONS)
                .map(PlanMilestone::id)
                .collect(Collectors.toSet());
        PlanOptions options = new PlanOptions(after);
        List<PlanLeftOutView> views = new ArrayList<>();
        for (String id : after.leftOut()) {
            views.add(new PlanLeftOutView(
                    id,
                    PlanNames.capital(sentences.name(id)),
                    PlanNames.capital(sentences.of(id, reasons.whyLeftOut(id))) + ".",
                    consequence(id).orElse(null),
                    asked.contains(id) ? ways(options, id) : List.of()));
        }
        return views;
    }

    /** Belts that cannot be earned without it, and whether the one that admits to the ensemble is among them. */
    private Optional<String> consequence(String id) {
        List<SeasonYear.Item> belts = year.problem().behind(id).stream()
                .flatMap(behind -> year.item(behind).stream())
                .filter(item -> item.item().kind() == PlanItem.Kind.BELT)
                .toList();
        if (belts.isEmpty()) {
            return Optional.empty();
        }
        boolean ensemble = belts.stream()
                .anyMatch(belt ->
                        year.ensembleBelts().contains(belt.item().milestone().orElseThrow()));
        return Optional.of("Without it "
                + PlanSentences.listed(belts.stream().map(SeasonYear.Item::name).toList()) + " cannot be earned"
                + (ensemble ? ", and nobody becomes ready for the ensemble." : "."));
    }

    private List<FittingView> ways(PlanOptions options, String id) {
        List<FittingView> ways = new ArrayList<>();
        options.of(id).forEach(option -> ways.add(view(id, option)));
        options.pinned(id)
                .ifPresent(pinned -> ways.add(new FittingView(
                        OptionKind.PIN,
                        "pin it in " + sentences.week(pinned.week()) + " all the same",
                        pinned.total(),
                        pinned.total() - after.points().total(),
                        null,
                        year.monday(pinned.week()),
                        null,
                        null,
                        null)));
        return ways;
    }

    private FittingView view(String id, PlanOption option) {
        String words = sentences.of(id, option);
        long total = option.total();
        long more = total - after.points().total();
        return switch (option) {
            case PlanOption.Drop o ->
                new FittingView(OptionKind.DROP, words, total, more, o.milestone(), null, null, null, null);
            case PlanOption.MoveDate o ->
                new FittingView(
                        OptionKind.MOVE_DATE, words, total, more, null, year.monday(o.week()), null, null, null);
            case PlanOption.MoreMinutes o ->
                new FittingView(
                        OptionKind.MORE_MINUTES,
                        words,
                        total,
                        more,
                        null,
                        year.monday(o.week()),
                        UUID.fromString(o.classId()),
                        o.minutes(),
                        null);
            case PlanOption.Split o ->
                new FittingView(
                        OptionKind.SPLIT,
                        words,
                        total,
                        more,
                        null,
                        year.monday(o.week()),
                        null,
                        null,
                        year.sections().stream()
                                .filter(section -> o.sections().contains(section.id()))
                                .map(section -> section.instrument().code())
                                .distinct()
                                .toList());
            case PlanOption.MoreNewNotes o ->
                new FittingView(
                        OptionKind.MORE_NEW_NOTES, words, total, more, null, year.monday(o.week()), null, null, null);
        };
    }

    /** What the planner may not move, a line for each reason. */
    private List<String> stays() {
        List<String> stays = new ArrayList<>();
        List<SeasonYear.Item> pinned = held(PlanItem.Hold.PINNED);
        if (!pinned.isEmpty()) {
            stays.add("Pinned by you: " + names(pinned));
        }
        List<SeasonYear.Item> ordered = held(PlanItem.Hold.ORDERED);
        if (!ordered.isEmpty()) {
            stays.add("Ordered already: " + Words.counted(ordered.size(), "milestone"));
        }
        long free = year.items().stream()
                .filter(item -> item.isFree()
                        && after.weeks().containsKey(item.id())
                        && after.weeks()
                                .get(item.id())
                                .equals(year.problem().today().get(item.id())))
                .count();
        if (free > 0) {
            stays.add("Well where they are: " + Words.counted(free, "other"));
        }
        return stays;
    }

    private List<SeasonYear.Item> held(PlanItem.Hold hold) {
        return year.items().stream().filter(item -> item.item().hold() == hold).toList();
    }

    private static String names(List<SeasonYear.Item> items) {
        return PlanSentences.listed(items.stream().map(SeasonYear.Item::name).toList());
    }
}
