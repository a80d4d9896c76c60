package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.server.account.Programmes;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Each screen with the demo's data: no serious accessibility violation, nothing off the side, keys that work. */
@Execution(ExecutionMode.CONCURRENT)
class EveryScreenTest {

    /** Looked up once; the demo does not change. */
    private static Map<String, String> found;

    private final RunningServer server = RunningServer.shared();

    /** Addresses of every screen by name. */
    private Map<String, String> screens() {
        synchronized (EveryScreenTest.class) {
            if (found == null) {
                found = find();
            }
            return found;
        }
    }

    private Map<String, String> find() {
        ApiClient director = server.demoDirector();
        String classId = "";
        for (JsonNode c : director.get("/api/classes").json()) {
            classId = c.path("name").asString().equals("Beginning Winds")
                    ? c.path("id").asString()
                    : classId;
        }
        JsonNode board = director.get("/api/board?classId=" + classId + "&instrument=trumpet")
                .json();
        JsonNode choices = director.get("/api/hearing/choices?classId=" + classId + "&instrument=trumpet")
                .json();
        String trumpets = "?class=" + classId + "&instrument=trumpet";
        Map<String, String> screens = new LinkedHashMap<>();
        screens.put("podium", "/podium?class=" + classId);
        screens.put("warm-up", "/podium/warm-up" + trumpets);
        screens.put("season", "/season?class=" + classId);
        screens.put("library", "/library?class=" + classId);
        screens.put("hear", "/hear" + trumpets);
        for (JsonNode choice : choices) {
            screens.putIfAbsent(
                    "hear " + choice.path("kind").asString(),
                    "/hear/" + choice.path("milestoneId").asString() + trumpets);
        }
        for (JsonNode milestone : director.get("/api/library").json().path("milestones")) {
            if (milestone.path("title").asString().startsWith("Test 2: Crab")) {
                String test = "/hear/" + milestone.path("id").asString();
                screens.put("test day", test + "/day" + trumpets);
                screens.put("test results", test + "/results" + trumpets);
                screens.put("test", "/library/tests/" + milestone.path("id").asString() + trumpets);
                screens.put(
                        "test form", "/library/tests/" + milestone.path("id").asString() + "/edit" + trumpets);
            }
            if (milestone.path("kind").asString().equals("WRITTEN_CHECK")) {
                String id = milestone.path("id").asString();
                screens.put("written check", "/library/written/" + id + trumpets);
                screens.put("written check form", "/library/written/" + id + "/edit" + trumpets);
                screens.put("written points", "/hear/" + id + "?class=" + classId);
            }
        }
        screens.put("board", "/roster" + trumpets);
        screens.put("belts", "/roster/belts" + trumpets);
        screens.put("ladders", "/library/ladders?class=" + classId);
        screens.put(
                "ladder",
                "/library/ladders/"
                        + director.get("/api/ladders").json().get(0).path("id").asString() + "?class=" + classId);
        screens.put("new ladder", "/library/ladders/new?class=" + classId);
        screens.put("attention", "/roster/attention?class=" + classId);
        screens.put("turns", "/roster/turns?class=" + classId);
        screens.put("ensemble", "/roster/ensemble?class=" + classId);
        screens.put("grades", "/roster/grades?class=" + classId);
        screens.put("rubrics", "/library/rubrics" + trumpets);
        screens.put("students", "/roster/students" + trumpets);
        screens.put(
                "placing",
                "/roster/students/"
                        + board.path("rows").get(0).path("studentId").asString() + "/placing" + trumpets);
        screens.put(
                "folder",
                "/roster/students/"
                        + board.path("rows").get(0).path("studentId").asString() + trumpets);
        for (JsonNode m : director.get("/api/library").json().path("milestones")) {
            if (m.path("title").asString().equals("Driftwood fire")) {
                screens.put("line", "/library/lines/" + m.path("id").asString() + trumpets);
                screens.put("rehearsal card", "/library/lines/" + m.path("id").asString() + "/card" + trumpets);
                screens.put("line facts", "/library/lines/" + m.path("id").asString() + "/edit" + trumpets);
                screens.put(
                        "book table",
                        "/library/books/" + m.path("line").path("bookId").asString() + "/table" + trumpets);
                screens.put(
                        "import lines",
                        "/library/books/" + m.path("line").path("bookId").asString() + "/import" + trumpets);
            }
            if (m.path("title").asString().startsWith("Trumpet: left")) {
                screens.put("check", "/library/checks/" + m.path("id").asString() + trumpets);
                screens.put("check form", "/library/checks/" + m.path("id").asString() + "/edit" + trumpets);
                screens.put("partners", "/hear/" + m.path("id").asString() + "/partners" + trumpets);
            }
        }
        screens.put("first weeks", "/season/first-weeks?class=" + classId);
        screens.put(
                "switch",
                "/roster/switch?class=" + classId + "&student="
                        + board.path("rows").get(0).path("studentId").asString());
        screens.put("seating", "/roster/seating?class=" + classId);
        screens.put("period plan", "/podium/plan/" + classId + "?class=" + classId);
        screens.put("how a week goes", "/help/week");
        screens.put("order sheet", "/season/sheet?class=" + classId);
        screens.put("proposal", "/season/proposal?class=" + classId);
        screens.put("choose", "/season/choose?class=" + classId);
        screens.put("order a week", "/season/week?class=" + classId);
        screens.put("forecast", "/season/forecast?class=" + classId);
        screens.put("plan files", "/season/files?class=" + classId);
        screens.put("pacing", "/season/settings?class=" + classId);
        screens.put("fit", "/roster/fit?class=" + classId);
        for (JsonNode c : director.get("/api/classes").json()) {
            for (JsonNode check : director.get(
                            "/api/partner-checks?classId=" + c.path("id").asString())
                    .json()) {
                screens.put(
                        "partner check",
                        "/hear/partners/" + check.path("id").asString() + "?class="
                                + c.path("id").asString());
            }
        }
        screens.put("office", "/office?class=" + classId);
        return screens;
    }

