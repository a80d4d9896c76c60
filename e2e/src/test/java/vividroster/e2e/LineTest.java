package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A line: typed, read by every section, played, and rehearsed in the minutes left. */
class LineTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    @Test
    void aLineIsTypedWithItsFaultsToldAndThenReadByASection() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/library?class=" + school.id("Winds") + "&instrument=trumpet");
            page.getByRole(AriaRole.LINK, named("First light")).click();
            assertThat(page.getByText("Only facts are kept of this line")).isVisible();
            page.getByRole(AriaRole.BUTTON, named("Type its notes")).click();
            Locator typed = page.getByLabel("The line in ABC, as it sounds");
            typed.fill("M:4/4\nL:1/4\nQ:1/4=200\nK:Bb\nB C D w|");
            assertThat(page.getByRole(AriaRole.ALERT))
                    .containsText("line 5, column 7: \"w\" is no note, rest or sign of ABC.");
            typed.fill("M:4/4\nL:1/4\nQ:1/4=200\nK:Bb\n|:B, C D E|=E =E F2:|");
            assertThat(page.getByRole(AriaRole.IMG, named("Preview of the line typed"))
                            .locator("svg"))
                    .isVisible();
            page.getByRole(AriaRole.BUTTON, named("Keep the notes with this line"))
                    .click();
            assertThat(page.getByRole(AriaRole.IMG, named("Notation for Trumpet"))
                            .locator("svg"))
                    .isVisible();
            assertThat(page.getByRole(AriaRole.REGION, named("Traps"))).containsText("Still F-sharp");
            assertThat(page.getByRole(AriaRole.REGION, named("Roadmap")).getByRole(AriaRole.LISTITEM))
                    .hasCount(4);
            page.getByRole(AriaRole.BUTTON, named("Clarinet C major")).click();
            assertThat(page.getByRole(AriaRole.IMG, named("Notation for Clarinet"))
                            .locator("svg"))
                    .isVisible();
            assertThat(page.getByRole(AriaRole.REGION, named("Practice ladder")))
                    .containsText("Measure 2 alone, 3 times");
            page.getByLabel("Minutes there are").fill("1");
            assertThat(page.getByText("Dropped for want of minutes")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aLineIsPlayedWithItsMeasuresPointedAt() {
        school.director()
                .post(
                        "/api/lines/" + school.id("line") + "/notes",
                        Map.of("abc", "M:4/4\nL:1/4\nQ:1/4=300\nK:Bb\nB, C D E|F4|"));
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/library/lines/" + school.id("line") + "?class=" + school.id("Winds"));
            assertThat(page.getByRole(AriaRole.IMG, named("Notation for concert pitch"))
                            .locator("svg"))
                    .isVisible();
            page.getByLabel("Count in").uncheck();
            page.getByRole(AriaRole.BUTTON, named("Play")).click();
            assertThat(page.getByRole(AriaRole.BUTTON, named("Stop"))).isVisible();
            assertThat(page.getByRole(AriaRole.REGION, named("Roadmap")).locator("li.bg-neutral"))
                    .isVisible();
            assertThat(page.getByRole(AriaRole.BUTTON, named("Play"))).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }
}
