package vividroster.core.curriculum;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderDraft.SlotDraft;
import vividroster.core.music.InstrumentCode;

/**
 * A ladder drawn from a book: a belt for every few pages, asking the last line of each page and what belongs to its weeks. A
 * start to edit.
 */
public final class PageLadder {

    private PageLadder() {}

    /** @param page and number, from 1 */
    public record BookLine(UUID id, int page, int number) {}

    /** A check of the first weeks. Those of one topic fill one slot, each for its instruments. @param instruments empty for all */
    public record WeekCheck(UUID id, CheckTopic topic, Set<InstrumentCode> instruments) {

        private boolean isFor(InstrumentCode instrument) {
            return instruments.isEmpty() || instruments.contains(instrument);
        }
    }

    /** A test of a line. */
    public record LineTest(UUID id, UUID lineId) {}

    /**
     * @param pagesPerBelt 1 or more; the last belt takes what is left
     * @param names of the belts and how they are drawn, from the first; there are no more belts than names
     * @param checks in any order; they are laid in teaching order, an equal share to each belt
     * @throws IllegalArgumentException where pagesPerBelt is under 1
     */
    public static LadderDraft of(
            String name,
            Collection<BookLine> lines,
            int pagesPerBelt,
            Collection<WeekCheck> checks,
            Collection<LineTest> tests,
            Collection<InstrumentCode> instruments,
            Map<String, BeltLook> names) {
        if (pagesPerBelt < 1) {
            throw new IllegalArgumentException("pagesPerBelt must be at least 1, was " + pagesPerBelt);
        }
        List<List<BookLine>> parts = parts(lines, pagesPerBelt, names.size());
        List<List<SlotDraft>> topics = topics(checks, instruments);
        List<Map.Entry<String, BeltLook>> looks = List.copyOf(names.entrySet());
        List<BeltDraft> belts = new ArrayList<>();
        for (int at = 0; at < parts.size(); at++) {
            List<SlotDraft> slots = new ArrayList<>();
            int from = at * topics.size() / parts.size();
            int to = (at + 1) * topics.size() / parts.size();
            List<BookLine> part = parts.get(at);
            Optional<LineTest> test = tests.stream()
                    .filter(one -> part.stream().anyMatch(line -> line.id().equals(one.lineId())))
                    .findFirst();
            List<BookLine> asked = asked(part, test, to - from);
            int room = LadderFault.MOST_SLOTS - asked.size() - (test.isPresent() ? 1 : 0);
            topics.subList(from, to).stream().limit(room).forEach(slots::addAll);
            asked.forEach(line -> slots.add(slot("Line " + line.number(), line.id())));
            test.ifPresent(one -> slots.add(slot("Test", one.id())));
            belts.add(new BeltDraft(
                    Optional.empty(), looks.get(at).getKey(), looks.get(at).getValue(), BeltRule.EVERY_SLOT, slots));
        }
        return new LadderDraft(name, new HashSet<>(instruments), belts);
    }

    private static SlotDraft slot(String name, UUID id) {
        return new SlotDraft(name, false, List.of(new ForWhom.Filling(new ForWhom.Everybody(), id)));
    }

    /** Lines by belt: so many pages each, as many belts as there are names at most. */
    private static List<List<BookLine>> parts(Collection<BookLine> lines, int pagesPerBelt, int most) {
        TreeMap<Integer, List<BookLine>> pages = lines.stream()
                .sorted(Comparator.comparingInt(BookLine::number))
                .collect(Collectors.groupingBy(BookLine::page, TreeMap::new, Collectors.toList()));
        List<List<BookLine>> parts = new ArrayList<>();
        int taken = 0;
        for (List<BookLine> page : pages.values()) {
            if (taken % pagesPerBelt == 0 && parts.size() < most) {
                parts.add(new ArrayList<>());
                taken = 0;
            }
            parts.getLast().addAll(page);
            taken++;
        }
        return parts;
    }

    /** The last line of each page, and the line that is tested not again; filled up from the end to three goals. */
    private static List<BookLine> asked(List<BookLine> part, Optional<LineTest> test, int checks) {
        List<BookLine> open = part.stream()
                .filter(line -> test.map(one -> !one.lineId().equals(line.id())).orElse(true))
                .toList();
        Map<Integer, BookLine> last = new TreeMap<>();
        open.forEach(line -> last.put(line.page(), line));
        Set<BookLine> asked = new LinkedHashSet<>(last.values());
        int more = LadderFault.LEAST_SLOTS - checks - (test.isPresent() ? 1 : 0);
        for (BookLine line : open.reversed()) {
            if (asked.size() >= Math.max(more, 0)) {
                break;
            }
            asked.add(line);
        }
        return asked.stream()
                .sorted(Comparator.comparingInt(BookLine::number))
                .skip(Math.max(0, asked.size() - (LadderFault.MOST_SLOTS - 1)))
                .toList();
    }

    /** One slot a topic, filled for each instrument by the check that is most its own. */
    private static List<List<SlotDraft>> topics(Collection<WeekCheck> checks, Collection<InstrumentCode> instruments) {
        Map<CheckTopic, List<WeekCheck>> byTopic =
                checks.stream().collect(Collectors.groupingBy(WeekCheck::topic, TreeMap::new, Collectors.toList()));
        List<List<SlotDraft>> slots = new ArrayList<>();
        byTopic.forEach((topic, ofTopic) -> {
            Map<InstrumentCode, UUID> own = new HashMap<>();
            instruments.forEach(instrument -> ofTopic.stream()
                    .filter(check -> check.isFor(instrument))
                    .min(Comparator.comparingInt(check -> check.instruments().isEmpty()
                            ? Integer.MAX_VALUE
                            : check.instruments().size()))
                    .ifPresent(check -> own.put(instrument, check.id())));
            if (!own.isEmpty()) {
                slots.add(List.of(new SlotDraft(name(topic), false, fillings(own, instruments))));
            }
        });
        return slots;
    }

    private static List<ForWhom.Filling> fillings(
            Map<InstrumentCode, UUID> own, Collection<InstrumentCode> instruments) {
        Set<UUID> different = new HashSet<>(own.values());
        if (different.size() == 1 && own.size() == instruments.size()) {
            return List.of(new ForWhom.Filling(
                    new ForWhom.Everybody(), different.iterator().next()));
        }
        return instruments.stream()
                .filter(own::containsKey)
                .map(instrument -> new ForWhom.Filling(new ForWhom.Only(instrument), own.get(instrument)))
                .toList();
    }

    private static String name(CheckTopic topic) {
        String words = topic.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1);
    }
}
