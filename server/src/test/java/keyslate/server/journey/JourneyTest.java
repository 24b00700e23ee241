package keyslate.server.journey;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.AfterTestExecutionCallback;
import org.junit.jupiter.api.extension.RegisterExtension;

/** One browser and one packaged application with demo data for all journeys; a fresh window for each. */
abstract class JourneyTest {
    /** The page answers in well under a second; a machine whose neighbours take its processors is given time. */
    private static final int PATIENCE_MS = 60_000;

    private static final int WIDTH = 1280;
    private static final int HEIGHT = 800;
    /** Times as fast as the clock on the wall; pictures are taken at its own pace. */
    static final String FAST_LAMP = Boolean.getBoolean("pictures") ? "1" : "1000";

    private static Browser browser;
    private static PackagedApplication demo;

    /** What was on the page when a journey broke off, in {@code target/journeys}. */
    @RegisterExtension
    final AfterTestExecutionCallback picture = test -> test.getExecutionException()
            .ifPresent(e -> page().screenshot(new Page.ScreenshotOptions()
                    .setPath(Path.of("target", "journeys", test.getDisplayName() + ".png"))));

    private final List<String> requestsElsewhere = new ArrayList<>();
    private BrowserContext context;
    private Printer printer;

    @BeforeEach
    void openWindow() {
        context = newContext(demo().address());
        context.onRequest(request -> {
            if (!request.url().matches("(http://localhost:\\d+/|data:|blob:).*")) {
                requestsElsewhere.add(request.url());
            }
        });
        printer = new Printer(context.newPage());
    }

    @AfterEach
    void closeWindow() {
        context.close();
        assertThat(requestsElsewhere).as("requests that leave this machine").isEmpty();
    }

    Printer printer() {
        return printer;
    }

    Page page() {
        return printer.page();
    }

    /** A second window of the same browser on the same application. */
    Printer otherWindow() {
        return new Printer(context.newPage());
    }

    static synchronized PackagedApplication demo() {
        if (demo == null) {
            demo = PackagedApplication.start(PackagedApplication.emptyFolder(), "--demo", "--clock-speed", FAST_LAMP);
            Runtime.getRuntime().addShutdownHook(new Thread(demo::close));
        }
        return demo;
    }

    static BrowserContext newContext(String address) {
        BrowserContext context = browser()
                .newContext(new Browser.NewContextOptions()
                        .setBaseURL(address)
                        .setViewportSize(WIDTH, HEIGHT)
                        .setLocale("en-GB"));
        context.setDefaultTimeout(PATIENCE_MS);
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        return context;
    }

    static synchronized Browser browser() {
        if (browser == null) {
            browser = Playwright.create()
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setArgs(List.of(
                                    "--disable-background-networking",
                                    "--disable-component-update",
                                    "--disable-sync")));
        }
        return browser;
    }
}
