package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;
import vividroster.testkit.TestCluster;

/** A signed-in person of one programme gets nothing of another, whatever ids they know. */
class ProgramWallTest {

    private static final String TUNE = "Seen by nobody else";
    private static final String NOTES = "X:1\nT:" + TUNE + "\nM:4/4\nL:1/4\nK:Bb\nB c d e|B4|]\n";

    private final RunningServer server = RunningServer.shared();
    private final School theirs = School.open(server);
    private final School mine = School.open(server);

    @Test
    void nothingOfAnotherProgramCanBeRead() throws IOException {
        theirs.director().post("/api/season/orders", theirs.order(List.of(theirs.tutti()), "line", "belt"));
        Map<String, Object> attempt = theirs.attempt("Ana Reed", "line", "PASS");
        theirs.director().post("/api/attempts", attempt);
        String programName =
                theirs.director().get("/api/session").json().path("program").asString();
        ApiClient spy = mine.director();
        Map<String, String> known = new HashMap<>();
        known.put("studentId", theirs.id("Ana Reed").toString());
        known.put("milestoneId", theirs.id("line").toString());
        known.put("classId", theirs.id("Winds").toString());
        known.put("ensembleId", theirs.id("Winds").toString());
        known.put("ladderId", ladder());
        known.put("attemptId", attempt.get("id").toString());
        known.put("partnerCheckId", partnerCheck());
        known.put("demonstrationId", demonstration());
        known.put("lineId", lineWithNotes());
        known.put(
                "bookId",
                theirs.director()
                        .get("/api/books/lines/" + theirs.id("line"))
                        .json()
                        .path("bookId")
                        .asString());
        known.put(
                "lookId",
                theirs.director()
                        .post("/api/season/plan/looks", Map.of("classId", theirs.id("Winds")))
                        .json()
                        .path("id")
                        .asString());
        String feed = theirs.director()
                .post("/api/season/feeds/" + theirs.id("Winds"), Map.of())
                .json()
                .path("path")
                .asString();
        List<String> leaks = new ArrayList<>();
        int read = 0;
        var paths = JsonMapper.builder()
                .build()
                .readTree(Files.readAllBytes(TestCluster.projectRoot().resolve("docs/openapi.json")))
                .path("paths");
        for (String path : paths.propertyNames()) {
            if (!paths.path(path).has("get")) {
                continue;
            }
            String filled = path.replace("{instrument}", "flute").replace("{secret}", "A".repeat(43));
            for (var id : known.entrySet()) {
                filled = filled.replace("{" + id.getKey() + "}", id.getValue());
            }
            for (String query : List.of(
                    "",
                    "?classId=" + known.get("classId"),
                    "?classId=" + known.get("classId") + "&instrument=flute",
                    "?instrument=flute&on=2026-10-07")) {
                Answer answer = spy.get(filled + query);
                read++;
                // A refusal repeats the address asked for; nothing else of theirs may stand anywhere.
                String text = answer.text().replaceAll("\"instance\":\"[^\"]*\"", "");
                boolean leak = known.values().stream().anyMatch(text::contains)
                        || text.contains(programName)
                        || text.contains(TUNE)
                        || text.contains(theirs.id("Bo Lund").toString());
                if (leak || answer.status() >= 500) {
                    leaks.add(filled + query + " answered " + answer.status() + " " + answer.text());
                }
            }
        }
        assertThat(feed).as("the address itself is the secret").hasSizeGreaterThan(50);
        assertThat(read).isGreaterThan(50);
        assertThat(leaks).isEmpty();
    }

    private String ladder() {
        return theirs.director().get("/api/ladders").json().get(0).path("id").asString();
    }

    private String lineWithNotes() {
        String lineId = theirs.id("line").toString();
        assertThat(theirs.director()
                        .post("/api/lines/" + lineId + "/notes", Map.of("abc", NOTES))
                        .status())
                .isEqualTo(204);
        return lineId;
    }

    private String partnerCheck() {
        UUID id = Ids.next();
        Answer made = theirs.director()
                .post(
                        "/api/partner-checks",
                        Map.of(
                                "id",
                                id,
                                "milestoneId",
                                theirs.id("line"),
                                "scope",
                                theirs.tutti(),
                                "pairing",
                                "STAND",
                                "watch",
                                List.of("Tall", "Round", "Full"),
                                "measures",
                                List.of(),
                                "groups",
                                List.of(List.of(theirs.id("Ana Reed"), theirs.id("Bo Lund")))));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return id.toString();
    }