    /** What is looked at; contrast is the same at every width, and all but contrast the same in every theme. */
    private enum Look {
        ALL,
        CONTRAST,
        ALL_BUT_CONTRAST;

        static Look at(Screen screen) {
            return screen == Screen.LAPTOP ? ALL : ALL_BUT_CONTRAST;
        }
    }

    private static List<String> serious(Page page, String where, Look look) {
        List<String> found = new ArrayList<>();
        // A drawing of notes is one picture with a name; what it is made of is thousands of strokes.
        // No page holds another one, and of what is right nothing need be told: more than half the time of this test.
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        AxeBuilder axe =
                new AxeBuilder(page).setLegacyMode(true).options(options).exclude("[role=img] svg");
        if (look == Look.ALL_BUT_CONTRAST) {
            axe.disableRules(List.of("color-contrast"));
        } else {
            // Rows of a long list are drawn alike; every one is looked at for all but contrast.
            axe.exclude("tr:nth-child(n+16)").exclude("li:nth-child(n+16)");
        }
        if (look == Look.CONTRAST) {
            axe.withRules(List.of("color-contrast"));
        }
        for (Rule rule : axe.analyze().getViolations()) {
            if (List.of("serious", "critical").contains(rule.getImpact())) {
                rule.getNodes()
                        .forEach(node -> found.add(where + ": " + rule.getId() + " at " + node.getTarget() + " "
                                + node.getHtml()
                                        .substring(
                                                0, Math.min(120, node.getHtml().length()))));
            }
        }
        return found;
    }

    private static void settle(Page page) {
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
        page.locator("[aria-busy=true]")
                .first()
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
    }

