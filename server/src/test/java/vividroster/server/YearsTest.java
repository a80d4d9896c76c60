package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** School years as directors type them. */
class YearsTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private JsonNode year() {
        return director.get("/api/years").json().get(0);
    }

    private static Map<String, Object> entry(String kind, String name, String first, String last) {
        return Map.of("kind", kind, "name", name, "firstDay", first, "lastDay", last);
    }

    private static Map<String, Object> typed(JsonNode year, List<Map<String, Object>> entries) {
        Map<String, Object> typed = new HashMap<>();
        typed.put("name", year.path("name").asString());
        typed.put("firstDay", year.path("firstDay").asString());
        typed.put("lastDay", year.path("lastDay").asString());
        typed.put("rotation", year.path("rotation"));
        typed.put("entries", entries);
        return typed;
    }

    private Answer keep(String id, Map<String, Object> typed) {
        return director.put("/api/years/" + id, typed);
    }

    @Test
    void aBreakTypedClosesTheRibbonThePodiumAndTheDueDaysAtOnce() {
        JsonNode before = year();
        String today = School.TODAY.toString();
        Map<String, Object> typed = typed(
                before,
                List.of(
                        entry(
                                "BREAK",
                                "Autumn break",
                                today,
                                School.TODAY.plusDays(2).toString()),
                        entry("CONCERT", "Winter concert", "2026-12-16", "2026-12-16")));
        assertThat(keep(before.path("id").asString(), typed).status()).isEqualTo(204);
        JsonNode after = year();
        assertThat(after.path("entries")).hasSize(2);
        assertThat(after.path("entries").get(0).path("name").asString()).isEqualTo("Autumn break");
        JsonNode ribbon = director.get("/api/year").json();
        assertThat(ribbon.path("entries").toString()).contains("Autumn break").contains("Winter concert");
        assertThat(director.get("/api/podium?on=" + today).text()).contains("Autumn break");
        String due = director.get("/api/season/due-day?on=" + today + "&classId=" + school.id("Winds"))
                .json()
                .path("dueOn")
                .asString();
        assertThat(due).isGreaterThan(School.TODAY.plusDays(2).toString());
        assertThat(keep(before.path("id").asString(), typed).status()).isEqualTo(204);
        assertThat(year().path("entries")).hasSize(2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "lastDay | 2020-01-01 | lastDay | The last day comes after the first, ",
                "lastDay | 2079-01-01 | lastDay | A school year has at most 400 days from first to last; begin another one.",
                "name | ' ' | name | Give the year a name, for example 2026–2027.",
                "firstDay | 2026-99-01 | firstDay | \"2026-99-01\" is no day from 2000-01-01 to 2079-12-31"
            })
    void whatIsNoYearIsToldAtItsField(String field, String value, String told, String sentence) {
        JsonNode before = year();
        Map<String, Object> typed = typed(before, List.of());
        typed.put(field, value);
        Answer answer = keep(before.path("id").asString(), typed);
        assertThat(answer.status()).isIn(400, 422);
        assertThat(answer.field()).isEqualTo(told);
        assertThat(answer.sentence()).startsWith(sentence);
        assertThat(year()).isEqualTo(before);
    }

    @Test
    void breaksThatShareADayAreToldAtTheSecond() {
        JsonNode before = year();
        Answer answer = keep(
                before.path("id").asString(),
                typed(
                        before,
                        List.of(
                                entry("BREAK", "Winter break", "2026-12-21", "2027-01-01"),
                                entry("LOST_DAY", "Storm", "2026-12-31", "2026-12-31"))));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo("entries[1]");
        assertThat(answer.sentence())
                .isEqualTo("\"Storm\" and \"Winter break\" both close school on 31 December 2026.");
    }

    @Test
    void aSecondYearFollowsTheFirstAndDoesNotRunIntoIt() {
        JsonNode first = year();
        Map<String, Object> next = new HashMap<>(Map.of(
                "name", "Next year",
                "firstDay", first.path("lastDay").asString(),
                "lastDay", "2028-06-10",
                "rotation", List.of(),
                "entries", List.of()));
        next.put("firstDay", "2027-06-01");
        String id = UUID.randomUUID().toString();
        Answer into = keep(id, next);
        assertThat(into.status()).isEqualTo(422);
        assertThat(into.sentence())
                .startsWith("It runs into " + first.path("name").asString() + ", which is from ");
        next.put("firstDay", "2027-08-23");
        assertThat(keep(id, next).status()).isEqualTo(204);
        assertThat(director.get("/api/years").json()).hasSize(2);
        assertThat(director.get("/api/board?classId=" + school.id("Winds")).status())
                .isEqualTo(200);
    }

    @Test
    void aLetterIsNotTakenFromTheClassThatMeetsOnIt() {
        JsonNode before = year();
        Map<String, Object> typed = typed(before, List.of());
        typed.put("rotation", List.of("A", "B"));
        assertThat(keep(before.path("id").asString(), typed).status()).isEqualTo(204);
        Answer made = director.put("/api/classes/" + UUID.randomUUID(), School.classOf("Ferry Winds", "10:00", "B"));
        assertThat(made.status()).as(made.text()).isLessThan(300);
        typed.put("rotation", List.of());
        Answer answer = keep(before.path("id").asString(), typed);
        assertThat(answer.field()).isEqualTo("rotation");
        assertThat(answer.sentence()).isEqualTo("Ferry Winds meets on B-days; say first when it meets.");
    }

    @Test
    void anAssistantLooksAndDoesNotType() {
        ApiClient assistant = school.assistant();
        JsonNode before = year();
        assertThat(assistant.get("/api/years").status()).isEqualTo(200);
        assertThat(assistant
                        .put("/api/years/" + before.path("id").asString(), typed(before, List.of()))
                        .status())
                .isEqualTo(403);
    }
}
