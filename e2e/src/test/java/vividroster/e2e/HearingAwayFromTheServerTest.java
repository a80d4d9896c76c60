package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;
import vividroster.testkit.TestCluster;

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
            Assertions.assertThat(director.get("/api/board?classId=" + school.id("Winds"))
                            .text())
                    .doesNotContain("PASSED");
            page.context().setOffline(false);
            assertThat(page.getByText("2 to send")).isHidden();
            String folder = director.get("/api/students/" + school.id("Bo Lund") + "/folder")
                    .text();
            Assertions.assertThat(folder.split("\"outcome\":\"PASS\",\"evidence\"", -1))
                    .hasSize(2);
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
            Assertions.assertThat(director.get("/api/students/" + school.id("Bo Lund") + "/folder")
                            .text())
                    .contains("\"outcome\":\"PASS\"");
        }
    }

    @Test
    void theAppOpensAndIsHeardWithWhileTheServerIsDown() {
        RunningServer own = RunningServer.start(TestCluster.shared().newDatabase(), "no");
        try {
            School school = ordered(own);
            try (Seat seat = Browsing.openKeeping(own, Screen.LAPTOP)) {
                Page page = seat.page();
                Browsing.signInTo(school, page);
                page.navigate(hearing(school, ""));
                assertThat(Browsing.studentAtTheDesk(page)).hasText("Bo Lund");
                page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
                own.close();
                page.navigate(hearing(school, "&instrument=trumpet"));
                Locator student = Browsing.studentAtTheDesk(page);
                assertThat(student).hasText("Flo Hart");
                assertThat(page.getByText("Server away")).isVisible();
                page.keyboard().press("Enter");
                assertThat(student).hasText("Ed Stone");
                assertThat(page.getByText("1 to send")).isVisible();
                page.getByText("1 to send").click();
                own = own.again();
                assertThat(page.getByText("1 to send"))
                        .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(40_000));
                Assertions.assertThat(passes(own, school, "Flo Hart")).isEqualTo(1);
            }
        } finally {
            own.close();
        }
    }

    @Test
    void theDatabaseIsKilledInTheMiddleOfARunAndNothingIsLostOrDouble() throws IOException {
        TestCluster cluster = TestCluster.toBeKilled();
        try (RunningServer own = RunningServer.start(cluster.newDatabase(), "no")) {
            School school = ordered(own);
            try (Seat seat = Browsing.open(own, Screen.LAPTOP)) {
                Page page = seat.page();
                Browsing.signInTo(school, page);
                page.navigate(hearing(school, "&instrument=flute"));
                Locator student = Browsing.studentAtTheDesk(page);
                assertThat(student).hasText("Bo Lund");
                page.keyboard().press("Enter");
                assertThat(student).hasText("Ana Reed");
                page.waitForCondition(() -> passes(own, school, "Bo Lund") == 1);
                cluster.kill();
                page.keyboard().press("Enter");
                assertThat(page.getByText("1 to send")).isVisible();
                cluster.startAgain();
                page.getByText("1 to send").click();
                assertThat(page.getByText("1 to send"))
                        .isHidden(new LocatorAssertions.IsHiddenOptions().setTimeout(40_000));
                Assertions.assertThat(passes(own, school, "Bo Lund")).isEqualTo(1);
                Assertions.assertThat(passes(own, school, "Ana Reed")).isEqualTo(1);
            }
        }
    }

    @Test
    void twoTabsSendEachMarkOnceAndBothSeeIt() {
        School school = ordered(server);
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page one = seat.page();
            Browsing.signInTo(school, one);
            one.navigate(hearing(school, "&instrument=flute"));
            Page two = one.context().newPage();
            two.navigate(hearing(school, "&instrument=trumpet"));
            assertThat(Browsing.studentAtTheDesk(one)).hasText("Bo Lund");
            assertThat(Browsing.studentAtTheDesk(two)).hasText("Flo Hart");
            one.context().setOffline(true);
            one.keyboard().press("Enter");
            two.keyboard().press("Enter");
            assertThat(one.getByText("2 to send")).isVisible();
            assertThat(two.getByText("2 to send")).isVisible();
            one.context().setOffline(false);
            assertThat(one.getByText("to send")).isHidden();
            assertThat(two.getByText("to send")).isHidden();
            Assertions.assertThat(List.of(passes(server, school, "Bo Lund"), passes(server, school, "Flo Hart")))
                    .containsExactly(1, 1);
        }
    }

    @Test
    void whatWaitsIsKeptForWhoeverMarkedItAndSentUnderNoOtherName() {
        School school = ordered(server);
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signIn(page, school.directorName(), School.PASSWORD);
            page.navigate(hearing(school, "&instrument=flute"));
            assertThat(Browsing.studentAtTheDesk(page)).hasText("Bo Lund");
            page.route("**/api/attempts**", Route::abort);
            page.keyboard().press("Enter");
            assertThat(page.getByText("1 to send")).isVisible();
            page.getByLabel(Pattern.compile(", menu$")).click();
            page.getByText("Sign out", new Page.GetByTextOptions().setExact(true))
                    .click();
            assertThat(page.getByText("1 mark waits to be sent")).isVisible();
            page.getByText("Sign out all the same").click();
            page.getByLabel("Sign-in name").waitFor();
            page.unroute("**/api/attempts**");
            Browsing.signIn(page, school.assistantName(), School.PASSWORD);
            page.getByText("Marks of others").click();
            assertThat(page.getByText(Pattern.compile("1 mark of Director .* waits here until")))
                    .isVisible();
            Assertions.assertThat(passes(server, school, "Bo Lund")).isZero();
            page.getByLabel(Pattern.compile(", menu$")).click();
            page.getByText("Sign out", new Page.GetByTextOptions().setExact(true))
                    .click();
            // Signing out loads the page anew by itself.
            page.getByLabel("Sign-in name").waitFor();
            Browsing.signIn(page, school.directorName(), School.PASSWORD);
            assertThat(page.getByText("to send")).isHidden();
            page.waitForCondition(() -> passes(server, school, "Bo Lund") == 1);
            Assertions.assertThat(school.director()
                            .get("/api/students/" + school.id("Bo Lund") + "/milestones/" + school.id("line")
                                    + "/tries?instrument=flute")
                            .text())
                    .contains("Director " + school.directorName().split("-")[0]);
        }
    }

    @Test
    void aSessionThatEndedCostsNoMark() {
        School school = ordered(server);
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate(hearing(school, "&instrument=flute"));
            Locator student = Browsing.studentAtTheDesk(page);
            assertThat(student).hasText("Bo Lund");
            page.context().clearCookies();
            page.keyboard().press("Enter");
            assertThat(student).hasText("Ana Reed");
            page.getByText("1 to send").click();
            assertThat(page.getByText("Sign in first.")).isVisible();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                    .click();
            page.getByLabel("Sign-in name").fill(school.directorName());
            page.getByLabel("Password").fill(School.PASSWORD);
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                    .click();
            assertThat(student).hasText("Ana Reed");
            page.waitForCondition(() -> passes(server, school, "Bo Lund") == 1);
            assertThat(page.getByText("to send")).isHidden();
        }
    }

    @Test
    void aClockThatIsADayBehindIsSetRight() {
        School school = ordered(server);
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            page.clock().setFixedTime(Date.from(Instant.now().minus(Duration.ofDays(1))));
            Browsing.signInTo(school, page);
            page.navigate(hearing(school, "&instrument=flute"));
            assertThat(Browsing.studentAtTheDesk(page)).hasText("Bo Lund");
            page.keyboard().press("Enter");
            page.waitForCondition(() -> passes(server, school, "Bo Lund") == 1);
            Assertions.assertThat(school.director()
                            .get("/api/students/" + school.id("Bo Lund") + "/milestones/" + school.id("line")
                                    + "/tries?instrument=flute")
                            .json()
                            .get(0)
                            .path("heardOn")
                            .asString())
                    .isEqualTo(School.TODAY.toString());
        }
    }

    private static School ordered(RunningServer server) {
        School school = School.open(server);
        school.director().post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        return school;
    }

    private static String hearing(School school, String section) {
        return "/hear/" + school.id("line") + "?class=" + school.id("Winds") + section;
    }

    private static int passes(RunningServer server, School school, String student) {
        String folder = school.directorAt(server.address())
                .get("/api/students/" + school.id(student) + "/folder")
                .text();
        return folder.split("\"outcome\":\"PASS\",\"evidence\"", -1).length - 1;
    }
}
