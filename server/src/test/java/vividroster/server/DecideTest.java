package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** The podium's minutes and decisions; what is judged, and how minutes are spent, is core's. */
class DecideTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    @BeforeEach
    void ordered() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
    }

    private JsonNode winds() {
        for (JsonNode one : director.get("/api/podium").json().path("classes")) {
            if (one.path("name").asString().equals("Winds")) {
                return one;
            }
        }
        throw new AssertionError("Winds does not meet");
    }

    private Map<String, Object> decision(JsonNode asked, String decided) {
        Map<String, Object> body = new HashMap<>();
        body.put("id", Ids.next());
        body.put("classId", school.id("Winds"));
        if (asked.has("instrument")) {
            body.put("instrument", asked.path("instrument").asString());
        }
        body.put("milestoneId", asked.path("milestoneId").asString());
        body.put("advised", asked.path("advised").asString());
        body.put("decided", decided);
        return body;
    }

    @Test
    void whoStaysIsToldFirstAndTheDirectorMayOverrule() {
        for (String passed : List.of("Ana Reed", "Bo Lund", "Cy Moor", "Di Vale")) {
            director.post("/api/attempts", school.attempt(passed, "line", "PASS"));
        }
        for (String not : List.of("Ed Stone", "Flo Hart")) {
            Map<String, Object> attempt = school.attempt(not, "line", "NOT_YET");
            attempt.put("faults", List.of(Map.of("sign", "Wrong partial", "measure", 3)));
            director.post("/api/attempts", attempt);
        }
        JsonNode first = winds().path("decide").get(0);
        assertThat(first.path("plural").asString()).isEqualTo("Trumpets");
        assertThat(first.path("advised").asString()).isEqualTo("STAY");
        assertThat(first.path("weakest").asString()).isEqualTo("Wrong partial");
        assertThat(first.has("decided")).isFalse();

        Map<String, Object> overruled = decision(first, "GO_ON");
        assertThat(director.post("/api/podium/decisions", overruled).status()).isEqualTo(204);
        assertThat(director.post("/api/podium/decisions", overruled).status()).isEqualTo(204);
        JsonNode after = winds().path("decide").get(0);
        assertThat(after.path("decided").asString()).isEqualTo("GO_ON");
        assertThat(after.path("advised").asString()).isEqualTo("STAY");
        assertThat(winds().path("decide").get(1).has("decided"))
                .as("the flutes are another question")
                .isFalse();

        Answer nonsense = director.post("/api/podium/decisions", decision(first, "NOBODY_HEARD"));
        assertThat(nonsense.status()).isEqualTo(422);
        assertThat(nonsense.text()).contains("Decide to go on");
    }

    @Test
    void thePeriodIsFilledFromOpeningToHearing() {
        JsonNode plan = winds().path("plan");
        assertThat(plan.path("wishes").findValuesAsString("kind")).containsExactly("OPEN", "TEACH", "HEAR");
        int minutes = 0;
        for (JsonNode segment : plan.path("spent").path("segments")) {
            assertThat(segment.path("begins").asInt()).isEqualTo(minutes);
            minutes += segment.path("minutes").asInt();
        }
        assertThat(minutes + plan.path("spent").path("spare").asInt())
                .isEqualTo(winds().path("minutes").asInt());
    }

    @Test
    void theRestOfAPeriodSaysWhatIsShorter() {
        Map<String, Object> teach = Map.of("key", "teach", "kind", "TEACH", "minutes", 10, "least", 4);
        Map<String, Object> hear = Map.of("key", "hear", "kind", "HEAR", "minutes", 20, "least", 1);
        JsonNode spent = director.post(
                        "/api/podium/period", Map.of("minutes", 45, "from", 22, "wishes", List.of(teach, hear)))
                .json();
        assertThat(spent.path("shortened").get(0).path("key").asString()).isEqualTo("hear");
        assertThat(spent.path("shortened").get(0).path("minutes").asInt()).isEqualTo(13);
        Map<String, Object> wrong = Map.of("key", "teach", "kind", "TEACH", "minutes", 3, "least", 4);
        assertThat(director.post("/api/podium/period", Map.of("minutes", 45, "from", 0, "wishes", List.of(wrong)))
                        .text())
                .contains("at most its minutes");
        assertThat(director.post(
                                "/api/podium/period", Map.of("minutes", 45, "from", 0, "wishes", List.of(teach, teach)))
                        .text())
                .contains("one key");
    }
}
