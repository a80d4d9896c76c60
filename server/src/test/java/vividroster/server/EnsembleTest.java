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

/** Who is ready for an ensemble, which part is whose, and what a piece would have to be taught. */
class EnsembleTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final String jazz = "/api/ensembles/" + school.id("Jazz");

    private void pass(String student, String... milestones) {
        for (String milestone : milestones) {
            Answer answer = director.post("/api/attempts", school.attempt(student, milestone, "PASS"));
            assertThat(answer.status()).as(answer.text()).isLessThan(300);
        }
    }

    private JsonNode section(String instrument) {
        Answer answer = director.get(jazz + "/candidates?classId=" + school.id("Winds"));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        for (JsonNode section : answer.json().path("sections")) {
            if (section.path("instrument").asString().equals(instrument)) {
                return section;
            }
        }
        throw new AssertionError(instrument + " is not in " + answer.text());
    }

    private Answer gate(String kind, int rank, List<UUID> milestones) {
        return director.put(jazz + "/gate", Map.of("kind", kind, "rank", rank, "milestoneIds", milestones));
    }

    private void wants(String instrument, int students) {
        Map<String, Object> body = new HashMap<>(School.classOf("Jazz", "10:00"));
        body.put("wanted", List.of(Map.of("instrument", instrument, "division", "", "students", students)));
        Answer answer = director.put("/api/classes/" + school.id("Jazz"), body);
        assertThat(answer.status()).as(answer.text()).isLessThan(300);
    }

    @Test
    void theLastBeltAdmitsAndSectionsAreHeldAgainstTheNumbersWanted() {
        wants("trumpet", 2);
        pass("Ed Stone", "line", "check");
        pass("Flo Hart", "line");
        JsonNode trumpets = section("trumpet");
        assertThat(trumpets.path("ready").asInt()).isEqualTo(1);
        assertThat(trumpets.path("nearly").asInt()).isEqualTo(1);
        assertThat(trumpets.path("wanted").asInt()).isEqualTo(2);
        assertThat(trumpets.path("weight").asString()).isEqualTo("SHORT_FOR_NOW");
        assertThat(trumpets.path("missing").asInt()).isEqualTo(1);
        JsonNode ed = trumpets.path("candidates").get(0);
        assertThat(ed.path("name").asString()).isEqualTo("Ed Stone");
        assertThat(ed.path("inIt").asBoolean()).isTrue();
        JsonNode flo = trumpets.path("candidates").get(1);
        assertThat(flo.path("missing").get(0).asString()).isEqualTo("Body");
        assertThat(section("flute").path("weight").asString()).isEqualTo("OPEN");
    }

    @Test
    void theDirectorsOwnListAdmitsInPlaceOfABelt() {
        assertThat(gate("OWN_LIST", 0, List.of(school.id("line 2"))).status()).isEqualTo(204);
        pass("Bo Lund", "line 2");
        JsonNode flutes = section("flute");
        assertThat(flutes.path("ready").asInt()).isEqualTo(1);
        assertThat(flutes.path("candidates").get(0).path("name").asString()).isEqualTo("Bo Lund");
        assertThat(gate("OWN_LIST", 0, List.of()).status()).isEqualTo(422);
        assertThat(gate("OWN_LIST", 0, List.of(school.id("belt"))).status()).isEqualTo(422);
        assertThat(gate("OWN_LIST", 0, List.of(UUID.randomUUID())).status()).isEqualTo(422);
        assertThat(gate("BELT_OF_RANK", 0, List.of()).status()).isEqualTo(422);
        assertThat(section("flute").path("ready").asInt()).as("nothing changed").isEqualTo(1);
        assertThat(gate("BELT_OF_RANK", 1, List.of()).status()).isEqualTo(204);
        assertThat(section("flute").path("ready").asInt()).isZero();
        assertThat(director.put(
                                "/api/ensembles/" + UUID.randomUUID() + "/gate",
                                Map.of("kind", "LAST_BELT", "rank", 0, "milestoneIds", List.of()))
                        .status())
                .isEqualTo(404);
    }

    private void notes(String line, String abc) {
        Answer answer = director.post("/api/lines/" + school.id(line) + "/notes", Map.of("abc", abc));
        assertThat(answer.status()).as(answer.text()).isLessThan(300);
    }

    @Test
    void partsAreProposedByWhatEachHasPassed() {
        String winds = "/api/ensembles/" + school.id("Winds");
        assertThat(director.get(winds + "/parts?instrument=flute&lines=" + school.id("line 2"))
                        .status())
                .as("only facts are kept")
                .isEqualTo(422);
        notes("line", "X:1\nT:Low\nM:4/4\nL:1/4\nK:Bb\nB,CDE|DCB,2|]\n");
        notes("line 2", "X:1\nT:High\nM:4/4\nL:1/4\nK:Bb\nB,CDE|FGAB|]\n");
        pass("Bo Lund", "line", "line 2");
        pass("Ana Reed", "line");
        Answer proposed =
                director.get(winds + "/parts?instrument=flute&lines=" + school.id("line 2") + "," + school.id("line"));
        assertThat(proposed.status()).as(proposed.text()).isEqualTo(200);
        assertThat(proposed.json().path("parts").get(0).path("title").asString())
                .isEqualTo("Two gulls");
        JsonNode players = proposed.json().path("players");
        assertThat(players).hasSize(2);
        assertThat(players.get(0).path("name").asString()).isEqualTo("Bo Lund");
        assertThat(players.get(0).path("lineId").asString())
                .isEqualTo(school.id("line 2").toString());
        assertThat(players.get(1).path("name").asString()).isEqualTo("Ana Reed");
        assertThat(players.get(1).path("lineId").asString())
                .isEqualTo(school.id("line").toString());
        JsonNode asked = players.get(1).path("asks");
        assertThat(asked.get(0).path("newNotes")).as("were Ana given the first").hasSize(4);
        assertThat(asked.get(1).path("fits").asBoolean()).isTrue();
        assertThat(director.get(winds + "/parts?instrument=tuba&lines=" + school.id("line"))
                        .status())
                .as("nobody plays it")
                .isEqualTo(422);
    }

    @Test
    void aPieceIsHeldAgainstWhatEachSectionHasPassed() {
        notes("line", "X:1\nT:Low\nM:4/4\nL:1/4\nK:Bb\nB,CDE|DCB,2|]\n");
        notes("line 2", "X:1\nT:High\nM:4/4\nL:1/4\nK:Bb\nB,CDE|fgab|]\n");
        assertThat(director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"))
                        .status())
                .isLessThan(300);
        pass("Bo Lund", "line");
        pass("Ana Reed", "line");
        String path = "/api/ensembles/" + school.id("Winds") + "/pieces?lines=" + school.id("line 2");
        Answer compared = director.get(path + "&by=" + School.TODAY.plusWeeks(8));
        assertThat(compared.status()).as(compared.text()).isEqualTo(200);
        assertThat(compared.json().path("weeksLeft").asInt()).isBetween(6, 8);
        JsonNode flutes = compared.json().path("pieces").get(0).path("sections").get(0);
        assertThat(flutes.path("instrument").asString()).isEqualTo("flute");
        assertThat(flutes.path("newNow")).as("from low to high").hasSize(4);
        assertThat(flutes.path("newNow").get(0).asString()).startsWith("F ");
        assertThat(flutes.path("weeks").asInt()).isEqualTo(2);
        assertThat(flutes.path("fits").asBoolean()).isTrue();
        assertThat(director.get(path + "&by=" + School.TODAY.minusDays(1)).status())
                .isEqualTo(422);
        assertThat(director.get(path + "&by=2030-01-01").status()).isEqualTo(422);
        assertThat(director.get("/api/ensembles/" + school.id("Winds") + "/pieces?lines=" + UUID.randomUUID() + "&by="
                                + School.TODAY.plusWeeks(8))
                        .status())
                .isEqualTo(422);
    }

    @Test
    void listsWithNothingBetweenTheirCommasAreTold() {
        String winds = "/api/ensembles/" + school.id("Winds");
        for (String path : List.of(
                winds + "/parts?instrument=flute&lines=%20",
                winds + "/parts?instrument=flute&lines=" + school.id("line") + ",%20",
                winds + "/pieces?lines=%20&by=" + School.TODAY,
                "/api/ladders/from-pages?name=low&bookId=" + UUID.randomUUID() + "&instruments=%20,flute",
                "/api/ladders/from-pages?name=low&bookId=" + UUID.randomUUID() + "&instruments=kazoo")) {
            Answer answer = director.get(path);
            assertThat(answer.status()).as(path + " " + answer.text()).isBetween(400, 499);
            assertThat(answer.text()).as(path).contains("\"detail\"");
        }
    }

    @Test
    void aPieceKnownByItsFactsIsComparedByItsNotesAndKeyAndOneWithoutNotesIsLast() {
        String book = director.post("/api/books", Map.of("title", "Concert folder", "notesKept", false))
                .json()
                .path("id")
                .asString();
        List<String> pieces = new ArrayList<>();
        for (String notes : List.of("", "Bb3 C4 F5 G5 Ab5 Bb5")) {
            Map<String, Object> piece = new HashMap<>(Map.of(
                    "bookId",
                    book,
                    "page",
                    1,
                    "number",
                    1 + pieces.size(),
                    "title",
                    "Piece " + pieces.size(),
                    "concertKey",
                    "A-flat major",
                    "meter",
                    "3/4",
                    "tempoBpm",
                    80,
                    "measures",
                    16));
            piece.put("playedMeasures", 16);
            piece.put("notesUsed", notes);
            piece.put("valuesIntroduced", List.of("dotted half"));
            Answer made = director.post("/api/books/lines", piece);
            assertThat(made.status()).as(made.text()).isEqualTo(200);
            pieces.add(made.json().path("id").asString());
        }
        Answer compared = director.get("/api/ensembles/" + school.id("Winds") + "/pieces?lines="
                + String.join(",", pieces) + "&by=" + School.TODAY.plusWeeks(8));
        assertThat(compared.status()).as(compared.text()).isEqualTo(200);
        JsonNode first = compared.json().path("pieces").get(0);
        assertThat(first.path("title").asString()).isEqualTo("Piece 1");
        assertThat(first.path("sections").get(0).path("toTeach")).hasSize(4);
        assertThat(first.path("sections").get(0).path("weeks").asInt()).isEqualTo(2);
        assertThat(first.path("sections").get(0).path("others").toString()).contains("4 flats", "3/4", "dotted half");
        assertThat(compared.json().path("pieces").get(1).path("sections"))
                .as("no notes are known")
                .isEmpty();
        assertThat(compared.json()
                        .path("sections")
                        .get(0)
                        .path("instrumentName")
                        .asString())
                .isEqualTo("Flute");
    }
}
