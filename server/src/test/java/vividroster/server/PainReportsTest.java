package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class PainReportsTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient assistant = school.assistant();

    private Map<String, Object> report(UUID id) {
        return Map.of(
                "id",
                id,
                "studentId",
                school.id("Ana Reed"),
                "classId",
                school.id("Winds"),
                "place",
                "right wrist",
                "since",
                "today");
    }

    private JsonNode onPodium() {
        for (JsonNode c : assistant.get("/api/podium").json().path("classes")) {
            if (c.path("name").asString().equals("Winds")) {
                return c.path("pain");
            }
        }
        throw new AssertionError("no Winds");
    }

    @Test
    void aReportStaysOnThePodiumUntilItIsFollowedUp() {
        UUID id = UUID.randomUUID();
        assertThat(assistant.post("/api/pain-reports", report(id)).status()).isEqualTo(201);
        assertThat(assistant.post("/api/pain-reports", report(id)).status())
                .as("sent twice")
                .isEqualTo(201);
        assertThat(onPodium().size()).isEqualTo(1);
        assertThat(onPodium().get(0).path("place").asString()).isEqualTo("right wrist");
        assertThat(assistant
                        .post("/api/pain-reports/" + id + "/follow-up", Map.of("note", " "))
                        .field())
                .isEqualTo("note");
        assertThat(assistant
                        .post("/api/pain-reports/" + id + "/follow-up", Map.of("note", "Strap; spoke with the family"))
                        .status())
                .isEqualTo(204);
        assertThat(onPodium().size()).isZero();
        JsonNode kept = assistant
                .get("/api/students/" + school.id("Ana Reed") + "/pain-reports")
                .json();
        assertThat(kept.size()).isEqualTo(1);
        assertThat(kept.get(0).path("followUp").asString()).isEqualTo("Strap; spoke with the family");
        assertThat(assistant
                        .post("/api/pain-reports/" + id + "/follow-up", Map.of("note", "again"))
                        .status())
                .isEqualTo(409);
    }

    @Test
    void whatIsMissingIsAskedForAndOtherProgrammesSeeNothing() {
        Answer noPlace = assistant.post(
                "/api/pain-reports",
                Map.of(
                        "id",
                        UUID.randomUUID(),
                        "studentId",
                        school.id("Ana Reed"),
                        "classId",
                        school.id("Winds"),
                        "place",
                        ""));
        assertThat(noPlace.sentence()).isEqualTo("Say where it hurts.");
        UUID id = UUID.randomUUID();
        assistant.post("/api/pain-reports", report(id));
        ApiClient stranger = School.open(RunningServer.shared()).director();
        assertThat(stranger.get("/api/students/" + school.id("Ana Reed") + "/pain-reports")
                        .status())
                .isEqualTo(404);
        assertThat(stranger.post("/api/pain-reports/" + id + "/follow-up", Map.of("note", "x"))
                        .status())
                .isEqualTo(409);
        assertThat(stranger.post("/api/pain-reports", report(UUID.randomUUID())).status())
                .isEqualTo(422);
        assertThat(stranger.get("/api/podium").text()).doesNotContain("right wrist");
    }
}
