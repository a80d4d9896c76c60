package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** The warm-up of a class, proposed, kept and written out. */
class WarmUpApiTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final String ofClass = "/api/warm-up?classId=" + school.id("Winds") + "&week=" + School.TODAY;

    private static List<String> texts(JsonNode list, String field) {
        List<String> texts = new ArrayList<>();
        list.forEach(one -> texts.add(one.path(field).asString()));
        return texts;
    }

    @Test
    void itIsProposedFromTheWeeksLines() {
        JsonNode quiet = director.get(ofClass + "&minutes=10").json();
        assertThat(texts(quiet.path("parts"), "kind"))
                .containsExactly("BREATHING", "SOUND_ALONE", "EASY_SLURS", "ARTICULATION", "SCALE", "LONG_TONES");
        assertThat(quiet.path("minutes").asDouble()).isLessThanOrEqualTo(10);
        assertThat(quiet.path("monday").asString()).isEqualTo("2026-10-05");
        director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", "L:1/4\nK:Eb\nE G B e|=E F =E2|"));
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        JsonNode asked = director.get(ofClass + "&minutes=10").json();
        JsonNode scale = asked.path("parts").get(4);
        assertThat(scale.path("key").asString()).isEqualTo("E-flat major");
        assertThat(scale.path("why").toString())
                .contains(
                        "This week's lines are in concert E-flat major",
                        "1 measure of the week's lines: altered notes");
        assertThat(asked.path("parts").get(5).path("why").toString()).contains("New this week, at concert pitch: ");
        assertThat(asked.path("parts").get(1).path("how").toString()).contains("Flutes: head joint alone");
    }

    @Test
    void theSchoolOfTheProgrammeDecidesTheOrder() {
        director.post("/api/schools/warm-up", Map.of("choice", "long-tones-first"));
        assertThat(texts(director.get(ofClass + "&minutes=10").json().path("parts"), "kind"))
                .containsSubsequence("LONG_TONES", "EASY_SLURS");
    }

    @Test
    void itIsKeptAsTheDirectorPutIt() {
        Map<String, Object> own = Map.of(
                "parts",
                List.of(
                        Map.of("kind", "SCALE", "minutes", 2.5, "key", "F major"),
                        Map.of("kind", "BREATHING", "minutes", 1, "key", "F major")));
        assertThat(director.put(ofClass, own).status()).isEqualTo(204);
        JsonNode kept = director.get(ofClass).json();
        assertThat(kept.path("kept").asBoolean()).isTrue();
        assertThat(texts(kept.path("parts"), "kind")).containsExactly("SCALE", "BREATHING");
        assertThat(kept.path("minutes").asDouble()).isEqualTo(3.5);
        assertThat(director.get(ofClass.replace("10-07", "10-14"))
                        .json()
                        .path("kept")
                        .asBoolean())
                .as("another week is another warm-up")
                .isFalse();
        assertThat(director.delete(ofClass).status()).isEqualTo(204);
        assertThat(director.get(ofClass).json().path("kept").asBoolean()).isFalse();
        assertThat(school.substitute().put(ofClass, own).status()).isEqualTo(403);
    }

    @Test
    void aPartIsWrittenOutForEverySection() {
        String part = ofClass.replace("warm-up?", "warm-up/part?")
                + "&kind=EASY_SLURS&minutes=1&key=B-flat major".replace(" ", "%20");
        JsonNode trumpet = director.get(part + "&instrument=trumpet").json();
        assertThat(trumpet.path("musicXml").asString()).contains("<words", "1-2", "<slur");
        assertThat(trumpet.path("analysis").path("measures").size())
                .as("five lengths of two measures")
                .isEqualTo(10);
        JsonNode clarinet = director.get(part + "&instrument=clarinet").json();
        assertThat(clarinet.path("analysis").path("measures").size()).isEqualTo(10);
        assertThat(clarinet.path("analysis").path("sounding"))
                .isNotEqualTo(trumpet.path("analysis").path("sounding"));
        assertThat(director.get(part).json().path("analysis").path("order").size())
                .isEqualTo(10);
        director.post("/api/schools/lip-slurs", Map.of("choice", "seven"));
        assertThat(director.get(part).json().path("analysis").path("order").size())
                .isEqualTo(14);
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThat(director.get(ofClass + "&minutes=90").sentence()).isEqualTo("A warm-up has 1 to 30 minutes.");
        assertThat(director.put(ofClass, Map.of("parts", List.of())).sentence())
                .isEqualTo("A warm-up has 1 to 12 parts.");
        assertThat(director.put(
                                ofClass,
                                Map.of("parts", List.of(Map.of("kind", "SCALE", "minutes", 99, "key", "F major"))))
                        .sentence())
                .isEqualTo("Minutes must be more than 0 and at most 60, was 99.0.");
        assertThat(director.put(
                                ofClass,
                                Map.of("parts", List.of(Map.of("kind", "SCALE", "minutes", 1, "key", "H major"))))
                        .sentence())
                .isEqualTo("A key is written like \"B-flat major\", was \"H major\".");
        Answer hole = director.put(ofClass, Map.of("parts", Arrays.asList((Object) null)));
        assertThat(hole.status()).isEqualTo(400);
        assertThat(hole.sentence()).isEqualTo("\"parts\" could not be read; nothing was changed.");
        assertThat(director.get("/api/warm-up?classId=" + school.id("line")).status())
                .isEqualTo(404);
    }
}
