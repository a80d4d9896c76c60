package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** The first weeks: a starter check taken, worded by the school chosen, and heard until the sound is dependable. */
class FirstWeeksTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    @Test
    void aStarterCheckIsLookedAtAndTaken() {
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/library?class=" + school.id("Winds") + "&instrument=trumpet");
            page.getByRole(AriaRole.TAB, named("Starter checks")).click();
            page.getByRole(AriaRole.BUTTON, named("Trumpet: the left hand carries"))
                    .click();
            assertThat(page.getByText("the little finger hangs free")).isVisible();
            assertThat(page.getByText("Pistol grip")).isVisible();
            page.getByRole(AriaRole.BUTTON, named("Take Trumpet: the left hand carries"))
                    .click();
            page.getByRole(AriaRole.LINK, named("on your shelf")).click();
            assertThat(page.getByRole(AriaRole.HEADING, named("Trumpet: the left hand carries")))
                    .isVisible();
            String check = page.url();
            page.navigate("/office?class=" + school.id("Winds"));
            page.getByRole(AriaRole.TAB, named("Schools")).click();
            page.getByLabel("Wraps beside the ring").check();
            assertThat(page.getByText("It holds from now on")).isVisible();
            page.navigate(check);
            assertThat(page.getByText("the little finger wraps beside it")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aCheckIsRunOnAWholeSectionByTapsAndByKeys() {
        ApiClient director = school.director();
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "check"));
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/hear/" + school.id("check") + "?class=" + school.id("Winds"));
            assertThat(Browsing.studentAtTheDesk(page)).not().isEmpty();
            page.keyboard().press("s");
            page.getByRole(AriaRole.BUTTON, named("Bo Lund: Back")).click();
            page.keyboard().press("ArrowDown");
            page.keyboard().press("a");
            page.keyboard().press("ArrowDown");
            page.keyboard().press("1");
            assertThat(page.getByRole(AriaRole.BUTTON, named("Cy Moor: Feet"))).hasAttribute("aria-pressed", "true");
            page.waitForResponse("**/api/attempts/batch", () -> page.keyboard().press("Enter"));
            assertThat(page.getByText("Recorded: 3 passed, 2 not yet, 1 absent"))
                    .isVisible();
            assertThat(page.getByText("Nobody is left to mark.")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
        String folder = director.get("/api/students/" + school.id("Cy Moor") + "/folder")
                .text();
        assertThat(folder).contains("\"outcome\":\"NOT_YET\"").contains("LIVE_WITH_SECTION");
    }

    @Test
    void painIsReportedAtTheDeskAndStaysOnThePodiumUntilItIsFollowedUp() {
        school.director().post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/hear/" + school.id("line") + "?class=" + school.id("Winds") + "&instrument=flute");
            assertThat(Browsing.studentAtTheDesk(page)).hasText("Bo Lund");
            page.keyboard().press("p");
            assertThat(page.getByText("Stop playing. Tell a parent or guardian"))
                    .isVisible();
            page.getByRole(AriaRole.BUTTON, named("Wrist")).click();
            assertThat(page.getByText("Kept: Bo Lund reported pain")).isVisible();
            page.navigate("/podium");
            assertThat(Browsing.onPodium(page, "Winds")).containsText("Wrist hurts");
            Browsing.onPodium(page, "Winds")
                    .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Bo Lund"))
                    .click();
            page.getByLabel("What was done").fill("Rest for a week, spoke with the family");
            page.getByRole(AriaRole.BUTTON, named("Followed up")).click();
            assertThat(page.getByText("followed up by Director")).isVisible();
            page.navigate("/podium");
            assertThat(Browsing.onPodium(page, "Winds")).containsText("Look after");
            assertThat(Browsing.onPodium(page, "Winds")).not().containsText("Wrist hurts");
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aSoundIsHeardUntilItComesDependably() {
        ApiClient director = school.director();
        String sound = director.post("/api/checks/starters/trumpet-sound/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        Map<String, Object> order = school.order(List.of(school.section("trumpet")), "line");
        order.put("milestones", List.of(Map.of("orderId", UUID.randomUUID(), "milestoneId", sound)));
        assertThat(director.post("/api/season/orders", order).status()).isEqualTo(201);
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/hear/" + sound + "?class=" + school.id("Winds") + "&instrument=trumpet");
            Locator student = Browsing.studentAtTheDesk(page);
            assertThat(student).hasText("Flo Hart");
            page.getByRole(AriaRole.BUTTON, named("No sound")).click();
            assertThat(page.getByText("Buzz on the mouthpiece and slip it in while it sounds"))
                    .isVisible();
            page.locator("body").click(new Locator.ClickOptions().setPosition(5, 600));
            for (int i = 0; i < 3; i++) {
                page.keyboard().press("Enter");
                assertThat(page.getByText(Pattern.compile("try " + (i + 2) + "$")))
                        .isVisible();
                assertThat(student).hasText("Flo Hart");
            }
            page.keyboard().press("Enter");
            assertThat(student).hasText("Ed Stone");
            page.keyboard().press("1");
            page.keyboard().press("Enter");
            assertThat(student).hasText("Ed Stone");
            assertThat(page.getByText(Pattern.compile("try 2$"))).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }
}
