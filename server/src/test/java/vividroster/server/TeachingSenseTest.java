package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;
import static vividroster.testkit.Answers.section;
import static vividroster.testkit.Answers.texts;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What a line says of hands, style, theme and what sounds beside it. */
class TeachingSenseTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();
    private final String line = "/api/lines/" + school.id("line");

    private void keep(String abc) {
        assertThat(director.post(line + "/notes", Map.of("abc", abc)).status()).isEqualTo(204);
    }

    private JsonNode notes(String query) {
        return director.get(line + "/notes" + query).json();
    }

    @Test
    void theBowIsWrittenWhereItIsAskedForAndClashesAreSaid() {
        keep("L:1/4\nM:4/4\nQ:1/4=60\nK:D\nD2 E F|uG4|A4|");

        JsonNode plain = notes("?instrument=violin");
        assertThat(plain.path("musicXml").asString()).doesNotContain("down-bow");
        assertThat(texts(plain.path("fingers").get(0), "bow")).containsExactly("DOWN", "UP", "DOWN");
        JsonNode bowed = notes("?instrument=violin&bowed=true");
        assertThat(bowed.path("musicXml").asString()).contains("<down-bow", "<up-bow");
        assertThat(texts(section(bowed, "violin").path("hands"), "sentence"))
                .contains("The first beat is printed up-bow: measure 2");
        assertThat(notes("?instrument=flute&bowed=true").path("musicXml").asString())
                .as("winds have no bow")
                .doesNotContain("down-bow");
    }

    @Test
    void slursOfTheSlideGlidesAndTheRollAreSaid() {
        keep("L:1/4\nM:4/4\nQ:1/4=60\nK:Bb\n(B,2 F2)|(D2 E2)|!~(!F2 C2|(D2 G2)|");

        assertThat(texts(section(notes("?instrument=trombone"), "trombone").path("hands"), "sentence"))
                .anySatisfy(s -> assertThat(s).startsWith("Natural slur").endsWith("measures 1, 4"))
                .anySatisfy(
                        s -> assertThat(s).startsWith("The slide would smear").contains("2"))
                .anySatisfy(s -> assertThat(s).startsWith("Glide in measure 3: hit the first"));
        assertThat(texts(section(notes("?instrument=clarinet"), "clarinet").path("hands"), "sentence"))
                .anySatisfy(
                        s -> assertThat(s).startsWith("Roll between the A key").contains("4"))
                .anySatisfy(s -> assertThat(s).contains("this instrument does not glide"));
        assertThat(texts(notes("?instrument=clarinet").path("fingers").get(3), "marked"))
                .containsExactly("NOTHING", "ROLL");
        assertThat(notes("?instrument=trombone").path("musicXml").asString()).contains("<glissando");
    }

    @Test
    void syllablesFollowTheCheckAndTheSchool() {
        keep("L:1/4\nM:4/4\nQ:1/4=60\nK:Bb\nLB, .C (D E)|");

        assertThat(texts(notes("?instrument=flute").path("fingers").get(0), "syllable"))
                .containsExactly("tah", "tuh", "too", "–");
        assertThat(texts(notes("?instrument=violin").path("fingers").get(0), "syllable"))
                .containsOnly("");
        director.post("/api/schools/articulation-words", Map.of("choice", "one-syllable"));
        assertThat(texts(notes("?instrument=flute").path("fingers").get(0), "syllable"))
                .containsExactly("too", "too", "too", "–");
    }

    @Test
    void newThingsAreExplained() {
        director.post(
                "/api/lines/" + school.id("line") + "/notes", Map.of("abc", "L:1/4\nM:4/4\nQ:1/4=60\nK:Bb\nB, C D2|"));
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        director.post(
                "/api/lines/" + school.id("line 2") + "/notes",
                Map.of("abc", "L:1/4\nM:4/4\nQ:1/4=60\nK:Bb\nD|E3 .C|B,3|"));
        JsonNode second = director.get(
                        "/api/lines/" + school.id("line 2") + "/notes?instrument=trumpet&classId=" + school.id("Winds"))
                .json();
        JsonNode news = section(second, "trumpet").path("news");
        assertThat(texts(news, "sentence"))
                .contains(
                        "The line begins before its first full measure, and its last one is short by as much.",
                        "A dot at the head: short, with silence for the rest of its length.",
                        "From E 4 (1-2): 2 up");
    }

    @Test
    void aLadderFollowsAThemeAndSaysWhatToListenFor() {
        keep("L:1/4\nM:4/4\nQ:1/4=60\nK:Bb\n(B, C) D E|F =E D E|(F E D C)|B,4|");
        JsonNode slurs = director.get(line + "/ladder?instrument=flute&minutes=20&theme=SLURS")
                .json();
        assertThat(slurs.path("theme").asString()).isEqualTo("SLURS");
        assertThat(texts(slurs.path("steps"), "kind"))
                .containsExactly("LOOK", "GROUPS", "ISOLATE", "ISOLATE", "WHOLE_SLOW", "WHOLE");
        assertThat(slurs.path("steps").get(1).path("listenFor").asString())
                .isEqualTo("Is the slur unbroken, and does nothing sound between?");
        assertThat(slurs.path("steps").get(1).path("tempos").toString()).isEqualTo("[36.0,42.0,48.0,54.0,60.0]");
        JsonNode none = director.get(line + "/ladder?instrument=flute&minutes=20&theme=NEW_NOTES")
                .json();
        assertThat(none.path("nothingOfIt").asString()).isEqualTo("No note here is new to this section.");
        assertThat(director.get(line + "/ladder?instrument=flute&groupSize=12").sentence())
                .isEqualTo("A group has 2 to 8 notes.");
    }

    @Test
    void bowsToANoteAreKeptAsTheyWerePut() {
        keep("L:1/4\nM:4/4\nQ:1/4=60\nK:D\nD E F G|A4|");
        Map<String, Object> step =
                Map.of("kind", "BOWS", "from", 0, "to", 0, "tempoBpm", 60, "repetitions", 1, "bows", List.of(4, 2, 1));
        JsonNode kept = director.put(
                        line + "/ladders/violin", Map.of("minutes", 5, "habit", "SPOTS_FIRST", "steps", List.of(step)))
                .json();
        assertThat(kept.path("steps").get(0).path("what").asString())
                .isEqualTo("Measure 1 with 4, then 2, then 1 bows to every note");
        assertThat(director.get(line + "/ladders/violin")
                        .json()
                        .path("steps")
                        .get(0)
                        .path("bows")
                        .toString())
                .isEqualTo("[4,2,1]");
        Map<String, Object> without =
                Map.of("kind", "BOWS", "from", 0, "to", 0, "tempoBpm", 60, "repetitions", 1, "bows", List.of());
        assertThat(director.put(
                                line + "/ladders/violin",
                                Map.of("minutes", 5, "habit", "SPOTS_FIRST", "steps", List.of(without)))
                        .status())
                .isEqualTo(422);
    }

    private static final String EFFECT = "X:1\nT:Ripples\nM:4/4\nL:1/4\nQ:1/4=60\nK:Bb\n"
            + "V:all\nV:tp1 name=\"Trumpet 1\"\nV:tp2 name=\"Trumpet 2\"\nV:under name=\"Accompaniment\"\n"
            + "[V:all] B, C D E|z4|B, C D E|B,4|\n"
            + "[V:tp1] z4|F2 F2|z4|F4|\n"
            + "[V:tp2] z4|D2 D2|z4|D4|\n"
            + "[V:under] B,,4|F,,4|E,,4|B,,4|\n";

    @Test
    void aDivisionReadsItsOwnPartAndTheOthersSoundBeside() {
        keep(EFFECT);

        JsonNode second = notes("?instrument=trumpet&division=Second");
        assertThat(texts(second.path("fingers").get(1), "name")).containsExactly("E", "E");
        assertThat(texts(
                        notes("?instrument=trumpet&division=First")
                                .path("fingers")
                                .get(1),
                        "name"))
                .containsExactly("G", "G");
        assertThat(section(second, "trumpet").path("entry").path("number").asInt())
                .as("it rests first, and counts")
                .isEqualTo(2);
        assertThat(texts(second.path("analysis").path("beside"), "use"))
                .containsExactly("everybody", "trumpet/1", "under");
        JsonNode under = second.path("analysis").path("under");
        assertThat(texts(under.path("strains"), "sentence"))
                .containsExactly("Measures 1 to 4: held notes, B-flat 2, F 2, E-flat 2, B-flat 2");
        assertThat(notes("")
                        .path("analysis")
                        .path("under")
                        .path("toldApart")
                        .get(0)
                        .asString())
                .isEqualTo("Measure 3 is measure 1 again, over something else");
    }

    @Test
    void aSecondPartBecomesALineOfItsOwn() {
        keep(EFFECT);

        JsonNode made =
                director.post(line + "/parts/trumpet/2/milestone", Map.of()).json();

        JsonNode harmony = director.get("/api/lines/" + made.path("lineId").asString() + "/notes?instrument=trumpet")
                .json();
        assertThat(texts(harmony.path("fingers").get(1), "name")).containsExactly("E", "E");
        assertThat(director.post(line + "/parts/flute/2/milestone", Map.of()).sentence())
                .isEqualTo("This line has no such part of its own.");
        assertThat(school.substitute()
                        .post(line + "/parts/trumpet/2/milestone", Map.of())
                        .status())
                .isEqualTo(403);
    }
}
