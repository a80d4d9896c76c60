package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class CheckEditingTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private static Map<String, Object> draft(String title, Map<String, Object> pass, String... criteria) {
        Map<String, Object> draft = new LinkedHashMap<>();
        draft.put("title", title);
        draft.put("shortName", "Reach");
        draft.put("topic", "HOLD");
        draft.put("appliesTo", List.of("trumpet"));
        draft.put("instrumentFree", false);
        draft.put("steps", List.of(Map.of("text", "Left hand carries", "cue", "Carry"), Map.of("text", "Right moves")));
        List<Map<String, Object>> list = new ArrayList<>();
        for (String name : criteria) {
            list.add(Map.of("name", name, "mustSee", list.isEmpty()));
        }
        draft.put("criteria", list);
        draft.put("selfTest", "Let go.");
        draft.put("syllables", List.of());
        draft.put("faults", List.of(Map.of("sign", "Neck forward", "remedies", List.of("Sit tall", "Stand higher"))));
        draft.put("cautions", List.of("PAIN"));
        draft.put("variants", List.of(Map.of("name", "Two fingers", "note", "small hand", "reviewWeeks", 6)));
        draft.put("tones", List.of(Map.of("instrument", "trumpet", "pitch", "F4")));
        draft.put("pass", pass);
        return draft;
    }

    private static final Map<String, Object> ALL = Map.of("rule", "ALL_CRITERIA");

    private String write(Map<String, Object> draft) {
        Answer answer = director.post("/api/checks", draft);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.json().path("milestoneId").asString();
    }

    private Answer edit(String id, int version, Consumer<ObjectNode> change) {
        ObjectNode draft =
                (ObjectNode) director.get("/api/checks/" + id + "/draft").json().path("draft");
        change.accept(draft);
        return director.post("/api/checks/" + id, Map.of("version", version, "draft", draft));
    }

    private JsonNode attempt(String id, String outcome, Integer version, int... points) {
        Map<String, Object> attempt = school.attempt("Flo Hart", "line", outcome);
        attempt.put("milestoneId", id);
        if (version != null) {
            attempt.put("milestoneVersion", version);
        }
        List<Map<String, Object>> marks = new ArrayList<>();
        for (int p : points) {
            marks.add(Map.of("ordinal", marks.size() + 1, "points", p));
        }
        if (!marks.isEmpty()) {
            attempt.put("marks", marks);
        }
        Answer answer = director.post("/api/attempts", attempt);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void aCheckOfOnesOwnIsWrittenShownAndOrdered() {
        String id = write(draft("Reach", ALL, "Shoulder low", "Wrist straight"));
        JsonNode check = director.get("/api/checks/" + id).json().path("check");
        assertThat(check.path("steps").get(0).asString()).as("the cue word").isEqualTo("Carry");
        assertThat(check.path("cues").get(0).path("fullStep").asString()).isEqualTo("Left hand carries");
        assertThat(check.path("tones").get(0).path("hertz").asDouble()).isBetween(349.2, 349.3);
        assertThat(check.path("cautions").get(0).asString()).startsWith("Pain");
        Map<String, Object> order = school.order(List.of(school.section("trumpet")), "line");
        order.put("milestones", List.of(Map.of("orderId", UUID.randomUUID(), "milestoneId", id)));
        assertThat(director.post("/api/season/orders", order).status()).isEqualTo(201);
        assertThat(attempt(id, "PASS", 1, 1, 1).path("standing").path("state").asString())
                .isEqualTo("PASSED");
    }

    @Test
    void editingMakesAVersionAndLeavesEveryPassAsItWasHeard() {
        String id = write(draft("Reach", Map.of("rule", "ONE_GOOD_TRY"), "Shoulder low"));
        assertThat(attempt(id, "PASS", 1, 1).path("standing").path("state").asString())
                .isEqualTo("PASSED");
        Answer edited = edit(id, 1, draft -> {
            draft.put("title", "Reach further");
            draft.withArray("criteria")
                    .addObject()
                    .put("name", "Elbow off the ribs")
                    .put("mustSee", false);
            draft.putObject("pass").put("rule", "K_OF_LAST_N").put("k", 4).put("n", 5);
        });
        assertThat(edited.status()).as(edited.text()).isEqualTo(204);
        JsonNode board = director.get("/api/board?classId=" + school.id("Winds") + "&instrument=trumpet")
                .json();
        assertThat(board.path("rows").toString()).doesNotContain("nothing");
        assertThat(attempt(id, "NOT_YET", 2, 0, 1)
                        .path("standing")
                        .path("state")
                        .asString())
                .as("a later try under the harder rule takes nothing away")
                .isEqualTo("PASSED");
        JsonNode draft = director.get("/api/checks/" + id + "/draft").json();
        assertThat(draft.path("version").asInt()).isEqualTo(2);
        assertThat(draft.path("draft").path("criteria").size()).isEqualTo(2);
    }

    @Test
    void aMarkMadeOnAnOldPageIsJudgedByWhatThatPageShowed() {
        String id = write(draft("Reach", ALL, "Shoulder low"));
        edit(
                id,
                1,
                draft -> draft.withArray("criteria")
                        .addObject()
                        .put("name", "Elbow")
                        .put("mustSee", false));
        assertThat(attempt(id, "PASS", 1, 1).path("outcome").asString())
                .as("all of version 1 was seen")
                .isEqualTo("PASS");
        assertThat(attempt(id, "PASS", 2, 1, 0).path("outcome").asString()).isEqualTo("NOT_YET");
        Map<String, Object> unknown = school.attempt("Flo Hart", "line", "PASS");
        unknown.put("milestoneId", id);
        unknown.put("milestoneVersion", 9);
        assertThat(director.post("/api/attempts", unknown).sentence())
                .isEqualTo("\"Reach\" has no version 9; load the page again.");
    }

    @Test
    void aCorrectionIsJudgedByTheVersionThatWasHeard() {
        String id = write(draft("Reach", ALL, "Shoulder low", "Wrist"));
        String heard = attempt(id, "PASS", 1, 1, 0).path("id").asString();
        edit(id, 1, draft -> draft.withArray("criteria").removeAll());
        edit(
                id,
                1,
                draft -> draft.withArray("criteria")
                        .addObject()
                        .put("name", "Third")
                        .put("mustSee", false));
        Answer corrected = director.post(
                "/api/attempts/" + heard + "/correction",
                Map.of(
                        "id",
                        UUID.randomUUID(),
                        "outcome",
                        "PASS",
                        "marks",
                        List.of(Map.of("ordinal", 1, "points", 1), Map.of("ordinal", 2, "points", 1)),
                        "reason",
                        "the wrist was straight"));
        assertThat(corrected.json().path("outcome").asString()).isEqualTo("PASS");
    }

    @Test
    void countedCriteriaPassWithTheOneThatMustBeSeen() {
        String id = write(draft("Reach", Map.of("rule", "SCORE_AT_LEAST", "mark", 2), "Shoulder", "Wrist", "Elbow"));
        assertThat(attempt(id, "PASS", 1, 0, 1, 1).path("outcome").asString())
                .as("the first must be seen")
                .isEqualTo("NOT_YET");
        assertThat(attempt(id, "PASS", 1, 1, 1, 0).path("outcome").asString()).isEqualTo("PASS");
        assertThat(director.get("/api/library").text())
                .contains("2 of the 3 criteria seen, the underlined ones among them");
    }

    @Test
    void twoWhoEditAtOnceAreToldApart() {
        String id = write(draft("Reach", ALL, "Shoulder low"));
        assertThat(edit(id, 1, draft -> draft.put("selfTest", "One")).status()).isEqualTo(204);
        Answer second = edit(id, 1, draft -> draft.put("selfTest", "Other words"));
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.sentence()).startsWith("\"Reach\" was edited by someone else in the meantime.");
        assertThat(director.get("/api/checks/" + id).text()).contains("One").doesNotContain("Other words");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "criteria | [] | A check needs at least one criterion: a thing that can be seen or heard.",
                "steps | [] | Write at least one step.",
                "title | \" \" | Give the check a title.",
                "shortName | \"A very long short name\" | A short name has at most 16 letters.",
                "appliesTo | [\"kazoo\"] | \"kazoo\" is not an instrument of the catalog.",
                "pass | {\"rule\":\"K_OF_LAST_N\",\"k\":6,\"n\":5} | 6 good tries cannot be among the last 5; ask for 5 or fewer.",
                "pass | {\"rule\":\"K_OF_LAST_N\"} | Say how many good tries of how many make the pass.",
                "pass | {\"rule\":\"SCORE_AT_LEAST\",\"mark\":4} | \"Reach\" passes by 4 criteria seen but has only 1.",
                "faults | [{\"sign\":\"Airy\",\"remedies\":[\"\"]}] | \"Airy\" needs at least one thing to try.",
                "variants | [{\"name\":\"Ring\",\"note\":\"\",\"reviewWeeks\":0}] | \"Ring\" is reviewed after 1 to 52 weeks, was 0.",
                "tones | [{\"instrument\":\"trumpet\",\"pitch\":\"H9\"}] | A pitch is written like F4 or Bb2, was \"H9\"."
            })
    void whatDoesNotHoldTogetherIsRefusedWithASentence(String field, String json, String sentence) {
        Map<String, Object> draft = draft("Reach", ALL, "Shoulder low");
        draft.put(
                field, tools.jackson.databind.json.JsonMapper.builder().build().readTree(json));
        Answer answer = director.post("/api/checks", draft);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.sentence()).isEqualTo(sentence);
    }

    @Test
    void whatComesBeforeMayNotGoRound() {
        String hold = write(draft("Hold it", ALL, "Shoulder low"));
        Map<String, Object> next = draft("Sound it", ALL, "Steady");
        next.put("after", List.of(hold));
        String sound = write(next);
        assertThat(director.get("/api/checks/" + sound)
                        .json()
                        .path("before")
                        .get(0)
                        .path("title")
                        .asString())
                .isEqualTo("Hold it");
        Answer ring = edit(hold, 1, draft -> draft.putArray("after").add(sound));
        assertThat(ring.status()).isEqualTo(422);
        assertThat(ring.sentence())
                .startsWith("These would wait for one another: ")
                .contains("\"Hold it\" needs \"Sound it\"", "\"Sound it\" needs \"Hold it\"")
                .endsWith("Take one of them out of what comes before.");
        assertThat(edit(
                                hold,
                                1,
                                draft -> draft.putArray("after")
                                        .add(UUID.randomUUID().toString()))
                        .sentence())
                .isEqualTo("A check that should come before this one is not in the library any more.");
    }

    @Test
    void aRetiredCheckLeavesTheShelfAndKeepsItsPasses() {
        String id = write(draft("Reach", ALL, "Shoulder low"));
        attempt(id, "PASS", 1, 1);
        assertThat(director.post("/api/checks/" + id + "/retire", Map.of()).status())
                .isEqualTo(204);
        assertThat(director.get("/api/library").text()).doesNotContain(id);
        assertThat(director.get("/api/checks/retired").text()).contains("Reach");
        assertThat(director.get("/api/students/" + school.id("Flo Hart") + "/folder")
                        .text())
                .contains("Reach");
        assertThat(director.post("/api/checks/" + id + "/restore", Map.of()).status())
                .isEqualTo(204);
        assertThat(director.get("/api/library").text()).contains(id);
        assertThat(director.post("/api/checks/" + school.id("line") + "/retire", Map.of())
                        .status())
                .isEqualTo(422);
    }

    @Test
    void aCopySaysTheSameUnderItsOwnName() {
        String shelf = director.post("/api/checks/starters/trumpet-left-hand/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        String copy = director.post("/api/checks/" + shelf + "/copy", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        JsonNode check = director.get("/api/checks/" + copy).json().path("check");
        assertThat(check.path("title").asString()).isEqualTo("Copy of Trumpet: the left hand carries");
        director.post("/api/schools/left-little-finger", Map.of("choice", "wraps-beside"));
        assertThat(director.get("/api/checks/" + copy).text())
                .as("the words for other schools are copied too")
                .contains("the little finger wraps beside it");
    }

    @Test
    void anEditKeepsTheWordsForOtherSchoolsWhereAStepStays() {
        String id = director.post("/api/checks/starters/trumpet-left-hand/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        edit(id, 1, draft -> ((ObjectNode) draft.withArray("steps").get(0)).put("text", "Hold it up"));
        director.post("/api/schools/left-little-finger", Map.of("choice", "wraps-beside"));
        assertThat(director.get("/api/checks/" + id).text())
                .contains("Hold it up", "the little finger wraps beside it");
        edit(id, 2, draft -> ((ObjectNode) draft.withArray("steps").get(1)).put("text", "My own words"));
        assertThat(director.get("/api/checks/" + id).text())
                .contains("My own words")
                .doesNotContain("wraps beside it");
    }

    @Test
    void onlyDirectorsWriteChecks() {
        String id = write(draft("Reach", ALL, "Shoulder low"));
        ApiClient assistant = school.substitute();
        assertThat(assistant.post("/api/checks", draft("Mine", ALL, "x")).status())
                .isEqualTo(403);
        assertThat(assistant.get("/api/checks/" + id + "/draft").status()).isEqualTo(403);
        assertThat(assistant.post("/api/checks/" + id + "/retire", Map.of()).status())
                .isEqualTo(403);
        assertThat(director.get("/api/checks/" + school.id("line") + "/draft").sentence())
                .isEqualTo("There is no such check to edit.");
    }
}
