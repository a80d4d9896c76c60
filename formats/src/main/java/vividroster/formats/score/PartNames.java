package vividroster.formats.score;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;
import vividroster.core.music.Voice;
import vividroster.core.text.Wording;

/** Whose part it is, as people write it: "Bb Clarinet 2", "1st Violin", "Horn in F", "T.C. Baritone". */
public final class PartNames {

    private static final Map<String, Integer> DIVISIONS = Map.ofEntries(
            Map.entry("1", 1),
            Map.entry("2", 2),
            Map.entry("3", 3),
            Map.entry("4", 4),
            Map.entry("i", 1),
            Map.entry("ii", 2),
            Map.entry("iii", 3),
            Map.entry("iv", 4),
            Map.entry("1st", 1),
            Map.entry("2nd", 2),
            Map.entry("3rd", 3),
            Map.entry("4th", 4),
            Map.entry("first", 1),
            Map.entry("second", 2),
            Map.entry("third", 3),
            Map.entry("fourth", 4));

    /** Seldom met, and never without its name: what else sounds a fifth lower is a horn. */
    private static final Set<InstrumentCode> ALWAYS_NAMED = Set.of(new InstrumentCode("english-horn"));

    private static final Set<String> ASIDE = Set.of("solo", "tutti", "part", "section", "the", "in", "and");

    private PartNames() {}

    /**
     * @param name as printed; may be empty
     * @param written how the file says it sounds; concert where it says nothing
     * @param clef it is printed in, where that is known
     */
    public static Optional<Voice> meant(
            InstrumentCatalog catalog, String name, Transposition written, Optional<Clef> clef) {
        if (name.isBlank()) {
            return alone(catalog, written).map(i -> Voice.of(i.code()));
        }
        List<String> words = new ArrayList<>(List.of(Wording.fold(name).split(" ")));
        words.removeIf(String::isEmpty);
        List<Integer> numbers = words.stream()
                .filter(DIVISIONS::containsKey)
                .map(DIVISIONS::get)
                .distinct()
                .toList();
        // "Flute 1 & 2" is the whole section.
        int division = numbers.size() == 1 ? numbers.getFirst() : 0;
        words.removeIf(DIVISIONS::containsKey);
        Optional<Clef> said = clefSaid(words).or(() -> clef);
        for (String spelling : spellings(words)) {
            Optional<Instrument> found = catalog.spelled(spelling);
            if (found.isPresent()) {
                return Optional.of(new Voice(
                        kin(catalog, found.get(), words, written, said).code(), division));
            }
        }
        return words.isEmpty() || division > 0
                ? alone(catalog, written).map(i -> new Voice(i.code(), division))
                : alone(catalog, written).filter(i -> shares(i, words)).map(i -> new Voice(i.code(), division));
    }

    private static final Set<String> ACCOMPANIMENTS =
            Set.of("accompaniment", "accomp", "accompanying voice", "under", "backing", "piano accompaniment");

    /** Whether a part lies below all the others and nobody of the class plays it. */
    public static boolean isAccompaniment(String name) {
        return ACCOMPANIMENTS.contains(Wording.fold(name).strip());
    }

    /** Which division a name means, as rosters write it; 0 where it means none. */
    public static int division(String name) {
        return DIVISIONS.getOrDefault(Wording.fold(name).strip(), 0);
    }

    private static Optional<Clef> clefSaid(List<String> words) {
        String all = " " + String.join(" ", words) + " ";
        return all.contains(" tc ") || all.contains(" t c ") || all.contains(" treble clef ")
                ? Optional.of(Clef.TREBLE)
                : all.contains(" bc ") || all.contains(" b c ") || all.contains(" bass clef ")
                        ? Optional.of(Clef.BASS)
                        : Optional.empty();
    }

    /** The words as they stand, then without what only says clef, key or place, then their heads. */
    private static Set<String> spellings(List<String> words) {
        Set<String> all = new LinkedHashSet<>();
        all.add(String.join(" ", words));
        List<String> plain = new ArrayList<>(words);
        plain.removeIf(ASIDE::contains);
        all.add(String.join(" ", plain));
        String bare = (" " + String.join(" ", plain) + " ")
                .replaceAll("(?<= )(tc|t c|treble clef|bc|b c|bass clef)(?= )", "")
                .replaceAll("(?<= )([a-g] flat|[a-g] sharp|[a-g]b|[a-g])(?= )", "")
                .replaceAll(" +", " ")
                .strip();
        all.add(bare);
        all.remove("");
        return all;
    }

    /**
     * The instrument of that name which reads as the part is written: a saxophone of the right size, a baritone in the
     * treble clef.
     */
    private static Instrument kin(
            InstrumentCatalog catalog,
            Instrument named,
            List<String> words,
            Transposition written,
            Optional<Clef> clef) {
        boolean clefDiffers = clef.isPresent() && clef.get() != named.clef();
        boolean pitchDiffers = written.semitones() != 0
                && written.semitones() != named.transposition().semitones();
        if (!clefDiffers && !pitchDiffers) {
            return named;
        }
        return catalog.inScoreOrder().stream()
                .filter(i -> !i.equals(named) && i.family() == named.family())
                .filter(i -> written.semitones() == 0
                        ? clefDiffers && i.clef() == clef.get()
                        : i.transposition().semitones() == written.semitones())
                .filter(i -> related(i, named, words))
                .findFirst()
                .orElse(named);
    }

    private static boolean related(Instrument other, Instrument named, List<String> words) {
        String last = last(named.code());
        return last(other.code()).equals(last) || shares(other, words);
    }

    private static String last(InstrumentCode code) {
        String words = code.value().replaceAll("-treble$", "");
        return words.substring(words.lastIndexOf('-') + 1);
    }

    /** Whether a word of the name is one of the instrument's own. */
    private static boolean shares(Instrument instrument, List<String> words) {
        Set<String> own = new LinkedHashSet<>(List.of(instrument.code().value().split("-")));
        own.addAll(List.of(Wording.fold(instrument.plural()).split(" ")));
        instrument
                .aliases()
                .forEach(alias -> own.addAll(List.of(Wording.fold(alias).split(" "))));
        own.removeIf(word -> word.length() < 3 || word.equals("flat") || word.equals("treble") || word.equals("clef"));
        return words.stream().anyMatch(own::contains);
    }

    /** The only instrument that sounds so; empty where several do, or the part is at concert pitch. */
    private static Optional<Instrument> alone(InstrumentCatalog catalog, Transposition written) {
        if (written.semitones() == 0) {
            return Optional.empty();
        }
        List<Instrument> all = catalog.inScoreOrder().stream()
                .filter(i -> i.pitched() && i.transposition().semitones() == written.semitones())
                .filter(i -> !ALWAYS_NAMED.contains(i.code()))
                .toList();
        return all.size() == 1 ? Optional.of(all.getFirst()) : Optional.empty();
    }
}
