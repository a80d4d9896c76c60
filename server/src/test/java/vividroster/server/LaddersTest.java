package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.roster.SectionScope;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Ladders written, edited, drawn from pages, looked ahead at and retired; never half of one is kept. */
class LaddersTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Map<String, Object> slot(String name, String whom, UUID milestone) {
        Map<String, Object> filling = new HashMap<>(Map.of("whom", whom));
        if (milestone != null) {
            filling.put("milestoneId", milestone);
        }
        return new HashMap<>(Map.of("name", name, "must", false, "fillings", new ArrayList<>(List.of(filling))));
    }

    private Map<String, Object> belt(String name, int knots) {
        return new HashMap<>(Map.of(
                "name",
                name,
                "color",
                "#2f7f93",
                "weave",
                "check",
                "knots",
                knots,
                "rule",
                "EVERY_SLOT",
                "ruleSlots",
                0,
                "slots",
                new ArrayList<>(List.of(
                        slot("Line 1", "any", school.id("line")),
                        slot("Line 2", "any", school.id("line 2")),
                        slot("Own piece", "any", null)))));
    }

    @SafeVarargs
    private static Map<String, Object> ladder(String name, Map<String, Object>... belts) {
        return new HashMap<>(Map.of("name", name, "instruments", List.of(), "belts", List.of(belts)));
    }

    @SuppressWarnings("unchecked")
    private static List<Map<String, Object>> slots(Map<String, Object> belt) {
        return (List<Map<String, Object>>) belt.get("slots");
    }

    private JsonNode kept(String name) {
        for (JsonNode one : director.get("/api/ladders").json()) {
            if (one.path("name").asString().equals(name)) {
                return one;
            }
        }
        throw new AssertionError("there is no ladder " + name);
    }

    private void refused(Map<String, Object> ladder, String field, String sentence) {
        int before = director.get("/api/ladders").json().size();
        Answer answer = director.post("/api/ladders", ladder);
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.json().path("detail").asString()).isEqualTo(sentence);
        assertThat(answer.json().path("field").asString()).isEqualTo(field);
        assertThat(director.get("/api/ladders").json()).hasSize(before);
        assertThat(director.post("/api/ladders/preview", Map.of("ladder", ladder))
                        .text())
                .as("said ahead too")
                .contains(sentence);
    }

    @Test
    void everyFaultIsNamedPlainlyAndNothingIsKept() {
        refused(ladder("low", belt("Pier", 1), belt("pier", 2)), "belts[1].name", "Two belts are called pier.");
        refused(
                ladder("low", belt("Pier", 1), belt("Quay", 1)),
                "belts[1].weave",
                "Quay and Pier look alike without colour; give one another weave or other knots.");
        Map<String, Object> few = belt("Pier", 1);
        slots(few).removeLast();
        refused(ladder("low", few), "belts[0].slots", "Pier has 2 slots; a belt has 3 to 8.");
        Map<String, Object> empty = belt("Pier", 1);
        slots(empty).get(1).put("fillings", List.of());
        refused(
                ladder("low", empty),
                "belts[0].slots[1].fillings",
                "Pier, slot 2 (Line 2) is empty; fill it or take it away.");
        Map<String, Object> ofBelt = belt("Pier", 1);
        slots(ofBelt).set(1, slot("Driftwood", "any", school.id("belt")));
        assertThat(director.post("/api/ladders", ladder("low", ofBelt)).status())
                .isEqualTo(422);
        Map<String, Object> stranger = belt("Pier", 1);
        slots(stranger).set(1, slot("Line 9", "any", UUID.randomUUID()));
        assertThat(director.post("/api/ladders", ladder("low", stranger)).status())
                .isEqualTo(422);
        Map<String, Object> kazoo = belt("Pier", 1);
        slots(kazoo).set(1, slot("Line 2", "kazoo", school.id("line 2")));
        assertThat(director.post("/api/ladders", ladder("low", kazoo)).status()).isEqualTo(422);
        Map<String, Object> weave = belt("Pier", 1);
        weave.put("weave", "plaid");
        assertThat(director.post("/api/ladders", ladder("low", weave)).status()).isEqualTo(422);
        assertThat(director.post("/api/ladders", ladder(" ", belt("Pier", 1))).status())
                .isEqualTo(422);
    }

    @Test
    void aBeltThatAsksForWhatIsRetiredIsSaidSo() {
        assertThat(director.post("/api/checks/" + school.id("check") + "/retire", Map.of())
                        .status())
                .isLessThan(300);
        Map<String, Object> belt = belt("Pier", 1);
        slots(belt).set(1, slot("Body", "any", school.id("check")));
        Answer answer = director.post("/api/ladders", ladder("low", belt));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.text()).contains("Body").contains("off the shelf");
    }

    @Test
    void anEditTakesNoBeltAwayAndAsksTheOthersAnew() {
        for (String name : List.of("Ana Reed", "Bo Lund")) {
            assertThat(director.post("/api/attempts", school.attempt(name, "line", "PASS"))
                            .status())
                    .isLessThan(300);
        }
        director.post("/api/attempts", school.attempt("Ana Reed", "sound", "PASS"));
        director.post("/api/attempts", school.attempt("Ana Reed", "sound", "PASS"));
        JsonNode winds = kept("winds");
        String path = "/api/ladders/" + winds.path("id").asString();
        JsonNode form = director.get(path).json();
        assertThat(form.path("ladder").path("belts")).hasSize(1);

        Map<String, Object> harder = belt("Driftwood", 2);
        harder.put("id", school.id("belt"));
        slots(harder).set(2, slot("Test", "any", school.id("test")));
        Map<String, Object> edited = Map.of("version", 1, "ladder", ladder("winds", harder));
        assertThat(director.post(path, edited).status()).isEqualTo(204);
        Answer late = director.post(path, edited);
        assertThat(late.status()).as("somebody else's edit").isEqualTo(409);

        Map<String, JsonNode> rows = new HashMap<>();
        director.get("/api/belts?classId=" + school.id("Winds"))
                .json()
                .path("rows")
                .forEach(row -> rows.put(row.path("name").asString(), row));
        assertThat(rows.get("Ana Reed").path("due")).as("earned before").hasSize(1);
        assertThat(rows.get("Bo Lund").path("asked").asInt()).isEqualTo(3);
        assertThat(rows.get("Bo Lund").path("needed").asInt()).isEqualTo(2);
        assertThat(kept("winds").path("editions").asInt()).isEqualTo(1);

        assertThat(director.post(path + "/retire", Map.of()).status()).isEqualTo(204);
        assertThat(kept("winds").path("retiredOn").asString()).isEqualTo(School.TODAY.toString());
        assertThat(director.get("/api/belts?classId=" + school.id("Winds"))
                        .json()
                        .path("rows"))
                .filteredOn(row -> row.path("name").asString().equals("Ana Reed"))
                .singleElement()
                .satisfies(row ->
                        assertThat(row.path("due")).as("what was earned stays").hasSize(1));
    }

    @Test
    void aFreeChoiceIsHeardWithTheNameOfThePiece() {
        assertThat(director.post("/api/ladders", ladder("own", belt("Pier", 1))).status())
                .isEqualTo(201);
        assertThat(director.post("/api/ladders", ladder("own", belt("Quay", 1))).status())
                .as("a name is there once")
                .isEqualTo(409);
        UUID free = null;
        for (JsonNode milestone : director.get("/api/library").json().path("milestones")) {
            if (milestone.path("kind").asString().equals("FREE_CHOICE")) {
                free = UUID.fromString(milestone.path("id").asString());
            }
        }
        assertThat(free).isNotNull();
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        attempt.put("milestoneId", free);
        attempt.put("substitute", "A reel from home");
        Answer heard = director.post("/api/attempts", attempt);
        assertThat(heard.status()).as(heard.text()).isLessThan(300);
        assertThat(director.get("/api/students/" + school.id("Ana Reed") + "/milestones/" + free
                                + "/tries?instrument=flute")
                        .text())
                .contains("A reel from home");
    }

    @Test
    void aLadderIsDrawnFromPagesAndLookedAheadAt() {
        String book = director.get("/api/books").json().get(0).path("id").asString();
        Answer drawn = director.get("/api/ladders/from-pages?name=drawn&pagesPerBelt=4&bookId=" + book);
        assertThat(drawn.status()).as(drawn.text()).isEqualTo(200);
        assertThat(drawn.json().path("belts")).hasSize(1);
        assertThat(director.get("/api/ladders/from-pages?name=drawn&pagesPerBelt=0&bookId=" + book)
                        .status())
                .isBetween(400, 422);

        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        Map<String, Object> easy = belt("Pier", 1);
        easy.put("rule", "AT_LEAST");
        easy.put("ruleSlots", 1);
        JsonNode preview = director.post("/api/ladders/preview", Map.of("ladder", ladder("own", easy)))
                .json();
        assertThat(preview.path("faults")).isEmpty();
        JsonNode flutes = preview.path("sections").get(0);
        assertThat(flutes.path("instrument").asString()).isEqualTo("flute");
        assertThat(flutes.path("belts").get(0).path("needed").asInt()).isEqualTo(1);
        assertThat(flutes.path("belts").get(0).path("wearers").get(0).asString())
                .isEqualTo("Ana Reed");
        assertThat(flutes.path("without").asInt()).isEqualTo(1);
        assertThat(flutes.path("belts")
                        .get(0)
                        .path("slots")
                        .get(0)
                        .path("toHear")
                        .asInt())
                .isEqualTo(1);
        assertThat(school.assistant()
                        .post("/api/ladders/preview", Map.of("ladder", ladder("own", easy)))
                        .status())
                .isEqualTo(200);
        assertThat(school.coach(new SectionScope.Tutti(school.id("Winds")))
                        .get("/api/ladders")
                        .status())
                .isEqualTo(403);
    }
}
