package vividroster.server;

import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static java.nio.charset.StandardCharsets.UTF_16LE;
import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class RosterImportTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Answer preview(byte[] file) {
        return director.upload("/api/roster-import/preview", "roster.csv", file, Map.of());
    }

    private Answer preview(String text) {
        return preview(text.getBytes(UTF_8));
    }

    private Answer take(String text) {
        String fingerprint = preview(text).json().path("fingerprint").asString();
        return director.upload(
                "/api/roster-import", "roster.csv", text.getBytes(UTF_8), Map.of("fingerprint", fingerprint));
    }

    private int students() {
        return director.get("/api/students").json().size();
    }

    @Test
    void goodRowsAreTakenAndBadRowsNamed() {
        String file = """
                name,class,instrument,division,start date
                Hal Orr,Winds,Tuba,,2026-10-01
                Ida Penn,Wynds,flute,,
                Jo Quill,Winds,flugelflute,,
                Kit Rowe,Winds,Bb Clarinet,First,01/02/2026
                Ed Stone,Winds,trumpet,,
                Flo Hart,Jazz,trumpet,,
                """;
        JsonNode preview = preview(file).json();
        assertThat(preview.path("students").asInt()).isEqualTo(1);
        assertThat(preview.path("seats").asInt()).isEqualTo(2);
        assertThat(preview.path("unchanged").asInt()).isEqualTo(1);
        assertThat(preview.path("refused").asInt()).isEqualTo(3);
        List<String> words = new ArrayList<>();
        preview.path("rows")
                .forEach(row -> words.add(
                        row.path("line").asInt() + " " + row.path("column").asString() + ": "
                                + row.path("text").asString()));
        assertThat(words)
                .containsExactly(
                        "2 : New student from 2026-10-01",
                        "3 class: No class is called \"Wynds\". Did you mean \"Winds\"?",
                        "4 instrument: \"flugelflute\" is not an instrument of the catalog."
                                + words.get(2).substring(words.get(2).indexOf("catalog.") + 8),
                        "5 start date: \"01/02/2026\" can be read in more than one way or not at all; write the start date"
                                + " as year-month-day, like 2026-10-01.",
                        "6 : On the roster already",
                        "7 : On the roster; joins this class from 2026-10-07");
        assertThat(students()).as("a preview changes nothing").isEqualTo(7);
        assertThat(take(file).status()).isEqualTo(200);
        assertThat(students()).isEqualTo(8);
    }

    @Test
    void takingTheSameFileTwiceChangesNothing() {
        String file = "name,class,instrument\nHal Orr,Winds,tuba\nHal Orr,Jazz,tuba\n";
        take(file);
        JsonNode again = take(file).json();
        assertThat(again.path("unchanged").asInt()).isEqualTo(2);
        assertThat(again.path("seats").asInt()).isZero();
        assertThat(students()).isEqualTo(8);
    }

    @Test
    void aMoveEndsTheOldSeatTheDayBefore() {
        take("name,class,instrument,start date\nAna Reed,Winds,oboe,2026-10-12\n");
        JsonNode seats = director.get("/api/students/" + school.id("Ana Reed") + "/folder")
                .json()
                .path("seats");
        assertThat(seats.get(0).path("endsOn").asString()).isEqualTo("2026-10-11");
        assertThat(seats.get(1).path("instrumentName").asString()).isEqualTo("Oboe");
        assertThat(seats.get(1).path("startsOn").asString()).isEqualTo("2026-10-12");
    }

    @Test
    void whatChangedSinceThePreviewIsNotTaken() {
        String file = "name,class,instrument\nHal Orr,Winds,tuba\n";
        String fingerprint = preview(file).json().path("fingerprint").asString();
        take("name,class,instrument\nHal Orr,Winds,tuba\n");
        Answer late = director.upload(
                "/api/roster-import", "r.csv", file.getBytes(UTF_8), Map.of("fingerprint", fingerprint));
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.sentence()).contains("changed since the preview");
        assertThat(students()).isEqualTo(8);
    }

    @ParameterizedTest
    @CsvSource({"UTF-8,;", "UTF-8,tab", "ISO-8859-1,;", "BOM,','", "UTF-16LE,tab"})
    void encodingsAndSeparators(String encoding, String separator) {
        String cell = separator.equals("tab") ? "\t" : separator;
        String text = String.join(cell, "name", "class", "instrument") + "\r\n"
                + String.join(cell, "Zoë Å", "Winds", "tuba") + "\r\n";
        byte[] bytes = switch (encoding) {
            case "BOM" -> ("\uFEFF" + text).getBytes(UTF_8);
            case "UTF-16LE" -> ("\uFEFF" + text).getBytes(UTF_16LE);
            default -> text.getBytes(Charset.forName(encoding));
        };
        JsonNode preview = preview(bytes).json();
        assertThat(preview.path("rows").get(0).path("name").asString()).isEqualTo("Zoë Å");
        assertThat(preview.path("notices").size()).isEqualTo(bytes.length < text.getBytes(UTF_8).length ? 1 : 0);
    }

    @Test
    void whatIsNoRosterIsRefusedWithASentence() {
        assertThat(preview("").sentence()).startsWith("The file is empty.");
        assertThat(preview(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0})
                        .sentence())
                .startsWith("This file is a PNG picture, not a CSV.");
        assertThat(preview("name,class,instrument\n\"Hal Orr,Winds,tuba\n").sentence())
                .startsWith("The quote mark that opens in line 2 is never closed");
        assertThat(preview("just words\nand more\n").sentence()).contains("has no column for \"name\" and \"class\"");
        assertThat(preview("name,class,instrument\n").sentence())
                .isEqualTo("The file has its heading row but no students below it.");
        assertThat(preview(new byte[6 * 1024 * 1024 - 2000]).status()).isEqualTo(422);
        assertThat(preview(new byte[14 * 1024 * 1024]).sentence())
                .isEqualTo("The file is larger than 10 MB; nothing was changed.");
        Answer noFile = director.postText("/api/roster-import/preview", "{}");
        assertThat(noFile.status()).isBetween(400, 499);
        assertThat(noFile.sentence()).endsWith(".");
    }

    @Test
    void tenThousandRowsWithNamesThatRepeat() {
        String rows = IntStream.range(0, 10_000)
                .mapToObj(i -> "Student " + (i % 9_000) + "," + (i % 2 == 0 ? "Winds" : "Jazz") + ",flute")
                .collect(Collectors.joining("\n"));
        long begun = System.nanoTime();
        JsonNode taken = take("name,class,instrument\n" + rows).json();
        // 9,000 names; the thousand repeated ones fall into the same class again and are refused by name.
        assertThat(taken.path("students").asInt()).isEqualTo(9_000);
        assertThat(taken.path("refused").asInt()).isEqualTo(1_000);
        assertThat(System.nanoTime() - begun)
                .as("nanoseconds, generous for a busy machine")
                .isLessThan(30_000_000_000L);
        assertThat(students()).isEqualTo(9_007);
    }

    @Test
    void theRosterAsAFileChangesNothingWhenTakenAgain() {
        take("name,class,instrument,division,student number\n\"Orr, Hal\",Winds,tuba,,S-77\n");
        String file = director.get("/api/roster-import/roster.csv").text();
        assertThat(file).contains("Hal Orr,Winds,Tuba,,2026-10-07,S-77").doesNotContain("Gus Pike");
        JsonNode again = preview(file).json();
        assertThat(again.path("unchanged").asInt()).isEqualTo(8);
        assertThat(again.path("refused").asInt()).isZero();
        JsonNode taken = director.get("/api/roster-import").json();
        assertThat(taken.size()).isEqualTo(1);
        assertThat(taken.get(0).path("fileName").asString()).isEqualTo("roster.csv");
        assertThat(taken.get(0).path("taken").asInt()).isEqualTo(1);
    }

    @Test
    void aStudentLeavesAClassAndKeepsWhatWasPassed() {
        director.post("/api/attempts", school.attempt("Ed Stone", "line", "PASS"));
        String leave = "/api/students/" + school.id("Ed Stone") + "/leave";
        Answer early = director.post(leave, Map.of("classId", school.id("Winds"), "lastDay", "2026-08-01"));
        assertThat(early.field()).isEqualTo("lastDay");
        assertThat(director.post(leave, Map.of("classId", school.id("Winds"), "lastDay", "2026-10-06"))
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/board?classId=" + school.id("Winds")).text())
                .doesNotContain("Ed Stone");
        assertThat(director.get("/api/board?classId=" + school.id("Jazz")).text())
                .contains("Ed Stone");
        assertThat(director.get("/api/students/" + school.id("Ed Stone") + "/folder")
                        .text())
                .contains("First light");
        assertThat(director.post(leave, Map.of("classId", school.id("Winds"), "lastDay", "2026-10-06"))
                        .status())
                .isEqualTo(404);
        assertThat(school.assistant()
                        .post(leave, Map.of("classId", school.id("Jazz"), "lastDay", "2026-10-06"))
                        .status())
                .isEqualTo(403);
    }

    @Test
    void latin1BytesAreNotTakenForSomethingElse() {
        byte[] bytes = "name,class,instrument\nJosé Peña,Winds,tuba\n".getBytes(ISO_8859_1);
        JsonNode preview = preview(bytes).json();
        assertThat(preview.path("rows").get(0).path("name").asString()).isEqualTo("José Peña");
        assertThat(preview.path("notices").get(0).asString()).contains("read as Windows Western text");
    }
}
