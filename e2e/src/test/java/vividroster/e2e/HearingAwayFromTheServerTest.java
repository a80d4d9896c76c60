package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Bad Wi-Fi in the band room: marks are kept on the device and sent when the server answers again. */
class HearingAwayFromTheServerTest {

    private final RunningServer server = RunningServer.shared();

    @Test
    void marksWaitVisiblyAndAreSentOnce() {
        School school = School.open(server);
        ApiClient director = school.director();
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/hear/" + school.id("line") + "?class=" + school.id("Winds") + "&instrument=flute");
            Locator student = Browsing.studentAtTheDesk(page);
            assertThat(student).hasText("Bo Lund");
            page.context().setOffline(true);
            page.keyboard().press("Enter");
            assertThat(student).hasText("Ana Reed");
            page.keyboard().press(" ");
            assertThat(page.getByText("2 to send")).isVisible();
            assertThat(director.get("/api/board?classId=" + school.id("Winds")).text())
                    .doesNotContain("PASSED");
            page.context().setOffline(false);
            assertThat(page.getByText("2 to send")).isHidden();
            String folder = director.get("/api/students/" + school.id("Bo Lund") + "/folder")
                    .text();
            assertThat(folder.split("\"outcome\":\"PASS\"", -1)).hasSize(2);
        }
    }

    @Test
    void aReloadWhileAwayLosesNothing() {
        School school = School.open(server);
        ApiClient director = school.director();
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/hear/" + school.id("line") + "?class=" + school.id("Winds") + "&instrument=flute");
            Locator student = Browsing.studentAtTheDesk(page);
            assertThat(student).hasText("Bo Lund");
            page.route("**/api/attempts**", route -> route.abort());
            page.keyboard().press("Enter");
            assertThat(page.getByText("1 to send")).isVisible();
            page.reload();
            assertThat(page.getByText("1 to send")).isVisible();
            assertThat(student).hasText("Ana Reed");
            page.unroute("**/api/attempts**");
            assertThat(page.getByText("1 to send")).isHidden();
            assertThat(director.get("/api/students/" + school.id("Bo Lund") + "/folder")
                            .text())
                    .contains("\"outcome\":\"PASS\"");
        }
    }
}
