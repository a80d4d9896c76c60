package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Twenty presses at once on ladders, belts and what is tried with a student: nothing twice, nothing half. */
class BeltRacesTest {

    private static final int PRESSES = Presses.PRESSES;

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final Presses presses = new Presses(school);

    @Test
    void aLadderIsWrittenOnceAndEditedByWhoSawItLast() {
        List<Map<String, Object>> slots = List.of("line", "line 2", "sound").stream()
                .map(milestone -> Map.<String, Object>of(
                        "name",
                        milestone,
                        "must",
                        false,
                        "fillings",
                        List.of(Map.of("whom", "any", "milestoneId", school.id(milestone)))))
                .toList();
        Map<String, Object> belt = Map.of(
                "name",
                "Pier",
                "color",
                "#2F7F93",
                "weave",
                "check",
                "knots",
                1,
                "rule",
                "EVERY_SLOT",
                "ruleSlots",
                0,
                "slots",
                slots);
        Map<String, Object> ladder = Map.of("name", "Low brass", "instruments", List.of(), "belts", List.of(belt));
        List<Answer> written = presses.at(client -> client.post("/api/ladders", ladder));
        assertThat(Presses.good(written)).as(written.getFirst().text()).isEqualTo(1);
        JsonNode kept = null;
        for (JsonNode one : director.get("/api/ladders").json()) {
            kept = one.path("name").asString().equals("Low brass") ? one : kept;
        }
        String path = "/api/ladders/" + kept.path("id").asString();
        Map<String, Object> edit = Map.of(
                "version",
                kept.path("version").asInt(),
                "ladder",
                director.get(path).json().path("ladder"));
        List<Answer> edits = presses.at(client -> client.post(path, edit));
        assertThat(Presses.good(edits)).as(edits.getFirst().text()).isEqualTo(1);
        assertThat(edits.stream().filter(a -> a.status() == 409)).hasSize(PRESSES - 1);
        assertThat(Presses.good(presses.at(client -> client.put(
                        "/api/ensembles/" + school.id("Jazz") + "/gate",
                        Map.of("kind", "BELT_OF_RANK", "rank", 1, "milestoneIds", List.of())))))
                .isEqualTo(PRESSES);
    }

    @Test
    void aBeltIsHandedOverOnce() {
        for (String milestone : List.of("line", "sound", "sound")) {
            director.post("/api/attempts", school.attempt("Ana Reed", milestone, "PASS"));
        }
        String path = "/api/belts/hand-overs";
        Function<UUID, Map<String, Object>> ana = id -> Map.of(
                "handedOn",
                School.TODAY,
                "occasion",
                "end of class",
                "belts",
                List.of(Map.of(
                        "id",
                        id,
                        "studentId",
                        school.id("Ana Reed"),
                        "beltId",
                        school.id("belt"),
                        "instrument",
                        "flute")));
        UUID id = Ids.next();
        assertThat(Presses.good(presses.at(client -> client.post(path, ana.apply(id)))))
                .isEqualTo(PRESSES);
        assertThat(Presses.good(presses.at(client -> client.post(path, ana.apply(Ids.next())))))
                .as("under other ids it stays as it was")
                .isEqualTo(PRESSES);
        assertThat(director.get("/api/belts?classId=" + school.id("Winds"))
                        .json()
                        .findValues("wornBelt"))
                .hasSize(1);
        Map<String, Object> other = new HashMap<>(ana.apply(id));
        other.put("occasion", "spring concert");
        assertThat(director.post(path, other).status()).isEqualTo(409);
        assertThat(director.post(path, other).sentence()).contains("has this id already");
    }

    @Test
    void whatWasTriedAndDecidedForAStudent() {
        String path = "/api/students/" + school.id("Ana Reed") + "/placing";
        presses.sameIdSameAnswer(
                path + "/trials",
                () -> Presses.body(
                        "instrument", "trumpet", "mouthpiece", "OWN", "seen", Map.of("sound", 2), "on", School.TODAY),
                "seen",
                Map.of("sound", 3));
        presses.sameIdSameAnswer(
                path + "/two-ways",
                () -> Presses.body(
                        "instrument",
                        "trumpet",
                        "about",
                        "height",
                        "one",
                        "half",
                        "other",
                        "thirds",
                        "blind",
                        true,
                        "better",
                        "FIRST"),
                "better",
                "SECOND");
        presses.sameIdSameAnswer(
                path + "/decisions",
                () -> Presses.body("instrument", "trumpet", "why", "wants it"),
                "instrument",
                "flute");
        JsonNode placing = director.get(path).json();
        assertThat(placing.path("trials")).hasSize(1);
        assertThat(placing.path("compared")).hasSize(1);
        assertThat(placing.path("decided")).hasSize(1);
    }
}
