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

/** A check run on a section: round by round, with a variant in two taps and what helped kept with the student. */
class CheckRunTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private String ordered(String starter, String instrument) {
        String check = director.post("/api/checks/starters/" + starter + "/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        Map<String, Object> order = school.order(List.of(school.section(instrument)), "line");
        order.put("milestones", List.of(Map.of("orderId", UUID.randomUUID(), "milestoneId", check)));
        assertThat(director.post("/api/season/orders", order).status()).isEqualTo(201);
        return "/hear/" + check + "?class=" + school.id("Winds") + "&instrument=" + instrument;
    }

    @Test
    void aFirstSoundGoesRoundTheSectionUntilItIsDependableByKeysAlone() {
        String address = ordered("trumpet-sound", "trumpet");
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate(address);
            assertThat(Browsing.studentAtTheDesk(page)).not().isEmpty();
            page.keyboard().press("s");
            assertThat(page.getByText("Try 1: tap the fault you see")).isVisible();
            page.keyboard().press("2");
            assertThat(page.getByText("3 of 4 seen")).isVisible();
            page.waitForResponse("**/api/attempts/batch", () -> page.keyboard().press("Enter"));
            assertThat(page.getByText("Try 1 recorded: 1 good, 1 not good")).isVisible();
            for (int round = 2; round <= 4; round++) {
                assertThat(page.getByText("Try " + round + ": tap the fault you see"))
                        .isVisible();
                page.waitForResponse(
                        "**/api/attempts/batch", () -> page.keyboard().press("Enter"));
            }
            assertThat(page.getByText("Try 5: tap the fault you see")).isVisible();
            assertThat(page.getByText("3 of 4 good")).isVisible();
            assertThat(page.getByRole(AriaRole.IMG, named("tries now: not good, good, good, good")))
                    .isVisible();
            page.waitForResponse("**/api/attempts", () -> page.keyboard().press("Enter"));
            assertThat(page.getByText("Nobody is left to mark.")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
        for (String name : List.of("Ed Stone", "Flo Hart")) {
            assertThat(director.get("/api/students/" + school.id(name) + "/folder")
                            .text())
                    .contains("\"state\":\"PASSED\"");
        }
    }

    @Test
    void aVariantIsPickedInTwoTapsAlsoWhileTheServerIsAway() {
        String address = ordered("flute-balance", "flute");
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate(address);
            assertThat(Browsing.studentAtTheDesk(page)).not().isEmpty();
            page.keyboard().press("s");
            page.route("**/api/students/**", route -> route.abort());
            page.getByRole(AriaRole.BUTTON, named("Variant of Ana Reed: none")).click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Helper hold")))
                    .click();
            assertThat(page.getByRole(AriaRole.BUTTON, named("Variant of Ana Reed: Helper hold")))
                    .isVisible();
            assertThat(page.getByText("1 to send")).isVisible();
            page.unroute("**/api/students/**");
            page.reload();
            assertThat(page.getByText("1 to send")).isHidden();
            page.navigate("/roster/students/" + school.id("Ana Reed") + "?class=" + school.id("Winds"));
            Locator variants = page.getByRole(AriaRole.REGION, named("Variants"));
            assertThat(variants).containsText("look again by 4 Nov");
            variants.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Withdraw"))
                    .click();
            assertThat(variants).containsText("withdrawn 7 Oct");
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void fromSymptomToRemedyAndWhatHelpedStaysWithTheStudent() {
        String address = ordered("trumpet-sound", "trumpet");
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate(address);
            Locator student = Browsing.studentAtTheDesk(page);
            assertThat(student).hasText("Flo Hart");
            for (String name : List.of("Flo Hart", "Ed Stone")) {
                assertThat(student).hasText(name);
                page.getByRole(AriaRole.BUTTON, named("Airy")).click();
                assertThat(page.getByRole(AriaRole.LIST, named("To try against Airy"))
                                .getByRole(AriaRole.LISTITEM)
                                .first())
                        .containsText("Lips nearer together");
                page.waitForResponse(
                        "**/helped",
                        () -> page.getByRole(AriaRole.BUTTON, named("Lips nearer together: helped"))
                                .click());
                assertThat(page.getByRole(AriaRole.BUTTON, named("Lips nearer together: helped")))
                        .hasAttribute("aria-pressed", "true");
                page.locator("body").click(new Locator.ClickOptions().setPosition(5, 700));
                page.keyboard().press("ArrowDown");
            }
            assertThat(page.getByText("Lips nearer together (airy, 2 of the section)"))
                    .isVisible();
            page.navigate("/roster/students/" + school.id("Ed Stone") + "?class=" + school.id("Winds"));
            assertThat(page.getByRole(AriaRole.REGION, named("What helped"))).containsText("Lips nearer together");
            assertThat(seat.errors()).isEmpty();
        }
    }
}
