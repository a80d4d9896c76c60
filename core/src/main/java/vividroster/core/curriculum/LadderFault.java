package vividroster.core.curriculum;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderDraft.SlotDraft;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

/** Why a ladder cannot be kept. Belts and slots are told by their place, from 0. */
public sealed interface LadderFault {

    int MOST_BELTS = 12;
    /** Slots of a belt. (domain.md, 3.11.) */
    int LEAST_SLOTS = 3;

    int MOST_SLOTS = 8;

    record NoBelts() implements LadderFault {}

    record TooManyBelts(int belts) implements LadderFault {}

    record NoName(int belt) implements LadderFault {}

    record NamedTwice(int belt, String name) implements LadderFault {}

    record LooksAlike(int belt, String name, String other) implements LadderFault {}

    record SlotCount(int belt, String name, int slots) implements LadderFault {}

    record NoSlotName(int belt, int slot) implements LadderFault {}

    record EmptySlot(int belt, int slot) implements LadderFault {}

    record FilledTwice(int belt, int slot, ForWhom whom) implements LadderFault {}

    record Unknown(int belt, int slot) implements LadderFault {}

    record Retired(int belt, int slot, String title) implements LadderFault {}

    /** A belt asks for a belt. @param round whether that one asks for this one in turn */
    record AsksForBelt(int belt, int slot, String title, boolean round) implements LadderFault {}

    /** What fills a slot for an instrument is for others only. */
    record NotFor(int belt, int slot, String title, InstrumentCode instrument) implements LadderFault {}

    /** One milestone would fill two slots of a belt at once. */
    record AskedTwice(int belt, String title, Optional<InstrumentCode> instrument) implements LadderFault {}

    record AsksTooMuch(int belt, int asked, int there) implements LadderFault {}

    /** No instrument of the ladder is asked for anything. */
    record ReachesNobody(int belt) implements LadderFault {}

    /** What is asked here needs, by the director's own word, what is asked further up only. */
    record GoesRound(int belt, String title, String needs, int laterBelt) implements LadderFault {}

    /**
     * What is there to fill slots with.
     *
     * @param milestones by id, retired ones too
     * @param beltsAskFor of belts that are filled by belts already what they ask for
     * @param needs what the director put before a milestone by hand
     */
    record Shelf(
            Map<UUID, Milestone> milestones,
            Set<UUID> retired,
            Map<UUID, Set<UUID>> beltsAskFor,
            Map<UUID, ? extends Collection<UUID>> needs) {}

    /** Everything that is wrong with it, from the first belt on; none where it can be kept. */
    static List<LadderFault> of(LadderDraft draft, Shelf shelf, InstrumentCatalog catalog) {
        List<LadderFault> faults = new ArrayList<>();
        if (draft.belts().isEmpty()) {
            faults.add(new NoBelts());
        }
        if (draft.belts().size() > MOST_BELTS) {
            faults.add(new TooManyBelts(draft.belts().size()));
        }
        for (int belt = 0; belt < draft.belts().size(); belt++) {
            names(draft, belt, faults);
            ofBelt(draft, belt, shelf, catalog, faults);
        }
        if (faults.isEmpty()) {
            round(draft, shelf, catalog, faults);
        }
        return faults;
    }

    private static void names(LadderDraft draft, int at, List<LadderFault> faults) {
        BeltDraft belt = draft.belts().get(at);
        if (belt.name().isBlank()) {
            faults.add(new NoName(at));
        }
        for (BeltDraft before : draft.belts().subList(0, at)) {
            if (same(before.name(), belt.name()) && !belt.name().isBlank()) {
                faults.add(new NamedTwice(at, belt.name().strip()));
            } else if (before.look().looksLike(belt.look())) {
                faults.add(new LooksAlike(at, belt.name(), before.name()));
            }
        }
    }

    private static boolean same(String one, String other) {
        return one.strip().toLowerCase(Locale.ROOT).equals(other.strip().toLowerCase(Locale.ROOT));
    }

    private static void ofBelt(
            LadderDraft draft, int at, Shelf shelf, InstrumentCatalog catalog, List<LadderFault> faults) {
        BeltDraft belt = draft.belts().get(at);
        int count = belt.slots().size();
        if (count < LEAST_SLOTS || count > MOST_SLOTS) {
            faults.add(new SlotCount(at, belt.name(), count));
        }
        int before = faults.size();
        for (int slot = 0; slot < count; slot++) {
            ofSlot(belt, at, slot, draft.instruments(), shelf, faults);
        }
        int musts = (int) belt.slots().stream().filter(SlotDraft::must).count();
        switch (belt.rule()) {
            case BeltRule.EverySlot every -> {}
            case BeltRule.AtLeast some -> {
                if (some.slots() > count) {
                    faults.add(new AsksTooMuch(at, some.slots(), count));
                }
            }
            case BeltRule.MustsAndFree free -> {
                if (free.free() > count - musts) {
                    faults.add(new AsksTooMuch(at, free.free(), count - musts));
                } else if (free.free() + musts == 0) {
                    faults.add(new AsksTooMuch(at, 0, count));
                }
            }
        }
        if (faults.size() == before && count > 0) {
            asked(draft, at, shelf, catalog, faults);
        }
    }

