package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
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
