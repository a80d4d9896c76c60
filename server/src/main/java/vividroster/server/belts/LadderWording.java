package vividroster.server.belts;

import java.util.List;
import vividroster.core.curriculum.ForWhom;
import vividroster.core.curriculum.LadderDraft;
import vividroster.core.curriculum.LadderFault;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Words;

/** What is wrong with a ladder, in a sentence with its place. */
final class LadderWording {

    private LadderWording() {}

    /** @param field as the form names it */
    record Sentence(String field, String sentence) {}

    static Sentence of(LadderFault fault, LadderDraft draft, InstrumentCatalog catalog) {
        return switch (fault) {
            case LadderFault.NoBelts none -> new Sentence("belts", "A ladder needs a belt at least.");
            case LadderFault.TooManyBelts many ->
                new Sentence(
                        "belts",
                        many.belts() + " belts are more than anybody climbs; at most " + LadderFault.MOST_BELTS + ".");
            case LadderFault.NoName no ->
                new Sentence(belt(no.belt()) + ".name", "Give belt " + (no.belt() + 1) + " a name.");
            case LadderFault.NamedTwice twice ->
                new Sentence(belt(twice.belt()) + ".name", "Two belts are called " + twice.name() + ".");
            case LadderFault.LooksAlike alike ->
                new Sentence(
                        belt(alike.belt()) + ".weave",
                        alike.name() + " and " + alike.other()
                                + " look alike without colour; give one another weave or other knots.");
            case LadderFault.SlotCount count ->
                new Sentence(
                        belt(count.belt()) + ".slots",
                        name(draft, count.belt()) + " has " + Words.counted(count.slots(), "slot") + "; a belt has "
                                + LadderFault.LEAST_SLOTS + " to " + LadderFault.MOST_SLOTS + ".");
            case LadderFault.NoSlotName no ->
                new Sentence(
                        slot(no.belt(), no.slot()) + ".name",
                        "Give slot " + (no.slot() + 1) + " of " + name(draft, no.belt()) + " a name.");
            case LadderFault.EmptySlot empty ->
                new Sentence(
                        slot(empty.belt(), empty.slot()) + ".fillings",
                        where(draft, empty.belt(), empty.slot()) + " is empty; fill it or take it away.");
            case LadderFault.FilledTwice twice ->
                new Sentence(
                        slot(twice.belt(), twice.slot()) + ".fillings",
                        where(draft, twice.belt(), twice.slot()) + " is filled twice for " + whom(twice.whom(), catalog)
                                + ".");
            case LadderFault.Unknown unknown ->
                new Sentence(
                        slot(unknown.belt(), unknown.slot()) + ".fillings",
                        "What fills " + where(draft, unknown.belt(), unknown.slot())
                                + " is not in the library; choose again.");
            case LadderFault.Retired retired ->
                new Sentence(
                        slot(retired.belt(), retired.slot()) + ".fillings",
                        where(draft, retired.belt(), retired.slot()) + " asks for \"" + retired.title()
                                + "\", which was taken off the shelf. Put it back, or choose another.");
            case LadderFault.AsksForBelt asks ->
                new Sentence(
                        slot(asks.belt(), asks.slot()) + ".fillings",
                        asks.round()
                                ? name(draft, asks.belt()) + " asks for the belt " + asks.title()
                                        + ", which waits for it in turn; neither could ever be earned."
                                : where(draft, asks.belt(), asks.slot()) + " asks for the belt " + asks.title()
                                        + "; a belt is filled by lines, checks, tests and free choices.");
            case LadderFault.NotFor not ->
                new Sentence(
                        slot(not.belt(), not.slot()) + ".fillings",
                        "\"" + not.title() + "\" is not for " + plural(not.instrument(), catalog) + ".");
            case LadderFault.AskedTwice twice ->
                new Sentence(
                        belt(twice.belt()) + ".slots",
                        name(draft, twice.belt()) + " asks for \"" + twice.title() + "\" twice"
                                + twice.instrument()
                                        .map(code -> " of " + plural(code, catalog))
                                        .orElse("")
                                + "; one pass would fill both slots.");
            case LadderFault.AsksTooMuch much ->
                new Sentence(
                        belt(much.belt()) + ".ruleSlots",
                        much.asked() == 0
                                ? name(draft, much.belt())
                                        + " asks for nothing: mark a slot as a must, or ask for free ones."
                                : name(draft, much.belt()) + " asks for " + much.asked() + " of "
                                        + Words.counted(much.there(), "slot") + ".");
            case LadderFault.ReachesNobody nobody ->
                new Sentence(
                        belt(nobody.belt()) + ".slots",
                        name(draft, nobody.belt()) + " asks nothing of any instrument of this ladder.");
            case LadderFault.GoesRound round ->
                new Sentence(
                        belt(round.belt()) + ".slots",
                        name(draft, round.belt()) + " asks for \"" + round.title() + "\", which needs \""
                                + round.needs() + "\" first, and that is asked in " + name(draft, round.laterBelt())
                                + " only: they wait for one another.");
        };
    }

    static List<Sentence> of(List<LadderFault> faults, LadderDraft draft, InstrumentCatalog catalog) {
        return faults.stream().map(fault -> of(fault, draft, catalog)).toList();
    }

    private static String belt(int at) {
        return "belts[" + at + "]";
    }

    private static String slot(int belt, int slot) {
        return belt(belt) + ".slots[" + slot + "]";
    }

    private static String name(LadderDraft draft, int at) {
        String name = draft.belts().get(at).name();
        return name.isBlank() ? "Belt " + (at + 1) : name;
    }

    private static String where(LadderDraft draft, int belt, int slot) {
        String named = draft.belts().get(belt).slots().get(slot).name();
        return name(draft, belt) + ", slot " + (slot + 1) + (named.isBlank() ? "" : " (" + named + ")");
    }

    private static String whom(ForWhom whom, InstrumentCatalog catalog) {
        return switch (whom) {
            case ForWhom.Everybody all -> "everybody";
            case ForWhom.OfFamily some -> "the " + family(some.family());
            case ForWhom.Only one -> plural(one.instrument(), catalog);
        };
    }

    static String family(vividroster.core.instrument.Family family) {
        return switch (family) {
            case WOODWIND -> "woodwinds";
            case BRASS -> "brass";
            case PERCUSSION -> "percussion";
            case STRING -> "strings";
        };
    }

    private static String plural(InstrumentCode code, InstrumentCatalog catalog) {
        return catalog.withCode(code).plural();
    }
}
