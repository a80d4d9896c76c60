package vividroster.core.instrument;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import vividroster.core.music.InstrumentCode;
import vividroster.core.text.Wording;

/** All instruments a programme may use, in score order. Immutable. */
public final class InstrumentCatalog {

    private final List<Instrument> inScoreOrder;
    private final Map<InstrumentCode, Instrument> byCode;
    private final Map<String, Instrument> bySpelling;

    /** @throws IllegalArgumentException when a code, a score rank or a spelling stands for two instruments */
    public InstrumentCatalog(List<Instrument> instruments) {
        inScoreOrder = instruments.stream()
                .sorted(Comparator.comparingInt(Instrument::scoreRank))
                .toList();
        byCode = inScoreOrder.stream().collect(Collectors.toMap(Instrument::code, Function.identity(), (a, b) -> {
            throw new IllegalArgumentException("two instruments share the code " + a.code());
        }));
        bySpelling = new HashMap<>();
        for (int i = 0; i < inScoreOrder.size(); i++) {
            Instrument instrument = inScoreOrder.get(i);
            if (i > 0 && inScoreOrder.get(i - 1).scoreRank() == instrument.scoreRank()) {
                throw new IllegalArgumentException("two instruments share the score rank " + instrument.scoreRank());
            }
            spell(instrument.code().value().replace('-', ' '), instrument);
            spell(instrument.name(), instrument);
            spell(instrument.plural(), instrument);
            instrument.aliases().forEach(alias -> spell(alias, instrument));
        }
    }

    private void spell(String spelling, Instrument instrument) {
        Instrument before = bySpelling.put(Wording.fold(spelling), instrument);
        if (before != null && !before.equals(instrument)) {
            throw new IllegalArgumentException(
                    "\"" + spelling + "\" stands for both " + before.code() + " and " + instrument.code());
        }
    }

    public List<Instrument> inScoreOrder() {
        return inScoreOrder;
    }

    /** @throws IllegalArgumentException when the code is not in the catalog */
    public Instrument withCode(InstrumentCode code) {
        Instrument instrument = byCode.get(code);
        if (instrument == null) {
            throw new IllegalArgumentException("no instrument has the code \"" + code + "\"");
        }
        return instrument;
    }

    public boolean has(InstrumentCode code) {
        return byCode.containsKey(code);
    }

    /** Finds an instrument however a roster spells it: name, plural, code or alias, case and punctuation aside. */
    public Optional<Instrument> spelled(String text) {
        return Optional.ofNullable(bySpelling.get(Wording.fold(text)));
    }

    /** The instrument whose name is nearest to a misspelling, when one is near enough to be meant. */
    public Optional<Instrument> nearestTo(String text) {
        return Wording.nearest(text, bySpelling.keySet()).map(bySpelling::get);
    }
}
