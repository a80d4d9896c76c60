package vividroster.core.curriculum;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

/** Whom a filling of a slot is for. What is said of one instrument goes before its family, a family before everybody. */
public sealed interface ForWhom {

    record Everybody() implements ForWhom {}

    record OfFamily(Family family) implements ForWhom {}

    record Only(InstrumentCode instrument) implements ForWhom {}

    String FAMILY_PREFIX = "family-";

    /** As it is written: "any", "family-brass", or an instrument's code. */
    default String code() {
        return switch (this) {
            case Everybody all -> BeltSlot.ANY.value();
            case OfFamily some -> FAMILY_PREFIX + some.family().name().toLowerCase(Locale.ROOT);
            case Only one -> one.instrument().value();
        };
    }

    /** Empty where the catalog has no such instrument or family. */
    static Optional<ForWhom> of(String code, InstrumentCatalog catalog) {
        if (code.equals(BeltSlot.ANY.value())) {
            return Optional.of(new Everybody());
        }
        if (code.startsWith(FAMILY_PREFIX)) {
            String name = code.substring(FAMILY_PREFIX.length());
            return Arrays.stream(Family.values())
                    .filter(family -> family.name().toLowerCase(Locale.ROOT).equals(name))
                    .findFirst()
                    .map(OfFamily::new);
        }
        return catalog.inScoreOrder().stream()
                .map(Instrument::code)
                .filter(instrument -> instrument.value().equals(code))
                .findFirst()
                .map(Only::new);
    }

    /** One milestone for some instruments. */
    record Filling(ForWhom whom, UUID milestoneId) {}

    /** By instrument; what is for everybody stays under {@link BeltSlot#ANY}. */
    static Map<InstrumentCode, UUID> byInstrument(Collection<Filling> fillings, InstrumentCatalog catalog) {
        Map<InstrumentCode, UUID> byInstrument = new HashMap<>();
        List<Filling> families = fillings.stream()
                .filter(filling -> filling.whom() instanceof OfFamily)
                .toList();
        for (Filling filling : families) {
            catalog.inScoreOrder().stream()
                    .filter(instrument -> instrument.family() == ((OfFamily) filling.whom()).family())
                    .forEach(instrument -> byInstrument.put(instrument.code(), filling.milestoneId()));
        }
        for (Filling filling : fillings) {
            switch (filling.whom()) {
                case Everybody all -> byInstrument.put(BeltSlot.ANY, filling.milestoneId());
                case Only one -> byInstrument.put(one.instrument(), filling.milestoneId());
                case OfFamily some -> {}
            }
        }
        return byInstrument;
    }
}
