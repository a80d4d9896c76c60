package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Test days planned over HTTP from a problem that holds everything it needs. */
class TestDayTrialTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private static Map<String, Object> unit(String id, int seconds, String... periods) {
        Map<String, Object> unit = new HashMap<>(Map.of("id", id, "students", List.of(id + "'s"), "seconds", seconds));
        if (periods.length > 0) {
            unit.put("periods", List.of(periods));
        }
        return unit;
    }

    private static Map<String, Object> period(String id, int minutes) {
        return Map.of("id", id, "minutes", minutes);
    }

    private Answer plan(List<?> periods, List<?> units) {
        return director.post("/api/tests/day/trial", Map.of("periods", periods, "units", units));
    }

    @Test
    void aPlanSaysWhoIsHeardWhenAndWhetherItIsTheEarliest() {
        JsonNode plan = plan(
                        List.of(period("p1", 5), period("p2", 5)),
                        List.of(unit("u1", 200, "p2"), unit("u2", 140), unit("u3", 160), unit("u4", 400)))
                .json();
        assertThat(plan.path("slots").toString())
                .isEqualTo("[{\"unit\":\"u2\",\"period\":\"p1\",\"startSecond\":0},"
                        + "{\"unit\":\"u3\",\"period\":\"p1\",\"startSecond\":140},"
                        + "{\"unit\":\"u1\",\"period\":\"p2\",\"startSecond\":0}]");
        assertThat(plan.path("left").toString()).isEqualTo("[\"u4\"]");
        assertThat(plan.path("bound").asInt()).isEqualTo(2);
        assertThat(plan.path("proven").asBoolean()).isTrue();
    }

    @Test
    void whatCannotBeIsSaidWithItsField() {
        List<Map<String, Object>> periods = List.of(period("p1", 5));
        assertThat(plan(List.of(period("p1", 0)), List.of()).sentence())
                .isEqualTo("A test day without minutes hears nobody.");
        assertThat(plan(List.of(), List.of()).status()).isEqualTo(422);
        assertThat(plan(List.of(period("p1", 5), period("p1", 6)), List.of()).field())
                .isEqualTo("periods");
        assertThat(plan(periods, List.of(unit("a", 5), unit("a", 6))).field()).isEqualTo("units");
        assertThat(plan(periods, List.of(unit("a", 5, "p7"))).sentence())
                .isEqualTo("\"a\" is tied to a period that is not there.");
        assertThat(plan(periods, List.of(unit("a", 0))).status()).isEqualTo(422);
        Map<String, Object> twice = unit("b", 5);
        twice.put("students", List.of("a's"));
        assertThat(plan(periods, List.of(unit("a", 5), twice)).sentence()).isEqualTo("\"a's\" is heard twice.");
        Map<String, Object> nobody = unit("b", 5);
        nobody.put("students", List.of());
        assertThat(plan(periods, List.of(nobody)).status()).isEqualTo(422);
    }
}