    private static void ofSlot(
            BeltDraft belt,
            int at,
            int slotAt,
            Set<InstrumentCode> instruments,
            Shelf shelf,
            List<LadderFault> faults) {
        SlotDraft slot = belt.slots().get(slotAt);
        if (slot.name().isBlank()) {
            faults.add(new NoSlotName(at, slotAt));
        }
        if (slot.fillings().isEmpty()) {
            faults.add(new EmptySlot(at, slotAt));
        }
        Set<ForWhom> told = new HashSet<>();
        for (ForWhom.Filling filling : slot.fillings()) {
            if (!told.add(filling.whom())) {
                faults.add(new FilledTwice(at, slotAt, filling.whom()));
            }
            Milestone milestone = shelf.milestones().get(filling.milestoneId());
            if (milestone == null) {
                faults.add(new Unknown(at, slotAt));
            } else if (milestone.kind() == MilestoneKind.BELT) {
                boolean round = belt.id()
                        .map(own -> own.equals(milestone.id())
                                || reaches(shelf.beltsAskFor(), milestone.id(), own, new HashSet<>()))
                        .orElse(false);
                faults.add(new AsksForBelt(at, slotAt, milestone.title(), round));
            } else if (shelf.retired().contains(milestone.id())) {
                faults.add(new Retired(at, slotAt, milestone.title()));
            } else if (filling.whom() instanceof ForWhom.Only one && !milestone.isFor(one.instrument())) {
                faults.add(new NotFor(at, slotAt, milestone.title(), one.instrument()));
            }
        }
    }

    private static boolean reaches(Map<UUID, Set<UUID>> asks, UUID from, UUID to, Set<UUID> seen) {
        return seen.add(from)
                && asks.getOrDefault(from, Set.of()).stream()
                        .anyMatch(next -> next.equals(to) || reaches(asks, next, to, seen));
    }

    private static void asked(
            LadderDraft draft, int at, Shelf shelf, InstrumentCatalog catalog, List<LadderFault> faults) {
        Belt belt = draft.belt(at, new UUID(0, at), onlyFor(shelf), catalog);
        List<InstrumentCode> instruments = instruments(draft, catalog);
        if (instruments.stream().noneMatch(belt::asks)) {
            faults.add(new ReachesNobody(at));
            return;
        }
        Map<UUID, List<InstrumentCode>> twice = new HashMap<>();
        for (InstrumentCode instrument : instruments) {
            Set<UUID> seen = new HashSet<>();
            belt.milestonesFor(instrument).stream()
                    .filter(id -> !seen.add(id))
                    .distinct()
                    .forEach(id ->
                            twice.computeIfAbsent(id, one -> new ArrayList<>()).add(instrument));
        }
        twice.forEach((id, whom) -> faults.add(new AskedTwice(
                at,
                shelf.milestones().get(id).title(),
                whom.size() == 1 ? Optional.of(whom.getFirst()) : Optional.empty())));
    }

    /** Of milestones that are for some instruments only, which. */
    static Map<UUID, Set<InstrumentCode>> onlyFor(Shelf shelf) {
        return shelf.milestones().values().stream().collect(Collectors.toMap(Milestone::id, Milestone::appliesTo));
    }

    /** Whom a ladder is for, in score order. */
    static List<InstrumentCode> instruments(LadderDraft draft, InstrumentCatalog catalog) {
        return catalog.inScoreOrder().stream()
                .map(vividroster.core.instrument.Instrument::code)
                .filter(code ->
                        draft.instruments().isEmpty() || draft.instruments().contains(code))
                .toList();
    }

    /** A milestone and what must come before it, asked the other way round. */
    private static void round(LadderDraft draft, Shelf shelf, InstrumentCatalog catalog, List<LadderFault> faults) {
        Set<String> told = new HashSet<>();
        for (InstrumentCode instrument : instruments(draft, catalog)) {
            Map<UUID, Integer> beltOf = new HashMap<>();
            for (int at = 0; at < draft.belts().size(); at++) {
                int belt = at;
                draft.belt(at, new UUID(0, at), onlyFor(shelf), catalog)
                        .milestonesFor(instrument)
                        .forEach(id -> beltOf.putIfAbsent(id, belt));
            }
            beltOf.forEach((id, belt) -> before(shelf, id, new HashSet<>())
                    .filter(need -> beltOf.getOrDefault(need, -1) > belt)
                    .filter(need -> told.add(id + " " + need))
                    .forEach(need -> faults.add(new GoesRound(
                            belt,
                            shelf.milestones().get(id).title(),
                            shelf.milestones().get(need).title(),
                            beltOf.get(need)))));
        }
    }

    private static Stream<UUID> before(Shelf shelf, UUID id, Set<UUID> seen) {
        Collection<UUID> direct = shelf.needs().get(id);
        return direct == null
                ? Stream.empty()
                : direct.stream()
                        .filter(seen::add)
                        .flatMap(need -> Stream.concat(Stream.of(need), before(shelf, need, seen)));
    }
}
