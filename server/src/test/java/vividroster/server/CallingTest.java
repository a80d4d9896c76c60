package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Who is called in a hearing run: the rules are core's; here that they see what was recorded, whoever recorded it. */
class CallingTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    @BeforeEach
    void ordered() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "line 2", "sound"));
    }

    private JsonNode run(ApiClient person, String milestone, String section) {
        return person.get("/api/hearing/run/" + school.id(milestone) + "?classId=" + school.id("Winds") + section)
                .json();
    }

    private List<String> called(String milestone, String section) {
        JsonNode run = run(director, milestone, section);
        Map<String, String> names = new LinkedHashMap<>();
        run.path("players")
                .forEach(p ->
                        names.put(p.path("studentId").asString(), p.path("name").asString()));
        List<String> called = new ArrayList<>();
        run.path("queue").forEach(id -> called.add(names.get(id.asString())));
        return called;
    }

    private String leftOut(ApiClient person, String milestone, String student) {
        for (JsonNode player : run(person, milestone, "").path("players")) {
            if (player.path("name").asString().equals(student)) {
                return player.path("leftOut").asString("");
            }
        }
        throw new AssertionError(student + " is no player");
    }

    private Map<String, Object> away(String student, boolean away) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("id", Ids.next());
        body.put("classId", school.id("Winds"));
        body.put("studentId", school.id(student));
        body.put("on", School.TODAY.toString());
        body.put("away", away);
        return body;
    }

    @Test
    void whoIsAwayIsCalledWithNothingUntilSeen() {
        Map<String, Object> note = away("Bo Lund", true);
        assertThat(director.post("/api/absences", note).status()).isEqualTo(204);
        assertThat(called("line", "&instrument=flute")).containsExactly("Ana Reed");
        assertThat(called("line 2", "&instrument=flute")).containsExactly("Ana Reed");
        assertThat(leftOut(director, "line", "Bo Lund")).isEqualTo("ABSENT");
        assertThat(director.post("/api/absences", away("Bo Lund", false)).status())
                .isEqualTo(204);
        assertThat(director.post("/api/absences", note).status())
                .as("sent again")
                .isEqualTo(204);
        assertThat(called("line", "&instrument=flute")).containsExactly("Bo Lund", "Ana Reed");
    }

    @Test
    void theListOfAClassIsEverybodyWhoSitsThereInScoreOrder() {
        director.post("/api/absences", away("Cy Moor", true));
        JsonNode list = director.get("/api/absences?classId=" + school.id("Winds") + "&on=" + School.TODAY)
                .json();
        List<String> names = new ArrayList<>();
        list.path("students")
                .forEach(s ->
                        names.add(s.path("name").asString() + (s.path("away").asBoolean() ? " away" : "")));
        assertThat(names).containsExactly("Bo Lund", "Ana Reed", "Cy Moor away", "Di Vale", "Flo Hart", "Ed Stone");
    }

    @Test
    void aCoachTakesTheListOfTheirOwnSection() {
        ApiClient coach = school.coach(
                new SectionScope.Section(school.id("Winds"), new InstrumentCode("flute"), Optional.empty()));
        JsonNode list = coach.get("/api/absences?classId=" + school.id("Winds") + "&on=" + School.TODAY)
                .json();
        assertThat(list.path("students")).hasSize(2);
        assertThat(coach.post("/api/absences", away("Ana Reed", true)).status()).isEqualTo(204);
        assertThat(coach.post("/api/absences", away("Flo Hart", true)).status()).isEqualTo(403);
    }

    @Test
    void markedAbsentAtTheDeskIsAwayForEverythingAndUndoneIsThere() {
        Map<String, Object> absent = school.attempt("Bo Lund", "line", "ABSENT");
        director.post("/api/attempts", absent);
        assertThat(called("line 2", "&instrument=flute")).containsExactly("Ana Reed");
        director.post(
                "/api/attempts/" + absent.get("id") + "/correction",
                Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "came late"));
        assertThat(called("line 2", "&instrument=flute")).containsExactly("Bo Lund", "Ana Reed");
    }

    /** One fact in three places. */
    @Test
    void podiumChoicesAndRunCountTheSame() {
        director.post("/api/absences", away("Bo Lund", true));
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "NOT_YET"));
        director.post("/api/attempts", school.attempt("Cy Moor", "line", "PASS"));
        director.post(
                "/api/pain-reports",
                Map.of(
                        "id", Ids.next(),
                        "studentId", school.id("Flo Hart"),
                        "classId", school.id("Winds"),
                        "place", "lip",
                        "since", "today"));
        int run = called("line", "").size();
        assertThat(run).as("Di and Ed are left").isEqualTo(2);
        assertThat(open(director.get("/api/hearing/choices?classId=" + school.id("Winds"))
                        .json()))
                .isEqualTo(run);
        for (JsonNode one : director.get("/api/podium").json().path("classes")) {
            if (one.path("classId").asString().equals(school.id("Winds").toString())) {
                assertThat(open(one.path("hear"))).isEqualTo(run);
                assertThat(one.path("away").asInt()).isEqualTo(1);
            }
        }
    }

    private int open(JsonNode milestones) {
        for (JsonNode milestone : milestones) {
            if (milestone
                    .path("milestoneId")
                    .asString()
                    .equals(school.id("line").toString())) {
                return milestone.path("open").asInt();
            }
        }
        throw new AssertionError("not among " + milestones);
    }

    @Test
    void aRetryWaitsADayUnlessTriesAreCountedOrTheProgrammeSaysSo() {
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "NOT_YET"));
        director.post("/api/attempts", school.attempt("Ana Reed", "sound", "NOT_YET"));
        assertThat(called("line", "&instrument=flute")).containsExactly("Bo Lund");
        assertThat(leftOut(director, "line", "Ana Reed")).isEqualTo("TRIED_TODAY");
        assertThat(called("sound", "&instrument=flute")).containsExactly("Bo Lund", "Ana Reed");
        assertThat(director.post("/api/schools/same-day", Map.of("choice", "again"))
                        .status())
                .isEqualTo(204);
        assertThat(called("line", "&instrument=flute")).containsExactly("Bo Lund", "Ana Reed");
    }

    /** Who plays is told by the ledger: what was undone was never heard. */
    @Test
    void whatWasUndoneCountsForNothingInTheFairOrder() {
        assertThat(called("line", "&instrument=flute")).containsExactly("Bo Lund", "Ana Reed");
        Map<String, Object> heard = school.attempt("Bo Lund", "line 2", "PASS");
        heard.put("heardAt", "2026-10-05T14:00:00Z");
        director.post("/api/attempts", heard);
        assertThat(called("line", "&instrument=flute")).containsExactly("Ana Reed", "Bo Lund");
        director.post(
                "/api/attempts/" + heard.get("id") + "/correction",
                Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "the wrong student"));
        assertThat(called("line", "&instrument=flute")).containsExactly("Bo Lund", "Ana Reed");
        assertThat(run(director, "line", "").path("players").get(1).has("daysSinceHeard"))
                .isFalse();
    }

    @Test
    void whoIsInPainRestsUntilSomebodyAsked() {
        String id = Ids.next().toString();
        director.post(
                "/api/pain-reports",
                Map.of(
                        "id",
                        id,
                        "studentId",
                        school.id("Bo Lund"),
                        "classId",
                        school.id("Winds"),
                        "place",
                        "lip",
                        "since",
                        "today"));
        assertThat(called("line", "&instrument=flute")).containsExactly("Ana Reed");
        assertThat(leftOut(director, "line", "Bo Lund")).isEqualTo("RESTING");
        director.post("/api/pain-reports/" + id + "/follow-up", Map.of("note", "Better; told the family."));
        assertThat(called("line", "&instrument=flute")).containsExactly("Bo Lund", "Ana Reed");
    }

    /** Every mark took twice as long as was planned. */
    @Test
    void theRunLearnsHowLongStudentsTake() {
        String pace = "/api/hearing/pace/" + school.id("line") + "?left=3&classId=" + school.id("Winds");
        JsonNode planned = director.get(pace).json();
        int seconds = planned.path("secondsPerStudent").asInt();
        assertThat(planned.path("learntFrom").asInt()).isZero();
        assertThat(planned.path("neededSeconds").asInt()).isEqualTo(3 * seconds);
        // The first minutes of the day at the school, which are past whenever this runs.
        Instant begun = Instant.parse("2026-10-07T04:00:01Z");
        for (String student : List.of("Bo Lund", "Ana Reed", "Cy Moor", "Di Vale")) {
            Map<String, Object> mark = school.attempt(student, "line", "PASS");
            mark.put("heardAt", begun.toString());
            director.post("/api/attempts", mark);
            begun = begun.plusSeconds(2L * seconds);
        }
        JsonNode learnt = director.get(pace).json();
        assertThat(learnt.path("learntFrom").asInt()).isEqualTo(3);
        assertThat(learnt.path("secondsPerStudent").asInt())
                .as("half way between the plan and what was measured")
                .isEqualTo(seconds * 3 / 2);
        assertThat(school.assistant().get(pace).json().path("learntFrom").asInt())
                .as("another listener is measured alone")
                .isZero();
        assertThat(director.get(pace.replace("left=3", "left=-1")).status()).isBetween(400, 422);
    }

    @Test
    void readyOnesComeFirstWhereTheProgrammeSaysSo() {
        director.post("/api/schools/calling-order", Map.of("choice", "ready-first"));
        director.post("/api/attempts", school.attempt("Ana Reed", "sound", "PASS"));
        assertThat(called("sound", "&instrument=flute")).containsExactly("Ana Reed", "Bo Lund");
    }

    @Test
    void anAbsenceIsOfAStudentOfTheClassAndOfTheDay() {
        Map<String, Object> stranger = away("Ana Reed", true);
        stranger.put("classId", school.id("Jazz"));
        Answer refused = director.post("/api/absences", stranger);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.sentence()).isEqualTo("This student has no seat in that class on that day.");
        Map<String, Object> other = away("Ana Reed", true);
        director.post("/api/absences", other);
        other.put("away", false);
        assertThat(director.post("/api/absences", other).status()).isEqualTo(409);
        other.remove("on");
        Answer noDay = director.post("/api/absences", other);
        assertThat(noDay.status()).isEqualTo(422);
        assertThat(noDay.sentence()).isEqualTo("Say on which day.");
    }
}
