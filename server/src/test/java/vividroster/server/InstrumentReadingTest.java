package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A line as each instrument reads it, with what the programme chose for its instruments. */
class InstrumentReadingTest {

    private static final String FIVE = "X:1\nT:Five\nM:4/4\nL:1/4\nQ:1/4=80\nK:Bb\nB, C D E|F4|\n";

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private void keep(String abc) {
        Answer kept = director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", abc));
        assertThat(kept.status()).as(kept.text()).isEqualTo(204);
    }

    private JsonNode notes(String query) {
        Answer notes = director.get("/api/lines/" + school.id("line") + "/notes" + query);
        assertThat(notes.status()).as(notes.text()).isEqualTo(200);
        return notes.json();
    }

    private static JsonNode section(JsonNode notes, String instrument) {
        return notes.path("analysis")
                .path("sections")
                .valueStream()
                .filter(s -> s.path("instrument").asString().equals(instrument))
                .findFirst()
                .orElseThrow();
    }

    private String begins(String instrument) {
        return section(notes(""), instrument).path("entry").path("note").asString();
    }

    private void choose(String question, String choice) {
        Answer chosen = director.post("/api/schools/" + question, Map.of("choice", choice));
        assertThat(chosen.status()).as(chosen.text()).isEqualTo(204);
    }

    private static List<String> labels(JsonNode fingers) {
        List<String> labels = new ArrayList<>();
        fingers.forEach(
                measure -> measure.forEach(f -> labels.add(f.path("label").asString())));
        return labels;
    }

    @Test
    void everybodyReadsTheFiveNotesInOneOctave() {
        keep(FIVE);
        assertThat(begins("flute")).isEqualTo("B-flat 4");
        assertThat(begins("tenor-saxophone")).isEqualTo("C 4");
        assertThat(begins("horn")).isEqualTo("F 4");
        assertThat(begins("tuba")).isEqualTo("B-flat 1");
        choose("b-flat-saxophones", "high");
        assertThat(begins("tenor-saxophone")).isEqualTo("C 5");
        assertThat(begins("baritone-saxophone")).isEqualTo("G 4");
        keep(FIVE.replace("B, C D E|F4", "B c d e|f4"));
        assertThat(begins("trumpet")).isEqualTo("C 4");
        assertThat(section(notes(""), "trumpet").path("moved").toString())
                .isEqualTo("[{\"from\":1,\"to\":2,\"octaves\":-1,\"sentence\":\"The whole line is read an octave lower,"
                        + " since the page has it an octave higher than the first five notes.\"}]");
    }

    @Test
    void lowHornsReadTheirOwnLine() {
        keep("X:1\nT:Horns\nM:4/4\nL:1/4\nK:Bb\nV:all\nB, C D E|F4|\nV:horn\nF, G, A, B,|C4|\n");
        assertThat(begins("horn")).isEqualTo("F 4");
        choose("horn-first-notes", "low");
        assertThat(begins("horn")).isEqualTo("C 4");
        assertThat(begins("trumpet")).isEqualTo("C 4");
    }

    @Test
    void fingeringsFollowHowTheInstrumentIsBuilt() {
        keep(FIVE.replace("B, C D E|F4", "D C D E|F4"));
        assertThat(labels(notes("?instrument=horn").path("fingers")).getFirst()).isEqualTo("T 1-2");
        choose("horn-build", "single-f");
        assertThat(labels(notes("?instrument=horn").path("fingers")).getFirst()).isEqualTo("1-2");
        assertThat(labels(notes("?instrument=trombone").path("fingers"))).startsWith("4", "6");
        choose("trombone-build", "attachment");
        assertThat(labels(notes("?instrument=trombone").path("fingers"))).startsWith("4", "T1");
    }

    @Test
    void aPhraseBeyondTheStageIsReadInAnotherOctaveAndSoundsThere() {
        keep(FIVE.replace("B, C D E|F4", "B, C D z|c d e z|B, C B,2"));
        JsonNode clarinet = notes("?instrument=clarinet&stage=BEGINNER");
        assertThat(section(clarinet, "clarinet").path("moved").toString())
                .isEqualTo(
                        "[{\"from\":2,\"to\":2,\"octaves\":-1,\"sentence\":\"Measure 2 is read an octave lower: in the"
                                + " usual octave it goes above what this stage is asked for.\"}]");
        List<Integer> sounding = new ArrayList<>();
        clarinet.path("analysis")
                .path("sounding")
                .forEach(s -> sounding.add(s.path("midi").asInt()));
        assertThat(sounding).containsExactly(58, 60, 62, 60, 62, 63, 58, 60, 58);
        assertThat(section(notes("?instrument=clarinet"), "clarinet").path("moved"))
                .isEmpty();
    }

