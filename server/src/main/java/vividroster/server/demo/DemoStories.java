package vividroster.server.demo;

import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVRecord;

/** What the demo's history must tell beside the ordinary: who is stuck, excused, unheard, fast or slow. */
final class DemoStories {

    enum Effect {
        PACE,
        STUCK,
        SUBSTITUTE,
        EXCUSED,
        UNHEARD,
        /** From a day on nobody heard the student any more. */
        NOT_HEARD_SINCE,
        /** From a day on no try is good any more. */
        FADES_FROM
    }

    private record Story(String who, String milestone, Effect effect, String value) {}

    private final List<Story> stories = DemoFiles.rows("stories").stream()
            .map((CSVRecord row) -> new Story(
                    row.get("who"), row.get("milestone"), Effect.valueOf(row.get("effect")), row.get("value")))
            .toList();

    /** The value of a story about a student, or else about the section. */
    Optional<String> about(String student, String section, String milestone, Effect effect) {
        return find(student, milestone, effect).or(() -> find("section " + section, milestone, effect));
    }

    private Optional<String> find(String who, String milestone, Effect effect) {
        return stories.stream()
                .filter(s -> s.effect() == effect && s.who().equals(who))
                .filter(s -> s.milestone().equals("*") || s.milestone().equals(milestone))
                .map(Story::value)
                .findFirst();
    }
}
