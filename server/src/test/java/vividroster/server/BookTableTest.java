package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A book by its facts, many lines at once, out as CSV and in again; and the book that ships. */
class BookTableTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private String book() {
        return director.post("/api/books", Map.of("title", "Harbour Studies", "volume", "", "notesKept", false))
                .json()
                .path("id")
                .asString();
    }

    private static Map<String, Object> row(String page, String number, String title) {
        Map<String, Object> row = new HashMap<>();
        for (String blank : List.of("key", "meter", "measures", "tempo")) {
            row.put(blank, "");
        }
        row.put("page", page);
        row.put("number", number);
        row.put("title", title);
        return row;
    }

    private Answer keep(String book, List<Map<String, Object>> rows) {
        return director.post("/api/books/" + book + "/table", Map.of("rows", rows));
    }

    @Test
    void aPrintedBookIsTypedInTwoRows() {
        String book = book();
        Map<String, Object> first = row("4", "1", "Still water");
        first.put("key", "Bb");
        first.put("news", List.of(Map.of("instrument", "trumpet", "words", "D, open")));
        List<Map<String, Object>> rows = List.of(first, row("4-13", "2-40", ""));
        JsonNode preview = director.post("/api/books/" + book + "/table/preview", Map.of("rows", rows))
                .json();
        assertThat(preview.path("lines").asInt()).isEqualTo(40);
        assertThat(preview.path("rows").get(1).path("text").asString()).isEqualTo("39 new lines, pages 4 to 13");
        assertThat(director.get("/api/books/" + book + "/table").json().path("rows"))
                .as("a preview changes nothing")
                .isEmpty();
        assertThat(keep(book, rows).status()).isEqualTo(200);
        JsonNode kept = director.get("/api/books/" + book + "/table").json().path("rows");
        assertThat(kept).hasSize(40);
        assertThat(kept.get(39).path("key").asString()).isEqualTo("B-flat major");
        assertThat(kept.get(0).path("news").get(0).path("words").asString()).isEqualTo("D, open");
        assertThat(keep(book, rows.subList(0, 1))
                        .json()
                        .path("rows")
                        .get(0)
                        .path("kind")
                        .asString())
                .as("the same again")
                .isEqualTo("UNCHANGED");
    }

    @Test
    void whatIsNewStandsBeforeTheDirectorsOwnTip() {
        String book = book();
        Map<String, Object> first = row("4", "1", "Still water");
        keep(book, List.of(first));
        String line = lineOf("Still water");
        assertThat(director.put(
                                "/api/lines/" + line + "/remarks/trumpet",
                                Map.of("instrument", "trumpet", "trouble", "The leap", "tip", "Hear it first"))
                        .status())
                .isLessThan(300);
        first.put("news", List.of(Map.of("instrument", "trumpet", "words", "D, open")));
        keep(book, List.of(first));
        assertThat(director.get("/api/lines/" + line + "/remarks")
                        .json()
                        .get(0)
                        .path("tip")
                        .asString())
                .isEqualTo("New: D, open · Hear it first");
        assertThat(director.get("/api/lines/" + line + "/remarks")
                        .json()
                        .get(0)
                        .path("trouble")
                        .asString())
                .isEqualTo("The leap");
    }

    private String lineOf(String title) {
        for (JsonNode milestone : director.get("/api/library").json().path("milestones")) {
            if (milestone.path("title").asString().equals(title)) {
                return milestone.path("id").asString();
            }
        }
        throw new AssertionError(title);
    }

    @Test
    void aCellThatIsNoneIsNamedAndNothingIsKept() {
        String book = book();
        Map<String, Object> bad = row("5", "3", "");
        bad.put("meter", "four");
        Answer answer = keep(book, List.of(row("4", "1", ""), bad));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo("rows[1].meter");
        assertThat(answer.sentence()).isEqualTo("\"four\" is not understood; write it like 3/4.");
        assertThat(director.get("/api/books/" + book + "/table").json().path("rows"))
                .isEmpty();
    }

    @Test
    void outAsCsvAndInAgainNothingChanges() {
        String book = book();
        keep(book, List.of(row("4-5", "1-6", "Study")));
        String csv = director.get("/api/books/" + book + "/lines.csv").text();
        JsonNode read = director.upload(
                        "/api/books/table-file", "lines.csv", csv.getBytes(StandardCharsets.UTF_8), Map.of())
                .json();
        assertThat(read.path("rows")).hasSize(6);
        JsonNode again = director.post("/api/books/" + book + "/table", Map.of("rows", read.path("rows")))
                .json();
        again.path("rows")
                .forEach(row -> assertThat(row.path("kind").asString()).isEqualTo("UNCHANGED"));
        assertThat(director.upload("/api/books/table-file", "lines.csv", new byte[0], Map.of())
                        .sentence())
                .startsWith("Nothing was pasted");
    }

    @Test
    void aLineIsOrderedByItsFactsAlone() {
        String book = book();
        keep(book, List.of(row("4", "1", "Still water")));
        Map<String, Object> order = school.order(List.of(school.tutti()), "line");
        order.put(
                "milestones",
                List.of(Map.of("orderId", java.util.UUID.randomUUID(), "milestoneId", lineOf("Still water"))));
        assertThat(director.post("/api/season/orders", order).status()).isEqualTo(201);
        assertThat(director.get("/api/podium").text()).contains("Still water");
    }

    @Test
    void theBookThatShipsIsTakenOnce() {
        JsonNode volumes = director.get("/api/shipped-books").json();
        assertThat(volumes).as("winds, strings, pieces for concerts").hasSize(3);
        Answer taken = director.post("/api/shipped-books", Map.of("volume", "Strings"));
        assertThat(taken.status()).as(taken.text()).isEqualTo(201);
        assertThat(taken.json().path("lines").asInt())
                .isEqualTo(volumes.get(1).path("lines").asInt());
        assertThat(director.post("/api/shipped-books", Map.of("volume", "Strings"))
                        .sentence())
                .isEqualTo("There is a book \"Tideline Method, Strings\" already.");
        assertThat(director.post("/api/shipped-books", Map.of("volume", "Bagpipes"))
                        .field())
                .isEqualTo("volume");
        assertThat(director.get("/api/lines/with-notes").json().size())
                .isEqualTo(taken.json().path("lines").asInt());
    }
}