    @Test
    void percussionHasTheRhythmWithItsSticking() {
        keep(FIVE.replace("B, C D E|F4", "B, C/ D/ E F|F4"));
        JsonNode notes = notes("?instrument=percussion");
        assertThat(labels(notes.path("fingers"))).containsExactly("R", "R", "L", "R", "R", "R");
        assertThat(notes.path("musicXml").asString())
                .contains("<unpitched>", "<sign>percussion</sign>")
                .doesNotContain("<pitch>", "<fifths>", "<tremolo");
        JsonNode percussion = section(notes, "percussion");
        assertThat(percussion.path("pitched").asBoolean()).isFalse();
        assertThat(percussion.path("writtenKey").asString()).isEqualTo("no key");
        assertThat(percussion.path("entry").path("note").asString()).isEqualTo("right hand");
        assertThat(notes.path("analysis").path("concertKey").asString()).isEqualTo("B-flat major");
        choose("sticking", "alternate");
        assertThat(labels(notes("?instrument=percussion").path("fingers")))
                .containsExactly("R", "L", "R", "L", "R", "L");
    }

    @Test
    void aLongNoteIsARollOnceThePercussionHasMetRolls() {
        school.seat("Hal Drew", "percussion");
        keep(FIVE);
        String ofClass = "?instrument=percussion&classId=" + school.id("Winds");
        assertThat(notes(ofClass).path("musicXml").asString()).doesNotContain("<tremolo");
        Answer taken = director.post("/api/checks/starters/rolls-start/take", Map.of());
        assertThat(taken.status()).as(taken.text()).isLessThan(300);
        Map<String, Object> order = school.order(List.of(school.section("percussion")), "line");
        order.put(
                "milestones",
                List.of(Map.of(
                        "orderId",
                        java.util.UUID.randomUUID(),
                        "milestoneId",
                        taken.json().path("milestoneId").asString())));
        Answer set = director.post("/api/season/orders", order);
        assertThat(set.status()).as(set.text()).isLessThan(300);
        String rolled = notes(ofClass).path("musicXml").asString();
        assertThat(rolled.split("<tremolo", -1)).as("the whole note alone").hasSize(2);
    }

    @Test
    void aVoiceOfItsOwnIsWhatPercussionPlays() {
        keep("X:1\nT:Own\nM:4/4\nL:1/4\nK:Bb\nV:all\nB, C D E|Z|\nV:percussion\nZ|B B B2|\n");
        JsonNode percussion = section(notes("?instrument=percussion"), "percussion");
        assertThat(percussion.path("entry").path("counted")).hasSize(8);
    }

    @Test
    void sixSignsAreSpelledAlikeOnTheDeskTheSheetTheStripAndThePage() {
        school.seat("Ivy Sand", "alto-saxophone");
        keep(FIVE.replace("K:Bb", "K:A"));
        Map<String, Object> order = school.order(List.of(school.tutti()), "line");
        assertThat(director.post("/api/season/orders", order).status()).isLessThan(300);
        assertAlto("G-flat major", "<fifths>-6</fifths>");
        choose("six-signs", "sharps");
        assertAlto("F-sharp major", "<fifths>6</fifths>");
    }

    private void assertAlto(String key, String signature) {
        String winds = "classId=" + school.id("Winds");
        JsonNode notes = notes("?instrument=alto-saxophone&" + winds);
        assertThat(section(notes, "alto-saxophone").path("writtenKey").asString())
                .isEqualTo(key);
        assertThat(notes.path("musicXml").asString()).contains(signature);
        JsonNode desk = director.get("/api/hearing/run/" + school.id("line") + "?" + winds)
                .json()
                .path("players")
                .valueStream()
                .filter(p -> p.path("instrument").asString().equals("alto-saxophone"))
                .findFirst()
                .orElseThrow();
        assertThat(desk.path("writtenKey").asString()).isEqualTo(key);
        JsonNode sheet = director.get("/api/season/sheet?" + winds)
                .json()
                .path("parts")
                .valueStream()
                .filter(p -> p.path("instrument").asString().equals("alto-saxophone"))
                .findFirst()
                .orElseThrow();
        assertThat(sheet.path("items").get(0).path("writtenKey").asString()).isEqualTo(key);
    }
}
