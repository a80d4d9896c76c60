package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Students one by one: added, renamed, seated in two classes, moved, and put on chairs that partners sit by. */
class StudentsTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private Answer seat(UUID student, String schoolClass, String instrument, String from) {
        return director.post(
                "/api/students/" + student + "/seats",
                Map.of("classId", school.id(schoolClass), "instrument", instrument, "division", "", "startsOn", from));
    }

    @Test
    void aStudentIsAddedSeatedAndRenamed() {
        UUID id = UUID.randomUUID();
        Map<String, Object> typed = new HashMap<>(Map.of("name", "Ida Newell", "grade", "6", "studentNumber", "77"));
        assertThat(director.put("/api/students/" + id, typed).status()).isEqualTo(204);
        assertThat(director.put("/api/students/" + id, typed).status()).isEqualTo(204);
        assertThat(seat(id, "Winds", "flute", "2026-10-05").status()).isEqualTo(204);
        assertThat(seat(id, "Winds", "flute", "2026-10-05").status())
                .as("once more")
                .isEqualTo(204);
        assertThat(seat(id, "Jazz", "flute", "2026-10-05").status()).isEqualTo(204);
        typed.put("name", "Ida Newell-Ray");
        typed.put("sortName", "Ray, Ida");
        director.put("/api/students/" + id, typed);
        JsonNode kept = director.get("/api/students/" + id).json();
        assertThat(kept.path("sortName").asString()).isEqualTo("Ray, Ida");
        assertThat(kept.path("grade").asString()).isEqualTo("6");
        JsonNode folder = director.get("/api/students/" + id + "/folder").json();
        assertThat(folder.path("name").asString()).isEqualTo("Ida Newell-Ray");
        assertThat(folder.path("seats")).hasSize(2);
        assertThat(director.put("/api/students/" + UUID.randomUUID(), Map.of("name", "Other", "studentNumber", "77"))
                        .sentence())
                .isEqualTo("Student number 77 belongs to somebody else.");
    }

    private Answer divide(String from, Map<String, List<UUID>> divisions) {
        List<Map<String, Object>> parts = new ArrayList<>();
        divisions.forEach((name, students) -> parts.add(Map.of("name", name, "students", students)));
        return director.put(
                "/api/classes/" + school.id("Winds") + "/divisions",
                Map.of("instrument", "flute", "startsOn", from, "divisions", parts));
    }

    private List<String> divisionsOf(String student) {
        List<String> divisions = new ArrayList<>();
        director.get("/api/students/" + school.id(student) + "/folder")
                .json()
                .path("seats")
                .forEach(seat -> divisions.add(seat.path("division").asString()));
        return divisions;
    }

    @Test
    void aSectionIsDividedFromADayOnAllOrNone() {
        UUID ana = school.id("Ana Reed");
        UUID bo = school.id("Bo Lund");
        Map<String, List<UUID>> parts = new LinkedHashMap<>(Map.of("1st", List.of(bo)));
        parts.put("2nd", List.of(ana, school.id("Flo Hart")));
        Answer refused = divide("2026-10-12", parts);
        assertThat(refused.sentence())
                .isEqualTo("Flo Hart does not play this in Winds on that day. Nothing was changed.");
        assertThat(divisionsOf("Bo Lund")).containsExactly("");
        parts.put("2nd", List.of(ana, bo));
        assertThat(divide("2026-10-12", parts).sentence()).isEqualTo("A student sits in one division at a time.");
        parts.put("2nd", List.of(ana));
        assertThat(divide("2026-10-12", parts).status()).isEqualTo(204);
        assertThat(divide("2026-10-12", parts).status()).as("once more").isEqualTo(204);
        assertThat(divisionsOf("Bo Lund")).containsExactly("", "1st");
        assertThat(divisionsOf("Ana Reed")).containsExactly("", "2nd");
        parts.put("2nd", List.of(UUID.randomUUID()));
        assertThat(divide("2026-10-12", parts).status()).isEqualTo(422);
        assertThat(divide("2030-10-12", Map.of("3rd", List.of(ana))).status()).isEqualTo(422);
        assertThat(divide("2026-10-12", Map.of()).status()).isEqualTo(422);
        assertThat(divide("2026-10-19", Map.of("", List.of(ana, bo))).status())
                .as("together again")
                .isEqualTo(204);
        assertThat(divisionsOf("Ana Reed")).containsExactly("", "2nd", "");
    }

    @Test
    void whoBorrowsAnInstrumentIsDividedForThatTimeOnly() {
        UUID ana = school.id("Ana Reed");
        Answer borrowed = director.post(
                "/api/switches",
                Map.of(
                        "from",
                        "2026-10-12",
                        "until",
                        "2026-10-30",
                        "catchUp",
                        false,
                        "students",
                        List.of(Map.of("studentId", ana, "classId", school.id("Winds"), "instrument", "oboe"))));
        assertThat(borrowed.status()).as(borrowed.text()).isLessThan(300);
        assertThat(director.put(
                                "/api/classes/" + school.id("Winds") + "/divisions",
                                Map.of(
                                        "instrument",
                                        "oboe",
                                        "startsOn",
                                        "2026-10-14",
                                        "divisions",
                                        List.of(Map.of("name", "1st", "students", List.of(ana)))))
                        .status())
                .isEqualTo(204);
        JsonNode seats = director.get("/api/students/" + ana + "/folder").json().path("seats");
        assertThat(seats.findValuesAsString("instrumentName")).containsExactly("Flute", "Oboe", "Oboe", "Flute");
        assertThat(seats.get(2).path("endsOn").asString()).isEqualTo("2026-10-30");
    }

    @Test
    void anotherInstrumentEndsTheSeatTheDayBefore() {
        UUID ana = school.id("Ana Reed");
        assertThat(seat(ana, "Winds", "horn", "2026-10-12").status()).isEqualTo(204);
        JsonNode seats = director.get("/api/students/" + ana + "/folder").json().path("seats");
        assertThat(seats.get(0).path("endsOn").asString()).isEqualTo("2026-10-11");
        assertThat(seats.get(1).path("startsOn").asString()).isEqualTo("2026-10-12");
        assertThat(seat(ana, "Winds", "tuba", "2026-08-17").sentence())
                .startsWith("There is a seat in this class since 2026-08-17");
        assertThat(seat(ana, "Winds", "tuba", "2026-10-12").status())
                .as("what is only planned is planned anew")
                .isEqualTo(204);
        assertThat(director.get("/api/students/" + ana + "/folder")
                        .json()
                        .path("seats")
                        .get(1)
                        .path("instrumentName")
                        .asString())
                .isEqualTo("Tuba");
        assertThat(seat(ana, "Jazz", "tuba", "2028-10-12").field()).isEqualTo("startsOn");
        assertThat(seat(UUID.randomUUID(), "Winds", "tuba", "2026-10-12").status())
                .isEqualTo(404);
    }

    @Test
    void partnersSitAtOneStand() {
        List<UUID> order = new ArrayList<>();
        for (String name : List.of("Flo Hart", "Ed Stone")) {
            order.add(school.id(name));
        }
        school.seat("Zed Last", "trumpet");
        school.seat("Abe First", "trumpet");
        order.add(school.id("Zed Last"));
        order.add(school.id("Abe First"));
        String address = "/api/classes/" + school.id("Winds") + "/seating";
        assertThat(director.put(address, Map.of("instrument", "trumpet", "division", "", "students", order))
                        .status())
                .isEqualTo(204);
        List<String> names = new ArrayList<>();
        director.get(address).json().forEach(row -> {
            if (row.path("instrument").asString().equals("trumpet")) {
                names.add(row.path("name").asString());
            }
        });
        assertThat(names).containsExactly("Flo Hart", "Ed Stone", "Zed Last", "Abe First");
        JsonNode groups = director.get("/api/partner-checks/proposal?classId=" + school.id("Winds") + "&milestoneId="
                        + school.id("line") + "&instrument=trumpet&pairing=STAND")
                .json();
        assertThat(groups.toString().replaceAll("\\s", ""))
                .contains("\"Flo Hart\"".replace(" ", ""))
                .containsPattern("FloHart.*EdStone.*ZedLast.*AbeFirst");
        assertThat(director.put(
                                address,
                                Map.of(
                                        "instrument",
                                        "trumpet",
                                        "division",
                                        "",
                                        "students",
                                        List.of(school.id("Ana Reed"))))
                        .status())
                .isEqualTo(409);
        assertThat(director.put(
                                address,
                                Map.of(
                                        "instrument",
                                        "trumpet",
                                        "division",
                                        "",
                                        "students",
                                        List.of(order.getFirst(), order.getFirst())))
                        .sentence())
                .isEqualTo("Somebody is there twice.");
    }
}
