package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Belts handed over, taken back, heard towards and printed. */
class BeltsTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Map<String, Object> heard(String student, String milestone) {
        Map<String, Object> attempt = school.attempt(student, milestone, "PASS");
        Answer answer = director.post("/api/attempts", attempt);
        assertThat(answer.status()).as(answer.text()).isLessThan(300);
        return attempt;
    }

    private void earn(String flute) {
        heard(flute, "line");
        heard(flute, "sound");
        heard(flute, "sound");
    }

    private JsonNode board() {
        Answer answer = director.get("/api/belts?classId=" + school.id("Winds"));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode row(String name) {
        for (JsonNode row : board().path("rows")) {
            if (row.path("name").asString().equals(name)) {
                return row;
            }
        }
        throw new AssertionError(name + " is not on the board");
    }

    private Map<String, Object> belt(String student, String instrument) {
        return Map.of(
                "id",
                Ids.next(),
                "studentId",
                school.id(student),
                "beltId",
                school.id("belt"),
                "instrument",
                instrument);
    }

    @SafeVarargs
    private Answer handOver(String on, Map<String, Object>... belts) {
        return director.post(
                "/api/belts/hand-overs", Map.of("handedOn", on, "occasion", " end of class ", "belts", List.of(belts)));
    }

    @Test
    void whatIsEarnedIsDueUntilItIsHandedOverAndCanBeTakenBack() {
        earn("Ana Reed");
        JsonNode before = row("Ana Reed");
        assertThat(before.path("due")).hasSize(1);
        assertThat(before.path("due").get(0).path("on").asString()).isEqualTo(School.TODAY.toString());
        assertThat(before.has("wornBelt")).isFalse();
        assertThat(before.path("slots")).hasSize(2);

        Map<String, Object> ana = belt("Ana Reed", "flute");
        assertThat(handOver(School.TODAY.toString(), ana).status()).isEqualTo(204);
        assertThat(handOver(School.TODAY.toString(), ana).status())
                .as("sent twice")
                .isEqualTo(204);
        assertThat(handOver(School.TODAY.minusDays(1).toString(), belt("Ana Reed", "flute"))
                        .status())
                .as("again under another id")
                .isEqualTo(204);
        JsonNode after = row("Ana Reed");
        assertThat(after.path("wornBelt").asString())
                .isEqualTo(school.id("belt").toString());
        assertThat(after.path("due")).isEmpty();

        JsonNode dayBefore = director.get(
                        "/api/belts?classId=" + school.id("Winds") + "&on=" + School.TODAY.minusDays(1))
                .json();
        assertThat(dayBefore.path("rows").findValues("wornBelt"))
                .as("looked back at")
                .isEmpty();
        assertThat(dayBefore.path("rows").findValues("handOverId")).isEmpty();

        String path = "/api/belts/hand-overs/" + ana.get("id");
        assertThat(director.delete(path).status()).isEqualTo(204);
        assertThat(director.delete(path).status()).isEqualTo(404);
        assertThat(row("Ana Reed").path("due")).hasSize(1);
    }

    @Test
    void whatIsNotEarnedIsNotHandedOverNorAnythingWithIt() {
        earn("Ana Reed");
        heard("Bo Lund", "line");
        Answer refused = handOver(School.TODAY.toString(), belt("Ana Reed", "flute"), belt("Bo Lund", "flute"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text()).contains("Bo Lund has not earned Driftwood: Sound to go. Nothing was handed over.");
        assertThat(row("Ana Reed").path("due")).hasSize(1);
        assertThat(handOver(School.TODAY.plusDays(1).toString(), belt("Ana Reed", "flute"))
                        .status())
                .as("not yet")
                .isEqualTo(422);
        assertThat(handOver(School.TODAY.minusYears(2).toString(), belt("Ana Reed", "flute"))
                        .status())
                .isEqualTo(422);
        Map<String, Object> stranger = new HashMap<>(belt("Ana Reed", "flute"));
        stranger.put("studentId", UUID.randomUUID());
        assertThat(handOver(School.TODAY.toString(), stranger).status()).isEqualTo(422);
        assertThat(handOver(School.TODAY.toString()).status()).isEqualTo(422);
    }

    @Test
    void takingAPassBackSaysWhichAwardItTouches() {
        Map<String, Object> line = heard("Ana Reed", "line");
        Map<String, Object> first = heard("Ana Reed", "sound");
        assertThat(director.get("/api/attempts/" + line.get("id") + "/awards").json())
                .as("nothing rests on it yet")
                .isEmpty();
        heard("Ana Reed", "sound");
        handOver(School.TODAY.toString(), belt("Ana Reed", "flute"));
        for (Map<String, Object> attempt : List.of(line, first)) {
            JsonNode touched = director.get("/api/attempts/" + attempt.get("id") + "/awards")
                    .json();
            assertThat(touched).hasSize(1);
            assertThat(touched.get(0).path("belt").asString()).isEqualTo("Driftwood");
            assertThat(touched.get(0).path("handed").asBoolean()).isTrue();
        }
        Map<String, Object> again = heard("Ana Reed", "line");
        assertThat(director.get("/api/attempts/" + again.get("id") + "/awards").json())
                .as("the first pass stands")
                .isEmpty();
        assertThat(director.get("/api/attempts/" + UUID.randomUUID() + "/awards")
                        .status())
                .isEqualTo(404);

        for (Map<String, Object> attempt : List.of(line, again)) {
            assertThat(director.post(
                                    "/api/attempts/" + attempt.get("id") + "/correction",
                                    Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "wrong student"))
                            .status())
                    .isLessThan(300);
        }
        JsonNode row = row("Ana Reed");
        assertThat(row.path("withdrawn")).hasSize(1);
        assertThat(row.has("wornBelt")).isFalse();
        assertThat(row.path("needed").asInt()).isEqualTo(1);
    }

    @Test
    void whoIsOneHearingAwayIsARunWithItsMinutes() {
        Answer ordered = director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "check"));
        assertThat(ordered.status()).as(ordered.text()).isLessThan(300);
        assertThat(board().path("runs"))
                .as("clarinets are asked the line alone")
                .singleElement()
                .satisfies(run -> {
                    assertThat(run.path("name").asString()).isEqualTo("line 1");
                    assertThat(run.path("students")).hasSize(2);
                });
        heard("Flo Hart", "line");
        List<String> runs = new ArrayList<>();
        board().path("runs")
                .forEach(run -> runs.add(
                        run.path("name").asString() + " " + run.path("students").size() + ", "
                                + run.path("minutes").asInt() + " min"));
        assertThat(runs).containsExactly("line 1 2, 2 min", "Body 1, 1 min");
        assertThat(row("Bo Lund").path("alone")).as("two are missing").isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"wall-board", "labels", "certificates"})
    void whatIsPrintedNamesTheStudent(String paper) throws IOException {
        earn("Ana Reed");
        String path = "/api/belts/" + paper + ".pdf?classId=" + school.id("Winds");
        assertThat(text(path).contains("Ana Reed")).as("due").isEqualTo(!paper.equals("wall-board"));
        handOver(School.TODAY.toString(), belt("Ana Reed", "flute"));
        String handed = paper.equals("wall-board") ? path : path + "&handedOn=" + School.TODAY;
        assertThat(text(handed)).contains("Ana Reed", "Driftwood").doesNotContain("Bo Lund");
        assertThat(school.coach(new SectionScope.Tutti(school.id("Winds")))
                        .get(path)
                        .status())
                .isEqualTo(403);
    }

    private String text(String path) throws IOException {
        byte[] pdf = director.get(path).bytes();
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void aBeltIsOrderedWithAllThatFillsItsSlots() {
        Map<String, Object> choice = new HashMap<>(Map.of(
                "classId",
                school.id("Winds"),
                "firstChecks",
                false,
                "tests",
                false,
                "belts",
                false,
                "beltIds",
                List.of(school.id("belt"))));
        Answer chosen = director.post("/api/season/plan/choose", choice);
        assertThat(chosen.status()).as(chosen.text()).isEqualTo(200);
        assertThat(chosen.json().path("added").asInt())
                .as("the belt, its line, the check of the trumpets and that of the flutes")
                .isEqualTo(4);
        assertThat(director.post("/api/season/plan/choose", choice)
                        .json()
                        .path("added")
                        .asInt())
                .as("once")
                .isZero();
        choice.put("beltIds", List.of(UUID.randomUUID()));
        assertThat(director.post("/api/season/plan/choose", choice).status()).isEqualTo(422);
    }

    /** Ed sits in both classes; the trumpets of the jazz class are he alone. */
    @Test
    void whatASectionWasSetOrHasFromAnotherClassIsNotPlannedOnceMore() {
        assertThat(director.post("/api/season/orders", school.order(List.of(school.section("trumpet")), "line"))
                        .status())
                .isLessThan(300);
        Map<String, Object> choice = new HashMap<>(Map.of(
                "classId",
                school.id("Jazz"),
                "firstChecks",
                false,
                "tests",
                false,
                "belts",
                false,
                "beltIds",
                List.of(school.id("belt"))));
        heard("Ed Stone", "check");
        Answer chosen = director.post("/api/season/plan/choose", choice);
        assertThat(chosen.json().path("added").asInt())
                .as("the belt alone: its line is set, its check is passed; " + chosen.text())
                .isEqualTo(1);
        School other = School.open(RunningServer.shared());
        choice.put("classId", other.id("Jazz"));
        choice.put("beltIds", List.of(other.id("belt")));
        for (String milestone : List.of("line", "check")) {
            other.director().post("/api/attempts", other.attempt("Ed Stone", milestone, "PASS"));
        }
        assertThat(other.director()
                        .post("/api/season/plan/choose", choice)
                        .json()
                        .path("added")
                        .asInt())
                .as("everybody has earned it")
                .isZero();
    }
}