    private String demonstration() {
        byte[] picture = {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13, 'I', 'H', 'D', 'R'};
        return theirs.director()
                .upload("/api/checks/" + theirs.id("check") + "/demonstrations", "hand.png", picture, Map.of())
                .json()
                .path("id")
                .asString();
    }

    @Test
    void nothingOfAnotherProgramCanBeWritten() {
        ApiClient spy = mine.director();
        assertThat(spy.post("/api/attempts", theirs.attempt("Ana Reed", "line", "PASS"))
                        .status())
                .isEqualTo(404);
        Map<String, Object> mixed = mine.attempt("Ana Reed", "line", "PASS");
        mixed.put("studentId", theirs.id("Ana Reed"));
        assertThat(spy.post("/api/attempts", mixed).status()).isIn(404, 422);
        Map<String, Object> otherClass = mine.attempt("Ana Reed", "line", "PASS");
        otherClass.put("classId", theirs.id("Winds"));
        assertThat(spy.post("/api/attempts", otherClass).status()).isEqualTo(422);
        assertThat(spy.post("/api/season/orders", mine.order(List.of(theirs.tutti()), "line"))
                        .status())
                .isEqualTo(404);
        assertThat(spy.post("/api/season/orders", theirs.order(List.of(mine.tutti()), "line"))
                        .status())
                .isEqualTo(404);
        Map<String, Object> attempt = theirs.attempt("Bo Lund", "line", "PASS");
        assertThat(theirs.director().post("/api/attempts", attempt).status()).isEqualTo(200);
        assertThat(spy.post(
                                "/api/attempts/" + attempt.get("id") + "/correction",
                                Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "mischief"))
                        .status())
                .isEqualTo(404);
        Map<String, Object> given = new HashMap<>(Map.of(
                "id", Ids.next(), "milestoneId", theirs.id("check"), "classId", theirs.id("Winds"), "name", "Ring"));
        assertThat(spy.post("/api/students/" + theirs.id("Ana Reed") + "/variants", given)
                        .status())
                .isEqualTo(404);
        assertThat(spy.post("/api/checks/" + theirs.id("check") + "/retire", Map.of())
                        .status())
                .isEqualTo(404);
        assertThat(spy.post("/api/ladders/" + ladder() + "/retire", Map.of()).status())
                .isEqualTo(404);
        assertThat(spy.put(
                                "/api/ensembles/" + theirs.id("Jazz") + "/gate",
                                Map.of("kind", "LAST_BELT", "rank", 0, "milestoneIds", List.of()))
                        .status())
                .isEqualTo(404);
        assertThat(spy.post(
                                "/api/students/" + theirs.id("Ana Reed") + "/placing/decisions",
                                Map.of("id", Ids.next(), "instrument", "horn"))
                        .status())
                .isEqualTo(404);
        assertThat(spy.post(
                                "/api/belts/hand-overs",
                                Map.of(
                                        "handedOn",
                                        School.TODAY.toString(),
                                        "belts",
                                        List.of(Map.of(
                                                "id",
                                                Ids.next(),
                                                "studentId",
                                                theirs.id("Ana Reed"),
                                                "beltId",
                                                theirs.id("belt"),
                                                "instrument",
                                                "flute"))))
                        .status())
                .isIn(404, 422);
        String notes = "/api/lines/" + lineWithNotes() + "/notes";
        assertThat(spy.post(notes, Map.of("abc", NOTES.replace(TUNE, "Mischief")))
                        .status())
                .isEqualTo(404);
        assertThat(theirs.director().get(notes).json().path("abc").asString()).isEqualTo(NOTES);
        String order = theirs.director()
                .post("/api/season/orders", theirs.order(List.of(theirs.tutti()), "line 2"))
                .json()
                .get(0)
                .path("id")
                .asString();
        assertThat(spy.delete("/api/season/orders/" + order).status()).isEqualTo(404);
        assertThat(theirs.director().get("/api/season/orders").text()).contains(order);
    }

    @Test
    void theSameIdInTwoProgramsStaysTwoAttempts() {
        Map<String, Object> ours = mine.attempt("Ana Reed", "line", "PASS");
        Map<String, Object> others = theirs.attempt("Ana Reed", "line", "NOT_YET");
        others.put("id", ours.get("id"));
        assertThat(mine.director().post("/api/attempts", ours).status()).isEqualTo(200);
        Answer answer = theirs.director().post("/api/attempts", others);
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().path("outcome").asString()).isEqualTo("NOT_YET");
    }
}
