package vividroster.core.plan;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import vividroster.core.plan.Introductions.Line;
import vividroster.core.plan.PlanMilestone.FixedBecause;
import vividroster.core.plan.PlanMilestone.Need;
import vividroster.core.plan.PlanMilestone.Share;

/**
 * What was chosen for a year, made into the problem that is planned: minutes from the students who are heard, new notes and
 * needs from the pages of the books, weeks that are held from what was given out. (domain.md, sections 3.5 and 6.6.)
 *
 * @param books milestones in the order of each book
 * @param uses what the page of a line asks of each section that plays it
 * @param known what sections know before the first line
 * @param wants what must be passed before, by other rules than pages: topics of checks, lines of a test, slots of a belt
 * @param firstFree the first week a plan may still change; what stands before it and was given out stays there
 * @param <V> a thing that is new once
 */
public record ChosenYear<V>(
        TeachingWeeks weeks,
        List<PlanClass> classes,
        List<Section> sections,
        List<PlanItem> items,
        List<List<String>> books,
        Map<String, Map<String, Set<V>>> uses,
        Map<String, Set<V>> known,
        List<Want> wants,
        int firstFree) {

    /** Explaining one new note to a section: its name, its fingering, once round. Ours, to be tuned. */
    private static final int MINUTES_PER_NEW_NOTE = 1;

    /**
     * A section of one class.
     *
     * @param pacePercent of its usual minutes; 100 keeps the pace, 200 takes twice as long, 80 runs ahead
     */
    public record Section(String id, String classId, int students, int pacePercent) {

        public Section {
            if (pacePercent < 50 || pacePercent > 200) {
                throw new IllegalArgumentException("a section takes 50..200 percent, was " + pacePercent);
            }
        }

        private int slowed(int minutes) {
            return Math.ceilDiv(minutes * pacePercent, 100);
        }
    }

    /**
     * For a section one milestone waits for another.
     *
     * @param gapWeeks 0 where it may be taught earlier in the same week, 1 where it must have been heard before
     */
    public record Want(String milestone, String section, String needed, int gapWeeks) {}

    /** How a section reads the new notes of a page. */
    @FunctionalInterface
    public interface NoteNames<V> {

        /** Empty for what is new and no note. */
        Optional<String> of(String milestone, String section, V thing);
    }

    public ChosenYear {
        classes = List.copyOf(classes);
        sections = List.copyOf(sections);
        items = List.copyOf(items);
        books = books.stream().map(List::copyOf).toList();
        wants = List.copyOf(wants);
    }

    /**
     * One page may bring a section more new notes than a week may; no plan could place it. It is given a week in which the
     * section meets nothing else, and it is told.
     *
     * @param newNotes all of them, by item and section
     * @param crowded items that bring a section more than a week may
     */
    public record Made(PlanProblem problem, Map<String, Map<String, List<String>>> newNotes, List<String> crowded) {}

    public Made problem(PlanRules rules, PlanPrices prices, NoteNames<V> noteNames) {
        Map<String, List<PlanItem>> byMilestone = new LinkedHashMap<>();
        items.forEach(item -> item.milestone()
                .ifPresent(m -> byMilestone
                        .computeIfAbsent(m, none -> new ArrayList<>())
                        .add(item)));
        Introductions<String, String, V> pages = new Introductions<>(
                books.stream().map(book -> lines(book, byMilestone)).toList(), known);
        Map<String, Map<String, Integer>> needs = needs(byMilestone);
        Map<String, Integer> today = new LinkedHashMap<>();
        List<PlanMilestone> milestones = new ArrayList<>();
        Map<String, Map<String, List<String>>> newNotes = new LinkedHashMap<>();
        List<String> crowded = new ArrayList<>();
        for (PlanItem item : items) {
            Map<String, List<String>> notes = notes(item, pages, noteNames);
            newNotes.put(item.id(), notes);
            if (notes.values().stream().anyMatch(own -> own.size() > rules.maxNewNotes())) {
                crowded.add(item.id());
            }
            Map<String, Integer> own = needs.computeIfAbsent(item.id(), none -> new LinkedHashMap<>());
            pages.needs(item.id()).forEach(need -> own.putIfAbsent(need, 0));
            milestones.add(new PlanMilestone(
                    item.id(),
                    item.value(),
                    item.essential(),
                    item.teachMinutes(),
                    shares(item, notes, rules.maxNewNotes()),
                    own.entrySet().stream()
                            .map(need -> new Need(need.getKey(), need.getValue()))
                            .toList(),
                    earliest(item),
                    item.deadline(),
                    item.hold() == PlanItem.Hold.FREE ? OptionalInt.empty() : item.stands(),
                    item.hold() == PlanItem.Hold.ORDERED ? FixedBecause.HEARD : FixedBecause.PINNED));
            item.stands().ifPresent(week -> today.put(item.id(), week));
        }
        return new Made(
                new PlanProblem(
                        weeks,
                        classes,
                        sections.stream()
                                .map(s -> new PlanProblem.Section(s.id(), s.classId()))
                                .toList(),
                        milestones,
                        sequences(byMilestone),
                        rules,
                        prices,
                        today),
                newNotes,
                List.copyOf(crowded));
    }

    /** A pinned one stands where it was put, also in a week that is past. */
    private int earliest(PlanItem item) {
        return item.hold() == PlanItem.Hold.FREE
                ? Math.clamp(Math.max(firstFree, item.earliestWeek().orElse(1)), 1, weeks.count())
                : 1;
    }

    private List<Line<String, String, V>> lines(List<String> book, Map<String, List<PlanItem>> byMilestone) {
        return book.stream()
                .flatMap(line -> byMilestone.getOrDefault(line, List.of()).stream())
                .map(item -> {
                    Map<String, Set<V>> page =
                            uses.getOrDefault(item.milestone().orElseThrow(), Map.of());
                    Map<String, Set<V>> own = new LinkedHashMap<>();
                    item.sections().forEach(s -> own.put(s, page.getOrDefault(s, Set.of())));
                    return new Line<>(item.id(), own);
                })
                .toList();
    }

    /** By item and what it needs the greatest gap, over the sections that share them. */
    private Map<String, Map<String, Integer>> needs(Map<String, List<PlanItem>> byMilestone) {
        Map<String, Map<String, Integer>> needs = new HashMap<>();
        for (Want want : wants) {
            for (PlanItem item : of(byMilestone, want.milestone(), want.section())) {
                for (PlanItem needed : of(byMilestone, want.needed(), want.section())) {
                    needs.computeIfAbsent(item.id(), none -> new LinkedHashMap<>())
                            .merge(needed.id(), want.gapWeeks(), Math::max);
                }
            }
        }
        return needs;
    }

    private static Collection<PlanItem> of(Map<String, List<PlanItem>> byMilestone, String milestone, String section) {
        return byMilestone.getOrDefault(milestone, List.of()).stream()
                .filter(item -> item.sections().contains(section))
                .toList();
    }

    private Map<String, List<String>> notes(
            PlanItem item, Introductions<String, String, V> pages, NoteNames<V> noteNames) {
        Map<String, List<String>> notes = new LinkedHashMap<>();
        item.milestone()
                .ifPresent(milestone -> item.sections().forEach(section -> {
                    List<String> own = pages.newIn(item.id(), section).stream()
                            .flatMap(thing -> noteNames.of(milestone, section, thing).stream())
                            .sorted()
                            .toList();
                    if (!own.isEmpty()) {
                        notes.put(section, own);
                    }
                }));
        return notes;
    }

    /** @param most new notes of a week: who meets more in one page meets nothing else in its week */
    private List<Share> shares(PlanItem item, Map<String, List<String>> notes, int most) {
        List<Share> shares = new ArrayList<>();
        for (Section section : sections) {
            if (item.sections().contains(section.id())) {
                List<String> own = notes.getOrDefault(section.id(), List.of());
                shares.add(new Share(
                        section.id(),
                        section.slowed(own.size() * MINUTES_PER_NEW_NOTE),
                        section.slowed(item.hearMinutes(section.students())),
                        own.subList(0, Math.min(own.size(), most))));
            }
        }
        return shares;
    }

    /** The books' orders, of each section alone where its items are its own. */
    private List<List<String>> sequences(Map<String, List<PlanItem>> byMilestone) {
        Set<List<String>> sequences = new LinkedHashSet<>();
        for (List<String> book : books) {
            for (Section section : sections) {
                List<String> own = book.stream()
                        .flatMap(line -> of(byMilestone, line, section.id()).stream())
                        .map(PlanItem::id)
                        .distinct()
                        .toList();
                if (own.size() > 1) {
                    sequences.add(own);
                }
            }
        }
        return List.copyOf(sequences);
    }
}
