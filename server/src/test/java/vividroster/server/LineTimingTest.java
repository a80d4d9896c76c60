package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What a line takes, and what of a file is kept: one answer, wherever it is asked. */
class LineTimingTest {

    private static final String SPLIT = "X:1\nT:Split\nM:4/4\nL:1/4\nK:C\nG|C C C C|C C C:|:G|C C C C|C C C:|\n";
    private static final String HELD = "X:1\nT:Held\nM:4/4\nL:1/4\nQ:1/4=60\nK:C\n!fermata!C4|D2 [Q:1/4=120]E2|\n";

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Answer analyse(String text, String query) {
        return director.upload("/api/lines/analysis" + query, "line", text.getBytes(StandardCharsets.UTF_8), Map.of());
    }

    private static List<Double> numbers(JsonNode list, String field) {
        List<Double> numbers = new ArrayList<>();
        list.forEach(one -> numbers.add(one.path(field).asDouble()));
        return numbers;
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(one -> texts.add(one.asString()));
        return texts;
    }

    private void keep(String line, String abc) {
        Answer kept = director.post("/api/lines/" + school.id(line) + "/notes", Map.of("abc", abc));
        assertThat(kept.status()).as(kept.text()).isEqualTo(204);
    }

    private int secondsPerStudent(String milestone) {
        Answer run = director.get("/api/hearing/run/" + school.id(milestone) + "?classId=" + school.id("Winds"));
        assertThat(run.status()).as(run.text()).isEqualTo(200);
        return run.json().path("secondsPerStudent").asInt();
    }

    private void choose(String question, String choice) {
        Answer chosen = director.post("/api/schools/" + question, Map.of("choice", choice));
        assertThat(chosen.status()).as(chosen.text()).isEqualTo(204);
    }

    @Test
    void theHearingTimeIsWhatTheLineTakes() {
        keep("line", SPLIT);
        JsonNode analysis = director.get("/api/lines/" + school.id("line") + "/notes")
                .json()
                .path("analysis");
        // 8 measures of four beats at 100, three beats to count in
        assertThat(analysis.path("playedMeasures").asInt()).isEqualTo(8);
        assertThat(analysis.path("totalBeats").asDouble()).isEqualTo(32);
        assertThat(analysis.path("countedSecondsWithCountIn").asDouble()).isEqualTo(21);
        assertThat(secondsPerStudent("line"))
                .as("and 12 to change over, 15 for a word")
                .isEqualTo(21 + 27);
        assertThat(director.get("/api/books/lines/" + school.id("line"))
                        .json()
                        .path("playedMeasures")
                        .asInt())
                .isEqualTo(8);
        choose("count-in", "two");
        assertThat(secondsPerStudent("line")).as("four beats more").isEqualTo(23 + 27);
    }

    @Test
    void whatTheProgrammeChoosesHoldsWhereverTheTimeIsTold() {
        keep("line", SPLIT);
        choose("tempo-without-mark", "50");
        assertThat(secondsPerStudent("line")).isEqualTo(42 + 27);
        String jumps = "X:1\nT:Jump\nM:4/4\nL:1/4\nQ:1/4=120\nK:C\nC4|D4:|E4!fine!|F4!D.C.alfine!|\n";
        keep("line 2", jumps);
        assertThat(secondsPerStudent("line 2"))
                .as("9 measures and one to count in")
                .isEqualTo(20 + 27);
        choose("repeats-after-jump", "taken");
        assertThat(secondsPerStudent("line 2")).as("11 measures").isEqualTo(24 + 27);
        assertThat(director.get("/api/books/lines/" + school.id("line 2"))
                        .json()
                        .path("playedMeasures")
                        .asInt())
                .isEqualTo(11);
        keep("line 2", HELD);
        assertThat(secondsPerStudent("line 2")).isEqualTo(4 + 4 + 3 + 27);
        choose("fermata-counted", "1.5");
        assertThat(secondsPerStudent("line 2")).isEqualTo(4 + 6 + 3 + 27);
    }

