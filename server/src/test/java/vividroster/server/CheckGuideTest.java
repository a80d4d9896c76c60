package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Why, from where, by which school; amounts that are kept; parts by name; the notes a book begins with. */
class CheckGuideTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private String take(String key) {
        return director.post("/api/checks/starters/" + key + "/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(one -> texts.add(one.asString()));
        return texts;
    }

    private JsonNode check(String id) {
        return director.get("/api/checks/" + id).json().path("check");
    }

    @Test
    void aCheckSaysWhyFromWhereAndWhereOneFallsBackTo() {
        JsonNode check = check(take("lip-slurs"));
        assertThat(check.path("why").asString()).startsWith("Lips that find two notes");
        assertThat(check.path("seenFrom").asString()).isEqualTo("BY_EAR");
        assertThat(check.path("notFor").asString()).startsWith("New braces");
        assertThat(check.path("backTo").asString()).startsWith("The first note of a slur");
    }

    @Test
    void criteriaAreHeardAsTheSchoolSaysThem() {
        String id = take("trumpet-right-hand");
        String run = "/api/hearing/run/" + id + "?classId=" + school.id("Winds");
        assertThat(director.get(run).json().path("milestone").path("criteria").toString())
                .contains("Little finger not hooked");
        director.post("/api/schools/little-finger", Map.of("choice", "floating"));
        assertThat(texts(check(id).path("criteria"))).contains("Little finger floats free");
        assertThat(director.get(run).json().path("milestone").path("criteria").toString())
                .contains("Little finger floats free")
                .doesNotContain("not hooked");
        assertThat(director.get("/api/library").json().toString())
                .contains("Little finger floats free")
                .doesNotContain("not hooked");
    }

    @Test
    void aStudentsVariantRewordsTheCriteriaOfThatStudent() {
        String id = take("trumpet-right-hand");
        Map<String, Object> give = new LinkedHashMap<>();
        give.put("id", Ids.next());
        give.put("milestoneId", id);
        give.put("classId", school.id("Winds"));
        give.put("name", "On top of the hook");
        assertThat(director.post("/api/students/" + school.id("Ed Stone") + "/variants", give)
                        .status())
                .isEqualTo(201);
        JsonNode inUse = director.get("/api/checks/" + id + "/variants?classId=" + school.id("Winds"))
                .json()
                .path("inUse")
                .get(0);
        assertThat(texts(inUse.path("criteria"))).contains("Little finger on top of its hook");
    }

    private Map<String, Object> measured(Object id, double value) {
        return Map.of("id", id, "studentId", school.id("Ana Reed"), "classId", school.id("Winds"), "value", value);
    }

    @Test
    void theLongestToneIsKeptOverTheWeeks() {
        String id = take("longest-tone");
        assertThat(check(id).path("measured").path("unit").asString()).isEqualTo("s");
        Object once = Ids.next();
        String path = "/api/checks/" + id + "/measurements";
        assertThat(director.post(path, measured(once, 6.44)).status()).isEqualTo(201);
        assertThat(director.post(path, measured(once, 6.44)).status())
                .as("sent again")
                .isEqualTo(201);
        assertThat(director.post(path, measured(once, 9)).status())
                .as("other content")
                .isEqualTo(409);
        assertThat(director.post(path, measured(Ids.next(), 5)).status()).isEqualTo(201);
        JsonNode section = director.get(path + "?classId=" + school.id("Winds")).json();
        assertThat(section.size()).isEqualTo(1);
        assertThat(section.get(0).path("best").asDouble()).isEqualTo(6.4);
        assertThat(section.get(0).path("latest").asDouble()).isEqualTo(5);
        JsonNode own = director.get("/api/students/" + school.id("Ana Reed") + "/measurements")
                .json();
        assertThat(own.get(0).path("taken").size()).isEqualTo(2);
        assertThat(director.post(path, measured(Ids.next(), 0)).status()).isEqualTo(422);
        assertThat(director.post(path, measured(Ids.next(), 700)).sentence()).isEqualTo("At most 600.");
        assertThat(director.post("/api/checks/" + take("sit-tall") + "/measurements", measured(Ids.next(), 3))
                        .sentence())
                .isEqualTo("\"Sit tall, ribs free\" measures nothing.");
        School other = School.open(RunningServer.shared());
        assertThat(other.director().delete("/api/measurements/" + once).status())
                .as("another programme's")
                .isEqualTo(404);
        assertThat(director.delete("/api/measurements/" + once).status()).isEqualTo(204);
        assertThat(director.get(path + "?classId=" + school.id("Winds"))
                        .json()
                        .get(0)
                        .path("best")
                        .asDouble())
                .isEqualTo(5);
    }

    @Test
    void partsHaveTheirNumbersOnTheDrawing() {
        JsonNode violin = director.get("/api/instruments/violin/parts").json();
        assertThat(violin.path("kind").asString()).isEqualTo("upper-strings");
        assertThat(violin.path("parts").get(5).path("name").asString()).isEqualTo("bridge");
        assertThat(violin.path("parts").get(5).path("never").asBoolean()).isTrue();
        assertThat(director.get("/api/instruments/kazoo/parts").status()).isEqualTo(422);
    }

    @Test
    void firstNotesAreThoseOfTheBook() {
        assertThat(director.get("/api/lines/first-notes?instrument=trumpet")
                        .json()
                        .path("notes")
                        .size())
                .as("no notes are kept yet")
                .isZero();
        director.post(
                "/api/lines/" + school.id("line") + "/notes",
                Map.of("abc", "L:1/4\nM:4/4\nQ:1/4=60\nK:Bb\nD2 C2|B,4|"));
        JsonNode trumpet =
                director.get("/api/lines/first-notes?instrument=trumpet").json();
        assertThat(trumpet.path("notes").toString())
                .isEqualTo("[{\"note\":\"E 4\",\"fingering\":\"1-2\"},{\"note\":\"D 4\",\"fingering\":\"1-3\"},"
                        + "{\"note\":\"C 4\",\"fingering\":\"open\"}]");
    }

    @Test
    void aDemonstrationMayBeWrongOnPurpose() {
        String id = take("sit-tall");
        assertThat(director.upload("/api/checks/" + id + "/demonstrations?shows=WRONG", "slumped.png", PNG, Map.of())
                        .status())
                .isEqualTo(201);
        assertThat(director.upload("/api/checks/" + id + "/demonstrations?shows=RIGHT", "tall.png", PNG, Map.of())
                        .status())
                .isEqualTo(201);
        JsonNode both = director.get("/api/checks/" + id + "/demonstrations").json();
        assertThat(both.get(0).path("shows").asString()).isEqualTo("WRONG");
        assertThat(both.get(1).path("shows").asString()).isEqualTo("RIGHT");
        assertThat(director.get("/api/demonstrations").json().size()).isEqualTo(2);
    }

    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13, 'I', 'H', 'D', 'R'};
}
