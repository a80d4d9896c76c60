package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Who needs attention and why, whether everybody gets a turn, and what became of decisions. */
class AttentionTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final String winds = "classId=" + school.id("Winds");

    private void heard(String student, String milestone, String outcome) {
        Answer answer = director.post("/api/attempts", school.attempt(student, milestone, outcome));
        assertThat(answer.status()).as(answer.text()).isLessThan(300);
    }

    private JsonNode ok(String path) {
        Answer answer = director.get(path);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private void set(String... milestones) {
        Answer answer = director.post("/api/season/orders", school.order(List.of(school.tutti()), milestones));
        assertThat(answer.status()).as(answer.text()).isLessThan(300);
    }

    private Map<String, List<String>> reasons() {
        Map<String, List<String>> reasons = new HashMap<>();
        ok("/api/attention?" + winds).path("students").forEach(row -> {
            List<String> own = new ArrayList<>();
            row.path("reasons").forEach(reason -> own.add(reason.path("kind").asString()));
            reasons.put(row.path("name").asString(), own);
        });
        return reasons;
    }

    @Test
    void everyReasonIsSaidWithWhatComesNext() {
        assertThat(reasons()).as("nothing is set").isEmpty();
        set("line");
        assertThat(reasons()).as("never heard since August").containsKeys("Ana Reed", "Flo Hart");
        for (int i = 0; i < 3; i++) {
            heard("Ana Reed", "line", "NOT_YET");
        }
        heard("Bo Lund", "line", "PASS");
        Map<String, Object> pain = Map.of(
                "id",
                Ids.next(),
                "studentId",
                school.id("Cy Moor"),
                "classId",
                school.id("Winds"),
                "place",
                "wrist",
                "since",
                "Monday");
        assertThat(director.post("/api/pain-reports", pain).status()).isLessThan(300);
        Map<String, List<String>> reasons = reasons();
        assertThat(reasons.get("Cy Moor").getFirst()).isEqualTo("PAIN");
        assertThat(reasons.get("Ana Reed").getFirst()).isEqualTo("TRIED_OFTEN");
        assertThat(reasons).doesNotContainKey("Bo Lund");
        JsonNode attention = ok("/api/attention?" + winds).path("students");
        assertThat(attention.get(0).path("name").asString()).isEqualTo("Cy Moor");
        assertThat(attention.get(0).path("reasons").get(0).path("next").asString())
                .isEqualTo("Ask before they play");
        assertThat(attention.get(1).path("reasons").get(0).path("why").asString())
                .isEqualTo("3 tries on line 1 without a pass.");
        assertThat(school.coach(new SectionScope.Tutti(school.id("Winds")))
                        .get("/api/attention?" + winds)
                        .status())
                .isEqualTo(403);
    }

    @Test
    void turnsAreCountedByTheLessonsWaitedThrough() {
        heard("Ana Reed", "line", "NOT_YET");
        heard("Ana Reed", "line 2", "PASS");
        Map<String, Object> undone = school.attempt("Bo Lund", "line", "PASS");
        assertThat(director.post("/api/attempts", undone).status()).isLessThan(300);
        assertThat(director.post(
                                "/api/attempts/" + undone.get("id") + "/correction",
                                Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "wrong student"))
                        .status())
                .isLessThan(300);
        JsonNode flutes = ok("/api/fairness?" + winds).path("sections").get(0);
        assertThat(flutes.path("instrumentName").asString()).isEqualTo("Flute");
        JsonNode bo = flutes.path("rows").get(0);
        assertThat(bo.path("name").asString()).as("the fewest turns first").isEqualTo("Bo Lund");
        assertThat(bo.path("times").asInt()).isZero();
        assertThat(bo.path("waiting").asInt()).as("every lesson since August").isGreaterThan(20);
        JsonNode ana = flutes.path("rows").get(1);
        assertThat(ana.path("times").asInt()).isEqualTo(2);
        assertThat(ana.path("waiting").asInt()).isZero();
        assertThat(flutes.path("spread").path("never").asInt()).isEqualTo(1);
        assertThat(flutes.path("spread").path("uneven").asBoolean()).isFalse();
    }

    @Test
    void aDecisionIsHeldAgainstWhatCameOfIt() {
        set("line");
        heard("Ana Reed", "line", "PASS");
        heard("Bo Lund", "line", "NOT_YET");
        Map<String, Object> decision = new HashMap<>(Map.of(
                "id",
                Ids.next(),
                "classId",
                school.id("Winds"),
                "instrument",
                "flute",
                "milestoneId",
                school.id("line"),
                "advised",
                "GO_ON_WITH_CATCH_UP",
                "decided",
                "GO_ON"));
        Answer decided = director.post("/api/podium/decisions", decision);
        assertThat(decided.status()).as(decided.text()).isLessThan(300);
        JsonNode then = ok("/api/decisions?" + winds).get(0);
        assertThat(then.path("overruled").asBoolean()).isTrue();
        assertThat(then.path("asked").asInt()).isEqualTo(2);
        assertThat(then.path("passedThen").asInt()).isEqualTo(1);
        assertThat(then.path("turned").asString()).isEqualTo("OPEN");
        assertThat(then.path("stillBehind").get(0).asString()).isEqualTo("Bo Lund");
        heard("Bo Lund", "line", "PASS");
        assertThat(ok("/api/decisions?" + winds).get(0).path("turned").asString())
                .isEqualTo("CAUGHT_UP");
    }
}
