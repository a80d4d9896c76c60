package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class FitsTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Answer compute(String kind, String measures) {
        return director.post(
                "/api/fits/compute",
                Map.of("kind", kind, "measures", JsonMapper.builder().build().readTree(measures)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // three hand widths, longer by what the seat stands above the knee
                "CELLO_ENDPIN | {\"handCm\":7,\"seatCm\":43,\"kneeCm\":40} | 24 cm",
                "CHAIR | {\"kneeCm\":38.2} | 38 cm",
                "BASS_ENDPIN | {\"handCm\":8,\"standing\":true} | 16 cm",
                "BASS_ENDPIN | {\"handCm\":8,\"standing\":false} | 12 cm",
                "VIOLIN_SIZE | {\"armCm\":55} | 3/4",
                "VIOLA_SIZE | {\"armCm\":61} | 38 cm",
                "BASSOON_STRAP | {\"weeks\":3} | Strap well forward on the seat",
                "BASSOON_STRAP | {\"weeks\":30} | Strap towards the middle of the seat"
            })
    void measuresComeToAStartingValue(String kind, String measures, String result) {
        Answer answer = compute(kind, measures);
        assertThat(answer.json().path("result").asString()).isEqualTo(result);
        assertThat(answer.json().path("confirmBy").size()).isGreaterThan(0);
        assertThat(answer.json().path("reviewOn").asString()).isGreaterThan(School.TODAY.toString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "CELLO_ENDPIN | {\"handCm\":90,\"seatCm\":43,\"kneeCm\":40} | Hand width must be in 4..13 cm, was 90 cm; was it measured in millimetres?",
                "VIOLIN_SIZE | {\"armCm\":22} | Arm length must be in 30..85 cm, was 22 cm; was it measured in inches?",
                "CHAIR | {\"kneeCm\":300} | Knee height must be in 22..60 cm, was 300 cm; was it measured in millimetres?",
                "CHAIR | {\"kneeCm\":-4} | Knee height must be in 22..60 cm, was -4 cm.",
                "CHAIR | {} | Measure this first.",
                "BASSOON_STRAP | {\"weeks\":-1} | WeeksPlayed must be in 0..1000, was -1."
            })
    void whatCannotBeIsSaidWithItsUnit(String kind, String measures, String sentence) {
        Answer answer = compute(kind, measures);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.sentence()).isEqualTo(sentence);
    }

    @Test
    void aFitIsKeptWithTheStudentAndWhatTheBodyConfirmed() {
        Map<String, Object> fit = new LinkedHashMap<>();
        fit.put("id", UUID.randomUUID());
        fit.put("kind", "VIOLIN_SIZE");
        fit.put("measures", Map.of("armCm", 57.5));
        fit.put("confirmed", List.of("FINGERS_CURL_ROUND_SCROLL", "FEET_FLAT"));
        fit.put("setTo", "1/2");
        String address = "/api/students/" + school.id("Ana Reed") + "/fits";
        assertThat(director.post(address, fit).status()).isEqualTo(201);
        assertThat(director.post(address, fit).status()).as("sent twice").isEqualTo(201);
        JsonNode kept = director.get(address).json();
        assertThat(kept.size()).isEqualTo(1);
        assertThat(kept.get(0).path("result").asString())
                .as("what was really set")
                .isEqualTo("1/2");
        assertThat(kept.get(0).path("confirmed").toString())
                .as("only tests that belong to it")
                .isEqualTo("[\"Fingers curl easily round the scroll with the arm out\"]");
        assertThat(kept.get(0).path("reviewOn").asString())
                .as("near the next size, looked at in six weeks")
                .isEqualTo(School.TODAY.plusWeeks(6).toString());
        assertThat(kept.get(0).path("overdue").asBoolean()).isFalse();
        assertThat(director.post("/api/students/" + school.id("Bo Lund") + "/fits", fit)
                        .sentence())
                .isEqualTo("Another fit has this id already; nothing was changed.");
        fit.put("id", UUID.randomUUID());
        assertThat(director.post("/api/students/" + UUID.randomUUID() + "/fits", fit)
                        .status())
                .isEqualTo(404);
    }
}
