package vividroster.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.server.account.Programmes;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;
import vividroster.testkit.TestCluster;

/** Draws the pictures in docs/screenshots from the demo. Run by hand when a view changes; see docs/working.md. */
public final class Screenshots {

    private static final Path FOLDER = TestCluster.projectRoot().resolve("docs/screenshots");

    private final Page page;

    private Screenshots(Page page) {
        this.page = page;
    }

    /** Ends by itself even where a view was not found; the server's threads would wait on. */
    public static void main(String[] arguments) {
        try {
            takeAll();
            System.exit(0);
        } catch (RuntimeException | AssertionError e) {
            e.printStackTrace();
            System.exit(1);
        }
    }

    private static void takeAll() {
        RunningServer server = RunningServer.shared();
        ApiClient director = server.demoDirector();
        String classId = classId(director, "Beginning Winds");
        String winds = "?class=" + classId;
        String trumpets = winds + "&instrument=trumpet";
        String line = milestone(director, "LINE", "9");
        String test = milestone(director, "PLAYING_TEST", "Test 2");
        String student = director.get("/api/board?classId=" + classId + "&instrument=trumpet")
                .json()
                .path("rows")
                .get(4)
                .path("studentId")
                .asString();
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Browsing.signInToDemo(server, seat.page());
            Screenshots shots = new Screenshots(seat.page());
            shots.take("podium", "/podium" + winds);
            seat.page().locator("article").first().waitFor();
            shots.shoot("podium");
            shots.take("season", "/season" + winds);
            shots.take("proposal", "/season/proposal" + winds);
            shots.take("library", "/library" + winds);
            seat.page()
                    .navigate("/library/lines/" + milestone(director, "LINE", "16") + "?class="
                            + classId(director, "Concert Winds") + "&instrument=horn");
            seat.page()
                    .getByRole(AriaRole.IMG, named("Notation for Horn"))
                    .locator("svg")
                    .waitFor();
            seat.page().getByRole(AriaRole.BUTTON, named("with fingerings")).click();
            shots.shoot("line");
            seat.page()
                    .navigate("/podium/warm-up?class=" + classId(director, "Concert Winds") + "&instrument=trombone");
            seat.page().getByRole(AriaRole.BUTTON, named("Easy slurs")).click();
            seat.page()
                    .getByRole(AriaRole.IMG, named("Easy slurs for Trombone"))
                    .locator("svg")
                    .waitFor();
            shots.shoot("warmup");
            // The line of this week, with most of the section still to be called.
            seat.page().navigate("/hear/" + milestone(director, "LINE", "27") + trumpets);
            seat.page()
                    .getByRole(AriaRole.IMG, named("Notation for Trumpet"))
                    .locator("svg")
                    .waitFor();
            seat.page().keyboard().press("3");
            shots.shoot("hear");
            shots.take("check", "/library/checks/" + check(director, "Trumpet: left hand") + trumpets);
            shots.take("sheet", "/season/sheet?class=" + classId(director, "Chamber Strings"));
            shots.take(
                    "test", "/hear/" + test + "?class=" + classId(director, "Concert Winds") + "&instrument=trumpet");
            // Everybody has passed by the demo's day; one is heard again.
            seat.page().getByText("Willa Fitzalder").click();
            seat.page()
                    .getByRole(AriaRole.IMG, named("Notation for Trumpet"))
                    .locator("svg")
                    .waitFor();
            seat.page().keyboard().press("4");
            seat.page().keyboard().press("3");
            shots.shoot("test");
            shots.take("board", "/roster" + trumpets);
            shots.take("belts", "/roster/belts" + trumpets);
            shots.take("attention", "/roster/attention" + winds);
            seat.page().navigate("/roster/ensemble" + winds);
            seat.page().getByRole(AriaRole.TAB, named("Pieces")).click();
            for (String piece : List.of("1", "3", "4")) {
                seat.page()
                        .getByLabel("Candidates", new Page.GetByLabelOptions().setExact(true))
                        .selectOption(concertPiece(director, piece));
            }
            seat.page().getByRole(AriaRole.ROWHEADER, named("Flute")).waitFor();
            shots.shoot("ensemble");
            shots.take("folder", "/roster/students/" + student + trumpets);
            shots.take("results", "/hear/" + milestone(director, "PLAYING_TEST", "Test 3") + "/results" + trumpets);
            shots.take("grades", "/roster/grades" + winds);
            seat.page()
                    .getByRole(AriaRole.BUTTON, named("How the grade of"))
                    .nth(1)
                    .click();
            shots.shoot("grades");
        }
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Browsing.signInToDemo(server, seat.page());
            seat.page().evaluate("localStorage.setItem('vivid-theme', 'pit')");
            new Screenshots(seat.page()).take("tablet", "/hear/" + milestone(director, "LINE", "27") + trumpets);
        }
        firstHour(server);
    }

    /** A programme of which half is there. */
    private static void firstHour(RunningServer server) {
        Programmes.Opened opened = server.bean(Programmes.class).open("Harbour Hill", "harbour-hill");
        ApiClient begun = server.visitor().signIn(opened.signInName(), opened.password());
        begun.put("/api/classes/" + UUID.randomUUID(), School.classOf("Beginning Winds", "09:05"));
        begun.put("/api/classes/" + UUID.randomUUID(), School.classOf("Beginning Strings", "10:00"));
        byte[] roster =
                "name,class,instrument\nAna Belmonte,Beginning Winds,Flute\nIlse Marangi,Beginning Winds,Trumpet\n"
                        .getBytes(StandardCharsets.UTF_8);
        String fingerprint = begun.upload("/api/roster-import/preview", "roster.csv", roster, Map.of())
                .json()
                .path("fingerprint")
                .asString();
        begun.upload("/api/roster-import?fingerprint=" + fingerprint, "roster.csv", roster, Map.of());
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Browsing.signIn(seat.page(), opened.signInName(), opened.password());
            new Screenshots(seat.page()).take("first-hour", "/podium");
        }
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }

    private static String classId(ApiClient director, String name) {
        for (JsonNode c : director.get("/api/classes").json()) {
            if (c.path("name").asString().equals(name)) {
                return c.path("id").asString();
            }
        }
        throw new IllegalStateException("the demo has no " + name);
    }

    private static String check(ApiClient director, String title) {
        for (JsonNode m : director.get("/api/library").json().path("milestones")) {
            if (m.path("title").asString().startsWith(title)) {
                return m.path("id").asString();
            }
        }
        throw new IllegalStateException("the demo has no " + title);
    }

    private static String milestone(ApiClient director, String kind, String shortName) {
        for (JsonNode m : director.get("/api/library").json().path("milestones")) {
            if (m.path("kind").asString().equals(kind)
                    && m.path("shortName").asString().equals(shortName)) {
                return m.path("id").asString();
            }
        }
        throw new IllegalStateException("the demo has no " + shortName);
    }

    private static String concertPiece(ApiClient director, String number) {
        for (JsonNode m : director.get("/api/library").json().path("milestones")) {
            if (m.path("shortName").asString().equals(number)
                    && m.path("line").path("book").asString().endsWith("Concert")) {
                return m.path("id").asString();
            }
        }
        throw new IllegalStateException("the demo has no concert piece " + number);
    }

    private void take(String name, String address) {
        page.navigate(address);
        shoot(name);
    }

    private void shoot(String name) {
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.evaluate("document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
        System.out.println(name);
    }
}
