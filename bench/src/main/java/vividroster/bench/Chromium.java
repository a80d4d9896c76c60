package vividroster.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Debian's Chromium without a monitor. */
final class Chromium {

    private Chromium() {}

    static Playwright driver() {
        return Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    }

    static Browser launch(Playwright driver) {
        return driver.chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setHeadless(true)
                        .setArgs(List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking")));
    }
}
