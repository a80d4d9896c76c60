package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class BoardAndFolderTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    @Test
    void theBoardAsCsvSaysEachStateInAWord() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "check"));
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        director.post("/api/attempts", school.attempt("Bo Lund", "line", "NOT_YET"));
        Map<String, Object> excused = school.attempt("Bo Lund", "check", "EXCUSED");
        excused.put("reason", "=HYPERLINK(\"x\")");
        director.post("/api/attempts", excused);
        Answer csv = director.get("/api/board.csv?classId=" + school.id("Winds") + "&instrument=flute");
        assertThat(csv.contentType()).startsWith("text/csv");
        assertThat(csv.text().lines())
                .containsExactly(
                        "\uFEFFStudent,Instrument,Division,Belt,\"Line 1, First light\",\"Body, Body\"",
                        "Bo Lund,Flute,,,\"not yet, 1 try\",excused",
                        "Ana Reed,Flute,,,passed 2026-10-07,set");
    }

    @Test
    void aBoardOfNobodyIsEmptyAndNoError() {
        JsonNode board = director.get("/api/board?classId=" + school.id("Jazz") + "&instrument=flute")
                .json();
        assertThat(board.path("rows").size()).isZero();
        assertThat(board.path("columns").size()).isZero();
        assertThat(director.get("/api/board?classId=" + Ids.next()).status()).isIn(200, 404);
        assertThat(director.get("/api/board").status()).isEqualTo(422);
        assertThat(director.get("/api/board?classId=winds").status()).isEqualTo(422);
        assertThat(director.get("/api/board?classId=" + school.id("Winds") + "&on=yesterday")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void theBoardOfAnEarlierDayLeavesLaterOrdersAside() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        String winds = "/api/board?classId=" + school.id("Winds") + "&on=";
        assertThat(director.get(winds + "2026-09-28").json().path("columns").size())
                .isZero();
        assertThat(director.get(winds + "2026-10-01").json().path("columns").size())
                .isEqualTo(1);
    }

    @Test
    void whatWasDueBeforeIsCarriedOver() {
        Map<String, Object> order = school.order(List.of(school.tutti()), "line");
        order.put("dueOn", "2026-10-02");
        director.post("/api/season/orders", order);
        JsonNode mark = director.get("/api/board?classId=" + school.id("Winds"))
                .json()
                .path("rows")
                .get(0)
                .path("marks")
                .get(0);
        assertThat(mark.path("state").asString()).isEqualTo("SET");
        assertThat(mark.path("carriedOver").asBoolean()).isTrue();
    }

    @Test
    void theFolderShowsEverythingPassedInAllClasses() {
        Map<String, Object> inJazz = school.attempt("Ed Stone", "line 2", "PASS");
        inJazz.put("classId", school.id("Jazz"));
        director.post("/api/attempts", school.attempt("Ed Stone", "line", "PASS"));
        director.post("/api/attempts", inJazz);
        JsonNode folder = director.get("/api/students/" + school.id("Ed Stone") + "/folder")
                .json();
        assertThat(folder.path("seats").size()).isEqualTo(2);
        JsonNode trumpet = folder.path("instruments").get(0);
        assertThat(trumpet.path("passed").asInt()).isEqualTo(2);
        assertThat(folder.toString()).contains("\"className\":\"Jazz\"").contains("\"className\":\"Winds\"");
        assertThat(director.get("/api/students/" + Ids.next() + "/folder").sentence())
                .isEqualTo("There is no such student.");
    }

    @Test
    void aHearingRunIsInFairOrder() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "line 2"));
        director.post("/api/attempts", school.attempt("Ana Reed", "line 2", "NOT_YET"));
        JsonNode run = director.get("/api/hearing/run/" + school.id("line") + "?classId=" + school.id("Winds"))
                .json();
        assertThat(run.path("queue").size()).isEqualTo(6);
        assertThat(run.path("queue").get(5).asString())
                .as("heard today, so last")
                .isEqualTo(school.id("Ana Reed").toString());
        // 4/4 at 72: one measure of count-in and 8 played are 36 beats, 30 s; with changeover 12 s and a word 15 s: 57
        // s.
        assertThat(run.path("secondsPerStudent").asInt()).isEqualTo(57);
        JsonNode choices = director.get("/api/hearing/choices?classId=" + school.id("Winds"))
                .json();
        assertThat(choices.size()).isEqualTo(2);
        assertThat(choices.get(0).path("open").asInt()).isEqualTo(6);
        assertThat(director.get("/api/hearing/run/" + Ids.next() + "?classId=" + school.id("Winds"))
                        .status())
                .isEqualTo(404);
    }

    @Test
    void thePodiumTellsWhyNoClassMeets() {
        JsonNode day = director.get("/api/podium?on=2026-11-25").json();
        assertThat(day.path("closedFor").asString()).isEqualTo("Harvest break");
        assertThat(day.path("nextDay").asString()).isEqualTo("2026-11-30");
        JsonNode today = director.get("/api/podium").json();
        assertThat(today.path("classes").size()).isEqualTo(2);
    }
}
