package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.music.InstrumentCode;
import vividroster.core.outfit.Review;
import vividroster.server.outfit.StudentVariant;
import vividroster.server.outfit.StudentVariants;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Variants, what helped, demonstrations and what comes before a check. */
class FirstWeeksApiTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private String take(String key) {
        return director.post("/api/checks/starters/" + key + "/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
    }

    private Map<String, Object> variant(UUID id, String check, String name) {
        return Map.of("id", id, "milestoneId", check, "classId", school.id("Winds"), "name", name);
    }

    private String address(String student) {
        return "/api/students/" + school.id(student);
    }

    private JsonNode reviews() {
        for (JsonNode c : director.get("/api/podium").json().path("classes")) {
            if (c.path("name").asString().equals("Winds")) {
                return c.path("reviews");
            }
        }
        throw new AssertionError("no Winds");
    }

    @Test
    void aVariantIsGivenOnceAndTheOneBeforeItWithdrawn() {
        String check = take("flute-balance");
        UUID id = UUID.randomUUID();
        String ana = address("Ana Reed") + "/variants";
        assertThat(director.post(ana, variant(id, check, "Helper hold")).status())
                .isEqualTo(201);
        assertThat(director.post(ana, variant(id, check, "Helper hold")).status())
                .as("sent twice")
                .isEqualTo(201);
        JsonNode given = director.get(ana).json();
        assertThat(given.size()).isEqualTo(1);
        assertThat(given.get(0).path("reviewOn").asString())
                .as("four weeks from Wednesday 7 October")
                .isEqualTo("2026-11-04");
        director.post(ana, variant(UUID.randomUUID(), check, "Curved head joint"));
        JsonNode both = director.get(ana).json();
        assertThat(both.size()).isEqualTo(2);
        assertThat(both.get(0).path("name").asString()).isEqualTo("Curved head joint");
        assertThat(both.get(1).path("lastNote").asString()).isEqualTo("Another variant was given: Curved head joint");
        Answer unknown = director.post(ana, variant(UUID.randomUUID(), check, "Upside down"));
        assertThat(unknown.sentence())
                .isEqualTo("\"Flute: shelf, thumb and little finger\" has no variant called \"Upside down\" any more.");
    }

    @Test
    void aStudentsVariantGoesBeforeTheProgrammesSchool() {
        String check = take("flute-balance");
        director.post("/api/schools/flute-first-notes", Map.of("choice", "both-hands-at-once"));
        JsonNode offered = director.get("/api/checks/" + check + "/variants?classId=" + school.id("Winds"))
                .json()
                .path("offered");
        assertThat(offered.toString()).contains("Helper hold", "Curved head joint");
        director.post(address("Ana Reed") + "/variants", variant(UUID.randomUUID(), check, "Helper hold"));
        JsonNode inUse = director.get("/api/checks/" + check + "/variants?classId=" + school.id("Winds"))
                .json()
                .path("inUse");
        assertThat(inUse.get(0).path("steps").get(0).asString()).startsWith("One hand supports the far end");
        assertThat(director.get("/api/checks/" + check)
                        .json()
                        .path("check")
                        .path("steps")
                        .get(0)
                        .asString())
                .contains("both hands go to their places at once");
    }

    @Test
    void anOverdueReviewStandsOnThePodiumUntilItIsLookedAt() {
        String check = take("flute-balance");
        UUID id = UUID.randomUUID();
        server.bean(StudentVariants.class)
                .load(
                        school.programId(),
                        UUID.fromString(accountId()),
                        new StudentVariant(
                                id,
                                school.id("Bo Lund"),
                                UUID.fromString(check),
                                new InstrumentCode("flute"),
                                "Helper hold",
                                "",
                                SchoolChoices.NONE,
                                School.TODAY.minusWeeks(6),
                                Optional.of(Review.inWeeks(School.TODAY.minusWeeks(6), 4)),
                                Optional.empty(),
                                ""),
                        School.TODAY.minusWeeks(2));
        assertThat(reviews().get(0).path("what").asString()).isEqualTo("Helper hold");
        assertThat(reviews().get(0).path("overdue").asBoolean()).isTrue();
        Answer tooLong =
                director.post("/api/variants/" + id + "/review", Map.of("id", UUID.randomUUID(), "keepWeeks", 60));
        assertThat(tooLong.sentence()).isEqualTo("Look again in 1 to 52 weeks.");
        assertThat(director.post(
                                "/api/variants/" + id + "/review",
                                Map.of("id", UUID.randomUUID(), "keepWeeks", 2, "note", "nearly"))
                        .status())
                .isEqualTo(204);
        assertThat(reviews().size()).isZero();
        assertThat(director.post("/api/variants/" + id + "/review", Map.of("id", UUID.randomUUID(), "note", "done"))
                        .status())
                .isEqualTo(204);
        assertThat(director.post("/api/variants/" + id + "/review", Map.of("id", UUID.randomUUID()))
                        .sentence())
                .isEqualTo("\"Helper hold\" was withdrawn before; load the page again.");
        JsonNode kept = director.get(address("Bo Lund") + "/variants").json().get(0);
        assertThat(kept.path("withdrawnOn").asString()).isEqualTo(School.TODAY.toString());
        assertThat(kept.path("lastNote").asString()).isEqualTo("done");
    }

