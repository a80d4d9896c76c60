package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Instruments tried with a student, ways held against each other, and what people decided. */
class PlacingTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final String path = "/api/students/" + school.id("Ana Reed") + "/placing";

    private static Map<String, Object> trial(String instrument, String mouthpiece, int day, Map<String, Integer> seen) {
        return new HashMap<>(Map.of(
                "id",
                Ids.next(),
                "instrument",
                instrument,
                "mouthpiece",
                mouthpiece,
                "seen",
                seen,
                "on",
                School.TODAY.minusDays(20L - day).toString(),
                "note",
                " buzzes on the mouthpiece "));
    }

    private JsonNode placing() {
        Answer answer = director.get(path);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private void kept(Map<String, Object> trial) {
        Answer answer = director.post(path + "/trials", trial);
        assertThat(answer.status()).as(answer.text()).isEqualTo(204);
    }

    @Test
    void trialsOverWeeksBecomeOptionsSideBySideWithWhatIsToBeKeptInMind() {
        kept(trial("trumpet", "ALONE", 0, Map.of("sound", 1, "wish", 4)));
        kept(trial("trumpet", "OWN", 4, Map.of("sound", 2, "reach", 2)));
        Map<String, Object> last = trial("trumpet", "OWN", 12, Map.of("sound", 2));
        last.put("armCm", 49.5);
        kept(last);
        kept(last);
        kept(trial("euphonium", "ALONE", 12, Map.of("sound", 4, "comfort", 3)));
        JsonNode placing = placing();
        assertThat(placing.path("trials")).hasSize(4);
        assertThat(placing.path("trials").get(2).path("armCm").asDouble()).isEqualTo(49.5);
        assertThat(placing.path("trials").get(0).path("note").asString()).isEqualTo("buzzes on the mouthpiece");
        assertThat(placing.path("options")).hasSize(2);
        assertThat(placing.path("options").get(1).path("remarks").toString()).contains("About 4.5 kg: strap");
        JsonNode trumpet = placing.path("options").get(0);
        assertThat(trumpet.path("trials").asInt()).isEqualTo(3);
        assertThat(trumpet.path("seen").get(0).path("first").asInt()).isEqualTo(1);
        assertThat(trumpet.path("seen").get(0).path("last").asInt()).isEqualTo(2);
        assertThat(trumpet.path("seated").asInt())
                .as("Ed, once for both classes, and Flo")
                .isEqualTo(2);
        assertThat(trumpet.path("remarks").toString())
                .contains("STAYS_STRAINED", "a cornet brings the weight nearer", "WISHED");
        String gone = path + "/trials/" + last.get("id");
        assertThat(director.delete(gone).status()).isEqualTo(204);
        assertThat(director.delete(gone).status()).isEqualTo(404);
        assertThat(placing().path("trials")).hasSize(3);
    }

    @Test
    void whatMakesNoTrialIsSaid() {
        Map<String, Object> nothing = trial("trumpet", "OWN", 0, Map.of());
        nothing.put("note", " ");
        assertThat(director.post(path + "/trials", nothing).status()).isEqualTo(422);
        assertThat(director.post(path + "/trials", trial("trumpet", "OWN", 0, Map.of("sound", 5)))
                        .status())
                .isEqualTo(422);
        assertThat(director.post(path + "/trials", trial("trumpet", "OWN", 30, Map.of("sound", 3)))
                        .status())
                .as("to come")
                .isEqualTo(422);
        Map<String, Object> arm = trial("trumpet", "OWN", 0, Map.of("sound", 3));
        arm.put("armCm", 12);
        assertThat(director.post(path + "/trials", arm).text()).contains("30 to 90 cm");
        assertThat(director.post(path + "/trials", trial("kazoo", "OWN", 0, Map.of("sound", 3)))
                        .status())
                .isBetween(400, 422);
        assertThat(placing().path("trials")).isEmpty();
        assertThat(school.coach(new SectionScope.Tutti(school.id("Winds")))
                        .get(path)
                        .status())
                .isEqualTo(403);
        assertThat(director.get("/api/students/" + UUID.randomUUID() + "/placing")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void peopleDecideAndItIsKeptWithTheirReason() {
        Map<String, Object> decided =
                Map.of("id", Ids.next(), "instrument", "euphonium", "why", "free lips, likes the low sound");
        for (int i = 0; i < 2; i++) {
            assertThat(director.post(path + "/decisions", decided).status()).isEqualTo(204);
        }
        assertThat(placing().path("decided")).singleElement().satisfies(one -> {
            assertThat(one.path("instrumentName").asString()).isEqualTo("Euphonium");
            assertThat(one.path("why").asString()).isEqualTo("free lips, likes the low sound");
        });
    }

    private Map<String, Object> ways(UUID id, boolean blind, String better) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "instrument",
                "flute",
                "about",
                "Syllable",
                "one",
                "tu",
                "other",
                "du",
                "blind",
                blind,
                "better",
                better));
    }

    @Test
    void blindTheBetterOneIsTurnedBackIntoItsWay() {
        UUID id = Ids.next();
        String first = director.post(path + "/two-ways/order", Map.of("id", id, "one", "tu", "other", "du"))
                .json()
                .path("first")
                .asString();
        Answer better = director.post(path + "/two-ways", ways(id, true, "FIRST"));
        assertThat(better.status()).as(better.text()).isEqualTo(200);
        assertThat(better.json().path("better").asString()).isEqualTo(first);
        assertThat(director.post(path + "/two-ways", ways(Ids.next(), false, "SECOND"))
                        .json()
                        .path("better")
                        .asString())
                .isEqualTo("du");
        assertThat(director.post(path + "/two-ways", ways(Ids.next(), false, "NO_DIFFERENCE"))
                        .json()
                        .has("better"))
                .isFalse();
        JsonNode tally = placing().path("compared").get(0);
        assertThat(tally.path("wins").get(0).asInt() + tally.path("wins").get(1).asInt())
                .isEqualTo(2);
        assertThat(tally.path("noDifference").asInt()).isEqualTo(1);
        Map<String, Object> same = ways(Ids.next(), false, "FIRST");
        same.put("other", "TU");
        assertThat(director.post(path + "/two-ways", same).status()).isEqualTo(422);
        Map<String, Object> unnamed = ways(Ids.next(), false, "FIRST");
        unnamed.put("about", " ");
        assertThat(director.post(path + "/two-ways", unnamed).status()).isEqualTo(422);
        assertThat(List.of(placing().path("compared"))).hasSize(1);
    }
}
