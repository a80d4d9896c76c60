package vividroster.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

/** From a key at the desk to the next student painted, with a section of 30. */
final class KeyPressBench {

    private static final int ROUNDS = 6;
    private static final int MARKING_ROUNDS = 3;
    /** Four keys a second, faster than anybody hears. */
    private static final int BETWEEN_MS = 250;

    private static final double GOAL_MS = 50;

    /** Presses a key and answers the milliseconds until another name stands at the desk and was painted. */
    private static final String UNTIL_NEXT = """
            (key) => new Promise((done) => {
              const desk = document.querySelector('section[aria-label=Desk]');
              const name = () => desk.querySelector('h2')?.textContent;
              const before = name();
              const from = performance.now();
              const seen = new MutationObserver(() => {
                if (name() === before) return;
                seen.disconnect();
                requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)));
              });
              seen.observe(desk, { subtree: true, childList: true, characterData: true });
              window.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
            })
            """;

    private KeyPressBench() {}

    static void run() throws Exception {
        try (RunningServer server = RunningServer.start(TestCluster.shared().newDatabase(), "no");
                Playwright playwright = Chromium.driver();
                Browser browser = Chromium.launch(playwright)) {
            GridSchool school = GridSchool.open(server);
            Page page = GridSchool.signedIn(browser, server);
            Timings keys = new Timings();
            page.navigate(school.address());
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Desk"))
                    .getByRole(AriaRole.HEADING)
                    .first()
                    .waitFor();
            for (int i = 0; i < ROUNDS * GridSchool.STUDENTS; i++) {
                double ms = ((Number) page.evaluate(UNTIL_NEXT, "ArrowDown")).doubleValue();
                if (i > GridSchool.STUDENTS) {
                    keys.add(ms);
                }
            }
            Timings marks = new Timings();
            Timings undone = new Timings();
            for (int round = 0; round < MARKING_ROUNDS; round++) {
                for (int i = 0; i < GridSchool.STUDENTS - 1; i++) {
                    page.waitForTimeout(BETWEEN_MS);
                    marks.add(((Number) page.evaluate(UNTIL_NEXT, " ")).doubleValue());
                }
                for (int i = 0; i < GridSchool.STUDENTS - 1; i++) {
                    page.waitForTimeout(BETWEEN_MS);
                    undone.add(((Number) page.evaluate(UNTIL_NEXT, "u")).doubleValue());
                }
            }
            Timings burst = new Timings();
            for (int i = 0; i < GridSchool.STUDENTS - 1; i++) {
                burst.add(((Number) page.evaluate(UNTIL_NEXT, " ")).doubleValue());
            }
            System.out.printf(
                    "%nHearing a section of %d, from the key to the next student painted%n", GridSchool.STUDENTS);
            System.out.printf("  next student  p50 %.1f ms  p95 %.1f ms%n", keys.percentile(50), keys.percentile(95));
            System.out.printf("  a mark        p50 %.1f ms  p95 %.1f ms%n", marks.percentile(50), marks.percentile(95));
            System.out.printf(
                    "  undone        p50 %.1f ms  p95 %.1f ms%n", undone.percentile(50), undone.percentile(95));
            System.out.printf(
                    "  a mark, each key at once upon the last  p50 %.1f ms  p95 %.1f ms%n",
                    burst.percentile(50), burst.percentile(95));
            SchoolBench.goal("from key press to visible change at p95, ms", marks.percentile(95), GOAL_MS);
        }
    }
}
