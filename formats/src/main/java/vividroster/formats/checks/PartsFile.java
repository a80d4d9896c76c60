package vividroster.formats.checks;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import vividroster.core.music.InstrumentCode;

/** Names of the parts of every instrument, for a quiz on nine drawings by kind. */
public final class PartsFile {

    private static final String NONE = "-";

    private PartsFile() {}

    /**
     * @param kind of the drawing
     * @param parts in the order of the numbers on it; those an instrument does not have are left out
     */
    public record Parts(String kind, List<Part> parts) {}

    /** @param number on the drawing, from 1; never whether a beginner must never turn or push it */
    public record Part(int number, String name, boolean never) {}

    /** By instrument. */
    public static Map<InstrumentCode, Parts> shipped() {
        Map<InstrumentCode, Parts> all = new LinkedHashMap<>();
        for (Node node : nodes()) {
            List<String> never = node.texts("never");
            node.map("names").forEach((instrument, names) -> {
                List<Part> parts = new ArrayList<>();
                int number = 0;
                for (Object name : (List<?>) names) {
                    number++;
                    if (!NONE.equals(name)) {
                        parts.add(new Part(number, String.valueOf(name), never.contains(String.valueOf(number))));
                    }
                }
                all.put(new InstrumentCode(instrument), new Parts(node.text("kind"), List.copyOf(parts)));
            });
        }
        return all;
    }

    private static List<Node> nodes() {
        try (InputStream in = Objects.requireNonNull(PartsFile.class.getResourceAsStream("/vividroster/parts.yaml"))) {
            return Node.list("parts.yaml", new Yaml(new SafeConstructor(new LoaderOptions())).load(in));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
