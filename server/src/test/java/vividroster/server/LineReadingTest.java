package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;
import static vividroster.testkit.Answers.section;
import static vividroster.testkit.Answers.texts;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A line as the sections of a class read it: fingerings, what is new, remarks, ladders, conventions. */
class LineReadingTest {

    private static final String EARLIER = "X:1\nT:Rope\nM:4/4\nL:1/4\nQ:1/4=60\nK:Bb\nB, C D E|D C B,2|\n";
    private static final String LINE =
            "X:1\nT:Pulley\nM:4/4\nL:1/4\nQ:1/4=60\nK:Bb\nF|B, C D E|F =E F G|B/c/d/e/ d/c/B/A/|B3|\n";

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final String line = "/api/lines/" + school.id("line 2");

    @BeforeEach
    void twoLinesOneOfThemOrdered() {
        assertThat(director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", EARLIER))
                        .status())
                .isEqualTo(204);
        assertThat(director.post(line + "/notes", Map.of("abc", LINE)).status()).isEqualTo(204);
    }

    @Test
    void everyNoteHasItsFingering() {
        JsonNode trumpet = director.get(line + "/notes?instrument=trumpet").json();
        assertThat(texts(trumpet.path("fingers").get(1), "label")).containsExactly("open", "1-3", "1-2", "1");
        assertThat(trumpet.path("fingers").get(1).get(0).path("name").asString())
                .isEqualTo("C");
        JsonNode clarinet = director.get(line + "/notes?instrument=clarinet").json();
        JsonNode first = clarinet.path("fingers").get(1).get(0);
        assertThat(first.path("label").asString()).isEqualTo("T 123");
        assertThat(first.path("holes").asInt()).as("thumb and three fingers").isEqualTo(0b1111);
        assertThat(director.get(line + "/notes").json().path("fingers").size()).isZero();
        assertThat(director.get(line + "/notes?instrument=kazoo").sentence())
                .isEqualTo("\"kazoo\" is not an instrument of the catalog.");
    }

    @Test
    void aSectionComesInOnItsNote() {
        JsonNode entry =
                section(director.get(line + "/notes").json(), "trumpet").path("entry");
        assertThat(entry.path("note").asString()).isEqualTo("G 4");
        assertThat(entry.path("fingering").asString()).isEqualTo("open");
        assertThat(entry.path("counted").toString()).isEqualTo("[\"1\",\"2\",\"3\"]");
        assertThat(entry.path("entersOn").asString()).isEqualTo("4");
    }

    @Test
    void newIsWhatASectionWasNotOrderedBefore() {
        String ofClass = line + "/notes?classId=" + school.id("Winds");
        JsonNode nothing = section(director.get(ofClass).json(), "trumpet");
        assertThat(nothing.path("trackKnown").asBoolean()).isTrue();
        assertThat(texts(nothing.path("news"), "words")).contains("C 4, open", "pick-up", "quarter");
        Answer set = director.post("/api/season/orders", school.order(List.of(school.section("trumpet")), "line"));
        assertThat(set.status()).as(set.text()).isLessThan(300);
        JsonNode notes = director.get(ofClass).json();
        List<String> trumpet = texts(section(notes, "trumpet").path("news"), "words");
        assertThat(trumpet).contains("G 4, open", "F-sharp 4, 2", "sharp").doesNotContain("C 4, open", "quarter");
        assertThat(texts(section(notes, "clarinet").path("news"), "words"))
                .as("the line was not ordered to the clarinets")
                .contains("quarter");
        assertThat(texts(notes.path("analysis").path("hardest"), "sentence"))
                .anyMatch(s -> s.contains(" change most fingers: ") && s.contains(" at measure "));
        assertThat(section(director.get(line + "/notes").json(), "trumpet")
                        .path("trackKnown")
                        .asBoolean())
                .as("without a class nothing is known of a track")
                .isFalse();
        assertThat(director.get(line + "/notes?classId=" + school.id("line")).status())
                .isEqualTo(404);
    }

    @Test
    void aPartialThatSoundsHighOrLowIsSaid() {
        JsonNode low = section(director.get(line + "/notes?stage=FULL").json(), "trombone");
        assertThat(low.path("tendencies").toString()).contains("\"tendency\":\"LOW\"", "\"note\":\"D 4\"");
    }

    @Test
    void theDirectorsRemarkIsKeptForASectionOrForEverybody() {
        assertThat(director.put(line + "/remarks/trumpet", Map.of("trouble", "the F-sharp", "tip", " second valve "))
                        .status())
                .isEqualTo(204);
        director.put(line + "/remarks/any", Map.of("trouble", "", "tip", "breathe together"));
        assertThat(director.get(line + "/remarks").text())
                .isEqualTo("[{\"instrument\":\"any\",\"trouble\":\"\",\"tip\":\"breathe together\"},"
                        + "{\"instrument\":\"trumpet\",\"trouble\":\"the F-sharp\",\"tip\":\"second valve\"}]");
        director.put(line + "/remarks/any", Map.of("trouble", " ", "tip", ""));
        assertThat(director.get(line + "/remarks").json().size()).isEqualTo(1);
        assertThat(director.put(line + "/remarks/any", Map.of("tip", "x".repeat(401)))
                        .sentence())
                .isEqualTo("Keep it under 400 characters; it is 401.");
        assertThat(director.put(line + "/remarks/kazoo", Map.of("tip", "x")).status())
                .isEqualTo(422);
        assertThat(school.substitute()
                        .put(line + "/remarks/any", Map.of("tip", "x"))
                        .status())
                .isEqualTo(403);
    }

