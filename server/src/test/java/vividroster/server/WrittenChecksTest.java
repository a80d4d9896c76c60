package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Written checks: made from a line for every section in its key, printed with answers, recorded as points or done. */
class WrittenChecksTest {

    private static final String ABC =
            "X:1\nT:Gull parade\nM:4/4\nL:1/4\nQ:1/4=80\nK:Bb\n" + "|:B,CDE|FEDC|=B,CB,E|F3z:|FGAB|AGFE|DEDC|B,4|]\n";

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    @BeforeEach
    void theLineHasNotes() {
        assertThat(director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", ABC))
                        .status())
                .isEqualTo(204);
    }

    private Map<String, Object> draft(Object... changes) {
        Map<String, Object> draft = new HashMap<>(Map.of(
                "shortName",
                "Sheet 1",
                "title",
                "Sheet 1: notes and counting",
                "lineIds",
                List.of(school.id("line")),
                "asks",
                List.of("NAME_NOTE", "COUNT_MEASURE", "STILL_ALTERED", "KEY_SIGNATURE", "WAY_THROUGH", "FINGER"),
                "questions",
                10,
                "seed",
                3,
                "topPoints",
                10,
                "mark",
                7));
        for (int i = 0; i < changes.length; i += 2) {
            if (changes[i + 1] == null) {
                draft.remove((String) changes[i]);
            } else {
                draft.put((String) changes[i], changes[i + 1]);
            }
        }
        return draft;
    }

    private UUID write(Map<String, Object> draft) {
        Answer written = director.post("/api/written-checks", draft);
        assertThat(written.status()).as(written.text()).isEqualTo(201);
        return UUID.fromString(written.json().path("milestoneId").asString());
    }

    private JsonNode sheet(UUID check, String more) {
        return director.get("/api/written-checks/" + check + "/sheet?instrument=" + more)
                .json();
    }

    private static Map<String, List<String>> answers(JsonNode sheet) {
        Map<String, List<String>> answers = new HashMap<>();
        sheet.path("questions")
                .forEach(
                        question -> answers.computeIfAbsent(question.path("ask").asString(), ask -> new ArrayList<>())
                                .add(question.path("answer").asString()));
        return answers;
    }

    @Test
    void everySectionIsAskedInItsOwnKey() {
        UUID check = write(draft());
        JsonNode trumpet = sheet(check, "trumpet");
        assertThat(trumpet.path("questions").size()).isEqualTo(10);
        Map<String, List<String>> answers = answers(trumpet);
        // Concert B-flat is written C: no signature to ask about; concert B natural in measure 3 is written C-sharp.
        assertThat(answers).doesNotContainKey("KEY_SIGNATURE");
        assertThat(answers.get("STILL_ALTERED")).containsExactly("C-sharp, 3rd note");
        assertThat(answers.get("WAY_THROUGH")).containsExactly("1 2 3 4 1 2 3 4 5 6 7 8");
        Map<String, List<String>> flute = answers(sheet(check, "flute"));
        assertThat(flute.get("KEY_SIGNATURE")).containsExactly("B-flat, E-flat");
        assertThat(flute.get("STILL_ALTERED")).containsExactly("B, 3rd note");
        assertThat(sheet(check, "trumpet")).as("the same sheet").isEqualTo(trumpet);
        assertThat(sheet(check, "trumpet&seed=4")).isNotEqualTo(trumpet);
        assertThat(answers(sheet(check, "percussion")).keySet()).containsOnly("COUNT_MEASURE", "WAY_THROUGH");
    }

    @Test
    void isRecordedAsPointsOrDone() {
        UUID points = write(draft());
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "NOT_YET");
        attempt.put("milestoneId", points);
        attempt.put("marks", List.of(Map.of("ordinal", 1, "points", 8)));
        assertThat(director.post("/api/attempts", attempt)
                        .json()
                        .path("outcome")
                        .asString())
                .isEqualTo("PASS");
        attempt.put("id", UUID.randomUUID());
        attempt.put("marks", List.of(Map.of("ordinal", 1, "points", 11)));
        assertThat(director.post("/api/attempts", attempt).sentence())
                .isEqualTo("Points has at most 10 points, not 11.");
        UUID done = write(draft("lineIds", List.of(), "topPoints", null, "mark", null, "title", "Paper on clefs"));
        Map<String, Object> handedIn = school.attempt("Ana Reed", "line", "PASS");
        handedIn.put("milestoneId", done);
        assertThat(director.post("/api/attempts", handedIn).status()).isLessThan(300);
        assertThat(director.get("/api/written-checks/" + done + "/sheet?instrument=flute")
                        .sentence())
                .isEqualTo("This check is a paper of your own; there is no sheet to print.");
        assertThat(director.get("/api/board?classId=" + school.id("Winds")).status())
                .isEqualTo(200);
    }

    @Test
    void anEditIsAVersionAndWhatCannotBeIsRefused() {
        UUID check = write(draft());
        assertThat(director.post("/api/written-checks/" + check, Map.of("version", 1, "draft", draft("seed", 9)))
                        .status())
                .isEqualTo(204);
        assertThat(director.post("/api/written-checks/" + check, Map.of("version", 1, "draft", draft()))
                        .status())
                .isEqualTo(409);
        JsonNode kept = director.get("/api/written-checks/" + check).json();
        assertThat(kept.path("version").asInt()).isEqualTo(2);
        assertThat(kept.path("draft").path("seed").asInt()).isEqualTo(9);
        refused("mark", "Nobody can reach 11 points: there are 10.", "mark", 11);
        refused("mark", "Say how many points pass.", "mark", null);
        refused("asks", "Choose what is asked of these lines.", "asks", List.of());
        refused("topPoints", "Each question is a point: there are 10.", "topPoints", 20);
        refused("questions", "A sheet has 1 to 40 questions.", "questions", 0);
        refused(
                "lineIds[0]",
                "Of \"Two gulls\" only facts are kept, no notes to ask about.",
                "lineIds",
                List.of(school.id("line 2")));
        assertThat(director.post("/api/written-checks/" + check + "/retire", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(director.post("/api/written-checks/" + check + "/restore", Map.of())
                        .status())
                .isEqualTo(204);
    }

    private void refused(String field, String sentence, Object... changes) {
        Answer refused = director.post("/api/written-checks", draft(changes));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.sentence()).isEqualTo(sentence);
        assertThat(refused.json().path("field").asString()).isEqualTo(field);
    }
}
