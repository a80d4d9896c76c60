package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Passed habits come up on the podium weeks later; the rules are core's. */
class HabitWatchTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();
    private String check;

    @BeforeEach
    void aCheckOfPostureIsOrderedAndPassedFourWeeksAgo() {
        check = director.post("/api/checks/starters/sit-tall/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        Map<String, Object> order = school.order(List.of(school.tutti()), "line");
        order.put("milestones", List.of(Map.of("orderId", Ids.next(), "milestoneId", check)));
        order.put("setOn", School.FIRST.toString());
        assertThat(director.post("/api/season/orders", order).status()).isEqualTo(201);
        for (String student : List.of("Ana Reed", "Bo Lund", "Cy Moor", "Ed Stone")) {
            Map<String, Object> passed = school.attempt(student, "line", "PASS");
            passed.put("milestoneId", check);
            passed.put("heardAt", School.TODAY.minusWeeks(4) + "T14:00:00Z");
            assertThat(director.post("/api/attempts", passed).status()).isEqualTo(200);
        }
    }

    private Map<String, Object> look(String student, String finding) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("id", Ids.next());
        body.put("studentId", school.id(student));
        body.put("milestoneId", check);
        body.put("classId", school.id("Winds"));
        body.put("on", School.TODAY.toString());
        body.put("finding", finding);
        return body;
    }

    private JsonNode winds(ApiClient person) {
        for (JsonNode one : person.get("/api/podium").json().path("classes")) {
            if (one.path("name").asString().equals("Winds")) {
                return one;
            }
        }
        throw new AssertionError("Winds does not meet");
    }

    private static List<String> names(JsonNode rows) {
        List<String> names = new ArrayList<>();
        rows.forEach(row -> names.add(row.path("name").asString()));
        return names;
    }

    @Test
    void threeOfTheFourAreWatchedAndWhoWasSeenKeepsThePlace() {
        JsonNode watch = winds(director).path("watch");
        assertThat(watch).hasSize(3);
        assertThat(watch.get(0).path("see")).isNotEmpty();
        String first = watch.get(0).path("name").asString();
        assertThat(director.post("/api/habits/looks", look(first, "SLIPPING")).status())
                .isEqualTo(204);
        JsonNode after = winds(director).path("watch");
        assertThat(names(after)).containsExactlyInAnyOrderElementsOf(names(watch));
        assertThat(after.get(0).path("found").asString()).isEqualTo("SLIPPING");
        assertThat(winds(director).path("repairs")).isEmpty();
    }

    @Test
    void aLostHabitIsRepairedWithWhatHelpedAndTakesNoPassAway() {
        JsonNode fault = director.get("/api/checks/" + check + "?instrument=flute")
                .json()
                .path("check")
                .path("faults")
                .get(0);
        Map<String, Object> helped = new HashMap<>();
        helped.put("id", Ids.next());
        helped.put("studentId", school.id("Bo Lund"));
        helped.put("classId", school.id("Winds"));
        helped.put("sign", fault.path("sign").asString());
        String remedy = fault.path("remedies").get(0).asString();
        helped.put("remedy", remedy);
        assertThat(director.post("/api/checks/" + check + "/helped", helped).status())
                .isLessThan(300);
        director.post("/api/habits/looks", look("Ana Reed", "LOST"));
        JsonNode repair = winds(director).path("repairs").get(0);
        assertThat(repair.path("name").asString()).isEqualTo("Ana Reed");
        assertThat(repair.path("remedy").asString()).isEqualTo(remedy);
        String board = director.get("/api/board?classId=" + school.id("Winds") + "&instrument=flute")
                .text();
        assertThat(board).contains("PASSED").doesNotContain("TRIED");

        director.post("/api/habits/looks", look("Ana Reed", "TAKEN_BACK"));
        assertThat(winds(director).path("repairs")).isEmpty();

        JsonNode habits = director.get("/api/students/" + school.id("Ana Reed") + "/habits")
                .json();
        assertThat(habits).hasSize(1);
        List<String> found = new ArrayList<>();
        habits.get(0)
                .path("looks")
                .forEach(look -> found.add(look.path("finding").asString()));
        assertThat(found).containsExactly("LOST", "TAKEN_BACK");
    }

    @Test
    void whatIsSentTwiceIsKeptOnceAndWhatCannotBeIsRefused() {
        Map<String, Object> once = look("Ana Reed", "STILL_THERE");
        director.post("/api/habits/looks", once);
        assertThat(director.post("/api/habits/looks", once).status()).isEqualTo(204);
        once.put("finding", "LOST");
        assertThat(director.post("/api/habits/looks", once).status()).isEqualTo(409);

        Answer notPassed = director.post("/api/habits/looks", look("Di Vale", "LOST"));
        assertThat(notPassed.status()).isEqualTo(422);
        assertThat(notPassed.text()).contains("is not passed yet: hear it, then it can be watched.");
        Map<String, Object> line = look("Ana Reed", "LOST");
        line.put("milestoneId", school.id("line"));
        assertThat(director.post("/api/habits/looks", line).text()).contains("That is no check of a habit.");
        Map<String, Object> tomorrow = look("Ana Reed", "LOST");
        tomorrow.put("on", School.TODAY.plusDays(1).toString());
        assertThat(director.post("/api/habits/looks", tomorrow).text()).contains("still to come");
    }

    @Test
    void aCoachSeesAndMarksOnlyTheOwnSection() {
        ApiClient coach = school.coach(
                new SectionScope.Section(school.id("Winds"), new InstrumentCode("flute"), Optional.empty()));
        assertThat(names(winds(coach).path("watch"))).containsExactlyInAnyOrder("Ana Reed", "Bo Lund");
        assertThat(coach.post("/api/habits/looks", look("Ana Reed", "STILL_THERE"))
                        .status())
                .isEqualTo(204);
        assertThat(coach.post("/api/habits/looks", look("Ed Stone", "STILL_THERE"))
                        .status())
                .isEqualTo(403);
    }

    @Test
    void aProgrammeMayChooseNotToWatch() {
        director.post("/api/schools/habit-watch", Map.of("choice", "not-watched"));
        assertThat(winds(director).path("watch")).isEmpty();
    }
}
