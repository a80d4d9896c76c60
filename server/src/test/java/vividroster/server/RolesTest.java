package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.ApiDocument;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Who may what: section coaches and substitute teachers see and hear their own, and nothing else. */
class RolesTest {

    /** Everything a coach or substitute teacher may read, beside what only shows what belongs to nobody. */
    private static final Set<String> CUT_TO_THEIR_OWN = Set.of(
            "/api/rail",
            "/api/podium",
            "/api/board",
            "/api/board/faults",
            "/api/hearing/choices",
            "/api/hearing/run/{milestoneId}");

    private static final Set<String> NOBODYS = Set.of(
            "/api/session",
            "/api/year",
            "/api/classes",
            "/api/instruments",
            "/api/instruments/{instrument}/parts",
            "/api/library",
            "/api/checks/{milestoneId}",
            "/api/checks/starters",
            "/api/checks/cautions",
            "/api/checks/retired",
            "/api/checks/{milestoneId}/demonstrations",
            "/api/demonstrations/{demonstrationId}",
            "/api/lines/with-notes",
            "/api/lines/{lineId}/notes",
            "/api/lines/{lineId}/ladder",
            "/api/lines/{lineId}/remarks",
            "/api/lines/{lineId}/line.mid",
            "/api/warm-up",
            "/api/warm-up/part");

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private ApiClient trumpetCoach() {
        return school.coach(
                new SectionScope.Section(school.id("Winds"), new InstrumentCode("trumpet"), Optional.empty()));
    }

    private String filled(String path) {
        return path.replace("{studentId}", school.id("Ana Reed").toString())
                .replace("{milestoneId}", school.id("line").toString())
                .replace("{lineId}", school.id("line").toString())
                .replace("{classId}", school.id("Winds").toString())
                .replace("{instrument}", "flute")
                .replaceAll("\\{\\w+}", UUID.randomUUID().toString());
    }

    @Test
    void everyOtherAddressIsClosed() {
        List<ApiClient> limited = List.of(trumpetCoach(), school.substitute());
        List<String> open = new ArrayList<>();
        for (ApiDocument.Operation operation : ApiDocument.kept().operations()) {
            String path = operation.path();
            boolean read = operation.method().equals("GET");
            boolean allowed = read && (CUT_TO_THEIR_OWN.contains(path) || NOBODYS.contains(path))
                    || path.startsWith("/api/session")
                    || path.startsWith("/api/attempts")
                    || path.equals("/api/pain-reports")
                    // Only of students in reach; CallingTest, LiveTest, HabitWatchTest and WhomToHearTest ask.
                    || path.equals("/api/absences")
                    || path.equals("/api/habits/looks")
                    || path.equals("/api/hearing/positions/{milestoneId}")
                    || path.equals("/api/hearing/belts-in-reach/{milestoneId}")
                    // Of one's own marks.
                    || path.equals("/api/hearing/pace/{milestoneId}")
                    || path.equals("/api/live/desk")
                    || path.equals("/api/invitations/look")
                    || path.equals("/api/invitations/take")
                    // Its secret is the key, whoever is signed in.
                    || path.startsWith("/calendar/");
            if (allowed) {
                continue;
            }
            for (ApiClient client : limited) {
                Answer answer = client.raw(operation.method(), filled(path), read ? "" : "{}", "application/json");
                if (answer.status() != 403) {
                    open.add(operation + " answered " + answer.status());
                }
            }
        }
        assertThat(open).isEmpty();
    }

    private static List<String> names(JsonNode rows) {
        List<String> names = new ArrayList<>();
        rows.forEach(row -> names.add(row.path("name").asString()));
        return names;
    }

