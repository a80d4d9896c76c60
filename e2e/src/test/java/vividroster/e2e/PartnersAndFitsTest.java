package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/**
 * Partners who watch one another, measures that come to a fit, checks in the director's own words and places, and students who
 * change instrument.
 */
class PartnersAndFitsTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    @Test
    void partnersArePairedChangedAndTheirFindingsKept() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "check"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/hear/" + school.id("check") + "/partners?class=" + school.id("Winds"));
            page.getByRole(AriaRole.RADIO, named("As they sit")).click();
            Locator partners = page.getByRole(AriaRole.REGION, named("Partners"));
            assertThat(partners.getByRole(AriaRole.LISTITEM)).hasCount(3);
            assertThat(partners.getByRole(AriaRole.LISTITEM).first()).containsText("Bo Lund");
            partners.getByText("Bo Lund").click();
            partners.getByText("Ed Stone").click();
            assertThat(partners.getByRole(AriaRole.LISTITEM).first()).containsText("Ed Stone");
            page.getByLabel("Point 3").fill("");
            page.getByLabel("Point 4").fill("");
            page.getByRole(AriaRole.BUTTON, named("Set up for 6 students")).click();
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("A partner watches three or four points, not 2.");
            page.getByLabel("Point 3").fill("Elbow free");
            page.getByRole(AriaRole.BUTTON, named("Set up for 6 students")).click();
            assertThat(page.getByText("Ana Reed watching")).isVisible();
            page.getByRole(AriaRole.BUTTON, named("Ed Stone: not seen, Elbow free"))
                    .click();
            page.waitForResponse(
                    "**/api/attempts",
                    () -> page.getByRole(AriaRole.BUTTON, named("1 not seen")).click());
            assertThat(page.getByText("not seen: Elbow free")).isVisible();
            page.waitForResponse(
                    "**/api/attempts/batch",
                    () -> page.getByRole(AriaRole.BUTTON, named("All seen for the 5 left"))
                            .click());
            assertThat(page.getByText("6 of 6 noted.")).isVisible();
            page.reload();
            assertThat(page.getByText("not seen: Elbow free")).isVisible();
            page.navigate("/roster/students/" + school.id("Ed Stone") + "?class=" + school.id("Winds"));
            assertThat(page.getByText("Watched by Ana Reed; not seen: Elbow free")
                            .first())
                    .isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aFitIsMeasuredConfirmedByTheBodyAndKept() {
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/roster/fit?class=" + school.id("Winds"));
            page.getByLabel("Student", new Page.GetByLabelOptions().setExact(true))
                    .selectOption("Ana Reed");
            page.getByRole(AriaRole.RADIO, named("Cello endpin")).click();
            page.getByLabel("Hand width in cm").fill("90");
            page.getByLabel("Seat height in cm").fill("43");
            page.getByLabel("Knee height in cm").fill("40");
            assertThat(page.getByRole(AriaRole.ALERT))
                    .containsText("Hand width must be in 4..13 cm, was 90 cm; was it measured in millimetres?");
            page.getByLabel("Hand width in cm").fill("7,5");
            assertThat(page.getByText("25.5 cm").first()).isVisible();
            page.getByLabel("Can stand up at once without lurching").check();
            page.getByLabel("Set to, where the body said otherwise").fill("25 cm");
            page.getByRole(AriaRole.BUTTON, named("Keep with Ana Reed")).click();
            assertThat(page.getByRole(AriaRole.REGION, named("Fits of Ana Reed")))
                    .containsText("25 cm");
            page.navigate("/roster/students/" + school.id("Ana Reed") + "?class=" + school.id("Winds"));
            assertThat(page.getByText("Can stand up at once without lurching")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void twoStudentsChangeInstrumentInOneActAndTheFolderTellsIt() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "check"));
        director.post("/api/attempts", school.attempt("Flo Hart", "line", "PASS"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/roster/students/" + school.id("Flo Hart") + "?class=" + school.id("Winds"));
            page.getByRole(AriaRole.LINK, named("Switch instrument…")).click();
            page.getByLabel("New instrument of Flo Hart").selectOption("Horn");
            page.getByLabel("From").fill("2026-10-19");
            page.getByLabel("Add somebody").fill("stone");
            page.getByLabel("Add somebody").press("Enter");
            page.getByLabel("New instrument of Ed Stone").selectOption("Horn");
            page.getByLabel("Class of Ed Stone").selectOption("Winds");
            page.getByRole(AriaRole.BUTTON, named("Flo Hart")).click();
            Locator means = page.getByLabel("What it means");
            assertThat(means).containsText("Stays on record for trumpet 1");
            assertThat(means.getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("Opens anew")))
                    .containsText("line 1");
            assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Catch-up track, Horn")))
                    .containsText("for Flo Hart, Ed Stone");
            page.getByRole(AriaRole.BUTTON, named("Switch 2 students")).click();
            assertThat(page.getByText("2 students change instrument")).isVisible();
            page.navigate("/roster/students/" + school.id("Flo Hart") + "?class=" + school.id("Winds"));
            assertThat(page.getByRole(AriaRole.LIST, named("Seats"))).containsText("horn");
            assertThat(page.getByText("Trumpet → Horn, Winds")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aCheckIsEditedInTheDirectorsWordsAndADemonstrationAttached() {
        String check = director.post("/api/checks/starters/trumpet-sound/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/library/checks/" + check + "?class=" + school.id("Winds") + "&instrument=trumpet");
            assertThat(page.getByRole(AriaRole.BUTTON, named("Target tone F 4")))
                    .isVisible();
            page.getByRole(AriaRole.LINK, named("Edit")).click();
            page.getByLabel("Cue word for step 1", new Page.GetByLabelOptions().setExact(true))
                    .fill("Buzz!");
            page.getByLabel("Good tries").fill("6");
            page.getByRole(AriaRole.BUTTON, named("Keep this check")).click();
            assertThat(page.getByText("6 good tries cannot be among the last 5; ask for 5 or fewer."))
                    .isVisible();
            assertThat(page.getByLabel("Cue word for step 1", new Page.GetByLabelOptions().setExact(true)))
                    .hasValue("Buzz!");
            page.getByLabel("Good tries").fill("3");
            page.getByRole(AriaRole.BUTTON, named("Keep this check")).click();
            assertThat(page.getByText("Buzz!")).isVisible();
            assertThat(page.getByText("passes by 3 of the last 5 tries")).isVisible();
            page.getByLabel("File of a demonstration")
                    .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                            "script.png", "image/png", "<html></html>".getBytes(StandardCharsets.UTF_8)));
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("is no sound, picture, clip or PDF");
            page.getByLabel("File of a demonstration")
                    .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                            "page.pdf", "application/pdf", "%PDF-1.4\n%%EOF".getBytes(StandardCharsets.UTF_8)));
            assertThat(page.getByRole(AriaRole.LINK, named("page.pdf"))).isVisible();
            page.getByRole(AriaRole.BUTTON, named("Retire")).click();
            assertThat(page.getByText("This check is off the shelf")).isVisible();
            page.getByRole(AriaRole.BUTTON, named("Put back")).click();
            assertThat(page.getByRole(AriaRole.LINK, named("Hear it"))).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void oneOrderCarriesAPlaceForEachSectionAndTheSheetShowsIt() {
        String sound = director.post("/api/checks/starters/trumpet-sound/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        director.post("/api/checks/starters/trumpet-left-hand/take", Map.of());
        assertThat(sound).isNotBlank();
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/season?class=" + school.id("Winds"));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Order O"))
                    .click();
            page.getByLabel("What", new Page.GetByLabelOptions().setExact(true)).fill("first note");
            page.keyboard().press("Enter");
            assertThat(page.getByRole(AriaRole.REGION, named("Comes before")))
                    .containsText("Flo Hart, Ed Stone have not passed it");
            page.getByText("Each section at its own place").click();
            page.getByLabel("Place for Trumpets").fill("open notes only");
            page.getByRole(AriaRole.BUTTON, named("Order")).click();
            assertThat(page.getByText("1 milestone ordered")).isVisible();
            page.getByRole(AriaRole.LINK, named("Order sheet")).click();
            assertThat(page.getByText("open notes only")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }
}
