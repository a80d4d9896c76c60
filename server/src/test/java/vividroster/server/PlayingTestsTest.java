package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import vividroster.server.account.Programmes;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;

/** Building playing tests from nothing: lines, excerpts, scales and rhythms, rubrics and what is refused. */
class PlayingTestsTest {

    private final RunningServer server = RunningServer.shared();
    private final Programmes.Opened opened = server.bean(Programmes.class).open("tests-" + UUID.randomUUID());
    private final ApiClient director = server.visitor().signIn(opened.signInName(), opened.password());

    /** Eight measures, the first four repeated, a scale of no great interest. */
    private UUID line() {
        String book =
                made("/api/books", Map.of("title", "Own lines " + UUID.randomUUID(), "volume", "", "notesKept", true));
        Map<String, Object> facts = new HashMap<>(Map.of(
                "bookId",
                book,
                "page",
                1,
                "number",
                1,
                "title",
                "Gull parade",
                "concertKey",
                "B-flat major",
                "meter",
                "4/4"));
        facts.putAll(Map.of("tempoBpm", 80, "measures", 8, "playedMeasures", 12));
        String line = made("/api/books/lines", facts);
        String abc =
                "X:1\nT:Gull parade\nM:4/4\nL:1/4\nQ:1/4=80\nK:Bb\n" + "|:B,CDE|FEDC|B,CDE|F3z:|FGAB|AGFE|DEDC|B,4|]\n";
        assertThat(director.post("/api/lines/" + line + "/notes", Map.of("abc", abc))
                        .status())
                .isEqualTo(204);
        return UUID.fromString(line);
    }

    private String made(String address, Map<String, Object> what) {
        Answer made = director.post(address, what);
        assertThat(made.status()).as(made.text()).isLessThan(300);
        return made.json().path("id").asString();
    }

    private static Map<String, Object> criterion(String name, int top, Integer floor, int weight, String... levels) {
        Map<String, Object> criterion =
                new HashMap<>(Map.of("name", name, "topPoints", top, "weight", weight, "levels", List.of(levels)));
        if (floor != null) {
            criterion.put("floorPoints", floor);
        }
        return criterion;
    }

    private static Map<String, Object> part(UUID milestoneId) {
        return new HashMap<>(Map.of("milestoneId", milestoneId, "variants", List.of()));
    }

    private Map<String, Object> draft(UUID line) {
        Map<String, Object> draft = new HashMap<>();
        draft.put("shortName", "Test 1");
        draft.put("title", "Test 1: Gull parade");
        draft.put("parts", new ArrayList<>(List.of(part(line))));
        draft.put(
                "conditions",
                new HashMap<>(Map.of(
                        "tolerancePercent",
                        10,
                        "pitchCheck",
                        "Bb4",
                        "countInMeasures",
                        1,
                        "fullValues",
                        true,
                        "accompaniment",
                        "FOLLOWS",
                        "memory",
                        false,
                        "fermata",
                        "ACCOMPANIST",
                        "besides",
                        "stand up")));
        draft.put(
                "rubric",
                new HashMap<>(Map.of(
                        "name",
                        "Ours",
                        "mark",
                        5,
                        "criteria",
                        List.of(
                                criterion("Sound", 4, 1, 3, "none", "airy", "thin", "clear", "full"),
                                criterion("Pulse", 4, null, 1)))));
        draft.put(
                "retakes",
                new HashMap<>(Map.of(
                        "counting", "CAPPED",
                        "capPercent", 90,
                        "mostRetakes", 1,
                        "windowDays", 14,
                        "latePercent", 50,
                        "substitutePercent", 0)));
        draft.put("listeners", 1);
        return draft;
    }

    @SuppressWarnings("unchecked")
    private static void set(Map<String, Object> draft, String path, Object value) {
        Map<String, Object> at = draft;
        String[] names = path.split("\\.");
        for (int i = 0; i < names.length - 1; i++) {
            at = (Map<String, Object>) at.get(names[i]);
        }
        at.put(names[names.length - 1], value);
    }

