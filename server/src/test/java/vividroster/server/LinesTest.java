package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Lines with their notes, through the API. */
class LinesTest {

    private static final String ABC = "X:1\nT:Rope\nM:4/4\nL:1/4\nQ:1/4=60\nK:Bb\n|:B, C D E|=E =E F2:|\n";

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Answer analyse(String name, String text, String query) {
        return director.upload("/api/lines/analysis" + query, name, text.getBytes(StandardCharsets.UTF_8), Map.of());
    }

    private static JsonNode section(JsonNode analysis, String instrument) {
        for (JsonNode section : analysis.path("sections")) {
            if (section.path("instrument").asString().equals(instrument)) {
                return section;
            }
        }
        throw new AssertionError(instrument);
    }

    @Test
    void aScriptPostsAFileAndHasEverythingBack() {
        JsonNode analysis = analyse("rope.abc", ABC, "").json();
        assertThat(analysis.path("order").size()).isEqualTo(4);
        assertThat(analysis.path("order").get(2).path("pass").asInt()).isEqualTo(2);
        assertThat(analysis.path("totalBeats").asDouble()).isEqualTo(16);
        assertThat(analysis.path("sounding").get(0).path("midi").asInt())
                .as("B-flat 3")
                .isEqualTo(58);
        assertThat(analysis.path("sounding").get(4).path("onset").asDouble()).isEqualTo(4);
        assertThat(section(analysis, "trumpet").path("writtenKey").asString()).isEqualTo("C major");
        assertThat(section(analysis, "alto-saxophone").path("writtenKey").asString())
                .isEqualTo("G major");
        JsonNode trap = section(analysis, "trumpet").path("traps").get(0);
        assertThat(trap.path("sentence").asString())
                .isEqualTo("Still F-sharp: the accidental before it holds to the bar line");
        assertThat(trap.path("number").asInt()).isEqualTo(2);
        assertThat(section(analysis, "tuba").path("octaves").asInt()).isNegative();
        assertThat(section(analysis, "horn").path("demand").toString()).contains("a second");
    }

    @Test
    void musicXmlInAndOutIsTheSameLine() {
        String lineId = school.id("line").toString();
        assertThat(director.post("/api/lines/" + lineId + "/notes", Map.of("abc", ABC))
                        .status())
                .isEqualTo(204);
        Answer xml = director.get("/api/lines/" + lineId + "/line.musicxml?instrument=trumpet");
        assertThat(xml.text()).contains("<fifths>0</fifths>", "<chromatic>-2</chromatic>");
        JsonNode typed = director.get("/api/lines/" + lineId + "/notes").json();
        JsonNode back = analyse("line.musicxml", xml.text(), "").json();
        assertThat(back.path("sounding")).isEqualTo(typed.path("analysis").path("sounding"));
        assertThat(typed.path("abc").asString()).isEqualTo(ABC);
        assertThat(director.get("/api/lines/with-notes").text()).contains(lineId);
    }

    @Test
    void whatCannotBeReadIsToldWithItsPlace() {
        Answer wrong = director.post("/api/lines/preview", Map.of("abc", "K:C\nC D w E|"));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.field()).isEqualTo("line 2, column 5");
        assertThat(wrong.sentence()).isEqualTo("\"w\" is no note, rest or sign of ABC.");
        assertThat(analyse("x.xml", "<html></html>", "").sentence()).startsWith("The file is no MusicXML");
        assertThat(analyse("x.abc", "", "").sentence()).isEqualTo("Nothing was sent.");
        JsonNode lost = director.post("/api/lines/preview", Map.of("abc", "L:1/4\nK:C\nC4|D4 !D.S.alfine!|"))
                .json()
                .path("analysis");
        assertThat(lost.path("fault").asString()).isEqualTo("Measure 2: \"D.S. al Fine\" finds no segno to go to.");
    }

    @Test
    void theLadderFitsTheMinutesAndSaysWhatWasDropped() {
        String lineId = school.id("line").toString();
        director.post("/api/lines/" + lineId + "/notes", Map.of("abc", ABC));
        String address = "/api/lines/" + lineId + "/ladder?instrument=trumpet&minutes=";
        JsonNode whole = director.get(address + "8").json();
        assertThat(whole.path("steps").get(1).path("what").asString()).isEqualTo("Measure 2 alone, 3 times");
        assertThat(whole.path("dropped").size()).isZero();
        JsonNode tight = director.get(address + "0.75").json();
        assertThat(tight.path("seconds").asInt()).isLessThanOrEqualTo(45);
        assertThat(tight.path("dropped").size()).isPositive();
        assertThat(director.get(address + "500").sentence())
                .isEqualTo("Give between a fraction of a minute and 120 minutes.");
        assertThat(director.get("/api/lines/" + lineId + "/line.mid").text()).startsWith("MThd");
    }

    @Test
    void aLineOfFactsAloneSaysSo() {
        assertThat(director.get("/api/lines/" + school.id("line 2") + "/notes").sentence())
                .isEqualTo("Only facts are kept of this line, no notes.");
        assertThat(school.substitute()
                        .post("/api/lines/" + school.id("line 2") + "/notes", Map.of("abc", ABC))
                        .status())
                .isEqualTo(403);
        assertThat(director.post("/api/lines/" + school.id("check") + "/notes", Map.of("abc", ABC))
                        .sentence())
                .isEqualTo("Only a line of a book has notes.");
    }
}
