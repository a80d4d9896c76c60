package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;
import static vividroster.testkit.School.time;

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

/** Classes as directors set them up: times of meeting, wanted numbers, another name, an end, two that become one. */
class ClassesTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private static Map<String, Object> meeting(String name, List<Map<String, Object>> times) {
        Map<String, Object> typed = new HashMap<>(School.classOf(name, "09:00"));
        typed.put("meets", times);
        return typed;
    }

    private Answer keep(UUID id, Map<String, Object> typed) {
        return director.put("/api/classes/" + id, typed);
    }

    private JsonNode named(String name) {
        for (JsonNode one : director.get("/api/classes").json()) {
            if (one.path("name").asString().equals(name)) {
                return one;
            }
        }
        throw new AssertionError("no class " + name);
    }

    @Test
    void aClassIsKeptAsTypedAndTheSameAgainChangesNothing() {
        UUID id = UUID.randomUUID();
        Map<String, Object> typed = meeting(
                "Reed Room",
                List.of(
                        time(List.of("MONDAY", "THURSDAY"), List.of(), 3, "10:15", 40),
                        time(List.of("FRIDAY"), List.of(), 1, "08:00", 30)));
        assertThat(keep(id, typed).status()).isEqualTo(204);
        assertThat(keep(id, typed).status()).isEqualTo(204);
        JsonNode kept = named("Reed Room");
        assertThat(kept.path("when").asString()).isEqualTo("Mondays and Thursdays, period 3; Fridays, period 1");
        assertThat(kept.path("meets")).hasSize(2);
        assertThat(kept.path("meets").get(1).path("startsAt").asString()).isEqualTo("08:00");
        assertThat(keep(UUID.randomUUID(), typed).sentence())
                .isEqualTo("There is a class called \"Reed Room\" already.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "13 | 10:15 | 40 | meets[0].period | Periods go from 0 to 12.",
                "3 | 10:15 | 900 | meets[0].minutes | A class meets for 5 to 240 minutes.",
                "3 | 23:40 | 40 | meets[0].startsAt | A meeting that starts at 23:40 and lasts 40 minutes runs over midnight; look at"
                        + " the start again.",
            })
    void aTimeThatIsNoneIsTold(int period, String startsAt, int minutes, String field, String sentence) {
        Answer answer = keep(
                UUID.randomUUID(), meeting("Endless", List.of(time(List.of(), List.of(), period, startsAt, minutes))));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo(field);
        assertThat(answer.sentence()).isEqualTo(sentence);
    }

    @Test
    void aClassWithoutADayIsTold() {
        assertThat(keep(UUID.randomUUID(), meeting("Nowhere", List.of())).sentence())
                .isEqualTo("Say when the class meets; without a time it is on no day.");
        assertThat(keep(UUID.randomUUID(), meeting("Ferry", List.of(time(List.of(), List.of("C"), 1, "08:00", 40))))
                        .sentence())
                .startsWith("This school year has no letters; \"C\" would be on no day.");
        assertThat(keep(
                                UUID.randomUUID(),
                                meeting(
                                        "Twice",
                                        List.of(
                                                time(List.of(), List.of(), 1, "08:00", 40),
                                                time(List.of("MONDAY"), List.of(), 2, "09:00", 40))))
                        .sentence())
                .isEqualTo("This time and time 1 may fall on one day; a class meets once on a day. Give them different"
                        + " days.");
    }

    @Test
    void wantedNumbersStandBesideThoseThereAre() {
        Map<String, Object> typed = new HashMap<>(School.classOf("Winds", "09:00"));
        typed.put(
                "wanted",
                List.of(
                        Map.of("instrument", "flute", "division", "", "students", 4),
                        Map.of("instrument", "tuba", "division", "", "students", 1)));
        assertThat(keep(school.id("Winds"), typed).status()).isEqualTo(204);
        JsonNode sections = named("Winds").path("sections");
        assertThat(sections.get(0).path("instrument").asString()).isEqualTo("flute");
        assertThat(sections.get(0).path("students").asInt()).isEqualTo(2);
        assertThat(sections.get(0).path("wanted").asInt()).isEqualTo(4);
        JsonNode last = sections.get(sections.size() - 1);
        assertThat(last.path("instrument").asString()).isEqualTo("tuba");
        assertThat(last.path("students").asInt()).as("nobody yet").isZero();
        typed.put(
                "wanted",
                List.of(
                        Map.of("instrument", "flute", "division", "", "students", 4),
                        Map.of("instrument", "flute", "division", "", "students", 5)));
        assertThat(keep(school.id("Winds"), typed).sentence())
                .isEqualTo("A section is there twice; say once how many you want.");
    }

    @Test
    void aClassEndsWithItsSeatsAndGoesOnWithThem() {
        String address = "/api/classes/" + school.id("Jazz") + "/end";
        assertThat(director.post(address, Map.of("lastDay", "2026-10-01")).status())
                .isEqualTo(204);
        assertThat(director.get("/api/classes").json()).hasSize(1);
        assertThat(director.get("/api/classes/ended")
                        .json()
                        .get(0)
                        .path("lastDay")
                        .asString())
                .isEqualTo("2026-10-01");
        assertThat(director.post(address, Map.of("lastDay", "2026-10-02")).sentence())
                .isEqualTo("Jazz ended on 2026-10-01 already.");
        assertThat(keep(UUID.randomUUID(), School.classOf("Jazz", "10:00")).status())
                .as("its name is free")
                .isEqualTo(204);
        assertThat(director.delete(address).sentence()).isEqualTo("There is a class called \"Jazz\" already.");
    }

    @Test
    void aClassThatGoesOnHasItsPlayersAgain() {
        String address = "/api/classes/" + school.id("Jazz") + "/end";
        director.post(address, Map.of("lastDay", "2026-10-01"));
        assertThat(director.delete(address).status()).isEqualTo(204);
        assertThat(named("Jazz").path("students").asInt()).isEqualTo(1);
    }

    @Test
    void twoClassesBecomeOne() {
        String address = "/api/classes/" + school.id("Winds") + "/merge";
        assertThat(director.post(address, Map.of("into", school.id("Winds"), "from", "2026-11-02"))
                        .sentence())
                .isEqualTo("Choose another class to merge with.");
        assertThat(director.post(address, Map.of("into", school.id("Jazz"), "from", "2026-08-01"))
                        .sentence())
                .startsWith("Somebody joins on ");
        Answer merged = director.post(address, Map.of("into", school.id("Jazz"), "from", "2026-10-07"));
        assertThat(merged.json().path("students").asInt())
                .as("six of Winds, one of whom sits there already")
                .isEqualTo(5);
        assertThat(director.get("/api/classes").json()).hasSize(1);
        assertThat(named("Jazz").path("students").asInt()).isEqualTo(6);
    }

    @Test
    void whoHearsChangesNoClass() {
        ApiClient assistant = school.assistant();
        assertThat(assistant
                        .put("/api/classes/" + school.id("Jazz"), School.classOf("Jazz", "10:00"))
                        .status())
                .isEqualTo(403);
        assertThat(assistant
                        .post("/api/classes/" + school.id("Jazz") + "/end", Map.of("lastDay", "2026-10-01"))
                        .status())
                .isEqualTo(403);
    }
}
