package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class PodiumTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private JsonNode winds() {
        return classOf("Winds");
    }

    private JsonNode classOf(String name) {
        for (JsonNode c : director.get("/api/podium").json().path("classes")) {
            if (c.path("name").asString().equals(name)) {
                return c;
            }
        }
        throw new AssertionError("no " + name);
    }

    @Test
    void whatIsSetIsTaughtAndHeardWithTheMinutesItTakes() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        JsonNode winds = winds();
        assertThat(winds.path("students").asInt()).isEqualTo(6);
        assertThat(winds.path("teach").get(0).path("title").asString()).isEqualTo("First light");
        assertThat(winds.path("teach").get(0).path("concertKey").asString()).isEqualTo("B-flat major");
        JsonNode hear = winds.path("hear").get(0);
        assertThat(hear.path("open").asInt()).isEqualTo(6);
        // 57 s a student (see the fair order test): 30 s of playing with count-in, 12 s changeover, 15 s of words.
        assertThat(hear.path("seconds").asInt()).isEqualTo(6 * 57);
        assertThat(hear.path("fits").asBoolean()).isTrue();
        for (String student : List.of("Ana Reed", "Bo Lund")) {
            director.post("/api/attempts", school.attempt(student, "line", "PASS"));
        }
        assertThat(winds().path("hear").get(0).path("open").asInt()).isEqualTo(4);
        assertThat(winds().path("hear").get(0).path("passed").asInt()).isEqualTo(2);
    }

    @Test
    void whatAnotherClassHadWeeksAgoIsTaughtWhereItIsSetNow() {
        Map<String, Object> before = new HashMap<>(school.order(List.of(school.tutti()), "line"));
        before.put("setOn", School.TODAY.minusDays(16).toString());
        before.put("dueOn", School.TODAY.minusDays(12).toString());
        assertThat(director.post("/api/season/orders", before).status()).isLessThan(300);
        Map<String, Object> now = school.order(List.of(Map.of("classId", school.id("Jazz"))), "line");
        assertThat(director.post("/api/season/orders", now).status()).isLessThan(300);
        assertThat(classOf("Jazz").path("teach")).hasSize(1);
        assertThat(classOf("Jazz").path("teach").get(0).path("dueOn").asString())
                .isEqualTo(now.get("dueOn").toString());
        assertThat(winds().path("teach")).isEmpty();
    }

    @Test
    void aClassTeachesWhatItWasSetAndHearsWhatItsStudentsWereSetAnywhere() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        JsonNode jazz = classOf("Jazz");
        assertThat(jazz.path("teach")).as("Ed sits in both").isEmpty();
        assertThat(jazz.path("hear").get(0).path("open").asInt()).isEqualTo(1);
        director.post("/api/season/orders", school.order(List.of(Map.of("classId", school.id("Jazz"))), "line 2"));
        assertThat(classOf("Jazz").path("teach")).hasSize(1);
        assertThat(classOf("Jazz").path("teach").get(0).path("title").asString())
                .isEqualTo("Two gulls");
        assertThat(winds().path("teach")).hasSize(1);
    }

    @Test
    void threeTriesWithoutAPassAskForAnotherRemedy() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        for (int i = 0; i < 2; i++) {
            director.post("/api/attempts", school.attempt("Flo Hart", "line", "NOT_YET"));
        }
        assertThat(winds().path("lookAfter").size()).isZero();
        director.post("/api/attempts", school.attempt("Flo Hart", "line", "NOT_YET"));
        assertThat(winds().path("lookAfter").get(0).path("name").asString()).isEqualTo("Flo Hart");
        assertThat(winds().path("lookAfter").get(0).path("tries").asInt()).isEqualTo(3);
    }

    @Test
    void theRailCountsStudentsAndWhatTheyPassedInScoreOrder() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        JsonNode sections =
                director.get("/api/rail?classId=" + school.id("Winds")).json().path("sections");
        assertThat(sections.size()).isEqualTo(3);
        assertThat(sections.get(0).path("instrument").asString()).isEqualTo("flute");
        assertThat(sections.get(0).path("passed").asInt()).isEqualTo(1);
        assertThat(sections.get(0).path("asked").asInt()).isEqualTo(2);
        assertThat(sections.get(1).path("divisions").size()).isEqualTo(2);
        assertThat(sections.get(2).path("students").asInt())
                .as("who left in September is not counted")
                .isEqualTo(2);
        JsonNode all = director.get("/api/rail").json().path("sections");
        assertThat(all.get(2).path("students").asInt())
                .as("a student in two classes is one trumpet")
                .isEqualTo(2);
    }
}