    private UUID write(Map<String, Object> draft) {
        Answer written = director.post("/api/playing-tests", draft);
        assertThat(written.status()).as(written.text()).isEqualTo(201);
        return UUID.fromString(written.json().path("milestoneId").asString());
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(one -> texts.add(one.asString()));
        return texts;
    }

    @Test
    void aTestIsBuiltFromAnEmptyProgramme() {
        UUID line = line();
        Map<String, Object> draft = draft(line);
        Map<String, Object> excerpt = part(line);
        excerpt.put("excerpt", Map.of("from", 3, "to", 5, "repeats", false));
        excerpt.put(
                "variants",
                List.of(
                        Map.of(
                                "instrument",
                                "clarinet",
                                "division",
                                "",
                                "octaves",
                                1,
                                "position",
                                "",
                                "string",
                                "",
                                "excerpt",
                                Map.of("from", 5, "to", 8, "repeats", false)),
                        Map.of(
                                "instrument",
                                "cello",
                                "division",
                                "",
                                "octaves",
                                0,
                                "position",
                                "third position",
                                "string",
                                "G string")));
        draft.put("parts", List.of(part(line), excerpt));
        UUID test = write(draft);
        JsonNode page = director.get("/api/playing-tests/" + test).json();
        assertThat(texts(page.path("conditions")))
                .containsExactly(
                        "Pitch check on concert B-flat",
                        "one measure of count-in",
                        "♩ = 80, within 10 %",
                        "with an accompanist, who follows",
                        "every note its full value",
                        "the accompanist ends a held note",
                        "stand up");
        assertThat(page.path("slowestBpm").asDouble()).isEqualTo(72);
        assertThat(page.path("fastestBpm").asDouble()).isEqualTo(88);
        // Twelve measures of 3 seconds and one of count-in; then 3, 4, 5: measure 4 leads back once only.
        assertThat(page.path("parts").get(0).path("seconds").asInt()).isEqualTo(39);
        assertThat(page.path("parts").get(1).path("measures").asString()).isEqualTo("measures 3 to 5");
        assertThat(page.path("parts").get(1).path("seconds").asInt()).isEqualTo(12);
        assertThat(page.path("parts").get(0).path("stages").size()).isEqualTo(4);
        assertThat(texts(page.path("retakes")))
                .containsExactly(
                        "One retake, within 14 days of the first try: the best try counts, a retake up to 90 %.",
                        "Heard after the due day it counts 50 %, unless you were excused.",
                        "A substitute piece does not count.");
        for (JsonNode tone : page.path("tones")) {
            if (tone.path("instrument").asString().equals("clarinet")) {
                assertThat(tone.path("written").asString()).startsWith("C ");
            }
        }
        JsonNode clarinet = director.get("/api/playing-tests/" + test + "?instrument=clarinet")
                .json();
        assertThat(clarinet.path("parts").get(1).path("measures").asString()).isEqualTo("measures 5 to 8");
        assertThat(texts(clarinet.path("parts").get(1).path("otherwise"))).containsExactly("an octave higher");
        assertThat(texts(director.get("/api/playing-tests/" + test + "?instrument=cello")
                        .json()
                        .path("parts")
                        .get(1)
                        .path("otherwise")))
                .containsExactly("third position", "on the G string");
    }