    @Test
    void anAmountHasItsBounds() {
        Answer far = director.post("/api/schools/tempo-without-mark", Map.of("choice", "900"));
        assertThat(far.status()).isEqualTo(422);
        assertThat(far.sentence())
                .isEqualTo("\"How fast is a line that prints no tempo?\" takes a number from 20 to 400, was \"900\".");
        assertThat(director.post("/api/schools/fermata-played", Map.of("choice", "twice"))
                        .status())
                .isEqualTo(422);
        JsonNode question = null;
        for (JsonNode one : director.get("/api/schools").json()) {
            question = one.path("key").asString().equals("fermata-played") ? one : question;
        }
        assertThat(question.path("chosen").asString()).isEqualTo("2");
        assertThat(question.path("amount").path("high").asDouble()).isEqualTo(8);
        assertThat(question.path("choices").size()).isZero();
    }

    @Test
    void aScriptAsksForPartTempoFermataAndRepeats() {
        JsonNode usual = analyse(HELD, "").json();
        assertThat(usual.path("seconds").asDouble())
                .as("held twice as long to play")
                .isEqualTo(11);
        assertThat(usual.path("countedSeconds").asDouble()).isEqualTo(7);
        assertThat(usual.path("secondsWithCountIn").asDouble())
                .as("a fermata does not slow the count-in")
                .isEqualTo(15);
        assertThat(usual.path("order").get(0).path("countInSeconds").asDouble()).isEqualTo(4);
        assertThat(numbers(usual.path("order").get(1).path("clicks"), "seconds"))
                .containsExactly(0.0, 1.0, 2.0, 2.5);
        assertThat(numbers(usual.path("sounding"), "lasts")).containsExactly(8.0, 2.0, 1.0);
        assertThat(usual.path("measures").get(1).path("tempo").asString()).isEqualTo("quarter = 120");
        assertThat(analyse(HELD, "?fermata=3").json().path("seconds").asDouble())
                .isEqualTo(15);
        assertThat(analyse(HELD, "?fermata=1").json().path("seconds").asDouble())
                .isEqualTo(7);
        assertThat(analyse(SPLIT, "?tempo=200").json().path("seconds").asDouble())
                .isEqualTo(9.6);
        assertThat(analyse(HELD, "?tempo=200").json().path("tempoBpm").asDouble())
                .as("a mark stays")
                .isEqualTo(60);
        String jumps = "X:1\nM:4/4\nL:1/4\nK:C\nC4|D4:|E4!fine!|F4!D.C.alfine!|\n";
        assertThat(analyse(jumps, "").json().path("playedMeasures").asInt()).isEqualTo(9);
        assertThat(analyse(jumps, "?repeatsAfterJump=true")
                        .json()
                        .path("playedMeasures")
                        .asInt())
                .isEqualTo(11);
        String voices = "X:1\nM:4/4\nL:1/4\nV:a name=\"Flute\"\nV:b name=\"Bb Clarinet 2\"\nV:c name=\"Piano\"\nK:C\n"
                + "[V:a]C4|\n[V:b]E2 G2|\n[V:c][CE]4|\n";
        JsonNode all = analyse(voices, "").json();
        assertThat(all.path("parts").toString())
                .isEqualTo("[{\"id\":\"a\",\"name\":\"Flute\",\"measures\":1,\"use\":\"everybody\"},"
                        + "{\"id\":\"b\",\"name\":\"Bb Clarinet 2\",\"measures\":1,\"use\":\"clarinet/2\"},"
                        + "{\"id\":\"c\",\"name\":\"Piano\",\"measures\":1,\"use\":\"nobody\",\"problem\":"
                        + "\"A chord stands here; a line of a method book is one voice. Keep its top note.\"}]");
        assertThat(texts(all.path("leftOut"))).containsExactly("the part Piano");
        assertThat(analyse(voices, "?part=b").json().path("sounding").size()).isEqualTo(2);
        assertThat(analyse(voices, "?part=Bb%20Clarinet%202")
                        .json()
                        .path("sounding")
                        .size())
                .isEqualTo(2);
        assertThat(analyse(voices, "?part=Oboe").sentence())
                .isEqualTo("The file has no part \"Oboe\"; it has Flute, Bb Clarinet 2, Piano.");
        assertThat(analyse(voices, "?part=c").sentence()).startsWith("A chord stands here");
        assertThat(analyse(HELD, "?fermata=99").sentence()).isEqualTo("fermata must be in 1..8, was 99.0.");
        assertThat(analyse(HELD, "?tempo=5").field()).isEqualTo("tempo");
    }

