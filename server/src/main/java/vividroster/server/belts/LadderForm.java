package vividroster.server.belts;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltRule;
import vividroster.core.curriculum.ForWhom;
import vividroster.core.curriculum.LadderDraft;
import vividroster.core.curriculum.LadderDraft.BeltDraft;
import vividroster.core.curriculum.LadderDraft.SlotDraft;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/** A ladder as a director writes it, and as it is shown for editing. @param instruments whom it is for; none for everybody */
record LadderForm(
        @NotNull(message = "Give the ladder a name.")
        @Size(max = Lengths.LABEL, message = "A ladder's name has at most {max} letters.")
        String name,

        @NotNull List<@NotNull InstrumentCode> instruments,

        @NotNull(message = "A ladder needs belts.")
        @Size(max = 40, message = "That is no ladder to climb: at most {max} belts are looked at.")
        List<@Valid @NotNull BeltForm> belts) {

    /** How many slots make a belt. */
    enum Rule {
        EVERY_SLOT,
        AT_LEAST,
        MUSTS_AND_FREE
    }

    /**
     * @param id absent for a new belt
     * @param ruleSlots so many of the slots, or of the free ones; 0 where every slot is asked
     */
    record BeltForm(
            @Absent UUID id,

            @NotNull(message = "Give every belt a name.")
            @Size(max = Lengths.LABEL, message = "A belt's name has at most {max} letters.")
            String name,

            @NotNull @Pattern(regexp = "#[0-9A-Fa-f]{6}", message = "A colour is # and six digits, as in #2F7F93.")
            String color,

            @NotNull String weave,

            @Min(value = 1, message = "A belt has a knot at least.")
            @Max(value = BeltLook.MOST_KNOTS, message = "A belt has at most {value} knots.")
            int knots,

            @NotNull Rule rule,
            @Min(0) @Max(20) int ruleSlots,

            @NotNull @Size(max = 20, message = "At most {max} slots are looked at.")
            List<@Valid @NotNull SlotForm> slots) {}

    record SlotForm(
            @NotNull @Size(max = Lengths.WORDS, message = "A slot's name has at most {max} letters.")
            String name,

            boolean must,

            @NotNull @Size(max = 60, message = "At most {max} fillings of one slot.")
            List<@Valid @NotNull FillingForm> fillings) {}

    /**
     * @param whom "any", a family ("family-brass"), or an instrument's code
     * @param milestoneId absent where the student brings a piece of their own
     */
    record FillingForm(
            @NotNull @Size(max = Lengths.LABEL) String whom,
            @Absent UUID milestoneId) {}

    static LadderForm of(LadderDraft draft) {
        return new LadderForm(
                draft.name(),
                draft.instruments().stream().sorted().toList(),
                draft.belts().stream().map(LadderForm::belt).toList());
    }

    private static BeltForm belt(BeltDraft belt) {
        return new BeltForm(
                belt.id().orElse(null),
                belt.name(),
                belt.look().color(),
                belt.look().weave(),
                belt.look().knots(),
                switch (belt.rule()) {
                    case BeltRule.EverySlot every -> Rule.EVERY_SLOT;
                    case BeltRule.AtLeast some -> Rule.AT_LEAST;
                    case BeltRule.MustsAndFree musts -> Rule.MUSTS_AND_FREE;
                },
                switch (belt.rule()) {
                    case BeltRule.EverySlot every -> 0;
                    case BeltRule.AtLeast some -> some.slots();
                    case BeltRule.MustsAndFree musts -> musts.free();
                },
                belt.slots().stream()
                        .map(slot -> new SlotForm(
                                slot.name(),
                                slot.must(),
                                slot.fillings().stream()
                                        .map(one -> new FillingForm(one.whom().code(), one.milestoneId()))
                                        .toList()))
                        .toList());
    }

    /** Makes the milestone of a free choice. */
    interface FreeChoices {
        UUID of(String belt);
    }

    /**
     * @param free asked for each belt that has one
     * @throws Problem where something cannot be read at all
     */
    LadderDraft toDraft(InstrumentCatalog catalog, FreeChoices free) {
        Set<InstrumentCode> whom = new HashSet<>();
        for (int i = 0; i < instruments.size(); i++) {
            if (!catalog.has(instruments.get(i))) {
                throw Problem.input("instruments[" + i + "]", "There is no such instrument.");
            }
            whom.add(instruments.get(i));
        }
        return new LadderDraft(
                name.strip(),
                whom,
                java.util.stream.IntStream.range(0, belts.size())
                        .mapToObj(i -> toBelt(belts.get(i), "belts[" + i + "]", catalog, free))
                        .toList());
    }

    private static BeltDraft toBelt(BeltForm belt, String field, InstrumentCatalog catalog, FreeChoices free) {
        if (!BeltLook.WEAVES.contains(belt.weave())) {
            throw Problem.input(field + ".weave", "There is no weave \"" + belt.weave() + "\".");
        }
        BeltRule rule = switch (belt.rule()) {
            case EVERY_SLOT -> BeltRule.EVERY_SLOT;
            case AT_LEAST -> {
                if (belt.ruleSlots() < 1) {
                    throw Problem.input(field + ".ruleSlots", "At least one slot makes a belt.");
                }
                yield new BeltRule.AtLeast(belt.ruleSlots());
            }
            case MUSTS_AND_FREE -> new BeltRule.MustsAndFree(belt.ruleSlots());
        };
        return new BeltDraft(
                Optional.ofNullable(belt.id()),
                belt.name().strip(),
                new BeltLook(belt.color().toUpperCase(java.util.Locale.ROOT), belt.weave(), belt.knots()),
                rule,
                java.util.stream.IntStream.range(0, belt.slots().size())
                        .mapToObj(i -> toSlot(
                                belt.slots().get(i), belt.name().strip(), field + ".slots[" + i + "]", catalog, free))
                        .toList());
    }

    private static SlotDraft toSlot(
            SlotForm slot, String belt, String field, InstrumentCatalog catalog, FreeChoices free) {
        return new SlotDraft(
                slot.name().strip(),
                slot.must(),
                slot.fillings().stream()
                        .map(one -> new ForWhom.Filling(
                                ForWhom.of(one.whom(), catalog)
                                        .orElseThrow(() -> Problem.input(
                                                field + ".fillings",
                                                "There is no instrument or family \"" + one.whom() + "\".")),
                                one.milestoneId() == null ? free.of(belt) : one.milestoneId()))
                        .toList());
    }
}
