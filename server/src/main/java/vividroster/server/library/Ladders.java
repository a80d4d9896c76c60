package vividroster.server.library;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.ForWhom;
import vividroster.core.curriculum.Ladder;
import vividroster.core.curriculum.LadderDraft;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderDraft.SlotDraft;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** The ladders of a programme on the shelf. What makes a ladder is checked before it comes here. */
@Service
public class Ladders {

    private final BeltLadderQueries queries;
    private final LibraryQueries library;
    private final ShelfQueries shelves;
    private final InstrumentCatalog catalog;

    Ladders(BeltLadderQueries queries, LibraryQueries library, ShelfQueries shelves, InstrumentCatalog catalog) {
        this.queries = queries;
        this.library = library;
        this.shelves = shelves;
        this.catalog = catalog;
    }

    /** By name, retired ones too, with slots filled for these instruments only. */
    @Transactional(readOnly = true)
    public List<KeptLadder> of(UUID programId, Collection<InstrumentCode> instruments) {
        return queries.find(programId, instruments);
    }

    @Transactional(readOnly = true)
    public List<KeptLadder> all(UUID programId) {
        return of(
                programId, catalog.inScoreOrder().stream().map(Instrument::code).toList());
    }

    /** @throws Problem where there is none */
    @Transactional(readOnly = true)
    public KeptLadder ladder(UUID programId, UUID ladderId) {
        return all(programId).stream()
                .filter(ladder -> ladder.id().equals(ladderId))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("There is no such ladder."));
    }

    @Transactional(readOnly = true)
    public LadderDraft draft(UUID programId, UUID ladderId) {
        return queries.findDraft(programId, ladderId).orElseThrow(() -> Problem.notFound("There is no such ladder."));
    }

    /** How belts are drawn, those that ladders no longer have too. */
    public static Map<UUID, BeltLook> looks(Collection<KeptLadder> ladders) {
        Map<UUID, BeltLook> looks = new HashMap<>();
        ladders.forEach(ladder -> looks.putAll(ladder.looks()));
        return looks;
    }

    /** @throws Problem where there is one of that name */
    @Transactional
    public UUID write(UUID programId, LadderDraft draft) {
        UUID id = Ids.next();
        named(draft, () -> {
            queries.insert(programId, id, draft.name(), draft.instruments());
            return true;
        });
        putBelts(programId, draft);
        return id;
    }

    /**
     * Keeps an edited ladder; how it was asked until that day stays known.
     *
     * @param version that was edited
     * @throws Problem where somebody edited it in the meantime, or there is another of that name
     */
    @Transactional
    public void revise(UUID programId, UUID ladderId, int version, LadderDraft draft, LocalDate today) {
        KeptLadder before = ladder(programId, ladderId);
        if (!named(
                draft,
                () -> queries.update(
                        programId, ladderId, version, draft.name(), draft.instruments(), Optional.empty()))) {
            throw Problem.conflict(
                    "The ladder was edited by someone else in the meantime; load it again." + " Nothing was changed.");
        }
        if (asksOtherwise(before, draft)) {
            queries.insertVersion(programId, before, today);
        }
        queries.deleteBelts(programId, draft.name());
        Set<UUID> kept =
                draft.belts().stream().flatMap(belt -> belt.id().stream()).collect(Collectors.toSet());
        before.ladder().belts().stream()
                .map(Belt::id)
                .filter(id -> !kept.contains(id))
                .forEach(id -> shelves.setRetired(programId, id, true));
        putBelts(programId, draft);
    }

    /** Whether a pass can mean something else after the edit; other names and colours change nothing. */
    private boolean asksOtherwise(KeptLadder before, LadderDraft draft) {
        List<Belt> belts = before.ladder().belts();
        if (belts.size() != draft.belts().size()) {
            return !belts.isEmpty();
        }
        Map<UUID, Set<InstrumentCode>> onlyFor = onlyFor(before);
        for (int at = 0; at < belts.size(); at++) {
            Belt is = belts.get(at);
            if (draft.belts().get(at).id().filter(is.id()::equals).isEmpty()) {
                return true;
            }
            Belt will = draft.belt(at, is.id(), onlyFor, catalog);
            boolean same = is.rule().equals(will.rule())
                    && catalog.inScoreOrder().stream()
                            .map(Instrument::code)
                            .allMatch(code -> is.milestonesFor(code).equals(will.milestonesFor(code)))
                    && musts(is).equals(musts(will));
            if (!same) {
                return true;
            }
        }
        return false;
    }

    private static List<Boolean> musts(Belt belt) {
        return belt.slots().stream().map(BeltSlot::must).toList();
    }

    private static Map<UUID, Set<InstrumentCode>> onlyFor(KeptLadder ladder) {
        Map<UUID, Set<InstrumentCode>> onlyFor = new HashMap<>();
        ladder.ladder().belts().stream()
                .flatMap(belt -> belt.slots().stream())
                .forEach(slot -> onlyFor.putAll(slot.onlyFor()));
        return onlyFor;
    }

    /** Takes a ladder off the shelf; what was earned stays. */
    @Transactional
    public void retire(UUID programId, UUID ladderId, LocalDate today) {
        KeptLadder before = ladder(programId, ladderId);
        if (before.retiredOn().isPresent()) {
            return;
        }
        queries.update(
                programId,
                ladderId,
                before.version(),
                before.ladder().name(),
                before.instruments(),
                Optional.of(today));
        queries.insertVersion(programId, before, today);
        queries.deleteBelts(programId, before.ladder().name());
        before.ladder().belts().forEach(belt -> shelves.setRetired(programId, belt.id(), true));
    }

    private static boolean named(LadderDraft draft, java.util.function.Supplier<Boolean> write) {
        return Clashes.told("ladder_name_unique", "There is a ladder \"" + draft.name() + "\" already.", write);
    }

    private void putBelts(UUID programId, LadderDraft draft) {
        Set<UUID> filling = draft.belts().stream()
                .flatMap(belt -> belt.slots().stream())
                .flatMap(slot -> slot.fillings().stream())
                .map(ForWhom.Filling::milestoneId)
                .collect(Collectors.toSet());
        Map<UUID, Set<InstrumentCode>> onlyFor = library.findMilestones(programId, filling).stream()
                .collect(Collectors.toMap(Milestone::id, Milestone::appliesTo));
        List<UUID> old =
                draft.belts().stream().flatMap(belt -> belt.id().stream()).toList();
        Map<UUID, Milestone> there = library.findMilestones(programId, old).stream()
                .collect(Collectors.toMap(Milestone::id, milestone -> milestone));
        int shelfOrder = shelves.findLastShelfOrder(programId) + 1;
        Set<UUID> used = new HashSet<>();
        for (int at = 0; at < draft.belts().size(); at++) {
            BeltDraft belt = draft.belts().get(at);
            UUID id = belt.id().filter(there::containsKey).filter(used::add).orElse(null);
            if (id == null) {
                Milestone milestone = milestone(belt.name());
                shelves.insertMilestone(programId, milestone, shelfOrder + at);
                id = milestone.id();
            } else {
                shelves.rename(programId, id, shortName(belt.name()), belt.name());
                shelves.setRetired(programId, id, false);
            }
            queries.insertBelt(
                    programId,
                    draft.belt(at, id, onlyFor, catalog),
                    belt.look(),
                    belt.slots().stream().map(SlotDraft::fillings).toList());
        }
    }

    /** The milestone of a new belt. */
    public static Milestone milestone(String name) {
        return new Milestone(
                Ids.next(),
                MilestoneKind.BELT,
                shortName(name),
                name,
                false,
                Set.of(),
                1,
                new PassRule.AllSlots(),
                List.of());
    }

    private static String shortName(String name) {
        return name.length() <= 16 ? name : name.substring(0, 15).strip() + "…";
    }

    /** A goal of its own that is filled by what the student brings. @return its milestone */
    @Transactional
    public UUID addFreeChoice(UUID programId, String title) {
        Milestone milestone = new Milestone(
                Ids.next(),
                MilestoneKind.FREE_CHOICE,
                "Free choice",
                title,
                false,
                Set.of(),
                1,
                new PassRule.OneGoodTry(),
                List.of());
        shelves.insertMilestone(programId, milestone, shelves.findLastShelfOrder(programId) + 1);
        return milestone.id();
    }

    /** Puts a belt on a ladder as it is; for ladders that are made by the tool. */
    @Transactional
    void load(UUID programId, Milestone milestone, Belt belt, BeltLook look, int shelfOrder) {
        queries.insertNamed(programId, belt.ladder());
        shelves.insertMilestone(programId, milestone, shelfOrder);
        queries.insertBelt(programId, belt, look, fillings(belt));
    }

    private List<List<ForWhom.Filling>> fillings(Belt belt) {
        List<List<ForWhom.Filling>> fillings = new ArrayList<>();
        belt.slots()
                .forEach(slot -> fillings.add(slot.fillings().entrySet().stream()
                        .map(one -> new ForWhom.Filling(
                                ForWhom.of(one.getKey().value(), catalog).orElseThrow(), one.getValue()))
                        .toList()));
        return fillings;
    }

    /** Of ladders as they are now. */
    static List<Belt> belts(Collection<KeptLadder> ladders) {
        return ladders.stream()
                .map(KeptLadder::ladder)
                .map(Ladder::belts)
                .flatMap(List::stream)
                .toList();
    }
}
