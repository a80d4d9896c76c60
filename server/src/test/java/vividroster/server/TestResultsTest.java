package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** How sections stand in a test, and how far those who heard it agree. */
class TestResultsTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    @BeforeEach
    void theTestIsSet() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "test"));
    }

    private Map<String, Object> heard(ApiClient by, String student, int first, int second) {
        Map<String, Object> attempt = school.attempt(student, "test", first + second >= 8 ? "PASS" : "NOT_YET");
        attempt.put("marks", List.of(Map.of("ordinal", 1, "points", first), Map.of("ordinal", 2, "points", second)));
        assertThat(by.post("/api/attempts", attempt).status()).isLessThan(300);
        return attempt;
    }

    private Answer results(String more) {
        return director.get("/api/tests/" + school.id("test") + "/results?classId=" + school.id("Winds") + more);
    }

    private static List<Integer> numbers(JsonNode list) {
        List<Integer> numbers = new ArrayList<>();
        list.forEach(one -> numbers.add(one.asInt()));
        return numbers;
    }

    @Test
    void aSectionStandsCriterionByCriterionBesideItsClass() {
        heard(director, "Ed Stone", 4, 2);
        heard(director, "Flo Hart", 3, 1);
        heard(director, "Ana Reed", 2, 4);
        JsonNode told = results("&instrument=trumpet").json();
        assertThat(told.path("heard").asInt()).isEqualTo(2);
        assertThat(told.path("unheard").asInt()).isZero();
        JsonNode second = told.path("criteria").get(1);
        assertThat(numbers(second.path("counts")).stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .isEqualTo(2);
        assertThat(second.path("counts").get(1).asInt()).isEqualTo(1);
        assertThat(second.path("ofClass").get(4).asInt()).as("Ana, a flute").isEqualTo(1);
        assertThat(told.path("weakest").asInt()).isEqualTo(2);
        assertThat(told.path("weakestToo")).as("the flutes' is the other").isEmpty();
        assertThat(numbers(told.path("students").get(0).path("marks"))).hasSize(2);
        assertThat(results("").json().path("unheard").asInt()).isEqualTo(3);
    }

    @Test
    void theLastTryCountsAndWhatWasUndoneDoesNot() {
        heard(director, "Ed Stone", 1, 1);
        Map<String, Object> slip = heard(director, "Ed Stone", 4, 4);
        assertThat(results("&instrument=trumpet")
                        .json()
                        .path("students")
                        .get(0)
                        .path("points")
                        .asInt())
                .isEqualTo(8);
        director.post(
                "/api/attempts/" + slip.get("id") + "/correction",
                Map.of("id", java.util.UUID.randomUUID(), "outcome", "UNDONE", "reason", "slip"));
        JsonNode after = results("&instrument=trumpet").json().path("students").get(0);
        assertThat(after.path("points").asInt()).isEqualTo(2);
        assertThat(after.path("passed").asBoolean()).isFalse();
        assertThat(after.path("missing").asInt()).isPositive();
        assertThat(after.path("underFloor"))
                .as("the first criterion has a floor of 2")
                .hasSize(1);
    }

    @Test
    void twoListenersAreCompared() {
        ApiClient assistant = school.assistant();
        heard(director, "Ed Stone", 4, 4);
        heard(assistant, "Ed Stone", 4, 3);
        heard(director, "Flo Hart", 1, 2);
        heard(assistant, "Flo Hart", 1, 4);
        heard(director, "Ana Reed", 3, 3);
        JsonNode pair = results("").json().path("listeners").get(0);
        assertThat(pair.path("students").asInt()).isEqualTo(2);
        assertThat(pair.path("marks").asInt()).isEqualTo(4);
        assertThat(pair.path("same").asInt()).isEqualTo(2);
        assertThat(pair.path("oneApart").asInt()).isEqualTo(1);
        assertThat(pair.path("apart").get(0).path("name").asString()).isEqualTo("Flo Hart");
        assertThat(pair.path("kappa").asDouble()).isBetween(-1.0, 1.0);
        assertThat(results("&instrument=flute").json().path("listeners")).isEmpty();
    }

    @Test
    void whatHasNoCriteriaHasNoResults() {
        assertThat(director.get("/api/tests/" + school.id("line") + "/results?classId=" + school.id("Winds"))
                        .sentence())
                .isEqualTo("It is heard by ear alone, without criteria; the board shows who has it.");
        assertThat(results("&instrument=cello").sentence())
                .isEqualTo("Nobody there can take this: it is for other instruments.");
        assertThat(school.substitute()
                        .get("/api/tests/" + school.id("test") + "/results?classId=" + school.id("Winds"))
                        .status())
                .isEqualTo(403);
    }

    private String twoListenersTest() {
        director.post(
                "/api/lines/" + school.id("line") + "/notes",
                Map.of("abc", "X:1\nT:Gulls\nM:4/4\nL:1/4\nQ:1/4=80\nK:Bb\nB,CDE|F4|]\n"));
        Map<String, Object> conditions = Map.of(
                "tolerancePercent",
                10,
                "countInMeasures",
                1,
                "fullValues",
                true,
                "accompaniment",
                "ALONE",
                "memory",
                false,
                "fermata",
                "STUDENT",
                "besides",
                "");
        Map<String, Object> criterion = Map.of("name", "Sound", "topPoints", 5, "weight", 1, "levels", List.of());
        Answer written = director.post(
                "/api/playing-tests",
                Map.of(
                        "shortName",
                        "Duo",
                        "title",
                        "Heard by two",
                        "parts",
                        List.of(Map.of("milestoneId", school.id("line"), "variants", List.of())),
                        "conditions",
                        conditions,
                        "rubric",
                        Map.of("name", "One", "mark", 3, "criteria", List.of(criterion)),
                        "retakes",
                        Map.of("counting", "BEST", "latePercent", 100, "substitutePercent", 100),
                        "listeners",
                        2));
        assertThat(written.status()).as(written.text()).isEqualTo(201);
        return written.json().path("milestoneId").asString();
    }

    private void scored(ApiClient by, String test, String student, int points) {
        Map<String, Object> attempt = school.attempt(student, "test", "PASS");
        attempt.put("milestoneId", test);
        attempt.put("marks", List.of(Map.of("ordinal", 1, "points", points)));
        assertThat(by.post("/api/attempts", attempt).status()).isLessThan(300);
    }

    private static List<String> queue(ApiClient person, String test, String classId) {
        List<String> ids = new ArrayList<>();
        person.get("/api/hearing/run/" + test + "?classId=" + classId)
                .json()
                .path("queue")
                .forEach(id -> ids.add(id.asString()));
        return ids;
    }

    @Test
    void twoListenersAreBlindUntilBothAreDone() {
        String test = twoListenersTest();
        String winds = school.id("Winds").toString();
        String ana = school.id("Ana Reed").toString();
        scored(director, test, "Ana Reed", 5);
        assertThat(queue(director, test, winds)).as("who heard her is done").doesNotContain(ana);
        assertThat(queue(school.assistant(), test, winds).getFirst())
                .as("the other hears her next")
                .isEqualTo(ana);
        JsonNode his = school.assistant()
                .get("/api/hearing/positions/" + test + "?studentIds=" + ana)
                .json()
                .get(0);
        assertThat(his.path("standing").path("state").asString())
                .as("what she found is not told to him")
                .isEqualTo("NOT_SET");
        JsonNode hers = director.get("/api/hearing/positions/" + test + "?studentIds=" + ana)
                .json()
                .get(0);
        assertThat(hers.path("standing").path("state").asString()).isEqualTo("PASSED");
        JsonNode blind = school.assistant()
                .get("/api/tests/" + test + "/results?classId=" + winds)
                .json();
        assertThat(blind.path("heard").asInt()).isZero();
        assertThat(blind.path("waiting").get(0).asString()).isEqualTo("Ana Reed");
        scored(school.assistant(), test, "Ana Reed", 3);
        assertThat(queue(school.assistant(), test, winds)).doesNotContain(ana);
        JsonNode both = school.assistant()
                .get("/api/tests/" + test + "/results?classId=" + winds)
                .json();
        assertThat(both.path("waiting")).isEmpty();
        // (5 + 3) / 2 of 5.
        assertThat(both.path("students").get(0).path("countedPercent").asDouble())
                .isEqualTo(80);
        assertThat(both.path("listeners")
                        .get(0)
                        .path("apart")
                        .get(0)
                        .path("name")
                        .asString())
                .isEqualTo("Ana Reed");
    }

    @Test
    void pointsAreCountedAndWhatAppliesToRetakesIsSaid() {
        heard(director, "Ana Reed", 4, 4);
        heard(director, "Bo Lund", 2, 1);
        JsonNode told = results("").json();
        assertThat(told.path("distribution").get(0).path("points").asInt()).isEqualTo(3);
        assertThat(told.path("distribution").get(1).path("ofClass").asInt()).isEqualTo(1);
        assertThat(told.path("students").get(0).path("retake").asString()).isEqualTo("Retakes left.");
        assertThat(told.has("compared")).as("nobody on two days").isFalse();
    }

    @Test
    void theCheckThatTrainsACriterionIsProposed() {
        JsonNode trains = director.get("/api/tests/" + school.id("test") + "/training?ordinal=1&classId="
                        + school.id("Winds") + "&instrument=flute")
                .json();
        assertThat(trains.isArray()).isTrue();
        assertThat(director.get("/api/tests/" + school.id("test") + "/training?ordinal=9&classId=" + school.id("Winds")
                                + "&instrument=flute")
                        .sentence())
                .isEqualTo("The test has no criterion 9.");
    }

    @Test
    void anEditOfTheConditionsHidesNoResultAndOneOfTheRubricChangesNone() {
        String test = twoListenersTest();
        scored(director, test, "Ana Reed", 4);
        scored(school.assistant(), test, "Ana Reed", 4);
        JsonNode draft = director.get("/api/playing-tests/" + test + "/draft").json();
        ObjectNode other = (ObjectNode) draft.path("draft");
        other.put("title", "Heard by two, renamed");
        assertThat(director.post("/api/playing-tests/" + test, Map.of("version", 1, "draft", other))
                        .status())
                .isEqualTo(204);
        String results = "/api/tests/" + test + "/results?classId=" + school.id("Winds");
        assertThat(director.get(results).json().path("heard").asInt()).isEqualTo(1);
        ((ObjectNode) other.path("rubric")).put("mark", 5);
        assertThat(director.post("/api/playing-tests/" + test, Map.of("version", 2, "draft", other))
                        .status())
                .isEqualTo(204);
        assertThat(director.get(results).json().path("heard").asInt())
                .as("another rubric is another result")
                .isZero();
        JsonNode tries = director.get(
                        "/api/students/" + school.id("Ana Reed") + "/milestones/" + test + "/tries?instrument=flute")
                .json();
        assertThat(tries.get(0).path("outcome").asString())
                .as("heard stays heard")
                .isEqualTo("PASS");
    }

    /** Two measures have two stages; set on a Wednesday and due in the third week, the last two weeks have one each. */
    @Test
    void theWeeksBeforeRehearseItInStagesAndSayWhatApplies() {
        String test = twoListenersTest();
        Map<String, Object> order = school.order(List.of(school.tutti()), "test");
        order.put("milestones", List.of(Map.of("orderId", UUID.randomUUID(), "milestoneId", test)));
        order.put("setOn", School.TODAY.toString());
        order.put("dueOn", School.TODAY.plusDays(16).toString());
        assertThat(director.post("/api/season/orders", order).status()).isLessThan(300);
        assertThat(rehearsed(School.TODAY)).isEmpty();
        assertThat(rehearsed(School.TODAY.plusDays(7))).containsExactly("The first half: measure 1");
        assertThat(rehearsed(School.TODAY.plusDays(14))).containsExactly("The whole, as at the test: measures 1 to 2");
        assertThat(director.get("/api/season/sheet/sheet.pdf?classId=" + school.id("Winds") + "&on=" + School.TODAY)
                        .status())
                .isEqualTo(200);
    }

    private List<String> rehearsed(LocalDate on) {
        JsonNode sheet = director.get("/api/season/sheet?classId=" + school.id("Winds") + "&on=" + on)
                .json();
        for (JsonNode item : sheet.path("parts").get(0).path("items")) {
            if (item.path("title").asString().startsWith("Heard by two")) {
                assertThat(item.path("applies").get(0).asString())
                        .isEqualTo("As many retakes as you like: the best try counts.");
                List<String> stages = new ArrayList<>();
                item.path("rehearsed").forEach(stage -> stages.add(stage.asString()));
                return stages;
            }
        }
        throw new AssertionError("not on the sheet of " + on);
    }
}