    @Test
    void faultsSpeakTheProgrammesNumbers() {
        String lost = "X:1\nM:4/4\nL:1/4\nK:C\nG|C4|D4!D.S.!|\n";
        assertThat(analyse(lost, "").json().path("fault").asString())
                .isEqualTo("Measure 2: \"D.S.\" finds no segno to go to.");
        choose("pick-up", "counted");
        assertThat(analyse(lost, "").json().path("fault").asString())
                .isEqualTo("Measure 3: \"D.S.\" finds no segno to go to.");
        assertThat(director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", lost))
                        .sentence())
                .isEqualTo("Measure 3: \"D.S.\" finds no segno to go to.");
        String hidden = "X:1\nM:4/4\nL:1/4\nK:C\n|:C4|[1D4!fine!:|[2E4|F4!D.C.alfine!|\n";
        assertThat(analyse(hidden, "").json().path("fault").asString())
                .isEqualTo("Measure 2: after \"D.C. al Fine\" this Fine is never come to, so it is not known where to"
                        + " end.");
        assertThat(analyse(hidden, "").json().path("order").size()).isZero();
    }

    @Test
    void linesOfOneDayKnowOneAnother() {
        keep("line", "X:1\nM:4/4\nL:1/4\nK:C\nC C D D|E4|\n");
        keep("line 2", "X:1\nM:4/4\nL:1/4\nK:C\nC D E F|F4|\n");
        Answer set =
                director.post("/api/season/orders", school.order(List.of(school.section("trumpet")), "line", "line 2"));
        assertThat(set.status()).as(set.text()).isLessThan(300);
        JsonNode notes = director.get("/api/lines/" + school.id("line 2") + "/notes?classId=" + school.id("Winds"))
                .json();
        List<String> fresh = new ArrayList<>();
        for (JsonNode section : notes.path("analysis").path("sections")) {
            if (section.path("instrument").asString().equals("trumpet")) {
                section.path("news").forEach(n -> fresh.add(n.path("words").asString()));
            }
        }
        assertThat(fresh).hasSize(1).first().asString().startsWith("G 4");
    }

    private static String part(String id, String body) {
        return "<part id=\"" + id + "\"><measure number=\"1\"><attributes><divisions>1</divisions></attributes>" + body
                + "</measure></part>";
    }

    private static String note(String step) {
        return "<note><pitch><step>" + step + "</step><octave>5</octave></pitch><duration>4</duration></note>";
    }

    private static final String SCORE = "<score-partwise><work><work-title>Duet</work-title></work><part-list>"
            + "<score-part id=\"P1\"><part-name>Flute 1</part-name></score-part>"
            + "<score-part id=\"P2\"><part-name>Flute 2</part-name></score-part>"
            + "<score-part id=\"P3\"><part-name>Strings</part-name></score-part></part-list>"
            + part(
                    "P1",
                    "<direction><direction-type><dynamics><mf/></dynamics></direction-type></direction>" + note("C"))
            + part("P2", note("A"))
            + part("P3", note("E") + note("G").replace("<note>", "<note><chord/>"))
            + "</score-partwise>";