    @ParameterizedTest(name = "{0} = {1}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "conditions.tempoBpm | 0 | conditions.tempoBpm | A tempo is 20 to 400 beats a minute.",
                "conditions.tempoBpm | 900 | conditions.tempoBpm | A tempo is 20 to 400 beats a minute.",
                "conditions.accompaniment | ALONE | conditions.fermata | Nobody accompanies who could end a held note; choose who does.",
                "rubric.mark | 9 | rubric.mark | Nobody can reach 9 points: there are 8.",
                "conditions.countInMeasures | 3 | conditions.countInMeasures | A count-in has 0 to 2 measures.",
                "listeners | 3 | listeners | Two listeners at most.",
                "title |  | title | Give the test a title.",
                "retakes.windowDays | 0 | retakes.windowDays | A window of retakes has at least one day.",
                "conditions.pitchCheck | H9 | conditions.pitchCheck | A tone is written like Bb4 or A4, not \"H9\"."
            })
    void whatCannotBeIsRefusedWithASentenceAndItsField(String path, String value, String field, String sentence) {
        Map<String, Object> draft = draft(line());
        boolean number = value != null && value.matches("\\d+");
        set(draft, path, value == null ? "" : number ? (Object) Integer.valueOf(value) : value);
        Answer refused = director.post("/api/playing-tests", draft);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.sentence()).isEqualTo(sentence);
        assertThat(refused.json().path("field").asString()).isEqualTo(field);
    }

    @Test
    void excerptsAreHeldAgainstTheLine() {
        UUID line = line();
        for (Map.Entry<Map<String, Object>, String> wrong : Map.<Map<String, Object>, String>of(
                        Map.of("from", 5, "to", 9, "repeats", false),
                        "The line has measures 1 to 8; there is no measure 9.",
                        Map.of("from", 8, "to", 2, "repeats", false),
                        "Measure 2 is never played after measure 8; say them in the order they are played.")
                .entrySet()) {
            Map<String, Object> draft = draft(line);
            Map<String, Object> part = part(line);
            part.put("excerpt", wrong.getKey());
            draft.put("parts", List.of(part));
            Answer refused = director.post("/api/playing-tests", draft);
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.sentence()).isEqualTo(wrong.getValue());
            assertThat(refused.json().path("field").asString()).isEqualTo("parts[0].excerpt");
        }
        Map<String, Object> none = draft(line);
        none.put("parts", List.of());
        assertThat(director.post("/api/playing-tests", none).sentence()).isEqualTo("A test has 1 to 6 parts.");
        Map<String, Object> gone = draft(line);
        gone.put("parts", List.of(part(UUID.randomUUID())));
        assertThat(director.post("/api/playing-tests", gone)
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("parts[0]");
    }

    @Test
    void aWeightOfZeroOrARubricOfOneLevelIsRefused() {
        UUID line = line();
        Map<String, Object> weightless = draft(line);
        set(weightless, "rubric.criteria", List.of(criterion("Sound", 4, null, 0)));
        Answer weight = director.post("/api/playing-tests", weightless);
        assertThat(weight.sentence()).startsWith("A weight is 1 or more");
        assertThat(weight.json().path("field").asString()).isEqualTo("rubric.criteria[0].weight");
        Map<String, Object> flat = draft(line);
        set(flat, "rubric.criteria", List.of(criterion("Sound", 0, null, 1)));
        assertThat(director.post("/api/playing-tests", flat).sentence())
                .isEqualTo("A criterion needs two levels at least: 0 points and 1.");
        Map<String, Object> oneWord = draft(line);
        set(oneWord, "rubric.criteria", List.of(criterion("Sound", 5, null, 1, "full")));
        assertThat(director.post("/api/playing-tests", oneWord).sentence())
                .isEqualTo("Sound has levels from 0 to 5 points; give words for 6, not 1.");
    }

    @Test
    void anEditIsAVersionOfItsOwn() {
        UUID line = line();
        UUID test = write(draft(line));
        JsonNode drafted = director.get("/api/playing-tests/" + test + "/draft").json();
        assertThat(drafted.path("version").asInt()).isEqualTo(1);
        Map<String, Object> other = draft(line);
        set(other, "rubric.criteria", List.of(criterion("Sound", 9, 3, 1)));
        set(other, "title", "Test 1, harder");
        Map<String, Object> edit = Map.of("version", 1, "draft", other);
        assertThat(director.post("/api/playing-tests/" + test, edit).status()).isEqualTo(204);
        assertThat(director.post("/api/playing-tests/" + test, edit).status())
                .as("from an old version")
                .isEqualTo(409);
        JsonNode now = director.get("/api/playing-tests/" + test).json().path("milestone");
        assertThat(now.path("version").asInt()).isEqualTo(2);
        assertThat(now.path("criteria").get(0).path("topPoints").asInt()).isEqualTo(9);
        UUID copy = UUID.fromString(director.post("/api/playing-tests/" + test + "/copy", Map.of())
                .json()
                .path("milestoneId")
                .asString());
        assertThat(director.get("/api/playing-tests/" + copy)
                        .json()
                        .path("milestone")
                        .path("title")
                        .asString())
                .isEqualTo("Copy of Test 1, harder");
        assertThat(director.post("/api/playing-tests/" + copy + "/retire", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/playing-tests/" + copy + "/draft")
                        .json()
                        .path("retired")
                        .asBoolean())
                .isTrue();
        assertThat(director.post("/api/playing-tests/" + copy + "/restore", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(director.post("/api/playing-tests/" + line + "/retire", Map.of())
                        .status())
                .as("a line is no test")
                .isEqualTo(422);
    }

    @Test
    void rubricsShipAndAreCopiedEditedAndTakenAway() {
        JsonNode rubrics = director.get("/api/rubrics").json();
        assertThat(rubrics.path("own")).isEmpty();
        assertThat(rubrics.path("shipped").size()).isEqualTo(5);
        for (JsonNode shipped : rubrics.path("shipped")) {
            for (JsonNode criterion : shipped.path("criteria")) {
                assertThat(criterion.path("levels").size())
                        .isEqualTo(criterion.path("topPoints").asInt() + 1);
            }
        }
        Map<String, Object> own =
                Map.of("name", "My winds", "mark", 3, "criteria", List.of(criterion("Sound", 4, 2, 1)));
        Answer written = director.post("/api/rubrics", own);
        assertThat(written.status()).isEqualTo(201);
        String id = written.json().path("rubricId").asString();
        assertThat(director.post("/api/rubrics", own).sentence()).isEqualTo("There is a rubric \"My winds\" already.");
        Map<String, Object> edit =
                Map.of("version", 1, "rubric", Map.of("name", "My winds", "mark", 2, "criteria", own.get("criteria")));
        assertThat(director.post("/api/rubrics/" + id, edit).status()).isEqualTo(204);
        assertThat(director.post("/api/rubrics/" + id, edit).status()).isEqualTo(409);
        assertThat(director.get("/api/rubrics")
                        .json()
                        .path("own")
                        .get(0)
                        .path("version")
                        .asInt())
                .isEqualTo(2);
        assertThat(director.delete("/api/rubrics/" + id).status()).isEqualTo(204);
        assertThat(director.delete("/api/rubrics/" + id).status()).isEqualTo(404);
    }

    @Test
    void scalesAndRhythmsAreWrittenAsLines() {
        Map<String, Object> scale = Map.of("key", "B-flat major", "octaves", 1, "values", "QUARTERS", "tempoBpm", 80);
        Answer written = director.post("/api/lines/scales", scale);
        assertThat(written.status()).as(written.text()).isEqualTo(201);
        String line = written.json().path("lineId").asString();
        assertThat(director.post("/api/lines/scales", scale)
                        .json()
                        .path("lineId")
                        .asString())
                .as("written once")
                .isEqualTo(line);
        assertThat(director.get("/api/lines/" + line + "/notes?instrument=clarinet")
                        .status())
                .isEqualTo(200);
        Map<String, Object> rhythm = Map.of(
                "key", "B-flat major", "meter", "4/4", "measures", 4, "level", "DIVIDED", "tempoBpm", 80, "seed", 7);
        assertThat(director.post("/api/lines/rhythms", rhythm).status()).isEqualTo(201);
        Map<String, Object> wrong = new HashMap<>(rhythm);
        wrong.put("meter", "four");
        assertThat(director.post("/api/lines/rhythms", wrong)
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("meter");
        UUID test = write(draft(UUID.fromString(line)));
        assertThat(director.get("/api/playing-tests/" + test)
                        .json()
                        .path("parts")
                        .get(0)
                        .path("title")
                        .asString())
                .isEqualTo("B-flat major scale");
    }

    @Test
    void aFirstDraftIsOfALineOrOfNothing() {
        UUID line = line();
        JsonNode first = director.get("/api/playing-tests/first?lineId=" + line).json();
        assertThat(first.path("title").asString()).isEqualTo("Test 1: Gull parade");
        assertThat(first.path("rubric").path("criteria").size()).isEqualTo(5);
        assertThat(director.get("/api/playing-tests/first").json().path("parts"))
                .isEmpty();
    }
}