    @Test
    void aCoachSeesOwnSectionsWithoutGradesAndPain() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "test"));
        Map<String, Object> pain = new HashMap<>();
        pain.put("id", UUID.randomUUID());
        pain.put("studentId", school.id("Ed Stone"));
        pain.put("classId", school.id("Winds"));
        pain.put("place", "left wrist");
        assertThat(director.post("/api/pain-reports", pain).status()).isEqualTo(201);
        ApiClient coach = trumpetCoach();
        String winds = "classId=" + school.id("Winds");
        assertThat(names(coach.get("/api/rail?" + winds).json().path("sections")))
                .containsExactly("Trumpet");
        JsonNode board = coach.get("/api/board?" + winds).json();
        assertThat(names(board.path("rows"))).containsExactly("Flo Hart", "Ed Stone");
        assertThat(board.path("columns")).as("the line, not the test").hasSize(1);
        assertThat(coach.get("/api/board?" + winds + "&instrument=flute").json().path("rows"))
                .isEmpty();
        JsonNode podium = coach.get("/api/podium").json().path("classes");
        assertThat(podium).hasSize(1);
        assertThat(podium.get(0).path("students").asInt()).isEqualTo(2);
        assertThat(podium.get(0).path("pain")).isEmpty();
        assertThat(director.get("/api/podium").text()).contains("left wrist");
        JsonNode choices = coach.get("/api/hearing/choices?" + winds).json();
        assertThat(choices).hasSize(1);
        assertThat(choices.get(0).path("asked").asInt()).isEqualTo(2);
        assertThat(coach.get("/api/hearing/run/" + school.id("test") + "?" + winds)
                        .sentence())
                .isEqualTo("Playing tests are heard by a director or an assistant.");
        assertThat(coach.get("/api/hearing/run/" + school.id("line") + "?" + winds)
                        .json()
                        .path("players"))
                .hasSize(2);
    }

    @Test
    void aCoachHearsOwnSectionsAlone() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "test"));
        ApiClient coach = trumpetCoach();
        assertThat(coach.post("/api/attempts", school.attempt("Flo Hart", "line", "PASS"))
                        .status())
                .isEqualTo(200);
        Answer other = coach.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        assertThat(other.status()).isEqualTo(403);
        assertThat(other.sentence()).isEqualTo("This student sits in none of your sections.");
        Map<String, Object> graded = school.attempt("Flo Hart", "test", "PASS");
        graded.put("marks", List.of(Map.of("ordinal", 1, "points", 4), Map.of("ordinal", 2, "points", 4)));
        assertThat(coach.post("/api/attempts", graded).status()).isEqualTo(403);
        Map<String, Object> pain = new HashMap<>();
        pain.put("id", UUID.randomUUID());
        pain.put("studentId", school.id("Ana Reed"));
        pain.put("classId", school.id("Winds"));
        pain.put("place", "left wrist");
        assertThat(coach.post("/api/pain-reports", pain).sentence())
                .isEqualTo("This student is none of yours; tell a director at once.");
    }

    @Test
    void whatADirectorHeardIsNotACoachsToCorrect() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        Map<String, Object> heard = school.attempt("Flo Hart", "line", "PASS");
        director.post("/api/attempts", heard);
        ApiClient coach = trumpetCoach();
        Answer answer = coach.post(
                "/api/attempts/" + heard.get("id") + "/correction",
                Map.of("id", UUID.randomUUID(), "outcome", "UNDONE", "reason", "mistaken"));
        assertThat(answer.status()).isEqualTo(403);
        assertThat(answer.sentence()).isEqualTo("Somebody else heard this; a director or an assistant can correct it.");
    }

    @Test
    void whatASubstituteTeacherHeardIsMarkedSo() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        ApiClient substitute = school.substitute();
        assertThat(substitute
                        .post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"))
                        .status())
                .isEqualTo(200);
        String tries = director.get("/api/students/" + school.id("Ana Reed") + "/milestones/" + school.id("line")
                        + "/tries?instrument=flute")
                .text();
        assertThat(tries).contains(", substitute teacher");
    }

    @Test
    void aSubstituteTeacherSeesTheClassesOfTheDayOnly() {
        assertThat(director.put("/api/classes/" + school.id("Winds"), withTimes(school, "Winds", List.of("MONDAY")))
                        .status())
                .isEqualTo(204);
        // Today is a Wednesday: Winds does not meet, Jazz does.
        ApiClient substitute = school.substitute();
        JsonNode podium = substitute.get("/api/podium").json().path("classes");
        assertThat(podium).hasSize(1);
        assertThat(podium.get(0).path("name").asString()).isEqualTo("Jazz");
        assertThat(substitute
                        .get("/api/board?classId=" + school.id("Winds"))
                        .json()
                        .path("rows"))
                .as("who sits in Jazz too is seen there")
                .isEmpty();
        Answer answer = substitute.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        assertThat(answer.sentence())
                .isEqualTo("A substitute teacher hears the classes of the day; this student sits in none of them.");
    }

    private static Map<String, Object> withTimes(School school, String name, List<String> weekdays) {
        Map<String, Object> typed = new HashMap<>(School.classOf(name, "09:00"));
        typed.put("meets", List.of(School.time(weekdays, List.of(), 2, "09:00", 45)));
        return typed;
    }

    @Test
    void anAssistantOrdersAndEditsTheLibraryButSetsUpNothing() {
        ApiClient assistant = school.assistant();
        assertThat(assistant
                        .post("/api/season/orders", school.order(List.of(school.tutti()), "line"))
                        .status())
                .isEqualTo(201);
        assertThat(assistant
                        .post("/api/books", Map.of("title", "Second shelf", "volume", "", "notesKept", false))
                        .status())
                .isLessThan(300);
        assertThat(assistant.get("/api/people").status()).isEqualTo(403);
        assertThat(assistant.get("/api/invitations").status()).isEqualTo(403);
    }
}
