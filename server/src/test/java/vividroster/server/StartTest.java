package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.server.account.Programmes;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** The first hour: the guide of an empty programme, its templates, and the made-up school beside it. */
class StartTest {

    private final RunningServer server = RunningServer.shared();
    private final Programmes.Opened opened = server.bean(Programmes.class).open("first-" + UUID.randomUUID());
    private final ApiClient director = server.visitor().signIn(opened.signInName(), opened.password());

    private Map<String, String> guide(String part) {
        Map<String, String> steps = new HashMap<>();
        for (JsonNode step : director.get("/api/start").json().path("steps")) {
            steps.put(step.path("step").asString(), step.path(part).asString());
        }
        return steps;
    }

    private void describe() {
        assertThat(director.put(
                                "/api/programme",
                                Map.of("name", "Harbour Hill", "zone", "America/New_York", "campuses", List.of()))
                        .status())
                .isEqualTo(204);
    }

    private UUID addClass(String name) {
        UUID id = UUID.randomUUID();
        assertThat(director.put("/api/classes/" + id, School.classOf(name, "09:00"))
                        .status())
                .isEqualTo(204);
        return id;
    }

    private void takeRoster(String rows) {
        byte[] file = ("name,class,instrument\n" + rows).getBytes();
        String fingerprint = director.upload("/api/roster-import/preview", "r.csv", file, Map.of())
                .json()
                .path("fingerprint")
                .asString();
        assertThat(director.upload("/api/roster-import?fingerprint=" + fingerprint, "r.csv", file, Map.of())
                        .status())
                .isEqualTo(200);
    }

