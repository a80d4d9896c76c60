package vividroster.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Locale;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

/** A check run on a section of 30 against 8 criteria: how soon the grid can be used, and how soon a tap shows. */
final class GridBench {

    private static final int OPENED = 9;
    private static final int TAPS = 120;

    /** Milliseconds from now until what a press changed has been painted. */
    private static final String UNTIL_PAINTED = """
            (press) => new Promise((done) => {
              const from = performance.now();
              press();
              requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)));
            })
            """;

    private GridBench() {}

    static void run() throws Exception {
        try (RunningServer server = RunningServer.start(TestCluster.shared().newDatabase(), "no");
                Playwright playwright = Chromium.driver();
                Browser browser = Chromium.launch(playwright)) {
            GridSchool school = GridSchool.open(server);
            Page page = GridSchool.signedIn(browser, server);
            measure(page, school);
        }
    }

    private static void measure(Page page, GridSchool school) {
        Timings fromAddress = new Timings();
        Timings fromKey = new Timings();
        Locator cells = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Students and criteria"))
                .getByRole(AriaRole.BUTTON);
        for (int i = 0; i < OPENED; i++) {
            long from = System.nanoTime();
            page.navigate(school.address());
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Desk"))
                    .getByRole(AriaRole.HEADING)
                    .first()
                    .waitFor();
            double grid = ((Number)
                            page.evaluate(
                                    "(async () => (" + UNTIL_PAINTED
                                            + ")(() => window.dispatchEvent(new KeyboardEvent('keydown', { key: 's', bubbles: true }))))()"))
                    .doubleValue();
            cells.first().waitFor();
            fromAddress.add((System.nanoTime() - from) / 1e6);
            fromKey.add(grid);
        }
        Timings taps = new Timings();
        for (int i = 0; i < TAPS; i++) {
            double ms = ((Number) page.evaluate("(async (n) => (" + UNTIL_PAINTED
                            + ")(() => document.querySelectorAll('[role=region] tbody td button[aria-pressed]')[n].click()))("
                            + (i * 7 % 240) + ")"))
                    .doubleValue();
            taps.add(ms);
        }
        List<?> frames = (List<?>) page.evaluate("""
                () => new Promise((done) => {
                  const frames = []; let last = performance.now(); let y = 0;
                  const step = () => {
                    const now = performance.now(); frames.push(now - last); last = now;
                    window.scrollTo(0, (y += 24));
                    if (frames.length < 60) requestAnimationFrame(step); else done(frames);
                  };
                  requestAnimationFrame(step);
                })
                """);
        Timings scrolling = new Timings();
        frames.forEach(ms -> scrolling.add(((Number) ms).doubleValue()));
        System.out.printf(
                Locale.ROOT,
                "%nA check on a section of %d students and %d criteria, %d cells%n",
                GridSchool.STUDENTS,
                GridSchool.CRITERIA,
                cells.count());
        print("from the address to a grid that can be used", fromAddress);
        print("from the key to the grid painted, data there", fromKey);
        print("from a tap to the mark painted", taps);
        print("a frame while scrolling", scrolling);
    }

    private static void print(String what, Timings timings) {
        System.out.printf(
                Locale.ROOT,
                "  %-48s p50 %7.1f ms   p95 %7.1f ms%n",
                what,
                timings.percentile(50),
                timings.percentile(95));
    }
}