    /** As a link does, without loading the application anew; what was looked at before is gone when this returns. */
    private static void follow(Page page, String address) {
        page.evaluate("""
                address => {
                  document.querySelector("main > *").dataset.left = "yes";
                  history.pushState(null, "", address);
                  dispatchEvent(new PopStateEvent("popstate"));
                }""", address);
        page.locator("main > [data-left]")
                .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void noSeriousViolationAndNothingOffTheSide(Screen screen) {
        List<String> found = new ArrayList<>();
        Look look = Look.at(screen);
        try (Seat seat = Browsing.open(server, screen)) {
            Page page = seat.page();
            page.navigate("/");
            assertThat(page.getByLabel("Password")).isVisible();
            found.addAll(serious(page, "sign-in", look));
            Browsing.signInToDemo(server, page);
            screens().forEach((name, address) -> {
                // Where one address leads to the next on one and the same page, nothing would go.
                if (name.equals("podium") || name.startsWith("hear ")) {
                    page.navigate(address);
                } else {
                    follow(page, address);
                }
                settle(page);
                found.addAll(serious(page, name, look));
                if (screen == Screen.LAPTOP) {
                    // The themes differ in colour alone, which is checked once.
                    Object theme = page.evaluate("document.documentElement.dataset.theme");
                    page.evaluate("document.documentElement.dataset.theme = 'pit'");
                    found.addAll(serious(page, name + ", pit", Look.CONTRAST));
                    page.evaluate("theme => document.documentElement.dataset.theme = theme", theme);
                }
                int over = (Integer) page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
                if (over > 0) {
                    found.add(name + " is " + over + " px too wide at " + screen);
                }
            });
            follow(page, screens().get("library"));
            page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Starter checks"))
                    .click();
            assertThat(page.getByLabel("Instrument")).isVisible();
            found.addAll(serious(page, "starter checks", look));
            follow(page, screens().get("office"));
            page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Schools"))
                    .click();
            assertThat(page.getByText("How do students sit?")).isVisible();
            found.addAll(serious(page, "schools", look));
            page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("School year"))
                    .click();
            assertThat(page.getByLabel("Name of the year")).isVisible();
            found.addAll(serious(page, "school year", look));
            page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Classes"))
                    .click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change Beginning Winds"))
                    .click();
            assertThat(page.getByLabel("Period of time 1")).isVisible();
            found.addAll(serious(page, "a class", look));
            page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("People"))
                    .click();
            page.getByText("signs in as bram").waitFor();
            found.addAll(serious(page, "people", look));
            page.getByLabel("Odalys Quayle, menu").click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Your password"))
                    .click();
            assertThat(page.getByLabel("Present password")).isVisible();
            found.addAll(serious(page, "own password", look));
            page.navigate(screens().get("ensemble"));
            settle(page);
            for (String view : List.of("Parts", "Pieces")) {
                page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(view))
                        .click();
                Locator lines = page.locator("main")
                        .getByLabel(
                                view.equals("Parts") ? "Parts, from the first" : "Candidates",
                                new Locator.GetByLabelOptions().setExact(true));
                lines.selectOption(new SelectOption().setIndex(5));
                lines.selectOption(new SelectOption().setIndex(9));
                assertThat(page.getByRole(AriaRole.ROWHEADER).first()).isVisible();
                found.addAll(serious(page, view, look));
            }
            page.navigate(screens().get("hear TECHNIQUE_CHECK"));
            settle(page);
            page.keyboard().press("s");
            assertThat(page.getByText("tap the fault you see")
                            .or(page.getByText("Tap the fault you see"))
                            .first())
                    .isVisible();
            found.addAll(serious(page, "grid", look));
            page.navigate(screens().get("season"));
            settle(page);
            page.keyboard().press("o");
            assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
            found.addAll(serious(page, "order panel", look));
            page.keyboard().press("Escape");
            page.keyboard().press("?");
            found.addAll(serious(page, "keys", look));
            assertThat(seat.errors()).isEmpty();
        }
        assertThat(found).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(Screen.class)
    void theFirstHourHasNoSeriousViolation(Screen screen) {
        List<String> found = new ArrayList<>();
        Look look = Look.at(screen);
        Programmes.Opened opened = server.bean(Programmes.class).open("axe-" + UUID.randomUUID());
        try (Seat seat = Browsing.open(server, screen)) {
            Page page = seat.page();
            Browsing.signIn(page, opened.signInName(), opened.password());
            for (String theme : screen == Screen.LAPTOP ? List.of("paper", "pit") : List.of("paper")) {
                for (String step : List.of(
                        "Begin School and year",
                        "Begin Classes",
                        "Begin Roster",
                        "Begin Books",
                        "Begin Belts and a test",
                        "Invite Who else hears")) {
                    page.navigate("/podium");
                    page.getByRole(
                                    AriaRole.BUTTON,
                                    new Page.GetByRoleOptions().setName(step).setExact(true))
                            .click();
                    settle(page);
                    page.evaluate("theme => document.documentElement.dataset.theme = theme", theme);
                    found.addAll(serious(page, step + ", " + theme, theme.equals("paper") ? look : Look.CONTRAST));
                    int over = (Integer) page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
                    if (over > 0) {
                        found.add(step + " is " + over + " px too wide at " + screen);
                    }
                }
            }
            page.navigate("/invitation#nonsense");
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("no invitation");
            found.addAll(serious(page, "invitation", look));
            assertThat(seat.errors()).isEmpty();
        }
        assertThat(found).isEmpty();
    }

    @Test
    void theJumpBoxGoesAnywhereByKeyboardAlone() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInToDemo(server, page);
            page.keyboard().press("/");
            page.keyboard().type("sunniva");
            assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("Sunniva Drake");
            page.keyboard().press("Enter");
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Sunniva Drake")))
                    .isVisible();
            page.keyboard().press("/");
            page.keyboard().type("week 3");
            assertThat(page.getByRole(AriaRole.OPTION).first()).containsText("Week 3,");
            page.keyboard().press("Enter");
            assertThat(page).hasURL(Pattern.compile(".*podium.*week=2026-08-31.*"));
            assertThat(page.getByText(Pattern.compile("^Week 3"))).isVisible();
            page.keyboard().press(">");
            assertThat(page.getByText(Pattern.compile("^Week 4"))).isVisible();
        }
    }

    @Test
    void anAssistantOrdersButSetsNothingUp() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signIn(page, "bram", "tuner-and-rosin");
            page.navigate(screens().get("office"));
            assertThat(page.getByText("are a director's to change")).isVisible();
            page.navigate(screens().get("season"));
            settle(page);
            page.keyboard().press("o");
            assertThat(page.getByRole(AriaRole.DIALOG)).isVisible();
        }
    }

    @Test
    void aCoachAndASubstituteTeacherAreOfferedTheirOwn() {
        School school = School.open(server);
        school.director().post("/api/season/orders", school.order(List.of(school.tutti()), "line", "test"));
        school.coach(new SectionScope.Section(school.id("Winds"), new InstrumentCode("trumpet"), Optional.empty()));
        school.substitute();
        for (String who : List.of("coach", "substitute")) {
            try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
                Page page = seat.page();
                Browsing.signIn(page, school.directorName().replace("director", who), School.PASSWORD);
                Locator places = page.getByRole(AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Places"));
                assertThat(places).containsText("Hear");
                assertThat(places).not().containsText("Office");
                assertThat(places).not().containsText("Season");
                assertThat(Browsing.onPodium(page, "Winds")).isVisible();
                page.navigate("/hear?class=" + school.id("Winds"));
                page.locator("main").getByRole(AriaRole.LINK).first().click();
                Locator desk = Browsing.studentAtTheDesk(page);
                assertThat(desk).isVisible();
                String name = desk.innerText();
                page.keyboard().press("Enter");
                assertThat(desk).not().hasText(name);
                page.navigate("/podium/plan/" + school.id("Winds") + "?class=" + school.id("Winds"));
                assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Call the roll")))
                        .isVisible();
                page.navigate("/office");
                page.waitForURL("**/podium**");
                assertThat(seat.errors()).isEmpty();
            }
        }
    }

    @Test
    void anAddressThatIsNoneLeadsToThePodiumAndSignOutEndsIt() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signIn(page, "odalys", "ferry-to-saltgrass");
            page.navigate("/no/such/screen");
            page.waitForURL("**/podium**");
            page.getByLabel("Odalys Quayle, menu").click();
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign out"))
                    .click();
            assertThat(page.getByLabel("Sign-in name")).isVisible();
            page.navigate("/roster");
            assertThat(page.getByLabel("Sign-in name")).isVisible();
        }
    }
}
