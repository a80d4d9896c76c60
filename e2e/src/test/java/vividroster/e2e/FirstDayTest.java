package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** The first day: a roster in, milestones ordered, a hearing run done, the board read. */
class FirstDayTest {

    private static final String ROSTER = """
            name,class,instrument,division,start date
            Hal Orr,Winds,tuba,,
            Ida Penn,Wynds,flute,,
            "Quill, Jo",Winds,Bb trumpet,,2026-10-01
            """;

    private final RunningServer server = RunningServer.shared();

    @ParameterizedTest
    @EnumSource(Screen.class)
    void fromTheRosterToTheBoard(Screen screen) throws IOException {
        School school = School.open(server);
        try (Seat seat = Browsing.open(server, screen)) {
            Page page = seat.page();
            signIn(school, page);
            importRoster(page);
            orderForEverybody(page);
            hearTrumpetsOneByOne(page);
            markTheFlutesAtOnce(page);
            readTheBoard(page);
            assertThat(seat.errors()).isEmpty();
        }
    }

    private static void signIn(School school, Page page) {
        page.navigate("/");
        page.getByLabel("Sign-in name").fill(school.directorName());
        page.getByLabel("Password").fill("not-the-password");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("do not match");
        page.getByLabel("Password").fill(School.PASSWORD);
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.HEADING, named("Wednesday 7 October")))
                .isVisible();
        assertThat(Browsing.onPodium(page, "Winds")).isVisible();
        assertThat(Browsing.onPodium(page, "Jazz")).isVisible();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static void place(Page page, String name) {
        page.getByRole(AriaRole.NAVIGATION, named("Places"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(name))
                .click();
    }

    private static void importRoster(Page page) {
        place(page, "Office");
        page.getByLabel("Roster file")
                .setInputFiles(new FilePayload("roster.csv", "text/csv", ROSTER.getBytes(StandardCharsets.UTF_8)));
        Locator rows = page.getByRole(AriaRole.REGION, named("Rows of the file"));
        assertThat(rows).containsText("No class is called \"Wynds\". Did you mean \"Winds\"?");
        assertThat(rows).containsText("New student from 2026-10-01");
        page.getByRole(AriaRole.BUTTON, named("Take 2 rows")).click();
        assertThat(page.getByRole(AriaRole.REGION, named("What the file will do")))
                .containsText("Taken. 2 new students");
    }

    private static void orderForEverybody(Page page) {
        place(page, "Season");
        Browsing.chooseClass(page, "Winds");
        assertThat(page.getByRole(AriaRole.HEADING, named("Season, Winds"))).isVisible();
        page.keyboard().press("o");
        Locator panel = page.getByRole(AriaRole.DIALOG, named("Order"));
        panel.getByLabel("What").fill("first light");
        page.keyboard().press("Enter");
        panel.getByLabel("What").fill("test 1");
        page.keyboard().press("Enter");
        assertThat(panel.getByLabel("Due on")).hasValue("2026-10-09");
        panel.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Order 2 milestones"))
                .click();
        assertThat(page.getByText("2 milestones ordered")).isVisible();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("First light"))))
                .isVisible();
    }

    private static void hearTrumpetsOneByOne(Page page) {
        place(page, "Hear");
        assertThat(page.locator("#score-rail")).containsText("Tuba");
        page.keyboard().press("[");
        assertThat(page.getByRole(AriaRole.HEADING, named("Hear tubas"))).isVisible();
        page.keyboard().press("[");
        assertThat(page.getByRole(AriaRole.HEADING, named("Hear trumpets"))).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Line 1, First light")))
                .click();
        Locator queue = page.getByRole(AriaRole.LIST, named("Queue"));
        assertThat(queue.getByRole(AriaRole.LISTITEM)).hasCount(3);
        Locator student = Browsing.studentAtTheDesk(page);
        assertThat(student).hasText("Flo Hart");
        page.keyboard().press("Enter");
        assertThat(student).hasText("Jo Quill");
        page.keyboard().press("n");
        page.getByLabel("Note").fill("came in late after the rest");
        page.keyboard().press("Enter");
        page.keyboard().press(" ");
        assertThat(student).hasText("Ed Stone");
        page.keyboard().press("x");
        page.getByRole(AriaRole.BUTTON, named("Instrument in repair")).click();
        assertThat(page.getByText("That was the last one")).isVisible();
        page.keyboard().press("u");
        assertThat(student).hasText("Ed Stone");
        page.keyboard().press("a");
        assertThat(page.getByText("That was the last one")).isVisible();
        assertThat(page.getByText("to send")).isHidden();
        place(page, "Hear");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Test 1")))
                .click();
        // Ed Stone was noted as absent, once for everything of this class today.
        assertThat(student).hasText("Flo Hart");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Record"))))
                .isDisabled();
        page.keyboard().press("4");
        page.keyboard().press("5");
        assertThat(page.getByText("9 of 10 points")).isVisible();
        page.keyboard().press("Enter");
        assertThat(student).not().hasText("Flo Hart");
    }

    private static void markTheFlutesAtOnce(Page page) {
        place(page, "Hear");
        page.keyboard().press("t");
        page.keyboard().press("]");
        assertThat(page.getByRole(AriaRole.HEADING, named("Hear flutes"))).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Line 1, First light")))
                .click();
        assertThat(Browsing.studentAtTheDesk(page)).hasText("Bo Lund");
        page.keyboard().press("s");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Ana Reed.*passed")))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Record 1 passed, 1 not yet")))
                .click();
        assertThat(page.getByText("Recorded: 1 passed, 1 not yet")).isVisible();
    }

    private static void readTheBoard(Page page) throws IOException {
        place(page, "Roster");
        page.keyboard().press("t");
        Locator board = page.getByRole(AriaRole.REGION, named("Section board"));
        assertThat(mark(board, "Bo Lund")).hasAttribute("aria-label", "passed");
        assertThat(mark(board, "Ana Reed")).hasAttribute("aria-label", "not yet, 1 try");
        assertThat(mark(board, "Flo Hart")).hasAttribute("aria-label", "passed");
        assertThat(mark(board, "Ed Stone")).hasAttribute("aria-label", "set, not heard");
        Download csv =
                page.waitForDownload(() -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("CSV"))
                        .click());
        assertThat(Files.readString(csv.path())).contains("Bo Lund,Flute").contains("passed 2026-10-07");
        board.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Jo Quill"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, named("Jo Quill"))).isVisible();
        assertThat(page.getByRole(AriaRole.MAIN)).containsText("came in late after the rest");
    }

    /** A student's first mark on the board, after name and belt. */
    private static Locator mark(Locator board, String student) {
        return board.locator("tr", new Locator.LocatorOptions().setHasText(student))
                .locator("td:nth-child(3) svg");
    }
}
