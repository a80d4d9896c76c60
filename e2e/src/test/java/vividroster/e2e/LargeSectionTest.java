package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.Seat;
import vividroster.e2e.Browsing.Screen;
import vividroster.server.roster.Rosters;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Hearing many: as few keys as students, and nothing lost when the network is away for long. */
class LargeSectionTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    /** @return the students' ids by name, in the order of their names */
    private List<UUID> sectionOf(String instrument, int students) {
        Rosters rosters = server.bean(Rosters.class);
        List<UUID> ids = new ArrayList<>();
        for (int i = 0; i < students; i++) {
            ids.add(rosters.addStudent(
                    school.programId(),
                    "Student %03d".formatted(i),
                    id -> List.of(new Seat(
                            id,
                            school.id("Winds"),
                            new InstrumentCode(instrument),
                            "",
                            LocalDate.of(2026, 8, 17),
                            Optional.empty()))));
        }
        return ids;
    }

    private String hearing(String instrument) {
        return "/hear/" + school.id("line") + "?class=" + school.id("Winds") + "&instrument=" + instrument;
    }

    @Test
    void twelveStudentsAreHeardWithTwelveKeys() {
        List<UUID> horns = sectionOf("horn", 12);
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        try (Browsing.Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate(hearing("horn"));
            Locator student = Browsing.studentAtTheDesk(page);
            assertThat(student).hasText("Student 000");
            for (int key = 0; key < 12; key++) {
                page.keyboard().press(key % 4 == 3 ? " " : "Enter");
            }
            assertThat(page.getByText("That was the last one")).isVisible();
            assertThat(page.getByText("to send")).isHidden();
            List<Integer> tries = horns.stream().map(id -> tries(id).size()).toList();
            Assertions.assertThat(tries).containsOnly(1).hasSize(12);
            Assertions.assertThat(tries(horns.get(3)).get(0).path("outcome").asString())
                    .isEqualTo("NOT_YET");
            Assertions.assertThat(tries(horns.get(4)).get(0).path("outcome").asString())
                    .isEqualTo("PASS");
        }
    }

    /** The device's clock is set on; nobody waits. */
    @Test
    void tenMinutesWithoutTheNetworkAndFiveHundredMarksOnTwoDevices() throws SQLException {
        List<UUID> horns = sectionOf("horn", 250);
        List<UUID> tubas = sectionOf("tuba", 250);
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        try (Browsing.Seat one = Browsing.open(server, Screen.LAPTOP);
                Browsing.Seat two = Browsing.open(server, Screen.TABLET)) {
            for (Browsing.Seat seat : List.of(one, two)) {
                Page page = seat.page();
                page.clock().install();
                Browsing.signInTo(school, page);
                page.navigate(hearing(seat == one ? "horn" : "tuba"));
                assertThat(Browsing.studentAtTheDesk(page)).hasText("Student 000");
                page.context().setOffline(true);
            }
            for (Browsing.Seat seat : List.of(one, two)) {
                Page page = seat.page();
                for (int i = 0; i < 250; i++) {
                    page.keyboard().press(i % 5 == 4 ? " " : "Enter");
                }
                assertThat(page.getByText("250 to send")).isVisible();
                page.clock().fastForward(10 * 60 * 1000L);
            }
            for (Browsing.Seat seat : List.of(one, two)) {
                seat.page().context().setOffline(false);
                assertThat(seat.page().getByText("to send"))
                        .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(40_000));
            }
            Assertions.assertThat(heard("horn"))
                    .as("each once, in the order heard")
                    .isEqualTo(horns);
            Assertions.assertThat(heard("tuba")).isEqualTo(tubas);
        }
    }

    /** Students of every attempt on an instrument, as the moments of hearing follow one another. */
    private List<UUID> heard(String instrument) throws SQLException {
        List<UUID> students = new ArrayList<>();
        try (Connection connection = server.database().connect();
                PreparedStatement select = connection.prepareStatement(
                        "select student_id from attempt where program_id = ? and instrument = ? order by heard_at, id")) {
            select.setObject(1, school.programId());
            select.setString(2, instrument);
            try (ResultSet rows = select.executeQuery()) {
                while (rows.next()) {
                    students.add(rows.getObject(1, UUID.class));
                }
            }
        }
        return students;
    }

    private JsonNode tries(UUID studentId) {
        return director.get(
                        "/api/students/" + studentId + "/milestones/" + school.id("line") + "/tries?instrument=horn")
                .json();
    }
}
