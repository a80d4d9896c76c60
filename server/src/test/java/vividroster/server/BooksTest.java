package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.ApiClient.Upload;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Books, lines by their facts, and many lines at once. */
class BooksTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private String book(String title, boolean notesKept) {
        Answer made = director.post("/api/books", Map.of("title", title, "notesKept", notesKept));
        assertThat(made.status()).as(made.text()).isEqualTo(200);
        return made.json().path("id").asString();
    }

    private static Map<String, Object> line(String bookId, int number) {
        Map<String, Object> line = new HashMap<>();
        line.put("bookId", bookId);
        line.put("page", 12);
        line.put("number", number);
        line.put("title", "Skipping stones");
        line.put("concertKey", "E-flat major");
        line.put("meter", "3/4");
        line.put("tempoBpm", 96);
        line.put("measures", 16);
        line.put("playedMeasures", 24);
        line.put("notesUsed", "Eb4 F4 G4 Ab4");
        line.put("valuesIntroduced", List.of("dotted half", "quarter rest"));
        line.put("signsIntroduced", List.of("SLUR", "DA_CAPO"));
        line.put("roadmap", "D.C. al Fine");
        return line;
    }

    @Test
    void aBookIsAddedAndRenamedAndNoTwoShareAName() {
        String id = book("Shoreline Studies", false);
        assertThat(director.post("/api/books", Map.of("title", "shoreline studies", "notesKept", false))
                        .sentence())
                .isEqualTo("There is a book \"shoreline studies\" already.");
        assertThat(director.put("/api/books/" + id, Map.of("title", "Shoreline", "volume", "Two", "notesKept", true))
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/books").text())
                .contains("{\"id\":\"" + id
                        + "\",\"title\":\"Shoreline\",\"volume\":\"Two\",\"notesKept\":true,\"lines\":0}");
        assertThat(director.post("/api/books", Map.of("title", " ", "notesKept", false))
                        .sentence())
                .isEqualTo("Give the book a title.");
        assertThat(director.put("/api/books/" + school.id("line"), Map.of("title", "X", "notesKept", true))
                        .status())
                .isEqualTo(404);
        assertThat(school.substitute()
                        .post("/api/books", Map.of("title", "X", "notesKept", true))
                        .status())
                .isEqualTo(403);
    }

    @Test
    void aLineIsKnownByItsFactsAndCanBeOrdered() {
        String bookId = book("Shoreline Studies", false);
        Answer made = director.post("/api/books/lines", line(bookId, 7));
        assertThat(made.status()).as(made.text()).isEqualTo(200);
        String id = made.json().path("id").asString();
        JsonNode facts = director.get("/api/books/lines/" + id).json();
        assertThat(facts.path("notesUsed").asString()).isEqualTo("Eb4 F4 G4 Ab4");
        assertThat(facts.path("valuesIntroduced").toString()).isEqualTo("[\"dotted half\",\"quarter rest\"]");
        assertThat(facts.path("signsIntroduced").toString()).isEqualTo("[\"SLUR\",\"DA_CAPO\"]");
        assertThat(facts.path("playedMeasures").asInt()).isEqualTo(24);
        Map<String, Object> order = school.order(List.of(school.tutti()), "line");
        order.put("milestones", List.of(Map.of("orderId", java.util.UUID.randomUUID(), "milestoneId", id)));
        assertThat(director.post("/api/season/orders", order).status()).isLessThan(300);
        assertThat(director.post("/api/lines/" + id + "/notes", Map.of("abc", "K:C\nC4|"))
                        .sentence())
                .isEqualTo("Of \"Shoreline Studies\" facts alone are kept. Say first, with the book, that its notes are"
                        + " your own, free of rights or licensed.");
        // What facts say counts on the track: the next line's notes are new only where these did not bring them.
        String next = "/api/lines/" + school.id("line");
        director.post(next + "/notes", Map.of("abc", "M:3/4\nL:1/4\nK:Eb\nE F G|B3|"));
        JsonNode sections = director.get(next + "/notes?classId=" + school.id("Winds"))
                .json()
                .path("analysis")
                .path("sections");
        String flute = sections.valueStream()
                .filter(s -> s.path("instrument").asString().equals("flute"))
                .findFirst()
                .orElseThrow()
                .path("news")
                .toString();
        assertThat(flute)
                .contains("B-flat 5")
                .doesNotContain("\"G 5")
                .doesNotContain("dotted half")
                .contains("quarter");
    }

    @Test
    void factsAreChangedAndALineTakenOffTheShelf() {
        String bookId = book("Shoreline Studies", false);
        String id = director.post("/api/books/lines", line(bookId, 7))
                .json()
                .path("id")
                .asString();
        Map<String, Object> changed = line(bookId, 8);
        changed.put("title", "Skimming stones");
        assertThat(director.put("/api/books/lines/" + id, changed).status()).isEqualTo(204);
        assertThat(director.get("/api/library").text())
                .contains("Skimming stones")
                .contains("\"number\":8");
        assertThat(director.post("/api/books/lines/" + id + "/retired", Map.of("retired", true))
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/library").text()).doesNotContain("Skimming stones");
        assertThat(director.get("/api/books/lines/" + id).json().path("retired").asBoolean())
                .isTrue();
        assertThat(director.post("/api/books/lines/" + school.id("check") + "/retired", Map.of("retired", true))
                        .status())
                .isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "concertKey; H major; A key is written like \"B-flat major\", was \"H major\".",
                "meter; 4; A meter is written like \"3/4\", was \"4\".",
                "meter; x/y; A meter is written like \"3/4\", was \"x/y\".",
                "meter; 2/4+3/8; Two meters in one, \"2/4+3/8\", are not read here.",
                "notesUsed; Eb4 blue; A pitch is written like F4 or Bb2, was \"blue\".",
                "tempoBpm; 5; TempoBpm must be in 20..400, was 5.",
                "measures; 0; Give a number from 1 to 2000, not 0.",
                "page; 0; Pages are counted from 1.",
                "title; ''; Give the line a title."
            })
    void whatCannotBeIsRefusedWithItsField(String field, String value, String sentence) {
        Map<String, Object> line = line(book("Shoreline Studies", false), 7);
        line.put(field, value.matches("\\d+") && !field.equals("meter") ? (Object) Integer.valueOf(value) : value);
        Answer answer = director.post("/api/books/lines", line);
        assertThat(answer.sentence()).isEqualTo(sentence);
        assertThat(answer.field()).isEqualTo(field);
    }

    @Test
    void aNumberStandsOnceInABook() {
        String bookId = book("Shoreline Studies", false);
        director.post("/api/books/lines", line(bookId, 7));
        Answer again = director.post("/api/books/lines", line(bookId, 7));
        assertThat(again.sentence()).isEqualTo("\"Shoreline Studies\" has a line 7 already.");
        assertThat(again.field()).isEqualTo("number");
    }

    private static final String BOOK =
            "% page 3\nX:1\nT:Dune\nM:4/4\nL:1/4\nK:Bb\nB, C D E|\n\nX:2\nT:Wrong\nK:C\nC D w|\n\n% page 4\nX:5\nT:Gorse\nM:3/4\nL:1/4\nK:F\nF G A|B3|\n";

    private Answer take(String bookId, String name, byte[] file, boolean keep) {
        return director.upload("/api/books/" + bookId + "/import?firstPage=2&keep=" + keep, name, file, Map.of());
    }

    @Test
    void manyLinesComeAtOnceAndTheGoodOnesAreKept() {
        String bookId = book("Shoreline Studies", true);
        byte[] file = BOOK.getBytes(StandardCharsets.UTF_8);
        JsonNode looked = take(bookId, "book.abc", file, false).json();
        assertThat(looked.path("good").asInt()).isEqualTo(2);
        assertThat(looked.path("lines").get(1).path("problem").asString())
                .isEqualTo("Line 12, column 5: \"w\" is no note, rest or sign of ABC.");
        assertThat(looked.path("lines").get(2).path("page").asInt()).isEqualTo(4);
        assertThat(director.get("/api/books").text())
                .contains("\"Shoreline Studies\",\"volume\":\"\",\"notesKept\":true,\"lines\":0");
        assertThat(take(bookId, "book.abc", file, true).json().path("kept").asBoolean())
                .isTrue();
        assertThat(director.get("/api/library").text()).contains("\"Dune\"", "\"Gorse\"");
        JsonNode again = take(bookId, "book.abc", file, true).json();
        assertThat(again.path("lines").get(0).path("replaces").asBoolean()).isTrue();
        assertThat(director.get("/api/books").text()).contains("\"notesKept\":true,\"lines\":2");
    }

    @Test
    void musicXmlFilesAreNumberedByTheirNames() {
        String bookId = book("Shoreline Studies", true);
        director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", "T:Reef\nL:1/4\nK:Eb\nE F G A|"));
        byte[] xml = director.get("/api/lines/" + school.id("line") + "/line.musicxml")
                .bytes();
        JsonNode taken = take(bookId, "line 031.musicxml", xml, true).json();
        assertThat(taken.path("lines").get(0).path("number").asInt()).isEqualTo(31);
        assertThat(taken.path("lines").get(0).path("page").asInt()).isEqualTo(2);
        assertThat(taken.path("lines").get(0).path("concertKey").asString()).isEqualTo("E-flat major");
        byte[] wide = new String(xml, StandardCharsets.UTF_8)
                .replace("UTF-8", "UTF-16")
                .getBytes(StandardCharsets.UTF_16);
        assertThat(take(bookId, "32.xml", wide, true).json().path("good").asInt())
                .isEqualTo(1);
        JsonNode wrong = take(bookId, "33.xml", "<html/>".getBytes(StandardCharsets.UTF_8), true)
                .json();
        assertThat(wrong.path("refused").asInt()).isEqualTo(1);
        assertThat(wrong.path("lines").get(0).path("problem").asString()).startsWith("The file is no MusicXML");
    }

    @Test
    void anImportIsRefusedWhereFactsAloneAreKept() {
        String bookId = book("Shoreline Studies", false);
        assertThat(take(bookId, "book.abc", BOOK.getBytes(StandardCharsets.UTF_8), true)
                        .sentence())
                .startsWith("Of \"Shoreline Studies\" facts alone are kept.");
        assertThat(take(school.id("line").toString(), "book.abc", new byte[0], false)
                        .status())
                .isEqualTo(404);
        String own = book("Own", true);
        assertThat(take(own, "empty.abc", new byte[0], true)
                        .json()
                        .path("lines")
                        .get(0)
                        .path("problem")
                        .asString())
                .isEqualTo("The file is empty.");
        assertThat(director.upload("/api/books/" + own + "/import?firstPage=0", "a.abc", new byte[] {1}, Map.of())
                        .sentence())
                .isEqualTo("Pages are counted from 1 to 2000.");
    }

    @Test
    void typedNotesBringTheirFacts() {
        String id = school.id("line 2").toString();
        director.post("/api/lines/" + id + "/notes", Map.of("abc", "M:3/4\nL:1/4\nQ:1/4=66\nK:Eb\n|:E F G:|A3|"));
        JsonNode facts = director.get("/api/books/lines/" + id).json();
        assertThat(facts.path("concertKey").asString()).isEqualTo("E-flat major");
        assertThat(facts.path("meter").asString()).isEqualTo("3/4");
        assertThat(facts.path("tempoBpm").asInt()).isEqualTo(66);
        assertThat(facts.path("playedMeasures").asInt()).isEqualTo(3);
        assertThat(director.post("/api/lines/" + id + "/notes", Map.of("abc", "L:1/4\nK:C\nC4|D4 !D.S.alfine!|"))
                        .sentence())
                .isEqualTo("Measure 2: \"D.S. al Fine\" finds no segno to go to.");
    }

    @Test
    void aModeAGroupedMeterAndAFractionOfABeatAreFactsToo() {
        String bookId = book("Shoreline Studies", false);
        Map<String, Object> line = line(bookId, 9);
        line.put("concertKey", "D dorian");
        line.put("meter", "3+2/8");
        line.put("tempoBpm", 66.5);
        Answer made = director.post("/api/books/lines", line);
        assertThat(made.status()).as(made.text()).isEqualTo(200);
        JsonNode facts = director.get(
                        "/api/books/lines/" + made.json().path("id").asString())
                .json();
        assertThat(facts.path("concertKey").asString()).isEqualTo("D dorian");
        assertThat(facts.path("meter").asString()).isEqualTo("3+2/8");
        assertThat(facts.path("tempoBpm").asDouble()).isEqualTo(66.5);
    }

    @ParameterizedTest
    @ValueSource(ints = {201, 1000})
    void moreFilesThanMayComeAtOnceAreRefusedWithASentence(int files) {
        String bookId = book("Shoreline Studies", true);
        byte[] one = "X:1\nL:1/4\nK:C\nC D E F|\n".getBytes(StandardCharsets.UTF_8);
        String address = "/api/books/" + bookId + "/import?firstPage=2&keep=true";
        Answer answer = director.upload(address, Collections.nCopies(files, new Upload("line.abc", one)), Map.of());
        assertThat(answer.sentence()).isEqualTo("Send 1 to 200 files at once; nothing was changed.");
        assertThat(answer.status()).isEqualTo(422);
    }

    @Test
    void twoHundredFilesComeAtOnce() {
        String bookId = book("Shoreline Studies", true);
        List<Upload> files = new ArrayList<>();
        for (int number = 1; number <= 200; number++) {
            files.add(new Upload(number + ".abc", "X:1\nL:1/4\nK:C\nC D E F|\n".getBytes(StandardCharsets.UTF_8)));
        }
        JsonNode looked = director.upload("/api/books/" + bookId + "/import?firstPage=2&keep=false", files, Map.of())
                .json();
        assertThat(looked.path("good").asInt() + looked.path("refused").asInt()).isEqualTo(200);
    }
}
