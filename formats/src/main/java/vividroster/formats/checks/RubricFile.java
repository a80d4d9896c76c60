package vividroster.formats.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Rubric;

/** The rubrics that ship with the product, as YAML. */
public final class RubricFile {

    private RubricFile() {}

    /** In the order of the file. */
    public static List<Rubric> shipped() {
        return CheckLibraryFile.nodes("rubrics.yaml").stream()
                .map(RubricFile::rubric)
                .toList();
    }

    private static Rubric rubric(Node node) {
        List<Criterion> criteria = new ArrayList<>();
        for (Node criterion : node.nodes("criteria")) {
            List<String> levels = criterion.texts("levels");
            criteria.add(new Criterion(
                    criteria.size() + 1,
                    criterion.text("name"),
                    levels.size() - 1,
                    criterion.values().containsKey("floor")
                            ? OptionalInt.of(criterion.number("floor"))
                            : OptionalInt.empty(),
                    criterion.values().containsKey("weight") ? criterion.number("weight") : 1,
                    levels));
        }
        return new Rubric(node.text("name"), criteria, node.number("mark"));
    }
}
