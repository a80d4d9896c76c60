package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class AttemptsTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private Answer record(Map<String, Object> attempt) {
        return director.post("/api/attempts", attempt);
    }

    private int triesInFolder(String student) {
        return triesOf(student).size();
    }

    private List<JsonNode> triesOf(String student) {
        List<JsonNode> tries = new ArrayList<>();
        director.get("/api/students/" + school.id(student) + "/folder")
                .json()
                .path("instruments")
                .forEach(i -> i.path("milestones").forEach(m -> m.path("tries").forEach(tries::add)));
        return tries;
    }

    @Test
    void oneGoodTryPassesALine() {
        Answer answer = record(school.attempt("Ana Reed", "line", "PASS"));
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().path("standing").path("state").asString()).isEqualTo("PASSED");
    }

    @Test
    void sendingTwiceRecordsOnceAlsoAtTheSameMoment() throws Exception {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "NOT_YET");
        try (var threads = Executors.newFixedThreadPool(6)) {
            List<Callable<Integer>> sends = new ArrayList<>();
            for (int i = 0; i < 6; i++) {
                ApiClient sender = school.director();
                sends.add(() -> sender.post("/api/attempts", attempt).status());
            }
            for (var sent : threads.invokeAll(sends)) {
                assertThat(sent.get()).isEqualTo(200);
            }
        }
        assertThat(triesInFolder("Ana Reed")).isEqualTo(1);
    }

    @Test
    void anIdStandsForOneAttemptOnly() {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        record(attempt);
        Map<String, Object> other = school.attempt("Bo Lund", "line", "PASS");
        other.put("id", attempt.get("id"));
        Answer answer = record(other);
        assertThat(answer.status()).isEqualTo(409);
        assertThat(answer.sentence()).isEqualTo("Another attempt has this id already; nothing was changed.");
        assertThat(triesInFolder("Bo Lund")).isZero();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update attempt set outcome = 'PASS'",
                "delete from attempt",
                "truncate attempt",
                "update attempt set note = 'x' where false or outcome = 'NOT_YET'"
            })
    void theDatabaseItselfRefusesChanges(String sql) throws SQLException {
        record(school.attempt("Ana Reed", "line", "NOT_YET"));
        try (var connection = server.database().connect();
                var statement = connection.createStatement()) {
            assertThatThrownBy(() -> statement.execute(sql))
                    .isInstanceOf(SQLException.class)
                    .hasMessageContaining("attempts are never changed or deleted; record a correction instead");
        }
    }

    @Test
    void anUndoneAttemptCountsNoMoreButIsKept() {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        record(attempt);
        Map<String, Object> undo = Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "wrong student");
        Answer answer = director.post("/api/attempts/" + attempt.get("id") + "/correction", undo);
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().path("standing").path("state").asString()).isEqualTo("NOT_SET");
        assertThat(triesOf("Ana Reed")).hasSize(2);
        assertThat(triesOf("Ana Reed"))
                .anyMatch(t -> t.path("corrected").asBoolean()
                        && t.path("outcome").asString().equals("PASS"));
        Answer again = director.post("/api/attempts/" + attempt.get("id") + "/correction", undo);
        assertThat(again.status()).as("sent twice").isEqualTo(200);
        Answer other = director.post(
                "/api/attempts/" + attempt.get("id") + "/correction",
                Map.of("id", Ids.next(), "outcome", "NOT_YET", "reason", "again"));
        assertThat(other.status()).isEqualTo(409);
        assertThat(other.sentence()).contains("was corrected already");
    }

    @Test
    void aCorrectionSaysWhy() {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        record(attempt);
        Answer answer = director.post(
                "/api/attempts/" + attempt.get("id") + "/correction",
                Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "  "));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo("reason");
    }

    @Test
    void aCheckIsJudgedByItsCriteria() {
        Map<String, Object> oneMissing = school.attempt("Ana Reed", "check", "PASS");
        oneMissing.put("marks", List.of(Map.of("ordinal", 1, "points", 1), Map.of("ordinal", 2, "points", 0)));
        assertThat(record(oneMissing).json().path("outcome").asString())
                .as("whether a try is good is the rule's to say")
                .isEqualTo("NOT_YET");
        assertThat(record(school.attempt("Ana Reed", "check", "PASS"))
                        .json()
                        .path("standing")
                        .path("state")
                        .asString())
                .isEqualTo("PASSED");
    }

    @Test
    void aTestNeedsPointsForEachCriterionAndAFloorHolds() {
        Answer none = record(school.attempt("Ana Reed", "test", "PASS"));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.sentence()).isEqualTo("\"Test 1\" is a playing test: give points for each criterion.");
        Map<String, Object> half = school.attempt("Ana Reed", "test", "PASS");
        half.put("marks", List.of(Map.of("ordinal", 1, "points", 4)));
        assertThat(record(half).sentence()).isEqualTo("Points are missing for Notes.");
        Map<String, Object> tooMany = school.attempt("Ana Reed", "test", "PASS");
        tooMany.put("marks", List.of(Map.of("ordinal", 1, "points", 6), Map.of("ordinal", 2, "points", 1)));
        assertThat(record(tooMany).sentence()).isEqualTo("Sound has at most 5 points, not 6.");
        // 7 points reach the mark, but Sound has 1, under its floor of 2.
        Map<String, Object> underFloor = school.attempt("Ana Reed", "test", "PASS");
        underFloor.put("marks", List.of(Map.of("ordinal", 1, "points", 1), Map.of("ordinal", 2, "points", 5)));
        assertThat(record(underFloor).json().path("outcome").asString()).isEqualTo("NOT_YET");
        Map<String, Object> good = school.attempt("Ana Reed", "test", "NOT_YET");
        good.put("marks", List.of(Map.of("ordinal", 1, "points", 2), Map.of("ordinal", 2, "points", 5)));
        assertThat(record(good).json().path("outcome").asString()).isEqualTo("PASS");
    }

    @Test
    void kOfTheLastNTries() {
        List<String> states = new ArrayList<>();
        for (String outcome : List.of("PASS", "NOT_YET", "PASS")) {
            states.add(record(school.attempt("Bo Lund", "sound", outcome))
                    .json()
                    .path("standing")
                    .path("state")
                    .asString());
        }
        assertThat(states).as("2 of the last 3").containsExactly("TRIED", "TRIED", "PASSED");
    }

    /** In the demo's way the programme stands still on a Wednesday; a wrong clock costs a mark nothing. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-12-24T12:00:00Z",
                "2026-08-01T12:00:00Z",
                "1970-01-01T00:00:00Z",
                "+999999999-12-31T23:59:59Z",
                "-999999999-01-01T00:00:00Z"
            })
    void aClockThatIsWrongIsSaidAndTheMarkIsKept(String deviceSays) {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        attempt.put("heardAt", deviceSays);
        Answer answer = record(attempt);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(answer.json().path("standing").path("passedOn").asString()).isEqualTo(School.TODAY.toString());
        assertThat(answer.json().path("deviceHeardAt").asString()).isNotEmpty();
        assertThat(record(attempt).json()).as("sent again").isEqualTo(answer.json());
        attempt.put("heardAt", "2026-10-06T12:00:00Z");
        assertThat(record(attempt).status()).as("the same id at another moment").isEqualTo(409);
        JsonNode tried = director.get("/api/students/" + school.id("Ana Reed") + "/milestones/" + school.id("line")
                        + "/tries?instrument=flute")
                .json()
                .get(0);
        assertThat(tried.path("heardOn").asString()).isEqualTo(School.TODAY.toString());
        assertThat(tried.path("deviceHeardAt").asString()).isNotEmpty();
    }

    @Test
    void aMomentThatCanBeIsTheMomentOfHearing() {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        attempt.put("heardAt", "2026-10-06T14:00:00.123456Z");
        JsonNode answer = record(attempt).json();
        assertThat(answer.path("standing").path("passedOn").asString()).isEqualTo("2026-10-06");
        assertThat(answer.has("deviceHeardAt")).isFalse();
        assertThat(record(attempt).json()).isEqualTo(answer);
    }

    /** A device a day behind that sent at once what was pressed ten minutes before. */
    @Test
    void aDeviceThatSaysWhenItSentIsSetRight() {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        Instant sent = Instant.now().minus(Duration.ofDays(40));
        attempt.put("heardAt", sent.minus(Duration.ofMinutes(10)).toString());
        Map<String, String> said = Map.of("X-Sent-At", sent.toString());
        Answer answer = director.post("/api/attempts", attempt, said);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(answer.json().path("deviceHeardAt").asString()).isNotEmpty();
        Map<String, String> later = Map.of("X-Sent-At", sent.plusSeconds(90).toString());
        assertThat(director.post("/api/attempts", attempt, later).json())
                .as("sent again, which takes its time")
                .isEqualTo(answer.json());
        assertThat(director.post("/api/attempts", attempt, Map.of("X-Sent-At", "yesterday"))
                        .status())
                .isEqualTo(400);
    }

    /** Kept on a device that somebody else uses now. */
    @Test
    void marksAreNotTakenUnderAnotherName() {
        String mine = director.get("/api/session").json().path("accountId").asString();
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        Answer refused = school.assistant().post("/api/attempts", attempt, Map.of("X-Marked-By", mine));
        assertThat(refused.status()).isEqualTo(401);
        assertThat(refused.sentence()).startsWith("Somebody else is signed in on this device now.");
        assertThat(triesInFolder("Ana Reed")).isZero();
        assertThat(director.post("/api/attempts", attempt, Map.of("X-Marked-By", mine))
                        .status())
                .isEqualTo(200);
        assertThat(triesInFolder("Ana Reed")).isEqualTo(1);
    }

    /** The answer says what the next try would mean. */
    @Test
    void anAnswerLooksAhead() {
        JsonNode first =
                record(school.attempt("Ana Reed", "line", "NOT_YET")).json().path("outlook");
        assertThat(first.path("passes").get(0).asString()).isEqualTo("G");
        assertThat(first.path("triesAVisit").asInt()).isEqualTo(1);
        JsonNode then =
                record(school.attempt("Ana Reed", "line", "PASS")).json().path("outlook");
        assertThat(then.path("passes").toString()).isEqualTo("[\"\"]");
    }

    @Test
    void whatCannotBeHeard() {
        assertThat(record(school.attempt("Ana Reed", "belt", "PASS")).sentence())
                .isEqualTo("A belt is earned by its slots; hear one of them.");
        Map<String, Object> wrongClass = school.attempt("Ana Reed", "line", "PASS");
        wrongClass.put("classId", school.id("Jazz"));
        assertThat(record(wrongClass).sentence()).isEqualTo("This student has no seat in that class.");
        assertThat(record(school.attempt("Ana Reed", "line", "EXCUSED")).field())
                .isEqualTo("reason");
        assertThat(record(school.attempt("Ana Reed", "line", "UNDONE")).sentence())
                .isEqualTo("To undo an attempt, correct it.");
        Map<String, Object> noStudent = school.attempt("Ana Reed", "line", "PASS");
        noStudent.remove("studentId");
        assertThat(record(noStudent).sentence()).isEqualTo("Say which student was heard.");
        assertThat(triesInFolder("Ana Reed")).isZero();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "{", "[]", "{\"id\": 7}", "{\"id\":\"not-an-id\"}", "null", "{\"outcome\":\"SPLENDID\"}"})
    void unreadableRequestsAreNeverAServerError(String body) {
        Answer answer = director.postText("/api/attempts", body);
        assertThat(answer.status()).isIn(400, 422);
        assertThat(answer.sentence()).endsWith(".");
    }

    @Test
    void aBatchIsRecordedWholeOrNotAtAll() {
        Map<String, Object> good = school.attempt("Ana Reed", "line", "PASS");
        Map<String, Object> bad = school.attempt("Bo Lund", "line", "EXCUSED");
        assertThat(director.post("/api/attempts/batch", Map.of("attempts", List.of(good, bad)))
                        .status())
                .isEqualTo(422);
        assertThat(triesInFolder("Ana Reed")).isZero();
        bad.put("reason", "arm in a sling");
        Answer both = director.post("/api/attempts/batch", Map.of("attempts", List.of(good, bad)));
        assertThat(both.json().size()).isEqualTo(2);
        assertThat(both.json().get(1).path("standing").path("state").asString()).isEqualTo("EXCUSED");
    }

    @Test
    void aPassCountsInEveryClassOfThatInstrument() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        director.post("/api/season/orders", school.order(List.of(Map.of("classId", school.id("Jazz"))), "line"));
        Map<String, Object> heardInJazz = school.attempt("Ed Stone", "line", "PASS");
        heardInJazz.put("classId", school.id("Jazz"));
        record(heardInJazz);
        JsonNode row = boardRow("Ed Stone");
        assertThat(row.path("marks").get(0).path("state").asString()).isEqualTo("PASSED");
    }

    private JsonNode boardRow(String student) {
        for (JsonNode row :
                director.get("/api/board?classId=" + school.id("Winds")).json().path("rows")) {
            if (row.path("name").asString().equals(student)) {
                return row;
            }
        }
        throw new AssertionError(student + " is not on the board");
    }

    @Test
    void whatWasHeardAtNightCountsForTheSchoolsDay() {
        Map<String, Object> late = school.attempt("Ana Reed", "line", "PASS");
        // 03:30 UTC on the 7th is half past eleven at night on the 6th at the school.
        late.put("heardAt", "2026-10-07T03:30:00Z");
        assertThat(record(late).json().path("standing").path("passedOn").asString())
                .isEqualTo("2026-10-06");
    }
}
