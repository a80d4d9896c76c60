package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A belt from the ladder it is written on to the board on the wall. */
class BeltToAwardTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    @Test
    void fromTheLadderToTheBoardOnTheWall() throws IOException {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            written(page);
            chosen(page);
            ordered();
            passed("line");
            passed("check");
            heard(page);
            handedOver(page);
            printed(page);
            takenBack(page);
            Assertions.assertThat(seat.errors()).isEmpty();
        }
    }

    /** For flutes alone, so that it is theirs to climb; a slot that is left empty is said and nothing is kept. */
    private void written(Page page) {
        page.navigate("/library/ladders/new?class=" + school.id("Winds"));
        page.getByRole(AriaRole.BUTTON, named("Begin with an empty belt")).click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("flutes");
        page.getByText("for every instrument").click();
        page.getByLabel("Flute", new Page.GetByLabelOptions().setExact(true)).check();
        page.getByLabel("Belt", new Page.GetByLabelOptions().setExact(true)).fill("Pier");
        page.getByLabel("Slot 1, filled by").selectOption("line 1, First light");
        page.getByLabel("Slot 2, filled by").selectOption("line 2, Two gulls");
        page.getByLabel("Slot 3, filled by").selectOption("Body");
        page.getByLabel("Name of slot 3").fill("");
        page.getByRole(AriaRole.BUTTON, named("Keep this ladder")).click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Give slot 3 of Pier a name.");
        page.getByLabel("Name of slot 3").fill("Body");
        Locator preview = page.getByLabel("What it would ask");
        assertThat(preview.getByText("line 1 · line 2 · Body")).isVisible();
        page.getByRole(AriaRole.BUTTON, named("Keep this ladder")).click();
        assertThat(page.getByRole(AriaRole.HEADING, named("Ladders"))).isVisible();
        assertThat(page.getByLabel("flutes ladder").getByText("for flute")).isVisible();
    }

    private void chosen(Page page) {
        page.navigate("/season/choose?class=" + school.id("Winds"));
        page.getByLabel("Pier", new Page.GetByLabelOptions().setExact(true)).check();
        page.getByRole(AriaRole.BUTTON, named("Put these belts into the plan")).click();
        assertThat(page.getByText(Pattern.compile("^4 things added"))).isVisible();
    }

    private void ordered() {
        Map<String, Object> order =
                new HashMap<>(school.order(List.of(school.section("flute")), "line", "line 2", "check"));
        Assertions.assertThat(director.post("/api/season/orders", order).status())
                .isLessThan(300);
    }

    private void passed(String milestone) {
        Assertions.assertThat(director.post("/api/attempts", school.attempt("Ana Reed", milestone, "PASS"))
                        .status())
                .isLessThan(300);
    }

    /** One key from the board to the desk, one more and the belt is earned. */
    private void heard(Page page) {
        page.navigate("/roster/belts?class=" + school.id("Winds") + "&instrument=flute");
        Locator ana = page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Ana Reed"));
        assertThat(ana).containsText("one hearing away: line 2");
        page.keyboard().press("r");
        assertThat(Browsing.studentAtTheDesk(page)).hasText("Ana Reed");
        page.keyboard().press("Enter");
        assertThat(page.getByText("All heard").first()).isVisible();
    }

    private void handedOver(Page page) {
        page.navigate("/roster/belts?class=" + school.id("Winds") + "&instrument=flute");
        Locator ana = page.getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("Ana Reed"));
        assertThat(ana).containsText("hand over Pier");
        page.getByRole(AriaRole.BUTTON, named("Hand over 1 belt")).click();
        page.getByLabel("At", new Page.GetByLabelOptions().setExact(true)).fill("end of class");
        page.getByRole(AriaRole.BUTTON, named("Handed over")).click();
        assertThat(page.getByText("1 belt handed over")).isVisible();
        assertThat(ana.getByLabel("Pier belt")).isVisible();
        assertThat(ana).containsText("top of the ladder");
    }

    private void printed(Page page) throws IOException {
        Download wall = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, named("Wall board")).click());
        try (PDDocument document = Loader.loadPDF(Files.readAllBytes(wall.path()))) {
            Assertions.assertThat(new PDFTextStripper().getText(document))
                    .contains("Belts, Winds, flute", "Pier", "Ana Reed")
                    .doesNotContain("Bo Lund");
        }
    }

    private void takenBack(Page page) {
        page.navigate("/roster/students/" + school.id("Ana Reed"));
        Locator done = page.locator("li").filter(new Locator.FilterOptions().setHasText("Two gulls"));
        done.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Correct the try of 7 Oct"))
                .click();
        Locator form = page.getByLabel("Correct this try");
        assertThat(form.getByText("Pier, handed over already, would no longer be earned."))
                .isVisible();
        form.getByLabel("because").fill("it was Bo");
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Correct, and take Pier back"))
                .click();
        page.navigate("/roster/belts?class=" + school.id("Winds") + "&instrument=flute");
        assertThat(page.getByText("Pier, handed over 7 Oct, is no longer earned"))
                .isVisible();
    }
}
