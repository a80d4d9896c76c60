package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Twenty presses at once, under one id and under twenty: what there can be one of, there is one of; nothing fails. */
class RacesTest {

    private static final int PRESSES = Presses.PRESSES;

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final Presses presses = new Presses(school);

    private String taken(String key) {
        return director.post("/api/checks/starters/" + key + "/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
    }

    private JsonNode starterWith(String what) {
        for (JsonNode starter :
                director.get("/api/checks/starters?instrument=flute").json()) {
            if (starter.path("check").path(what).size() > 0) {
                return starter;
            }
        }
        throw new AssertionError(what);
    }

    @Test
    void attempts() {
        presses.sameIdSameAnswer(
                "/api/attempts", () -> school.attempt("Ana Reed", "line", "NOT_YET"), "outcome", "PASS");
        assertThat(director.get("/api/students/" + school.id("Ana Reed") + "/milestones/" + school.id("line")
                                + "/tries?instrument=flute")
                        .json()
                        .size())
                .isEqualTo(1);
        assertThat(Presses.good(presses.at(
                        client -> client.post("/api/attempts", school.attempt("Bo Lund", "line", "NOT_YET")))))
                .as("twenty tries are twenty tries")
                .isEqualTo(PRESSES);
        JsonNode board = director.get("/api/students/" + school.id("Bo Lund") + "/folder")
                .json();
        assertThat(board.path("instruments")
                        .get(0)
                        .path("milestones")
                        .get(0)
                        .path("standing")
                        .path("tries")
                        .asInt())
                .isEqualTo(PRESSES);
    }

    @Test
    void anAttemptIsCorrectedOnce() {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        director.post("/api/attempts", attempt);
        String path = "/api/attempts/" + attempt.get("id") + "/correction";
        List<Answer> answers = presses.at(
                client -> client.post(path, Presses.body("outcome", "UNDONE", "reason", "pressed the wrong name")));
        assertThat(Presses.good(answers)).isEqualTo(1);
        assertThat(answers.stream().filter(a -> a.status() == 409)).hasSize(PRESSES - 1);
    }

    @Test
    void orders() {
        Map<String, Object> same = school.order(List.of(school.tutti()), "line");
        assertThat(Presses.good(presses.at(client -> client.post("/api/season/orders", same))))
                .isEqualTo(PRESSES);
        Map<String, Object> other = new HashMap<>(same);
        other.put("dueOn", School.TODAY.plusDays(3).toString());
        assertThat(director.post("/api/season/orders", other).sentence()).contains("has this id already");
        List<Answer> twentyIds = presses.at(
                client -> client.post("/api/season/orders", school.order(List.of(school.tutti()), "line 2")));
        assertThat(Presses.good(twentyIds)).isEqualTo(1);
        assertThat(twentyIds.stream().filter(a -> a.status() >= 300))
                .allMatch(a -> a.status() == 409 && a.sentence().contains("Two gulls"));
        assertThat(director.get("/api/season/orders").json().size()).isEqualTo(2);
    }

    @Test
    void painReportsAndFits() {
        presses.sameIdSameAnswer(
                "/api/pain-reports",
                () -> Presses.body(
                        "studentId",
                        school.id("Ana Reed"),
                        "classId",
                        school.id("Winds"),
                        "place",
                        "left wrist",
                        "since",
                        "Monday"),
                "place",
                "right wrist");
        assertThat(director.get("/api/students/" + school.id("Ana Reed") + "/pain-reports")
                        .json()
                        .size())
                .isEqualTo(1);
        presses.sameIdSameAnswer(
                "/api/students/" + school.id("Ana Reed") + "/fits",
                () -> Presses.body(
                        "kind", "CHAIR", "measures", Map.of("kneeCm", 41.0), "confirmed", List.of(), "note", ""),
                "note",
                "other");
        JsonNode reports = director.get("/api/students/" + school.id("Ana Reed") + "/pain-reports")
                .json();
        String followUp = "/api/pain-reports/" + reports.get(0).path("id").asString() + "/follow-up";
        assertThat(Presses.good(presses.at(client -> client.post(followUp, Map.of("note", "seen by the nurse")))))
                .isEqualTo(1);
    }

    @Test
    void partnerChecks() {
        presses.sameIdSameAnswer(
                "/api/partner-checks",
                () -> Presses.body(
                        "milestoneId",
                        school.id("line"),
                        "scope",
                        school.tutti(),
                        "pairing",
                        "STAND",
                        "watch",
                        List.of("Tall", "Round", "Full"),
                        "measures",
                        List.of(),
                        "groups",
                        List.of(List.of(school.id("Ana Reed"), school.id("Bo Lund")))),
                "watch",
                List.of("Tall", "Round", "Quiet"));
        assertThat(director.get("/api/partner-checks?classId=" + school.id("Winds"))
                        .json()
                        .size())
                .isEqualTo(1);
    }

    @Test
    void oneVariantIsInUse() {
        JsonNode starter = starterWith("variants");
        String check = taken(starter.path("key").asString());
        String name = director.get("/api/checks/" + check + "/variants?classId=" + school.id("Winds"))
                .json()
                .path("offered")
                .get(0)
                .path("name")
                .asString();
        String path = "/api/students/" + school.id("Ana Reed") + "/variants";
        presses.sameIdSameAnswer(
                path,
                () -> Presses.body("milestoneId", check, "classId", school.id("Winds"), "name", name),
                "name",
                "another");
        presses.at(client ->
                client.post(path, Presses.body("milestoneId", check, "classId", school.id("Winds"), "name", name)));
        List<String> inUse = new ArrayList<>();
        director.get(path).json().forEach(variant -> {
            if (variant.has("reviewOn")) {
                inUse.add(variant.path("id").asString());
            }
        });
        assertThat(inUse).hasSize(1);
        presses.sameIdSameAnswer(
                "/api/variants/" + inUse.getFirst() + "/review",
                () -> Presses.body("keepWeeks", 2, "note", ""),
                "keepWeeks",
                6);
    }

    @Test
    void aStarterCheckIsTakenOnce() {
        String key = director.get("/api/checks/starters?instrument=flute")
                .json()
                .get(1)
                .path("key")
                .asString();
        List<Answer> answers = presses.at(client -> client.post("/api/checks/starters/" + key + "/take", Map.of()));
        assertThat(Presses.good(answers)).isEqualTo(PRESSES);
        assertThat(answers.stream().map(Answer::text).distinct()).hasSize(1);
    }

    @Test
    void namesAndNumbersAreTakenOnce() {
        assertThat(Presses.good(presses.at(
                        client -> client.post("/api/books", Map.of("title", "Ebb", "volume", "1", "notesKept", true)))))
                .isEqualTo(1);
        String book = director.get("/api/books").json().get(0).path("id").asString();
        Map<String, Object> line = new HashMap<>(Map.of(
                "bookId",
                book,
                "page",
                9,
                "number",
                77,
                "title",
                "Ebb tide",
                "concertKey",
                "F major",
                "meter",
                "4/4",
                "tempoBpm",
                80,
                "measures",
                8));
        line.put("playedMeasures", 8);
        assertThat(Presses.good(presses.at(client -> client.post("/api/books/lines", line))))
                .isEqualTo(1);
        assertThat(Presses.good(presses.at(
                        client -> client.put("/api/classes/" + UUID.randomUUID(), School.classOf("Oboes", "08:00")))))
                .isEqualTo(1);
        assertThat(Presses.good(presses.at(client -> client.post(
                        "/api/people",
                        Map.of(
                                "signInName", "ayre-" + school.programId(),
                                "displayName", "Ayre",
                                "role", "ASSISTANT",
                                "password", "four bows to a note")))))
                .isEqualTo(1);
    }

    @Test
    void whatIsPutIsThereWhole() {
        director.post(
                "/api/lines/" + school.id("line") + "/notes",
                Map.of("abc", "X:1\nT:First light\nM:4/4\nL:1/4\nK:Bb\nB c d e|B4|]\n"));
        String ladder = "/api/lines/" + school.id("line") + "/ladders/flute";
        Map<String, Object> step = new HashMap<>(
                Map.of("kind", "WHOLE", "from", 0, "to", 1, "tempoBpm", 80, "repetitions", 2, "note", ""));
        List<Answer> ladders = presses.each(i -> client -> client.put(
                ladder, Map.of("minutes", 5, "habit", "SPOTS_FIRST", "steps", Collections.nCopies(1 + i % 3, step))));
        assertThat(Presses.good(ladders)).as(ladders.getFirst().text()).isEqualTo(PRESSES);
        String warmUp = "/api/warm-up?classId=" + school.id("Winds") + "&on=2026-10-05";
        List<Answer> warmUps = presses.each(i -> client -> client.put(
                warmUp,
                Map.of(
                        "parts",
                        Collections.nCopies(1 + i % 3, Map.of("kind", "SCALE", "minutes", 2, "key", "B-flat major")))));
        assertThat(Presses.good(warmUps)).as(warmUps.getFirst().text()).isEqualTo(PRESSES);
        String remark = "/api/lines/" + school.id("line") + "/remarks/flute";
        assertThat(Presses.good(presses.each(
                        i -> client -> client.put(remark, Map.of("trouble", "measure " + i, "tip", "")))))
                .isEqualTo(PRESSES);
        assertThat(Presses.good(presses.at(client -> client.post("/api/schools/breath-marks", Map.of("choice", "x")))))
                .as("no such question")
                .isZero();
    }

    /** Twenty who type at once leave one year whole, and twenty new years that run into each other leave one. */
    @Test
    void aSchoolYearIsKeptWhole() {
        JsonNode year = director.get("/api/years").json().get(0);
        Map<String, Object> typed = new HashMap<>();
        typed.put("name", year.path("name").asString());
        typed.put("firstDay", year.path("firstDay").asString());
        typed.put("lastDay", year.path("lastDay").asString());
        typed.put("rotation", List.of("A", "B"));
        assertThat(Presses.good(presses.each(i -> client -> {
                    Map<String, Object> mine = new HashMap<>(typed);
                    mine.put(
                            "entries",
                            IntStream.rangeClosed(1, i + 1)
                                    .mapToObj(day -> Map.of(
                                            "kind",
                                            "CONCERT",
                                            "name",
                                            "By " + i,
                                            "firstDay",
                                            "2026-12-%02d".formatted(day),
                                            "lastDay",
                                            "2026-12-%02d".formatted(day)))
                                    .toList());
                    return client.put("/api/years/" + year.path("id").asString(), mine);
                })))
                .isEqualTo(PRESSES);
        JsonNode entries = director.get("/api/years").json().get(0).path("entries");
        String by = entries.get(0).path("name").asString();
        assertThat(entries).hasSize(Integer.parseInt(by.substring(3)) + 1);
        assertThat(entries).allMatch(entry -> entry.path("name").asString().equals(by));

        typed.put("name", "Another year");
        typed.put("firstDay", "2028-08-21");
        typed.put("lastDay", "2029-06-01");
        typed.put("entries", List.of());
        assertThat(Presses.good(presses.each(i -> client -> client.put("/api/years/" + Ids.next(), typed))))
                .isEqualTo(1);
        assertThat(director.get("/api/years").json()).hasSize(2);
    }

    @Test
    void aRosterIsTakenOnce() {
        byte[] roster = "name,class,instrument\nPia Noon,Winds,Oboe\nRay Moss,Winds,Oboe\n".getBytes();
        String fingerprint = director.upload("/api/roster-import/preview", "r.csv", roster, Map.of())
                .json()
                .path("fingerprint")
                .asString();
        List<Answer> answers = presses.at(
                client -> client.upload("/api/roster-import?fingerprint=" + fingerprint, "r.csv", roster, Map.of()));
        assertThat(Presses.good(answers)).isGreaterThanOrEqualTo(1);
        long oboes = 0;
        for (JsonNode student : director.get("/api/students").json()) {
            oboes += List.of("Pia Noon", "Ray Moss")
                            .contains(student.path("name").asString())
                    ? 1
                    : 0;
        }
        assertThat(oboes).isEqualTo(2);
    }

    @Test
    void aRetiredMilestoneIsNotOrdered() {
        director.post(
                "/api/checks/"
                        + taken(director.get("/api/checks/starters?instrument=flute")
                                .json()
                                .get(0)
                                .path("key")
                                .asString())
                        + "/retire",
                Map.of());
        UUID line = school.id("line");
        director.post("/api/books/lines/" + line + "/retired", Map.of("retired", true));
        Answer answer = director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.sentence()).contains("was taken off the shelf");
    }
}
