package vividroster.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Debian's Chromium, driven headless against the real application. */
final class Browsing {

    private static final Path CHROMIUM = Path.of("/usr/bin/chromium");
    /** One a thread, since its driver is not to be shared between threads. */
    private static final ThreadLocal<Browser> BROWSERS = ThreadLocal.withInitial(Browsing::launch);

    /** Of the demo's director, who signs in once for all. */
    private static final Map<String, Map<String, String>> DEMO_COOKIES = new ConcurrentHashMap<>();

    static {
        // Two classes share the processors.
        PlaywrightAssertions.setDefaultAssertionTimeout(10_000);
    }

    private Browsing() {}

    /** The two sizes every path is walked in: a laptop and a tablet held upright. */
    enum Screen {
        LAPTOP(1280, 800),
        TABLET(820, 1180);

        final int width;
        final int height;

        Screen(int width, int height) {
            this.width = width;
            this.height = height;
        }
    }

    /** A page with what went wrong in it, which a test asserts to be nothing. */
    record Seat(Page page, List<String> errors) implements AutoCloseable {
        @Override
        public void close() {
            page.context().close();
        }
    }

    private static Browser launch() {
        Playwright playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(CHROMIUM)
                        .setHeadless(true)
                        .setArgs(List.of(
                                "--headless",
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    static Seat open(RunningServer server, Screen screen) {
        return open(server, screen, ServiceWorkerPolicy.BLOCK);
    }

    /** A browser that keeps the app itself, as it does over https or on the machine itself. */
    static Seat openKeeping(RunningServer server, Screen screen) {
        return open(server, screen, ServiceWorkerPolicy.ALLOW);
    }

    private static Seat open(RunningServer server, Screen screen, ServiceWorkerPolicy workers) {
        BrowserContext context = BROWSERS.get()
                .newContext(new Browser.NewContextOptions()
                        .setServiceWorkers(workers)
                        .setBaseURL(server.address())
                        .setViewportSize(screen.width, screen.height)
                        .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
        context.setDefaultTimeout(15_000);
        Page page = context.newPage();
        List<String> errors = new ArrayList<>();
        page.onPageError(errors::add);
        page.onResponse(response -> {
            if (response.status() >= 500) {
                errors.add(response.status() + " from " + response.url());
            }
            if (!response.url().startsWith(server.address()) && response.url().startsWith("http")) {
                errors.add("something was fetched from elsewhere: " + response.url());
            }
        });
        return new Seat(page, errors);
    }

    static void signIn(Page page, String name, String password) {
        page.navigate("/");
        page.getByLabel("Sign-in name").fill(name);
        page.getByLabel("Password").fill(password);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        page.waitForURL("**/podium**");
    }

    /** The name of the student being heard. */
    static Locator studentAtTheDesk(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Desk"))
                .getByRole(AriaRole.HEADING, new Locator.GetByRoleOptions().setLevel(2));
    }

    /** Chooses a class on the score rail, which a tablet held upright keeps folded away. */
    static void chooseClass(Page page, String name) {
        Locator unfold = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sections"));
        Locator choice = page.getByLabel("Class", new Page.GetByLabelOptions().setExact(true));
        // A place that has just come folds the rail away again.
        page.waitForCondition(() -> {
            if (!choice.isVisible() && unfold.isVisible()) {
                unfold.click();
            }
            return choice.isVisible();
        });
        choice.selectOption(name);
    }

    static void signInTo(School school, Page page) {
        sitDown(page, school.address(), school.director().cookies());
    }

    /** A class on the podium, opened where another one goes on. */
    static Locator onPodium(Page page, String className) {
        Locator open = page.getByRole(
                AriaRole.ARTICLE, new Page.GetByRoleOptions().setName(className).setExact(true));
        Locator folded = page.getByRole(
                        AriaRole.NAVIGATION, new Page.GetByRoleOptions().setName("Other classes of the day"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(className));
        open.or(folded).first().waitFor();
        if (folded.isVisible()) {
            folded.click();
        }
        return open;
    }

    static void signInToDemo(RunningServer server, Page page) {
        sitDown(
                page,
                server.address(),
                DEMO_COOKIES.computeIfAbsent(
                        server.address(), address -> server.demoDirector().cookies()));
    }

    /** As somebody who has signed in; the form itself is walked through where it is what is tested. */
    private static void sitDown(Page page, String address, Map<String, String> cookies) {
        page.context()
                .addCookies(cookies.entrySet().stream()
                        .map(cookie -> new Cookie(cookie.getKey(), cookie.getValue()).setUrl(address))
                        .toList());
        page.navigate("/podium");
        // The frame of every place stands, and with it the keys.
        page.getByLabel(Pattern.compile(", menu$")).waitFor();
    }
}