    private String accountId() {
        try (var connection = server.database().connect();
                var rows = connection
                        .createStatement()
                        .executeQuery(
                                "select id from account where program_id = '" + school.programId() + "' limit 1")) {
            rows.next();
            return rows.getString(1);
        } catch (java.sql.SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void whatHelpedIsKeptWithTheStudentAndCountedForTheSection() {
        String check = take("trumpet-sound");
        Map<String, Object> helped = new LinkedHashMap<>();
        helped.put("classId", school.id("Winds"));
        helped.put("sign", "Airy");
        helped.put("remedy", "Lips nearer together");
        UUID ed = UUID.randomUUID();
        for (String name : List.of("Ed Stone", "Flo Hart")) {
            helped.put("id", name.startsWith("Ed") ? ed : UUID.randomUUID());
            helped.put("studentId", school.id(name));
            assertThat(director.post("/api/checks/" + check + "/helped", helped).status())
                    .isEqualTo(201);
            assertThat(director.post("/api/checks/" + check + "/helped", helped).status())
                    .as("sent twice")
                    .isEqualTo(201);
        }
        String section = "/api/checks/" + check + "/helped?classId=" + school.id("Winds") + "&instrument=trumpet";
        JsonNode most = director.get(section).json().path("most");
        assertThat(most.size()).isEqualTo(1);
        assertThat(most.get(0).path("students").asInt()).isEqualTo(2);
        assertThat(director.get(address("Ed Stone") + "/helped").text()).contains("Lips nearer together");
        assertThat(director.delete("/api/helped/" + ed).status()).isEqualTo(204);
        assertThat(director.get(section)
                        .json()
                        .path("most")
                        .get(0)
                        .path("students")
                        .asInt())
                .isEqualTo(1);
        helped.put("id", UUID.randomUUID());
        helped.put("remedy", "Shout at it");
        assertThat(director.post("/api/checks/" + check + "/helped", helped).sentence())
                .isEqualTo("\"Trumpet: the first note comes dependably\" does not name that remedy any more;"
                        + " load the page again.");
    }

    private static byte[] wav() {
        byte[] file = new byte[144];
        byte[] head = "RIFF\u0088\0\0\0WAVEfmt ".getBytes(StandardCharsets.ISO_8859_1);
        System.arraycopy(head, 0, file, 0, head.length);
        return file;
    }

    @Test
    void aDemonstrationIsWhatItsContentSays() {
        String check = take("trumpet-sound");
        String address = "/api/checks/" + check + "/demonstrations";
        Answer added = director.upload(address, "tone.txt", wav(), Map.of());
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        assertThat(added.json().path("mediaType").asString()).isEqualTo("audio/wav");
        String id = added.json().path("id").asString();
        Answer played = director.get("/api/demonstrations/" + id);
        assertThat(played.contentType()).startsWith("audio/wav");
        assertThat(director.get(address).json().get(0).path("size").asInt()).isEqualTo(144);
        Answer script = director.upload(
                address,
                "tone.mp3",
                "<html><script>alert(1)</script></html>".getBytes(StandardCharsets.UTF_8),
                Map.of());
        assertThat(script.status()).isEqualTo(422);
        assertThat(script.sentence())
                .isEqualTo("\"tone.mp3\" is no sound, picture, clip or PDF that a browser can show; its content says"
                        + " text/html.");
        assertThat(director.upload(address, "empty.wav", new byte[0], Map.of()).sentence())
                .isEqualTo("\"empty.wav\" is empty.");
        byte[] large = new byte[10 * 1024 * 1024 + 1];
        System.arraycopy(wav(), 0, large, 0, 20);
        assertThat(director.upload(address, "long.wav", large, Map.of()).sentence())
                .isEqualTo("\"long.wav\" is larger than 10 MB; cut the clip or lower its quality.");
        assertThat(school.substitute()
                        .upload(address, "tone.wav", wav(), Map.of())
                        .status())
                .isEqualTo(403);
        assertThat(School.open(server)
                        .director()
                        .get("/api/demonstrations/" + id)
                        .status())
                .as("another programme's")
                .isEqualTo(404);
        assertThat(director.delete("/api/demonstrations/" + id).status()).isEqualTo(204);
        assertThat(director.get("/api/demonstrations/" + id).sentence())
                .isEqualTo("That demonstration is not here any more.");
    }

    @Test
    void whoHasStillToPassWhatComesBefore() {
        String hold = take("trumpet-left-hand");
        String sound = take("trumpet-sound");
        Map<String, Object> pass = school.attempt("Flo Hart", "line", "PASS");
        pass.put("milestoneId", hold);
        director.post("/api/attempts", pass);
        JsonNode before = director.get(
                        "/api/checks/" + sound + "/readiness?classId=" + school.id("Winds") + "&instrument=trumpet")
                .json();
        assertThat(before.size()).isEqualTo(1);
        assertThat(before.get(0).path("title").asString()).isEqualTo("Trumpet: the left hand carries");
        assertThat(before.get(0).path("asked").asInt()).isEqualTo(2);
        assertThat(before.get(0).path("missing").toString()).isEqualTo("[\"Ed Stone\"]");
    }

    private Map<String, Object> carrying(String check, Map<String, Object> carry) {
        Map<String, Object> order = school.order(List.of(school.tutti()), "line");
        order.put("milestones", List.of(Map.of("orderId", UUID.randomUUID(), "milestoneId", check)));
        order.put("carries", List.of(Map.of("place", "where it lies"), carry));
        return order;
    }

    @Test
    void oneOrderCarriesAnotherPlaceForEachSection() {
        Map<String, Object> clarinets = new LinkedHashMap<>();
        clarinets.put("instrument", "clarinet");
        clarinets.put("division", "First");
        clarinets.put("lineId", school.id("line 2"));
        clarinets.put("place", "across the break");
        clarinets.put("drill", "four slow, four fast");
        String check = school.id("check").toString();
        Answer ordered = director.post("/api/season/orders", carrying(check, clarinets));
        assertThat(ordered.status()).as(ordered.text()).isEqualTo(201);
        JsonNode sheet =
                director.get("/api/season/sheet?classId=" + school.id("Winds")).json();
        Map<String, String> places = new LinkedHashMap<>();
        sheet.path("parts")
                .forEach(part -> part.path("items")
                        .forEach(item -> places.put(
                                (part.path("name").asString() + " "
                                                + part.path("division").asString())
                                        .strip(),
                                item.path("place").asString())));
        assertThat(places)
                .containsEntry("Clarinets First", "across the break")
                .containsEntry("Clarinets Second", "where it lies")
                .containsEntry("Flutes", "where it lies");
        assertThat(sheet.toString()).contains("page 4, line 2", "C major");
        JsonNode run = director.get("/api/hearing/run/" + check + "?classId=" + school.id("Winds"))
                .json();
        run.path("players").forEach(player -> {
            if (player.path("name").asString().equals("Cy Moor")) {
                assertThat(player.path("carried").path("line").asString()).isEqualTo("Two gulls");
            }
        });
    }

    @Test
    void whatCannotBeCarriedIsSaid() {
        String check = school.id("check").toString();
        assertThat(director.post("/api/season/orders", carrying(check, Map.of("instrument", "flute")))
                        .sentence())
                .isEqualTo("Say what the section carries: a line, a place, a pattern or a drill.");
        assertThat(director.post("/api/season/orders", carrying(check, Map.of("drill", "slow")))
                        .sentence())
                .isEqualTo("A section is named twice; it carries one thing.");
        assertThat(director.post(
                                "/api/season/orders",
                                carrying(check, Map.of("instrument", "flute", "lineId", school.id("test"))))
                        .sentence())
                .isEqualTo("A check carries a line of a book, nothing else.");
        Map<String, Object> two = carrying(check, Map.of("instrument", "flute", "place", "low"));
        two.put(
                "milestones",
                List.of(
                        Map.of("orderId", UUID.randomUUID(), "milestoneId", check),
                        Map.of("orderId", UUID.randomUUID(), "milestoneId", school.id("line"))));
        assertThat(director.post("/api/season/orders", two).sentence())
                .isEqualTo("Order one check at a time when sections carry something of their own.");
    }
}
