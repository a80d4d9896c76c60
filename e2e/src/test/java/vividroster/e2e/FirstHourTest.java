package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.TemporalAdjusters;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.server.account.Programmes;
import vividroster.testkit.RunningServer;

/**
 * From nothing to the first five heard, as somebody does who was told nothing: school and year, classes of all three shapes, a
 * roster with mess in it, a book by its facts, first weeks, an assistant. It counts what had to be opened and typed.
 */
class FirstHourTest {

    private static final List<String> GIVEN = List.of("Ana", "Bo", "Cy", "Dé", "Ed", "Flo", "Gus", "Hal", "Ida", "Jo");
    private static final List<String> FAMILY =
            List.of("Reed", "Lund", "Moor", "Vale", "Stone", "Hart", "Pike", "Orr", "Penn", "Quill", "Rue", "Sands");

    private final RunningServer server = RunningServer.shared();
    private final Programmes.Opened opened = server.bean(Programmes.class).open("hour-" + UUID.randomUUID());
    private final LocalDate monday =
            LocalDate.now(ZoneId.systemDefault()).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    private final LocalDate firstDay = monday.minusWeeks(5);

    private final Set<String> screens = new LinkedHashSet<>();
    private int fields;

    private void type(Locator field, String text) {
        field.fill(text);
        fields++;
    }

    private void choose(Locator field, String option) {
        field.selectOption(option);
        fields++;
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private static Locator field(Page page, String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private void begin(Page page, String step, String press) {
        page.navigate("/podium");
        button(page, press + " " + step).click();
        screens.add("guide: " + step);
    }

    @Test
    void fromNothingToTheFirstFiveHeard() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            signIn(page);
            schoolAndYear(page);
            classes(page);
            roster(page);
            book(page);
            schoolsAndTemplates(page);
            assistant(page);
            firstWeeks(page);
            guideIsGone(page);
            hearFive(page);
            System.out.println("The first hour: " + screens.size() + " screens, " + fields + " fields typed or chosen, "
                    + screens);
            // Ours: what a person does in well under an hour, at ten seconds a field.
            assertThat(fields).isLessThan(90);
            assertThat(screens.size()).isLessThan(16);
            assertThat(seat.errors()).isEmpty();
        }
    }

    private void signIn(Page page) {
        page.navigate("/");
        type(page.getByLabel("Sign-in name"), opened.signInName());
        type(page.getByLabel("Password"), opened.password());
        page.keyboard().press("Enter");
        screens.add("sign-in");
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Before the first lesson")))
                .isVisible();
        assertThat(page.getByText("No class meets on this day: say below which classes there are and when they meet."))
                .isVisible();
    }

    /** A week chosen with the arrow keys alone, counted from the first. */
    private static void putBreak(Page page, int week) {
        Locator first = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Weeks of the year"))
                .getByRole(AriaRole.BUTTON)
                .first();
        first.focus();
        page.keyboard().press("Home");
        for (int i = 0; i < week; i++) {
            page.keyboard().press("ArrowRight");
        }
        page.keyboard().press("b");
    }

    private void schoolAndYear(Page page) {
        begin(page, "School and year", "Begin");
        type(field(page, "School"), "Harbour Hill");
        button(page, "Keep the school").click();
        assertThat(page.getByText("Harbour Hill is kept")).isVisible();
        type(field(page, "First day of school"), firstDay.toString());
        type(field(page, "Last day of school"), firstDay.plusDays(290).toString());
        type(field(page, "Letters of the days in turn"), "A B");
        putBreak(page, 12);
        putBreak(page, 20);
        button(page, "Keep the year").click();
        // Two of one name are told apart by their days.
        assertThat(page.getByText(Pattern.compile(" is kept$")).last()).isVisible();
        page.navigate("/podium");
        assertThat(page.getByText(Pattern.compile("^Harbour Hill, .* A-days and B-days, 2 breaks$")))
                .isVisible();
    }

