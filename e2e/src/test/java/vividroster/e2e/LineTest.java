package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
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
    void aLineIsShownWithSyllablesAndRehearsedByATheme() {
        school.director()
                .post(
                        "/api/lines/" + school.id("line") + "/notes",
                        Map.of("abc", "M:4/4\nL:1/4\nQ:1/4=100\nK:Bb\nB, C D E|(F E) (D C)|.B,4|"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate(
                    "/library/lines/" + school.id("line") + "?class=" + school.id("Winds") + "&instrument=trumpet");
            page.getByRole(AriaRole.BUTTON, named("with syllables")).click();
            Locator notation = page.getByRole(AriaRole.IMG, named("Notation for Trumpet"));
            assertThat(notation).containsText("too");
            assertThat(notation).containsText("tuh");
            page.getByRole(AriaRole.BUTTON, named("with names")).click();
            assertThat(notation).containsText("G");
            page.getByLabel("Theme").selectOption("SLURS");
            Locator ladder = page.getByRole(AriaRole.REGION, named("Practice ladder"));
            assertThat(ladder).containsText("Measure 2 alone, twice");
            assertThat(ladder).containsText("Is the slur unbroken");
            page.getByRole(AriaRole.BUTTON, named("Rehearse it")).click();
            assertThat(ladder).containsText("Step 1 of");
            page.keyboard().press("c");
            assertThat(ladder).containsText("♩ = 60");
            page.keyboard().press("c");
            assertThat(ladder).containsText("♩ = 70");
            page.keyboard().press("a");
            assertThat(ladder).containsText("♩ = 60");
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

    @Test
    void aSectionIsBriefedAndItsLadderKept() {
        school.director()
                .post(
                        "/api/lines/" + school.id("line") + "/notes",
                        Map.of("abc", "M:4/4\nL:1/4\nQ:1/4=96\nK:Bb\nF|B, C D E|F =E =E F|B3|"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate(
                    "/library/lines/" + school.id("line") + "?class=" + school.id("Winds") + "&instrument=trumpet");
            Locator brief = page.getByRole(AriaRole.REGION, named("Brief"));
            assertThat(brief).containsText("Starts on G 4, open. Count 1 2 3 (breathe), in on 4.");
            assertThat(brief).containsText("New for this section:");
            page.getByRole(AriaRole.BUTTON, named("Say where it goes wrong, or a tip"))
                    .click();
            page.getByLabel("Where it goes wrong").fill("the second F-sharp");
            page.getByRole(AriaRole.BUTTON, named("Keep")).click();
            assertThat(brief).containsText("Goes wrong: the second F-sharp");
            page.getByRole(AriaRole.BUTTON, named("Fingers without staff")).click();
            assertThat(page.getByRole(AriaRole.LIST, named("Fingers for Trumpet")))
                    .containsText("1-3");
            page.getByRole(AriaRole.BUTTON, named("Keep and edit")).click();
            page.getByLabel("Times of step 2").fill("5");
            page.getByLabel("Times of step 2").press("Tab");
            assertThat(page.getByRole(AriaRole.REGION, named("Practice ladder")))
                    .containsText(", 5 times");
            page.getByRole(AriaRole.LINK, named("Rehearsal card")).click();
            assertThat(page.getByRole(AriaRole.IMG, named("Notation for Trumpet"))
                            .locator("svg"))
                    .isVisible();
            assertThat(page.getByRole(AriaRole.REGION, named("Practice ladder")))
                    .containsText(", 5 times");
            assertThat(page.getByText("the second F-sharp")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aBookComesInAtOnceAndALineByItsFacts() {
        String book = "X:1\nT:Dune\nL:1/4\nK:Bb\nB, C D E|\n\nX:2\nT:Wrong\nK:C\nC w|\n";
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/library?class=" + school.id("Winds"));
            page.getByRole(AriaRole.BUTTON, named("Add a book")).click();
            page.getByLabel("Title").fill("Shoreline Studies");
            page.getByText("We may keep its notes").click();
            page.getByRole(AriaRole.BUTTON, named("Keep")).click();
            Locator shelf = page.getByRole(AriaRole.REGION, named("Shoreline Studies"));
            shelf.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Import lines"))
                    .click();
            page.getByLabel("Files")
                    .setInputFiles(new FilePayload("book.abc", "text/plain", book.getBytes(StandardCharsets.UTF_8)));
            assertThat(page.getByText("Found: 1 good, 1 not taken")).isVisible();
            assertThat(page.getByText("Line 10, column 3: \"w\" is no note, rest or sign of ABC."))
                    .isVisible();
            page.getByRole(AriaRole.BUTTON, named("Keep 1 line")).click();
            assertThat(page.getByText("Kept: 1 good, 1 not taken")).isVisible();
            page.getByRole(AriaRole.LINK, named("To the library")).click();
            assertThat(shelf.getByText("Dune")).isVisible();
            shelf.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Add a line"))
                    .click();
            page.getByLabel("Page", new Page.GetByLabelOptions().setExact(true)).fill("4");
            page.getByLabel("Number").fill("1");
            page.getByLabel("Title").fill("Marram");
            page.getByRole(AriaRole.BUTTON, named("Keep the line")).click();
            assertThat(page.getByText("\"Shoreline Studies\" has a line 1 already."))
                    .isVisible();
            page.getByLabel("Number").fill("2");
            page.getByRole(AriaRole.BUTTON, named("dotted half")).click();
            page.getByRole(AriaRole.BUTTON, named("Keep the line")).click();
            assertThat(page.getByText("Only facts are kept of this line")).isVisible();
            assertThat(page.getByText("dotted half")).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aWarmUpIsPlacedAndPlayed() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            page.navigate("/podium/warm-up?class=" + school.id("Winds") + "&instrument=trumpet");
            page.getByRole(AriaRole.BUTTON, named("3 Easy slurs")).click();
            assertThat(page.getByRole(AriaRole.IMG, named("Easy slurs for Trumpet"))
                            .locator("svg"))
                    .isVisible();
            page.getByRole(AriaRole.BUTTON, named("Keep and edit")).click();
            page.getByRole(AriaRole.BUTTON, named("Leave Breathing out")).click();
            assertThat(page.getByRole(AriaRole.BUTTON, named("2 Easy slurs"))).isVisible();
            page.getByRole(AriaRole.BUTTON, named("Play")).click();
            page.getByRole(AriaRole.BUTTON, named("Stop")).click();
            page.getByRole(AriaRole.BUTTON, named("Back to the proposal")).click();
            assertThat(page.getByRole(AriaRole.BUTTON, named("1 Breathing"))).isVisible();
            assertThat(seat.errors()).isEmpty();
        }
    }
}