    @Test
    void aLadderIsKeptAsTheDirectorPutIt() {
        assertThat(director.get(line + "/ladders/trumpet").sentence())
                .isEqualTo("No ladder is kept for this instrument.");
        JsonNode proposed =
                director.get(line + "/ladder?instrument=trumpet&minutes=12").json();
        assertThat(texts(proposed.path("steps"), "what"))
                .anyMatch(w -> w.startsWith("Look: ") && w.contains(" major, "))
                .anyMatch(w -> w.startsWith("Measure 3 in groups: C D E F, F E D C"));
        Map<String, Object> own = Map.of(
                "minutes",
                6,
                "habit",
                "SPOTS_FIRST",
                "steps",
                List.of(
                        Map.of(
                                "kind",
                                "GROUPS",
                                "from",
                                3,
                                "to",
                                3,
                                "tempoBpm",
                                40,
                                "repetitions",
                                4,
                                "groups",
                                List.of(Map.of("from", 0, "to", 3)),
                                "note",
                                "say the names first"),
                        Map.of("kind", "WHOLE", "from", 0, "to", 4, "tempoBpm", 60, "repetitions", 2)));
        JsonNode kept = director.put(line + "/ladders/trumpet", own).json();
        assertThat(kept.path("seconds").asInt())
                .as("four times two beats at 40 and a word; twice 16 beats at 60 and a word")
                .isEqualTo(4 * 3 + 8 + 2 * 16 + 8);
        assertThat(director.get(line + "/ladders/trumpet").json()).isEqualTo(kept);
        assertThat(kept.path("steps").get(0).path("note").asString()).isEqualTo("say the names first");
        assertThat(director.delete(line + "/ladders/trumpet").status()).isEqualTo(204);
        assertThat(director.get(line + "/ladders/trumpet").status()).isEqualTo(404);
    }

    @Test
    void stepsThatCannotBeAreRefusedAndNothingIsLost() {
        Answer beyond = director.put(
                line + "/ladders/trumpet",
                Map.of(
                        "minutes",
                        6,
                        "habit",
                        "SPOTS_FIRST",
                        "steps",
                        List.of(Map.of("kind", "ISOLATE", "from", 3, "to", 9, "tempoBpm", 40, "repetitions", 4))));
        assertThat(beyond.sentence())
                .isEqualTo("One of the steps cannot be: a step's measures must be in 0..4, were 3 to 9.");
        assertThat(director.put(
                                line + "/ladders/trumpet",
                                Map.of("minutes", 6, "habit", "SPOTS_FIRST", "steps", List.of()))
                        .sentence())
                .isEqualTo("A ladder has 1 to 60 steps.");
        assertThat(director.put(line + "/ladders/trumpet", Map.of("minutes", 6)).status())
                .isEqualTo(422);
        assertThat(director.get(line + "/ladders/trumpet").status()).isEqualTo(404);
    }

    @Test
    void conventionsAreTheProgrammesToChoose() {
        director.post("/api/schools/pick-up", Map.of("choice", "counted"));
        director.post("/api/schools/count-in", Map.of("choice", "two"));
        director.post("/api/schools/rehearsing", Map.of("choice", "straight-through"));
        director.post("/api/schools/note-groups", Map.of("choice", "consecutive"));
        JsonNode analysis = director.get(line + "/notes").json().path("analysis");
        assertThat(analysis.path("measures").get(0).path("number").asInt()).isEqualTo(1);
        assertThat(analysis.path("order").get(1).path("number").asInt()).isEqualTo(2);
        assertThat(analysis.path("countInBeats").asDouble()).isEqualTo(7);
        JsonNode ladder =
                director.get(line + "/ladder?instrument=trumpet&minutes=15").json();
        assertThat(ladder.path("habit").asString()).isEqualTo("STRAIGHT_THROUGH");
        assertThat(texts(ladder.path("steps"), "what"))
                .anyMatch(w -> w.startsWith("Measure 4 in groups: C D E F, E D C B"));
    }

    @Test
    void repeatsAfterAJumpAreTakenWhereTheProgrammeTakesThem() {
        Map<String, Object> typed = Map.of("abc", "L:1/4\nK:C\n|:C4:|D4 !fine!|E4 !D.C.alfine!|");
        assertThat(director.post("/api/lines/preview", typed)
                        .json()
                        .path("analysis")
                        .path("order")
                        .size())
                .isEqualTo(6);
        director.post("/api/schools/repeats-after-jump", Map.of("choice", "taken"));
        assertThat(director.post("/api/lines/preview", typed)
                        .json()
                        .path("analysis")
                        .path("order")
                        .size())
                .isEqualTo(7);
    }

    @Test
    void whatALineRepeatsOfAnEarlierOneIsSaid() {
        director.post(line + "/notes", Map.of("abc", EARLIER.replace("B, C D E", "B,3/2 C/ D E")));
        JsonNode likeness = director.get(line + "/notes").json().path("likeness");
        assertThat(likeness.path("sentence").asString())
                .startsWith("The notes of line ")
                .endsWith(" in another rhythm");
        assertThat(likeness.path("lineId").asString())
                .isEqualTo(school.id("line").toString());
    }
}
