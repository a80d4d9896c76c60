package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
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

/** What went wrong in a try is kept with it, read in the folder and counted for the section; it judges nothing. */
class FaultsOfTriesTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    @BeforeEach
    void ordered() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "line 2"));
    }

    private Map<String, Object> heard(String student, String milestone, String outcome, Object... faults) {
        Map<String, Object> attempt = school.attempt(student, milestone, outcome);
        attempt.put("faults", List.of(faults));
        return attempt;
    }

    private static Map<String, Object> fault(String sign, int measure) {
        return Map.of("sign", sign, "measure", measure);
    }

    private JsonNode folder(String student) {
        return director.get("/api/students/" + school.id(student) + "/folder").json();
    }

    private JsonNode latestTry(String student) {
        return folder(student)
                .path("instruments")
                .get(0)
                .path("milestones")
                .get(0)
                .path("tries")
                .get(0);
    }

    private JsonNode counted(ApiClient person) {
        return person.get("/api/board/faults?classId=" + school.id("Winds")).json();
    }

    @Test
    void faultsTempoAndThePieceAreKeptWithTheTry() {
        Map<String, Object> attempt =
                heard("Ana Reed", "line", "NOT_YET", fault("Rushes", 3), Map.of("sign", "Rhythm"));
        attempt.put("tempoBpm", 84);
        attempt.put("evidence", "SUBSTITUTE");
        attempt.put("substitute", " Lantern song ");
        assertThat(director.post("/api/attempts", attempt).status()).isEqualTo(200);
        assertThat(director.post("/api/attempts", attempt).status())
                .as("sent again")
                .isEqualTo(200);
        JsonNode kept = latestTry("Ana Reed");
        assertThat(kept.path("faults").get(0).path("measure").asInt()).isEqualTo(3);
        assertThat(kept.path("faults").get(1).path("sign").asString()).isEqualTo("Rhythm");
        assertThat(kept.path("tempoBpm").asInt()).isEqualTo(84);
        assertThat(kept.path("substitute").asString()).isEqualTo("Lantern song");

        attempt.put("faults", List.of(fault("Rushes", 4)));
        assertThat(director.post("/api/attempts", attempt).status())
                .as("other faults under the same id")
                .isEqualTo(409);
    }

    @Test
    void aFaultNeverMakesATryWorse() {
        Answer answer = director.post("/api/attempts", heard("Ana Reed", "line", "PASS", fault("Rhythm", 2)));
        assertThat(answer.json().path("standing").path("state").asString()).isEqualTo("PASSED");
    }

    @Test
    void theSectionsFaultsAreCountedWithoutWhatWasUndoneOrCorrected() {
        director.post("/api/attempts", heard("Ana Reed", "line", "NOT_YET", fault("Rushes", 3)));
        director.post("/api/attempts", heard("Bo Lund", "line", "NOT_YET", fault("Rushes", 3)));
        Map<String, Object> undone = heard("Cy Moor", "line", "NOT_YET", fault("Rushes", 3), fault("Drags", 1));
        director.post("/api/attempts", undone);
        assertThat(director.post(
                                "/api/attempts/" + undone.get("id") + "/correction",
                                Map.of("id", Ids.next(), "outcome", "UNDONE", "reason", "wrong student"))
                        .status())
                .isEqualTo(200);
        Map<String, Object> corrected = heard("Di Vale", "line", "NOT_YET", fault("Drags", 1));
        director.post("/api/attempts", corrected);
        Answer answer = director.post(
                "/api/attempts/" + corrected.get("id") + "/correction",
                Map.of(
                        "id",
                        Ids.next(),
                        "outcome",
                        "PASS",
                        "reason",
                        "heard again on the recording",
                        "faults",
                        List.of(fault("Rhythm", 5))));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode counted = counted(director);
        assertThat(counted).hasSize(2);
        assertThat(counted.get(0).path("sign").asString()).isEqualTo("Rushes");
        assertThat(counted.get(0).path("students").asInt()).isEqualTo(2);
        assertThat(counted.get(0).path("measure").asInt()).isEqualTo(3);
        assertThat(counted.get(1).path("sign").asString()).isEqualTo("Rhythm");
    }

    @Test
    void aCorrectionThatSaysNothingOfFaultsLeavesThem() {
        Map<String, Object> first = heard("Ana Reed", "line", "NOT_YET", fault("Rushes", 3));
        director.post("/api/attempts", first);
        assertThat(director.post(
                                "/api/attempts/" + first.get("id") + "/correction",
                                Map.of("id", Ids.next(), "outcome", "PASS", "reason", "pressed the wrong key"))
                        .status())
                .isEqualTo(200);
        assertThat(counted(director)).hasSize(1);
    }

    @Test
    void aFaultThatComesBackIsToldInTheFolder() {
        director.post("/api/attempts", heard("Ana Reed", "line", "NOT_YET", fault("Rushes", 3), fault("Drags", 1)));
        director.post("/api/attempts", heard("Ana Reed", "line 2", "NOT_YET", fault("Rushes", 7)));
        JsonNode recurring = folder("Ana Reed").path("recurring");
        assertThat(recurring).hasSize(1);
        assertThat(recurring.get(0).path("sign").asString()).isEqualTo("Rushes");
        assertThat(recurring.get(0).path("tries").asInt()).isEqualTo(2);
        JsonNode moments = folder("Ana Reed").path("instruments").get(0).path("moments");
        assertThat(moments).hasSize(2);
        assertThat(moments.get(0).path("outcome").asString()).isEqualTo("NOT_YET");
    }

    @Test
    void aCoachCountsOnlyTheOwnSection() {
        director.post("/api/attempts", heard("Ana Reed", "line", "NOT_YET", fault("Rushes", 3)));
        director.post("/api/attempts", heard("Ed Stone", "line", "NOT_YET", fault("Drags", 3)));
        ApiClient coach = school.coach(
                new SectionScope.Section(school.id("Winds"), new InstrumentCode("trumpet"), Optional.empty()));
        assertThat(counted(coach)).hasSize(1);
        assertThat(counted(coach).get(0).path("sign").asString()).isEqualTo("Drags");
    }

    @Test
    void nonsenseIsRefusedWithASentence() {
        Map<String, Object> blank = heard("Ana Reed", "line", "NOT_YET", Map.of("sign", "  "));
        assertThat(director.post("/api/attempts", blank).text()).contains("Say what went wrong.");
        Map<String, Object> measure = heard("Ana Reed", "line", "NOT_YET", fault("Rushes", 0));
        assertThat(director.post("/api/attempts", measure).text()).contains("Measures count from 1.");
        Map<String, Object> fast = new HashMap<>(school.attempt("Ana Reed", "line", "PASS"));
        fast.put("tempoBpm", 900);
        assertThat(director.post("/api/attempts", fast).text()).contains("A tempo is at most 400.");
    }

    @Test
    void theRunOffersWhatBelongsToTheInstrument() {
        JsonNode players = director.get("/api/hearing/run/" + school.id("line") + "?classId=" + school.id("Winds"))
                .json()
                .path("players");
        for (JsonNode player : players) {
            String faults = player.path("faults").toString();
            assertThat(faults).contains("Rhythm");
            assertThat(faults.contains("Wrong partial"))
                    .isEqualTo(player.path("instrument").asString().equals("trumpet"));
        }
    }
}
