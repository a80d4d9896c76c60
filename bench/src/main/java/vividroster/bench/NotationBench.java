package vividroster.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

/** A book of 60 lines taken in with its storing, and how soon notation stands on the screen once its notes are there. */
final class NotationBench {

    private static final int BOOK = 60;
    private static final int OPENED = 20;
    private static final String NAME = "odalys";
    private static final String PASSWORD = "ferry-to-saltgrass";

    /** Keeps when the first notes were drawn. */
    private static final String WATCH = """
            window.drawnAt = undefined;
            new MutationObserver(() => {
              if (window.drawnAt === undefined && document.querySelector('[aria-label^="Notation"] svg path')) {
                requestAnimationFrame(() => setTimeout(() => (window.drawnAt = performance.now())));
                window.drawnAt = null;
              }
            }).observe(document, { childList: true, subtree: true });
            """;

    private static final String SINCE_NOTES = """
            () => {
              const notes = performance.getEntriesByType("resource").filter((r) => r.name.includes("/notes"));
              return window.drawnAt - Math.max(...notes.map((r) => r.responseEnd));
            }
            """;

    private NotationBench() {}

    static void run() throws Exception {
        try (RunningServer server = RunningServer.start(TestCluster.shared().newDatabase(), "yes")) {
            ApiClient director = server.visitor().signIn(NAME, PASSWORD);
            importBook(director);
            notation(server, director);
        }
    }

    private static void importBook(ApiClient director) throws Exception {
        StringBuilder book = new StringBuilder();
        int number = 0;
        for (String volume : List.of("winds", "strings")) {
            List<String> tunes = Stream.of(Files.readString(Path.of("demo/lines/" + volume + ".abc"))
                            .split("(?m)^(?=X:)"))
                    .filter(tune -> tune.startsWith("X:"))
                    .toList();
            for (String tune : tunes) {
                if (number < BOOK) {
                    book.append(tune.replaceFirst("X:.*", "X:" + ++number));
                }
            }
        }
        byte[] file = book.toString().getBytes(StandardCharsets.UTF_8);
        Timings taken = new Timings();
        for (int i = 0; i < OPENED; i++) {
            String id = director.post("/api/books", Map.of("title", "Bench " + i, "notesKept", true))
                    .json()
                    .path("id")
                    .asString();
            long from = System.nanoTime();
            JsonNode answer = director.upload("/api/books/" + id + "/import?keep=true", "book.abc", file, Map.of())
                    .json();
            taken.add((System.nanoTime() - from) / 1e6);
            if (answer.path("good").asInt() != BOOK) {
                throw new IllegalStateException(answer.toString());
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%nA book of %d lines taken in by the API and stored: %s (goal under 2000 ms)%n",
                BOOK,
                taken);
    }

    private static void notation(RunningServer server, ApiClient director) {
        String line = "";
        for (JsonNode milestone : director.get("/api/library").json().path("milestones")) {
            if (milestone.path("title").asString().equals("Harbour master")) {
                line = milestone.path("id").asString();
            }
        }
        String winds = "";
        for (JsonNode one : director.get("/api/classes").json()) {
            winds = one.path("name").asString().equals("Concert Winds")
                    ? one.path("id").asString()
                    : winds;
        }
        Timings cold = new Timings();
        Timings again = new Timings();
        try (Playwright playwright = Chromium.driver();
                Browser browser = Chromium.launch(playwright)) {
            for (int i = 0; i < OPENED; i++) {
                try (BrowserContext context = browser.newContext(new Browser.NewContextOptions()
                        .setBaseURL(server.address())
                        .setViewportSize(1280, 800))) {
                    Page page = context.newPage();
                    page.addInitScript(WATCH);
                    page.navigate("/");
                    page.getByLabel("Sign-in name").fill(NAME);
                    page.getByLabel("Password").fill(PASSWORD);
                    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                            .click();
                    page.waitForURL("**/podium**");
                    // From a page at rest, by the address a link of the library has.
                    page.waitForLoadState(LoadState.NETWORKIDLE);
                    cold.add(drawn(page, "/library/lines/" + line + "?class=" + winds));
                    again.add(drawn(page, "/library/lines/" + line + "?class=" + winds + "&instrument=clarinet"));
                }
            }
        }
        System.out.printf(
                Locale.ROOT,
                "From the notes there to notation painted, page opened for the first time: %s (goal under 300 ms)%n"
                        + "From the notes there to notation painted, page opened again: %s (goal under 300 ms)%n",
                cold,
                again);
    }

    private static double drawn(Page page, String address) {
        page.navigate(address);
        page.waitForFunction("() => typeof window.drawnAt === 'number'");
        return ((Number) page.evaluate(SINCE_NOTES)).doubleValue();
    }
}