    @Test
    void aScoreShowsItsPartsAndTakesAChoice() {
        String bookId = director.post("/api/books", Map.of("title", "Duets", "notesKept", true))
                .json()
                .path("id")
                .asString();
        byte[] file = SCORE.getBytes(StandardCharsets.UTF_8);
        String at = "/api/books/" + bookId + "/import?keep=";
        JsonNode looked = director.upload(at + "false", "12.musicxml", file, Map.of())
                .json()
                .path("lines")
                .get(0);
        assertThat(looked.path("parts").get(1).path("use").asString()).isEqualTo("flute/2");
        assertThat(looked.path("parts").get(2).path("use").asString()).isEqualTo("nobody");
        assertThat(texts(looked.path("leftOut"))).containsExactly("dynamics in 1", "the part Strings");
        Map<String, String> choices = Map.of("choices", "{\"12.musicxml\":{\"P2\":\"oboe\",\"P3\":\"violin\"}}");
        JsonNode kept = director.upload(at + "true", "12.musicxml", file, choices)
                .json()
                .path("lines")
                .get(0);
        assertThat(kept.path("problem").isMissingNode()).as(kept.toString()).isTrue();
        assertThat(texts(kept.path("leftOut"))).containsExactly("dynamics in 1", "lower notes of chords in 1");
        String line = "";
        for (JsonNode one : director.get("/api/library").json().path("milestones")) {
            line = one.path("title").asString().equals("Duet") ? one.path("id").asString() : line;
        }
        JsonNode oboe =
                director.get("/api/lines/" + line + "/notes?instrument=oboe").json();
        assertThat(oboe.path("analysis").path("sounding").get(0).path("midi").asInt())
                .isEqualTo(81);
        assertThat(texts(oboe.path("analysis").path("leftOut")))
                .as("kept with the line")
                .containsExactly("dynamics in 1", "lower notes of chords in 1");
        Map<String, String> wrong = Map.of("choices", "{\"12.musicxml\":{\"P2\":\"kazoo\"}}");
        assertThat(director.upload(at + "false", "12.musicxml", file, wrong).sentence())
                .isEqualTo("\"kazoo\" is no instrument of the catalog, nor everybody, nobody or under.");
        assertThat(director.upload(at + "false", "12.musicxml", file, Map.of("choices", "[1"))
                        .status())
                .isEqualTo(422);
    }

    @Test
    void aLineThatCanNoLongerBeReadBreaksNoOther() {
        keep("line", SPLIT);
        keep("line 2", HELD);
        director.post("/api/season/orders", school.order(List.of(school.section("trumpet")), "line", "line 2"));
        RunningServer.shared()
                .bean(org.springframework.jdbc.core.simple.JdbcClient.class)
                .sql(
                        "update line_notation set source = 'K:C\nC w|' where program_id = :program and milestone_id = :line")
                .param("program", school.programId())
                .param("line", school.id("line"))
                .update();
        String ofClass = "/notes?classId=" + school.id("Winds");
        assertThat(director.get("/api/lines/" + school.id("line 2") + ofClass).status())
                .isEqualTo(200);
        Answer broken = director.get("/api/lines/" + school.id("line") + ofClass);
        assertThat(broken.status()).isEqualTo(422);
        assertThat(broken.sentence()).contains("is no note, rest or sign of ABC");
        assertThat(director.get("/api/library").status()).isEqualTo(200);
        assertThat(secondsPerStudent("line")).as("by its facts").isPositive();
    }

    @Test
    void filesMadeToHarmAreRefusedByTheServerToo() {
        assertThat(analyse("X:1\nM:4/4\nL:1/4\nK:C\nZ20000000|", "").sentence())
                .isEqualTo("A line has at most 2000 measures.");
        assertThat(analyse("X:1\nM:4/4\nL:1/4\nK:C\n(9:7:9CDEFGABcd|", "").field())
                .isEqualTo("line 5, column 7");
        Answer wide = analyse("X:1\nM:4/4\nL:1/4\nK:C\nC,,,4|c'''4|\n", "");
        assertThat(wide.status()).as("from C 1 to C 8").isEqualTo(200);
    }
}
