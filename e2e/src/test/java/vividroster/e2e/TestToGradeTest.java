package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A playing test from the first click of its building to the grades that leave the house. */
class TestToGradeTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    @Test
    void fromBuildingToTheGradesThatGoOut() throws IOException {
        director.post(
                "/api/lines/" + school.id("line") + "/notes",
                Map.of("abc", "X:1\nT:Gulls\nM:4/4\nL:1/4\nQ:1/4=80\nK:Bb\nB,CDE|FEDC|B,CDE|F3z|]\n"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            String test = built(page);
            ordered(test);
            heard(page, test);
            results(page, test);
            graded(page);
            Assertions.assertThat(seat.errors()).isEmpty();
        }
    }

    /** Measures 1 to 2 of a line, a word for a tempo that cannot be, and a floor. @return its id */
    private String built(Page page) {
        page.navigate("/library?class=" + school.id("Winds"));
        page.getByRole(AriaRole.TAB, named("Playing tests")).click();
        page.getByRole(AriaRole.LINK, named("Build a playing test")).click();
        Locator sought = page.getByLabel("A line or a check");
        sought.fill("1");
        sought.press("Enter");
        page.getByLabel("First measure of part 1").fill("1");
        page.getByLabel("Last measure of part 1").fill("9");
        page.getByLabel("Title").fill("Gulls, opening");
        page.getByRole(AriaRole.BUTTON, named("Keep this test")).click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("there is no measure 9");
        page.getByLabel("Last measure of part 1").fill("2");
        page.getByLabel("Tempo of the test").fill("900");
        page.getByRole(AriaRole.BUTTON, named("Keep this test")).click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("20 to 400");
        page.getByLabel("Tempo of the test").fill("72");
        page.getByRole(AriaRole.BUTTON, named("Keep this test")).click();
        assertThat(page.getByRole(AriaRole.HEADING, named("Gulls, opening"))).isVisible();
        assertThat(page.getByText("measures 1 to 2")).not().hasCount(0);
        return page.url().replaceAll(".*/tests/([0-9a-f-]+).*", "$1");
    }

    private void ordered(String test) {
        Map<String, Object> order = new HashMap<>(school.order(List.of(school.tutti()), "test"));
        order.put("milestones", List.of(Map.of("orderId", UUID.randomUUID(), "milestoneId", test)));
        order.put("dueOn", School.TODAY.toString());
        Assertions.assertThat(director.post("/api/season/orders", order).status())
                .isLessThan(300);
    }

    /** A digit for each criterion; the desk says at once what they come to. */
    private void heard(Page page, String test) {
        page.navigate("/hear/" + test + "?class=" + school.id("Winds") + "&instrument=flute");
        Locator student = Browsing.studentAtTheDesk(page);
        assertThat(student).isVisible();
        String first = student.textContent();
        for (String key : List.of("4", "4", "4", "4", "1")) {
            page.keyboard().press(key);
        }
        assertThat(page.getByText("not passed: hands and posture under 2")).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Record")))
                .isInViewport();
        page.keyboard().press("Enter");
        assertThat(student).not().hasText(first);
        for (String key : List.of("3", "3", "3", "3", "3")) {
            page.keyboard().press(key);
        }
        assertThat(page.getByText("passes", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.keyboard().press("Enter");
        assertThat(page.getByText("All heard").first()).isVisible();
        // Results are told from what arrived.
        assertThat(page.getByText("to send")).isHidden();
    }

    private void results(Page page, String test) {
        page.navigate("/hear/" + test + "/results?class=" + school.id("Winds") + "&instrument=flute");
        assertThat(page.getByText("2 heard, 1 passed")).isVisible();
        assertThat(page.getByText("hands and posture below its floor, whatever the total"))
                .isVisible();
    }

    /** 4·(2+2+2+1) + 1 of 32 are 90.6 percent, though a floor failed it; all threes are 75. */
    private void graded(Page page) throws IOException {
        page.navigate("/roster/grades?class=" + school.id("Winds"));
        assertThat(page.getByText("90.6 %")).isVisible();
        assertThat(page.getByText("75.0 %")).isVisible();
        Download download = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, named("CSV")).click());
        String csv = new String(download.createReadStream().readAllBytes(), StandardCharsets.UTF_8);
        Assertions.assertThat(csv)
                .contains("student_number,student,class")
                .contains(",90.6,")
                .contains(",75.0,");
    }
}
