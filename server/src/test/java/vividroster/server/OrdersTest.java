package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class OrdersTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Answer order(List<Map<String, Object>> scopes, String... milestones) {
        return director.post("/api/season/orders", school.order(scopes, milestones));
    }

    /** Who has a milestone on the board of a scope, by name. */
    private List<String> having(String milestone, String scope) {
        JsonNode board = director.get("/api/board?" + scope).json();
        List<String> names = new ArrayList<>();
        for (int column = 0; column < board.path("columns").size(); column++) {
            if (!board.path("columns")
                    .get(column)
                    .path("milestoneIds")
                    .get(0)
                    .asString()
                    .equals(school.id(milestone).toString())) {
                continue;
            }
            for (JsonNode row : board.path("rows")) {
                if (!row.path("marks").get(column).path("state").asString().equals("NOT_SET")) {
                    names.add(row.path("name").asString());
                }
            }
        }
        return names;
    }

    private String winds() {
        return "classId=" + school.id("Winds");
    }

    @Test
    void dueDaysGoIntoOtherCalendars() {
        order(List.of(school.section("flute"), school.section("trumpet")), "line");
        order(List.of(school.tutti()), "test");
        Answer answer = director.get("/api/season/due.ics?" + winds());
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.contentType()).startsWith("text/calendar");
        String text = answer.text().replace("\r\n ", "");
        assertThat(text.split("BEGIN:VEVENT"))
                .as("two due, and the day the test is heard")
                .hasSize(4);
        assertThat(text)
                .contains("Hearing: Winds\\, about ")
                .contains("Playing test: ")
                .contains("Due: ")
                .contains("DESCRIPTION:Flute\\, Trumpet")
                .contains("DESCRIPTION:Tutti")
                .contains("DTSTART;VALUE=DATE:20261009");
        assertThat(director.get("/api/season/due.ics?" + winds())
                        .text()
                        .lines()
                        .filter(l -> l.startsWith("UID"))
                        .toList())
                .isEqualTo(text.lines().filter(l -> l.startsWith("UID")).toList());
        assertThat(director.get("/api/season/due.ics?classId=" + Ids.next()).status())
                .isEqualTo(404);
    }

    @Test
    void tuttiIsEverybodyWhoSitsThereNow() {
        assertThat(order(List.of(school.tutti()), "line").status()).isEqualTo(201);
        assertThat(having("line", winds()))
                .containsExactly("Bo Lund", "Ana Reed", "Cy Moor", "Di Vale", "Flo Hart", "Ed Stone");
    }

    @Test
    void aFamilyASectionADivision() {
        order(List.of(Map.of("classId", school.id("Winds"), "family", "BRASS")), "line");
        assertThat(having("line", winds())).containsExactly("Flo Hart", "Ed Stone");
        order(List.of(school.section("flute")), "line 2");
        assertThat(having("line 2", winds())).containsExactly("Bo Lund", "Ana Reed");
        order(List.of(Map.of("classId", school.id("Winds"), "instrument", "clarinet", "division", "Second")), "check");
        assertThat(having("check", winds())).containsExactly("Di Vale");
    }

    @Test
    void anInstrumentAcrossClassesReachesEachStudentOnce() {
        order(List.of(Map.of("instrument", "trumpet")), "line");
        assertThat(having("line", winds())).containsExactly("Flo Hart", "Ed Stone");
        assertThat(having("line", "classId=" + school.id("Jazz"))).containsExactly("Ed Stone");
        JsonNode across = director.get("/api/board?instrument=trumpet").json();
        assertThat(across.path("rows").size()).isEqualTo(2);
    }

    @Test
    void orderingABeltOrdersWhatFillsItsSlots() {
        order(List.of(school.tutti()), "belt");
        assertThat(having("line", winds())).hasSize(6);
        assertThat(having("sound", winds())).containsExactly("Bo Lund", "Ana Reed");
        assertThat(having("check", winds())).containsExactly("Flo Hart", "Ed Stone");
    }

    @Test
    void aBeltIsEarnedWhenItsSlotsArePassed() {
        order(List.of(school.tutti()), "belt");
        director.post("/api/attempts", school.attempt("Flo Hart", "line", "PASS"));
        assertThat(rowOf("Flo Hart").has("wornBelt")).isFalse();
        assertThat(rowOf("Flo Hart").path("missing").get(0).asString()).isEqualTo("Body");
        director.post("/api/attempts", school.attempt("Flo Hart", "check", "PASS"));
        assertThat(rowOf("Flo Hart").path("wornBelt").asString())
                .isEqualTo(school.id("belt").toString());
    }

    private JsonNode rowOf(String name) {
        for (JsonNode row : director.get("/api/board?" + winds()).json().path("rows")) {
            if (row.path("name").asString().equals(name)) {
                return row;
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void substitutesPassOnlyWhereTheOrderAcceptsThem() {
        order(List.of(school.tutti()), "line");
        Map<String, Object> piece = school.attempt("Ana Reed", "line", "PASS");
        piece.put("evidence", "SUBSTITUTE");
        assertThat(director.post("/api/attempts", piece)
                        .json()
                        .path("standing")
                        .path("state")
                        .asString())
                .isEqualTo("TRIED");
        Map<String, Object> accepting = school.order(List.of(school.tutti()), "line 2");
        accepting.put("substituteAccepted", true);
        director.post("/api/season/orders", accepting);
        Map<String, Object> accepted = school.attempt("Ana Reed", "line 2", "PASS");
        accepted.put("evidence", "SUBSTITUTE");
        assertThat(director.post("/api/attempts", accepted)
                        .json()
                        .path("standing")
                        .path("state")
                        .asString())
                .isEqualTo("PASSED_BY_SUBSTITUTE");
    }

    @Test
    void sendingAnOrderTwiceOrdersOnce() {
        Map<String, Object> body = school.order(List.of(school.tutti()), "line");
        director.post("/api/season/orders", body);
        assertThat(director.post("/api/season/orders", body).status()).isEqualTo(201);
        assertThat(director.get("/api/season/orders?" + winds()).json().size()).isEqualTo(1);
    }

    @Test
    void ordersThatCannotBe() {
        Map<String, Object> backwards = school.order(List.of(school.tutti()), "line");
        backwards.put("dueOn", "2026-09-01");
        Answer answer = director.post("/api/season/orders", backwards);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo("dueOn");
        assertThat(answer.sentence()).isEqualTo("The due day comes before the day it is set.");

        Map<String, Object> summer = school.order(List.of(school.tutti()), "line");
        summer.put("dueOn", "2027-07-20");
        assertThat(director.post("/api/season/orders", summer).sentence())
                .isEqualTo("An order lies within the school year, 2026-08-17 to 2027-06-11.");

        assertThat(order(List.of(school.section("tuba")), "line").sentence())
                .startsWith("Nobody in the sections chosen can take \"First light\"");
        assertThat(order(List.of(school.section("kazoo")), "line").sentence())
                .isEqualTo("\"kazoo\" is not an instrument of the catalog.");
        assertThat(order(List.of(), "line").sentence()).isEqualTo("Choose at least one section.");
        assertThat(order(List.of(school.tutti())).sentence()).isEqualTo("Choose at least one milestone.");
        assertThat(order(List.of(Map.of()), "line").sentence())
                .isEqualTo("Choose a class, or an instrument in every class.");

        order(List.of(school.tutti()), "line");
        Answer again = order(List.of(school.tutti()), "line 2", "line");
        assertThat(again.status()).isEqualTo(409);
        assertThat(again.sentence()).contains("is set for these sections already, due 2026-10-09");
        assertThat(having("line 2", winds())).as("all of them or none").isEmpty();
    }

    @Test
    void aWithdrawnOrderLeavesWhatWasHeard() {
        String id =
                order(List.of(school.tutti()), "line").json().get(0).path("id").asString();
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        assertThat(director.delete("/api/season/orders/" + id).status()).isEqualTo(204);
        assertThat(director.delete("/api/season/orders/" + id).status()).isEqualTo(404);
        assertThat(having("line", winds())).isEmpty();
        assertThat(director.get("/api/students/" + school.id("Ana Reed") + "/folder")
                        .text())
                .contains("First light");
    }

    @Test
    void theDefaultDueDayIsTheLastMeetingOfTheWeek() {
        assertThat(director.get("/api/season/due-day?on=2026-10-05&" + winds())
                        .json()
                        .path("dueOn")
                        .asString())
                .isEqualTo("2026-10-09");
        assertThat(director.get("/api/season/due-day?on=2026-11-24&" + winds())
                        .json()
                        .path("dueOn")
                        .asString())
                .as("in a break: the next meeting after it")
                .isEqualTo("2026-11-30");
        assertThat(director.get("/api/season/due-day?on=tomorrow").status()).isEqualTo(400);
        assertThat(director.get("/api/season/due-day?on=2026-10-05&classId=" + Ids.next())
                        .status())
                .isEqualTo(404);
    }
}
