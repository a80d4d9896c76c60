package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A year is chosen, proposed and taken; a thing moves by keys and by pointer; a day is lost; a week is ordered and printed. */
class SeasonTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions like(String pattern) {
        return new Page.GetByRoleOptions().setName(Pattern.compile(pattern));
    }

    private void choose(Page page) {
        page.navigate("/season/choose?class=" + school.id("Winds"));
        page.getByLabel("Book").selectOption(new com.microsoft.playwright.options.SelectOption().setIndex(1));
        page.getByRole(AriaRole.BUTTON, named("Put into the plan")).click();
        assertThat(page.getByText("4 things added to the plan")).isVisible();
        page.getByRole(AriaRole.LINK, named("Back to the season")).click();
        assertThat(page.getByRole(AriaRole.REGION, named("Season score"))).isVisible();
        assertThat(page.getByText("Without a week:")).isVisible();
    }

    private static Locator block(Page page, String name) {
        return page.getByRole(AriaRole.REGION, named("Season score"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile(name)));
    }

    private static String weekOf(Locator block) {
        String week = null;
        // While it is drawn in its new week, the old one is gone for a moment.
        while (week == null) {
            week = (String) block.evaluate("e => e.closest('[data-week]')?.dataset.week ?? null");
        }
        return week;
    }

    /** What is pressed moves something in the plan; it is answered before this returns. */
    private static void moved(Page page, Runnable press) {
        page.waitForResponse(response -> response.url().contains("/plan/moves"), press);
    }

    @Test
    void aYearIsProposedTakenMovedAndOrdered() throws IOException {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            choose(page);
            assertThat(page.getByText("Without a week:")).isVisible();
            page.keyboard().press("p");
            assertThat(page.getByRole(AriaRole.HEADING, named("4 things come in")))
                    .isVisible();
            assertThat(page.getByRole(AriaRole.REGION, named("Changes"))).containsText("Test 1");
            page.keyboard().press("Enter");
            assertThat(page.getByRole(AriaRole.HEADING, named("Season, Winds"))).isVisible();
            Locator line = block(page, "^Line 2,");
            assertThat(line).isVisible();
            String before = weekOf(line);

            line.click();
            assertThat(page.getByRole(AriaRole.REGION, named("What is chosen"))).containsText("Two gulls");
            page.keyboard().press("ArrowRight");
            assertThat(page.getByRole(AriaRole.REGION, named("Moving"))).containsText("Line 2 to");
            assertThat(page.getByText("Put it there")).isVisible();
            moved(page, () -> page.keyboard().press("Enter"));
            assertThat(page.getByRole(AriaRole.REGION, named("Moving"))).isHidden();
            page.waitForCondition(() -> !weekOf(line).equals(before));
            String after = weekOf(line);
            // each key is answered before the next, so that no answer is taken for another's
            moved(page, () -> page.keyboard().press("u"));
            page.waitForCondition(() -> weekOf(line).equals(before));
            moved(page, () -> page.keyboard().press("r"));
            page.waitForCondition(() -> weekOf(line).equals(after));

            page.navigate("/season/week?class=" + school.id("Winds") + "&week=" + after);
            page.getByRole(AriaRole.GROUP, named("Sections for Two gulls"))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Trumpet"))
                    .click();
            page.getByRole(AriaRole.BUTTON, like("^Order this week")).click();
            assertThat(page.getByText(Pattern.compile("orders? set for Winds"))).isVisible();
            page.getByRole(AriaRole.LINK, named("Its order sheet")).click();
            assertThat(page.getByRole(AriaRole.HEADING, like("^Flutes"))).isVisible();
            assertThat(page.getByText("Two gulls").first()).isVisible();
            Download sheet = page.waitForDownload(
                    () -> page.getByRole(AriaRole.LINK, named("A5")).click());
            assertThat(new String(Files.readAllBytes(sheet.path()), 0, 5, java.nio.charset.StandardCharsets.US_ASCII))
                    .isEqualTo("%PDF-");
            page.keyboard().press("b");
            assertThat(page.getByRole(AriaRole.DIALOG, named("The week on the board")))
                    .containsText("Two gulls");
            page.keyboard().press("Escape");
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aLostWeekIsProposedAroundAndTakenOneByOne() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            choose(page);
            page.keyboard().press("p");
            page.getByRole(AriaRole.BUTTON, like("^Take all")).click();
            assertThat(page.getByRole(AriaRole.HEADING, named("Season, Winds"))).isVisible();
            Locator test = block(page, "^Test 1");
            assertThat(test).isVisible();
            String week = weekOf(test);
            page.keyboard().press("l");
            page.getByRole(AriaRole.TEXTBOX, named("Day")).fill(week);
            page.getByLabel("Why").fill("Storm");
            page.getByLabel("The whole week of that day").check();
            page.getByRole(AriaRole.BUTTON, named("Lose it, and propose")).click();
            Locator changes = page.getByRole(AriaRole.REGION, named("Changes"));
            assertThat(changes).containsText("Test 1");
            assertThat(changes).containsText("Storm");
            changes.getByRole(
                            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("change: Test 1")))
                    .click();
            assertThat(page.getByText("1 change taken")).isVisible();
            page.navigate("/season?class=" + school.id("Winds"));
            assertThat(test).isVisible();
            assertThat(weekOf(test)).isNotEqualTo(week);
            assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aBlockIsDraggedIntoAnotherWeekAndAGreyedOneSaysWhy() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            choose(page);
            page.keyboard().press("p");
            page.getByRole(AriaRole.BUTTON, like("^Take all")).click();
            assertThat(page.getByRole(AriaRole.HEADING, named("Season, Winds"))).isVisible();
            Locator line = block(page, "^Line 1,");
            assertThat(line).isVisible();
            String from = weekOf(line);
            Locator past = page.locator("[data-week]").first();
            var start = line.boundingBox();
            var end = past.boundingBox();
            page.mouse().move(start.x + start.width / 2, start.y + 60);
            page.mouse().down();
            page.mouse()
                    .move(
                            end.x + end.width / 2,
                            end.y + 80,
                            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
            Locator moving = page.getByRole(AriaRole.REGION, named("Moving"));
            assertThat(moving).containsText("is past");
            page.mouse().up();
            assertThat(page.getByRole(AriaRole.REGION, named("Not moved"))).containsText("cannot stand there");
            page.getByRole(AriaRole.BUTTON, named("Leave it")).click();
            page.waitForCondition(() -> weekOf(line).equals(from));
            assertThat(seat.errors()).isEmpty();
        }
    }
}
