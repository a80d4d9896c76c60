package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class ChecksTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private String take(String key) {
        Answer answer = director.post("/api/checks/starters/" + key + "/take", Map.of());
        assertThat(answer.status()).isEqualTo(200);
        return answer.json().path("milestoneId").asString();
    }

    private JsonNode starter(String key) {
        for (JsonNode starter :
                director.get("/api/checks/starters?instrument=trumpet").json()) {
            if (starter.path("key").asString().equals(key)) {
                return starter;
            }
        }
        throw new AssertionError(key);
    }

    @Test
    void aStarterCheckIsTakenOnceAndCanBeOrderedAndHeard() {
        String id = take("trumpet-sound");
        assertThat(take("trumpet-sound")).isEqualTo(id);
        assertThat(starter("trumpet-sound").path("takenAs").asString()).isEqualTo(id);
        assertThat(starter("trumpet-slur").has("takenAs")).isFalse();
        Map<String, Object> order = school.order(List.of(school.section("trumpet")), "line");
        order.put("milestones", List.of(Map.of("orderId", UUID.randomUUID(), "milestoneId", id)));
        assertThat(director.post("/api/season/orders", order).status()).isEqualTo(201);
        List<String> states = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Map<String, Object> attempt = school.attempt("Flo Hart", "line", "PASS");
            attempt.put("milestoneId", id);
            states.add(director.post("/api/attempts", attempt)
                    .json()
                    .path("standing")
                    .path("state")
                    .asString());
        }
        assertThat(states).as("4 of the last 5").containsExactly("TRIED", "TRIED", "TRIED", "PASSED");
    }

    @Test
    void aCountedTryWithACriterionNotSeenIsNotGood() {
        Map<String, Object> attempt = school.attempt("Flo Hart", "line", "PASS");
        attempt.put("milestoneId", take("trumpet-sound"));
        attempt.put("marks", List.of(Map.of("ordinal", 1, "points", 0)));
        assertThat(director.post("/api/attempts", attempt)
                        .json()
                        .path("outcome")
                        .asString())
                .isEqualTo("NOT_YET");
    }

    @Test
    void aCheckTellsStepsFaultsCautionsVariantsAndWhatComesBefore() {
        take("flute-assembly");
        String hold = take("flute-balance");
        JsonNode described = director.get("/api/checks/" + hold).json();
        assertThat(described.path("check").path("title").asString()).isEqualTo("Flute: shelf, thumb and little finger");
        assertThat(described
                        .path("check")
                        .path("faults")
                        .get(0)
                        .path("remedies")
                        .size())
                .isGreaterThan(0);
        assertThat(described.path("check").path("cautions").get(0).asString())
                .startsWith("Pain, numbness or tingling: stop");
        assertThat(described.path("check").path("variants").size()).isEqualTo(2);
        assertThat(described.path("before").get(0).path("title").asString())
                .isEqualTo("Flute: put together, line up, take apart");
        assertThat(director.get("/api/checks/" + school.id("check")).status()).isEqualTo(404);
        assertThat(director.post("/api/checks/starters/kazoo-hum/take", Map.of())
                        .status())
                .isEqualTo(404);
    }

    @Test
    void checksRewordThemselvesByTheSchoolThatTheProgrammeFollows() {
        String before = starter("trumpet-left-hand").path("check").path("steps").toString();
        assertThat(director.post("/api/schools/left-little-finger", Map.of("choice", "wraps-beside"))
                        .status())
                .isEqualTo(204);
        String after = starter("trumpet-left-hand").path("check").path("steps").toString();
        assertThat(after).isNotEqualTo(before).contains("the little finger wraps beside it");
        for (JsonNode question : director.get("/api/schools").json()) {
            if (question.path("key").asString().equals("left-little-finger")) {
                assertThat(question.path("chosen").asString()).isEqualTo("wraps-beside");
            }
        }
        Answer none = director.post("/api/schools/left-little-finger", Map.of("choice", "in-the-pocket"));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.sentence()).contains("has no choice \"in-the-pocket\"; it has hangs-free, wraps-beside");
        assertThat(director.post("/api/schools/nothing", Map.of("choice", "x")).status())
                .isEqualTo(404);
        assertThat(school.substitute()
                        .post("/api/schools/sitting", Map.of("choice", "hips-back"))
                        .status())
                .isEqualTo(403);
    }

    @Test
    void anotherProgrammesChecksAndSchoolsAreItsOwn() {
        String mine = take("horn-body");
        director.post("/api/schools/sitting", Map.of("choice", "hips-back"));
        School other = School.open(RunningServer.shared());
        ApiClient stranger = other.director();
        assertThat(stranger.get("/api/checks/" + mine).status()).isEqualTo(404);
        assertThat(stranger.get("/api/checks/starters?instrument=horn").text()).doesNotContain(mine);
        assertThat(stranger.get("/api/schools").text()).doesNotContain("\"chosen\":\"hips-back\"");
    }
}
