package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Students who change instrument: told before, done for several at once, and borrowed for a week. */
class SwitchesTest {

    /** Written C, D and E for a trumpet: a tone lower at concert pitch. */
    private static final String THREE_NOTES = "L:1/4\nK:Bb\nB, C D2|D C B,2|";

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Map<String, Object> wanted(String student, String schoolClass, String instrument) {
        return Map.of("studentId", school.id(student), "classId", school.id(schoolClass), "instrument", instrument);
    }

    @SafeVarargs
    private static Map<String, Object> request(String from, boolean catchUp, Map<String, Object>... students) {
        Map<String, Object> request = new HashMap<>();
        request.put("from", from);
        request.put("students", List.of(students));
        request.put("catchUp", catchUp);
        return request;
    }

    private Answer preview(Map<String, Object> request) {
        return director.post("/api/switches/preview", request);
    }

    private JsonNode folderOf(String student) {
        return director.get("/api/students/" + school.id(student) + "/folder").json();
    }

    private static List<String> texts(JsonNode list, String field) {
        List<String> texts = new ArrayList<>();
        list.forEach(one -> texts.add(one.path(field).asString()));
        return texts;
    }

    /** Everybody was set the line and the check for the ninth; Ed passed the line. */
    private void aLineIsSetAndHeard() {
        assertThat(director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", THREE_NOTES))
                        .status())
                .isLessThan(300);
        assertThat(director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "check"))
                        .status())
                .isLessThan(300);
        assertThat(director.post("/api/attempts", school.attempt("Ed Stone", "line", "PASS"))
                        .status())
                .isLessThan(300);
    }

    @Test
    void aPreviewSaysWhatStaysWhatOpensAndWhatTheHandKeeps() {
        aLineIsSetAndHeard();
        JsonNode told = preview(request("2026-10-19", true, wanted("Ed Stone", "Winds", "horn")))
                .json();
        JsonNode ed = told.path("students").get(0);
        assertThat(ed.path("fromName").asString()).isEqualTo("Trumpet");
        assertThat(texts(ed.path("staysOnRecord"), "shortName")).containsExactly("line 1");
        assertThat(texts(ed.path("opensAnew"), "shortName")).contains("line 1");
        assertThat(ed.path("opensAnew").get(0).has("dueOn"))
                .as("it was due before")
                .isFalse();
        assertThat(ed.path("alsoOn").get(0).asString())
                .as("still a trumpet there")
                .isEqualTo("Jazz");
        assertThat(ed.path("noLongerAsked")).isEmpty();
        assertThat(ed.path("keepsAll").asBoolean()).isFalse();
        assertThat(texts(ed.path("hands"), "note")).containsExactly("C 4", "D 4", "E 4");
        assertThat(texts(ed.path("hands"), "kept")).doesNotContain("ALIKE").contains("SAME_FINGERS");
        assertThat(texts(
                        ed.path("belts").get(0).path("belt").isMissingNode() ? ed.path("belts") : ed.path("belts"),
                        "slots"))
                .hasSize(1);
        JsonNode weeks = told.path("tracks").get(0).path("weeks");
        assertThat(weeks.get(0).path("setOn").asString()).isEqualTo("2026-10-19");
        assertThat(weeks.get(0).path("dueOn").asString()).isEqualTo("2026-10-23");

        JsonNode flo = preview(request("2026-10-19", true, wanted("Flo Hart", "Winds", "euphonium-treble")))
                .json()
                .path("students")
                .get(0);
        assertThat(texts(flo.path("noLongerAsked"), "shortName"))
                .as("open on the trumpet, which she plays nowhere else")
                .contains("line 1");
    }

    @Test
    void severalChangeInOneActAndTheTrackIsOrderedForThem() {
        aLineIsSetAndHeard();
        Map<String, Object> both = request(
                "2026-10-19",
                true,
                wanted("Ed Stone", "Winds", "euphonium-treble"),
                wanted("Flo Hart", "Winds", "euphonium-treble"));
        JsonNode told = preview(both).json();
        assertThat(told.path("tracks")).hasSize(1);
        assertThat(texts(told.path("tracks"), "instrumentName")).hasSize(1);
        assertThat(told.path("students").get(0).path("keepsAll").asBoolean()).isTrue();

        JsonNode done = director.post("/api/switches", both).json();
        assertThat(done.path("students").asInt()).isEqualTo(2);
        int made = done.path("orders").asInt();
        assertThat(made).isPositive();
        Answer again = director.post("/api/switches", both);
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.json().path("orders").asInt())
                .as("pressed twice: it is theirs already")
                .isZero();

        JsonNode folder = folderOf("Ed Stone");
        List<String> seats = new ArrayList<>();
        folder.path("seats")
                .forEach(seat -> seats.add(seat.path("className").asString() + " "
                        + seat.path("instrumentName").asString() + " "
                        + seat.path("startsOn").asString() + " "
                        + seat.path("endsOn").asString("")));
        assertThat(seats)
                .anyMatch(seat -> seat.startsWith("Winds Trumpet") && seat.endsWith("2026-10-18"))
                .anyMatch(seat -> seat.startsWith("Winds Euphonium") && seat.endsWith("2026-10-19 "))
                .anyMatch(seat -> seat.startsWith("Jazz Trumpet") && seat.endsWith(" "));
        JsonNode trumpet = folder.path("instruments").get(0);
        assertThat(texts(trumpet.path("milestones"), "shortName")).contains("1");
        assertThat(trumpet.path("passed").asInt()).as("kept in the folder").isEqualTo(1);

        JsonNode board = director.get(
                        "/api/board?classId=" + school.id("Winds") + "&instrument=euphonium-treble&on=2026-10-19")
                .json();
        assertThat(board.path("rows")).hasSize(2);
        board.path("rows")
                .forEach(row -> assertThat(texts(row.path("marks"), "state"))
                        .as(row.path("name").asString())
                        .contains("SET"));
    }

    @Test
    void aBorrowedInstrumentGoesBackByItself() {
        Map<String, Object> week = request("2026-10-12", false, wanted("Cy Moor", "Winds", "bass-clarinet"));
        week.put("until", "2026-10-16");
        assertThat(preview(week).json().path("tracks")).isEmpty();
        assertThat(director.post("/api/switches", week).status()).isEqualTo(200);
        List<String> instruments = new ArrayList<>();
        folderOf("Cy Moor")
                .path("seats")
                .forEach(seat -> instruments.add(seat.path("instrumentName").asString() + " "
                        + seat.path("division").asString() + " to "
                        + seat.path("endsOn").asString("")));
        assertThat(instruments).hasSize(3);
        assertThat(instruments.get(0)).startsWith("Clarinet First").endsWith("2026-10-11");
        assertThat(instruments.get(1)).startsWith("Bass").endsWith("2026-10-16");
        assertThat(instruments.get(2)).startsWith("Clarinet First").endsWith("to ");

        String seating = director.get("/api/classes/" + school.id("Winds") + "/seating")
                .json()
                .toString();
        assertThat(seating.split("Cy Moor", -1)).as("one chair for him").hasSize(2);
        String roster = director.get("/api/roster-import/roster.csv").text();
        assertThat(roster.split("Cy Moor", -1)).as("one row for him").hasSize(2);
        assertThat(director.post(
                                "/api/students/" + school.id("Cy Moor") + "/leave",
                                Map.of("classId", school.id("Winds"), "lastDay", "2026-10-14"))
                        .status())
                .isEqualTo(204);
        JsonNode left = folderOf("Cy Moor").path("seats");
        assertThat(left).as("who leaves does not come back").hasSize(2);
        assertThat(left.get(1).path("endsOn").asString()).isEqualTo("2026-10-14");
    }

    @Test
    void whoCannotChangeIsSaidAndNobodyDoes() {
        Map<String, Object> mixed = request(
                "2026-10-19",
                false,
                wanted("Flo Hart", "Winds", "horn"),
                wanted("Ana Reed", "Winds", "flute"),
                wanted("Gus Pike", "Winds", "horn"));
        JsonNode students = preview(mixed).json().path("students");
        assertThat(students.get(0).has("refused")).isFalse();
        assertThat(students.get(1).path("refused").asString())
                .isEqualTo("No seat on another instrument is held in Winds on that day to change from.");
        assertThat(students.get(2).path("refused").asString())
                .isEqualTo("No seat on another instrument is held in Winds on that day to change from.");
        Answer refused = director.post("/api/switches", mixed);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.sentence()).startsWith("Ana Reed: ");
        assertThat(folderOf("Flo Hart").path("seats")).as("all or none").hasSize(1);

        Map<String, Object> horn = wanted("Flo Hart", "Winds", "horn");
        assertThat(preview(request("2028-10-19", false, horn))
                        .json()
                        .path("students")
                        .get(0)
                        .path("refused")
                        .asString())
                .startsWith("The school year is from 2026-08-17");
        assertThat(preview(request("-999999999-01-01", false, horn)).status()).isEqualTo(400);
        assertThat(preview(request("2026-10-19", false, horn, horn)).field()).isEqualTo("students");
        Map<String, Object> backwards = request("2026-10-19", false, horn);
        backwards.put("until", "2026-10-18");
        assertThat(preview(backwards).field()).isEqualTo("until");
        backwards.put("until", "2026-10-23");
        backwards.put("catchUp", true);
        assertThat(director.post("/api/switches", backwards).field()).isEqualTo("catchUp");
        assertThat(preview(request("2026-10-19", false)).status()).isEqualTo(422);
        assertThat(preview(request(
                                "2026-10-19",
                                false,
                                Map.of(
                                        "studentId",
                                        UUID.randomUUID(),
                                        "classId",
                                        school.id("Winds"),
                                        "instrument",
                                        "horn")))
                        .json()
                        .path("students")
                        .get(0)
                        .path("refused")
                        .asString())
                .isEqualTo("There is no such student any more.");
        assertThat(school.assistant().post("/api/switches", mixed).status()).isEqualTo(403);
    }

    @Test
    void aChangeOfBeforeIsToldWithTheWeekendBetween() {
        String flo = "/api/students/" + school.id("Flo Hart");
        director.post(flo + "/leave", Map.of("classId", school.id("Winds"), "lastDay", "2026-10-02"));
        director.post(
                flo + "/seats",
                Map.of("classId", school.id("Winds"), "instrument", "horn", "division", "", "startsOn", "2026-10-05"));
        JsonNode told = preview(request("2026-10-05", false, wanted("Flo Hart", "Winds", "horn")))
                .json()
                .path("students")
                .get(0);
        assertThat(told.path("fromName").asString()).isEqualTo("Trumpet");
        assertThat(told.has("refused")).isFalse();
    }

    @Test
    void aClassMayEndWhileSomebodyBorrows() {
        Map<String, Object> week = request("2026-10-12", false, wanted("Ed Stone", "Jazz", "flugelhorn"));
        week.put("until", "2026-10-16");
        assertThat(director.post("/api/switches", week).status()).isEqualTo(200);
        assertThat(director.post("/api/classes/" + school.id("Jazz") + "/end", Map.of("lastDay", "2026-10-14"))
                        .status())
                .isEqualTo(204);
        JsonNode seats = folderOf("Ed Stone").path("seats");
        List<String> ends = new ArrayList<>();
        seats.forEach(seat -> {
            if (seat.path("className").asString().equals("Jazz")) {
                ends.add(seat.path("endsOn").asString(""));
            }
        });
        assertThat(ends).containsExactly("2026-10-11", "2026-10-14");
    }

    @Test
    void bothClassesOfAStudentMayChangeInOneAct() {
        JsonNode told = preview(request(
                        "2026-10-19", false, wanted("Ed Stone", "Winds", "horn"), wanted("Ed Stone", "Jazz", "horn")))
                .json();
        told.path("students")
                .forEach(one ->
                        assertThat(one.path("alsoOn")).as("no trumpet any more").isEmpty());
    }

    @Test
    void aChangeThatWasAMistakeIsTakenBackByTheSameAct() {
        director.post("/api/switches", request("2026-10-19", false, wanted("Flo Hart", "Winds", "horn")));
        assertThat(folderOf("Flo Hart").path("seats")).hasSize(2);
        assertThat(director.post(
                                "/api/students/" + school.id("Flo Hart") + "/seats",
                                Map.of(
                                        "classId",
                                        school.id("Winds"),
                                        "instrument",
                                        "trumpet",
                                        "division",
                                        "",
                                        "startsOn",
                                        "2026-10-19"))
                        .status())
                .isEqualTo(204);
        assertThat(folderOf("Flo Hart").path("seats")).hasSize(1);
    }
}
