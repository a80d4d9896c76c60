package vividroster.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.Instrument;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.PlanMilestone;
import vividroster.core.plan.PlanMoves;
import vividroster.core.plan.PlanReason.NotThere;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear.Week;
import vividroster.server.platform.Words;
import vividroster.server.roster.SchoolClass;
import vividroster.server.season.PlanViews.MinutesView;
import vividroster.server.season.PlanViews.NewNotesView;
import vividroster.server.season.PlanViews.PlanClassView;
import vividroster.server.season.PlanViews.PlanItemView;
import vividroster.server.season.PlanViews.PlanProblemView;
import vividroster.server.season.PlanViews.PlanSectionView;
import vividroster.server.season.PlanViews.PlanWeekView;
import vividroster.server.season.PlanViews.ProblemKind;
import vividroster.server.season.PlanViews.ReachView;
import vividroster.server.season.PlanViews.RemedyView;

/** A plan as it is shown: its weeks, classes, items and problems. */
final class PlanPictures {

    private final SeasonYear season;
    private final Plan plan;
    private final PlanSentences sentences;
    private final Map<String, NotThere> broken;
    private final Map<PlanYearQueries.SectionOf, Integer> carried;

    PlanPictures(SeasonYear season, Plan plan) {
        this(season, plan, Map.of());
    }

    /** @param carried milestones carried over, by section */
    PlanPictures(SeasonYear season, Plan plan, Map<PlanYearQueries.SectionOf, Integer> carried) {
        this.carried = Map.copyOf(carried);
        this.season = season;
        this.plan = plan;
        this.sentences = new PlanSentences(season, plan.weeks());
        this.broken = PlanMoves.broken(plan);
    }

    List<PlanWeekView> weeks() {
        return season.year().weeks().stream().map(this::week).toList();
    }

    private PlanWeekView week(Week week) {
        boolean closed = week.schoolDays().isEmpty();
        return new PlanWeekView(
                week.monday(),
                week.number().orElse(null),
                closed,
                closed
                        ? week.monday()
                                .datesUntil(week.monday().plusDays(5))
                                .flatMap(day -> season.year().closedFor(day).stream())
                                .findFirst()
                                .orElse(null)
                        : null);
    }

    List<PlanClassView> classes() {
        return season.classes().stream().map(this::one).toList();
    }

    private PlanClassView one(SchoolClass one) {
        String id = one.id().toString();
        List<Integer> there = season.problem().classes().stream()
                .filter(k -> k.id().equals(id))
                .findFirst()
                .orElseThrow()
                .minutes();
        List<Plan.Load> loads = plan.loads(id);
        List<MinutesView> minutes = new ArrayList<>();
        for (int week = 0; week < there.size(); week++) {
            minutes.add(new MinutesView(
                    there.get(week), loads.get(week).wanted(), loads.get(week).share()));
        }
        Map<Instrument, List<SeasonYear.Section>> rows = season.sections().stream()
                .filter(section -> section.classId().equals(one.id()))
                .collect(
                        Collectors.groupingBy(SeasonYear.Section::instrument, LinkedHashMap::new, Collectors.toList()));
        return new PlanClassView(
                one.id(),
                one.name(),
                season.pacingOf(one.id()).pacing(),
                season.pacingOf(one.id()).reservePercent(),
                minutes,
                rows.entrySet().stream()
                        .map(row -> new PlanSectionView(
                                row.getKey().code(),
                                row.getKey().name(),
                                row.getKey().family(),
                                row.getValue().stream()
                                        .mapToInt(SeasonYear.Section::students)
                                        .sum(),
                                row.getValue().getFirst().pacePercent(),
                                carried.getOrDefault(
                                        new PlanYearQueries.SectionOf(
                                                one.id(), row.getKey().code()),
                                        0)))
                        .toList());
    }

    List<PlanItemView> items() {
        Map<String, PlanMilestone> planned =
                season.problem().milestones().stream().collect(Collectors.toMap(PlanMilestone::id, m -> m));
        return season.items().stream()
                .map(item -> view(item, planned.get(item.id())))
                .toList();
    }

    private PlanItemView view(SeasonYear.Item item, PlanMilestone planned) {
        PlanItem own = item.item();
        Optional<UUID> milestoneId = own.milestone().map(UUID::fromString);
        Optional<Milestone> milestone = milestoneId.map(season.milestones()::get);
        Optional<KeptItem> kept = item.kept();
        String title = milestone
                .map(Milestone::title)
                .orElseGet(() -> kept.map(KeptItem::title).orElse(""));
        return new PlanItemView(
                item.id(),
                own.kind(),
                milestoneId.orElse(null),
                milestone.map(Milestone::shortName).orElse(title),
                title,
                item.name(),
                reach(own),
                plan.weeks().containsKey(item.id()) ? season.monday(plan.weeks().get(item.id())) : null,
                own.hold(),
                kept.isPresent(),
                own.value(),
                own.essential(),
                own.teachMinutes(),
                own.heardAlone(),
                PlanSentences.minutes(planned, season),
                kept.flatMap(KeptItem::notBefore).orElse(null),
                kept.flatMap(KeptItem::dueBy).orElse(null),
                kept.map(KeptItem::marginWeeks).orElse(0),
                newNotes(item),
                item.orders().stream().map(MilestoneOrder::id).toList(),
                item.orders().stream()
                        .map(MilestoneOrder::dueOn)
                        .max(Comparator.naturalOrder())
                        .orElse(null),
                broken.containsKey(item.id())
                        ? PlanNames.capital(sentences.of(item.id(), broken.get(item.id()))) + "."
                        : null);
    }