    private void addClass(Page page, String name, String shape, String letter, String period, String startsAt) {
        Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Add a class"));
        // The form stays for the next class.
        Locator nameField = form.getByLabel("Name", new Locator.GetByLabelOptions().setExact(true));
        assertThat(nameField).hasValue("");
        type(nameField, name);
        choose(form.getByLabel("Made up of"), shape);
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(letter + "-days"))
                .click();
        type(form.getByLabel("Period of time 1"), period);
        type(form.getByLabel("Start of time 1"), startsAt);
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Add class"))
                .click();
        assertThat(page.getByText(name + " added")).isVisible();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Classes"))
                        .getByText(name))
                .isVisible();
        assertThat(nameField).hasValue("");
    }

    private void classes(Page page) {
        begin(page, "Classes", "Begin");
        addClass(page, "Beginning Winds", "MIXED_BEGINNERS", "A", "2", "09:05");
        addClass(page, "Clarinet Class", "LIKE_INSTRUMENT", "A", "3", "10:00");
        addClass(page, "Concert Winds", "FULL_ENSEMBLE", "B", "5", "12:30");
    }

    /** 120 students with the mess of a real export: other headings, quotes, blank lines, words spelled wrong, doubles. */
    private String messyRoster() {
        StringBuilder csv = new StringBuilder("\uFEFFStudent;Ensemble;Instrument;Start;Homeroom\r\n\r\n");
        List<String> winds = List.of("Flute", "clarinet", "Alto Sax", "Bb Trumpet", "French horn", "Trombone", "tuba");
        for (int i = 0; i < 120; i++) {
            String name = "\"" + FAMILY.get(i / 10) + ", " + GIVEN.get(i % 10) + "\"";
            String schoolClass = i < 60 ? "Beginning Winds" : i < 75 ? "Clarinet Class" : "Concert Winds";
            String instrument = i >= 60 && i < 75 ? "Clarinet" : winds.get(i % winds.size());
            csv.append(name)
                    .append(';')
                    .append(i % 7 == 0 ? " " + schoolClass.toUpperCase(Locale.ROOT) + " " : schoolClass)
                    .append(';')
                    .append(instrument)
                    .append(';')
                    .append(firstDay)
                    .append(";12\r\n");
        }
        return csv.append("\"Reed, Ana\";Beginning Winds;Flute;;12\r\n")
                .append("Zo Ray;Beginning Wnids;Flute;;12\r\n")
                .append("Yo Ray;Beginning Winds;Kazooo;;12\r\n;;;;\r\n")
                .toString();
    }

    private void roster(Page page) {
        begin(page, "Roster", "Begin");
        page.getByLabel("Roster file")
                .setInputFiles(
                        new FilePayload("export.csv", "text/csv", messyRoster().getBytes(StandardCharsets.UTF_8)));
        Locator rows = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Rows of the file"));
        assertThat(rows).containsText("Did you mean \"Beginning Winds\"?");
        assertThat(rows).containsText("\"Kazooo\" is not an instrument of the catalog.");
        assertThat(rows).containsText("once more");
        button(page, "Take 120 rows").click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What the file will do")))
                .containsText("Taken. 120 new students");
    }

    private void book(Page page) {
        begin(page, "Books", "Begin");
        type(field(page, "Title"), "Harbour Studies");
        page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("A new book"))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Type its lines"))
                .click();
        screens.add("book table");
        Locator first = page.getByLabel("Page, row 1");
        assertThat(first).isVisible();
        first.focus();
        for (String cell : List.of("4", "1", "Still water", "Bb", "4/4", "8", "72")) {
            page.keyboard().type(cell);
            page.keyboard().press("Tab");
            fields++;
        }
        page.getByLabel("Page, row 2").focus();
        for (String cell : List.of("4–13", "2–40")) {
            page.keyboard().type(cell);
            page.keyboard().press("Tab");
            fields++;
        }
        assertThat(page.getByText("39 new lines, pages 4 to 13")).isVisible();
        button(page, "Keep the lines").click();
        assertThat(page.getByText("40 lines added")).isVisible();
    }

    private void firstWeeks(Page page) {
        page.navigate("/podium");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Propose First weeks"))
                .click();
        screens.add("first weeks");
        type(field(page, "From"), monday.minusWeeks(1).toString());
        choose(field(page, "Lines of"), "Harbour Studies");
        for (String name : List.of("Beginning Winds", "Clarinet Class", "Concert Winds")) {
            choose(page.locator("main").getByLabel("Class", new Locator.GetByLabelOptions().setExact(true)), name);
            Locator order = page.getByRole(
                    AriaRole.BUTTON,
                    new Page.GetByRoleOptions().setName(Pattern.compile("^Order these weeks \\(\\d+\\)$")));
            assertThat(order).isEnabled();
            order.click();
            assertThat(page.getByText(Pattern.compile("orders set for " + name)))
                    .isVisible();
        }
    }

    private void schoolsAndTemplates(Page page) {
        begin(page, "Schools of thought", "Look");
        assertThat(page.getByText("Good teachers disagree on these.", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
        begin(page, "Belts and a test", "Begin");
        button(page, "Make a first ladder").click();
        assertThat(page.getByText(Pattern.compile("3 belts made"))).isVisible();
    }

    private void assistant(Page page) {
        begin(page, "Who else hears", "Invite");
        type(field(page, "Name"), "Bram Yule");
        button(page, "Make a link").click();
        String link = field(page, "Link").inputValue();
        try (Seat other = Browsing.open(server, Screen.TABLET)) {
            Page theirs = other.page();
            theirs.navigate(link);
            assertThat(theirs.getByText(Pattern.compile("Harbour Hill invites you as assistant")))
                    .isVisible();
            type(theirs.getByLabel("Sign-in name"), "bram-" + opened.signInName());
            type(theirs.getByLabel("Password"), "four bows to a note");
            theirs.keyboard().press("Enter");
            screens.add("invitation");
            theirs.waitForURL("**/podium**");
            assertThat(other.errors()).isEmpty();
            theirs.navigate(link);
            theirs.reload();
            assertThat(theirs.getByText(Pattern.compile("^This invitation was used on")))
                    .isVisible();
        }
    }

    private static void guideIsGone(Page page) {
        page.navigate("/podium");
        page.getByLabel(Pattern.compile(", menu$")).waitFor();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Before the first lesson")))
                .isHidden();
    }

    private void hearFive(Page page) {
        page.navigate("/hear");
        Browsing.chooseClass(page, "Beginning Winds");
        screens.add("hear");
        page.locator("main").getByRole(AriaRole.LINK).first().click();
        screens.add("hearing run");
        Locator desk = Browsing.studentAtTheDesk(page);
        for (int i = 0; i < 5; i++) {
            assertThat(desk).isVisible();
            String name = desk.innerText();
            page.keyboard().press("Enter");
            assertThat(desk).not().hasText(name);
        }
        assertThat(page.getByText(Pattern.compile("undo last"))).isVisible();
    }
}
