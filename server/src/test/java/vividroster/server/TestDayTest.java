package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Who is heard with a test in which of the coming periods. Winds meets every school day at nine, for 45 minutes. */
class TestDayTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    @BeforeEach
    void theTestIsSet() {
        assertThat(director.post("/api/season/orders", school.order(List.of(school.tutti()), "test"))
                        .status())
                .isLessThan(300);
    }

    private Answer asked(String milestone, String more) {
        return director.get("/api/tests/" + school.id(milestone) + "/day?classId=" + school.id("Winds")
                + "&from=2026-10-08" + more);
    }

    private static List<String> slots(JsonNode period) {
        List<String> slots = new ArrayList<>();
        period.path("slots").forEach(slot -> {
            List<String> names = new ArrayList<>();
            slot.path("students").forEach(s -> names.add(s.path("name").asString()));
            slots.add(slot.path("at").asString() + " " + String.join(" and ", names));
        });
        return slots;
    }

    @Test
    void everybodyHasAPlaceInTheEarliestPeriodsThereAre() {
        JsonNode day = asked("test", "&minutes=5").json();
        int each = day.path("takes").path("planned").asInt();
        int perPeriod = 300 / each;
        assertThat(perPeriod).as("more than one, not all").isBetween(1, 5);
        assertThat(day.path("periods")).hasSize(Math.ceilDiv(6, perPeriod));
        JsonNode first = day.path("periods").get(0);
        assertThat(first.path("on").asString()).isEqualTo("2026-10-08");
        assertThat(first.path("beginsAt").asString())
                .as("the last five minutes")
                .isEqualTo("09:40");
        assertThat(first.path("minutes").asInt()).isEqualTo(5);
        assertThat(first.path("usedSeconds").asInt()).isEqualTo(perPeriod * each);
        assertThat(day.path("periods").get(1).path("on").asString()).isEqualTo("2026-10-09");
        List<String> all = new ArrayList<>();
        day.path("periods").forEach(period -> all.addAll(slots(period)));
        assertThat(all).hasSize(6);
        assertThat(day.path("proven").asBoolean()).isTrue();
        assertThat(day.path("makeUp")).isEmpty();
        assertThat(day.path("sooner").path("together").asInt()).isGreaterThan(1);
    }

    @Test
    void pairsPlayTheSameInstrumentAndAreNotSplit() {
        JsonNode period =
                asked("test", "&minutes=40&together=2").json().path("periods").get(0);
        assertThat(slots(period)).hasSize(3);
        assertThat(String.join(", ", slots(period)))
                .containsPattern("(Ana Reed and Bo Lund|Bo Lund and Ana Reed)")
                .containsPattern("(Ed Stone and Flo Hart|Flo Hart and Ed Stone)");
    }

    @Test
    void whoIsAwayMakesUpAndWhoPassedIsHeard() {
        assertThat(director.post(
                                "/api/absences",
                                Map.of(
                                        "id",
                                        UUID.randomUUID(),
                                        "studentId",
                                        school.id("Ana Reed"),
                                        "classId",
                                        school.id("Winds"),
                                        "on",
                                        School.TODAY.toString(),
                                        "away",
                                        true))
                        .status())
                .isLessThan(300);
        Map<String, Object> heard = school.attempt("Bo Lund", "test", "PASS");
        heard.put("marks", List.of(Map.of("ordinal", 1, "points", 4), Map.of("ordinal", 2, "points", 4)));
        assertThat(director.post("/api/attempts", heard).status()).isLessThan(300);
        JsonNode day = asked("test", "&minutes=40").json();
        assertThat(day.path("makeUp").get(0).path("name").asString()).isEqualTo("Ana Reed");
        assertThat(day.path("makeUp").get(0).path("because").asString()).isEqualTo("ABSENT");
        assertThat(day.path("heard").get(0).path("name").asString()).isEqualTo("Bo Lund");
        assertThat(slots(day.path("periods").get(0))).hasSize(4);
    }

    @Test
    void whoHasNoRoomInTheComingWeeksIsSaid() {
        JsonNode day = asked("test", "&minutes=1&together=2").json();
        assertThat(day.path("periods")).isEmpty();
        assertThat(day.path("makeUp")).hasSize(6);
        assertThat(day.path("makeUp").get(0).has("because")).isFalse();
    }

    @Test
    void theDayGoesIntoACalendar() {
        Answer file = director.get("/api/tests/" + school.id("test") + "/day/calendar.ics?classId=" + school.id("Winds")
                + "&from=2026-10-08&minutes=40");
        assertThat(file.status()).isEqualTo(200);
        assertThat(file.text().split("BEGIN:VEVENT", -1)).hasSize(2);
        assertThat(file.text().replaceAll("\\r?\\n ", ""))
                .contains("DTSTART;VALUE=DATE:20261008")
                .contains("Winds\\, period 2 from 09:05")
                .contains("Ana Reed");
    }

    @Test
    void whatCannotBeIsSaid() {
        assertThat(asked("test", "&minutes=0").status()).isEqualTo(422);
        assertThat(asked("test", "&together=5").status()).isEqualTo(422);
        assertThat(director.get("/api/tests/" + school.id("test") + "/day?classId=" + school.id("Winds")
                                + "&from=2078-01-01")
                        .sentence())
                .isEqualTo("The school year ends on 2027-06-11; nobody is heard after it.");
        assertThat(asked("belt", "").sentence()).isEqualTo("A belt is not heard; what fills it is.");
        assertThat(asked("test", "&instrument=cello").sentence())
                .isEqualTo("Nobody there can take this: it is for other instruments.");
        assertThat(school.substitute()
                        .get("/api/tests/" + school.id("test") + "/day?classId=" + school.id("Winds"))
                        .status())
                .isEqualTo(403);
    }
}