    private List<ReachView> reach(PlanItem item) {
        List<ReachView> reach = new ArrayList<>();
        for (SchoolClass one : season.classes()) {
            List<SeasonYear.Section> all = season.sections().stream()
                    .filter(section -> section.classId().equals(one.id()))
                    .toList();
            List<SeasonYear.Section> own = all.stream()
                    .filter(section -> item.sections().contains(section.id()))
                    .toList();
            if (!own.isEmpty()) {
                reach.add(new ReachView(
                        one.id(),
                        own.size() == all.size()
                                ? List.of()
                                : own.stream()
                                        .map(section -> section.instrument().code())
                                        .distinct()
                                        .toList()));
            }
        }
        return reach;
    }

    private List<NewNotesView> newNotes(SeasonYear.Item item) {
        record Row(UUID classId, Instrument instrument) {}
        Map<Row, TreeSet<String>> notes = new LinkedHashMap<>();
        Map<String, List<String>> own = season.newNotes().getOrDefault(item.id(), Map.of());
        season.sections().stream()
                .filter(section -> own.containsKey(section.id()))
                .forEach(section -> notes.computeIfAbsent(
                                new Row(section.classId(), section.instrument()), none -> new TreeSet<>())
                        .addAll(own.get(section.id())));
        return notes.entrySet().stream()
                .map(e -> new NewNotesView(
                        e.getKey().classId(), e.getKey().instrument().code(), List.copyOf(e.getValue())))
                .toList();
    }

    List<PlanProblemView> problems() {
        List<PlanProblemView> problems = new ArrayList<>();
        plan.troubles()
                .forEach(trouble -> problems.add(new PlanProblemView(
                        ProblemKind.of(trouble.kind()),
                        trouble.milestones(),
                        trouble.week().isPresent()
                                ? season.monday(trouble.week().getAsInt())
                                : null,
                        sentences.of(trouble),
                        null)));
        broken.forEach((id, rule) -> problems.add(new PlanProblemView(
                ProblemKind.RULE_BROKEN,
                List.of(id),
                season.monday(plan.weeks().get(id)),
                PlanNames.capital(sentences.name(id) + " cannot stay in "
                        + sentences.week(plan.weeks().get(id)) + ": " + sentences.of(id, rule) + "."),
                null)));
        for (SchoolClass one : season.classes()) {
            problems.addAll(overfull(one));
        }
        season.crowded().stream()
                .flatMap(id -> season.item(id).stream())
                .filter(SeasonYear.Item::isFree)
                .forEach(item -> problems.add(crowded(item)));
        season.nobody()
                .forEach(item -> problems.add(new PlanProblemView(
                        ProblemKind.NOBODY,
                        List.of(item.id().toString()),
                        null,
                        PlanNames.capital(PlanNames.of(
                                        item.kind(), item.milestoneId().map(season.milestones()::get), item.title()))
                                + " is for sections in which nobody sits.",
                        null)));
        problems.sort(Comparator.comparing(PlanProblemView::monday, Comparator.nullsFirst(Comparator.naturalOrder())));
        return problems;
    }

    private PlanProblemView crowded(SeasonYear.Item item) {
        Map<String, List<String>> notes = season.newNotes().get(item.id());
        SeasonYear.Section most = season.sections().stream()
                .filter(section -> notes.containsKey(section.id()))
                .max(Comparator.comparingInt(section -> notes.get(section.id()).size()))
                .orElseThrow();
        return new PlanProblemView(
                ProblemKind.TOO_MANY_NEW_NOTES,
                List.of(item.id()),
                plan.weeks().containsKey(item.id()) ? season.monday(plan.weeks().get(item.id())) : null,
                PlanNames.capital(item.name()) + " alone brings "
                        + most.instrument().plural() + " "
                        + Words.counted(notes.get(most.id()).size(), "new note")
                        + "; they meet nothing else new in its week.",
                null);
    }

    private List<PlanProblemView> overfull(SchoolClass one) {
        PlanClassView view = one(one);
        List<PlanProblemView> found = new ArrayList<>();
        for (int week = season.firstFree(); week <= view.minutes().size(); week++) {
            MinutesView minutes = view.minutes().get(week - 1);
            if (minutes.wanted() > minutes.there() && minutes.there() > 0) {
                LocalDate monday = season.monday(week);
                found.add(new PlanProblemView(
                        ProblemKind.OVERFULL,
                        List.of(),
                        monday,
                        PlanNames.capital(sentences.week(week)) + " is "
                                + Words.counted(minutes.wanted() - minutes.there(), "minute") + " over.",
                        PlanMoves.remedy(plan, week).map(this::remedy).orElse(null)));
            }
        }
        return found;
    }

    private RemedyView remedy(PlanMoves.Remedy remedy) {
        return new RemedyView(
                remedy.milestone(),
                season.monday(remedy.week()),
                "Moving " + sentences.name(remedy.milestone()) + " to " + sentences.week(remedy.week())
                        + " fits, and nothing else moves.");
    }
}
