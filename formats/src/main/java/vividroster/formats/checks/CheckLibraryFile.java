package vividroster.formats.checks;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import vividroster.core.curriculum.Caution;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Guide;
import vividroster.core.curriculum.Guide.Measured;
import vividroster.core.curriculum.Guide.Vantage;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.curriculum.SchoolQuestion;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;

/** The starter checks and the questions between schools that ship with the product, as YAML. */
public final class CheckLibraryFile {

    private static final List<String> FILES = List.of(
            "everybody",
            "ready",
            "winds",
            "brass",
            "reeds",
            "flute",
            "oboe",
            "bassoon",
            "clarinet",
            "saxophone",
            "trumpet",
            "horn",
            "trombone",
            "low-brass",
            "percussion",
            "mallets",
            "drums",
            "strings",
            "violin-viola",
            "cello",
            "double-bass");

    private CheckLibraryFile() {}

    /** Every starter check, by file and then as written. */
    public static List<TechniqueCheck> shipped(InstrumentCatalog catalog) {
        List<TechniqueCheck> checks = new ArrayList<>();
        Set<String> keys = new LinkedHashSet<>();
        for (String file : FILES) {
            for (Node node : nodes("checks/" + file + ".yaml")) {
                TechniqueCheck check = check(node, catalog);
                if (!keys.add(check.key())) {
                    throw new IllegalArgumentException("two starter checks share the key " + check.key());
                }
                checks.add(check);
            }
        }
        return List.copyOf(checks);
    }

    /**
     * Checks of a director's own, written as the starter checks are.
     *
     * @throws IllegalArgumentException naming the check that cannot be read and why
     */
    public static List<TechniqueCheck> read(InputStream in, String name, InstrumentCatalog catalog) {
        return nodes(in, name).stream().map(node -> check(node, catalog)).toList();
    }

    /** The questions between schools, in order. */
    public static List<SchoolQuestion> questions() {
        return nodes("schools.yaml").stream()
                .map(node -> new SchoolQuestion(
                        node.text("key"), node.text("question"), node.words("choices"), amount(node)))
                .toList();
    }

    private static Optional<SchoolQuestion.Amount> amount(Node node) {
        Map<String, String> words = node.words("amount");
        return words.isEmpty()
                ? Optional.empty()
                : Optional.of(new SchoolQuestion.Amount(
                        Double.parseDouble(words.get("low")),
                        Double.parseDouble(words.get("high")),
                        Double.parseDouble(words.get("usual")),
                        words.get("unit")));
    }

    private static TechniqueCheck check(Node node, InstrumentCatalog catalog) {
        try {
            return new TechniqueCheck(
                    node.text("key"),
                    CheckTopic.valueOf(node.text("topic")),
                    node.text("short"),
                    node.text("title"),
                    node.is("instrumentFree"),
                    instruments(node.texts("for"), catalog),
                    node.texts("steps"),
                    wordings(node, "wordings"),
                    cues(node),
                    node.words("syllables"),
                    node.texts("criteria"),
                    mustSee(node),
                    node.text("selfTest"),
                    node.nodes("faults").stream()
                            .map(f -> new TechniqueCheck.Fault(f.text("sign"), f.texts("try")))
                            .toList(),
                    cautions(node.texts("cautions")),
                    node.nodes("variants").stream()
                            .map(v -> new TechniqueCheck.Variant(
                                    v.text("name"),
                                    v.text("note"),
                                    v.number("reviewWeeks"),
                                    new SchoolChoices(v.words("choose"))))
                            .toList(),
                    tones(node),
                    guide(node),
                    passRule(node.text("pass")));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(node.where() + ": " + e.getMessage(), e);
        }
    }

    private static Guide guide(Node node) {
        return new Guide(
                node.textOr("why", ""),
                Vantage.valueOf(node.textOr("seenFrom", "front")
                        .toUpperCase(Locale.ROOT)
                        .replace(' ', '_')),
                node.textOr("notFor", ""),
                node.textOr("backTo", ""),
                wordings(node, "criterionWordings"),
                measured(node));
    }

    private static Optional<Measured> measured(Node node) {
        Map<String, String> words = node.words("measured");
        return words.isEmpty()
                ? Optional.empty()
                : Optional.of(new Measured(words.get("name"), words.get("unit"), Double.parseDouble(words.get("aim"))));
    }

    private static Map<InstrumentCode, Pitch> tones(Node node) {
        Map<InstrumentCode, Pitch> tones = new LinkedHashMap<>();
        node.words("tones")
                .forEach((instrument, pitch) -> tones.put(new InstrumentCode(instrument), Pitch.named(pitch)));
        return tones;
    }

    private static Map<Integer, String> cues(Node node) {
        Map<Integer, String> cues = new LinkedHashMap<>();
        node.words("cues").forEach((step, cue) -> cues.put(Integer.valueOf(step), cue));
        return cues;
    }

    private static Set<Integer> mustSee(Node node) {
        return node.texts("mustSee").stream().map(Integer::valueOf).collect(Collectors.toSet());
    }

    private static Set<InstrumentCode> instruments(List<String> names, InstrumentCatalog catalog) {
        Set<InstrumentCode> codes = new LinkedHashSet<>();
        for (String name : names) {
            if (name.startsWith("family:")) {
                Family family = Family.valueOf(name.substring(7));
                catalog.inScoreOrder().stream()
                        .filter(i -> i.family() == family)
                        .map(Instrument::code)
                        .forEach(codes::add);
            } else {
                codes.add(catalog.withCode(new InstrumentCode(name)).code());
            }
        }
        return codes;
    }

    private static Map<String, Map<String, Map<Integer, String>>> wordings(Node node, String name) {
        Map<String, Map<String, Map<Integer, String>>> wordings = new LinkedHashMap<>();
        node.map(name).forEach((question, byChoice) -> {
            Map<String, Map<Integer, String>> choices = new LinkedHashMap<>();
            Node.of(byChoice).forEach((choice, bySteps) -> {
                Map<Integer, String> words = new LinkedHashMap<>();
                Node.of(bySteps).forEach((step, text) -> words.put(Integer.valueOf(step), String.valueOf(text)));
                choices.put(choice, words);
            });
            wordings.put(question, choices);
        });
        return wordings;
    }

    private static Set<Caution> cautions(List<String> names) {
        Set<Caution> cautions = EnumSet.noneOf(Caution.class);
        names.forEach(name -> cautions.add(Caution.valueOf(name)));
        return cautions;
    }

    private static PassRule passRule(String words) {
        if (words.equals("one good try")) {
            return new PassRule.OneGoodTry();
        }
        if (words.equals("all criteria")) {
            return new PassRule.AllCriteria();
        }
        if (words.endsWith(" criteria")) {
            return new PassRule.ScoreAtLeast(Integer.parseInt(words.substring(0, words.indexOf(' '))));
        }
        String[] kOfN = words.split(" of ");
        if (kOfN.length != 2) {
            throw new IllegalArgumentException(
                    "a check passes by \"one good try\", \"all criteria\", \"3 criteria\" or \"4 of 5\", was \"" + words
                            + "\"");
        }
        return new PassRule.KOfLastN(Integer.parseInt(kOfN[0]), Integer.parseInt(kOfN[1]));
    }

    static List<Node> nodes(String file) {
        try (InputStream in =
                Objects.requireNonNull(CheckLibraryFile.class.getResourceAsStream("/vividroster/" + file), file)) {
            return nodes(in, file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<Node> nodes(InputStream in, String name) {
        Object read = new Yaml(new SafeConstructor(new LoaderOptions())).load(in);
        return Node.list(name, read);
    }
}
