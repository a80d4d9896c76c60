package vividroster.server.library;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import tools.jackson.databind.json.JsonMapper;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Ladder;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

/** How ladders were asked before, as the database keeps it: each belt with what it asked of each instrument. */
final class EarlierVersions {

    private final InstrumentCatalog catalog;
    private final JsonMapper json = JsonMapper.builder().build();

    EarlierVersions(InstrumentCatalog catalog) {
        this.catalog = catalog;
    }

    /** A version as it was asked, and how its belts were drawn. */
    record Version(Ladder.Earlier asked, Map<UUID, BeltLook> looks) {}

    private record KeptVersion(String until, List<KeptBelt> belts) {}

    private record KeptBelt(
            UUID id,
            int rank,
            String name,
            String color,
            String weave,
            int knots,
            String rule,
            int ruleSlots,
            List<KeptSlot> slots) {}

    private record KeptSlot(int ordinal, String name, boolean must, List<KeptFilling> fillings) {}

    private record KeptFilling(UUID milestone, List<String> instruments) {}

    /** @param text a list of versions, each with its last day and its belts */
    List<Version> read(String ladder, String text) {
        List<Version> versions = new ArrayList<>();
        for (KeptVersion version : json.readValue(text, KeptVersion[].class)) {
            Map<UUID, BeltLook> looks = new HashMap<>();
            version.belts()
                    .forEach(belt -> looks.put(belt.id(), new BeltLook(belt.color(), belt.weave(), belt.knots())));
            versions.add(new Version(
                    new Ladder.Earlier(
                            LocalDate.parse(version.until()),
                            version.belts().stream()
                                    .map(belt -> belt(ladder, belt))
                                    .toList()),
                    looks));
        }
        return versions;
    }

    private static Belt belt(String ladder, KeptBelt belt) {
        return new Belt(
                belt.id(),
                ladder,
                belt.rank(),
                belt.name(),
                belt.slots().stream().map(EarlierVersions::slot).toList(),
                RuleCodes.rule(belt.rule(), belt.ruleSlots()),
                Set.of());
    }

    private static BeltSlot slot(KeptSlot slot) {
        Map<InstrumentCode, UUID> fillings = new HashMap<>();
        slot.fillings()
                .forEach(filling -> filling.instruments()
                        .forEach(code -> fillings.put(new InstrumentCode(code), filling.milestone())));
        return new BeltSlot(slot.ordinal(), slot.name(), fillings, Map.of(), slot.must());
    }

    /** The belts of a ladder as it is asked now. */
    String write(KeptLadder ladder) {
        return json.writeValueAsString(ladder.ladder().belts().stream()
                .map(belt -> belt(belt, ladder.looks().get(belt.id())))
                .toList());
    }

    private KeptBelt belt(Belt belt, BeltLook look) {
        return new KeptBelt(
                belt.id(),
                belt.rank(),
                belt.name(),
                look.color(),
                look.weave(),
                look.knots(),
                RuleCodes.name(belt.rule()),
                RuleCodes.slots(belt.rule()),
                belt.slots().stream().map(slot -> slot(belt, slot)).toList());
    }

    private KeptSlot slot(Belt belt, BeltSlot slot) {
        Map<UUID, List<String>> whom = new LinkedHashMap<>();
        for (Instrument instrument : catalog.inScoreOrder()) {
            belt.filling(slot, instrument.code())
                    .ifPresent(id -> whom.computeIfAbsent(id, one -> new ArrayList<>())
                            .add(instrument.code().value()));
        }
        return new KeptSlot(
                slot.ordinal(),
                slot.name(),
                slot.must(),
                whom.entrySet().stream()
                        .map(one -> new KeptFilling(one.getKey(), one.getValue()))
                        .toList());
    }
}