    @Test
    void theGuideFollowsWhatIsThere() {
        assertThat(guide("state").values()).containsOnly("OPEN");
        describe();
        assertThat(guide("sentence").get("SCHOOL_AND_YEAR"))
                .matches(
                        "Harbour Hill, 1[5-9] August to 1\\d June, 0 breaks|Harbour Hill, 2[01] August to 1\\d June, 0 breaks");
        addClass("Winds");
        addClass("Strings");
        assertThat(guide("sentence")).containsEntry("CLASSES", "Strings and Winds");
        takeRoster("Ana Reed,Winds,Flute\nBo Lund,Winds,Trumpet\n");
        assertThat(guide("sentence")).containsEntry("ROSTER", "nobody sits in Strings yet");
        assertThat(guide("state")).containsEntry("ROSTER", "BEGUN").containsEntry("FIRST_WEEKS", "OPEN");
        takeRoster("Cy Moor,Strings,Violin\n");
        assertThat(guide("sentence")).containsEntry("ROSTER", "3 students in 2 classes");
        director.post("/api/shipped-books", Map.of("volume", "Winds"));
        assertThat(guide("sentence").get("BOOKS")).startsWith("1 book, ");
        director.put("/api/start/steps/SCHOOLS", Map.of("as", "SEEN"));
        director.post("/api/invitations", Map.of("displayName", "Bram", "role", "ASSISTANT"));
        assertThat(guide("state")).containsEntry("SCHOOLS", "DONE").containsEntry("WHO_ELSE", "DONE");
        assertThat(director.put("/api/start/steps/FIRST_WEEKS", Map.of("as", "LEFT_OUT"))
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/start").json().path("over").asBoolean()).isTrue();
        director.put("/api/start/steps/FIRST_WEEKS", Map.of());
        assertThat(director.get("/api/start").json().path("over").asBoolean()).isFalse();
    }

    @Test
    void whatIsNoSchoolIsTold() {
        Answer zone = director.put(
                "/api/programme", Map.of("name", "Harbour Hill", "zone", "Mars/Olympus", "campuses", List.of()));
        assertThat(zone.field()).isEqualTo("zone");
        assertThat(zone.sentence()).startsWith("\"Mars/Olympus\" is no time zone");
        assertThat(director.put("/api/programme", Map.of("name", " ", "zone", "UTC", "campuses", List.of()))
                        .sentence())
                .isEqualTo("Say what the school is called.");
        assertThat(director.put("/api/start/steps/NONE", Map.of()).status()).isBetween(400, 422);
    }

    @Test
    void aFirstLadderAndATestComeFromTemplates() {
        assertThat(director.post("/api/start/ladder", Map.of()).sentence()).startsWith("Nobody is on the roster yet");
        addClass("Winds");
        takeRoster("Ana Reed,Winds,Flute\nBo Lund,Winds,Trumpet\n");
        director.post("/api/shipped-books", Map.of("volume", "Winds"));
        String book = director.get("/api/books").json().get(0).path("id").asString();
        assertThat(director.post("/api/start/ladder", Map.of("bookId", book))
                        .json()
                        .path("belts")
                        .asInt())
                .isEqualTo(3);
        assertThat(director.post("/api/start/ladder", Map.of("bookId", book)).status())
                .isEqualTo(409);
        JsonNode library = director.get("/api/library").json();
        assertThat(library.path("belts")).hasSize(3);
        assertThat(library.path("belts").get(0).path("slots").size()).isBetween(3, 8);
        String line = null;
        for (JsonNode milestone : library.path("milestones")) {
            if (milestone.path("kind").asString().equals("LINE") && line == null) {
                line = milestone.path("id").asString();
            }
        }
        assertThat(director.post("/api/start/test", Map.of("lineId", line)).status())
                .isEqualTo(201);
        assertThat(director.get("/api/library").text())
                .contains("Test 1: First light")
                .contains("Hands and posture");
    }

    /** One life of a made-up school: it takes long to make. */
    @Test
    void oneLooksAroundInAMadeUpSchoolComesHomeAndThrowsItAway() throws Exception {
        describe();
        assertThat(director.post("/api/look-around", Map.of()).status()).isEqualTo(204);
        JsonNode there = director.get("/api/session").json();
        assertThat(there.path("program").asString()).isEqualTo("Tern Sound Schools");
        assertThat(there.path("lookingAround").asBoolean()).isTrue();
        assertThat(director.get("/api/classes").json()).hasSize(6);
        assertThat(director.post("/api/look-around", Map.of()).status())
                .as("it has none beside it")
                .isEqualTo(409);
        for (JsonNode person : director.get("/api/people").json()) {
            assertThat(server.visitor()
                            .trySignIn(person.path("signInName").asString(), "ferry-to-saltgrass")
                            .status())
                    .as("nobody signs in to it")
                    .isEqualTo(401);
        }
        assertThat(director.post("/api/look-around/home", Map.of()).status()).isEqualTo(204);
        JsonNode home = director.get("/api/session").json();
        assertThat(home.path("program").asString()).isEqualTo("Harbour Hill");
        assertThat(home.path("lookingAround").asBoolean()).isFalse();
        assertThat(director.get("/api/classes").json()).as("never mixed").isEmpty();
        assertThat(director.post("/api/look-around/home", Map.of()).sentence())
                .isEqualTo("You are in your own programme.");
        assertThat(director.delete("/api/look-around").status()).isEqualTo(204);
        try (var connection = server.database().connect();
                var row = connection
                        .createStatement()
                        .executeQuery("select count(*) from program where aside_of = '" + opened.programId() + "'")) {
            row.next();
            assertThat(row.getInt(1)).as("with everything in it").isZero();
        }
        assertThat(director.get("/api/session").status()).isEqualTo(200);
        assertThat(director.post("/api/look-around", Map.of()).status())
                .as("and made anew")
                .isEqualTo(204);
    }

    @Test
    void aRealProgrammeIsNeverThrownAway() throws Exception {
        School school = School.open(server);
        school.director().post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        try (var connection = server.database().connectAsApplication();
                var statement = connection.createStatement()) {
            statement.execute("select throw_away_aside('" + school.programId() + "')");
        }
        assertThat(school.director().get("/api/classes").json()).hasSize(2);
    }
}
