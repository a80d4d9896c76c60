package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Grades per class and marking period: how they come about, go out as CSV, and what is refused. */
class GradesTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private void set(List<Map<String, Object>> scopes, String... milestones) {
        Map<String, Object> order = school.order(scopes, milestones);
        order.put("dueOn", School.TODAY.toString());
        assertThat(director.post("/api/season/orders", order).status()).isLessThan(300);
    }

    private Map<String, Object> scored(String student, int first, int second) {
        Map<String, Object> attempt = school.attempt(student, "test", "PASS");
        attempt.put("marks", List.of(Map.of("ordinal", 1, "points", first), Map.of("ordinal", 2, "points", second)));
        return attempt;
    }

    private void heard(Map<String, Object> attempt) {
        Answer answer = director.post("/api/attempts", attempt);
        assertThat(answer.status()).as(answer.text()).isLessThan(300);
    }

    private static Map<String, Object> settings(Object... changes) {
        Map<String, Object> settings = new HashMap<>(Map.of(
                "weights",
                Map.of("LINE", 1, "PLAYING_TEST", 3),
                "notYetPercent",
                40,
                "unheard",
                "LEFT_OUT",
                "scale",
                "PERCENT",
                "steps",
                List.of(),
                "bothClasses",
                true));
        for (int i = 0; i < changes.length; i += 2) {
            settings.put((String) changes[i], changes[i + 1]);
        }
        return settings;
    }

    private String period() {
        return director.get("/api/grades/settings")
                .json()
                .path("periods")
                .get(0)
                .path("id")
                .asString();
    }

    private Answer grades(String className) {
        return director.get("/api/grades?classId=" + school.id(className) + "&periodId=" + period());
    }

    private static JsonNode of(JsonNode book, String name) {
        for (JsonNode student : book.path("students")) {
            if (student.path("name").asString().equals(name)) {
                return student;
            }
        }
        throw new AssertionError(name + " is not in " + book);
    }

    private static List<String> words(JsonNode student) {
        List<String> words = new ArrayList<>();
        student.path("items").forEach(item -> words.add(item.path("words").asString()));
        return words;
    }

    /** Ana: line passed, test 8 of 10: (1·100 + 3·80) / 4 = 85. Bo: line not yet 40, test not heard: 40. */
    @Test
    void everyGradeSaysHowItCameAbout() {
        assertThat(director.put("/api/grades/settings", settings()).status()).isEqualTo(204);
        set(List.of(school.tutti()), "line", "test");
        heard(school.attempt("Ana Reed", "line", "PASS"));
        heard(scored("Ana Reed", 4, 4));
        heard(school.attempt("Bo Lund", "line", "NOT_YET"));
        JsonNode book = grades("Winds").json();
        assertThat(of(book, "Ana Reed").path("percent").asDouble()).isEqualTo(85);
        assertThat(of(book, "Ana Reed").path("written").asString()).isEqualTo("85.0 %");
        assertThat(words(of(book, "Ana Reed"))).containsExactlyInAnyOrder("passed", "one try. Retakes left.");
        assertThat(of(book, "Ana Reed").path("kinds").get(1).path("partPercent").asDouble())
                .isEqualTo(75);
        assertThat(of(book, "Bo Lund").path("percent").asDouble()).isEqualTo(40);
        assertThat(words(of(book, "Bo Lund"))).containsExactlyInAnyOrder("tried, not yet", "not heard");
        assertThat(of(book, "Cy Moor").has("percent")).as("nothing counts yet").isFalse();
        int counted = 0;
        for (JsonNode count : book.path("distribution")) {
            counted += count.path("students").asInt();
        }
        assertThat(counted).isEqualTo(2);
    }

    @Test
    void goesOutAsCsv() {
        director.put(
                "/api/grades/settings",
                settings(
                        "scale",
                        "STEPS",
                        "steps",
                        List.of(
                                Map.of("fromPercent", 0, "words", "begun"),
                                Map.of("fromPercent", 80, "words", "there"))));
        set(List.of(school.tutti()), "test");
        heard(scored("Ana Reed", 4, 4));
        Answer csv = director.get("/api/grades/grades.csv?classId=" + school.id("Winds") + "&periodId=" + period());
        assertThat(csv.text().lines().findFirst().orElseThrow())
                .isEqualTo("\uFEFFstudent_number,student,class,instrument,marking_period,to,grade,percent,"
                        + "line_percent,line_items,playing_test_percent,playing_test_items");
        assertThat(csv.text()).contains(",Ana Reed,Winds,Flute,First half,2026-10-07,there,80.0,,0,80.0,1");
        assertThat(school.substitute()
                        .get("/api/grades?classId=" + school.id("Winds") + "&periodId=" + period())
                        .status())
                .as("no grades for a substitute teacher")
                .isEqualTo(403);
        assertThat(school.assistant().put("/api/grades/settings", settings()).status())
                .as("a director says how grades are made")
                .isEqualTo(403);
    }

    /** Ed sits in Winds and in Jazz, and both set the test; it is heard once, in Winds. */
    @Test
    void aTestOfTwoClassesCountsInBothOrWhereItWasHeard() {
        Map<String, Object> jazz = Map.of("classId", school.id("Jazz"));
        set(List.of(school.tutti()), "test");
        set(List.of(jazz), "test");
        heard(scored("Ed Stone", 4, 3));
        director.put("/api/grades/settings", settings());
        assertThat(of(grades("Winds").json(), "Ed Stone").path("percent").asDouble())
                .isEqualTo(70);
        assertThat(of(grades("Jazz").json(), "Ed Stone").path("percent").asDouble())
                .isEqualTo(70);
        director.put("/api/grades/settings", settings("bothClasses", false));
        assertThat(of(grades("Winds").json(), "Ed Stone").path("percent").asDouble())
                .isEqualTo(70);
        assertThat(of(grades("Jazz").json(), "Ed Stone").has("percent")).isFalse();
        assertThat(words(of(grades("Jazz").json(), "Ed Stone"))).containsExactly("heard in Winds, counts there");
    }

    @Test
    void whatCannotGradeIsRefused() {
        Answer none = director.put("/api/grades/settings", settings("weights", Map.of("LINE", 0)));
        assertThat(none.sentence())
                .isEqualTo("All weights are 0: nothing would count. Give one kind a weight at least.");
        assertThat(none.json().path("field").asString()).isEqualTo("weights");
        assertThat(director.put("/api/grades/settings", settings("weights", Map.of("LINE", 101)))
                        .sentence())
                .isEqualTo("A weight is 0 to 100, not 101.");
        assertThat(director.put("/api/grades/settings", settings("scale", "POINTS"))
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("mostPoints");
        assertThat(director.put("/api/grades/settings", settings("scale", "STEPS"))
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("steps");
        assertThat(director.get("/api/grades?classId=" + school.id("Winds") + "&periodId=" + school.id("line"))
                        .status())
                .isEqualTo(404);
    }

    @Test
    void markingPeriodsAreLaidAllAtOnce() {
        assertThat(director.get("/api/grades/settings").json().path("periods").size())
                .isEqualTo(2);
        Map<String, Object> autumn = Map.of("name", "Autumn", "first", "2026-08-17", "last", "2026-11-20");
        Map<String, Object> winter = Map.of("name", "Winter", "first", "2026-11-30", "last", "2027-03-01");
        assertThat(director.put("/api/grades/periods", Map.of("periods", List.of(autumn, winter)))
                        .status())
                .isEqualTo(204);
        JsonNode laid = director.get("/api/grades/settings").json().path("periods");
        assertThat(laid.get(1).path("name").asString()).isEqualTo("Winter");
        assertThat(grades("Winds").status()).isEqualTo(200);
        Map<String, Object> over = Map.of("name", "Over", "first", "2026-11-01", "last", "2026-12-01");
        assertThat(director.put("/api/grades/periods", Map.of("periods", List.of(autumn, over)))
                        .sentence())
                .contains("must not share a day");
        Map<String, Object> back = Map.of("name", "Back", "first", "2026-12-02", "last", "2026-12-01");
        Answer ends = director.put("/api/grades/periods", Map.of("periods", List.of(back)));
        assertThat(ends.json().path("field").asString()).isEqualTo("periods[0].last");
    }
}
